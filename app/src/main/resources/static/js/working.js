// The working of a figure beside the drawing: from figure to inputs and back again.
import { looking } from "./token.js";
let trail = [];
/** The figure asked for last: an older one that comes late is not shown any more. */
let wanted = null;

function slug() {
  return document.getElementById("bench").dataset.slug;
}

function place() {
  return document.getElementById("working");
}

/** Opens the working of a figure; one that is open already is brought up to date in its place. */
export async function explain(figure, plan) {
  const mine = (wanted = { figure });
  const answer = await fetch(`/jobs/${slug()}/working?figure=${encodeURIComponent(figure)}`, { headers: { Accept: "text/html", ...looking() } });
  if (!answer.ok && wanted === mine) {
    place().replaceChildren(Object.assign(document.createElement("p"), { className: "quiet", textContent: "This figure is no longer part of the design." }));
    return;
  }
  const html = await answer.text();
  if (wanted !== mine) return;
  const article = new DOMParser().parseFromString(html, "text/html").querySelector("article");
  const known = trail.findIndex((t) => t.figure === figure);
  const title = article.querySelector("h2").textContent;
  trail = known >= 0 ? trail.slice(0, known + 1) : [...trail, { figure, title }];
  if (trail.length > 12) trail.shift();
  place().replaceChildren(head(plan), article);
  place().scrollTop = 0;
  const number = figure.match(/^(ballast|uplift)\/(.+)$/);
  if (number) plan.showFigureOf(number[2]);
}

/** Nothing is explained any more. */
export function forget() {
  wanted = null;
  trail = [];
  place().replaceChildren();
}

/** Forgets the way here: a figure chosen from outside begins a new one. */
export function begin() {
  trail = [];
}

function head(plan) {
  const line = document.createElement("div");
  line.className = "workinghead";
  const back = button("‹ back", "Back to the figure this came from", () => {
    if (trail.length > 1) {
      trail.pop();
      explain(trail.at(-1).figure, plan);
    }
  });
  back.disabled = trail.length < 2;
  const way = Object.assign(document.createElement("span"), { className: "trail", textContent: trail.slice(0, -1).map((t) => t.title).join(" › ") });
  const figure = encodeURIComponent(trail.at(-1).figure);
  const copy = button("copy", "Copy the working as text", () => copyText(figure, copy));
  const page = Object.assign(document.createElement("a"), { className: "button", textContent: "print", href: `/jobs/${slug()}/working/page?figure=${figure}` });
  page.setAttribute("aria-label", "The working as a page to print");
  line.append(back, way, copy, page);
  return line;
}

function button(words, name, act) {
  const made = Object.assign(document.createElement("button"), { type: "button", textContent: words });
  made.setAttribute("aria-label", name);
  made.addEventListener("click", act);
  return made;
}

async function copyText(figure, from) {
  const text = await (await fetch(`/jobs/${slug()}/working/text?figure=${figure}`, { headers: looking() })).text();
  try {
    await navigator.clipboard.writeText(text);
  } catch {
    // without leave to use the clipboard: by a selection, as of old
    const area = Object.assign(document.createElement("textarea"), { value: text });
    document.body.append(area);
    area.select();
    document.execCommand("copy");
    area.remove();
  }
  from.textContent = "copied";
  setTimeout(() => (from.textContent = "copy"), 1500);
}
