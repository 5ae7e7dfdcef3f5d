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

document.getElementById("across").addEventListener("click", () => {
  text.value = `${text.value.replace(/\n*$/, "\n")}diagonal 1-3 `;
  text.scrollTop = text.scrollHeight;
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
