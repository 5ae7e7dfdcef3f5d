// The field of options: asks for them, draws them as points with their frontier, shows one, keeps a list beside.
import { frontier, ticks, unbeaten } from "./frontier.js";
import { token } from "./token.js";

const page = document.getElementById("options");
const slug = page.dataset.slug;
const place = page.dataset.place ? { "X-Array": page.dataset.place } : {};
const MOST_LISTED = 150;
const BOX = { left: 74, right: 704, top: 14, bottom: 380 };

let loadUnit = "";
let currency = "";
let gapUnit = "";
/** Figures to choose from: key, name, unit, sense, decimals. */
const FIGURES = [
  ["kwh", "Energy of a year", () => "MWh", 1, (v) => v / 1000],
  ["kwhPerModule", "Energy per module", () => "kWh", 1, (v) => v],
  ["used", "Used on site", () => "MWh", 1, (v) => v / 1000],
  ["usedShare", "Share used on site", () => "%", 1, (v) => 100 * v],
  ["modules", "Modules", () => "", 1, (v) => v],
  ["kwp", "DC power", () => "kWp", 1, (v) => v],
  ["blocks", "Blocks", () => "", -1, (v) => v],
  ["load", "Added load, heaviest", () => loadUnit, -1, (v) => v],
  ["cost", "Cost", () => currency, -1, (v) => v],
  ["payback", "Simple payback", () => "years", -1, (v) => v],
  ["gap", "Row gap or valley", () => gapUnit, 0, (v) => v],
  ["coverage", "Ground coverage ratio", () => "%", 1, (v) => 100 * v],
  ["shadeFree", "Shade-free sun angle", () => "°", -1, (v) => v],
  ["tilt", "Tilt", () => "°", 0, (v) => v],
].map(([key, name, unit, sense, of]) => ({ key, name, unit, sense, of }));

const at = (id) => document.getElementById(id);
let run = null;
let options = [];
let present = null;
let shown = [];
let picked = 0;

for (const [id, first] of [["up", "kwh"], ["across", "load"]]) {
  at(id).replaceChildren(...FIGURES.map((f) => new Option(f.name, f.key, f.key === first, f.key === first)));
  at(id).addEventListener("change", draw);
}
const SENSED = FIGURES.filter((f) => f.sense);
at("third").replaceChildren(new Option("nothing", ""), ...SENSED.map((f) => new Option(f.name, f.key)));
for (const id of ["sound", "third", "without"]) at(id).addEventListener("change", draw);

/** The checks that fail in some option, to leave those options out. */
function checksToChoose() {
  const titles = [...new Set(options.flatMap((o) => o.failed ?? []))].sort();
  const now = [...at("without").options].slice(1).map((o) => o.value);
  if (titles.join() === now.join()) return;
  const kept = at("without").value;
  at("without").replaceChildren(new Option("show all", ""), ...titles.map((t) => new Option(t, t)));
  at("without").value = titles.includes(kept) ? kept : "";
}

const figure = (id) => FIGURES.find((f) => f.key === at(id).value);
const number = (value, most = 1, least = 0) =>
  value == null ? "?" : value.toLocaleString("en", { maximumFractionDigits: most, minimumFractionDigits: least, useGrouping: Math.abs(value) >= 10000 });

async function json(path, body) {
  const answer = await fetch(path, {
    method: body ? "POST" : "GET",
    headers: { Accept: "application/json", ...(body ? { "Content-Type": "application/json", ...token() } : {}), ...place },
    body: body && JSON.stringify(body),
  });
  const said = await answer.json();
  if (!answer.ok) throw new Error(said.problems?.map((p) => `${p.label} ${p.message}`).join("; ") ?? said.message ?? "refused");
  return said;
}

at("ask").addEventListener("submit", async (event) => {
  event.preventDefault();
  const form = new FormData(event.target);
  const mine = (run = {});
  at("state").textContent = "Working…";
  try {
    const begun = await json(`/jobs/${slug}/options`, {
      trays: form.getAll("tray"),
      modules: form.getAll("module"),
      everyDirection: form.get("directions") === "all",
      shiftEach: form.has("shift"),
    });
    if (run !== mine) return;
    Object.assign(mine, begun);
    ({ loadUnit, gapUnit, currency } = begun);
    present = begun.now;
    options = [];
    picked = 0;
    at("card").inert = false;
    at("loadhead").textContent = `Load, ${loadUnit}`;
    at("field").hidden = at("list").hidden = at("stop").hidden = at("bar").hidden = false;
    at("bar").max = begun.total;
    at("field").scrollIntoView({ block: "nearest" });
    at("card").replaceChildren(Object.assign(document.createElement("p"), { className: "quiet", textContent: "Pick a point, or an option of the list." }));
    await follow(mine);
  } catch (e) {
    if (run === mine) at("state").textContent = e instanceof TypeError ? "The server does not answer: try again." : e.message;
  } finally {
    if (run === mine) at("stop").hidden = at("bar").hidden = true;
  }
});

at("stop").addEventListener("click", () => run?.id && json(`/jobs/${slug}/options/${run.id}/stop`, {}));

/** Asks after the options until all are there. */
async function follow(mine) {
  for (;;) {
    const news = await json(`/jobs/${slug}/options/${mine.id}?have=${options.length}`);
    if (run !== mine) return;
    options.push(...news.options);
    const done = options.length;
    at("bar").value = done;
    const left = mine.total - done;
    at("state").textContent = !news.ended
      ? `${done} of ${mine.total}`
      : news.failed
        ? `${done} of ${mine.total}: the rest could not be worked out`
        : left
          ? `Stopped at ${done} of ${mine.total}`
          : `${mine.total} options`;
    draw();
    if (news.ended) return;
    await new Promise((r) => setTimeout(r, 500));
  }
}

function element(name, attributes, text) {
  const e = document.createElementNS("http://www.w3.org/2000/svg", name);
  for (const [k, v] of Object.entries(attributes)) e.setAttribute(k, v);
  if (text != null) e.textContent = text;
  return e;
}

/** A scale from values to the box. */
function scale(values, from, to) {
  let least = Math.min(...values);
  let most = Math.max(...values);
  const room = (most - least || Math.abs(most) || 1) * 0.06;
  least -= room;
  most += room;
  const map = (v) => from + ((v - least) / (most - least)) * (to - from);
  return { map, ticks: ticks(least, most) };
}

function draw() {
  const up = figure("up");
  const across = figure("across");
  const third = FIGURES.find((f) => f.key === at("third").value);
  const both = (o) => o.reason === undefined && o[up.key] != null && o[across.key] != null && (!third || o[third.key] != null);
  checksToChoose();
  const without = at("without").value;
  const wanted = options.filter((o) => both(o) && (!at("sound").checked || (o.fails === 0 && o.more === 0)) && !o.failed?.includes(without));
  const points = wanted.map((o) => ({ o, x: across.of(o[across.key]), y: up.of(o[up.key]), z: third?.of(o[third.key]) }));
  if (third && up.sense && across.sense) {
    const front = unbeaten(points.map((p) => [p.x, p.y, p.z]), [across.sense, up.sense, third.sense]);
    points.forEach((p, i) => (p.front = front[i]));
  }
  const [small, large] = [Math.min(...points.map((p) => p.z)), Math.max(...points.map((p) => p.z))];
  for (const p of points) p.size = third ? 0.6 + (1.3 * (p.z - small)) / (large - small || 1) : 1;
  at("thirdkey").hidden = !third;
  if (third) at("thirdwords").textContent = `larger: more of ${third.name.toLowerCase()}${third.unit() ? `, ${number(small, 2)} to ${number(large, 2)} ${third.unit()}` : ""}; thick outline: no option shown beats it in all three`;
  const now = present && both(present) ? { o: present, x: across.of(present[across.key]), y: up.of(present[up.key]) } : null;
  const all = now ? [...points, now] : points;
  const picture = at("picture");
  picture.replaceChildren();
  shown = points.sort((a, b) => a.x - b.x || a.y - b.y);
  list(up);
  if (!all.length) {
    picture.append(element("text", { x: 360, y: 200, "text-anchor": "middle" }, "No option to show yet"));
    return;
  }
  const sx = scale(all.map((p) => p.x), BOX.left, BOX.right);
  const sy = scale(all.map((p) => p.y), BOX.bottom, BOX.top);
  for (const t of sx.ticks) {
    picture.append(element("line", { x1: sx.map(t), x2: sx.map(t), y1: BOX.top, y2: BOX.bottom, class: "grid" }));
    picture.append(element("text", { x: sx.map(t), y: BOX.bottom + 17, "text-anchor": "middle" }, number(t, 3)));
  }
  for (const t of sy.ticks) {
    picture.append(element("line", { x1: BOX.left, x2: BOX.right, y1: sy.map(t), y2: sy.map(t), class: "grid" }));
    picture.append(element("text", { x: BOX.left - 7, y: sy.map(t) + 4, "text-anchor": "end" }, number(t, 3)));
  }
  const label = (f) => f.name + (f.unit() ? `, ${f.unit()}` : "") + ["", " (more is better)", " (less is better)"].at(f.sense);
  picture.append(element("text", { x: (BOX.left + BOX.right) / 2, y: 422, "text-anchor": "middle", class: "axis" }, label(across)));
  picture.append(element("text", { x: 14, y: (BOX.top + BOX.bottom) / 2, transform: `rotate(-90 14 ${(BOX.top + BOX.bottom) / 2})`, "text-anchor": "middle", class: "axis" }, label(up)));
  // a tilt is neither better nor worse: no frontier then
  const edge = across.sense && up.sense && !third ? frontier(points, { x: across.sense, y: up.sense }) : [];
  const steps = edge.map((p, i) => (i ? `H${sx.map(p.x)}V${sy.map(p.y)}` : `M${sx.map(p.x)} ${sy.map(p.y)}`)).join("");
  if (steps) picture.append(element("path", { d: steps, class: "frontier" }));
  for (const p of points) picture.append(mark(p, sx, sy));
  if (now) {
    const d = `M${sx.map(now.x)} ${sy.map(now.y) - 8}l8 8-8 8-8-8Z`;
    const e = element("path", { d, class: "opt present" });
    e.append(element("title", {}, "the job now"));
    picture.append(e);
  }
}

function mark(p, sx, sy) {
  const x = sx.map(p.x);
  const y = sy.map(p.y);
  const here = (p.o.n === picked ? " picked" : "") + (p.front ? " front" : "");
  const k = p.size;
  const e = p.o.fails
    ? element("path", { d: `M${x} ${y - 5 * k}l${5 * k} ${9 * k}h${-10 * k}Z`, class: `opt failing${here}`, "data-n": p.o.n })
    : p.o.more
      ? element("path", { d: `M${x - 4 * k} ${y - 4 * k}h${8 * k}v${8 * k}h${-8 * k}Z`, class: `opt more${here}`, "data-n": p.o.n })
      : element("circle", { cx: x, cy: y, r: 4.5 * k, class: `opt sound${here}`, "data-n": p.o.n });
  e.append(element("title", {}, p.o.words));
  return e;
}

function list(up) {
  const best = [...shown].sort((a, b) => (up.sense || 1) * (b.y - a.y)).slice(0, MOST_LISTED);
  at("listed").textContent = best.length < shown.length ? `${best.length} of ${shown.length}` : String(best.length);
  at("order").textContent = `by ${up.name.toLowerCase()}`;
  at("rows").replaceChildren(
    ...best.map(({ o }) => {
      const row = document.createElement("tr");
      if (o.n === picked) row.className = "here";
      const name = document.createElement("td");
      name.append(Object.assign(document.createElement("button"), { type: "button", className: "linklike", textContent: o.words }));
      name.firstChild.dataset.n = o.n;
      const cells = [o.modules, number(o.kwp, 1, 1), number(o.kwh / 1000, 1, 1), number(o.kwhPerModule, 0), o.blocks ?? "?", o.attachments || "–", number(o.load, 2, 2), number(o.cost, 0), number(o.payback, 1, 1)];
      row.append(name, ...cells.map((c) => Object.assign(document.createElement("td"), { className: "num", textContent: c })));
      row.append(Object.assign(document.createElement("td"), { textContent: o.fails ? `✕ ${o.fails} ${o.fails === 1 ? "check fails" : "checks fail"}` : o.more ? `E ${o.more} new open ${o.more === 1 ? "item" : "items"}` : "✓ no check fails" }));
      return row;
    }),
  );
  const never = options.filter((o) => o.reason !== undefined);
  at("never").hidden = never.length === 0;
  at("nevers").textContent = String(never.length);
  at("reasons").replaceChildren(...never.slice(0, MOST_LISTED).map((o) => Object.assign(document.createElement("li"), { textContent: `${o.words}: ${o.reason}` })));
}

async function pick(n) {
  picked = n;
  draw();
  // what is shown there is another option: it cannot be taken until the one picked has come
  at("card").inert = true;
  let card = null;
  let wrong = "These options are no longer kept: work them out again.";
  try {
    const answer = await fetch(`/jobs/${slug}/options/${run.id}/${n}`, { headers: { Accept: "text/html", ...place } });
    card = new DOMParser().parseFromString(await answer.text(), "text/html").querySelector(".optioncard");
  } catch {
    wrong = "The server does not answer: try again.";
  }
  if (picked !== n) return;
  at("card").inert = false;
  at("card").replaceChildren(card ?? Object.assign(document.createElement("p"), { className: "fault", textContent: wrong }));
}

page.addEventListener("click", ({ target }) => {
  const n = target.closest?.("[data-n]")?.dataset.n;
  if (n) pick(Number(n));
});

at("picture").addEventListener("keydown", (event) => {
  const step = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
  if (!step || !shown.length) return;
  event.preventDefault();
  const i = shown.findIndex((p) => p.o.n === picked);
  pick(shown[Math.max(0, Math.min(shown.length - 1, i < 0 ? 0 : i + step))].o.n);
});
