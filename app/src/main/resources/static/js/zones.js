// Wind zones of the plan: those that come later, and what one of them does.
import { looking } from "./token.js";

/** Zones of a roof of many corners come after the rest of its drawing. */
export async function late(slug) {
  const empty = [...document.querySelectorAll("#plan .layer-zones[data-later]")];
  if (!empty.length) return;
  const answer = await fetch(`/jobs/${slug}/zones`, { headers: looking() });
  if (!answer.ok) return;
  const drawn = new DOMParser().parseFromString(await answer.text(), "image/svg+xml").querySelectorAll(".layer-zones");
  // a drawing that came in the meantime asks for its own
  empty.forEach((g, i) => g.isConnected && g.replaceWith(document.adoptNode(drawn[i])));
}

/** Pointing at the name of a zone tells its coefficient; choosing it shows its curve and working. */
export function listen(slug, show) {
  const of = (event) => event.target.closest?.("[data-zone]")?.dataset.zone;
  const tell = async (event) => {
    const zone = of(event);
    const flag = event.target.closest?.("[data-zone]");
    if (!zone || event.buttons) return;
    const answer = await fetch(`/jobs/${slug()}/working/text?figure=${encodeURIComponent(`zone/${zone}`)}`, { headers: looking() });
    const words = answer.ok ? (await answer.text()).split("\n").slice(0, 2).join(": ") : `zone ${zone}: no module lies in it`;
    // the pointer or the focus may have gone on in the meantime
    if (flag.matches(":hover, :focus")) document.getElementById("told").textContent = words;
  };
  document.addEventListener("pointerover", tell);
  document.addEventListener("focusin", tell);
  document.addEventListener("click", (event) => of(event) && show(of(event)));
  document.addEventListener("keydown", (event) => {
    if (!of(event) || (event.key !== "Enter" && event.key !== " ")) return;
    event.preventDefault();
    show(of(event));
  });
}
