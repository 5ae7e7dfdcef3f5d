// The area of the array that is worked on: its corners are dragged, or moved by the arrow keys.
import { typedLength } from "./lengths.js";

const CLICK_PX = 3;

export class Areas {
  constructor(plan) {
    this.plan = plan;
  }

  grab(event) {
    const corner = event.target.closest("[data-corner]");
    const name = event.target.closest("[data-look]");
    if ((!corner && !name) || this.plan.measure.on || this.plan.sketch.on) return false;
    this.held = { index: corner && Number(corner.dataset.corner), look: name?.dataset.look, client: [event.clientX, event.clientY], moved: false };
    corner?.focus({ preventScroll: true });
    event.preventDefault();
    return true;
  }

  /** The corner where the pointer is, on a fine grid unless Alt is held. */
  at(event) {
    const p = this.plan.view.place(event);
    const grid = event.altKey ? 0.001 : this.plan.data.unit === 1 ? 0.1 : 0.3048 / 2;
    return { x: Math.round(p.x / grid) * grid, y: Math.round(p.y / grid) * grid };
  }

  moved(index, { x, y }) {
    const value = (v) => typedLength(v, this.plan.data.unit);
    return [
      { op: "set", path: `$.array.area[${index}].x`, value: value(x) },
      { op: "set", path: `$.array.area[${index}].y`, value: value(y) },
    ];
  }

  move(event) {
    if (!this.held) return false;
    const { index, client } = this.held;
    if (Math.hypot(event.clientX - client[0], event.clientY - client[1]) < CLICK_PX && !this.held.moved) return true;
    this.held.moved = true;
    if (index === null) return true;
    this.plan.released = false;
    this.plan.bench.preview(this.moved(index, this.at(event)));
    return true;
  }

  release(event) {
    if (!this.held) return false;
    const { index, look, moved } = this.held;
    this.held = null;
    this.plan.released = true;
    this.plan.view.preview = false;
    if (event.type === "pointercancel") return true;
    if (look && !moved) this.plan.bench.look(look);
    else if (index !== null && moved) this.plan.store(this.moved(index, this.at(event)));
    return true;
  }

  nudge(element, way, times) {
    const step = (this.plan.data.unit === 1 ? 0.1 : 0.3048 / 2) * times;
    const index = Number(element.dataset.corner);
    const at = { x: Number(element.dataset.x) + way[0] * step, y: Number(element.dataset.y) + way[1] * step };
    return this.plan.bench.change(this.moved(index, at));
  }
}
