// Work done to an array by hand: places without a module are shown with the reason and take one; rows are shifted, locked, cut.
import { token } from "./token.js";
import { Tool, WAYS } from "./tools.js";

const CLICK_PX = 4;
const SVG = "http://www.w3.org/2000/svg";

/** Shows the free places of the rows; a click puts a module in, a drag fills a box. */
export class PutIn extends Tool {
  constructor(plan) {
    super(plan);
    this.places = null;
    document.addEventListener("click", (e) => e.target.closest("#put-in") && this.start());
  }

  get on() {
    return this.places !== null;
  }

  async start() {
    if (this.on) {
      this.cancel();
      return;
    }
    this.plan.tools.choose(this);
    await this.fetch();
    this.cursor = -1;
    this.plan.svg.focus({ preventScroll: true });
    const open = this.places.filter((p) => p.bears).length;
    this.plan.tell(`${open} free ${open === 1 ? "place" : "places"} of the rows: click one or drag a box to put modules in. Point at a place for the reason nothing lies there. Arrows and Enter do the same; Escape ends it.`);
  }

  async fetch() {
    const answer = await fetch(`/jobs/${this.plan.bench.slug()}/free-places`, { headers: { Accept: "application/json", ...token() } });
    const told = await answer.json();
    this.deep = told.deep;
    this.places = told.places.map(([s, t, bears, why]) => ({ s, t, bears: bears === 1, why }));
    this.draw();
  }

  quad({ s, t }) {
    const along = this.plan.data.size[0];
    return [[0, 0], [along, 0], [along, this.deep], [0, this.deep]].map(([ds, dt]) => this.plan.data.onPlan(s + ds, t + dt));
  }

  /** The places as outlines, those that bear nothing crossed out. */
  draw() {
    this.plan.svg?.querySelector(".freeplaces")?.remove();
    if (!this.on || !this.plan.svg) return;
    const group = document.createElementNS(SVG, "g");
    group.setAttribute("class", "freeplaces");
    const at = (p) => `${(p.x * 100).toFixed(1)} ${(-p.y * 100).toFixed(1)}`;
    for (const bears of [true, false]) {
      const path = document.createElementNS(SVG, "path");
      path.setAttribute("class", bears ? "bears" : "bare");
      path.setAttribute(
        "d",
        this.places
          .filter((p) => p.bears === bears)
          .map((p) => {
            const [a, b, c, d] = this.quad(p).map(at);
            return `M${a}L${b}L${c}L${d}Z${bears ? "" : `M${a}L${c}`}`;
          })
          .join(""),
      );
      group.append(path);
    }
    const own = this.places[this.cursor];
    if (own) {
      const path = document.createElementNS(SVG, "path");
      path.setAttribute("class", "here");
      path.setAttribute("d", `M${this.quad(own).map(at).join("L")}Z`);
      group.append(path);
    }
    this.plan.svg.append(group);
  }

  at(point) {
    const { s, t } = this.plan.data.inRows(point);
    const along = this.plan.data.size[0];
    return this.places.findIndex((p) => s >= p.s && s <= p.s + along && t >= p.t && t <= p.t + this.deep);
  }

  down(event) {
    this.from = { at: this.plan.view.place(event), client: [event.clientX, event.clientY] };
    return true;
  }

  move(event) {
    if (!this.plan.svg.contains(event.target)) return;
    const point = this.plan.view.place(event);
    if (this.plan.tools.held === this && this.dragged(event)) {
      this.band(this.from.at, point);
      return;
    }
    const place = this.places[this.at(point)];
    if (place) this.say(place);
    else this.plan.hover(event);
  }

  dragged(event) {
    return Math.hypot(event.clientX - this.from.client[0], event.clientY - this.from.client[1]) >= CLICK_PX;
  }

  /** The box that is drawn. */
  band(a, b) {
    this.draw();
    const path = document.createElementNS(SVG, "path");
    path.setAttribute("class", "here");
    path.setAttribute("d", `M${a.x * 100} ${-a.y * 100}H${b.x * 100}V${-b.y * 100}H${a.x * 100}Z`);
    this.plan.svg.querySelector(".freeplaces").append(path);
  }

  say({ bears, why }) {
    this.plan.tell(bears ? `Free: ${why}. Click to put a module in.` : `No module can lie here: ${why}.`);
  }

  async up(event) {
    const to = this.plan.view.place(event);
    if (this.dragged(event)) await this.ask({ what: "fill", points: [this.from.at, to] });
    else await this.put(to);
  }

  async put(point) {
    const place = this.places[this.at(point)];
    if (!place) this.plan.tell("There is no free place of the rows here.");
    else if (!place.bears) this.say(place);
    else await this.ask({ what: "put-in", points: [point] });
  }

  async ask(asked) {
    await this.plan.bench.ask(asked);
    if (this.on) await this.fetch();
  }

  key(event) {
    const way = WAYS[event.key];
    if (event.key === "Escape") this.cancel();
    else if (event.key === "Enter" && this.cursor >= 0) this.put(this.middle(this.places[this.cursor]));
    else if (way && !event.shiftKey) this.walk(way);
    else return false;
    return true;
  }

  middle({ s, t }) {
    return this.plan.data.onPlan(s + this.plan.data.size[0] / 2, t + this.deep / 2);
  }

  /** To the nearest free place that way on the sheet. */
  walk([dx, dy]) {
    const [left, top, wide, high] = this.plan.view.box;
    const own = this.cursor >= 0 ? this.middle(this.places[this.cursor]) : { x: (left + wide / 2) / 100, y: -(top + high / 2) / 100 };
    let least = Infinity;
    let best = -1;
    this.places.forEach((p, i) => {
      const m = this.middle(p);
      const ahead = (m.x - own.x) * dx + (m.y - own.y) * dy;
      const aside = Math.abs((m.x - own.x) * dy) + Math.abs((m.y - own.y) * dx);
      const far = ahead + 2 * aside;
      if (i !== this.cursor && ahead > 0.05 && far < least) {
        least = far;
        best = i;
      }
    });
    if (best < 0) return;
    this.cursor = best;
    this.draw();
    this.plan.view.bringIn(this.middle(this.places[best]));
    this.say(this.places[best]);
  }

  cancel() {
    this.places = null;
    this.draw();
    this.plan.tools.end(this);
    this.plan.tell("");
  }
}

/** What can be done to the rows of the positions that are picked: a length to type and buttons. */
export function rowWork(plan, positions) {
  const all = Object.assign(document.createElement("span"), { className: "rowwork" });
  const field = Object.assign(document.createElement("input"), { id: "row-by", autocomplete: "off", value: plan.data.unit === 1 ? "100 mm" : '4"' });
  const label = Object.assign(document.createElement("label"), { textContent: "by " });
  label.append(field);
  const ask = (what, by) => plan.bench.ask({ what, positions: positions(), by });
  const minus = () => (field.value.trim().startsWith("-") ? field.value.trim().slice(1) : `-${field.value.trim()}`);
  const buttons = [
    ["←", "Shift the row left, seen from its low edge", () => ask("shift-rows", minus())],
    ["→", "Shift the row right, seen from its low edge", () => ask("shift-rows", field.value)],
    ["break", "Widen the gap left of each picked module to this", () => ask("cut-rows", field.value)],
    ["in line", "Bring its columns in line with the row in front", () => ask("align-rows")],
    ["lock", "Lock the row where it is", () => ask("lock-rows")],
    ["let go", "Neither locked nor shifted any more", () => ask("unlock-rows")],
  ].map(([words, title, act]) => {
    const made = Object.assign(document.createElement("button"), { type: "button", textContent: words, title });
    made.setAttribute("aria-label", title);
    made.addEventListener("click", act);
    return made;
  });
  all.append(label, ...buttons);
  return all;
}
