import { SAME_PLACE } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { CourseAt, Strictness } from '../bonds/bondRule.js';
import { bondRule } from '../bonds/registry.js';
import { shownWidth, type EndSpec } from './ends.js';
import { slotRules, type Counts } from './lineCost.js';
import type { ClassedEnds, PerpLine, RunLines, Span } from './lines.js';
import { cheapestFilling, type FilledPair } from './search.js';
import type { CourseToFill, SlotRules } from './slots.js';

/** Places for a cut lie this part of a unit apart, from both ends: halves, thirds and quarters among them. */
const PARTS = 12;
/** A length is searched with so many units; the rest of it is more of the same. */
const SEARCHED = 4;

/** What one course has fixed at its ends, piece by piece from the end inward: the corner's unit, a return, a closer. */
interface Fixed {
  start: number[];
  end: number[];
}

/** Pieces fixed at an end of a course that is filled: what its bond says. */
export const fixedAt = (wall: SetWall, end: EndSpec, at: CourseAt, keep: Strictness): number[] =>
  bondRule(wall).fixed?.(wall, end, at, keep) ?? [];

/**
 * Edges where a piece may begin, a unit in so many `parts` from both ends of what is to be filled; and in quarters of a
 * unit from its middle, where two cuts alike meet between whole units and halves.
 */
function placesBetween(from: number, to: number, module: number): number[] {
  const places = [from];
  const grid = module / PARTS;
  for (let k = 1; from + k * grid < to - SAME_PLACE; k++) places.push(from + k * grid);
  for (let k = 1; to - k * grid > from + SAME_PLACE; k++) places.push(to - k * grid);
  const [middle, quarter] = [(from + to) / 2, module / 4];
  for (let k = 0; middle - k * quarter > from + SAME_PLACE; k++)
    places.push(middle - k * quarter, middle + k * quarter);
  places.sort((a, b) => a - b);
  const apart = places.filter((x, i) => i === 0 || x - (places[i - 1] as number) > 0.05);
  if (to - (apart.at(-1) as number) > SAME_PLACE) apart.push(to);
  return apart;
}

interface Course {
  course: CourseToFill;
  /** Edges before and after what is filled, from the start of the length. */
  before: number[];
  after: number[];
  fixed: Fixed;
}

function courseToFill(
  wall: SetWall,
  length: number,
  ends: ClassedEnds['ends'],
  fixed: Fixed,
  count: number,
): Omit<Course, 'course'> & { make: (more: number) => CourseToFill; room: number } {
  const before = [0];
  for (const piece of fixed.start) before.push((before.at(-1) as number) + piece + wall.head);
  const after = [length + wall.head];
  for (const piece of fixed.end) after.unshift((after[0] as number) - piece - wall.head);
  const from = before.at(-1) as number;
  const to = after[0] as number;
  const module = wall.unitLength + wall.head;
  return {
    before,
    after,
    fixed,
    room: to - from,
    make: (more) => ({
      places: to - from < SAME_PLACE ? [from] : placesBetween(from, to - more * module, module),
      perpAtStart: fixed.start.length > 0,
      perpAtEnd: fixed.end.length > 0,
      count,
      shyStart: ends.start.kind !== 'free',
      shyEnd: ends.end.kind !== 'free',
      gather:
        ends.end.kind === 'free'
          ? to - more * module
          : ends.start.kind === 'free'
            ? from
            : (from + to - more * module) / 2,
    }),
  };
}

/** Perps of the other course's fixed pieces, which the walk does not pass: what a perp too near one of them costs. */
function withExtra(r: SlotRules, own: CourseToFill, perps: readonly number[], price: number): CourseToFill {
  if (perps.length === 0 || r.stacked) return own;
  return {
    ...own,
    extra: own.places.map(
      (x) => price * perps.filter((p) => Math.abs(p - x) < r.leastLap - SAME_PLACE).length,
    ),
  };
}

/** The searched pair drawn out to its whole length: more whole units where they change nothing, the cuts about `at`. */
function drawnOut(found: FilledPair, more: number, module: number, at: number): [number[], number[]] {
  if (more === 0 || !found.pump) return [found.odd, found.even];
  const apart = found.pump.even - found.pump.odd;
  const seams = found.odd.flatMap((x) => (found.even.some((y) => Math.abs(y - x - apart) < 0.05) ? [x] : []));
  const [first = found.pump.odd, last = found.pump.odd] = [seams[0], seams.at(-1)];
  const cuts = [found.odd, found.even].flatMap((edges) =>
    edges.slice(0, -1).flatMap((x, i) => {
      const next = edges[i + 1] as number;
      return Math.abs(next - x - module) > 1 && x > first - 1 && next < last + module ? [(x + next) / 2] : [];
    }),
  );
  const middle = cuts.length > 0 ? cuts.reduce((a, b) => a + b, 0) / cuts.length : at;
  const left = first === last ? more : Math.min(more, Math.max(0, Math.round((at - middle) / module)));
  const stretched = (edges: readonly number[], by: number): number[] => {
    const drawn = (list: readonly number[], seam: number, n: number): number[] => {
      const cut = list.findIndex((x) => Math.abs(x - seam) < 0.06);
      const head = list.slice(0, cut + 1);
      const tail = list.slice(cut + 1).map((x) => x + n * module);
      const from = list[cut] as number;
      return [...head, ...Array.from({ length: n }, (_, k) => from + (k + 1) * module), ...tail];
    };
    const once = drawn(edges, first + by, left);
    return left === more ? once : drawn(once, last + by + left * module, more - left);
  };
  return [stretched(found.odd, 0), stretched(found.even, apart)];
}

/**
 * The lines of a length of running bond that no easing closes, laid the cheapest way there is (`search.ts`): cuts at a
 * free end, in mid-panel or beside a return, one or several, whichever the table likes best; about `at` where that is
 * all the same. Where the ends ask for more than there is room for, they give way, a unit at a corner first.
 */
export function filledSpan(
  wall: SetWall,
  span: Span,
  classes: readonly ClassedEnds[],
  at: number,
  counts: Counts,
): RunLines {
  const r = slotRules(wall);
  const length = span.to - span.from;
  const module = wall.unitLength + wall.head;
  const price = counts.meets * r.cost.lap;
  for (const keep of ['all', 'returns'] as const) {
    const [odd, even] = classes.slice(0, 2).map(({ ends, course }, i) =>
      courseToFill(
        wall,
        length,
        ends,
        {
          start: fixedAt(wall, ends.start, { first: i === 0, long: course.long, atStart: true }, keep),
          end: fixedAt(wall, ends.end, { first: i === 0, long: course.long, atStart: false }, keep),
        },
        counts.courses[i] ?? 1,
      ),
    );
    if (!odd || !even || odd.room < -SAME_PLACE || even.room < -SAME_PLACE) continue;
    const more = Math.max(0, Math.floor(Math.min(odd.room, even.room) / module) - SEARCHED);
    const perps = (c: typeof odd): number[] => [
      ...c.before.slice(1, -1),
      ...c.after.slice(1, -1).map((x) => x - more * module),
    ];
    const found = cheapestFilling(r, {
      odd: withExtra(r, odd.make(more), perps(even), price),
      even: withExtra(r, even.make(more), perps(odd), price),
      meets: counts.meets,
      more,
    });
    if (!found) continue;
    const drawn = drawnOut(found, more, module, at - span.from);
    return [odd, even].map((c, i): PerpLine => {
      const { ends } = classes[i] as ClassedEnds;
      const inner = drawn[i] as number[];
      const u = [...c.before.slice(0, -1), ...inner, ...c.after.slice(1)];
      return {
        u: u.map((x) => span.from + x),
        joint: wall.head,
        shownAtStart: ends.start.kind === 'return',
        shownAtEnd: ends.end.kind === 'return',
        leads: leadsOf(ends, c.fixed),
      };
    });
  }
  return evenLines(wall, span, classes);
}

/** Of the pieces a course begins and ends with, those that are another run's or a corner's own. */
export const leadsOf = (ends: ClassedEnds['ends'], { start, end }: Fixed): NonNullable<PerpLine['leads']> => {
  const at = (spec: EndSpec): boolean =>
    spec.kind === 'return' || (spec.kind === 'own' && spec.legs !== null);
  return { start: at(ends.start) ? start : [], end: at(ends.end) ? end : [] };
};

/** The lines of a length too short for its ends. */
export const evenLines = (wall: SetWall, span: Span, classes: readonly ClassedEnds[]): RunLines =>
  classes.map(({ ends }) => evenly(wall, span, ends));

/** A length too short for its ends: as few pieces as reach, all alike, beside what shows of other runs. */
function evenly(wall: SetWall, span: Span, ends: ClassedEnds['ends']): PerpLine {
  const shownAtStart = ends.start.kind === 'return';
  const shownAtEnd = ends.end.kind === 'return';
  const from = span.from + (shownAtStart ? shownWidth(wall, ends.start) + wall.head : 0);
  const to = span.to + wall.head - (shownAtEnd ? shownWidth(wall, ends.end) + wall.head : 0);
  const count = Math.max(1, Math.ceil((to - from - SAME_PLACE) / (wall.unitLength + wall.head)));
  const inner =
    to - from > wall.head + 1
      ? Array.from({ length: count + 1 }, (_, k) => from + (k * (to - from)) / count)
      : [Math.max(from, span.from)];
  return {
    u: [...(shownAtStart ? [span.from] : []), ...inner, ...(shownAtEnd ? [span.to + wall.head] : [])],
    joint: wall.head,
    shownAtStart,
    shownAtEnd,
  };
}
