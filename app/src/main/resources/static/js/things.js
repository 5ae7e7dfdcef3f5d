// Things on the drawing as things: copied, pasted, doubled and removed, by keys, the clipboard and a menu of their own.
import { workOut } from "./workout.js";

let copied = null;
let pointer = null;

/** The thing that has the focus, or that is pointed at. */
function thingAt(element) {
  const at = element?.closest?.("#plan [data-obstruction], #plan [data-pin]");
  if (!at) return null;
  const id = at.dataset.obstruction ?? at.dataset.pin;
  const list = at.dataset.obstruction ? "roof.obstructions" : "survey.pins";
  return { id, line: at.dataset.line, path: `$.${list}[id=${id}]`, element: at };
}

export function startThings(bench) {
  const tell = (problems) => bench.tell(problems.map((p) => p.message).join(" "));
  const ask = async (asked) => {
    const changes = await workOut(bench.slug(), asked, tell);
    if (changes) await bench.change(changes);
  };
  const acts = {
    double: (thing) => ask({ what: "copy", id: thing.id }),
    remove: (thing) => bench.change([{ op: "remove", path: thing.path }]),
    copy: (thing) => {
      copied = { id: thing.id, line: thing.line };
      bench.tell(`Copied: ${thing.line}.`);
    },
    paste: async (text, at) => {
      const place = at ? { x: at.x, y: at.y } : {};
      const line = text.trim();
      if (!line) bench.tell("Nothing has been copied: copy a thing, or a line such as RTU 1, 10x6x5, 30' from edge 6, 25' from edge 1.");
      else if (copied?.line === line) await ask({ what: "copy", id: copied.id, ...place });
      else await ask({ what: "thing", line, ...place });
    },
  };

  const typing = () => document.activeElement?.matches("input, textarea, select, [contenteditable]");
  const overPlan = () => (pointer && document.getElementById("plan").matches(":hover") ? bench.plan.view.place(pointer) : null);
  window.addEventListener("pointermove", (e) => (pointer = e));

  document.addEventListener("copy", (event) => {
    const thing = thingAt(document.activeElement);
    if (!thing?.line || !getSelection().isCollapsed) return;
    event.clipboardData.setData("text/plain", thing.line);
    event.preventDefault();
    acts.copy(thing);
  });
  document.addEventListener("paste", (event) => {
    if (typing()) return;
    event.preventDefault();
    acts.paste(event.clipboardData.getData("text/plain"), overPlan());
  });
  document.addEventListener("keydown", (event) => {
    const thing = thingAt(document.activeElement);
    const picked = [...bench.plan.picked.ids];
    const here = document.activeElement === document.body || document.activeElement?.closest("#plan, #picked, #working");
    if (!thing && picked.length && here && !typing() && (event.key === "Delete" || event.key === "Backspace")) {
      event.preventDefault();
      bench.plan.leaveOut(picked);
    }
    if (!thing) return;
    if (event.key === "Delete" || event.key === "Backspace") acts.remove(thing);
    else if (thing.line && (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "d") acts.double(thing);
    else return;
    event.preventDefault();
  });

  // the menu of a thing, a module or a place
  const menu = Object.assign(document.createElement("div"), { id: "menu", className: "thingmenu", hidden: true });
  menu.setAttribute("role", "menu");
  document.body.append(menu);
  let from = null;
  const shut = (back) => {
    if (menu.hidden) return;
    menu.hidden = true;
    if (back && from?.isConnected) from.focus({ preventScroll: true });
  };
  const item = (words, act) => {
    const made = Object.assign(document.createElement("button"), { type: "button", textContent: words });
    made.setAttribute("role", "menuitem");
    made.addEventListener("click", () => {
      shut(true);
      act();
    });
    return made;
  };
  const onThing = (thing) => [
    item("Fields", () => bench.plan.openThing(thing.id)),
    ...(thing.line ? [item("Duplicate", () => acts.double(thing)), item("Copy", () => copyText(thing))] : []),
    item("Measure from here", () => bench.plan.measureByKey(thing.id)),
    item("Remove", () => acts.remove(thing)),
  ];
  const copyText = async (thing) => {
    acts.copy(thing);
    await navigator.clipboard.writeText(thing.line).catch(() => {});
  };
  const onRoof = (at, position) => [
    ...(position < 0
      ? []
      : [
          item("Working", () => bench.plan.select(position)),
          item("Pick the row", () => bench.plan.picked.row(position)),
          item("Pick all like it", () => bench.plan.picked.alike(position)),
          item("Leave it out", () => bench.plan.leaveOut([position])),
          item("Lock its row", () => bench.ask({ what: "lock-rows", positions: [bench.plan.data.positions[position].id] })),
          item("Bring its row in line", () => bench.ask({ what: "align-rows", positions: [bench.plan.data.positions[position].id] })),
        ]),
    item("Paste here", async () => acts.paste((await navigator.clipboard.readText().catch(() => null)) ?? copied?.line ?? "", at)),
    item("Put modules in", () => bench.plan.putIn.on || bench.plan.putIn.start()),
    item("Fit the roof", () => bench.plan.view.fit()),
  ];
  document.addEventListener("contextmenu", (event) => {
    const plan = event.target.closest("#plan");
    if (!plan || bench.plan.sketch.on) return;
    event.preventDefault();
    const byKey = event.button !== 2;
    const thing = thingAt(byKey ? document.activeElement : event.target);
    const at = byKey ? null : bench.plan.view.place(event);
    const position = at ? bench.plan.data.positionAt(at) : bench.plan.cursor;
    from = document.activeElement;
    menu.replaceChildren(...(thing ? onThing(thing) : onRoof(at, position)));
    menu.hidden = false;
    const box = thing && byKey ? thing.element.getBoundingClientRect() : null;
    const [x, y] = box ? [box.right, box.bottom] : [event.clientX, event.clientY];
    menu.style.left = `${Math.min(x, innerWidth - menu.offsetWidth - 4)}px`;
    menu.style.top = `${Math.min(y, innerHeight - menu.offsetHeight - 4)}px`;
    menu.firstElementChild.focus();
  });
  menu.addEventListener("keydown", (event) => {
    const all = [...menu.children];
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step) all[(all.indexOf(document.activeElement) + step + all.length) % all.length].focus();
    else if (event.key === "Escape" || event.key === "Tab") shut(true);
    else return;
    event.preventDefault();
    event.stopPropagation();
  });
  document.addEventListener("pointerdown", (event) => event.target.closest("#menu") || shut(false));

  // the edge whose fields are in use is lit on the plan
  document.addEventListener("focusin", (event) => {
    const edge = /^\$\.roof\.parapets\[edge=(\d+)\]/.exec(event.target.dataset?.path ?? "");
    bench.plan.lightEdge(edge ? Number(edge[1]) : 0);
  });
}
