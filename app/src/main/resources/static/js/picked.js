// What is picked on the drawing: positions, or one thing that can be moved, with what can be said and done.
import { rowWork } from "./hand.js";
import { typedLength } from "./lengths.js";

export class Picked {
  constructor(plan) {
    this.plan = plan;
    this.ids = new Set();
    this.thing = null;
    this.steps = new Map();
  }

  get data() {
    return this.plan.data;
  }

  /** After a fresh drawing: what is still there stays picked. */
  refresh() {
    if (this.thing && !this.plan.svg.querySelector(`[data-obstruction="${CSS.escape(this.thing)}"]`)) this.thing = null;
    this.show();
  }

  clear() {
    this.ids.clear();
    this.thing = null;
    this.show();
  }

  one(position, more = false) {
    this.thing = null;
    if (!more) this.ids.clear();
    if (more && this.ids.has(position)) this.ids.delete(position);
    else if (position >= 0) this.ids.add(position);
    this.show();
  }

  all(test) {
    this.thing = null;
    this.ids = new Set(this.data.positions.map((p, i) => i).filter(test));
    this.show();
  }

  row(position) {
    const row = this.data.positions[position]?.row;
    this.all((i) => this.data.positions[i].row === row);
  }

  /** All with the same count under the same wind. */
  alike(position) {
    const own = this.data.positions[position];
    const kind = this.data.kindOf(position);
    this.all((i) => this.data.positions[i].needed === own.needed && this.data.kindOf(i) === kind);
  }

  /** All in a box of the sheet, given by two corners in metres. */
  box(a, b) {
    const [x1, x2] = [Math.min(a.x, b.x), Math.max(a.x, b.x)];
    const [y1, y2] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
    this.all((i) => {
      const p = this.data.onPlan(this.data.positions[i].s, this.data.positions[i].t);
      return p.x >= x1 && p.x <= x2 && p.y >= y1 && p.y <= y2;
    });
  }

  pickThing(id) {
    this.ids.clear();
    this.thing = id;
    this.show();
  }

  words() {
    const rows = new Set();
    const zones = new Set();
    let blocks = 0;
    for (const i of this.ids) {
      const p = this.data.positions[i];
      rows.add(p.row);
      zones.add(this.data.kindOf(i).split(",")[0].replace("zone ", ""));
      blocks += p.placed;
    }
    const sorted = [...rows].sort((a, b) => a - b);
    const inRows = sorted.length === 1 ? `row ${sorted[0]}` : sorted.length === sorted.at(-1) - sorted[0] + 1 ? `rows ${sorted[0]} to ${sorted.at(-1)}` : `${sorted.length} rows`;
    const [mass, unit] = this.data.block;
    const weight = this.data.established ? `${blocks} blocks, ${Math.round(blocks * mass).toLocaleString("en")} ${unit}` : "blocks not established";
    return `${this.ids.size} positions in ${inRows}: ${weight}, zone ${[...zones].sort().join(", ")}`;
  }

  show() {
    const path = this.plan.svg.querySelector("#chosen");
    const many = this.ids.size > 1 || (this.ids.size === 1 && !this.ids.has(this.plan.cursor));
    path?.setAttribute("d", many ? [...this.ids].map((i) => ring(this.data.quadOf(i))).join("") : "");
    const bar = document.getElementById("picked");
    if (!bar) return;
    bar.hidden = this.ids.size === 0 && !this.thing;
    if (bar.hidden) {
      bar.replaceChildren();
    } else if (this.thing) {
      this.showThing(bar);
    } else {
      const single = this.ids.size === 1 ? [...this.ids][0] : -1;
      this.plan.tell(single >= 0 ? this.data.words(single) : this.words());
      const buttons = single >= 0 ? [["row", () => this.row(single), "Pick its row"], ["all like it", () => this.alike(single), "Pick all like it"]] : [];
      const out = ["leave out", () => this.plan.leaveOut([...this.ids]), "Leave these modules out"];
      const open = bar.querySelector(".rowwork");
      const work = ["row work", () => bar.querySelector(".rowwork")?.remove() ?? bar.append(this.rowWork()), "Shift, break, line up or lock the rows of these"];
      bar.replaceChildren(...[...buttons, out, work, ["none", () => this.clear(), "Pick nothing"]].map(button));
      if (open) bar.append(open);
    }
  }

  rowWork() {
    return rowWork(this.plan, () => [...this.ids].map((i) => this.data.positions[i].id));
  }

  /** Step of a thing's moves in metres. */
  step() {
    return this.steps.get(this.thing)?.metres ?? this.data.unit / 2;
  }

  showThing(bar) {
    const element = this.plan.svg.querySelector(`[data-obstruction="${CSS.escape(this.thing)}"]`);
    this.plan.tell(element.getAttribute("aria-label"));
    const label = document.createElement("label");
    label.textContent = "by ";
    const field = document.createElement("input");
    field.id = "nudge";
    field.value = this.steps.get(this.thing)?.typed ?? typedLength(this.data.unit / 2, this.data.unit);
    field.addEventListener("change", () => (this.reading = this.readStep(field.value)));
    label.append(field);
    const fault = document.createElement("span");
    fault.className = "fault";
    fault.setAttribute("role", "alert");
    const arrows = [["←", [-1, 0], "left"], ["↑", [0, 1], "up"], ["↓", [0, -1], "down"], ["→", [1, 0], "right"]].map(([sign, way, words]) =>
      button([sign, () => this.plan.moving.nudge(this.thing, way, 1), `Move ${words} on the sheet`, "way"]),
    );
    bar.replaceChildren(label, ...arrows, button(["fields", () => this.plan.openThing(this.thing)]), fault);
  }

  async readStep(typed) {
    const answer = await fetch(`/length?unit=${this.data.unit === 1 ? "m" : "ft"}&text=${encodeURIComponent(typed)}`, { headers: { Accept: "application/json" } });
    const told = await answer.json();
    const fault = document.querySelector("#picked .fault");
    if (answer.ok) {
      this.steps.set(this.thing, { typed, metres: told.metres });
      fault.textContent = "";
    } else {
      fault.textContent = told.problems.map((p) => p.message).join(" ");
    }
  }
}

function button([words, act, name, kind]) {
  const made = Object.assign(document.createElement("button"), { type: "button", textContent: words });
  if (name) made.setAttribute("aria-label", name);
  if (kind) made.className = kind;
  made.addEventListener("click", act);
  return made;
}

export function ring(points) {
  return points.map((p, i) => `${i ? "L" : "M"}${(p.x * 100).toFixed(1)} ${(-p.y * 100).toFixed(1)}`).join("") + "Z";
}
