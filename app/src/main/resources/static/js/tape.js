// The tape survey: while it is typed the roof draws itself with its closing gap.
import { token } from "./token.js";

let legs = [];

export function startTape(slug, change) {
  const text = document.getElementById("tape");
  let timer = null;
  const read = async () => {
    const answer = await fetch(`/jobs/${slug()}/tape`, {
      method: "POST",
      headers: { "Content-Type": "application/json", Accept: "application/json", ...token() },
      body: JSON.stringify({ text: text.value }),
    });
    const told = await answer.json();
    legs = answer.ok && told.problems.length === 0 ? told.legs : [];
    const words = document.getElementById("tape-words");
    words.textContent = [told.words, ...told.problems.map((p) => p.message ?? p)].filter(Boolean).join(". ");
    words.classList.toggle("alertline", told.problems.length > 0);
    sketch(told.points ?? []);
  };
  text.addEventListener("input", () => {
    clearTimeout(timer);
    timer = setTimeout(read, 120);
  });
  document.getElementById("tape-use").addEventListener("click", async () => {
    await read();
    if (legs.length === 0) return;
    const face = document.querySelector('input[name="face"]:checked').value;
    change([{ op: "set", path: "$.roof.outline", value: { kind: "taped", face, legs } }]);
  });
  if (text.value.trim()) read();
}

function sketch(points) {
  const svg = document.getElementById("tape-sketch");
  if (points.length < 2) {
    svg.innerHTML = "";
    return;
  }
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => -p[1]);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const margin = Math.max(x1 - x0, y1 - y0) * 0.08 + 0.2;
  svg.setAttribute("viewBox", `${x0 - margin} ${y0 - margin} ${x1 - x0 + 2 * margin} ${y1 - y0 + 2 * margin}`);
  const walk = points.map((p, i) => `${i ? "L" : "M"}${p[0]} ${-p[1]}`).join("");
  const end = points.at(-1);
  svg.innerHTML = `<path d="${walk}"/><path class="gap" d="M${end[0]} ${-end[1]}L${points[0][0]} ${-points[0][1]}"/>`;
}
