/**
 * The bond of a straight stretch as a whole-number programme, by the rules of the trade and the contract's table of costs:
 * pieces laid end to end on a grid, any sizes, anywhere; perps of courses alike stand over one another, or cost; a unit
 * that turns a corner is whole; course 1 begins as asked; where reveals are to be sound, whole units and halves stand
 * against them. It knows nothing of how the program lays a course.
 */

export interface Steps {
  /** A whole unit, a half, another run's end and the thinnest and least piece, each with its joint, in steps. */
  whole: number;
  half: number;
  shown: number;
  thinnest: number;
  least: number;
  /** Perps nearer than this lap less than the rule. */
  near: number;
  halfBought: boolean;
}

export const COSTS = { cut: 10, short: 30, lap: 50, size: 2, off: 5 };

type EndOf = 'free' | 'own' | 'return';

export interface Bonding {
  unit: Steps;
  /** Length with its last joint, in steps. */
  length: number;
  ends: { odd: [EndOf, EndOf]; even: [EndOf, EndOf] };
  courses: number;
  /** From left to right: the edge after its left jamb's joint, the edge where its right jamb's unit begins; courses under it and beside it. */
  openings?: readonly { from: number; to: number; under: number; beside: number }[];
  /** Whole units and halves against the reveals. */
  soundReveals?: boolean;
  /** No perp beside an opening stands off its line. */
  plumb?: boolean;
}

interface Piece {
  at: number;
  size: number;
  name: string;
}

interface Row {
  id: string;
  parity: 'odd' | 'even';
  count: number;
  /** Each part of the row: where its own pieces begin and end, and perps there whatever they are. */
  parts: { from: number; to: number; pieces: Piece[]; fixed: number[] }[];
}

const plus = (terms: readonly string[]): string =>
  terms.length > 0 ? terms.map((t) => `+ ${t}`).join(' ') : '0 zero';

function part(
  b: Bonding,
  id: string,
  parity: 'odd' | 'even',
  from: number,
  to: number,
): Row['parts'][number] {
  const { unit } = b;
  const [startKind, endKind] = b.ends[parity];
  const [atStart, atEnd] = [from === 0, to === b.length];
  const fixed: number[] = [];
  let [low, high] = [from, to];
  if (atStart && startKind === 'return') fixed.push((low = unit.shown));
  if (atEnd && endKind === 'return') fixed.push((high = to - unit.shown));
  const pieces: Piece[] = [];
  for (let at = low; at < high; at++)
    for (let size = unit.thinnest; size <= unit.whole && at + size <= high; size++) {
      const whole = size === unit.whole;
      const sized = whole || size === unit.half;
      if (atStart && at === low && startKind === 'own' && !whole) continue;
      if (atEnd && at + size === high && endKind === 'own' && !whole) continue;
      // Course 1 begins on a whole unit.
      if (atStart && at === low && startKind === 'free' && parity === 'odd' && !whole) continue;
      if (b.soundReveals && !sized && ((!atStart && at === low) || (!atEnd && at + size === high))) continue;
      pieces.push({ at, size, name: `${id}_${at}_${size}` });
    }
  return { from: low, to: high, pieces, fixed };
}

const parityOf = (course: number): 'odd' | 'even' => (course % 2 === 1 ? 'odd' : 'even');

/** Which openings a course stops at, and what courses alike are called. */
function stopsOf(b: Bonding, course: number): { stops: number[]; id: string } {
  const stops = (b.openings ?? []).flatMap((o, i) =>
    course > o.under && course <= o.under + o.beside ? [i] : [],
  );
  return { stops, id: `${parityOf(course)[0]}${stops.length > 0 ? `b${stops.join('')}` : 't'}` };
}

function rowsOf(b: Bonding): Row[] {
  const rows = new Map<string, Row>();
  const row = (parity: 'odd' | 'even', id: string, stops: readonly number[]): Row => {
    const had = rows.get(id);
    if (had) return had;
    const at = [...stops.map((i) => (b.openings ?? [])[i]), null];
    const parts = at.map((o, k) =>
      part(b, `${id}${'lmnr'[k]}`, parity, k === 0 ? 0 : (at[k - 1]?.to ?? 0), o ? o.from : b.length),
    );
    const made = { id, parity, count: 0, parts };
    rows.set(id, made);
    return made;
  };
  for (const parity of ['odd', 'even'] as const) row(parity, `${parity[0]}t`, []);
  for (let c = 1; c <= b.courses; c++) {
    const { stops, id } = stopsOf(b, c);
    row(parityOf(c), id, stops).count++;
  }
  return [...rows.values()];
}

/** Pieces of a row that put a perp at a place, and whether one stands there whatever they are. */
function perpAt(row: Row, k: number): { names: string[]; fixed: boolean } {
  for (const p of row.parts) {
    if (p.fixed.includes(k)) return { names: [], fixed: true };
    if (k > p.from && k < p.to)
      return { names: p.pieces.filter((x) => x.at === k).map((x) => x.name), fixed: false };
  }
  return { names: [], fixed: false };
}

/** The programme, in the text form known as LP. */
export function programme(b: Bonding, most?: number): string {
  const rows = rowsOf(b);
  const { unit } = b;
  const constraints: string[] = [];
  const costs: string[] = [];
  const binaries: string[] = [];
  const sizes = new Map<number, string[]>();
  for (const row of rows)
    for (const p of row.parts) {
      for (let k = p.from; k <= p.to; k++) {
        const begin = p.pieces.filter((x) => x.at === k).map((x) => x.name);
        const end = p.pieces.filter((x) => x.at + x.size === k).map((x) => x.name);
        if (p.from === p.to) continue;
        if (k === p.from) constraints.push(`${plus(begin)} = 1`);
        else if (k === p.to) constraints.push(`${plus(end)} = 1`);
        else if (begin.length + end.length > 0)
          constraints.push(`${plus(begin)} ${end.map((n) => `- ${n}`).join(' ')} = 0`);
      }
      for (const x of p.pieces) {
        binaries.push(x.name);
        const cut = x.size !== unit.whole && !(x.size === unit.half && unit.halfBought);
        const short = x.size < unit.least;
        const own = (cut ? COSTS.cut : 0) + (short ? COSTS.short : 0);
        if (own > 0) costs.push(`${own * row.count} ${x.name}`);
        if (cut) sizes.set(x.size, [...(sizes.get(x.size) ?? []), x.name]);
      }
    }
  for (const [size, names] of sizes) {
    constraints.push(`${plus(names)} - 400 s_${size} <= 0`);
    costs.push(`${COSTS.size} s_${size}`);
    binaries.push(`s_${size}`);
  }
  const byId = new Map(rows.map((r) => [r.id, r]));
  const rowOf = (course: number): Row => byId.get(stopsOf(b, course).id) as Row;
  const meets = new Map<string, { a: Row; c: Row; n: number }>();
  for (let course = 1; course < b.courses; course++) {
    const [x, y] = [rowOf(course), rowOf(course + 1)];
    const [a, c] = x.id < y.id ? [x, y] : [y, x];
    const key = `${a.id}${c.id}`;
    const was = meets.get(key);
    meets.set(key, { a, c, n: (was?.n ?? 0) + 1 });
  }
  for (const [key, { a, c, n }] of meets)
    for (let k = 1; k < b.length; k++) {
      const perp = perpAt(a, k);
      if (perp.names.length === 0 && !perp.fixed) continue;
      const lap = `l_${key}_${k}`;
      // No two perps of a course are nearer than the thinnest piece: of so many places together one at most has one.
      const windows = Math.min(unit.thinnest, 2 * unit.near - 1);
      let any = false;
      for (let j = k - unit.near + 1; j + windows - 1 <= k + unit.near - 1; j++) {
        const near = Array.from({ length: windows }, (_, i) => perpAt(c, j + i));
        const names = near.flatMap((x) => x.names);
        const fixed = near.filter((x) => x.fixed).length;
        if (names.length + fixed === 0) continue;
        any = true;
        constraints.push(`${plus([...perp.names, ...names])} - ${lap} <= ${1 - Number(perp.fixed) - fixed}`);
      }
      if (!any) continue;
      costs.push(`${COSTS.lap * n} ${lap}`);
      binaries.push(lap);
    }
  // Perps of courses alike stand over one another: a beside course's that is not on its line costs.
  for (const beside of rows) {
    const line = byId.get(`${beside.parity[0]}t`);
    if (!line || beside === line || line.count === 0) continue;
    for (let k = 1; k < b.length; k++) {
      const [own, on] = [perpAt(beside, k), perpAt(line, k)];
      if (own.names.length === 0 || on.fixed) continue;
      const onLine = on.names.map((x) => `- ${x}`).join(' ');
      if (b.plumb) {
        constraints.push(`${plus(own.names)} ${onLine} <= 0`);
        continue;
      }
      const off = `f_${beside.id}_${k}`;
      constraints.push(`${plus(own.names)} ${onLine} - ${off} <= 0`);
      costs.push(`${COSTS.off * beside.count} ${off}`);
      binaries.push(off);
    }
  }
  return [
    'Minimize',
    ` cost: ${plus(costs)}`,
    'Subject To',
    ' none: zero = 0',
    ...(most === undefined ? [] : [` most: ${plus(costs)} <= ${most}`]),
    ...constraints.map((c, i) => ` r${i}: ${c}`),
    'Binary',
    ...binaries.map((n) => ` ${n}`),
    ' zero',
    'End',
  ].join('\n');
}
