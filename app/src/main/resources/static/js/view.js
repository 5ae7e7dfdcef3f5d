// What part of the drawing is seen: moving, zooming, the small map, and counts when they can be read.
const LEGIBLE_PX = 7;
const MOST_COUNTS = 2500;

export class View {
  /** @param changed called when another part is seen */
  constructor(changed) {
    this.changed = changed;
    this.box = null;
    this.fingers = new Map();
    window.addEventListener("resize", () => this.svg?.clientWidth > 0 && this.show());
  }

  take(svg, data) {
    this.svg = svg;
    this.data = data;
    this.drawnFor = "";
    const whole = svg.getAttribute("viewBox").split(" ").map(Number);
    const other = this.whole && whole.join() !== this.whole.join();
    this.whole = whole;
    if (!this.box || other) this.box = [...whole];
    svg.addEventListener("wheel", (e) => this.wheel(e), { passive: false });
    this.show();
  }

  /** Parts of the same drawing are new. */
  refresh(data) {
    this.data = data;
    this.drawnFor = "";
    this.preview = false;
    this.show();
  }

  takeMap() {
    const map = document.getElementById("minimap");
    const svg = map.querySelector("svg");
    this.map = map;
    svg.insertAdjacentHTML("beforeend", '<rect class="window"/>');
    const go = (e) => {
      if (!e.buttons) return;
      const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.getScreenCTM().inverse());
      this.box[0] = p.x - this.box[2] / 2;
      this.box[1] = p.y - this.box[3] / 2;
      this.show();
      e.stopPropagation();
      e.preventDefault();
    };
    map.addEventListener("pointerdown", go);
    map.addEventListener("pointermove", go);
  }

  /** Pixels of a metre of the roof. */
  scale() {
    return Math.min(this.svg.clientWidth / this.box[2], this.svg.clientHeight / this.box[3]) * 100;
  }

  show() {
    if (!this.svg.clientWidth) return;
    this.svg.setAttribute("viewBox", this.box.map((v) => Math.round(v * 100) / 100).join(" "));
    const near = this.data.size[1] * 0.92 * this.scale() >= LEGIBLE_PX;
    this.svg.classList.toggle("near", near);
    if (near && this.data.large) this.counts();
    if (this.map) {
      const zoomed = this.box[2] < this.whole[2] * 0.72;
      this.map.hidden = !zoomed;
      if (zoomed) {
        const frame = this.map.querySelector(".window");
        ["x", "y", "width", "height"].forEach((k, i) => frame.setAttribute(k, this.box[i]));
      }
    }
    this.changed();
  }

  /** On a large roof the counts of the part that is seen are written when they can be read. */
  counts() {
    const group = this.svg.querySelector(".counts.near");
    const cells = this.box.map((v) => Math.round(v / 400)).join();
    if (!group || this.drawnFor === cells || this.preview) return;
    this.drawnFor = cells;
    const [x, y, w, h] = this.box;
    const margin = 500;
    const depth = this.data.size[1];
    let html = "";
    let count = 0;
    for (let i = 0; i < this.data.positions.length && count < MOST_COUNTS; i++) {
      const p = this.data.positions[i];
      const at = this.data.onPlan(p.s, p.t);
      const px = at.x * 100;
      const py = -at.y * 100;
      if (px < x - margin || px > x + w + margin || py < y - margin || py > y + h + margin) continue;
      html += `<text${p.mark === "!" ? ' class="full"' : ""} x="${px.toFixed(0)}" y="${(py + depth * 33).toFixed(0)}">${this.data.count(i)}</text>`;
      count++;
    }
    group.innerHTML = html;
  }

  fit() {
    this.box = [...this.whole];
    this.show();
  }

  zoom(factor, at = null) {
    const [x, y, w, h] = this.box;
    const p = at ?? { x: x + w / 2, y: y + h / 2 };
    const size = Math.min(this.whole[2] * 2, Math.max(200, w * factor)) / w;
    this.box = [p.x - (p.x - x) * size, p.y - (p.y - y) * size, w * size, h * size];
    this.show();
  }

  wheel(event) {
    event.preventDefault();
    this.zoom(event.deltaY > 0 ? 1.15 : 1 / 1.15, this.drawingPoint(event));
  }

  /** Moves by a part of what is seen. */
  step([dx, dy]) {
    this.box[0] += dx * this.box[2] * 0.1;
    this.box[1] -= dy * this.box[3] * 0.1;
    this.show();
  }

  /** Moves so that what was under the pointer at the start stays under it. */
  pan(start, event) {
    const k = 100 / this.scale();
    this.box = [start.box[0] - (event.clientX - start.client[0]) * k, start.box[1] - (event.clientY - start.client[1]) * k, this.box[2], this.box[3]];
    this.show();
  }

  /** Two fingers: returns true while they hold the drawing. */
  pinch(event) {
    if (event.pointerType !== "touch") return false;
    if (event.type === "pointerup" || event.type === "pointercancel") this.fingers.delete(event.pointerId);
    else if (event.type === "pointerdown" || this.fingers.has(event.pointerId)) this.fingers.set(event.pointerId, [event.clientX, event.clientY]);
    const both = [...this.fingers.values()];
    if (both.length !== 2) {
      this.apart = null;
      return false;
    }
    const apart = Math.hypot(both[0][0] - both[1][0], both[0][1] - both[1][1]);
    const middle = { clientX: (both[0][0] + both[1][0]) / 2, clientY: (both[0][1] + both[1][1]) / 2 };
    if (this.apart) this.zoom(this.apart / apart, this.drawingPoint(middle));
    this.apart = apart;
    return true;
  }

  /** Brings a place of the roof into sight without zooming. */
  bringIn(p) {
    const [x, y, w, h] = this.box;
    const [px, py] = [p.x * 100, -p.y * 100];
    if (px > x + w * 0.05 && px < x + w * 0.95 && py > y + h * 0.05 && py < y + h * 0.95) return;
    this.box[0] = px - w / 2;
    this.box[1] = py - h / 2;
    this.show();
  }

  drawingPoint(event) {
    return new DOMPoint(event.clientX, event.clientY).matrixTransform(this.svg.getScreenCTM().inverse());
  }

  /** The place under the pointer in metres. */
  place(event) {
    const p = this.drawingPoint(event);
    return { x: p.x / 100, y: -p.y / 100 };
  }
}
