// The stages of the work: choosing one brings its inputs, its layers and its checks, on the same drawing at the same zoom.
// What is shown beside the drawing, and each stage's own choice of layers, are remembered by this browser.
const KEPT = "whipsaw.bench";
const TALL = 900;

const kept = read();
let others = false;
let layersToo = false;

function read() {
  try {
    return { shut: null, stage: {}, layers: {}, ...JSON.parse(localStorage.getItem(KEPT)) };
  } catch {
    return { shut: null, stage: {}, layers: {} };
  }
}

function keep() {
  try {
    localStorage.setItem(KEPT, JSON.stringify(kept));
  } catch {
    // a browser that keeps nothing shows everything again next time
  }
}

function slug() {
  return document.getElementById("bench").dataset.slug;
}

/** The stage that is worked on; empty for all of them. */
export function stage() {
  const known = document.querySelector(`#stages [data-stage="${CSS.escape(kept.stage[slug()] ?? "")}"]`);
  return known ? known.dataset.stage : "";
}

/** What is shut. On a low screen the section is, until it is asked for. */
function shut() {
  return new Set(kept.shut ?? (innerHeight < TALL ? ["section"] : []));
}

/** Brings the page in line with the stage and with what is shut. */
export function showStage() {
  const now = stage();
  const bench = document.getElementById("bench");
  document.querySelectorAll("#stages [data-stage]").forEach((b) => b.setAttribute("aria-pressed", b.dataset.stage === now));
  document.querySelectorAll("#entry > details[data-of]").forEach((d) => (d.hidden = Boolean(now && d.dataset.of && d.dataset.of !== now)));
  const checks = [...document.querySelectorAll("#checks li")];
  const elsewhere = checks.filter((li) => now && li.dataset.of !== now);
  checks.forEach((li) => (li.hidden = !others && elsewhere.includes(li)));
  const more = document.getElementById("other-checks");
  more.hidden = elsewhere.length === 0;
  more.textContent = others ? "of this stage only" : `and ${elsewhere.length} of other stages`;
  more.setAttribute("aria-expanded", others);
  const closed = shut();
  for (const panel of ["entry", "checks", "section"]) {
    bench.classList.toggle(`no-${panel}`, closed.has(panel));
    document.querySelector(`#stages [data-panel=${panel}]`).setAttribute("aria-pressed", !closed.has(panel));
  }
  layers(now);
}

/** The layers of a stage are on, the others are one click away. */
function layers(now) {
  const differs = new Set(kept.layers[now] ?? []);
  let hidden = 0;
  document.querySelectorAll("#key input").forEach((box) => {
    const usual = usually(box, now);
    box.checked = differs.has(box.dataset.layer) ? !usual : usual;
    const label = box.closest("label");
    label.hidden = Boolean(now) && !layersToo && !box.dataset.of.split(" ").includes(now) && !box.checked;
    if (label.hidden) hidden++;
  });
  const more = document.getElementById("other-layers");
  more.hidden = !now || (hidden === 0 && !layersToo);
  more.textContent = layersToo ? "fewer" : `${hidden} more`;
  more.setAttribute("aria-pressed", layersToo);
  more.setAttribute("aria-label", layersToo ? "Layers of this stage only" : "Layers of other stages");
  paint();
}

function usually(box, now) {
  return now ? box.dataset.of.split(" ").includes(now) : box.defaultChecked;
}

function paint() {
  const svg = document.getElementById("plan");
  document.querySelectorAll("#key input").forEach((box) => svg.classList.toggle(`hide-${box.dataset.layer}`, !box.checked));
}

/** A layer was switched: this stage has it so from now on. */
export function layerChanged() {
  const now = stage();
  kept.layers[now] = [...document.querySelectorAll("#key input")].filter((b) => b.checked !== usually(b, now)).map((b) => b.dataset.layer);
  keep();
  paint();
}

/** Goes to a stage. */
export function goTo(next) {
  kept.stage[slug()] = next;
  others = false;
  layersToo = false;
  keep();
  showStage();
  document.getElementById("entry").scrollTop = 0;
  const button = document.querySelector(`#stages [data-stage="${CSS.escape(next)}"]`);
  document.getElementById("told").textContent = next ? button.title.replace(/\. Alt.*$/, ".") : "Everything is shown.";
}

/** Makes sure a part of the entry can be seen, whatever its stage. */
export function reveal(part) {
  if (part?.hidden) goTo(part.dataset.of);
  if (shut().has("entry")) toggle("entry");
}

export function toggle(panel) {
  const closed = shut();
  if (!closed.delete(panel)) closed.add(panel);
  kept.shut = [...closed];
  keep();
  showStage();
  window.dispatchEvent(new Event("resize"));
}

function beside(step) {
  const all = [...document.querySelectorAll("#stages [data-stage]")].map((b) => b.dataset.stage);
  goTo(all[(all.indexOf(stage()) + step + all.length) % all.length]);
}

/** To the worst check; from there through its ways out. */
function worst() {
  const ways = [...document.querySelectorAll("#ways button[data-way]")];
  if (ways.length > 0 && !document.getElementById("say").hidden) {
    ways[(ways.indexOf(document.activeElement) + 1) % ways.length].focus();
    return;
  }
  const cell = document.querySelector("#titleblock .worst");
  cell.focus();
  cell.click();
}

export function startStages() {
  document.addEventListener("click", (event) => {
    const button = event.target.closest("button");
    if (!button) return;
    if (button.closest("#stages") && button.dataset.stage !== undefined) goTo(button.dataset.stage);
    if (button.dataset.panel) toggle(button.dataset.panel);
    if (button.id === "other-checks") {
      others = !others;
      showStage();
    }
    if (button.id === "other-layers") {
      layersToo = !layersToo;
      layers(stage());
    }
  });
  document.addEventListener("keydown", (event) => {
    if (event.target.matches("input, textarea, select") || event.ctrlKey || event.metaKey || document.querySelector("dialog[open]")) return;
    const number = event.altKey && /^Digit[0-6]$/.test(event.code) ? Number(event.code.slice(5)) : -1;
    if (number >= 0) {
      event.preventDefault();
      goTo(document.querySelectorAll("#stages [data-stage]")[number].dataset.stage);
    } else if (!event.altKey && event.key === "[") beside(-1);
    else if (!event.altKey && event.key === "]") beside(1);
    else if (!event.altKey && event.key.toLowerCase() === "w") worst();
  });
}
