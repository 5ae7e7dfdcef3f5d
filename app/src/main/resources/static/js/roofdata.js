// What the drawing shows, from the data beside it: modules, positions, edges, in metres.
function unpack(pairs) {
  const list = [];
  for (let i = 0; i < pairs.length; i += 2) for (let n = 0; n < pairs[i + 1]; n++) list.push(pairs[i]);
  return list;
}

/** Things in the coordinates of the rows, found by the cell they have their point in. */
class Cells {
  constructor(items, [wide, deep]) {
    this.size = [wide, deep];
    this.cells = new Map();
    items.forEach((item, i) => {
      const key = this.key(item.s, item.t);
      if (!this.cells.has(key)) this.cells.set(key, []);
      this.cells.get(key).push(i);
    });
  }

  key(s, t, ds = 0, dt = 0) {
    return (Math.floor(s / this.size[0]) + ds) * 1e6 + Math.floor(t / this.size[1]) + dt;
  }

  /** Numbers of those whose points lie in the cell of a place or in one beside it. */
  near(s, t) {
    const found = [];
    for (let ds = -1; ds <= 1; ds++) for (let dt = -1; dt <= 1; dt++) found.push(...(this.cells.get(this.key(s, t, ds, dt)) ?? []));
    return found.sort((a, b) => a - b);
  }
}

export class RoofData {
  constructor(text) {
    Object.assign(this, JSON.parse(text));
    const kinds = unpack(this.kind);
    const strings = unpack(this.string);
    const shade = unpack(this.shade);
    this.modules = [];
    const crew = unpack(this.crew);
    for (const [, , s, t, count, row] of this.runs) {
      for (let i = 0; i < count; i++) {
        const at = this.modules.length;
        this.modules.push({ number: `${row}-${crew[at] + at}`, s: s + i * this.column, t, kind: kinds[at], string: strings[at], shade: shade[at] });
      }
    }
    const { s, t, row, place, gridRow, gridPlace, needed, placed, marks } = this.positions;
    const [ts, rows, places, gridRows, gridPlaces, need, place2, mark] = [t, row, place, gridRow, gridPlace, needed, placed, marks].map(unpack);
    let at = 0;
    this.positions = s.map((step, i) => {
      at += step;
      const k = `${this.prefix}${places[i] + i + 1}`;
      const id = `${gridRows[i]}-${this.prefix}${gridPlaces[i] + i + 1}`;
      return { id, s: at / 1000, t: ts[i], row: rows[i], number: `${rows[i]}-${k}`, place: k, needed: need[i], placed: place2[i], mark: mark[i] };
    });
    this.moduleCells = new Cells(this.modules, this.size);
    this.positionCells = new Cells(this.positions, this.size);
  }

  inRows({ x, y }) {
    const [ax, ay] = this.along;
    return { s: x * ax + y * ay, t: -x * ay + y * ax };
  }

  /** A place on the sheet as the site counts it, which is the sheet of the first roof. */
  toSite({ x, y }) {
    const [x0, y0, turn] = this.site;
    if (!x0 && !y0 && !turn) return { x, y };
    const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
    return { x: x0 + x * c + y * s, y: y0 - x * s + y * c };
  }

  onPlan(s, t) {
    const [ax, ay] = this.along;
    return { x: s * ax - t * ay, y: s * ay + t * ax };
  }

  /** Corners of a module or, around a position, of a module's size. */
  quad(s, t) {
    const [along, depth] = this.size;
    return [[0, 0], [along, 0], [along, depth], [0, depth]].map(([ds, dt]) => this.onPlan(s + ds, t + dt));
  }

  quadOf(position) {
    const p = this.positions[position];
    return this.quad(p.s - this.size[0] / 2, p.t - this.size[1] / 2);
  }

  moduleAt(p) {
    const { s, t } = this.inRows(p);
    const [along, depth] = this.size;
    const inside = (m) => s >= m.s && s <= m.s + along && t >= m.t && t <= m.t + depth;
    return this.moduleCells.near(s, t).find((i) => inside(this.modules[i])) ?? -1;
  }

  moduleOf(position) {
    const p = this.positions[position];
    const [along, depth] = this.size;
    const under = (m) => Math.abs(m.s + along / 2 - p.s) <= along * 0.51 && Math.abs(m.t + depth / 2 - p.t) <= depth * 0.51;
    return this.modules[this.moduleCells.near(p.s - along / 2, p.t - depth / 2).find((i) => under(this.modules[i]))];
  }

  positionAt(p) {
    const { s, t } = this.inRows(p);
    const [along, depth] = this.size;
    let best = -1;
    let least = along;
    this.positionCells.near(s, t).forEach((i) => {
      const q = this.positions[i];
      const d = Math.hypot(q.s - s, q.t - t);
      if (Math.abs(q.s - s) <= along / 2 && Math.abs(q.t - t) <= depth / 2 && d < least) {
        least = d;
        best = i;
      }
    });
    return best;
  }

  count(position) {
    const p = this.positions[position];
    if (!this.established) return "?";
    return `${p.placed}${p.mark}`;
  }

  kindOf(position) {
    const m = this.moduleOf(position);
    return m ? this.kinds[m.kind] : "";
  }

  words(position) {
    const p = this.positions[position];
    const m = this.moduleOf(position);
    const beside = { "!": `, ${p.needed} needed`, "+A": " and attachments" }[p.mark] ?? "";
    const counted = `${p.placed} ${p.placed === 1 ? "block" : "blocks"}${beside}`;
    const blocks = this.established ? counted : "blocks not established";
    const shade = m?.shade ? `, shaded at ${m.shade} of the half hours of the window` : "";
    const module = m ? `, ${this.kinds[m.kind]}${m.string ? ", string " + m.string : ", in no string"}${shade}` : "";
    return `Row ${p.row}, position ${p.place}: ${blocks}${module}`;
  }

  /** The next position in a direction of the rows, or -1. */
  next(from, [ds, dt]) {
    const own = this.positions[from];
    let best = -1;
    let least = Infinity;
    this.positions.forEach((q, i) => {
      const ahead = ds ? (q.s - own.s) * ds : (q.t - own.t) * dt;
      const aside = ds ? Math.abs(q.t - own.t) : Math.abs(q.s - own.s);
      if (ahead > 0.05 && aside < (ds ? 0.1 : this.size[0]) && ahead + aside * 2 < least) {
        least = ahead + aside * 2;
        best = i;
      }
    });
    return best;
  }

  /** Lines a thing on the roof may be brought onto: edges, inner faces, grid lines, rows. */
  lines() {
    const flat = (c) => ({ a: { x: c[0], y: c[1] }, b: { x: c[2], y: c[3] } });
    const list = [];
    this.edges.forEach((c, i) => list.push({ ...flat(c), name: `edge ${i + 1}` }));
    this.inner.forEach((c, i) => {
      if (c.length) list.push({ ...flat(c), name: `inner face of edge ${i + 1}` });
    });
    this.grid.forEach((c) => list.push({ ...flat(c), name: "grid line" }));
    let row = 0;
    for (const [, , s, t, count, number] of this.runs) {
      const to = s + count * this.column;
      if (number === row) {
        list.at(-1).b = this.onPlan(to, t + this.size[1]);
        list.at(-2).b = this.onPlan(to, t);
        continue;
      }
      row = number;
      list.push({ a: this.onPlan(s, t), b: this.onPlan(to, t), name: `front of row ${row}` });
      list.push({ a: this.onPlan(s, t + this.size[1]), b: this.onPlan(to, t + this.size[1]), name: `back of row ${row}` });
    }
    return list;
  }
}
