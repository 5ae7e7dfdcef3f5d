// The drawing: pan, zoom, point, walk, drag. It knows where things are from the data beside it.
const HALF_STEP = 0.5;

export class Plan {
  constructor(bench) {
    this.bench = bench;
    this.released = true;
    this.view = null;
    this.cursor = -1;
    this.drawing = null;
    window.addEventListener("pointermove", (e) => this.pointerMove(e));
    window.addEventListener("pointerup", (e) => this.pointerUp(e));
    document.addEventListener("click", (e) => this.zoomButton(e.target.id));
  }

  /** Takes up a fresh drawing, keeping the view. */
  attach() {
    this.data = JSON.parse(document.getElementById("plan-data").textContent);
    this.takeSvg(document.getElementById("plan"));
    this.cursor = Math.min(this.cursor, this.data.positions.length - 1);
    this.showCursor();
  }

  takeSvg(svg) {
    this.svg = svg;
    const whole = svg.getAttribute("viewBox").split(" ").map(Number);
    const grown = this.whole && whole.join() !== this.whole.join();
    this.whole = whole;
    if (!this.view || grown) this.view = [...whole];
    this.showView();
    svg.addEventListener("pointerdown", (e) => this.pointerDown(e));
    svg.addEventListener("wheel", (e) => this.wheel(e), { passive: false });
    svg.addEventListener("keydown", (e) => this.key(e));
    svg.addEventListener("dblclick", () => this.finishDrawing());
    svg.addEventListener("focusin", (e) => this.named(e.target));
  }

  /** Shows the drawing of a preview; the thing being dragged keeps following the pointer. */
  showPreview(svg) {
    const classes = this.svg.getAttribute("class");
    const focus = document.activeElement?.dataset?.obstruction;
    this.svg.replaceWith(svg);
    svg.setAttribute("class", classes);
    this.takeSvg(svg);
    if (focus) svg.querySelector(`[data-obstruction="${CSS.escape(focus)}"]`)?.focus();
  }

  showView() {
    this.svg.setAttribute("viewBox", this.view.join(" "));
  }

  fit() {
    this.view = [...this.whole];
    this.showView();
  }

  zoom(factor, at = null) {
    const [x, y, w, h] = this.view;
    const p = at ?? { x: x + w / 2, y: y + h / 2 };
    const size = Math.min(this.whole[2] * 2, Math.max(200, w * factor)) / w;
    this.view = [p.x - (p.x - x) * size, p.y - (p.y - y) * size, w * size, h * size];
    this.showView();
  }

  zoomButton(id) {
    if (id === "fit") this.fit();
    if (id === "zoom-in") this.zoom(0.75);
    if (id === "zoom-out") this.zoom(1 / 0.75);
  }

  wheel(event) {
    event.preventDefault();
    this.zoom(event.deltaY > 0 ? 1.15 : 1 / 1.15, this.place(event));
  }

  /** The point under the pointer, in drawing units. */
  place(event) {
    return new DOMPoint(event.clientX, event.clientY).matrixTransform(this.svg.getScreenCTM().inverse());
  }

  /** Drawing units to coordinates of the rows, in metres. */
  inRows(p) {
    const [ax, ay] = this.data.along;
    const x = p.x / 100;
    const y = -p.y / 100;
    return { s: x * ax + y * ay, t: -x * ay + y * ax };
  }

  moduleAt(p) {
    const { s, t } = this.inRows(p);
    const [along, depth] = this.data.size;
    return this.data.modules.findIndex((m) => s >= m[0] && s <= m[0] + along && t >= m[1] && t <= m[1] + depth);
  }

  positionAt(p) {
    const { s, t } = this.inRows(p);
    const [along, depth] = this.data.size;
    let best = -1;
    let least = along * along;
    this.data.positions.forEach((q, i) => {
      const d = (q[0] - s) ** 2 + (q[1] - t) ** 2;
      if (Math.abs(q[0] - s) <= along / 2 && Math.abs(q[1] - t) <= depth / 2 && d < least) {
        least = d;
        best = i;
      }
    });
    return best;
  }

  words(position) {
    const q = this.data.positions[position];
    const [along, depth] = this.data.size;
    const m = this.data.modules.find((x) => Math.abs(x[0] + along / 2 - q[0]) <= along * 0.51 && Math.abs(x[1] + depth / 2 - q[1]) <= depth * 0.51);
    const counted = q[3] > q[4] ? `${q[3]} blocks needed, ${q[4]} fit` : `${q[4]} blocks`;
    const blocks = this.data.established ? counted : "blocks not established";
    const module = m ? `, ${this.data.kinds[m[4]]}${m[5] ? ", string " + m[5] : ", in no string"}` : "";
    return `Row ${q[2].replace("-", ", position ")}: ${blocks}${module}`;
  }

  named(element) {
    const thing = element.closest?.("[aria-label]");
    if (thing && thing !== this.svg) this.bench.tell(thing.getAttribute("aria-label"));
  }

  pointerDown(event) {
    if (event.button !== 0) return;
    const at = this.place(event);
    if (this.drawing) {
      this.addPoint(at);
      return;
    }
    const obstruction = event.target.closest("[data-obstruction]");
    const walkway = event.target.closest("[data-walkway]");
    this.released = false;
    this.drag = { from: at, client: [event.clientX, event.clientY], view: [...this.view], moved: false };
    if (obstruction) {
      this.drag.id = obstruction.dataset.obstruction;
      this.drag.start = this.cornerOf(obstruction);
    } else if (walkway) {
      this.drag.walkway = Number(walkway.dataset.walkway);
      this.drag.steps = 0;
    }
    this.svg.focus({ preventScroll: true });
    event.preventDefault();
  }

  cornerOf(element) {
    const body = element.querySelector(".body");
    const [x, y, h] = ["x", "y", "height"].map((k) => Number(body.getAttribute(k)));
    return { x: x / 100, y: -(y + h) / 100 };
  }

  pointerMove(event) {
    if (this.drawing) {
      this.sketch(this.place(event));
      return;
    }
    if (this.released) {
      this.hover(event);
      return;
    }
    if (Math.hypot(event.clientX - this.drag.client[0], event.clientY - this.drag.client[1]) < 4 && !this.drag.moved) return;
    this.drag.moved = true;
    const at = this.place(event);
    if (this.drag.id) {
      this.bench.preview(this.moved(at));
    } else if (this.drag.walkway) {
      const pitch = this.data.pitch;
      const steps = Math.round((this.inRows(at).t - this.inRows(this.drag.from).t) / pitch);
      if (steps !== this.drag.steps) {
        this.drag.steps = steps;
        this.bench.preview(this.walkwayMoved(steps));
      }
    } else {
      const scale = this.view[2] / this.svg.clientWidth;
      const tall = this.view[3] / this.svg.clientHeight;
      const k = Math.max(scale, tall);
      this.view = [this.drag.view[0] - (event.clientX - this.drag.client[0]) * k, this.drag.view[1] - (event.clientY - this.drag.client[1]) * k, this.view[2], this.view[3]];
      this.showView();
    }
  }

  /** Where the dragged obstruction would go, snapped to a quarter of the roof unit. */
  moved(at) {
    const grid = this.data.unit === 1 ? 0.05 : 0.3048 / 4;
    const x = this.drag.start.x + (at.x - this.drag.from.x) / 100;
    const y = this.drag.start.y - (at.y - this.drag.from.y) / 100;
    return this.placed(this.drag.id, Math.round(x / grid) * grid, Math.round(y / grid) * grid);
  }

  placed(id, x, y) {
    const path = `$.roof.obstructions[id=${id}]`;
    return [
      { op: "set", path: `${path}.x`, value: this.length(x) },
      { op: "set", path: `${path}.y`, value: this.length(y) },
    ];
  }

  length(metres) {
    return `${Number((metres / this.data.unit).toFixed(4))} ${this.data.unit === 1 ? "m" : "ft"}`;
  }

  walkwayMoved(steps) {
    const first = document.querySelector('[data-path="$.array.walkway.first"]');
    const every = Number(document.querySelector('[data-path="$.array.walkway.every"]').value);
    const wanted = Number(first.value) + steps;
    return [{ op: "set", path: "$.array.walkway.first", value: wanted < 1 ? wanted + every : wanted }];
  }

  pointerUp(event) {
    if (this.released || this.drawing) return;
    this.released = true;
    const drag = this.drag;
    if (!drag.moved) {
      if (drag.id) this.openThing(drag.id);
      else this.select(this.positionAt(drag.from));
      return;
    }
    if (drag.id) {
      this.store(this.moved(this.place(event)));
    } else if (drag.walkway && drag.steps) {
      this.store(this.walkwayMoved(drag.steps));
    }
  }

  /** Stores a drop; when it is refused the drawing goes back to the stored job. */
  async store(changes) {
    if (!(await this.bench.change(changes))) {
      const page = new DOMParser().parseFromString(await (await fetch(location.href)).text(), "text/html");
      this.showPreview(page.getElementById("plan"));
    }
  }

  openThing(id) {
    const field = document.querySelector(`[data-path="$.roof.obstructions[id=${CSS.escape(id)}].x"]`);
    if (!field) return;
    field.closest("details").open = true;
    field.scrollIntoView({ block: "center" });
    field.focus();
  }

  hover(event) {
    if (!this.svg.contains(event.target)) return;
    const thing = event.target.closest("[data-obstruction], [data-walkway]");
    if (thing) {
      this.named(thing);
      return;
    }
    const position = this.positionAt(this.place(event));
    if (position >= 0) this.bench.tell(this.words(position));
  }

  select(position) {
    if (position < 0) return;
    this.cursor = position;
    this.showCursor();
    this.bench.tell(this.words(position));
    this.bench.explain(`ballast/${this.data.positions[position][2]}`);
  }

  showCursor() {
    const path = document.getElementById("cursor");
    if (!path) return;
    if (this.cursor < 0) {
      path.setAttribute("d", "");
      return;
    }
    const [along, depth] = this.data.size;
    const [ax, ay] = this.data.along;
    const [s, t] = this.data.positions[this.cursor];
    const corner = (ds, dt) => {
      const u = s + ds * along;
      const v = t + dt * depth;
      return `${(u * ax - v * ay) * 100} ${-(u * ay + v * ax) * 100}`;
    };
    path.setAttribute("d", `M${corner(-0.5, -0.5)}L${corner(0.5, -0.5)}L${corner(0.5, 0.5)}L${corner(-0.5, 0.5)}Z`);
  }

  key(event) {
    const thing = event.target.dataset?.obstruction;
    const walkway = event.target.dataset?.walkway;
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    if (this.drawing && (event.key === "Enter" || event.key === "Escape")) {
      event.key === "Enter" ? this.finishDrawing() : this.stopDrawing("Drawing given up; nothing was changed.");
    } else if (way && thing) {
      const start = this.cornerOf(event.target);
      const step = (event.shiftKey ? 5 : 1) * HALF_STEP * this.data.unit;
      this.bench.change(this.placed(thing, start.x + way[0] * step, start.y + way[1] * step));
    } else if (way && walkway) {
      if (way[1]) this.bench.change(this.walkwayMoved(way[1]));
    } else if (way && event.shiftKey) {
      this.view[0] += way[0] * this.view[2] * 0.1;
      this.view[1] -= way[1] * this.view[3] * 0.1;
      this.showView();
    } else if (way) {
      this.walk(way);
    } else if (event.key === "Enter" && thing) {
      this.openThing(thing);
    } else if (event.key === "Enter") {
      this.select(this.cursor);
    } else if (event.key === "+" || event.key === "=") {
      this.zoom(0.8);
    } else if (event.key === "-") {
      this.zoom(1.25);
    } else if (event.key === "0") {
      this.fit();
    } else {
      return;
    }
    event.preventDefault();
  }

  /** Moves the cursor to the nearest position in a direction of the rows. */
  walk([ds, dt]) {
    const all = this.data.positions;
    if (!all.length) return;
    if (this.cursor < 0) {
      this.cursor = 0;
    } else {
      const [s, t] = all[this.cursor];
      let best = -1;
      let least = Infinity;
      all.forEach((q, i) => {
        const ahead = ds ? (q[0] - s) * ds : (q[1] - t) * dt;
        const aside = ds ? Math.abs(q[1] - t) : Math.abs(q[0] - s);
        if (ahead > 0.05 && aside < (ds ? 0.1 : this.data.size[0]) && ahead + aside * 2 < least) {
          least = ahead + aside * 2;
          best = i;
        }
      });
      if (best >= 0) this.cursor = best;
    }
    this.showCursor();
    this.bench.tell(this.words(this.cursor));
  }

  /** Rings around the place of a check. */
  showPlace(check) {
    const path = document.getElementById("place");
    if (!path) return;
    const rings = this.data.places[check] ?? [];
    const ring = (c) => c.map((v, i) => (i % 2 ? -v * 100 : v * 100)).reduce((d, v, i) => d + (i % 2 ? ` ${v}` : `${i ? "L" : "M"}${v}`), "") + "Z";
    path.setAttribute("d", rings.map(ring).join(""));
    if (rings.length) this.bench.tell(`${rings.length} ${rings.length === 1 ? "place" : "places"} of this check, ringed on the roof.`);
  }

  focusWalkway(after) {
    const all = [...this.svg.querySelectorAll("[data-walkway]")];
    all.sort((a, b) => Math.abs(a.dataset.walkway - after) - Math.abs(b.dataset.walkway - after));
    (all[0] ?? this.svg).focus();
  }

  /** The middle of the roof as texts, for a new obstruction. */
  middle() {
    const box = this.svg.querySelector(".outline").getBBox();
    return { x: this.length((box.x + box.width / 2) / 100), y: this.length(-(box.y + box.height / 2) / 100) };
  }

  /** Starts drawing the outline or the AC run by clicks; Enter or a double click ends it. */
  draw(kind) {
    this.drawing = { kind, points: [] };
    this.svg.focus();
    this.bench.tell(`Click the ${kind === "run" ? "points of the AC run, inverters first" : "corners in order"}; lines snap square. Enter ends it, Escape gives up.`);
  }

  snapped(p) {
    const grid = this.data.unit === 1 ? 0.1 : 0.3048 / 2;
    let x = p.x / 100;
    let y = -p.y / 100;
    const last = this.drawing.points.at(-1);
    if (last && Math.abs(x - last.x) < Math.abs(y - last.y) * 0.12) x = last.x;
    if (last && Math.abs(y - last.y) < Math.abs(x - last.x) * 0.12) y = last.y;
    return { x: Math.round(x / grid) * grid, y: Math.round(y / grid) * grid };
  }

  addPoint(p) {
    const point = this.snapped(p);
    const last = this.drawing.points.at(-1);
    if (!last || Math.hypot(point.x - last.x, point.y - last.y) > 0.05) this.drawing.points.push(point);
    this.sketch(p);
  }

  sketch(p) {
    const points = [...this.drawing.points, this.snapped(p)];
    const d = points.map((q, i) => `${i ? "L" : "M"}${q.x * 100} ${-q.y * 100}`).join("");
    this.svg.querySelector("#draft").innerHTML = `<path d="${d}"/>`;
    const last = points.at(-2);
    if (last) this.bench.tell(`${points.length - 1} points, this leg ${this.length(Math.hypot(points.at(-1).x - last.x, points.at(-1).y - last.y))}. Enter ends it, Escape gives up.`);
  }

  stopDrawing(words) {
    this.drawing = null;
    this.svg.querySelector("#draft").innerHTML = "";
    this.bench.tell(words);
  }

  finishDrawing() {
    if (!this.drawing) return;
    const { kind, points } = this.drawing;
    const least = kind === "run" ? 2 : 3;
    if (points.length < least) {
      this.bench.tell(`${points.length} points are too few: click at least ${least}, then Enter.`);
      return;
    }
    this.stopDrawing("");
    const corners = points.map((p) => ({ x: this.length(p.x), y: this.length(p.y) }));
    this.bench.change(
      kind === "run"
        ? [{ op: "set", path: "$.electrical.run.points", value: corners }]
        : [{ op: "set", path: "$.roof.outline", value: { kind: "drawn", corners } }],
    );
  }
}
