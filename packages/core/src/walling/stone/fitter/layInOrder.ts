import type { Mm } from '../../../measure/length.js';
import {
  costOf,
  type Around,
  type FitAsk,
  type LaidCourse,
  type LaidStone,
  type Lay,
  type PileStone,
} from './pile.js';

/** Which stone comes next, and whether its long way goes in. */
export interface Next {
  stone: PileStone;
  longIn: boolean;
}

const SAME = 1e-6;

/** What shows of a stone and how far it goes in. */
function turned({ length, depth }: PileStone, longIn: boolean): { along: Mm; inwards: Mm } {
  const [long, short] = length >= depth ? [length, depth] : [depth, length];
  return longIn ? { along: short, inwards: long } : { along: long, inwards: short };
}

/** One that would go in too far is laid along the face, whatever was wanted. */
export const goesIn = (stone: PileStone, longIn: boolean, depth: Mm): boolean =>
  turned(stone, longIn).inwards <= depth + SAME;

/** Joints of a course: where two stones meet, to the middle between them. At an opening none do. */
const jointsOf = (course: LaidCourse, joint: Mm): Mm[] =>
  course.stones.slice(1).flatMap((s, i) => {
    const before = course.stones[i];
    return before && s.at - (before.at + before.length) < joint + SAME ? [s.at - joint / 2] : [];
  });

/** Openings that a course between two heights stands against: what it laps by no more than tops may differ is bedded. */
const inTheWay = ({ around = [], tops }: FitAsk, bottom: Mm, top: Mm): Around[] =>
  around.filter((h) => h.bottom < top - tops - SAME && h.top > bottom + tops + SAME);

/** What is left of the stretch beside them, from its start on. */
function spansBeside(ask: FitAsk, holes: readonly Around[]): { from: Mm; to: Mm }[] {
  const spans: { from: Mm; to: Mm }[] = [];
  let at = 0;
  for (const h of [...holes].sort((a, b) => a.from - b.from)) {
    if (h.from > at + SAME) spans.push({ from: at, to: h.from });
    at = Math.max(at, h.to);
  }
  if (ask.length > at + SAME) spans.push({ from: at, to: ask.length });
  return spans;
}

/** Spans laid full of the next stones there are; null where one goes in neither way. */
function filled(
  ask: FitAsk,
  order: readonly Next[],
  first: number,
  spans: readonly { from: Mm; to: Mm }[],
): { stones: LaidStone[]; open: Mm } | null {
  const stones: LaidStone[] = [];
  let [i, open] = [first, 0];
  for (const span of spans) {
    let at = span.from;
    let end = at;
    for (; i < order.length && span.to - at >= SAME; i++) {
      const { stone, longIn: wanted } = order[i] as Next;
      const room = span.to - at;
      const longIn = goesIn(stone, wanted, ask.depth) ? wanted : !wanted;
      const { along, inwards } = turned(stone, longIn);
      if (inwards > ask.depth + SAME) return null;
      // What would leave less than a joint behind it is dressed to the end, as is what is too long.
      const rest = room - along - ask.joint;
      const length = rest < SAME ? Math.min(along, room) : along;
      stones.push({
        stone: stone.id,
        at,
        length,
        height: stone.height,
        depth: inwards,
        longIn,
        offEnd: along - length,
        offTop: 0,
      });
      end = at + length;
      at = end + ask.joint;
    }
    const left = span.to - end;
    if (left > ask.joint + SAME) open += left;
  }
  return { stones, open };
}

/** The lowest rules: what stands over it by more than may be bedded is dressed down. How high that makes the course. */
function levelled(stones: readonly LaidStone[], tops: Mm): Mm {
  const low = Math.min(...stones.map((s) => s.height));
  for (const s of stones) {
    if (s.height - low > tops + SAME) s.offTop = s.height - low;
    s.height -= s.offTop;
  }
  return Math.max(...stones.map((s) => s.height));
}

/** What stands higher than its first stone and would so stand in an opening over it is dressed down to that. */
function underSills(ask: FitAsk, stones: readonly LaidStone[], bottom: Mm, height: Mm, first: Mm): Mm {
  const more = inTheWay(ask, bottom, bottom + height).length > inTheWay(ask, bottom, bottom + first).length;
  if (!more) return height;
  for (const s of stones.filter((one) => one.height > first)) {
    s.offTop += s.height - first;
    s.height = first;
  }
  return Math.max(...stones.map((s) => s.height));
}

/** A course as long as the stretch, of the next stones there are, round what stands open in it. How many it took is how many it has. */
function courseOf(ask: FitAsk, order: readonly Next[], from: number, bottom: Mm): LaidCourse | null {
  // Its first stone says how high it is, and so what it stands against.
  const first = order[from]?.stone.height ?? 0;
  const holes = inTheWay(ask, bottom, bottom + first);
  const laid = filled(ask, order, from, spansBeside(ask, holes));
  if (!laid || laid.stones.length === 0) return null;
  const height = underSills(ask, laid.stones, bottom, levelled(laid.stones, ask.tops), first);
  const lost = holes.reduce(
    (sum, h) =>
      sum + (h.to - h.from) * (Math.max(0, h.bottom - bottom) + Math.max(0, bottom + height - h.top)),
    0,
  );
  return { bottom, height, ...laid, lost };
}

const volume = (c: LaidCourse): number =>
  c.stones.reduce((sum, s) => sum + s.length * s.height * s.depth, 0) / c.stones.length;

/**
 * Stones laid in an order, course by course from the bottom, each course from its start: what that comes to. Whatever an order does not
 * reach is over. Null where a stone goes in neither way.
 */
export function layInOrder(ask: FitAsk, order: readonly Next[]): Lay | null {
  const courses: LaidCourse[] = [];
  let [taken, bottom, passed] = [0, 0, 0];
  while (bottom < ask.height - ask.tops - SAME && taken < order.length) {
    const holes = inTheWay(ask, bottom, bottom + (order[taken]?.stone.height ?? 0));
    if (holes.length > 0 && spansBeside(ask, holes).length === 0) {
      // The whole of it is open there: it goes on over the head.
      const [sill, head] = [Math.min(...holes.map((h) => h.bottom)), Math.min(...holes.map((h) => h.top))];
      passed += Math.max(0, sill - bottom) * ask.length;
      bottom = head;
      continue;
    }
    const course = courseOf(ask, order, taken, bottom);
    if (!course) return null;
    courses.push(course);
    taken += course.stones.length;
    bottom += course.height + ask.joint;
  }
  const found = { uncrossed: 0, slivers: 0, dressed: 0, open: 0, traced: 0, topHeavy: 0 };
  courses.forEach((c, i) => {
    const under = courses[i - 1];
    const below = under ? jointsOf(under, ask.joint) : [];
    found.uncrossed += jointsOf(c, ask.joint).filter((j) =>
      below.some((b) => Math.abs(b - j) < ask.lap - SAME),
    ).length;
    for (const s of c.stones) {
      if (s.length < ask.least - SAME) found.slivers += 1;
      found.dressed += s.offEnd * (s.height + s.offTop) + s.offTop * s.length;
      if (!s.longIn && s.length > s.depth + SAME) found.traced += 1;
    }
    found.open += c.open * c.height + c.lost;
    if (under) found.topHeavy += Math.max(0, volume(c) / volume(under) - 1);
  });
  const top = courses.at(-1);
  const reached = top ? top.bottom + top.height : 0;
  // What of the stretch is not reached, openings out.
  const missing = Math.max(0, ask.height - ask.tops - reached);
  found.open += passed;
  if (missing > 0)
    found.open += (ask.around ?? []).reduce(
      (sum, h) =>
        sum - (h.to - h.from) * Math.max(0, Math.min(h.top, reached + missing) - Math.max(h.bottom, reached)),
      missing * ask.length,
    );
  return {
    courses,
    ...found,
    unused: order.slice(taken).map((n) => n.stone.id),
    cost: costOf(found),
  };
}
