// Plane geometry of the drawing, in metres, y to the top of the sheet.
export function onSegment(p, a, b) {
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  const size = dx * dx + dy * dy;
  const part = size ? Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / size)) : 0;
  return { x: a.x + dx * part, y: a.y + dy * part };
}

export function distance(a, b) {
  return Math.hypot(a.x - b.x, a.y - b.y);
}

export function contains(ring, p) {
  let inside = false;
  for (let i = 0, k = ring.length - 1; i < ring.length; k = i++) {
    const [a, b] = [ring[i], ring[k]];
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}

function sides(thing) {
  if (thing.points.length === 1) return [[thing.points[0], thing.points[0]]];
  const list = thing.points.slice(1).map((p, i) => [thing.points[i], p]);
  if (thing.closed) list.push([thing.points.at(-1), thing.points[0]]);
  return list;
}

/** The shortest way between two things that do not cross: its ends and length. */
export function between(one, other) {
  let best = null;
  const take = (a, b) => {
    const size = distance(a, b);
    if (!best || size < best.length) best = { a, b, length: size };
  };
  for (const [a, b] of sides(one)) {
    for (const [c, d] of sides(other)) {
      take(a, onSegment(a, c, d));
      take(b, onSegment(b, c, d));
      take(onSegment(c, a, b), c);
      take(onSegment(d, a, b), d);
    }
  }
  return best;
}

/**
 * Moves a rectangle onto lines near it: the nearest line first, then one across it.
 * @param lines {a, b, name}
 * @returns {x, y, on} the lower left corner and the lines it came to lie on
 */
export function snapped(rect, lines, reach) {
  const on = [];
  let { x, y } = rect;
  let held = null;
  for (let turn = 0; turn < 2; turn++) {
    let best = null;
    for (const line of lines) {
      const size = distance(line.a, line.b);
      const nx = -(line.b.y - line.a.y) / size;
      const ny = (line.b.x - line.a.x) / size;
      if (held && Math.abs(held.nx * ny - held.ny * nx) < 0.3) continue;
      for (const [px, py] of [[x, y], [x + rect.w, y], [x + rect.w, y + rect.h], [x, y + rect.h]]) {
        const off = (px - line.a.x) * nx + (py - line.a.y) * ny;
        const foot = onSegment({ x: px, y: py }, line.a, line.b);
        const near = Math.hypot(px - foot.x, py - foot.y);
        if (Math.abs(off) <= reach && near <= reach + Math.max(rect.w, rect.h) * 2 && (!best || Math.abs(off) < Math.abs(best.off))) {
          best = { off, nx, ny, line };
        }
      }
    }
    if (!best) break;
    // a line square to the held one leaves it where it is; another slides along it
    const along = held ? best.nx * -held.ny + best.ny * held.nx : 1;
    x -= held ? (best.off / along) * -held.ny : best.off * best.nx;
    y -= held ? (best.off / along) * held.nx : best.off * best.ny;
    on.push(best.line);
    held = best;
  }
  return { x, y, on };
}
