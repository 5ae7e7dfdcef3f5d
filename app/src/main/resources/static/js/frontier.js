// Which of several points no other one beats in two figures, or in more.

/**
 * The frontier of points, from the best across to the best up.
 * @param points with a value across and a value up, each {x, y}
 * @param senses {x, y}: 1 where more is better, -1 where less is
 */
export function frontier(points, senses) {
  const sorted = [...points].sort((a, b) => senses.x * (b.x - a.x) || senses.y * (b.y - a.y));
  const line = [];
  let best = -Infinity;
  for (const p of sorted) {
    const up = senses.y * p.y;
    if (up > best) {
      line.push(p);
      best = up;
    }
  }
  return line;
}

/**
 * Points that no other one beats in all of several figures.
 * @param points each a list of values
 * @param senses of the figures: 1 where more is better, -1 where less is
 * @return for each point whether it is one of them
 */
export function unbeaten(points, senses) {
  const beats = (a, b) => {
    let better = false;
    for (let i = 0; i < senses.length; i++) {
      const d = senses[i] * (a[i] - b[i]);
      if (d < 0) return false;
      better ||= d > 0;
    }
    return better;
  };
  return points.map((p) => !points.some((q) => beats(q, p)));
}

/** Round steps for an axis from least to most: some five of them. */
export function ticks(least, most) {
  const raw = (most - least) / 5 || 1;
  const power = 10 ** Math.floor(Math.log10(raw));
  const step = [1, 2, 2.5, 5, 10].map((f) => f * power).find((s) => s >= raw);
  const all = [];
  for (let v = Math.ceil(least / step - 1e-9) * step; v <= most + step * 1e-9; v += step) all.push(Number(v.toPrecision(12)));
  return all;
}
