// The drawing: what is on it, what is picked and what its tools share. Pointer and keys go to the tools.
import { Areas } from "./areas.js";
import { Cut } from "./cut.js";
import { PutIn } from "./hand.js";
import { typedLength } from "./lengths.js";
import { Measure } from "./measure.js";
import { Picked } from "./picked.js";
import { RoofData } from "./roofdata.js";
import { Sheet, Things, Walkways } from "./grips.js";
import { Sketch } from "./sketch.js";
import { Tools } from "./tools.js";
import { View } from "./view.js";

export class Plan {
  constructor(bench) {
    this.bench = bench;
    this.cursor = -1;
    this.view = new View(() => this.tools?.draw());
    this.picked = new Picked(this);
    this.measure = new Measure(this);
    this.sketch = new Sketch(this);
    this.cut = new Cut(this);
    this.areas = new Areas(this);
    this.moving = new Things(this);
    this.putIn = new PutIn(this);
    this.tools = new Tools(this, [this.cut, this.areas, this.moving, new Walkways(this), new Sheet(this)]);
    document.addEventListener("click", (e) => this.button(e.target.closest("button")?.id));
  }

  tell(words) {
    this.bench.tell(words);
  }

  /** Takes up a fresh drawing, keeping the view. */
  attach() {
    this.take();
    this.snapLines = null;
    this.original = null;
    this.view.takeMap();
    this.takeSvg(document.getElementById("plan"));
    this.showCursor();
    this.picked.refresh();
    this.measure.toggle(false);
    this.cut.attach();
  }

  /** Takes up fresh data; cursor and picks stay with the places they are at, whatever its order is now. */
  take() {
    const before = this.data?.positions ?? [];
    const at = before[this.cursor]?.id;
    const picked = [...this.picked.ids].map((i) => before[i]?.id);
    this.data = new RoofData(document.getElementById("plan-data").textContent);
    const now = new Map(this.data.positions.map((p, i) => [p.id, i]));
    this.cursor = now.get(at) ?? -1;
    this.picked.ids = new Set(picked.map((id) => now.get(id)).filter((i) => i !== undefined));
  }

  /** Parts of the drawing came anew; the drawing itself is the one that was there before any preview. */
  refresh(names) {
    if (names.includes("plan-data")) this.take();
    this.snapLines = null;
    if (names.includes("minimap")) this.view.takeMap();
    this.view.refresh(this.data);
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
    this.tools.take(svg);
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
    this.view.preview = this.holding();
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

  /** Whether something is being dragged, so that a preview of it is wanted. */
  holding() {
    return this.tools.held !== null;
  }

  /** One object for each time something is held; null while nothing is. */
  drag() {
    return this.tools.held && this.tools.hold;
  }

  /** The element of a pin; null where the id is none of a pin. */
  pin(id) {
    return this.svg.querySelector(`[data-pin="${CSS.escape(id)}"]`);
  }

  /** The element of an obstruction or a pin. */
  thing(id) {
    return this.svg.querySelector(`[data-obstruction="${CSS.escape(id)}"]`) ?? this.pin(id);
  }

  /** A click on the sheet picks the position there, with Shift one more. */
  pickAt(at, more) {
    const position = this.data.positionAt(at);
    if (position < 0) this.picked.clear();
    else if (more) this.picked.one(position, true);
    else this.select(position);
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

  /** What was being dragged stays where it was. */
  giveUp() {
    this.restore();
    this.bench.endPreview();
    this.view.refresh(this.data);
  }

  /** Stores a drop; when it is refused the drawing goes back to the stored job. */
  async store(changes) {
    if (!(await this.bench.change(changes))) this.giveUp();
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
    this.bench.explain(`ballast/${this.data.positions[position].id}`);
  }

  /** Shows where a figure of a position or module lies. */
  showFigureOf(id) {
    const at = this.data.positions.findIndex((p) => p.id === id);
    if (at < 0 || at === this.cursor) return;
    this.cursor = at;
    this.showCursor();
    this.view.bringIn(this.data.onPlan(this.data.positions[at].s, this.data.positions[at].t));
  }

  /** Leaves out the modules that stand on positions, or between joints. */
  leaveOut(positions) {
    return this.bench.ask({ what: "leave-out", positions: positions.map((i) => this.data.positions[i].id) });
  }

  showCursor() {
    const path = document.getElementById("cursor");
    if (!path) return;
    const d = this.cursor < 0 ? "" : this.data.quadOf(this.cursor).map((p, i) => `${i ? "L" : "M"}${p.x * 100} ${-p.y * 100}`).join("") + "Z";
    path.setAttribute("d", d);
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
