import type { Mm } from '../../../measure/length.js';
import { costOf, type FitAsk, type LaidCourse, type LaidStone, type Lay, type PileStone } from './pile.js';

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

/** Joints of a course: where two stones meet, to the middle between them. */
const jointsOf = (course: LaidCourse, joint: Mm): Mm[] => course.stones.slice(1).map((s) => s.at - joint / 2);

/** A course as long as the stretch, of the next stones there are. How many it took is how many it has. */
function courseOf(ask: FitAsk, order: readonly Next[], from: number, bottom: Mm): LaidCourse | null {
  const stones: LaidStone[] = [];
  let at = 0;
  for (let i = from; i < order.length; i++) {
    const { stone, longIn: wanted } = order[i] as Next;
    const room = ask.length - at;
    if (room < SAME) break;
    const longIn = goesIn(stone, wanted, ask.depth) ? wanted : !wanted;
    const { along, inwards } = turned(stone, longIn);
    if (inwards > ask.depth + SAME) return null;
    // What would leave less than a piece behind it is dressed to the end, as is what is too long.
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
    at += length + ask.joint;
  }
  if (stones.length === 0) return null;
  // The lowest rules: what stands over it by more than may be bedded is dressed down.
  const low = Math.min(...stones.map((s) => s.height));
  for (const s of stones) {
    if (s.height - low > ask.tops + SAME) s.offTop = s.height - low;
    s.height -= s.offTop;
  }
  const height = Math.max(...stones.map((s) => s.height));
  const end = stones.at(-1);
  const open = Math.max(0, ask.length - ((end?.at ?? 0) + (end?.length ?? 0)));
  return { bottom, height, stones, open: open > ask.joint + SAME ? open : 0 };
}

const volume = (c: LaidCourse): number =>
  c.stones.reduce((sum, s) => sum + s.length * s.height * s.depth, 0) / c.stones.length;

/**
 * Stones laid in an order, course by course from the bottom, each course from its start: what that comes to. Whatever an order does not
 * reach is over. Null where a stone goes in neither way.
 */
export function layInOrder(ask: FitAsk, order: readonly Next[]): Lay | null {
  const courses: LaidCourse[] = [];
  let [taken, bottom] = [0, 0];
  while (bottom < ask.height - ask.tops - SAME && taken < order.length) {
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
    found.open += c.open * c.height;
    if (under) found.topHeavy += Math.max(0, volume(c) / volume(under) - 1);
  });
  const top = courses.at(-1);
  const reached = top ? top.bottom + top.height : 0;
  found.open += Math.max(0, ask.height - ask.tops - reached) * ask.length;
  return {
    courses,
    ...found,
    unused: order.slice(taken).map((n) => n.stone.id),
    cost: costOf(found),
  };
}
