// Drawing corner by corner: the outline, the AC run, or two points of the picture under the plan.
import { showLength, typedLength } from "./lengths.js";
import { Tool } from "./tools.js";
import { workOut } from "./workout.js";

const WORDS = {
  run: "Click the points of the AC run, inverters first",
  outline: "Click the corners in order, or type a length and an arrow key for its direction",
  array: "Click the corners of the area for the new array",
  area: "Click the corners of the area of this array",
  split: "Click two points of the line that splits this array",
  scale: "Click two points of the picture whose distance you know",
  thing: "Drag from one corner of the thing to the opposite one",
};

export class Sketch extends Tool {
  constructor(plan) {
    super(plan);
    this.points = null;
  }

  get on() {
    return this.points !== null;
  }

  /** Starts; Enter or a double click ends it, Escape gives up. */
  start(kind) {
    this.plan.tools.choose(this);
    this.kind = kind;
    this.points = [];
    this.plan.svg.classList.add("drawing");
    this.plan.svg.focus();
    this.level = document.getElementById("scale-level")?.checked;
    const how = { scale: "", thing: "Escape gives up.", split: "lines snap square. Escape gives up." }[kind] ?? "lines snap square. Enter ends it, Escape gives up.";
    this.plan.tell(`${WORDS[kind]}; ${how}`);
  }

  down(event) {
    this.add(this.plan.view.place(event));
    this.plan.svg.focus({ preventScroll: true });
    return true;
  }

  move(event) {
    if (this.plan.svg.contains(event.target)) this.lead(this.plan.view.place(event));
  }

  up(event) {
    this.release(this.plan.view.place(event));
  }

  key(event) {
    if (event.key === "Enter") this.finish();
    else if (event.key === "Escape") this.cancel();
    else return this.typed(event.key);
    return true;
  }

  cancel() {
    if (this.on) this.stop("Drawing given up; nothing was changed.");
  }

  snapped(p) {
    if (this.kind === "scale") return p;
    const grid = this.plan.data.unit === 1 ? 0.1 : 0.3048 / 2;
    let { x, y } = p;
    const last = this.kind === "thing" ? undefined : this.points.at(-1);
    if (last && Math.abs(x - last.x) < Math.abs(y - last.y) * 0.12) x = last.x;
    if (last && Math.abs(y - last.y) < Math.abs(x - last.x) * 0.12) y = last.y;
    return { x: Math.round(x / grid) * grid, y: Math.round(y / grid) * grid };
  }

  add(p) {
    const point = this.snapped(p);
    const last = this.points.at(-1);
    if (!last || Math.hypot(point.x - last.x, point.y - last.y) > 0.05) this.points.push(point);
    this.lead(p);
    if (this.kind === "thing" && this.points.length === 2) this.makeThing();
    if (this.kind === "split" && this.points.length === 2) this.finish();
    if (this.kind === "scale" && this.points.length === 2) this.askLength("true distance of the two points", (text) => this.scale(text));
  }

  /** The pointer was let go: a drag from corner to corner makes the thing, a click waits for the other corner. */
  release(p) {
    if (this.kind !== "thing" || this.points?.length !== 1) return;
    const to = this.snapped(p);
    if (Math.abs(to.x - this.points[0].x) > 0.05 && Math.abs(to.y - this.points[0].y) > 0.05) {
      this.points.push(to);
      this.makeThing();
    }
  }

  makeThing() {
    const [a, b] = this.points;
    const unit = this.plan.data.unit;
    const width = Math.abs(a.x - b.x);
    const depth = Math.abs(a.y - b.y);
    if (width < 0.02 || depth < 0.02) {
      this.points.pop();
      this.plan.tell("That has no size: drag to the opposite corner.");
      return;
    }
    this.stop("");
    const value = { id: `o-${Date.now().toString(36)}`, name: "New obstruction", height: unit === 1 ? "~1 m" : "~3 ft" };
    Object.assign(value, { x: typedLength(Math.min(a.x, b.x), unit), y: typedLength(Math.min(a.y, b.y), unit), width: typedLength(width, unit), depth: typedLength(depth, unit) });
    this.plan.bench.change([{ op: "append", path: "$.roof.obstructions", value }]);
  }

  /** A digit while drawing begins a typed length; an arrow key or Enter sends the corner off. */
  typed(key) {
    if (this.kind === "scale" || this.kind === "thing" || !/^[0-9.]$/.test(key)) return false;
    this.askLength("length, then an arrow key", (text, way) => this.addTyped(text, way), key);
    return true;
  }

  /** A field for a length over the drawing; the answer goes to `then` with the arrow key that ended it. */
  askLength(label, then, start = "") {
    const box = Object.assign(document.createElement("label"), { className: "draftlength", textContent: `${label} ` });
    const input = Object.assign(document.createElement("input"), { id: "draft-length", value: start, autocomplete: "off" });
    box.append(input);
    document.getElementById("planwrap").append(box);
    input.focus();
    const end = () => {
      box.remove();
      this.plan.svg.focus({ preventScroll: true });
    };
    input.addEventListener("keydown", async (event) => {
      const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
      event.stopPropagation();
      if (event.key === "Escape") {
        end();
        if (this.kind === "scale") this.stop("Measuring given up; nothing was changed.");
      } else if (event.key === "Enter" || (way && input.value.trim())) {
        event.preventDefault();
        if (await then(input.value, way)) end();
      }
    });
  }

  slug() {
    return document.getElementById("bench").dataset.slug;
  }

  told(problems) {
    this.plan.tell(problems.map((p) => p.message).join(" "));
  }

  /** The next corner at a typed distance: along an arrow key, or towards the pointer. */
  async addTyped(text, way) {
    const found = await workOut(this.slug(), { what: "length", text }, (problems) => this.told(problems));
    if (!found) return false;
    const m = found[0].m;
    if (!this.points.length) this.points.push({ x: 0, y: 0 });
    const last = this.points.at(-1);
    const to = this.pointer ?? { x: last.x + 1, y: last.y };
    const length = Math.hypot(to.x - last.x, to.y - last.y) || 1;
    const [dx, dy] = way ?? [(to.x - last.x) / length, (to.y - last.y) / length];
    this.points.push({ x: last.x + dx * m, y: last.y + dy * m });
    this.show([...this.points]);
    this.plan.tell(`${this.points.length} corners. Type the next length, or Enter to close the outline.`);
    return true;
  }

  /** Scale, turn and place of the picture, so that the first point stays where it is. */
  async scale(text) {
    const [a, b] = this.points;
    const asked = { what: "scale", text, ax: a.x, ay: a.y, bx: b.x, by: b.y, level: Boolean(this.level) };
    const changes = await workOut(this.slug(), asked, (problems) => this.told(problems));
    if (!changes) return false;
    this.stop("");
    this.plan.bench.change(changes);
    return true;
  }

  show(points) {
    const d = points.map((q, i) => `${i ? "L" : "M"}${q.x * 100} ${-q.y * 100}`).join("");
    this.draft(`<path d="${d}"/>`);
  }

  /** The line follows the pointer. */
  lead(p) {
    if (!this.on) return;
    this.pointer = this.snapped(p);
    if (this.kind === "thing") {
      const [a] = this.points;
      if (!a) return;
      const { x, y } = this.pointer;
      this.draft(`<path class="rubber" d="M${a.x * 100} ${-a.y * 100}H${x * 100}V${-y * 100}H${a.x * 100}Z"/>`);
      this.plan.tell(`${showLength(Math.abs(x - a.x), this.plan.data.unit)} by ${showLength(Math.abs(y - a.y), this.plan.data.unit)}`);
      return;
    }
    const points = [...this.points, this.snapped(p)];
    this.show(points);
    const last = points.at(-2);
    if (last) this.plan.tell(`${points.length - 1} points, this leg ${showLength(Math.hypot(points.at(-1).x - last.x, points.at(-1).y - last.y), this.plan.data.unit)}. Enter ends it, Escape gives up.`);
  }

  draft(html) {
    this.plan.svg.querySelector("#draft").innerHTML = html;
  }

  stop(words) {
    this.plan.tools.end(this);
    this.points = null;
    this.pointer = null;
    document.querySelector(".draftlength")?.remove();
    this.plan.svg.classList.remove("drawing");
    this.draft("");
    this.plan.tell(words);
  }

  finish() {
    if (!this.on) return;
    const { kind, points } = this;
    if (kind === "scale" || kind === "thing") return;
    const least = kind === "run" || kind === "split" ? 2 : 3;
    if (points.length < least) {
      this.plan.tell(`${points.length} points are too few: click at least ${least}, then Enter.`);
      return;
    }
    this.stop("");
    const { unit } = this.plan.data;
    const typed = (all) => all.map((p) => ({ x: typedLength(p.x, unit), y: typedLength(p.y, unit) }));
    const set = (path, value) => this.plan.bench.change([{ op: "set", path, value }]);
    if (kind === "run") set("$.electrical.run.points", typed(points.map((p) => this.plan.data.toSite(p))));
    else if (kind === "area") set("$.array.area", typed(points));
    else if (kind === "outline") set("$.roof.outline", { kind: "drawn", corners: typed(points) });
    else this.plan.bench.ask({ what: `${kind === "array" ? "add" : "split"}-array`, points });
  }
}
