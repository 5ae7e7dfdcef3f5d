// Ways out of a check that does not pass.
import { freshKey, looking, token } from "./token.js";

/** The ways out being looked for; the server need not go on when nobody waits for them. */
let asked = null;

function stopAsking() {
  if (!asked) return;
  asked.abort.abort();
  fetch("/stop", {
    method: "POST",
    keepalive: true,
    headers: { "Content-Type": "application/json", ...token() },
    body: JSON.stringify({ ask: asked.name }),
  }).catch(() => {});
  asked = null;
}

window.addEventListener("pagehide", stopAsking);

/** Ways out of a check that does not pass, solved on the server; each is one change. */
export async function offerWays(slug, check) {
  stopAsking();
  const mine = { name: freshKey(), abort: new AbortController() };
  asked = mine;
  const place = document.getElementById("ways");
  place.replaceChildren(Object.assign(document.createElement("p"), { className: "quiet", textContent: "Looking for ways out…" }));
  place.dataset.check = check;
  let answer;
  try {
    answer = await fetch(`/jobs/${slug}/ways?check=${encodeURIComponent(check)}&ask=${mine.name}`, {
      headers: { Accept: "text/html", ...looking() },
      signal: mine.abort.signal,
    });
  } catch {
    if (asked === mine) document.getElementById("ways").textContent = "The server does not answer: try again.";
    return;
  }
  if (asked === mine) asked = null;
  const still = document.getElementById("ways");
  if (still.dataset.check !== check) return;
  still.replaceChildren(...(answer.ok ? [new DOMParser().parseFromString(await answer.text(), "text/html").querySelector(".ways")] : []));
}

/** None are shown, and none are looked for. */
export function forgetWays() {
  stopAsking();
  document.getElementById("ways").replaceChildren();
}
