// Tools of the drawing have one contract, and one of them is active: it holds the pointer, or was chosen and has it until it ends.

/** Arrow keys as steps on the sheet. */
export const WAYS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };

/** What every tool answers; one that does not care says nothing. */
export class Tool {
  constructor(plan) {
    this.plan = plan;
  }

  /** The pointer goes down: whether the tool takes it and gets what follows until it goes up. */
  down() {
    return false;
  }

  /** The pointer moves while the tool is active. */
  move() {}

  /** The pointer that was taken goes up. */
  up() {}

  /** A key on the drawing: whether it meant something. */
  key() {
    return false;
  }

  /** Given up: nothing is changed. */
  cancel() {}

  /** The drawing is a fresh one, or is seen at another scale. */
  draw() {}
}

/** Who of the tools gets pointer and keys. */
export class Tools {
  /** @param tools in the order in which they are offered the pointer; the last one takes what is left */
  constructor(plan, tools) {
    this.plan = plan;
    this.tools = tools;
    this.chosen = null;
    this.held = null;
    window.addEventListener("pointermove", (e) => this.move(e));
    window.addEventListener("pointerup", (e) => this.up(e));
    window.addEventListener("pointercancel", (e) => this.up(e));
  }

  get active() {
    return this.held ?? this.chosen;
  }

  /** Gives a tool pointer and keys until it ends; the one before it is given up. */
  choose(tool) {
    if (this.chosen && this.chosen !== tool) this.chosen.cancel();
    this.chosen = tool;
  }

  /** The tool has ended. */
  end(tool) {
    if (this.chosen === tool) this.chosen = null;
  }

  take(svg) {
    svg.addEventListener("pointerdown", (e) => this.down(e));
    svg.addEventListener("keydown", (e) => this.key(e));
  }

  down(event) {
    if (this.plan.view.pinch(event)) {
      this.drop();
      return;
    }
    if (event.button !== 0) return;
    this.held = (this.chosen ? [this.chosen] : this.tools).find((t) => t.down(event)) ?? null;
    this.hold = {};
    if (this.held) event.preventDefault();
  }

  move(event) {
    if (this.plan.view.pinch(event)) return;
    if (this.active) this.active.move(event);
    else this.plan.hover(event);
  }

  up(event) {
    this.plan.view.pinch(event);
    if (event.type === "pointercancel") {
      this.drop();
      return;
    }
    const tool = this.held;
    this.held = null;
    this.plan.view.preview = false;
    tool?.up(event);
  }

  /** What is held is let go of, and nothing is changed; a tool that was chosen goes on. */
  drop() {
    const tool = this.held;
    this.held = null;
    this.plan.view.preview = false;
    if (!tool || tool === this.chosen) return;
    tool.cancel();
    this.plan.giveUp();
  }

  key(event) {
    if (event.ctrlKey || event.metaKey || event.target.dataset?.zone) return;
    if (event.key === "Escape" && this.held && this.held !== this.chosen) this.drop();
    else if (!this.chosen?.key(event) && !this.tools.some((t) => t !== this.chosen && t.key(event))) return;
    event.preventDefault();
  }

  draw() {
    this.tools.forEach((t) => t.draw());
  }
}
