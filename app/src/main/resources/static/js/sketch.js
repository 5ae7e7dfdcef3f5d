// Drawing the outline or the AC run corner by corner.
import { showLength, typedLength } from "./lengths.js";

export class Sketch {
  constructor(plan) {
    this.plan = plan;
    this.points = null;
  }

  get on() {
    return this.points !== null;
  }

  /** Starts; Enter or a double click ends it, Escape gives up. */
  start(kind) {
    this.kind = kind;
    this.points = [];
    this.plan.svg.classList.add("drawing");
    this.plan.svg.focus();
    this.plan.tell(`Click the ${kind === "run" ? "points of the AC run, inverters first" : "corners in order"}; lines snap square. Enter ends it, Escape gives up.`);
  }

  snapped(p) {
    const grid = this.plan.data.unit === 1 ? 0.1 : 0.3048 / 2;
    let { x, y } = p;
    const last = this.points.at(-1);
    if (last && Math.abs(x - last.x) < Math.abs(y - last.y) * 0.12) x = last.x;
    if (last && Math.abs(y - last.y) < Math.abs(x - last.x) * 0.12) y = last.y;
    return { x: Math.round(x / grid) * grid, y: Math.round(y / grid) * grid };
  }

  add(p) {
    const point = this.snapped(p);
    const last = this.points.at(-1);
    if (!last || Math.hypot(point.x - last.x, point.y - last.y) > 0.05) this.points.push(point);
    this.move(p);
  }

  move(p) {
    const points = [...this.points, this.snapped(p)];
    const d = points.map((q, i) => `${i ? "L" : "M"}${q.x * 100} ${-q.y * 100}`).join("");
    this.draft(`<path d="${d}"/>`);
    const last = points.at(-2);
    if (last) this.plan.tell(`${points.length - 1} points, this leg ${showLength(Math.hypot(points.at(-1).x - last.x, points.at(-1).y - last.y), this.plan.data.unit)}. Enter ends it, Escape gives up.`);
  }

  draft(html) {
    this.plan.svg.querySelector("#draft").innerHTML = html;
  }

  stop(words) {
    this.points = null;
    this.plan.svg.classList.remove("drawing");
    this.draft("");
    this.plan.tell(words);
  }

  finish() {
    if (!this.on) return;
    const { kind, points } = this;
    const least = kind === "run" ? 2 : 3;
    if (points.length < least) {
      this.plan.tell(`${points.length} points are too few: click at least ${least}, then Enter.`);
      return;
    }
    this.stop("");
    const corners = points.map((p) => ({ x: typedLength(p.x, this.plan.data.unit), y: typedLength(p.y, this.plan.data.unit) }));
    this.plan.bench.change(
      kind === "run"
        ? [{ op: "set", path: "$.electrical.run.points", value: corners }]
        : [{ op: "set", path: "$.roof.outline", value: { kind: "drawn", corners } }],
    );
  }
}
