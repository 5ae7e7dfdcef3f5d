// Drawing corner by corner: the outline, the AC run, or two points of the picture under the plan.
import { showLength, typedLength } from "./lengths.js";
import { workOut } from "./workout.js";

const WORDS = {
  run: "Click the points of the AC run, inverters first",
  outline: "Click the corners in order, or type a length and an arrow key for its direction",
  scale: "Click two points of the picture whose distance you know",
};

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
    this.level = document.getElementById("scale-level")?.checked;
    this.plan.tell(`${WORDS[kind]}; ${kind === "scale" ? "" : "lines snap square. "}Enter ends it, Escape gives up.`);
  }

  snapped(p) {
    if (this.kind === "scale") return p;
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
    if (this.kind === "scale" && this.points.length === 2) this.askLength("true distance of the two points", (text) => this.scale(text));
  }

  /** A digit while drawing begins a typed length; an arrow key or Enter sends the corner off. */
  typed(key) {
    if (this.kind === "scale" || !/^[0-9.]$/.test(key)) return false;
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
    this.plan.bench.change(changes, null, undefined, "Picture scaled by two points");
    return true;
  }

  show(points) {
    const d = points.map((q, i) => `${i ? "L" : "M"}${q.x * 100} ${-q.y * 100}`).join("");
    this.draft(`<path d="${d}"/>`);
  }

  move(p) {
    this.pointer = this.snapped(p);
    const points = [...this.points, this.snapped(p)];
    this.show(points);
    const last = points.at(-2);
    if (last) this.plan.tell(`${points.length - 1} points, this leg ${showLength(Math.hypot(points.at(-1).x - last.x, points.at(-1).y - last.y), this.plan.data.unit)}. Enter ends it, Escape gives up.`);
  }

  draft(html) {
    this.plan.svg.querySelector("#draft").innerHTML = html;
  }

  stop(words) {
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
    if (kind === "scale") return;
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
