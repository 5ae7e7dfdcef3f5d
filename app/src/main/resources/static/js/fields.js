// The fields of the entry: what a changed one means as a change, and what was refused beside it.
import { looking } from "./token.js";
import { showBanner } from "./banner.js";
import { workOut } from "./workout.js";

/** Texts that were refused, by the path of their field: they stay with their message until they are dealt with. */
const refused = new Map();

export function clearFaults() {
  document.querySelectorAll(".fault").forEach((f) => (f.textContent = ""));
  document.querySelectorAll(".wrong").forEach((w) => w.classList.remove("wrong"));
  document.getElementById("banner").hidden = true;
  refused.forEach(markRefused);
}

/** Marks what was refused on a page that came anew. */
export function markAllRefused() {
  refused.forEach(markRefused);
}

function markRefused({ text, message }, path) {
  const input = document.querySelector(`[data-path="${CSS.escape(path)}"]`);
  const line = input?.closest(".entryline");
  if (!line) {
    refused.delete(path);
    return;
  }
  if (input !== document.activeElement || input.value === input.defaultValue) input.value = text;
  line.classList.add("wrong");
  line.querySelector(".fault").textContent = message;
}

export function showProblems(problems, field) {
  const loose = [];
  for (const problem of problems) {
    const named = document.querySelector(`[data-path="${CSS.escape(problem.path)}"]`);
    const at = field && field.isConnected ? field : named;
    const line = at?.closest(".entryline");
    if (!line || line.closest("details[hidden]")) {
      loose.push(problem.message);
      continue;
    }
    line.classList.add("wrong");
    const fault = line.querySelector(".fault");
    if (!document.querySelector(".fault:not(:empty)")) requestAnimationFrame(() => line.scrollIntoView({ block: "nearest" }));
    fault.textContent = (fault.textContent ? fault.textContent + " " : "") + problem.message + ".";
    const input = line.querySelector("[data-path]");
    if (input && input === field && input.matches("input")) refused.set(input.dataset.path, { text: input.value, message: fault.textContent });
  }
  if (loose.length) showBanner(loose);
}

function valueOf(input) {
  if (input.dataset.kind === "numbers") return input.value.trim().split(/[\s,;]+/).map((t) => (t === "" || Number.isNaN(Number(t)) ? t : Number(t)));
  return input.dataset.kind === "json" ? JSON.parse(input.value) : input.value.trim();
}

/** A field of an object that is stored whole: waits until all are filled, clears when all are empty. */
function objectChange(group, input) {
  const path = group.dataset.object;
  const inputs = [...group.querySelectorAll("[data-path]")];
  const filled = inputs.filter((i) => i.value.trim() !== "");
  const needed = inputs.filter((i) => i.dataset.kind !== "loose");
  const given = needed.filter((i) => i.value.trim() !== "").length;
  if (given === 0) {
    return [{ op: "remove", path }];
  }
  if (given < needed.length) {
    input.closest(".entryline").querySelector(".fault").textContent = "Fill in all fields to save; clear all of them to remove this.";
    return null;
  }
  const value = {};
  filled.forEach((i) => (value[i.dataset.path.slice(path.length + 1)] = valueOf(i)));
  return [{ op: "set", path, value }];
}

/** A field was left with another text: the change it means is stored. */
export async function fieldChanged(input, slug, change) {
  refused.delete(input.dataset.path);
  clearFaults();
  input.dataset.sent = input.value;
  if (input.dataset.kind === "place") {
    const id = /id=([A-Za-z0-9-]+)/.exec(input.dataset.path)[1];
    const changes = await workOut(slug, { what: "place", id, text: input.value }, (problems) => showProblems(problems, input));
    if (changes) change(changes, input);
    return;
  }
  const group = input.closest("fieldset");
  if (group.dataset.object) {
    const changes = objectChange(group, input);
    if (changes) change(changes, group.dataset.object ? null : input);
    return;
  }
  const value = valueOf(input);
  const optional = value === "" && input.dataset.kind === "optional";
  const own = optional ? { op: "remove", path: input.dataset.path } : { op: "set", path: input.dataset.path, value };
  // a thing moved by its coordinates no longer lies where it was measured
  const moved = /^(\$\.roof\.obstructions\[id=[^\]]+\])\.[xy]$/.exec(input.dataset.path);
  change(moved ? [own, { op: "remove", path: `${moved[1]}.measured` }] : [own], input);
}

/** Fields of a group that come only when it is chosen. */
export async function openFields(select, slug) {
  const path = select.value;
  const part = select.closest("details");
  part.querySelector("fieldset.fetched")?.remove();
  if (!path) return;
  const answer = await fetch(`/jobs/${slug}/fields?path=${encodeURIComponent(path)}`, { headers: { Accept: "text/html", ...looking() } });
  if (!answer.ok) return;
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html").querySelector("fieldset");
  fresh.classList.add("fetched");
  select.closest("label").after(fresh);
  fresh.querySelector("input, select").focus();
}
