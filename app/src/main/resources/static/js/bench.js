// The work surface of a job: entry, change, undo, workings. The plan itself is in plan.js.
import { Plan } from "./plan.js";
import { showList, listShown, refreshList } from "./list.js";
import { startTape } from "./tape.js";
import { showBanner } from "./banner.js";
import { clearFaults, fieldChanged, markAllRefused, openFields, showProblems } from "./fields.js";
import { startMakers, workOut } from "./workout.js";
import { startNews } from "./news.js";
import * as stages from "./stages.js";
import { startThings } from "./things.js";
import { freshKey, looking, token } from "./token.js";
import { forgetWays, offerWays } from "./ways.js";
import * as working from "./working.js";
import * as zones from "./zones.js";
import { lookUpSite } from "./sitevalues.js";

const plan = new Plan({ change, preview, endPreview, explain: open, tell, look: lookAt, ask, slug, list: () => showList(slug(), !listShown()) });
let since = "";

function bench() {
  return document.getElementById("bench");
}

function slug() {
  return bench().dataset.slug;
}

function tell(words) {
  document.getElementById("told").textContent = words;
}

async function post(path, body, accept = "application/json, text/html") {
  return fetch(`/jobs/${slug()}/${path}`, {
    method: "POST",
    headers: { "Content-Type": "application/json", Accept: accept, ...have(), ...token() },
    body: JSON.stringify(body),
  });
}

/** Parts of the page that a preview has written over. */
const STALE = "titleblock difference";
let stale = false;

/** What this window shows, so that the answer brings only what is different. */
function have() {
  return { "X-Have": bench().dataset.rendering ?? "", ...(stale ? { "X-Stale": STALE } : {}) };
}

async function benchSince(revision) {
  return fetch(`/jobs/${slug()}/bench?from=${revision}`, { headers: { ...have(), ...looking() } });
}

/** One edit has one key however often it is sent: an answer that was lost on the way is asked for again. */
async function postOnce(path, body) {
  const keyed = { ...body, key: freshKey() };
  for (const wait of [300, 1200]) {
    try {
      return await post(path, keyed);
    } catch {
      await new Promise((later) => setTimeout(later, wait));
    }
  }
  return post(path, keyed);
}

let turn = Promise.resolve();

/** Stores a change as one revision once those before it have been answered, so that quick typing does not overtake itself. */
function change(...what) {
  turn = turn.catch(() => {}).then(() => changeNow(...what));
  return turn;
}

/** On refusal shows each problem beside its field. */
async function changeNow(changes, field = null, base = Number(bench().dataset.revision)) {
  clearFaults();
  let answer;
  try {
    // on a roof of many corners the drawing and the totals come first, fields and checks after them
    answer = await postOnce("change", { base, changes, soon: plan.large() });
  } catch {
    showBanner(["The server does not answer. What you typed is still here; try again."]);
    return false;
  }
  if (answer.ok && plan.large()) {
    const page = parse(await answer.text());
    bench().dataset.revision = page.getElementById("bench").dataset.revision;
    showPreview(page);
    const rest = await benchSince(base);
    if (rest.ok) swap(await rest.text());
    else showBanner(["The change is stored, but the rest of the page could not be brought up to date."], [["Load the page again", () => location.reload()]]);
    return true;
  }
  if (answer.ok) {
    swap(await answer.text());
    return true;
  }
  const told = await answer.json();
  if (answer.status === 409) {
    const newest = Math.max(...told.problems.map((p) => Number(p.value)));
    showBanner(["Another window changed this job first:", ...told.problems.map((p) => p.message), "Yours is not stored yet."], [
      ["Apply mine on top", () => change(changes, field, newest)],
      ["Show theirs", () => bringIn(base)],
    ]);
    return false;
  }
  const tray = changes.length === 1 && changes[0].path === "$.array.tray";
  if (tray && told.problems.every((p) => p.path === "$.array.gap")) {
    // the gap chosen belongs to the other tray system; its place in the form offers no way to change it first
    showBanner(told.problems.map((p) => `${p.message}.`), [
      ["Take the tray system with its own smallest gap", () => change([...changes, { op: "remove", path: "$.array.gap" }], field)],
      ["Leave everything as it was", () => location.reload()],
    ]);
    return false;
  }
  showProblems(told.problems, field);
  return false;
}

let previewing = false;
let kept = null;
let waiting = null;

/** Shows what a change would do; while one is on its way only the latest waits. What a drag asked for ends with it. */
async function preview(changes) {
  waiting = { changes, drag: plan.drag() };
  if (previewing) {
    return;
  }
  previewing = true;
  try {
    while (waiting) {
      const now = waiting;
      waiting = null;
      const answer = await post("change", { base: 0, preview: true, changes: now.changes });
      const told = await (answer.ok ? answer.text() : answer.json());
      if (!now.drag || plan.drag() !== now.drag) continue;
      if (answer.ok) {
        showPreview(parse(told));
        plan.moving.guides();
      } else {
        tell(told.problems.map((p) => p.message).join(" "));
      }
    }
  } catch {
    tell("No answer from the server: this place is not checked yet.");
  } finally {
    previewing = false;
  }
}

/** The drawing, the totals and what changes, while the rest of the bench stays. */
function showPreview(page) {
  stale = true;
  plan.showPreview(page.querySelector("#planwrap > svg"));
  const cells = document.querySelectorAll("#titleblock > button:not(.worst)");
  kept ??= { difference: document.getElementById("difference"), cells: [...cells].map((cell) => cell.innerHTML) };
  document.getElementById("difference").replaceWith(page.querySelector("#difference"));
  page.querySelectorAll("#titleblock > button").forEach((cell, i) => (cells[i].innerHTML = cell.innerHTML));
}

/** Totals and what changes as they were before previews were shown in their place. */
function endPreview() {
  if (!kept) return;
  document.getElementById("difference").replaceWith(kept.difference);
  document.querySelectorAll("#titleblock > button:not(.worst)").forEach((cell, i) => (cell.innerHTML = kept.cells[i]));
  kept = null;
  stale = false;
}

function parse(html) {
  return new DOMParser().parseFromString(html, "text/html");
}

/** Replaces the work surface, keeping focus, open parts, scroll, view, layers and unsent text. */
function swap(html) {
  const fresh = parse(html).getElementById("bench");
  const old = bench();
  // two answers may come back in the other order; the older one has nothing to say any more
  if (Number(fresh.dataset.revision) < Number(old.dataset.revision)) return;
  plan.restore();
  kept = null;
  if (fresh.dataset.partial !== undefined) {
    patch(fresh);
    return;
  }
  stale = false;
  const active = document.activeElement;
  const path = active?.dataset?.path;
  const planFocus = active?.id === "plan";
  const thing = active?.dataset?.obstruction ?? active?.dataset?.pin;
  const walkway = active?.dataset?.walkway;
  const typed = path && active.value !== active.defaultValue && active.dataset.sent !== active.value ? active.value : null;
  const picked = pickedText(active);
  const tape = document.getElementById("tape");
  const map = document.getElementById("planlist").hidden;
  const tapeText = tape && tape.value !== tape.defaultValue ? tape.value : null;
  keepOpen(old, fresh);
  const scroll = ["entry", "checks", "say"].map((id) => [id, document.getElementById(id).scrollTop]);
  const figure = document.querySelector("#working article")?.dataset.figure;
  const shown = !document.getElementById("say").hidden;
  old.replaceWith(fresh);
  scroll.forEach(([id, top]) => (document.getElementById(id).scrollTop = top));
  arrange();
  if (tapeText !== null && document.getElementById("tape").value !== tapeText) document.getElementById("tape").value = tapeText;
  if (path) {
    const again = document.querySelector(`[data-path="${CSS.escape(path)}"]`);
    if (again) {
      if (typed !== null) again.value = typed;
      again.focus({ preventScroll: true });
      if (picked) again.setSelectionRange(...picked);
    }
  } else if (thing) {
    document.querySelector(`[data-obstruction="${CSS.escape(thing)}"], [data-pin="${CSS.escape(thing)}"]`)?.focus();
  } else if (walkway) {
    plan.focusWalkway(walkway);
  } else if (planFocus) {
    document.getElementById("plan").focus();
  }
  document.getElementById("say").hidden = !(shown && figure);
  if (figure) working.explain(figure, plan);
  if (!map) refreshList(slug());
  if (since) markSince(since);
  markAllRefused();
}

/** What is picked of the text of a field, from and to; null of anything else. */
function pickedText(field) {
  return field?.matches?.("input[data-path]") && field.selectionStart !== null ? [field.selectionStart, field.selectionEnd, field.selectionDirection] : null;
}

/** Parts of the entry stay open or shut as they are. */
function keepOpen(old, fresh) {
  old.querySelectorAll("details[data-section]").forEach((d) => {
    const same = fresh.querySelector(`details[data-section="${d.dataset.section}"]`);
    if (same) same.open = d.open;
  });
}

/** Puts the parts that are different in their places; everything else stays untouched. */
function patch(fresh) {
  const names = fresh.dataset.partial.split(" ").filter(Boolean);
  const active = document.activeElement;
  const held = active?.dataset?.path ?? "";
  const typed = held && active.value !== active.defaultValue && active.dataset.sent !== active.value ? active.value : null;
  const focus = ["obstruction", "pin", "walkway", "corner", "check", "figure"].map((k) => [k, active?.dataset?.[k]]).find(([, value]) => value);
  const picked = pickedText(active);
  const figure = document.querySelector("#working article")?.dataset.figure;
  for (const name of ["revision", "rendering", "place"]) bench().dataset[name] = fresh.dataset[name] ?? "";
  stale = false;
  keepOpen(bench(), fresh);
  for (const name of names) {
    const part = fresh.querySelector(`#${CSS.escape(name)}`);
    const old = document.getElementById(name);
    const tape = old.querySelector("#tape");
    if (tape && tape.value !== tape.defaultValue) part.querySelector("#tape").value = tape.value;
    const top = old.scrollTop;
    old.replaceWith(part);
    part.scrollTop = top;
  }
  arrange(names);
  if (document.activeElement === document.body) {
    const again = held ? document.querySelector(`[data-path="${CSS.escape(held)}"]`) : focus && document.querySelector(`[data-${focus[0]}="${CSS.escape(focus[1])}"]`);
    if (again && typed !== null) again.value = typed;
    if (focus?.[0] === "walkway") plan.focusWalkway(focus[1]);
    else again?.focus({ preventScroll: true });
    if (again && picked) again.setSelectionRange(...picked);
  }
  if (figure) working.explain(figure, plan);
  if (!document.getElementById("planlist").hidden) refreshList(slug());
  if (since) markSince(since);
  markAllRefused();
}

/** Marks what changed since a revision instead of by the last change. */
async function markSince(revision) {
  since = revision;
  const choice = document.getElementById("since");
  choice.value = since;
  if (!since) return;
  if (choice.value !== since) choice.add(new Option(`since ${since}`, since, false, true));
  const answer = await fetch(`/jobs/${slug()}/marks?since=${since}`, { headers: looking() });
  if (!answer.ok) return;
  const told = await answer.json();
  const fresh = parse(told.marks).querySelector("g");
  document.querySelector("#plan .layer-marks").replaceWith(fresh);
  tell(told.words);
}

function arrange(names = null) {
  if (names) plan.refresh(names);
  else plan.attach();
  stages.showStage();
  startTape(slug, change);
  startMakers(slug, change);
  zones.late(slug());
  bench().inert = false;
  bench().dataset.ready = "true";
}

/** A figure chosen from outside its workings. */
function open(figure) {
  working.begin();
  showSay();
  return working.explain(figure, plan);
}

/** Workings and ways out stand beside the drawing while there are any. */
function showSay() {
  const say = document.getElementById("say");
  if (!say.hidden) return;
  say.hidden = false;
  window.dispatchEvent(new Event("resize"));
}

function shutSay() {
  forgetWays();
  working.forget();
  document.getElementById("say").hidden = true;
  window.dispatchEvent(new Event("resize"));
  document.getElementById("plan").focus({ preventScroll: true });
}

/** A check was chosen: its working, its place on the roof, and what could be done. */
function showCheck(button) {
  if (button.dataset.elsewhere) {
    lookAt(button.dataset.elsewhere, `#check=${button.dataset.check}`);
    return;
  }
  plan.showPlace(button.dataset.check);
  showSay();
  if (button.dataset.stops === "true") offerWays(slug(), button.dataset.check);
  else forgetWays();
}

/** Adds an entry to a list: @id becomes a fresh id, @x and @y the middle of the roof. */
function append(button) {
  const at = button.dataset.append.startsWith("$.survey") ? plan.siteMiddle() : plan.middle();
  const id = `n-${Date.now().toString(36)}`;
  const filled = { "@id": id, "@x": at.x, "@y": at.y };
  const value = JSON.parse(button.dataset.template, (key, v) => filled[v] ?? v);
  change([{ op: "append", path: button.dataset.append, value }]);
}

/** Another array, or a roof without one, is looked at; what has to be shown there is said behind the #. */
function lookAt(place, hash = "") {
  location.assign(`/jobs/${slug()}?array=${encodeURIComponent(place)}${hash}`);
}

/** What is asked of arrays and roofs; where the array looked at is gone, the first one is shown. */
async function ask(asked) {
  const changes = await workOut(slug(), asked, (problems) => showProblems(problems, null));
  if (changes) await change(changes);
}

/** The legs of a surveyed way become the legs of the AC run. */
function routeForRun(id) {
  const legs = [];
  for (let i = 0; ; i++) {
    const field = (key) => document.querySelector(`[data-path="$.survey.routes[id=${CSS.escape(id)}].legs[${i}].${key}"]`);
    if (!field("name")) break;
    legs.push({ name: field("name").value, length: field("length").value });
  }
  change([{ op: "set", path: "$.electrical.run.legs", value: legs }]);
}

/** Opens a part of the entry and puts the cursor where the guide points. */
function showEntry(section, field) {
  const part = document.querySelector(`details[data-section="${section}"]`);
  part.open = true;
  stages.reveal(part);
  const at = part.querySelector(field) ?? part.querySelector("summary");
  at.scrollIntoView({ block: "center" });
  at.focus();
}

/** Undoes or redoes, once what was done before has been answered. */
function step(...what) {
  turn = turn.catch(() => {}).then(() => stepNow(...what));
  return turn;
}

/** What another window made is named and asked about first. */
async function stepNow(way, base = Number(bench().dataset.revision), agreed = false) {
  let answer;
  try {
    answer = await postOnce(way, { base, agreed });
  } catch {
    showBanner(["The server does not answer. Nothing is known to have changed; try again."]);
    return;
  }
  if (answer.ok) {
    swap(await answer.text());
    return;
  }
  if (answer.status !== 409) return;
  const { problems } = await answer.json();
  if (problems[0].label === "own") {
    showBanner([problems[0].message], [
      ["Take it back", () => step(way, base, true)],
      ["Leave it", () => {}],
    ]);
    return;
  }
  const newest = Math.max(...problems.map((p) => Number(p.value)));
  showBanner(["This job was changed elsewhere:", ...problems.map((p) => p.message), "Nothing was undone."], [
    ["Show it", () => bringIn(base)],
    [way === "undo" ? "Undo the newest of all" : "Redo", () => step(way, newest)],
  ]);
}

/** Brings the bench to the newest revision. */
async function bringIn(from) {
  const answer = await benchSince(from);
  if (answer.ok) swap(await answer.text());
}

document.addEventListener("change", (event) => {
  const target = event.target;
  if (target.dataset?.path) fieldChanged(target, slug(), change);
  if (target.matches("[data-pick-fields]")) openFields(target, slug());
  if (target.id === "array-choice") lookAt(target.value);
  if (target.id === "since") {
    if (target.value) {
      markSince(target.value);
    } else {
      since = "";
      document.querySelector("#plan .layer-marks").replaceChildren();
    }
  }
  if (target.dataset?.layer) {
    stages.layerChanged();
  }
});

document.addEventListener("click", (event) => {
  const button = event.target.closest("button");
  if (!button) return;
  if (button.dataset.figure && !button.dataset.elsewhere) button.closest("#working") ? working.explain(button.dataset.figure, plan) : open(button.dataset.figure);
  if (button.dataset.show) showEntry(button.dataset.show, button.dataset.at);
  if (button.id === "shut-say") shutSay();
  if (button.id === "as-list") showList(slug(), !listShown());
  if (button.dataset.check) showCheck(button);
  if (button.dataset.way) change(JSON.parse(button.dataset.way));
  if (button.dataset.append) append(button);
  if (button.dataset.look) lookAt(button.dataset.look);
  if (button.dataset.ask) ask({ what: button.dataset.ask, id: button.dataset.id });
  if (button.id === "draw-array") plan.sketch.start("array");
  if (button.id === "draw-area") plan.sketch.start("area");
  if (button.id === "split-array") plan.sketch.start("split");
  if (button.dataset.route) routeForRun(button.dataset.route);
  if (button.id === "look-up-site") lookUpSite(slug());
  if (button.id === "scale-picture") plan.sketch.start("scale");
  if (button.dataset.remove) change([{ op: "remove", path: button.dataset.remove }]);
  if (button.id === "undo") step("undo");
  if (button.id === "redo") step("redo");
  if (button.id === "add-obstruction") {
    const at = plan.middle();
    const id = `o-${Date.now().toString(36)}`;
    change([{ op: "append", path: "$.roof.obstructions", value: { id, name: "New obstruction", x: at.x, y: at.y, width: "4 ft", depth: "4 ft", height: "~3 ft" } }]);
  }
  if (button.id === "draw-run") plan.sketch.start("run");
  if (button.id === "draw-thing") plan.sketch.start("thing");
  if (button.id === "draw-outline") plan.sketch.start("outline");
});

document.addEventListener("keydown", (event) => {
  if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z" || event.target.matches("input, textarea")) return;
  event.preventDefault();
  step(event.shiftKey ? "redo" : "undo");
});

/** A link from another page to a part of the entry. */
function showHash() {
  if (location.hash.startsWith("#check=")) document.querySelector(`#checklist [data-check="${CSS.escape(location.hash.slice(7))}"]`)?.click();
  const part = document.querySelector(`details[id="${CSS.escape(location.hash.slice(1))}"]`);
  if (part) showEntry(part.dataset.section, "input, select, button");
}

window.addEventListener("hashchange", showHash);
zones.listen(slug, (zone) => plan.sketch.on || plan.measure.on || open(`zone/${zone}`));
stages.startStages();
startThings({ plan, change, tell, slug });
arrange();
startNews(slug, () => Number(bench().dataset.revision), bringIn);
showHash();
const told = document.getElementById("banner").dataset.told;
if (told) showBanner(told.split("\n"));
