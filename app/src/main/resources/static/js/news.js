// Revisions made in other windows are announced; they are brought in when somebody wants them, or with the next change.
import { windowName } from "./token.js";

const EVERY_MS = 3000;

export function startNews(slug, newest, bringIn) {
  let told = 0;
  const place = document.getElementById("news");
  async function look() {
    if (document.visibilityState !== "visible") return;
    const shown = newest();
    let answer;
    try {
      answer = await fetch(`/jobs/${slug()}/news?after=${shown}`, { headers: { Accept: "application/json" } });
    } catch {
      return;
    }
    if (!answer.ok) return;
    const own = `window ${windowName()}`;
    const others = (await answer.json()).filter((r) => !r.who.endsWith(own));
    if (newest() !== shown) return;
    if (!others.length) {
      place.hidden = true;
      return;
    }
    const last = others.at(-1).number;
    if (last === told && !place.hidden) return;
    told = last;
    const words = others.map((r) => `${r.words} (revision ${r.number}, ${r.who})`).join("; ");
    const button = Object.assign(document.createElement("button"), { type: "button", textContent: "Show it" });
    button.addEventListener("click", () => {
      place.hidden = true;
      bringIn(shown);
    });
    place.replaceChildren(Object.assign(document.createElement("span"), { textContent: `Changed elsewhere: ${words} ` }), button);
    place.hidden = false;
  }
  setInterval(look, EVERY_MS);
  document.addEventListener("visibilitychange", look);
}
