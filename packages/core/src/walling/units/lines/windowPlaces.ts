import { SAME_PLACE } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { Jambs } from './courseSteps.js';
import { fixedAt } from './fillSpan.js';
import { moduleOf, type ClassedEnds, type PerpLine, type Span } from './lines.js';
import { SAME, type CourseToFill } from './slots.js';
import type { Window } from './window.js';

/**
 * Within so many units of an end or a jamb places for a cut lie finely; halves further off. Where all perps are plumb there
 * are but two courses to search, and there may be more of them. With halves bought two cuts may do where one and a half would
 * have to be sawn, a little further from the jamb.
 */
const fineWithin = (wall: SetWall): number =>
  wall.cuts === 'panel' ? 2 : wall.unit.halves === 'bought' ? 1.5 : 1.2;

/** To a millionth of a millimetre, or what was found would never be found again. */
export const tidy = (mm: number): number => Math.round(mm * 1e6) / 1e6;

/** Places for edges: finely about the jambs and beside the run's own ends, by halves elsewhere, and those there are. */
function placesIn(
  wall: SetWall,
  { from, to }: Span,
  jambs: readonly Jambs[],
  own: readonly number[],
  parts: number,
): number[] {
  const unit = moduleOf(wall);
  const anchors = [from, ...jambs.flatMap((j) => [j.from, j.to]), to];
  const list = [from, to];
  const add = (x: number): void => {
    if (x > from + SAME_PLACE && x < to - SAME_PLACE) list.push(x);
  };
  own.forEach(add);
  anchors.forEach((at, i) => {
    add(at);
    for (const way of [-1, 1]) {
      const next = anchors[i + way];
      if (next === undefined) continue;
      const finely = Math.min(fineWithin(wall) * unit, (way * (next - at)) / 2 + unit);
      for (let k = 1; (k * unit) / parts <= finely; k++) add(at + (way * k * unit) / parts);
      // What is left over between two ends may be cut anywhere between them: so no jamb is followed past the next but one.
      const own = i === 0 || i === anchors.length - 1;
      const end = own ? (way < 0 ? from : to) : (anchors[i + 2 * way] ?? next);
      for (let k = 1; (k * unit) / 2 < way * (end - at); k++) add(at + (way * k * unit) / 2);
    }
  });
  list.sort((a, b) => a - b);
  const apart = list.filter((x, i) => i === 0 || x - (list[i - 1] as number) > 0.05);
  if (to - (apart.at(-1) as number) > SAME_PLACE) apart.push(to);
  return apart;
}

/** A line in a window: its edges before and after what is laid again, that first and last among them, and what it may be laid of. */
export interface LineInWindow {
  before: number[];
  after: number[];
  course: CourseToFill;
}

/** A line in a window with the places its edges may have, a unit in so many `parts`; null where a jamb stands in what its ends begin with. */
export function lineIn(
  wall: SetWall,
  line: PerpLine,
  i: 0 | 1,
  window: Window,
  { ends, course }: ClassedEnds,
  jambs: readonly Jambs[],
  parts: number,
): LineInWindow | null {
  const u = line.u.slice(window.first[i], window.last[i] + 1).map((x) => tidy(x - window.zero));
  const fixed = (atStart: boolean): number[] =>
    fixedAt(wall, atStart ? ends.start : ends.end, { first: i === 0, long: course.long, atStart }, 'all');
  const before = [u[0] as number];
  const after = [u.at(-1) as number];
  const lead = window.atStart ? fixed(true) : [];
  const tail = window.atEnd ? fixed(false) : [];
  for (const piece of lead) before.push((before.at(-1) as number) + piece + wall.head);
  for (const piece of tail) after.unshift((after[0] as number) - piece - wall.head);
  const from = before.at(-1) as number;
  const to = after[0] as number;
  const [first, last] = [jambs[0], jambs.at(-1)];
  if (!first || !last || from > first.from - SAME || to < last.to + SAME) return null;
  return {
    before,
    after,
    course: {
      places: placesIn(wall, { from, to }, jambs, u, parts),
      perpAtStart: !window.atStart || lead.length > 0,
      perpAtEnd: !window.atEnd || tail.length > 0,
      count: 0,
      shyStart: window.atStart && ends.start.kind !== 'free',
      shyEnd: window.atEnd && ends.end.kind !== 'free',
      gather: (first.from + last.to) / 2,
    },
  };
}
