// The drawing as a list: the same things in words, each a way in.
import { looking } from "./token.js";
export function listShown() {
  return !document.getElementById("planlist").hidden;
}

export async function showList(slug, on) {
  document.getElementById("planlist").hidden = !on;
  document.getElementById("planwrap").hidden = on;
  document.getElementById("as-list").setAttribute("aria-pressed", on);
  if (!on) {
    window.dispatchEvent(new Event("resize"));
    document.getElementById("plan").focus({ preventScroll: true });
    return;
  }
  await refreshList(slug);
  document.getElementById("planlist").focus();
}

/** Loads it anew and shows it. */
export async function refreshList(slug) {
  const answer = await fetch(`/jobs/${slug}/list`, { headers: { Accept: "text/html", ...looking() } });
  if (!answer.ok) return;
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html").querySelector(".twin");
  const place = document.getElementById("planlist");
  place.replaceChildren(fresh);
  place.hidden = false;
  document.getElementById("planwrap").hidden = true;
  document.getElementById("as-list").setAttribute("aria-pressed", true);
}
