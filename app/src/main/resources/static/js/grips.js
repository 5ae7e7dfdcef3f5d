// What is taken hold of on the drawing while no tool is chosen: things, walkways, and the sheet itself.
import { typedLength } from "./lengths.js";
import { snapped } from "./shapes.js";
import { Tool, WAYS } from "./tools.js";

const SNAP_PX = 8;
const CLICK_PX = 4;
/** Step of a thing that is moved without being picked, in roof units. */
const HALF = 0.5;

/** Whether the pointer went far enough from where it went down to mean a drag. */
function dragged(drag, event) {
  drag.moved ||= Math.hypot(event.clientX - drag.client[0], event.clientY - drag.client[1]) >= CLICK_PX;
  return drag.moved;
}

function begun(plan, event) {
  return { from: plan.view.place(event), client: [event.clientX, event.clientY], moved: false };
}

/** Obstructions and pins: dragged, moved by arrow keys, opened. */
export class Things extends Tool {
  down(event) {
    const thing = event.target.closest("[data-obstruction], [data-pin]");
    if (!thing) return false;
    const id = thing.dataset.obstruction ?? thing.dataset.pin;
    this.drag = { ...begun(this.plan, event), id, rect: this.plan.rectOf(thing) };
    thing.focus({ preventScroll: true });
    return true;
  }

  move(event) {
    if (dragged(this.drag, event)) this.plan.bench.preview(this.moved(this.plan.view.place(event), event.altKey));
  }

  up(event) {
    const { id, moved } = this.drag;
    if (moved) this.plan.store(this.moved(this.plan.view.place(event), event.altKey));
    else if (this.plan.pin(id)) this.plan.openThing(id);
    else this.plan.picked.pickThing(id);
    this.cancel();
  }

  cancel() {
    this.drag = null;
    this.guides();
  }

  /** Where the dragged thing would go: onto a line near it, else onto a fine grid. */
  moved(at, free) {
    const { data, view } = this.plan;
    const { rect, from, id } = this.drag;
    let x = rect.x + at.x - from.x;
    let y = rect.y + at.y - from.y;
    this.drag.on = [];
    if (!free) {
      this.plan.snapLines ??= data.lines();
      const others = this.plan.things().filter((t) => t.id !== id);
      const sides = others.flatMap((t) => t.points.map((p, i) => ({ a: p, b: t.points[(i + 1) % 4], name: t.name })));
      const to = snapped({ x, y, w: rect.w, h: rect.h }, [...this.plan.snapLines, ...sides], SNAP_PX / view.scale());
      const grid = data.unit === 1 ? 0.05 : 0.3048 / 4;
      const round = (v) => Math.round(v / grid) * grid;
      x = to.x === x ? round(x) : to.x;
      y = to.y === y ? round(y) : to.y;
      this.drag.on = to.on;
    }
    return this.placed(id, x, y);
  }

  /** Lines the dragged thing lies on, drawn over the preview. */
  guides() {
    const on = this.drag?.on ?? [];
    this.plan.sketch.draft(on.map(({ a, b }) => `<path class="guide" d="M${a.x * 100} ${-a.y * 100}L${b.x * 100} ${-b.y * 100}"/>`).join(""));
    if (on.length) this.plan.tell(`On ${on.map((l) => l.name).join(" and ")}. Hold Alt to place it freely.`);
  }

  placed(id, x, y) {
    const { data } = this.plan;
    if (this.plan.pin(id)) {
      const site = data.toSite({ x, y });
      return ["x", "y"].map((key) => ({ op: "set", path: `$.survey.pins[id=${id}].${key}`, value: typedLength(site[key], data.unit) }));
    }
    const path = `$.roof.obstructions[id=${id}]`;
    return [
      { op: "set", path: `${path}.x`, value: typedLength(x, data.unit) },
      { op: "set", path: `${path}.y`, value: typedLength(y, data.unit) },
      { op: "remove", path: `${path}.measured` },
    ];
  }

  key(event) {
    const id = event.target.dataset?.obstruction ?? event.target.dataset?.pin;
    const way = WAYS[event.key];
    if (!id || (!way && event.key !== "Enter")) return false;
    if (way) this.nudge(id, way, event.shiftKey ? 5 : 1);
    else this.plan.openThing(id);
    return true;
  }

  /** Moves a thing by steps in a direction of the sheet; a step just typed is read first. */
  async nudge(id, way, times) {
    const { picked, data } = this.plan;
    await picked.reading;
    const { x, y } = this.plan.rectOf(this.plan.thing(id));
    const step = (picked.thing === id ? picked.step() : HALF * data.unit) * times;
    return this.plan.bench.change(this.placed(id, x + way[0] * step, y + way[1] * step));
  }
}

/** Walkways: dragged across the rows, moved by arrow keys. */
export class Walkways extends Tool {
  down(event) {
    const walkway = event.target.closest("[data-walkway]");
    if (!walkway) return false;
    this.drag = { ...begun(this.plan, event), steps: 0 };
    this.plan.svg.focus({ preventScroll: true });
    return true;
  }

  move(event) {
    if (!dragged(this.drag, event)) return;
    const { data } = this.plan;
    const steps = Math.round((data.inRows(this.plan.view.place(event)).t - data.inRows(this.drag.from).t) / data.pitch);
    if (steps === this.drag.steps) return;
    this.drag.steps = steps;
    this.plan.bench.preview(this.moved(steps));
  }

  up() {
    if (this.drag.moved && this.drag.steps) this.plan.store(this.moved(this.drag.steps));
    else if (!this.drag.moved) this.plan.pickAt(this.drag.from, false);
  }

  moved(steps) {
    const first = document.querySelector('[data-path="$.array.walkway.first"]');
    const every = Number(document.querySelector('[data-path="$.array.walkway.every"]').value);
    const wanted = Number(first.value) + steps;
    return [{ op: "set", path: "$.array.walkway.first", value: wanted < 1 ? wanted + every : wanted }];
  }

  key(event) {
    const way = WAYS[event.key];
    if (!way || !event.target.dataset?.walkway) return false;
    if (way[1]) this.plan.bench.change(this.moved(way[1]));
    return true;
  }
}

/** The sheet itself: a click picks, Shift and a drag pick a box, a drag moves the sheet; keys walk over the positions. */
export class Sheet extends Tool {
  down(event) {
    this.drag = { ...begun(this.plan, event), box: [...this.plan.view.box], shift: event.shiftKey };
    this.plan.svg.focus({ preventScroll: true });
    return true;
  }

  move(event) {
    const { drag } = this;
    if (!dragged(drag, event)) return;
    if (!drag.shift) {
      this.plan.view.pan(drag, event);
      return;
    }
    const at = this.plan.view.place(event);
    const [x1, y1, x2, y2] = [drag.from.x * 100, -drag.from.y * 100, at.x * 100, -at.y * 100];
    this.plan.sketch.draft(`<path class="rubber" d="M${x1} ${y1}H${x2}V${y2}H${x1}Z"/>`);
  }

  up(event) {
    const { from, moved, shift } = this.drag;
    if (!moved) {
      this.plan.pickAt(from, shift);
    } else if (shift) {
      this.plan.picked.box(from, this.plan.view.place(event));
      if (!this.plan.picked.ids.size) this.plan.tell("No position in that box.");
    }
    this.cancel();
  }

  cancel() {
    this.drag = null;
    this.plan.sketch.draft("");
  }

  key(event) {
    const { plan } = this;
    const way = WAYS[event.key];
    if (way && event.shiftKey) plan.view.step(way);
    else if (way) plan.walk(way);
    else if (event.key === "Enter") plan.select(plan.cursor);
    else return this.letter(event.key, event.target.dataset?.obstruction ?? event.target.dataset?.pin);
    return true;
  }

  /** Keys that are one character; returns whether it meant something. */
  letter(key, thing) {
    const { plan } = this;
    const acts = {
      "+": () => plan.view.zoom(0.8),
      "=": () => plan.view.zoom(0.8),
      "-": () => plan.view.zoom(1.25),
      0: () => plan.view.fit(),
      r: () => plan.picked.row(plan.cursor),
      a: () => plan.cursor >= 0 && plan.picked.alike(plan.cursor),
      l: () => plan.bench.list(),
      m: () => plan.measureByKey(thing),
      Escape: () => plan.picked.clear(),
    };
    const act = acts[key.length === 1 ? key.toLowerCase() : key];
    act?.();
    return Boolean(act);
  }
}
