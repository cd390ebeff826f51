import { SAME_PLACE } from '../measure/length.js';
import type { SetOpening, SetWall } from '../setout/wall.js';
import { besideCourses } from './besideCourses.js';
import { placesBetween } from './fillSpan.js';
import { bondKey, slotRules, type Counts } from './lineCost.js';
import { moduleOf, type PerpLine, type Span } from './lines.js';
import { cheapestFilling } from './search.js';
import type { CourseToFill } from './slots.js';

/** The courses under and over an opening between its jambs: edges, and whether a piece stands astride each jamb. */
export interface UnderOpening {
  lines: PerpLine[];
  astride: readonly { left: boolean; right: boolean }[];
  cost: number;
}

/** How many courses there are under and over an opening, of so many in all. */
export function countsUnder(wall: SetWall, o: SetOpening, all: Counts): Counts {
  const { under, odd, even } = besideCourses(wall, o);
  const over = Math.max(0, all.meets + 1 - under - odd - even);
  const least = (n: number): number => Math.max(0.1, n);
  return {
    courses: [least((all.courses[0] ?? 0) - odd), least((all.courses[1] ?? 0) - even)],
    meets: Math.max(0, under - 1) + Math.max(0, over - 1),
  };
}

/** Places for a cut lie this part of a unit apart, from both jambs: more closely where there is less room. */
const PARTS = 6;
const NARROW = 3;

const known = new Map<string, UnderOpening | null>();
const MOST_KNOWN = 2000;

/**
 * The cheapest way to lay what is under and over an opening, `span` from jamb to jamb with the joints beside it, where odd
 * courses or even ones are whole at either jamb and the others leave a half there: it may go on astride the jamb to any
 * length a unit has, for no reveal is seen there. Null where none was found.
 */
export function underOpening(
  wall: SetWall,
  span: Span,
  wholeOnOdd: { left: boolean; right: boolean },
  counts: Counts,
): UnderOpening | null {
  const long = Math.round((span.to - span.from) * 1e6) / 1e6;
  const key = `${bondKey(wall)}|${long}|${wholeOnOdd.left}|${wholeOnOdd.right}|${counts.courses.join()}|${counts.meets}`;
  let found = known.get(key);
  if (found === undefined) {
    found = searched(wall, long, wholeOnOdd, counts);
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, found);
  }
  return (
    found && {
      ...found,
      lines: found.lines.map((l) => ({ ...l, u: l.u.map((x) => x + span.from) })),
    }
  );
}

function searched(
  wall: SetWall,
  long: number,
  wholeOnOdd: { left: boolean; right: boolean },
  counts: Counts,
): UnderOpening | null {
  const stub = wall.half + wall.head;
  const to = long + wall.head;
  const course = (i: 0 | 1): CourseToFill => {
    const [left, right] = [wholeOnOdd.left === (i === 0), wholeOnOdd.right === (i === 0)];
    const unit = moduleOf(wall);
    const between = placesBetween(0, to, unit / (long < NARROW * unit ? 2 * PARTS : PARTS));
    return {
      places: [...(left ? [] : [-stub]), ...between, ...(right ? [] : [to + stub])],
      perpAtStart: true,
      perpAtEnd: true,
      count: counts.courses[i] ?? 1,
      shyStart: false,
      shyEnd: false,
      gather: to / 2,
    };
  };
  const found = cheapestFilling(slotRules(wall), {
    odd: course(0),
    even: course(1),
    meets: counts.meets,
    more: 0,
    mostWays: 60_000,
  });
  if (!found) return null;
  const has = (edges: readonly number[], x: number): boolean =>
    edges.some((e) => Math.abs(e - x) < SAME_PLACE);
  const rows = [found.odd, found.even];
  return {
    cost: found.cost,
    astride: rows.map((u) => ({ left: !has(u, 0), right: !has(u, to) })),
    lines: rows.map((u) => ({
      u: [0, ...u.filter((x) => x > SAME_PLACE && x < to - SAME_PLACE), to],
      joint: wall.head,
      shownAtStart: false,
      shownAtEnd: false,
    })),
  };
}
