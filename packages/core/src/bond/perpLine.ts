import { SAME_PLACE, toMillimetres } from '../measure/length.js';
import type { SetWall } from '../setout/wall.js';
import { BOND_WEIGHTS } from '../tables/weights.js';
import { endPatterns, type CourseClass, type Pattern } from './endPatterns.js';
import { endSpec, type EndSpec, type RunEnds } from './ends.js';

export type Parity = 'odd' | 'even';

/**
 * The perps of one course of a run as if no opening broke it. A place `u` is the left edge of the piece that
 * starts there, so the last entry is the end of the course plus one joint. Pieces are `u[i]` to `u[i+1] − joint`.
 */
export interface PerpLine {
  u: number[];
  joint: number;
  /** The first or last piece belongs to the run round the corner: it only shows its end here. */
  shownAtStart: boolean;
  shownAtEnd: boolean;
}

/** The lines of a run, one for each course of the bond's period: course n lies on line (n − 1) mod period. */
export type RunLines = PerpLine[];

export const lineOf = (lines: RunLines, course: number): PerpLine =>
  lines[(course - 1) % lines.length] as PerpLine;

interface Ends {
  start: EndSpec;
  end: EndSpec;
}

export interface HeadLimits {
  least: number;
  most: number;
}

export function headLimits(wall: SetWall): HeadLimits {
  return {
    least: Math.min(toMillimetres(wall.profile.head.least), wall.head),
    most: Math.max(toMillimetres(wall.profile.head.most), wall.head),
  };
}

/** A sawn piece thinner than this cannot be held or bedded: common practice. */
export const THINNEST_PIECE = 25;

interface Run {
  from: number;
  to: number;
}

const pieceOf = (p: Pattern, i: number): number =>
  (i < p.lead.length ? p.lead[i] : p.cycle[(i - p.lead.length) % p.cycle.length]) ?? 0;

interface Whole {
  pieces: number[];
  joint: number;
}

/**
 * Whether `count` pieces can follow both patterns at once: the start's lead, the end's lead backwards, and one
 * cycle between them that reads the same from both.
 */
function joined(start: Pattern, end: Pattern, count: number): number[] | null {
  if (count < start.lead.length + end.lead.length) return null;
  const last = count - end.lead.length;
  const same = Math.min(last - start.lead.length, start.cycle.length * end.cycle.length + 1);
  for (let i = start.lead.length; i < start.lead.length + same; i++)
    if (Math.abs(pieceOf(start, i) - pieceOf(end, count - 1 - i)) > SAME_PLACE) return null;
  return Array.from({ length: count }, (_, i) =>
    i < last ? pieceOf(start, i) : pieceOf(end, count - 1 - i),
  );
}

/** The pieces of a course that follows both its ends' patterns at a joint allowed, or null. */
function wholePieces(wall: SetWall, run: Run, target: number, start: Pattern, ends: Pattern[]): Whole | null {
  const limits = headLimits(wall);
  const length = run.to - run.from;
  let best: Whole | null = null;
  for (const end of ends) {
    const fixed = [...start.lead, ...end.lead].reduce((sum, p) => sum + p + target, 0);
    const cycle = start.cycle.reduce((sum, p) => sum + p + target, 0);
    const about = Math.floor((length + target - fixed) / cycle) * start.cycle.length;
    const base = start.lead.length + end.lead.length;
    for (
      let n = Math.max(1, base + about - start.cycle.length);
      n <= base + about + 2 * start.cycle.length;
      n++
    ) {
      const pieces = joined(start, end, n);
      if (!pieces) continue;
      const sum = pieces.reduce((a, b) => a + b, 0);
      if (n === 1) {
        if (Math.abs(sum - length) < SAME_PLACE) best ??= { pieces, joint: wall.head };
        continue;
      }
      const joint = (length - sum) / (n - 1);
      if (joint < limits.least - SAME_PLACE || joint > limits.most + SAME_PLACE) continue;
      if (best === null || Math.abs(joint - target) < Math.abs(best.joint - target) - 1e-9)
        best = { pieces, joint };
    }
  }
  return best;
}

function fromPieces(run: Run, ends: Ends, { pieces, joint }: Whole): PerpLine {
  const u = [run.from];
  let sum = run.from;
  for (const piece of pieces) u.push((sum += piece + joint));
  u[u.length - 1] = run.to + joint;
  return { u, joint, shownAtStart: ends.start.kind === 'return', shownAtEnd: ends.end.kind === 'return' };
}

/** Left edges of the pieces that follow a pattern from `from`, as far as `to`, at the target joint. */
function edges(pattern: Pattern, from: number, to: number, joint: number): number[] {
  const list = [from];
  let at = from;
  for (let i = 0; ; i++) {
    at += pieceOf(pattern, i) + joint;
    if (at > to + SAME_PLACE) return list;
    list.push(at);
  }
}

/** Two odd pieces a little uneven, where even ones would bring a perp over another. */
const UNEVEN = [0.46, 0.42, 0.38, 0.34];

/** Ways to fill a gap of `gap` (its last joint included) that is no whole number of units. */
function splits(gap: number, whole: number, wall: SetWall): number[][] {
  if (gap <= whole + wall.head) return [[gap]];
  const across = wall.unitWidth + wall.head;
  const candidates = [
    [whole, gap - whole],
    [gap - whole, whole],
    [gap / 2, gap / 2],
    ...UNEVEN.flatMap((part) => [
      [part * gap, (1 - part) * gap],
      [(1 - part) * gap, part * gap],
    ]),
    [0.75 * whole, gap - 0.75 * whole],
    [gap - 0.75 * whole, 0.75 * whole],
    ...(wall.bond.family === 'header'
      ? [
          [across, gap - across],
          [gap - across, across],
        ]
      : []),
  ];
  return candidates.filter((c) => c.every((s) => s - wall.head >= THINNEST_PIECE && s <= whole + SAME_PLACE));
}

/**
 * The ways one course can be laid at the target joint when its length does not divide: bond kept from both
 * ends, and the odd pieces where the two meet (`at`), or at a free end.
 */
function brokenLines(
  wall: SetWall,
  run: Run,
  ends: Ends,
  course: CourseClass,
  at: readonly number[],
  mayFollow: boolean,
): PerpLine[] {
  const end = run.to + wall.head;
  const make = (u: number[]): PerpLine => ({
    u: u.filter((x, i) => i === 0 || x - (u[i - 1] ?? 0) > SAME_PLACE),
    joint: wall.head,
    shownAtStart: ends.start.kind === 'return',
    shownAtEnd: ends.end.kind === 'return',
  });
  const start = endPatterns(wall, ends.start, course, false)[0] as Pattern;
  const fromStart = edges(start, run.from, end - SAME_PLACE, wall.head);
  if (ends.end.kind === 'free') return [make([...fromStart.filter((x) => x < end - SAME_PLACE), end])];
  const back = endPatterns(wall, ends.end, course, false)[0] as Pattern;
  // The end's own pattern, read from the end inward and turned round to left edges.
  const backwards = edges(back, 0, end - run.from, wall.head)
    .map((d) => end - d)
    .reverse();
  const tail = back.lead.length;
  // A course that only has to follow may let the corner rule, and stand what is left over at the free end.
  const kept = backwards.filter((x) => x > run.from + wall.head + THINNEST_PIECE);
  const led = ends.start.kind === 'free' && mayFollow ? [make([run.from, ...kept])] : [];
  const places = [...new Set(at)].flatMap((place) =>
    breaksAt(wall, start, fromStart, backwards, tail, place, end),
  );
  return [...led, ...places.map(make)];
}

/** The left edges of a course broken at one place: bond kept from both sides, the gap between filled every way it can be. */
function breaksAt(
  wall: SetWall,
  start: Pattern,
  fromStart: readonly number[],
  backwards: readonly number[],
  tail: number,
  place: number,
  end: number,
): number[][] {
  const whole = wall.unitLength + wall.head;
  const lead = start.lead.length;
  const atLeast = fromStart[lead] ?? fromStart[0] ?? 0;
  const last = Math.max(atLeast, ...fromStart.filter((x) => x <= place));
  const reach = pieceOf(start, lead) + wall.head;
  const ready = backwards.slice(0, backwards.length - tail);
  const first = ready.find((x) => x >= last + reach - SAME_PLACE) ?? ready.at(-1) ?? end;
  const after = backwards.filter((x) => x >= first - SAME_PLACE);
  const gap = first - last;
  const before = fromStart.filter((x) => x <= last + SAME_PLACE);
  if (!(gap > SAME_PLACE)) return [[...new Set([...before, ...after])].sort((a, b) => a - b)];
  const filled = (from: readonly number[], slots: number[]): number[] => {
    let x = from.at(-1) ?? 0;
    return [...from, ...slots.slice(0, -1).map((s) => (x += s)), ...after];
  };
  const single = splits(gap, whole, wall).map((slots) => filled(before, slots));
  // A leftover too short to lay is taken with the unit before it, as two pieces that are worth laying.
  const least = toMillimetres(wall.profile.leastPiece(wall.unit));
  const shorter = before.slice(0, -1);
  const thin = gap - wall.head < least - SAME_PLACE && shorter.length > lead;
  const wide = thin ? last - (shorter.at(-1) ?? last) + gap : 0;
  return thin ? [...single, ...splits(wide, whole, wall).map((slots) => filled(shorter, slots))] : single;
}

const lapsUnder = (a: PerpLine, b: PerpLine, least: number, end: number): number => {
  let count = 0;
  let j = 0;
  for (const x of a.u) {
    while (j < b.u.length - 1 && (b.u[j] ?? 0) < x - least) j++;
    const near = b.u[j];
    if (near === undefined || x < least || x > end - least) continue;
    if (Math.abs(near - x) < least - SAME_PLACE) count++;
  }
  return count;
};

/** What each course of the period is: the corner it owns says whether it is long, a free end takes turns. */
function classesOf(wall: SetWall, ends: RunEnds): { ends: Ends; course: CourseClass }[] {
  return Array.from({ length: wall.bond.period }, (_, i) => {
    const parity: Parity = i % 2 === 0 ? 'odd' : 'even';
    const both: Ends = { start: endSpec(ends.start, parity), end: endSpec(ends.end, parity) };
    const turn = (parity === 'odd') === (wall.start === 'whole');
    const header = wall.bond.family === 'header';
    const corner = both.start.kind !== 'free' ? both.start.kind : both.end.kind;
    const long = header && corner !== 'free' ? corner === 'own' : turn;
    const everySecond = wall.bond.id === 'english' || (wall.bond.id === 'english-garden' && i < 2);
    return { ends: both, course: { long, headers: everySecond && !long } };
  });
}

/** A ring has no end: whole units all round, every second course half a unit on, the joint shared by all. */
export function ringLines(wall: SetWall, index: number): RunLines {
  const { length = 0, perp = wall.head } = wall.runs[index] ?? {};
  const module = wall.unitLength + perp;
  const count = Math.max(1, Math.round(length / module));
  const slot = length / count;
  const joint = slot - wall.unitLength;
  const step = wall.bond.step === 0 ? 0 : wall.bond.step;
  return [0, step].map((on) => ({
    u: Array.from({ length: count + 1 }, (_, k) => (k + on) * slot),
    joint,
    shownAtStart: false,
    shownAtEnd: false,
  }));
}

/**
 * The perps of a run's courses. Joints are eased when that lets every course follow its bond from end to end;
 * otherwise bond is kept from the corners and the breaks that lap best are chosen.
 */
export function perpLines(wall: SetWall, index: number, ends: RunEnds): RunLines {
  const length = wall.runs[index]?.length ?? 0;
  const run: Run = { from: -ends.start.past, to: length + ends.end.past };
  const classes = classesOf(wall, ends);
  const whole = classes.map(({ ends: e, course }) =>
    wholePieces(
      wall,
      run,
      wall.runs[index]?.perp ?? wall.head,
      endPatterns(wall, e.start, course, false)[0] as Pattern,
      endPatterns(wall, e.end, course, true),
    ),
  );
  const joints = whole.map((w) => w?.joint ?? NaN);
  const pieces = Math.max(...whole.map((w) => w?.pieces.length ?? 0));
  // Eased alike, or the perps of alternate courses would drift out of plumb along the run.
  if ((Math.max(...joints) - Math.min(...joints)) * pieces <= wall.head + SAME_PLACE)
    return whole.map((w, i) => fromPieces(run, (classes[i] as (typeof classes)[number]).ends, w as Whole));
  return brokenRun(wall, run, length, breakPlace(wall, index, run), classes);
}

function brokenRun(
  wall: SetWall,
  run: Run,
  length: number,
  at: number,
  classes: { ends: Ends; course: CourseClass }[],
): RunLines {
  const least = toMillimetres(wall.profile.leastLap(wall.unit));
  const leastPiece = toMillimetres(wall.profile.leastPiece(wall.unit));
  const ways = classes.map(({ ends, course }, i) => {
    const on = at + (i % 2 === 1 ? wall.unitLength / 2 : 0);
    // A unit either way may lap better with the course below.
    const places = [0, -1, 1, -2, 2].map((units) => on + units * (wall.unitLength + wall.head));
    const found = brokenLines(wall, run, ends, course, places, i % 2 === 1);
    const single: PerpLine = {
      u: [run.from, run.to + wall.head],
      joint: wall.head,
      shownAtStart: ends.start.kind === 'return',
      shownAtEnd: ends.end.kind === 'return',
    };
    return found.length > 0 ? found : [single];
  });
  const own = (l: PerpLine): number => {
    const lengths = l.u.slice(1).map((x, i) => x - (l.u[i] ?? 0) - l.joint);
    const laid = lengths.slice(l.shownAtStart ? 1 : 0, l.shownAtEnd ? -1 : undefined);
    const cuts = laid.filter((x) => Math.abs(x - wall.unitLength) > SAME_PLACE);
    const slivers = laid.filter((x) => x < leastPiece - SAME_PLACE);
    return (
      slivers.length * BOND_WEIGHTS.pieceUnderLeast +
      cuts.length * BOND_WEIGHTS.cutPiece +
      new Set(cuts.map(Math.round)).size * BOND_WEIGHTS.distinctCutSize
    );
  };
  const weighed = ways.map((lines) =>
    lines.map((line) => ({ line, own: own(line) })).sort((a, b) => a.own - b.own),
  );
  let best: RunLines = [];
  let bestCost = Infinity;
  for (const a of weighed[0] ?? []) {
    for (const b of weighed[1] ?? []) {
      // Cheapest first: from here on no pair can cost less, and laps need not be counted.
      if (a.own + b.own >= bestCost - 1e-9) break;
      const cost = lapsUnder(a.line, b.line, least, length) * BOND_WEIGHTS.lapUnderRule + a.own + b.own;
      if (cost < bestCost - 1e-9) [best, bestCost] = [[a.line, b.line], cost];
    }
  }
  // A longer period goes on from there, each course against the one below it.
  for (const more of ways.slice(2)) {
    const below = best.at(-1) as PerpLine;
    const cost = (l: PerpLine): number =>
      lapsUnder(below, l, least, length) * BOND_WEIGHTS.lapUnderRule + own(l);
    best.push(more.reduce((chosen, l) => (cost(l) < cost(chosen) - 1e-9 ? l : chosen)));
  }
  return best;
}

/** A break hides best in an opening; without one it goes in mid-panel, never beside a corner. */
function breakPlace(wall: SetWall, index: number, run: Run): number {
  const widest = wall.openings
    .filter((o) => o.run === index)
    .sort((a, b) => b.to - b.from - (a.to - a.from))[0];
  return widest ? (widest.from + widest.to) / 2 - wall.unitLength / 2 : (run.from + run.to) / 2;
}
