import type { Mm } from '../../measure/length.js';
import { columnGeneration, type Pattern } from './patterns.js';

/** A bar length wanted so many times, mm. */
export interface Wanted {
  mark: string;
  length: Mm;
  count: number;
}

/** One way of cutting a stock bar, and how many bars are cut that way. Lengths mm. */
export interface CutPattern {
  stock: number;
  times: number;
  pieces: { mark: string; length: number; count: number }[];
  /** Left over, long enough to use again or not. */
  left: Mm;
}

export interface CutList {
  patterns: CutPattern[];
  /** Stock bars the list takes, and the fewest any list could take. */
  bars: number;
  bound: number;
  /** `bars` equals `bound`: no list could take fewer. */
  proved: boolean;
  /** Bars longer than any stock: to be lapped or ordered. */
  tooLong: Wanted[];
  /** What is left over in all, and the part of it in pieces worth keeping, mm. */
  left: Mm;
  reusable: number;
}

/** What a saw or torch takes at each cut, mm: sheared bars lose nothing. */
export const SHEAR = 0;
/** An offcut this long is kept for ties, dowels and chairs, mm: common practice. */
export const WORTH_KEEPING = 600;

export interface CutOptions {
  kerf?: number;
  /** Told how far it is, 0 to 1; false stops it, and the best list so far is given. */
  going?: (part: number) => boolean;
}

/** Lengths alike are one item, longest first. */
function itemsOf(wanted: readonly Wanted[]): { length: number; marks: { mark: string; count: number }[] }[] {
  const items = new Map<number, { mark: string; count: number }[]>();
  for (const w of wanted) {
    if (w.count === 0) continue;
    const key = Math.round(w.length * 100) / 100;
    items.set(key, [...(items.get(key) ?? []), { mark: w.mark, count: w.count }]);
  }
  return [...items].map(([length, marks]) => ({ length, marks })).sort((a, b) => b.length - a.length);
}

/** Hands out the marks of an item as its pieces are cut. */
function marksFor(
  marks: { mark: string; count: number }[],
  count: number,
): { mark: string; count: number }[] {
  const out: { mark: string; count: number }[] = [];
  let left = count;
  for (const m of marks) {
    const take = Math.min(left, m.count);
    if (take > 0) out.push({ mark: m.mark, count: take });
    m.count -= take;
    left -= take;
  }
  return out;
}

/**
 * The cut list of one bar size from one stock length (the longest given): fewest stock bars, with the bound that
 * proves it. The bound is the linear relaxation over all cutting patterns, rounded up; the list comes from those
 * patterns and a best fit of what rounding leaves.
 */
export function cutBars(
  wanted: readonly Wanted[],
  stocks: readonly number[],
  options: CutOptions = {},
): CutList {
  const stock = Math.max(...stocks, 0);
  const kerf = options.kerf ?? SHEAR;
  const tooLong = wanted.filter((w) => w.length > stock + 1e-6 && w.count > 0);
  const items = itemsOf(wanted.filter((w) => w.length <= stock + 1e-6));
  const demand = items.map((i) => i.marks.reduce((s, m) => s + m.count, 0));
  const found = columnGeneration(
    items.map((i) => i.length),
    demand,
    stock,
    kerf,
    options.going ?? (() => true),
  );
  const grouped = new Map<string, { pattern: Pattern; times: number }>();
  for (const pattern of found.used) {
    const key = pattern.join(',');
    const same = grouped.get(key);
    if (same) same.times++;
    else grouped.set(key, { pattern, times: 1 });
  }
  const left = items.map((i) => ({ ...i, marks: i.marks.map((m) => ({ ...m })) }));
  const patterns = [...grouped.values()].flatMap(({ pattern, times }): CutPattern[] => {
    const count = pattern.reduce((a, b) => a + b, 0);
    const length = pattern.reduce((s, n, i) => s + n * (items[i]?.length ?? 0), 0);
    const over = stock - length - Math.max(0, count - 1) * kerf;
    // Marks that share a length part company here: one line a way of cutting and naming.
    const lines = new Map<string, CutPattern>();
    for (let t = 0; t < times; t++) {
      const pieces = pattern.flatMap((n, i) =>
        marksFor(left[i]?.marks ?? [], n).map((m) => ({ ...m, length: items[i]?.length ?? 0 })),
      );
      const key = pieces.map((p) => `${p.mark}×${p.count}`).join(',');
      const same = lines.get(key);
      if (same) same.times++;
      else lines.set(key, { stock, times: 1, pieces, left: over });
    }
    return [...lines.values()];
  });
  const all = patterns.map((p) => ({ left: p.left, times: p.times }));
  return {
    patterns: patterns.sort((a, b) => a.left - b.left || b.times - a.times),
    bars: found.used.length,
    bound: found.bound,
    proved: found.used.length === found.bound,
    tooLong,
    left: all.reduce((s, p) => s + p.left * p.times, 0),
    reusable: all.reduce((s, p) => s + (p.left >= WORTH_KEEPING ? p.left * p.times : 0), 0),
  };
}
