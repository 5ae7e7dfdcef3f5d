// The tape survey: while it is typed the roof draws itself with its closing gap.
import { token } from "./token.js";

let survey = null;
const MAGNIFIED = 20;

export function startTape(slug, change) {
  const text = document.getElementById("tape");
  if (text.dataset.heard) return;
  text.dataset.heard = "yes";
  const closing = () => document.querySelector('input[name="closing"]:checked')?.value ?? "fit";
  let timer = null;
  const read = async () => {
    const answer = await fetch(`/jobs/${slug()}/tape`, {
      method: "POST",
      headers: { "Content-Type": "application/json", Accept: "application/json", ...token() },
      body: JSON.stringify({ text: text.value, closing: closing() }),
    });
    const told = await answer.json();
    survey = answer.ok && told.problems.length === 0 ? told : null;
    const words = document.getElementById("tape-words");
    const slips = told.slips ?? [];
    words.textContent = [told.words, ...told.problems.map((p) => p.message ?? p), ...slips.map((s) => s.words)].filter(Boolean).join(". ");
    words.classList.toggle("alertline", told.problems.length + slips.length > 0);
    sketch(told.points ?? [], told.fitted ?? [], told, slips);
    report(told);
  };
  const soon = () => {
    clearTimeout(timer);
    timer = setTimeout(read, 120);
  };
  text.addEventListener("input", soon);
  document.querySelectorAll('input[name="closing"]').forEach((r) => r.addEventListener("change", soon));
  document.getElementById("tape-use").addEventListener("click", async () => {
    await read();
    if (!survey?.legs.length) return;
    const face = document.querySelector('input[name="face"]:checked').value;
    const { legs, diagonals, offsets } = survey;
    change([{ op: "set", path: "$.roof.outline", value: { kind: "taped", face, closing: closing(), legs, diagonals, offsets } }]);
  });
  if (text.value.trim()) read();
}

/** What the fit says of every tape, the farthest off first. */
function report(told) {
  const place = document.getElementById("tape-fit");
  if (!place) return;
  place.hidden = !told.residuals;
  if (!told.residuals) return;
  const line = (words, kind) => Object.assign(document.createElement("p"), { textContent: words, className: kind });
  const rows = told.residuals.map((r) => {
    const row = document.createElement("tr");
    if (r.suspect) row.className = "suspect";
    row.append(...[r.name, r.words, `${r.times}${r.suspect ? " !" : ""}`].map((t) => Object.assign(document.createElement("td"), { textContent: t })));
    return row;
  });
  const open = place.querySelector("details")?.open ?? false;
  const more = document.createElement("details");
  more.open = open;
  more.append(Object.assign(document.createElement("summary"), { textContent: "every tape and corner" }));
  const table = document.createElement("table");
  table.append(...rows);
  more.append(table);
  place.replaceChildren(
    line(told.verdict, told.suspects ? "alertline" : "quiet"),
    ...(told.suspects ? [line(told.suspects, "alertline")] : []),
    ...(told.decide ? [line(told.decide, "decide")] : []),
    more,
  );
}

/** The walk with its closing gap, the outline fitted to it, and how far each corner moved, magnified. */
function sketch(points, fitted, { diagonals = [], offsets = [] }, slips) {
  const svg = document.getElementById("tape-sketch");
  if (points.length < 2) {
    svg.innerHTML = "";
    return;
  }
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => -p[1]);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const margin = Math.max(x1 - x0, y1 - y0) * 0.1 + 0.2;
  svg.setAttribute("viewBox", `${x0 - margin} ${y0 - margin} ${x1 - x0 + 2 * margin} ${y1 - y0 + 2 * margin}`);
  const line = (list) => list.map((p, i) => `${i ? "L" : "M"}${p[0]} ${-p[1]}`).join("");
  const end = points.at(-1);
  const moves = fitted.map((f, i) => [points[i], [points[i][0] + (f[0] - points[i][0]) * MAGNIFIED, points[i][1] + (f[1] - points[i][1]) * MAGNIFIED]]);
  const corners = fitted.length ? fitted : points.slice(0, -1);
  const across = diagonals.filter((d) => corners[d.from - 1] && corners[d.to - 1]).map((d) => line([corners[d.from - 1], corners[d.to - 1]]));
  for (const { corner, from, to } of offsets) {
    const [p, a, b] = [corner, from, to].map((c) => corners[c - 1]);
    if (!p || !a || !b) continue;
    const along = ((p[0] - a[0]) * (b[0] - a[0]) + (p[1] - a[1]) * (b[1] - a[1])) / ((b[0] - a[0]) ** 2 + (b[1] - a[1]) ** 2 || 1);
    const foot = [a[0] + along * (b[0] - a[0]), a[1] + along * (b[1] - a[1])];
    across.push(line([p, foot]), line([along < 0.5 ? a : b, foot]));
  }
  const size = Math.max(x1 - x0, y1 - y0) / 14;
  const names = corners.map((p, i) => `<text x="${p[0]}" y="${-p[1]}" font-size="${size}" text-anchor="middle">${i + 1}</text>`).join("");
  svg.innerHTML =
    `<path class="across" d="${across.join("")}"/>` +
    `<path d="${fitted.length ? line(fitted) + "Z" : line(points)}"/>` +
    (fitted.length ? "" : `<path class="gap" d="${line([end, points[0]])}"/>`) +
    `<path class="moved" d="${moves.map(line).join("")}"/>${names}` +
    slips.map((s) => `<circle class="slip" cx="${s.at[0]}" cy="${-s.at[1]}" r="${size * 0.9}"/>`).join("");
}
