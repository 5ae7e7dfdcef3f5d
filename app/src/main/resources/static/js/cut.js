// The line of the section on the plan, and the sun in it: day and hour are what is looked at, not stored.
import { looking } from "./token.js";
import { showLength } from "./lengths.js";
import { Tool, WAYS } from "./tools.js";

const END_PX = 7.5;
const GRAB_PX = 3;

export class Cut extends Tool {
  constructor(plan) {
    super(plan);
    this.line = null;
    this.sun = null;
    this.asking = false;
    this.again = false;
    document.addEventListener("input", (e) => this.scrub(e.target));
    document.addEventListener("click", (e) => this.button(e.target.id));
  }

  /** After a fresh page: what was looked at comes back. */
  attach() {
    if (this.size) document.getElementById("stage").classList.add(this.size);
    document.getElementById("section-size").setAttribute("aria-pressed", Boolean(this.size));
    this.draw();
    if (this.line || this.sun) {
      if (this.sun) {
        document.getElementById("sun-day").value = this.sun.day;
        document.getElementById("sun-hour").value = this.sun.hour;
      }
      this.ask();
    }
  }

  ends() {
    const [ax, ay, bx, by] = this.line ?? this.plan.data.cut;
    return { a: { x: ax, y: ay }, b: { x: bx, y: by } };
  }

  draw() {
    const group = this.plan.svg?.querySelector("#cut");
    if (!group || !(this.plan.view.scale() > 0)) return;
    const focus = document.activeElement?.dataset?.cut;
    const { a, b } = this.ends();
    const px = 100 / this.plan.view.scale();
    const r = END_PX * px;
    const line = `M${a.x * 100} ${-a.y * 100}L${b.x * 100} ${-b.y * 100}`;
    const end = (name, p) =>
      `<g class="cutend" data-cut="${name}" tabindex="0" role="button" aria-label="End ${name.toUpperCase()} of the section. Arrow keys move it."><circle cx="${p.x * 100}" cy="${-p.y * 100}" r="${r}"/><text x="${p.x * 100}" y="${-p.y * 100 + r * 0.45}" font-size="${r * 1.35}" text-anchor="middle">${name.toUpperCase()}</text></g>`;
    group.innerHTML = `<path class="cutgrab" d="${line}"/><path class="cutline" d="${line}"/>${end("a", a)}${end("b", b)}`;
    if (focus) group.querySelector(`[data-cut=${focus}]`).focus({ preventScroll: true });
  }

  down(event) {
    const end = event.target.closest(".cutend");
    if (!end && !event.target.closest(".cutgrab")) return false;
    this.held = { end: end?.dataset.cut, from: this.plan.view.place(event), start: this.ends(), client: [event.clientX, event.clientY] };
    end?.focus({ preventScroll: true });
    return true;
  }

  move(event) {
    const { end, from, start, client } = this.held;
    if (Math.hypot(event.clientX - client[0], event.clientY - client[1]) < GRAB_PX) return;
    const at = this.plan.view.place(event);
    const [dx, dy] = [at.x - from.x, at.y - from.y];
    const moved = (p, name) => (end && end !== name ? p : { x: p.x + dx, y: p.y + dy });
    this.set(moved(start.a, "a"), moved(start.b, "b"), end && !event.altKey ? end : null);
  }

  up() {
    this.held = null;
  }

  cancel() {
    const { start } = this.held;
    this.held = null;
    this.set(start.a, start.b, null);
  }

  key(event) {
    const way = WAYS[event.key];
    const end = event.target.dataset?.cut;
    if (!way || !end) return false;
    this.nudge(end, way, event.shiftKey ? 5 : 1);
    return true;
  }

  /** @param square end that is brought square to the rows or along them when it nearly is */
  set(a, b, square) {
    if (square) {
      const fixed = this.plan.data.inRows(square === "a" ? b : a);
      const free = this.plan.data.inRows(square === "a" ? a : b);
      const [ds, dt] = [free.s - fixed.s, free.t - fixed.t];
      if (Math.abs(ds) < Math.abs(dt) * 0.06) free.s = fixed.s;
      else if (Math.abs(dt) < Math.abs(ds) * 0.06) free.t = fixed.t;
      const p = this.plan.data.onPlan(free.s, free.t);
      if (square === "a") a = p;
      else b = p;
    }
    if (Math.hypot(a.x - b.x, a.y - b.y) < 0.6) return;
    this.line = [a.x, a.y, b.x, b.y].map((v) => Math.round(v * 1000) / 1000);
    this.draw();
    this.plan.tell(`Section over ${showLength(Math.hypot(a.x - b.x, a.y - b.y), this.plan.data.unit)}.`);
    this.ask();
  }

  nudge(end, way, times) {
    const { a, b } = this.ends();
    const step = this.plan.data.unit * times;
    const moved = (p) => ({ x: p.x + way[0] * step, y: p.y + way[1] * step });
    this.set(end === "a" ? moved(a) : a, end === "b" ? moved(b) : b, null);
  }

  button(id) {
    if (id === "cut-rows" || id === "cut-roof") {
      this.line = id === "cut-rows" ? null : [...this.plan.data.across];
      this.draw();
      this.ask();
    }
    if (id === "section-size") {
      const tall = document.getElementById("stage").classList.toggle("tallsection");
      this.size = tall ? "tallsection" : null;
      document.getElementById(id).setAttribute("aria-pressed", tall);
      this.plan.view.show();
    }
  }

  scrub(input) {
    if (input.id !== "sun-day" && input.id !== "sun-hour") return;
    const light = document.querySelector("[data-layer=sun]");
    if (!light.checked) light.click();
    this.sun = { day: Number(document.getElementById("sun-day").value), hour: Number(document.getElementById("sun-hour").value) };
    this.ask();
  }

  /** Asks for the section; while one answer is on its way only the latest question waits. */
  async ask() {
    this.again = this.asking;
    if (this.asking) return;
    this.asking = true;
    do {
      this.again = false;
      const { day, hour } = this.sun ?? { day: document.getElementById("sun-day").value, hour: document.getElementById("sun-hour").value };
      const cut = this.line ? `&cut=${this.line.join(",")}` : "";
      const answer = await fetch(`/jobs/${document.getElementById("bench").dataset.slug}/section?day=${day}&hour=${hour}${cut}`, { headers: { Accept: "application/json", ...looking() } });
      if (answer.ok) this.take(await answer.json());
      else this.plan.tell((await answer.json()).problems.map((p) => p.message).join(" "));
    } while (this.again);
    this.asking = false;
  }

  take(told) {
    document.getElementById("sectionview").innerHTML = told.section;
    document.getElementById("section-words").textContent = told.words;
    document.getElementById("sun-day-words").textContent = told.day;
    document.getElementById("sun-hour-words").textContent = told.hour;
    const fresh = new DOMParser().parseFromString(told.sun, "image/svg+xml").getElementById("sun");
    this.plan.svg.querySelector("#sun")?.replaceWith(document.importNode(fresh, true));
  }
}
