// The tape survey with large keys, for gloves.
import { startTape } from "./tape.js";
import { token } from "./token.js";

const page = document.getElementById("bench");
const text = document.getElementById("tape");
const told = document.getElementById("stored");

document.getElementById("pad").addEventListener("click", (event) => {
  const key = event.target.closest("button")?.dataset.key;
  if (!key) return;
  if (key === "back") text.value = text.value.slice(0, -1);
  else text.value += key.replace("\\n", "\n");
  text.scrollTop = text.scrollHeight;
  text.dispatchEvent(new Event("input", { bubbles: true }));
});

/** Begins a corner's distance square off the line of two others; its length comes from the keys. */
document.getElementById("off-add").addEventListener("click", () => {
  const [corner, from, to] = ["corner", "from", "to"].map((k) => document.getElementById(`off-${k}`).value.trim());
  const corners = text.value.split("\n").filter((l) => /\b(left|right)\b/i.test(l)).length;
  const wrong = [corner, from, to].find((c) => !/^\d+$/.test(c) || Number(c) < 1 || Number(c) > corners);
  if (wrong !== undefined || new Set([corner, from, to].map(Number)).size < 3) {
    told.textContent = `${wrong === undefined ? "A corner is named twice" : `There is no corner "${wrong}"`}: it takes three corners of 1 to ${corners}, for example 3 from 1 to 2.`;
    return;
  }
  told.textContent = "";
  text.value = `${text.value.replace(/\n*$/, "\n")}offset ${corner} from ${from}-${to} `;
  text.scrollTop = text.scrollHeight;
});

/** Begins a tape across between the next two corners that have none. */
document.getElementById("across").addEventListener("click", () => {
  const corners = text.value.split("\n").filter((l) => /\b(left|right)\b/i.test(l)).length;
  const taken = new Set([...text.value.matchAll(/diag\w*\.?\s+(\d+)\s*(?:-|to|,)\s*(\d+)/gi)].map((m) => `${m[1]}-${m[2]}`));
  for (let from = 1; from <= corners; from++) {
    for (let to = from + 2; to <= corners; to++) {
      if (to - from === corners - 1 || taken.has(`${from}-${to}`)) continue;
      text.value = `${text.value.replace(/\n*$/, "\n")}diagonal ${from}-${to} `;
      text.scrollTop = text.scrollHeight;
      return;
    }
  }
  told.textContent = corners < 4 ? "A tape across needs four corners or more." : "Every two corners have a tape already.";
});

async function change(changes) {
  let answer;
  try {
    answer = await fetch(`/jobs/${page.dataset.slug}/change`, {
      method: "POST",
      headers: { "Content-Type": "application/json", Accept: "application/json, text/html", ...token() },
      body: JSON.stringify({ base: Number(page.dataset.revision), changes }),
    });
  } catch {
    told.textContent = "No answer. What you typed is still here; try again.";
    return;
  }
  if (!answer.ok) {
    told.textContent = (await answer.json()).problems.map((p) => p.message).join(" ");
    return;
  }
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html").getElementById("bench");
  page.dataset.revision = fresh.dataset.revision;
  told.textContent = `Stored as revision ${fresh.dataset.revision}: ${fresh.querySelector("#titleblock b").textContent} modules fit.`;
}

startTape(() => page.dataset.slug, change);
