// Distance between any two things: modules, edges, corners, plant, or bare places.
import { between, contains, distance, onSegment } from "./shapes.js";
import { showLength } from "./lengths.js";
import { Tool } from "./tools.js";

const REACH_PX = 9;
const CLICK_PX = 4;

export class Measure extends Tool {
  constructor(plan) {
    super(plan);
    this.on = false;
    this.from = null;
  }

  toggle(on = !this.on) {
    if (!on && !this.on) return;
    this.on = on;
    this.from = null;
    this.plan.svg.classList.toggle("measuring", on);
    document.getElementById("measure").setAttribute("aria-pressed", on);
    if (on) this.plan.tools.choose(this);
    else this.plan.tools.end(this);
    if (!on) this.erase();
    this.plan.tell(on ? "Measure from: click a module, an edge, a corner, plant or a bare place. Escape ends it." : "");
  }

  /** A click takes what is there; a drag moves the sheet. */
  down(event) {
    const thing = event.target.closest("[data-obstruction]");
    this.drag = { at: this.plan.view.place(event), thing: thing?.dataset.obstruction, client: [event.clientX, event.clientY], box: [...this.plan.view.box], moved: false };
    (thing ?? this.plan.svg).focus({ preventScroll: true });
    return true;
  }

  move(event) {
    const { drag } = this;
    if (this.plan.tools.held !== this) {
      this.plan.hover(event);
      return;
    }
    drag.moved ||= Math.hypot(event.clientX - drag.client[0], event.clientY - drag.client[1]) >= CLICK_PX;
    if (drag.moved) this.plan.view.pan(drag, event);
  }

  up() {
    const { at, thing, moved } = this.drag;
    if (!moved) this.take(this.plan.things().find((t) => t.id === thing) ?? this.thingAt(at));
  }

  key(event) {
    if (event.key !== "Escape") return false;
    this.cancel();
    this.plan.picked.clear();
    return true;
  }

  cancel() {
    this.toggle(false);
  }

  erase() {
    this.plan.svg.querySelector("#measured")?.remove();
  }

  /** The thing at a place: what is smallest there wins. */
  thingAt(p) {
    const data = this.plan.data;
    const reach = REACH_PX / this.plan.view.scale();
    const corners = data.edges.map((c, i) => ({ name: `corner ${i + 1}`, points: [{ x: c[0], y: c[1] }] }));
    const corner = corners.find((c) => distance(c.points[0], p) <= reach);
    if (corner) return corner;
    const plant = this.plan.things().find((t) => contains(t.points, p));
    if (plant) return plant;
    const edges = data.edges.map((c, i) => ({ name: `edge ${i + 1}`, points: [{ x: c[0], y: c[1] }, { x: c[2], y: c[3] }] }));
    const edge = edges.find((e) => distance(onSegment(p, ...e.points), p) <= reach);
    if (edge) return edge;
    const module = data.moduleAt(p);
    if (module >= 0) {
      const m = data.modules[module];
      return { name: `module ${m.number}`, points: data.quad(m.s, m.t), closed: true };
    }
    return { name: "this place", points: [p] };
  }

  /** A click, or M on the keyboard, takes the first thing, then the second. */
  take(thing) {
    if (!this.from) {
      this.from = thing;
      this.erase();
      this.plan.tell(`From ${thing.name}: now choose the other.`);
      return;
    }
    const way = between(this.from, thing);
    const unit = this.plan.data.unit;
    const across = Math.abs(way.a.x - way.b.x);
    const up = Math.abs(way.a.y - way.b.y);
    const parts = across > 0.002 && up > 0.002 ? `; ${showLength(across, unit)} across the sheet, ${showLength(up, unit)} up it` : "";
    this.show(way, showLength(way.length, unit).split(" [")[0]);
    this.plan.tell(`From ${this.from.name} to ${thing.name}: ${showLength(way.length, unit)}${parts}.`);
    this.from = null;
  }

  show({ a, b, length }, words) {
    this.erase();
    const px = 100 / this.plan.view.scale();
    const [x1, y1, x2, y2] = [a.x * 100, -a.y * 100, b.x * 100, -b.y * 100];
    const tick = 6 * px;
    const ticks = [[x1, y1], [x2, y2]].map(([x, y]) => `M${x - tick} ${y + tick}L${x + tick} ${y - tick}`).join("");
    let angle = (Math.atan2(y2 - y1, x2 - x1) * 180) / Math.PI;
    if (angle > 90 || angle <= -90) angle += angle > 0 ? -180 : 180;
    const [mx, my] = [(x1 + x2) / 2, (y1 + y2) / 2];
    const text = length > 0 ? `<text transform="rotate(${angle} ${mx} ${my})" x="${mx}" y="${my - 5 * px}" font-size="${14 * px}" text-anchor="middle" stroke-width="${4 * px}">${words}</text>` : "";
    this.plan.svg.insertAdjacentHTML("beforeend", `<g id="measured"><path d="M${x1} ${y1}L${x2} ${y2}${ticks}"/>${text}</g>`);
  }
}
