// The drawing: what the pointer and the keys do on it. Its parts are view, picked, measure, sketch and cut.
import { Areas } from "./areas.js";
import { Cut } from "./cut.js";
import { typedLength } from "./lengths.js";
import { Measure } from "./measure.js";
import { Picked } from "./picked.js";
import { RoofData } from "./roofdata.js";
import { snapped } from "./shapes.js";
import { Sketch } from "./sketch.js";
import { View } from "./view.js";

const SNAP_PX = 8;
const CLICK_PX = 4;

export class Plan {
  constructor(bench) {
    this.bench = bench;
    this.released = true;
    this.cursor = -1;
    this.view = new View(() => this.cut?.draw());
    this.picked = new Picked(this);
    this.measure = new Measure(this);
    this.sketch = new Sketch(this);
    this.cut = new Cut(this);
    this.areas = new Areas(this);
    window.addEventListener("pointermove", (e) => this.pointerMove(e));
    window.addEventListener("pointerup", (e) => this.pointerUp(e));
    window.addEventListener("pointercancel", (e) => this.pointerUp(e));
    document.addEventListener("click", (e) => this.button(e.target.closest("button")?.id));
  }

  tell(words) {
    this.bench.tell(words);
  }

  /** Takes up a fresh drawing, keeping the view. */
  attach() {
    this.data = new RoofData(document.getElementById("plan-data").textContent);
    this.snapLines = null;
    this.original = null;
    this.view.takeMap();
    this.takeSvg(document.getElementById("plan"));
    this.cursor = Math.min(this.cursor, this.data.positions.length - 1);
    this.showCursor();
    this.picked.refresh();
    this.measure.toggle(false);
    this.cut.attach();
  }

  /** Parts of the drawing came anew; the drawing itself is the one that was there before any preview. */
  refresh(names) {
    if (names.includes("plan-data")) this.data = new RoofData(document.getElementById("plan-data").textContent);
    this.snapLines = null;
    if (names.includes("minimap")) this.view.takeMap();
    this.view.refresh(this.data);
    this.cursor = Math.min(this.cursor, this.data.positions.length - 1);
    this.showCursor();
    this.picked.refresh();
    this.measure.toggle(false);
    this.cut.attach();
  }

  /** The drawing as it was before previews were shown in its place. */
  restore() {
    if (!this.original) return;
    this.original.setAttribute("class", this.svg.getAttribute("class"));
    this.svg.replaceWith(this.original);
    this.svg = this.original;
    this.view.svg = this.original;
    this.original = null;
  }

  /** Whether all of the bench takes noticeably longer than its drawing. */
  large() {
    return this.data.edges.length > 40;
  }

  takeSvg(svg) {
    this.svg = svg;
    this.view.take(svg, this.data);
    svg.addEventListener("pointerdown", (e) => this.pointerDown(e));
    svg.addEventListener("keydown", (e) => this.key(e));
    svg.addEventListener("dblclick", (e) => this.doubleClick(e));
    svg.addEventListener("focusin", (e) => this.named(e.target));
  }

  /** Shows the drawing of a preview; the thing being dragged keeps following the pointer. */
  showPreview(svg) {
    const classes = this.svg.getAttribute("class");
    const focus = document.activeElement?.dataset?.obstruction;
    this.original ??= this.svg;
    this.svg.replaceWith(svg);
    svg.setAttribute("class", classes);
    this.view.preview = !this.released;
    this.takeSvg(svg);
    this.cut.draw();
    if (focus) svg.querySelector(`[data-obstruction="${CSS.escape(focus)}"]`)?.focus();
  }

  button(id) {
    if (id === "fit") this.view.fit();
    if (id === "zoom-in") this.view.zoom(0.75);
    if (id === "zoom-out") this.view.zoom(1 / 0.75);
    if (id === "measure") this.measure.toggle();
  }

  named(element) {
    const thing = element.closest?.("[aria-label]");
    if (thing && thing !== this.svg) this.tell(thing.getAttribute("aria-label"));
  }

  /** Obstructions as they are drawn, in metres. */
  things() {
    return [...this.svg.querySelectorAll("[data-obstruction]")].map((element) => {
      const { x, y, w, h } = this.rectOf(element);
      const name = element.getAttribute("aria-label").split(", height")[0];
      return { name, id: element.dataset.obstruction, closed: true, points: [{ x, y }, { x: x + w, y }, { x: x + w, y: y + h }, { x, y: y + h }] };
    });
  }

  rectOf(element) {
    if (element.dataset.pin) return { x: Number(element.dataset.x), y: Number(element.dataset.y), w: 0, h: 0 };
    const body = element.querySelector(".body");
    const [x, y, w, h] = ["x", "y", "width", "height"].map((k) => Number(body.getAttribute(k)) / 100);
    return { x, y: -(y + h), w, h };
  }

  pointerDown(event) {
    if (this.view.pinch(event)) {
      this.released = true;
      return;
    }
    if (event.button !== 0 || this.cut.grab(event) || this.areas.grab(event)) return;
    const at = this.view.place(event);
    if (this.sketch.on) {
      this.sketch.add(at);
      this.svg.focus({ preventScroll: true });
      event.preventDefault();
      return;
    }
    const obstruction = event.target.closest("[data-obstruction], [data-pin]");
    const walkway = event.target.closest("[data-walkway]");
    this.released = false;
    this.drag = { from: at, client: [event.clientX, event.clientY], box: [...this.view.box], moved: false, shift: event.shiftKey };
    if (this.measure.on) {
      this.drag.measured = true;
      this.drag.thing = obstruction?.dataset.obstruction;
    } else if (obstruction) {
      this.drag.id = obstruction.dataset.obstruction ?? obstruction.dataset.pin;
      this.drag.rect = this.rectOf(obstruction);
    } else if (walkway) {
      this.drag.walkway = Number(walkway.dataset.walkway);
      this.drag.steps = 0;
    }
    if (obstruction) obstruction.focus({ preventScroll: true });
    else this.svg.focus({ preventScroll: true });
    event.preventDefault();
  }

  pointerMove(event) {
    if (this.view.pinch(event) || this.cut.move(event) || this.areas.move(event)) return;
    if (this.sketch.on) {
      if (this.svg.contains(event.target)) this.sketch.move(this.view.place(event));
      return;
    }
    if (this.released) {
      this.hover(event);
      return;
    }
    const { drag } = this;
    if (Math.hypot(event.clientX - drag.client[0], event.clientY - drag.client[1]) < CLICK_PX && !drag.moved) return;
    drag.moved = true;
    const at = this.view.place(event);
    if (drag.id) {
      this.bench.preview(this.moved(at, event.altKey));
    } else if (drag.walkway) {
      const steps = Math.round((this.data.inRows(at).t - this.data.inRows(drag.from).t) / this.data.pitch);
      if (steps !== drag.steps) {
        drag.steps = steps;
        this.bench.preview(this.walkwayMoved(steps));
      }
    } else if (drag.shift) {
      const [x1, y1, x2, y2] = [drag.from.x * 100, -drag.from.y * 100, at.x * 100, -at.y * 100];
      this.sketch.draft(`<path class="rubber" d="M${x1} ${y1}H${x2}V${y2}H${x1}Z"/>`);
    } else {
      this.view.pan(drag, event);
    }
  }

  /** Where the dragged obstruction would go: onto a line near it, else onto a fine grid. */
  moved(at, free) {
    const { rect, from, id } = this.drag;
    let x = rect.x + at.x - from.x;
    let y = rect.y + at.y - from.y;
    if (!free) {
      this.snapLines ??= this.data.lines();
      const others = this.things().filter((t) => t.id !== id);
      const sides = others.flatMap((t) => t.points.map((p, i) => ({ a: p, b: t.points[(i + 1) % 4], name: t.name })));
      const to = snapped({ x, y, w: rect.w, h: rect.h }, [...this.snapLines, ...sides], SNAP_PX / this.view.scale());
      const grid = this.data.unit === 1 ? 0.05 : 0.3048 / 4;
      const round = (v) => Math.round(v / grid) * grid;
      x = to.x === x ? round(x) : to.x;
      y = to.y === y ? round(y) : to.y;
      this.drag.on = to.on;
    } else {
      this.drag.on = [];
    }
    this.drag.to = { x, y };
    return this.placed(id, x, y);
  }

  /** Lines the dragged thing lies on, drawn over the preview. */
  showGuides() {
    const on = this.released ? [] : (this.drag?.on ?? []);
    this.sketch.draft(on.map(({ a, b }) => `<path class="guide" d="M${a.x * 100} ${-a.y * 100}L${b.x * 100} ${-b.y * 100}"/>`).join(""));
    if (on.length) this.tell(`On ${on.map((l) => l.name).join(" and ")}. Hold Alt to place it freely.`);
  }

  placed(id, x, y) {
    const pin = this.svg.querySelector(`[data-pin="${CSS.escape(id)}"]`);
    if (pin) {
      const site = this.data.toSite({ x, y });
      return ["x", "y"].map((key) => ({ op: "set", path: `$.survey.pins[id=${id}].${key}`, value: typedLength(site[key], this.data.unit) }));
    }
    const path = `$.roof.obstructions[id=${id}]`;
    return [
      { op: "set", path: `${path}.x`, value: typedLength(x, this.data.unit) },
      { op: "set", path: `${path}.y`, value: typedLength(y, this.data.unit) },
      { op: "remove", path: `${path}.measured` },
    ];
  }

  /** Moves an obstruction by steps in a direction of the sheet; a step just typed is read first. */
  async nudge(id, way, times) {
    await this.picked.reading;
    const element = this.svg.querySelector(`[data-obstruction="${CSS.escape(id)}"], [data-pin="${CSS.escape(id)}"]`);
    const { x, y } = this.rectOf(element);
    const step = (this.picked.thing === id ? this.picked.step() : HALF * this.data.unit) * times;
    return this.bench.change(this.placed(id, x + way[0] * step, y + way[1] * step));
  }

  walkwayMoved(steps) {
    const first = document.querySelector('[data-path="$.array.walkway.first"]');
    const every = Number(document.querySelector('[data-path="$.array.walkway.every"]').value);
    const wanted = Number(first.value) + steps;
    return [{ op: "set", path: "$.array.walkway.first", value: wanted < 1 ? wanted + every : wanted }];
  }

  pointerUp(event) {
    this.view.pinch(event);
    if (this.sketch.on) this.sketch.release(this.view.place(event));
    if (this.cut.release() || this.areas.release(event) || this.released || this.sketch.on) return;
    this.released = true;
    this.view.preview = false;
    const { drag } = this;
    if (event.type === "pointercancel") return;
    if (!drag.moved) {
      this.click(drag);
    } else if (drag.id) {
      this.store(this.moved(this.view.place(event), event.altKey));
    } else if (drag.walkway && drag.steps) {
      this.store(this.walkwayMoved(drag.steps));
    } else if (drag.shift) {
      this.picked.box(drag.from, this.view.place(event));
      if (!this.picked.ids.size) this.tell("No position in that box.");
    }
    this.showGuides();
  }

  click({ from, id, measured, thing, shift }) {
    const position = this.data.positionAt(from);
    if (measured) this.measure.take(this.things().find((t) => t.id === thing) ?? this.measure.thingAt(from));
    else if (id && this.svg.querySelector(`[data-pin="${CSS.escape(id)}"]`)) this.openThing(id);
    else if (id) this.picked.pickThing(id);
    else if (shift && position >= 0) this.picked.one(position, true);
    else if (position >= 0) this.select(position);
    else this.picked.clear();
  }

  doubleClick(event) {
    if (this.sketch.on) {
      this.sketch.finish();
      return;
    }
    const thing = event.target.closest("[data-obstruction], [data-pin]");
    if (thing) this.openThing(thing.dataset.obstruction ?? thing.dataset.pin);
    else this.picked.row(this.data.positionAt(this.view.place(event)));
  }

  /** Stores a drop; when it is refused the drawing goes back to the stored job. */
  async store(changes) {
    if (!(await this.bench.change(changes))) {
      this.restore();
      this.view.refresh(this.data);
    }
  }

  openThing(id) {
    const field = ["roof.obstructions", "survey.pins"].map((list) => document.querySelector(`[data-path="$.${list}[id=${CSS.escape(id)}].x"]`)).find(Boolean);
    if (!field) {
      this.pickFields(id);
      return;
    }
    field.closest("details").open = true;
    field.scrollIntoView({ block: "center" });
    field.focus();
  }

  /** With many things the fields of one come when it is chosen from the list. */
  pickFields(id) {
    const option = document.querySelector(`[data-pick-fields] option[value$="[id=${CSS.escape(id)}]"]`);
    if (!option) return;
    const select = option.closest("select");
    select.closest("details").open = true;
    select.value = option.value;
    select.dispatchEvent(new Event("change", { bubbles: true }));
  }

  hover(event) {
    if (!this.svg.contains(event.target)) return;
    const thing = event.target.closest("[data-obstruction], [data-pin], [data-walkway], [data-corner], [data-look], .cutend");
    if (thing) {
      this.named(thing);
      return;
    }
    const position = this.data.positionAt(this.view.place(event));
    if (position >= 0) this.tell(this.data.words(position));
  }

  select(position) {
    if (position < 0) return;
    this.cursor = position;
    this.showCursor();
    this.picked.one(position);
    this.tell(this.data.words(position));
    this.bench.explain(`ballast/${this.data.positions[position].number}`);
  }

  /** Shows where a figure of a position or module lies. */
  showNumber(number) {
    const at = this.data.positions.findIndex((p) => p.number === number);
    if (at < 0 || at === this.cursor) return;
    this.cursor = at;
    this.showCursor();
    this.view.bringIn(this.data.onPlan(this.data.positions[at].s, this.data.positions[at].t));
  }

  showCursor() {
    const path = document.getElementById("cursor");
    if (!path) return;
    const d = this.cursor < 0 ? "" : this.data.quadOf(this.cursor).map((p, i) => `${i ? "L" : "M"}${p.x * 100} ${-p.y * 100}`).join("") + "Z";
    path.setAttribute("d", d);
  }

  key(event) {
    const thing = event.target.dataset?.obstruction ?? event.target.dataset?.pin;
    const walkway = event.target.dataset?.walkway;
    const end = event.target.dataset?.cut;
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    const times = event.shiftKey ? 5 : 1;
    if (event.ctrlKey || event.metaKey || event.target.dataset?.zone) return;
    if (event.key === "Enter" && event.target.dataset?.look) {
      this.bench.look(event.target.dataset.look);
      return;
    }
    if (this.sketch.on && this.sketch.typed(event.key)) {
      // a digit opens the field of a typed length
    } else if (this.sketch.on && (event.key === "Enter" || event.key === "Escape")) {
      event.key === "Enter" ? this.sketch.finish() : this.sketch.stop("Drawing given up; nothing was changed.");
    } else if (way && thing) {
      this.nudge(thing, way, times);
    } else if (way && event.target.dataset?.corner) {
      this.areas.nudge(event.target, way, times);
    } else if (way && end) {
      this.cut.nudge(end, way, times);
    } else if (way && walkway) {
      if (way[1]) this.bench.change(this.walkwayMoved(way[1]));
    } else if (way && event.shiftKey) {
      this.view.step(way);
    } else if (way) {
      this.walk(way);
    } else if (event.key === "Enter" && thing) {
      this.openThing(thing);
    } else if (event.key === "Enter") {
      this.select(this.cursor);
    } else if (!this.letter(event.key, thing)) {
      return;
    }
    event.preventDefault();
  }

  /** Keys that are one character; returns whether it meant something. */
  letter(key, thing) {
    const acts = {
      "+": () => this.view.zoom(0.8),
      "=": () => this.view.zoom(0.8),
      "-": () => this.view.zoom(1.25),
      0: () => this.view.fit(),
      r: () => this.picked.row(this.cursor),
      a: () => this.cursor >= 0 && this.picked.alike(this.cursor),
      l: () => this.bench.list(),
      m: () => this.measureByKey(thing),
      Escape: () => {
        this.measure.toggle(false);
        this.picked.clear();
      },
    };
    const act = acts[key.length === 1 ? key.toLowerCase() : key];
    act?.();
    return Boolean(act);
  }

  measureByKey(thing) {
    const found = thing ? this.things().find((t) => t.id === thing) : null;
    const p = this.cursor >= 0 ? this.data.positions[this.cursor] : null;
    if (!found && !p) {
      this.measure.toggle();
      return;
    }
    if (!this.measure.on) this.measure.toggle(true);
    this.measure.take(found ?? { name: `position ${p.number}`, points: this.data.quadOf(this.cursor), closed: true });
  }

  /** Moves the cursor to the nearest position in a direction of the rows. */
  walk(way) {
    if (!this.data.positions.length) return;
    const next = this.cursor < 0 ? 0 : this.data.next(this.cursor, way);
    if (next >= 0) this.cursor = next;
    this.showCursor();
    const at = this.data.positions[this.cursor];
    this.view.bringIn(this.data.onPlan(at.s, at.t));
    this.tell(this.data.words(this.cursor));
  }

  /** Rings around the place of a check. */
  showPlace(check) {
    const path = document.getElementById("place");
    if (!path) return;
    const rings = this.data.places[check] ?? [];
    const ring = (c) => c.map((v, i) => (i % 2 ? -v * 100 : v * 100)).reduce((d, v, i) => d + (i % 2 ? ` ${v}` : `${i ? "L" : "M"}${v}`), "") + "Z";
    path.setAttribute("d", rings.map(ring).join(""));
    if (rings.length) this.tell(`${rings.length} ${rings.length === 1 ? "place" : "places"} of this check, ringed on the roof.`);
  }

  /** Lights an edge of the roof; 0 for none. */
  lightEdge(number) {
    const edge = this.data?.edges[number - 1];
    const path = document.getElementById("edgelit");
    if (path) path.setAttribute("d", edge ? `M${edge[0] * 100} ${-edge[1] * 100}L${edge[2] * 100} ${-edge[3] * 100}` : "");
  }

  focusWalkway(after) {
    const all = [...this.svg.querySelectorAll("[data-walkway]")];
    all.sort((a, b) => Math.abs(a.dataset.walkway - after) - Math.abs(b.dataset.walkway - after));
    (all[0] ?? this.svg).focus();
  }

  /** The middle of the roof as texts, for a new obstruction. */
  middle(move = (at) => at) {
    const box = this.svg.querySelector(".outline").getBBox();
    const at = move({ x: (box.x + box.width / 2) / 100, y: -(box.y + box.height / 2) / 100 });
    return { x: typedLength(at.x, this.data.unit), y: typedLength(at.y, this.data.unit) };
  }

  /** The same as the site counts it, for what stands in the site. */
  siteMiddle() {
    return this.middle((at) => this.data.toSite(at));
  }
}

/** Step of a thing that is moved without being picked, in roof units. */
const HALF = 0.5;
