// The area of the array that is worked on: its corners are dragged, or moved by the arrow keys.
import { typedLength } from "./lengths.js";
import { Tool, WAYS } from "./tools.js";

const CLICK_PX = 3;

export class Areas extends Tool {
  down(event) {
    const corner = event.target.closest("[data-corner]");
    const name = event.target.closest("[data-look]");
    if (!corner && !name) return false;
    this.held = { index: corner && Number(corner.dataset.corner), look: name?.dataset.look, client: [event.clientX, event.clientY], moved: false };
    corner?.focus({ preventScroll: true });
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
    const { index, client } = this.held;
    this.held.moved ||= Math.hypot(event.clientX - client[0], event.clientY - client[1]) >= CLICK_PX;
    if (this.held.moved && index !== null) this.plan.bench.preview(this.moved(index, this.at(event)));
  }

  up(event) {
    const { index, look, moved } = this.held;
    this.held = null;
    if (look && !moved) this.plan.bench.look(look);
    else if (index !== null && moved) this.plan.store(this.moved(index, this.at(event)));
  }

  cancel() {
    this.held = null;
  }

  key(event) {
    const { corner, look } = event.target.dataset ?? {};
    const way = WAYS[event.key];
    if (look && event.key === "Enter") this.plan.bench.look(look);
    else if (corner && way) this.nudge(event.target, way, event.shiftKey ? 5 : 1);
    else return false;
    return true;
  }

  nudge(element, way, times) {
    const step = (this.plan.data.unit === 1 ? 0.1 : 0.3048 / 2) * times;
    const index = Number(element.dataset.corner);
    const at = { x: Number(element.dataset.x) + way[0] * step, y: Number(element.dataset.y) + way[1] * step };
    return this.plan.bench.change(this.moved(index, at));
  }
}
