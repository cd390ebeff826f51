import { SAME_PLACE } from '../measure/length.js';
import type { SetOpening, SetWall } from '../setout/wall.js';
import { besideCourses } from './besideCourses.js';
import { fixedAt } from './fillSpan.js';
import type { Counts } from './lineCost.js';
import { firstFrom, moduleOf, type ClassedEnds, type PerpLine, type RunLines, type Span } from './lines.js';
import type { PairToFill } from './search.js';
import type { CourseToFill, Stop } from './slots.js';

/** So many units to either side of an opening its lines may be laid otherwise. */
const REACH = 3.2;
/** Places for a cut lie this part of a unit apart within `NEAR` units of an end or a jamb; halves further off. */
const PARTS = 6;
const NEAR = 1.2;
/** A window whose search takes more ways than this keeps the lines it has. */
const MOST_WAYS = 20_000;

/** A length of a run about one of its openings, in which its lines may be laid again. */
export interface Window {
  opening: SetOpening;
  /** The place all else is measured from. */
  zero: number;
  /** First and last edge of each line within it, by their number: they stay. */
  first: readonly [number, number];
  last: readonly [number, number];
  /** It goes to the run's own end. */
  atStart: boolean;
  atEnd: boolean;
  /** Openings that stand in it, wholly or in part. */
  inside: SetOpening[];
}

/** To a millionth of a millimetre, or what was found would never be found again. */
export const tidy = (mm: number): number => Math.round(mm * 1e6) / 1e6;

/** The window about an opening: some units to either side, no further than the middle of a pier. */
export function windowAbout(
  wall: SetWall,
  opening: SetOpening,
  openings: readonly SetOpening[],
  span: Span,
  lines: RunLines,
): Window | null {
  const unit = moduleOf(wall);
  const before = Math.max(...openings.filter((x) => x.to <= opening.from).map((x) => x.to), -Infinity);
  const after = Math.min(...openings.filter((x) => x.from >= opening.to).map((x) => x.from), Infinity);
  const from = Math.max(opening.from - REACH * unit, (before + opening.from) / 2);
  const to = Math.min(opening.to + REACH * unit, (after + opening.to) / 2);
  const atStart = from < span.from + 1.5 * unit;
  const atEnd = to > span.to - 1.5 * unit;
  const [odd, even] = lines.map(({ u }): [number, number] => [
    atStart ? 0 : Math.max(0, firstFrom(u, from + SAME_PLACE) - 1),
    atEnd ? u.length - 1 : Math.min(u.length - 1, firstFrom(u, to - SAME_PLACE)),
  ]);
  if (!odd || !even || odd[1] <= odd[0] || even[1] <= even[0]) return null;
  const edge = (i: 0 | 1, k: number): number => lines[i]?.u[k] ?? 0;
  const zero = Math.min(edge(0, odd[0]), edge(1, even[0]));
  const end = Math.max(edge(0, odd[1]), edge(1, even[1]));
  return {
    opening,
    zero,
    first: [odd[0], even[0]],
    last: [odd[1], even[1]],
    atStart,
    atEnd,
    inside: openings.filter((x) => x.to > zero && x.from < end),
  };
}

/** Places for edges: finely about the jambs and beside the run's own ends, by halves elsewhere, and those there are. */
function placesIn(
  wall: SetWall,
  { from, to }: Span,
  { atStart, atEnd }: Pick<Window, 'atStart' | 'atEnd'>,
  stops: readonly Stop[],
  own: readonly number[],
): number[] {
  const unit = moduleOf(wall);
  const list = [from, to];
  const add = (x: number): void => {
    if (x > from + SAME_PLACE && x < to - SAME_PLACE) list.push(x);
  };
  const addFrom = (at: number, way: 1 | -1, finely: boolean): void => {
    add(at);
    if (finely) for (let k = 1; k <= PARTS * NEAR; k++) add(at + (way * k * unit) / PARTS);
    for (let k = 1; (k * unit) / 2 < to - from; k++) add(at + (way * k * unit) / 2);
  };
  own.forEach(add);
  addFrom(from, 1, atStart);
  addFrom(to, -1, atEnd);
  for (const s of stops) {
    addFrom(s.from, -1, true);
    addFrom(s.from, 1, true);
    addFrom(s.to, -1, true);
    addFrom(s.to, 1, true);
  }
  list.sort((a, b) => a - b);
  const apart = list.filter((x, i) => i === 0 || x - (list[i - 1] as number) > 0.05);
  if (to - (apart.at(-1) as number) > SAME_PLACE) apart.push(to);
  return apart;
}

interface CourseInWindow {
  course: CourseToFill;
  /** Edges before and after what is filled, its own first and last among them. */
  before: number[];
  after: number[];
}

/** What a course of a window is asked for beyond its length. */
interface Asked {
  count: number;
  stops: readonly Stop[];
  /** Edges that courses beside the opening have: a line that has one too is worth so much. */
  wanted: readonly number[];
  worth: number;
}

function courseIn(
  wall: SetWall,
  line: PerpLine,
  i: 0 | 1,
  window: Window,
  { ends, course }: ClassedEnds,
  { count, stops, wanted, worth }: Asked,
): CourseInWindow | null {
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
  if (to - from < SAME_PLACE) return null;
  const places = placesIn(wall, { from, to }, window, stops, [...u, ...wanted]);
  return {
    before,
    after,
    course: {
      places,
      perpAtStart: !window.atStart || lead.length > 0,
      perpAtEnd: !window.atEnd || tail.length > 0,
      count,
      shyStart: window.atStart && ends.start.kind !== 'free',
      shyEnd: window.atEnd && ends.end.kind !== 'free',
      gather: tidy((window.opening.from + window.opening.to) / 2 - window.zero),
      stops,
      ...(wanted.length > 0
        ? { extra: places.map((x) => (wanted.some((w) => Math.abs(w - x) < 1) ? -worth : 0)) }
        : {}),
    },
  };
}

/** A window as a pair of courses to fill, and the edges of each that stay whatever is found. */
export interface WindowToFill {
  pair: PairToFill;
  kept: readonly [CourseInWindow, CourseInWindow];
}

export interface WaysAround {
  /** The edges that courses beside its own opening have been given, so that only those under and over it are laid. */
  wanted?: readonly [readonly number[], readonly number[]] | null;
  /** What it costs a course at most to meet a jamb, its perps off the line where the line leaves it worse. */
  relief?: number;
}

/** The window's courses to be laid with the same perps beside its openings as under and over them. */
export function windowToFill(
  wall: SetWall,
  window: Window,
  classes: readonly ClassedEnds[],
  lines: RunLines,
  counts: Counts,
  { wanted = null, relief = Infinity }: WaysAround = {},
): WindowToFill | null {
  const w = wall.weights.bond;
  const stopped = wanted ? window.inside.filter((o) => o !== window.opening) : window.inside;
  const edges = stopped.map((o) => {
    const at = { from: tidy(o.from + wall.head - window.zero), to: tidy(o.to - window.zero) };
    return { ...at, ...besideCourses(wall, o) };
  });
  const courses = counts.meets + 1;
  const own = besideCourses(wall, window.opening);
  const meetsWith = ({ under, odd, even }: { under: number; odd: number; even: number }): number =>
    Math.max(0, under - 1) + Math.max(0, courses - under - odd - even - 1);
  const [odd, even] = ([0, 1] as const).map((i) => {
    const besideOf = (b: { odd: number; even: number }): number => (i === 0 ? b.odd : b.even);
    return courseIn(wall, lines[i] as PerpLine, i, window, classes[i] as ClassedEnds, {
      count: Math.max(0, (counts.courses[i] ?? 1) - (wanted ? besideOf(own) : 0)),
      stops: edges.map((e) => ({ from: e.from, to: e.to, count: besideOf(e) })),
      wanted: wanted?.[i].map((x) => tidy(x - window.zero)) ?? [],
      worth: w.perpOffItsLine * besideOf(own),
    });
  });
  if (!odd || !even) return null;
  return {
    kept: [odd, even],
    pair: {
      odd: odd.course,
      even: even.course,
      meets: wanted ? meetsWith(own) : counts.meets,
      more: 0,
      reveals: {
        meets: edges.map((e) => ({ from: e.from, to: e.to, meets: meetsWith(e) })),
        relief,
      },
      mostWays: MOST_WAYS,
    },
  };
}

/** The lines with a window's new edges in them. */
export function withWindow(
  lines: RunLines,
  window: Window,
  { kept }: WindowToFill,
  found: { odd: readonly number[]; even: readonly number[] },
): RunLines {
  return lines.map((line, k): PerpLine => {
    const i = k === 0 ? 0 : 1;
    const { before, after } = kept[i];
    const own = [...before.slice(0, -1), ...(i === 0 ? found.odd : found.even), ...after.slice(1)];
    return {
      ...line,
      u: [
        ...line.u.slice(0, window.first[i]),
        ...own.map((x) => x + window.zero),
        ...line.u.slice(window.last[i] + 1),
      ],
    };
  });
}
