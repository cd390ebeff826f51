import { SAME_PLACE, toMillimetres } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { bricksOf } from '../bonds/headerBond.js';
import type { Pattern } from '../bonds/bondRule.js';
import { bondRule } from '../bonds/registry.js';
import { kindOf, unitLengthsOf } from '../laying/kindOf.js';
import { leadsOf } from './fillSpan.js';
import { lapsUnder, cheapestPair, byOwn, type LapRule, type WeighedLine } from './pairs.js';
import {
  headLimits,
  pieceOf,
  type ClassedEnds,
  type Ends,
  type HeadLimits,
  type PerpLine,
  type RunLines,
  type Span,
} from './lines.js';

/** Pieces of a course from one end of a length to the other, and the joint between them. */
interface Course {
  pieces: number[];
  joint: number;
  /** How many of them are its ends' own. */
  kept: readonly [number, number];
  /** How far from where it is wanted it is broken, in units. */
  off: number;
}

/** How far from where it is wanted a bond may be broken, in units: it may lap better with the course below. */
const EITHER_WAY = 1.5;

/** Standard pieces that close a bond between its ends, none under a half: what a mason has to hand before anything is measured. */
function standardFillings(wall: SetWall): number[][] {
  const { header, threeQuarter, stretcher } = bricksOf(wall);
  const one = [header, threeQuarter, stretcher];
  return [[], ...one.map((a) => [a]), ...one.flatMap((a) => one.map((b) => [a, b]))];
}

/** Pieces cut to what is left, `room` between the joints beside it: one, or two of which neither is under a half. */
function cutFillings(wall: SetWall, room: number): number[][] {
  const { header, threeQuarter, stretcher } = bricksOf(wall);
  const [least, most] = [Math.min(header, wall.half) - SAME_PLACE, stretcher + SAME_PLACE];
  const two = room - wall.head;
  return [
    [room],
    [two / 2, two / 2],
    ...[header, threeQuarter, stretcher].flatMap((a) => [
      [a, two - a],
      [two - a, a],
    ]),
  ].filter((pieces) => pieces.every((p) => p >= least && p <= most));
}

const first = (pattern: Pattern, count: number): number[] =>
  Array.from({ length: count }, (_, i) => pieceOf(pattern, i));
const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

/** The joint that so many pieces leave in a length, where it may be one; null where it may not. */
function jointLeft(
  wall: SetWall,
  length: number,
  pieces: readonly number[],
  limits: HeadLimits,
): number | null {
  if (pieces.length === 1) return Math.abs(length - (pieces[0] ?? 0)) < SAME_PLACE ? wall.head : null;
  const joint = (length - sum(pieces)) / (pieces.length - 1);
  return joint >= limits.least - SAME_PLACE && joint <= limits.most + SAME_PLACE ? joint : null;
}

/**
 * The ways to lay one course of a header bond: its bond kept from both ends, the two met in mid-panel about `at`. What they do not make
 * up is shared over all its perps, or closed by a half, a three-quarter or a whole, or cut with no piece under a half.
 */
function coursesOf(
  wall: SetWall,
  length: number,
  { ends, course }: ClassedEnds,
  at: number,
  whole = true,
): Course[] {
  const rule = bondRule(wall);
  const limits = headLimits(wall);
  const standard = standardFillings(wall);
  const module = wall.unitLength + wall.head;
  const reach = EITHER_WAY * module;
  const found: Course[] = [];
  for (const start of rule.begins(wall, ends.start, course, false).slice(0, 1))
    for (const end of rule.begins(wall, ends.end, course, true)) {
      const [last, back] = [
        piecesIn(start, at + reach, wall.head),
        piecesIn(end, length - at + reach, wall.head),
      ];
      for (let k = keptAt(start, whole); k <= last; k++) {
        const left = first(start, k);
        const from = sum(left) + k * wall.head;
        if (from < at - reach - module) continue;
        for (let m = keptAt(end, whole); m <= back; m++) {
          const right = first(end, m).reverse();
          const to = length - sum(right) - m * wall.head;
          const off = Math.abs((from + to) / 2 - at);
          if (to - from > 2 * module || to - from < -module || off > reach) continue;
          const kept = [k, m] as const;
          for (const filling of standard) {
            const pieces = [...left, ...filling, ...right];
            const joint = jointLeft(wall, length, pieces, limits);
            if (joint !== null) found.push({ pieces, joint, kept, off: off / module });
          }
          for (const filling of cutFillings(wall, to - from))
            found.push({
              pieces: [...left, ...filling, ...right],
              joint: wall.head,
              kept,
              off: off / module,
            });
        }
      }
    }
  // Too short for both: the closers go first.
  return found.length > 0 || !whole ? found : coursesOf(wall, length, { ends, course }, at, false);
}

/** How many pieces of its pattern an end keeps: what turns a corner, shows there or stands at a reveal, its closer too. */
const keptAt = ({ lead }: Pattern, whole: boolean): number => (whole ? Math.max(1, lead.length) : 1);

/** How many pieces of a pattern go into a length. */
function piecesIn(pattern: Pattern, length: number, joint: number): number {
  let count = 0;
  for (let x = 0; ; count++) {
    x += pieceOf(pattern, count) + joint;
    if (x > length + joint + SAME_PLACE) return count;
  }
}

function lineFrom(
  span: Span,
  ends: Ends,
  { pieces, joint, kept }: Course,
  wall: SetWall,
  of: ClassedEnds,
): PerpLine {
  const u = [span.from];
  let at = span.from;
  for (const piece of pieces) u.push((at += piece + joint));
  u[u.length - 1] = span.to + joint;
  const lead = (end: Ends['start']): number[] =>
    bondRule(wall).begins(wall, end, of.course, false)[0]?.lead ?? [];
  return {
    u,
    joint,
    shownAtStart: ends.start.kind === 'return',
    shownAtEnd: ends.end.kind === 'return',
    ...(of.course.headers ? { headers: true as const } : {}),
    leads: leadsOf(ends, {
      start: lead(ends.start).slice(0, kept[0]),
      end: lead(ends.end).slice(0, kept[1]),
    }),
  };
}

/** Less than anything of the table: they only decide between ways alike. */
const [A_BREAK, FARTHER] = [0.01, 0.001];

/** What a course's own pieces and joints cost by the table: those of the bond itself nothing. */
function courseCost(wall: SetWall, { pieces, joint, kept, off: away }: Course): number {
  const w = wall.weights.bond;
  const limits = headLimits(wall);
  const sizes = unitLengthsOf(wall);
  const middle = pieces.slice(kept[0], pieces.length - kept[1]);
  const cuts = middle.map((p) => kindOf(wall, p, sizes)).filter((k) => k.cut);
  const odd = new Set(middle.filter((p) => kindOf(wall, p, sizes).kind === 'cut').map(Math.round));
  const off = joint - wall.head;
  const room = Math.max(off > 0 ? limits.most - wall.head : wall.head - limits.least, SAME_PLACE);
  return (
    cuts.length * w.cutPiece +
    odd.size * w.distinctCutSize +
    middle.length * A_BREAK +
    away * FARTHER +
    (pieces.length - 1) * w.headJointSquared * (off / room) ** 2
  );
}

/**
 * The lines of a length of header bond, the cheapest of all ways together by pieces, joints and laps; null where it is too short for what
 * its ends ask.
 */
export function headerSpan(
  wall: SetWall,
  span: Span,
  classes: readonly ClassedEnds[],
  at: number,
): RunLines | null {
  const length = span.to - span.from;
  const least = toMillimetres(wall.profile.leastLap(wall.unit));
  const rule: LapRule = { least, span, weight: wall.weights.bond.lapUnderRule };
  const ways = classes.map((c): WeighedLine[] =>
    onceEach(coursesOf(wall, length, c, at - span.from))
      .map((course) => ({ line: lineFrom(span, c.ends, course, wall, c), own: courseCost(wall, course) }))
      .sort(byOwn),
  );
  if (ways.some((w) => w.length === 0)) return null;
  const [odd = [], even = []] = ways;
  return ways.length === 2 ? cheapestPair(odd, even, rule).lines : cheapestRound(ways, rule);
}

/** Each row of pieces once, broken as near as it can be to where that is wanted: a whole one more from one end is one less from the other. */
function onceEach(courses: readonly Course[]): Course[] {
  const found = new Map<string, Course>();
  for (const course of courses) {
    const key = course.pieces.map((p) => p.toFixed(2)).join();
    const before = found.get(key);
    const middle = (c: Course): number => c.pieces.length - c.kept[0] - c.kept[1] + c.off * 0.1;
    if (!before || middle(course) < middle(before)) found.set(key, course);
  }
  return [...found.values()];
}

/** Of a longer period so many ways a course are weighed together, the cheapest of themselves. */
const WEIGHED = 40;

/** The courses of a longer period that cost least together, the first over the last again. */
function cheapestRound(all: readonly (readonly WeighedLine[])[], { least, span, weight }: LapRule): RunLines {
  const ways = all.map((w) => w.slice(0, WEIGHED));
  const [firsts = []] = ways;
  const laps = ways.map((below, i) => {
    const above = ways[(i + 1) % ways.length] ?? [];
    return below.map((a) => above.map((b) => weight * lapsUnder(a.line, b.line, least, span)));
  });
  let best = { cost: Infinity, chosen: [] as number[] };
  for (const [f, first] of firsts.entries()) {
    // Sorted by their own: from here on none can cost less.
    if (first.own >= best.cost) break;
    let costs = firsts.map((_, k) => (k === f ? first.own : Infinity));
    const from: number[][] = [];
    ways.slice(1).forEach((own, i) => {
      const back: number[] = [];
      costs = own.map((way, k) => {
        let [cost, at] = [Infinity, 0];
        costs.forEach((before, j) => {
          const together = before + (laps[i]?.[j]?.[k] ?? 0);
          if (together < cost) [cost, at] = [together, j];
        });
        back.push(at);
        return cost + way.own;
      });
      from.push(back);
    });
    costs.forEach((before, k) => {
      const cost = before + (laps.at(-1)?.[k]?.[f] ?? 0);
      if (cost >= best.cost - 1e-9) return;
      const chosen = [k];
      for (const back of [...from].reverse()) chosen.unshift(back[chosen[0] ?? 0] ?? 0);
      best = { cost, chosen };
    });
  }
  return ways.flatMap((own, i) => own[best.chosen[i] ?? 0]?.line ?? []);
}
