import { SAME_PLACE } from '../measure/length.js';
import type { SetOpening, SetWall } from '../setout/wall.js';
import type { Hold } from './besideJamb.js';
import { bondKey, slotRules, type Counts } from './lineCost.js';
import { moduleOf, type ClassedEnds, type PerpLine, type RunLines, type Span } from './lines.js';
import { cheapestFilling } from './search.js';
import { rowBeside, weighedWith, type LengthOfLines } from './weighLines.js';
import { tidy, windowAbout, windowToFill, withWindow, type WaysAround, type Window } from './window.js';

/** What the lines of a run are laid from. */
export interface RunToLine {
  wall: SetWall;
  span: Span;
  classes: readonly ClassedEnds[];
  counts: Counts;
  openings: readonly SetOpening[];
}

/** A window's edges as found, from its start, by all they follow from: the same jambs come again at every edit. */
const known = new Map<string, readonly [readonly number[], readonly number[]]>();
const MOST_KNOWN = 5000;

function laidOnce(
  run: RunToLine,
  window: Window,
  lines: RunLines,
  ways: WaysAround,
): { lines: RunLines; cost: number } | null {
  const toFill = windowToFill(run.wall, window, run.classes, lines, run.counts, ways);
  if (!toFill) return null;
  const found = cheapestFilling(slotRules(run.wall), toFill.pair);
  return found && { lines: withWindow(lines, window, toFill, found), cost: found.cost };
}

/** The length that is weighed for a window: the openings beside it whole, and some units more. */
function weighedLength(
  run: RunToLine,
  window: Window,
  lines: RunLines,
): { length: LengthOfLines; openings: SetOpening[] } {
  const { wall, span, classes, openings } = run;
  const margin = 3 * moduleOf(wall);
  const end = Math.max(lines[0]?.u[window.last[0]] ?? 0, lines[1]?.u[window.last[1]] ?? 0);
  const near = openings.filter((o) => o.to > window.zero - margin && o.from < end + margin);
  const low = Math.min(window.zero, ...near.map((o) => o.from)) - margin;
  const high = Math.max(end, ...near.map((o) => o.to)) + margin;
  const from = low < span.from + margin ? span.from : low;
  const to = high > span.to - margin ? span.to : high;
  const [atStart, atEnd] = [from === span.from, to === span.to];
  const part = lines.map((l): PerpLine => {
    const joint = l.joint;
    const u = l.u.filter((x) => x > from + SAME_PLACE && x < to + joint - SAME_PLACE);
    return {
      u: [from, ...u, to + joint],
      joint,
      shownAtStart: atStart && l.shownAtStart,
      shownAtEnd: atEnd && l.shownAtEnd,
      leads: { start: atStart ? (l.leads?.start ?? []) : [], end: atEnd ? (l.leads?.end ?? []) : [] },
    };
  });
  return {
    openings: near,
    length: { span: { from, to }, lines: part, ...keptEnds(classes, atStart, atEnd) },
  };
}

/** Whose first and last pieces stay as they are: at the run's own ends those that are asked for, elsewhere all. */
function keptEnds(
  classes: readonly ClassedEnds[],
  atStart: boolean,
  atEnd: boolean,
): Pick<LengthOfLines, 'keepsFirst' | 'keepsLast'> {
  const [odd, even] = classes.map((c) => c.ends);
  return {
    keepsFirst: [!atStart || odd?.start.kind !== 'return', !atStart || even?.start.kind === 'own'],
    keepsLast: [!atEnd || odd?.end.kind === 'own', !atEnd || even?.end.kind === 'own'],
  };
}

/** What a run costs by its lines, its openings in it. */
export function weighedRun({ wall, span, classes, counts, openings }: RunToLine, lines: RunLines): number {
  const length = { span, lines, ...keptEnds(classes, true, true) };
  return weighedWith(wall, length, openings, counts.meets + 1);
}

/** The edges that courses beside the window's opening have, odd and even, where the lines are these. */
function besideEdges(
  run: RunToLine,
  hold: Hold,
  window: Window,
  lines: RunLines,
): readonly [readonly number[], readonly number[]] {
  const { length } = weighedLength(run, window, lines);
  const at = (parity: 0 | 1): number[] =>
    rowBeside(run.wall, length, [window.opening], parity, hold).perps.map((p) => p.at + p.width / 2);
  return [at(0), at(1)];
}

/** So many times places are preferred at random. */
const AT_RANDOM = 2;

/** A number from 0 to 1 that follows from a place and nothing else. */
function chance(seed: number, parity: number, x: number): number {
  let h = Math.imul(Math.round(x) + 1, 0x9e3779b1) ^ Math.imul(seed * 2 + parity + 1, 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 15), 0xc2b2ae35);
  return ((h ^ (h >>> 13)) >>> 0) / 2 ** 32;
}

/**
 * What stands beside an opening is laid by the lines, then as if the odd or the even ones or both might still be moved, then
 * with places preferred at random: of ways that cost the same one is the best to lay the lines to.
 */
const HOLDS: readonly Hold[] = [
  { name: 'all', part: () => 1, laps: () => 1 },
  { name: 'none', part: () => 0, laps: () => 0 },
  { name: 'even', part: (parity) => parity, laps: (parity) => parity },
  { name: 'odd', part: (parity) => 1 - parity, laps: (parity) => 1 - parity },
  ...Array.from({ length: AT_RANDOM }, (_, k): Hold => ({
    name: `some${k}`,
    part: (parity, x) => chance(k, parity, x),
    laps: () => 0,
  })),
];

/** Less than this is no gain: a size of cut is two. */
const A_HAIR = 1;

/** So often what stands beside an opening and what stands under and over it are laid to one another. */
const ROUNDS = 2;

/**
 * The cheapest lines found for a window: perps plumb throughout, or courses beside the opening laid for themselves and
 * the lines to them, by turns.
 */
function bestInWindow(run: RunToLine, window: Window, lines: RunLines): RunLines {
  const { wall, counts } = run;
  const plumb = laidOnce(run, window, lines, {});
  const w = wall.weights.bond;
  // Off its line a course meets a jamb with one cut at the least.
  const relaxed = laidOnce(run, window, lines, { relief: w.cutPiece });
  const relief = 2 * w.cutPiece + w.perpOffItsLine;
  const weigh = (l: RunLines): number => {
    const { length, openings } = weighedLength(run, window, l);
    return weighedWith(wall, length, openings, counts.meets + 1);
  };
  let best = lines;
  let cost = weigh(lines);
  const tried = new Set<string>();
  const offer = (l: RunLines | null): boolean => {
    const key = JSON.stringify(l?.map(({ u }) => u.map(Math.round)));
    if (!l || tried.has(key)) return false;
    tried.add(key);
    const own = weigh(l);
    if (own < cost - A_HAIR) [best, cost] = [l, own];
    return true;
  };
  offer(lines);
  if (plumb) offer(plumb.lines);
  // The relaxed cost is the least there can be: nothing worth having would be gained.
  if (plumb && relaxed && plumb.cost < 1.01 * relaxed.cost + A_HAIR) return best;
  let seeds = [best];
  if (relaxed && offer(relaxed.lines)) seeds.push(relaxed.lines);
  for (let round = 0; round < ROUNDS && seeds.length > 0; round++) {
    const was = cost;
    const next: RunLines[] = [];
    for (const seed of seeds)
      for (const hold of HOLDS) {
        const wanted = besideEdges(run, hold, window, seed);
        const laid = laidOnce(run, window, seed, { wanted, relief })?.lines ?? null;
        if (offer(laid) && laid) next.push(laid);
      }
    if (cost >= was) break;
    seeds = next;
  }
  return best;
}

function windowKey(run: RunToLine, window: Window, lines: RunLines): string {
  const { wall, counts, classes } = run;
  const { length, openings } = weighedLength(run, window, lines);
  const at = (x: number): number => tidy(x - window.zero);
  return [
    bondKey(wall),
    wall.weights.bond.perpOffItsLine,
    wall.height,
    counts.courses.join(),
    JSON.stringify(openings.map((o) => [at(o.from), at(o.to), o.sill, o.head])),
    openings.indexOf(window.opening),
    window.first
      .map((k, i) => k - (lines[i]?.u.findIndex((x) => x > length.span.from - SAME_PLACE) ?? 0))
      .join(),
    window.last.map((k, i) => k - (window.first[i] ?? 0)).join(),
    window.atStart,
    window.atEnd,
    JSON.stringify(classes),
    JSON.stringify({
      ...length,
      span: [at(length.span.from), at(length.span.to)],
      lines: length.lines.map((l) => ({ ...l, u: l.u.map(at) })),
    }),
  ].join('|');
}

/** Whether a line has these edges in a window already. */
function sameEdges(list: readonly number[], { u }: PerpLine, window: Window, i: 0 | 1): boolean {
  const [first, last] = [window.first[i], window.last[i]];
  return (
    list.length === last - first + 1 &&
    list.every((x, k) => Math.abs(x + window.zero - (u[first + k] ?? 0)) < 0.001)
  );
}

/**
 * The lines of a run with its cuts at the jambs laid again about each of its openings, a window at a time: what the courses under and over it cost
 * together with what stands at its jambs. Lines eased all along stay as they are.
 */
export function linesAround(run: RunToLine, lines: RunLines): RunLines {
  const { wall, openings, span } = run;
  if (wall.bond.family !== 'running' || wall.bond.step === 0 || lines.length !== 2) return lines;
  if (lines.some((l) => Math.abs(l.joint - wall.head) > SAME_PLACE)) return lines;
  let now = lines;
  for (const o of [...openings].sort((a, b) => a.from - b.from)) {
    const window = windowAbout(wall, o, openings, span, now);
    if (!window) continue;
    const key = windowKey(run, window, now);
    let found = known.get(key);
    if (!found) {
      const best = bestInWindow(run, window, now);
      const own = (i: 0 | 1): number[] => {
        const u = best[i]?.u ?? [];
        const after = (now[i]?.u.length ?? 0) - 1 - window.last[i];
        return u.slice(window.first[i], u.length - after).map((x) => tidy(x - window.zero));
      };
      found = [own(0), own(1)];
      if (known.size >= MOST_KNOWN) known.clear();
      known.set(key, found);
    }
    const edges = found;
    if (edges.every((list, i) => sameEdges(list, now[i] as PerpLine, window, i as 0 | 1))) continue;
    now = now.map((l, k): PerpLine => {
      const i = k === 0 ? 0 : 1;
      const own = (edges[i] ?? []).map((x) => x + window.zero);
      return { ...l, u: [...l.u.slice(0, window.first[i]), ...own, ...l.u.slice(window.last[i] + 1)] };
    });
  }
  return now;
}
