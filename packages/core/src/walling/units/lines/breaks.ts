import { SAME_PLACE, toMillimetres } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { EndSpec } from './ends.js';
import { lineCost } from './lineCost.js';
import type { Pattern } from '../bonds/bondRule.js';
import type { CourseClass } from '../bonds/bondRule.js';
import { bondRule } from '../bonds/registry.js';
import { byOwn, cheapestPair, lapsUnder, type LapRule, type WeighedLine } from './pairs.js';
import {
  type ClassedEnds,
  type Ends,
  type PerpLine,
  type RunLines,
  type Span,
  THINNEST_PIECE,
  leastPieceOf,
  pieceOf,
} from './lines.js';

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
  if (gap <= whole + SAME_PLACE) return [[gap]];
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

/** Left edges as the line of a course between these ends, at the target joint. */
const lineWith =
  (wall: SetWall, ends: Ends) =>
  (u: readonly number[]): PerpLine => ({
    u: u.filter((x, i) => i === 0 || x - (u[i - 1] ?? 0) > SAME_PLACE),
    joint: wall.head,
    shownAtStart: ends.start.kind === 'return',
    shownAtEnd: ends.end.kind === 'return',
  });

/**
 * The ways one course can be laid at the target joint when its length does not divide: bond kept from both
 * ends, and the odd pieces where the two meet (`at`), or at a free end.
 */
function brokenLines(
  wall: SetWall,
  run: Span,
  ends: Ends,
  course: CourseClass,
  at: readonly number[],
  mayFollow: boolean,
): PerpLine[] {
  const end = run.to + wall.head;
  const make = lineWith(wall, ends);
  const start = bondRule(wall).begins(wall, ends.start, course, false)[0] as Pattern;
  const fromStart = edges(start, run.from, end - SAME_PLACE, wall.head);
  if (ends.end.kind === 'free') return [make([...fromStart.filter((x) => x < end - SAME_PLACE), end])];
  const back = bondRule(wall).begins(wall, ends.end, course, false)[0] as Pattern;
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
  const least = leastPieceOf(wall);
  const shorter = before.slice(0, -1);
  const thin = gap - wall.head < least - SAME_PLACE && shorter.length > lead;
  const wide = thin ? last - (shorter.at(-1) ?? last) + gap : 0;
  return thin ? [...single, ...splits(wide, whole, wall).map((slots) => filled(shorter, slots))] : single;
}

/** A cut in the unit that turns a corner, or stands at a sound reveal, costs as much as a piece too short. */
function endsCut(wall: SetWall, l: PerpLine, classed: ClassedEnds | undefined): number {
  if (!classed) return 0;
  const { ends, course } = classed;
  const lengths = l.u.slice(1).map((x, i) => x - (l.u[i] ?? 0) - l.joint);
  const cut = (end: EndSpec, length: number | undefined): boolean => {
    const [pattern] = bondRule(wall).begins(wall, end, course, false);
    return end.kind === 'own' && pattern !== undefined && Math.abs((length ?? 0) - pieceOf(pattern, 0)) > 1;
  };
  const count = Number(cut(ends.start, lengths[0])) + Number(cut(ends.end, lengths.at(-1)));
  return count * wall.weights.bond.pieceUnderLeast;
}

/**
 * The lines of a run of header bond that does not divide: bond kept from both ends and broken about `at`, as laps best
 * for the least cost.
 */
export function brokenRun(
  wall: SetWall,
  run: Span,
  length: number,
  at: number,
  classes: readonly ClassedEnds[],
): RunLines {
  const least = toMillimetres(wall.profile.leastLap(wall.unit));
  const ways = classes.map(({ ends, course }, i) => {
    const on = at + (i % 2 === 1 ? wall.unitLength / 2 : 0);
    // A unit either way may lap better with the course below.
    const places = [0, -1, 1, -2, 2].map((units) => on + units * (wall.unitLength + wall.head));
    const found = brokenLines(wall, run, ends, course, places, i % 2 === 1);
    return found.length > 0 ? found : [lineWith(wall, ends)([run.from, run.to + wall.head])];
  });
  // The run's own start is where laps are counted from, even where a return stands past it.
  const rule: LapRule = { least, span: { from: 0, to: length }, weight: wall.weights.bond.lapUnderRule };
  const weigh = (lines: readonly PerpLine[], i: number): WeighedLine[] =>
    lines.map((line) => ({ line, own: lineCost(wall, line) + endsCut(wall, line, classes[i]) })).sort(byOwn);
  const [odd = [], even = []] = ways.map(weigh);
  const best = cheapestPair(odd, even, rule).lines;
  // A longer period goes on from there, each course against the one below it.
  for (const more of ways.slice(2)) {
    const below = best.at(-1) as PerpLine;
    const cost = (l: PerpLine): number =>
      lapsUnder(below, l, least, rule.span) * rule.weight + lineCost(wall, l);
    best.push(more.reduce((chosen, l) => (cost(l) < cost(chosen) - 1e-9 ? l : chosen)));
  }
  return best;
}
