import { INCH, SAME_PLACE, type Mm } from '../../../measure/length.js';
import type { Row } from '../laying/row.js';

/** Rules are compared within 1/64 in: no tape shows less. */
export const SIXTY_FOURTH = INCH / 64;

/** Perps that stand over one another through several courses. */
export interface Stacked {
  at: Mm;
  /** First and last course, both counted. */
  from: number;
  to: number;
  /** Smallest lap along it, mm. */
  lap: number;
}

/** What a lap is called by: perps within a joint of one another are in line; laps under the least are short. */
export interface LapRules {
  joint: Mm;
  least: Mm;
}

interface Near {
  below: number;
  above: number;
  lap: number;
}

/** Perps of two neighbouring rows closer than `least`. Both lists ascend, so one walk finds them all. */
function nearPerps(below: Row, above: Row, least: number): Near[] {
  const found: Near[] = [];
  let j = 0;
  for (const b of below.perps) {
    while (j < above.perps.length && (above.perps[j]?.at ?? 0) < b.at - least) j++;
    let best: Near | null = null;
    for (let k = j; k < above.perps.length; k++) {
      const a = above.perps[k];
      if (!a || a.at > b.at + least) break;
      const lap = Math.abs(a.at - b.at);
      if (lap < least - SAME_PLACE && (best === null || lap < best.lap))
        best = { below: b.at, above: a.at, lap };
    }
    if (best) found.push(best);
  }
  return found;
}

/** Laps under the rule between two neighbouring rows: less than the least by more than a 64th. */
export const shortLaps = (below: Row, above: Row, least: number): Near[] =>
  nearPerps(below, above, least - SIXTY_FOURTH);

/** Pairs of rows alike are compared once. */
function comparing(least: number): (below: Row, above: Row) => Near[] {
  const pairs = new Map<Row, Map<Row, Near[]>>();
  return (below, above) => {
    let byAbove = pairs.get(below);
    if (!byAbove) pairs.set(below, (byAbove = new Map<Row, Near[]>()));
    let near = byAbove.get(above);
    if (!near) byAbove.set(above, (near = nearPerps(below, above, least)));
    return near;
  };
}

/** A piece sawn to a slope ends at a place and nothing goes across it: its perp was sawn away with the rest, and no joint is broken. */
const hiddenBy = (row: Row, x: Mm, reach: number): boolean =>
  row.pieces.some(
    (p) => p.rake !== undefined && Math.min(Math.abs(p.from - x), Math.abs(p.to - x)) < reach,
  ) && !row.pieces.some((p) => p.from < x - reach && p.to > x + reach);

/**
 * Perps of neighbouring courses that stand over one another, each within `reach` of the next, followed from the lowest
 * course up. A course where a raked piece lies across the place is counted with those under and over it: a joint that begins at the springing of
 * a curved or stepped top goes on behind it.
 */
function stackedPerps(rows: readonly Row[], reach: number): Stacked[] {
  const near = comparing(reach);
  const raked = rows.map((r) => r.pieces.some((p) => p.rake !== undefined));
  const done: Stacked[] = [];
  let open: (Stacked & { last: number; row: number })[] = [];
  for (let i = 1; i < rows.length; i++) {
    const [below, above, under] = [rows[i - 1], rows[i], rows[i - 2]];
    if (!below || !above) continue;
    const next: typeof open = [];
    const goneOn = new Set<(typeof open)[number]>();
    const link = (n: Near, from: number): void => {
      const before = open.find((c) => c.row === from && Math.abs(c.last - n.below) < SAME_PLACE);
      if (before) goneOn.add(before);
      next.push(
        before
          ? { ...before, last: n.above, row: i, to: i + 1, lap: Math.min(before.lap, n.lap) }
          : { at: n.below, from: from + 1, to: i + 1, lap: n.lap, last: n.above, row: i },
      );
    };
    for (const n of near(below, above)) link(n, i - 1);
    if (under && raked[i - 1])
      for (const n of near(under, above))
        if (hiddenBy(below, n.below, reach) && !next.some((c) => Math.abs(c.last - n.above) < SAME_PLACE))
          link(n, i - 2);
    // What may yet go on behind a raked piece waits one course more.
    const waits = open.filter((c) => !goneOn.has(c) && c.row === i - 1 && hiddenBy(above, c.last, reach));
    done.push(...open.filter((c) => !goneOn.has(c) && !waits.includes(c)));
    open = [...next, ...waits];
  }
  return [...done, ...open].map(({ at, from, to, lap }) => ({ at, from, to, lap }));
}

/** Straight joints of a leaf, perps in line through two courses or more; and laps that are short and not that. */
export function lapFaults(
  rows: readonly Row[],
  { joint, least }: LapRules,
): { straight: Stacked[]; short: Stacked[] } {
  // A joint apart is within a joint of one another.
  const inLine = joint + 2 * SAME_PLACE;
  const straight = stackedPerps(rows, inLine);
  const near = comparing(least - SIXTY_FOURTH);
  const short: Stacked[] = [];
  for (let i = 0; i + 1 < rows.length; i++) {
    const [below, above] = [rows[i], rows[i + 1]];
    if (!below || !above) continue;
    for (const n of near(below, above))
      if (n.lap > joint + SAME_PLACE) short.push({ at: n.below, from: i + 1, to: i + 2, lap: n.lap });
  }
  return { straight, short };
}
