// The drawing as a list: the same things in words, each a way in.
import { looking } from "./token.js";

export function listShown() {
  return !document.getElementById("planlist").hidden;
}

/** Shows the list in place of the drawing, or the drawing. */
function show(on) {
  document.getElementById("planlist").hidden = !on;
  document.getElementById("planwrap").hidden = on;
  document.getElementById("as-list").setAttribute("aria-pressed", on);
}

export async function showList(slug, on) {
  show(on);
  if (!on) {
    window.dispatchEvent(new Event("resize"));
    document.getElementById("plan").focus({ preventScroll: true });
    return;
  }
  await refreshList(slug);
  document.getElementById("planlist").focus();
}

/** Shows it and loads it anew; whoever goes back to the drawing meanwhile stays there. */
export async function refreshList(slug) {
  show(true);
  const answer = await fetch(`/jobs/${slug}/list`, { headers: { Accept: "text/html", ...looking() } });
  if (!answer.ok) return;
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html").querySelector(".twin");
  document.getElementById("planlist").replaceChildren(fresh);
}
