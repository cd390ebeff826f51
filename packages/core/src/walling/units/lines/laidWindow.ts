import type { SetWall } from '../../../stages/set-out/wall.js';
import { OFF_LINE } from '../laying/besideJamb.js';
import { partedSteps, plumbSteps, type CourseSteps, type Jambs } from './courseSteps.js';
import { slotRules } from './lineCost.js';
import { moduleOf, type ClassedEnds, type PerpLine, type RunLines } from './lines.js';
import { filledTogether } from './searchTogether.js';
import { pricing, SAME, type SlotRules } from './slots.js';
import { partedGroup, type Window } from './window.js';
import { kindsOf, partsBeside, type Kind, type Lap } from './windowCourses.js';
import { lineIn, tidy, type LineInWindow } from './windowPlaces.js';

/**
 * Places for a cut lie this part of a unit apart: block made with halves stands on a module of quarters, so that its cuts
 * fall on eighths; what is sawn for every half is parted in thirds too. A finer grid has not been seen to cost less.
 */
const partsOf = (wall: SetWall): number => (wall.unit.halves === 'bought' ? 8 : 6);

/** Hints, which decide between ways that cost the same, come to less than this. */
const A_HAIR = 1;

/** A pier narrower than so many units is narrow. */
const NARROW = 2;

/** What is not to be has this price, far beyond any that is paid; perps within this are plumb. */
const NEVER = 1e6;
const PLUMB = 0.5;

/** A line of more places than this is not searched: what the bound keeps grows with their square. */
const MOST_PLACES = 1200;
/**
 * Courses that have more places than this between them are given fewer, and where cuts stand at the jambs their openings are
 * looked at one by one if that does not do: openings on no module have three times the places of those on one.
 */
const MOST_BETWEEN = 1200;
/** The parts of a unit then. */
const FEWER_PARTS = 4;

/** A window's two lines and the courses beside its openings, from its start. */
export interface LaidWindow {
  edges: readonly [readonly number[], readonly number[]];
  /** The edges of courses that stop at openings, by their number in the window. */
  beside: readonly { parity: 0 | 1; stops: readonly number[]; edges: readonly number[] }[];
  cost: number;
}

/** What is laid in a window: its lines with their places, its openings, and what courses there are. */
interface ToLay {
  wall: SetWall;
  r: SlotRules;
  lines: readonly [LineInWindow, LineInWindow];
  jambs: readonly Jambs[];
  kinds: readonly Kind[];
  laps: readonly Lap[];
}

/** A window's two lines laid again together with all that stands beside its openings; null where the search is given up. */
export function laidWindow(
  wall: SetWall,
  window: Window,
  classes: readonly ClassedEnds[],
  lines: RunLines,
  courses: number,
): LaidWindow | null {
  const jambs = window.openings.map((o) => ({
    from: tidy(o.from + wall.head - window.zero),
    to: tidy(o.to - window.zero),
  }));
  const r = slotRules(wall);
  const { kinds, laps } = kindsOf(wall, window.openings, courses);
  const linesBy = (parts: number): LineInWindow[] =>
    ([0, 1] as const).flatMap(
      (i) => lineIn(wall, lines[i] as PerpLine, i, window, classes[i] as ClassedEnds, jambs, parts) ?? [],
    );
  const tooMany = (found: readonly LineInWindow[]): boolean =>
    kinds.reduce((sum, { parity }) => sum + (found[parity]?.course.places.length ?? 0), 0) > MOST_BETWEEN;
  const finely = linesBy(partsOf(wall));
  const inFewer = wall.cuts === 'jamb' && tooMany(finely);
  const [odd, even] = inFewer ? linesBy(FEWER_PARTS) : finely;
  if (!odd || !even || Math.max(odd.course.places.length, even.course.places.length) > MOST_PLACES)
    return null;
  const many = tooMany([odd, even]);
  if (many && wall.cuts === 'jamb' && partedGroup(wall, window.openings)) return null;
  const toLay: ToLay = { wall, r, lines: [odd, even], jambs, kinds, laps };
  // Plumb throughout is one way for cuts at the jambs too: no dearer one need be looked at.
  const plumb = laidPlumb(toLay);
  if (wall.cuts === 'jamb') return laidApart(toLay, (plumb?.cost ?? Infinity) + A_HAIR) ?? plumb;
  return (!many && mayGainApart(toLay) && laidApart(toLay, plumb?.cost)) || plumb;
}

/** Where courses may do better than to follow their line perp by perp: about a narrow pier, or beside one opening of several. */
const mayGainApart = ({ wall, jambs, kinds }: ToLay): boolean =>
  jambs.slice(1).some((j, i) => j.from - (jambs[i] as Jambs).to < NARROW * moduleOf(wall)) ||
  kinds.some((k) => k.stops.length > 0 && k.stops.length < jambs.length);

const stopsOf = ({ jambs }: ToLay, kind: Kind): Jambs[] => kind.stops.map((k) => jambs[k] as Jambs);

/** The edges of a course between those its ends begin with. */
const wholeOf = ({ lines }: ToLay, parity: 0 | 1, edges: readonly number[]): number[] => {
  const { before, after } = lines[parity];
  return [...before.slice(0, -1), ...edges, ...after.slice(1)];
};

/**
 * Every kind of course for itself. With cuts at the jambs what stands beside the openings may leave its line for the price
 * of perps off it. With cuts in the panel it may not, but it may go on in one unit where the line has two pieces.
 */
function laidApart(toLay: ToLay, atMost?: number): LaidWindow | null {
  const { wall, r, lines, kinds, laps } = toLay;
  const w = wall.weights.bond;
  const sound = wall.cuts === 'panel';
  const off = sound ? { price: NEVER, tolerance: PLUMB } : { price: w.perpOffItsLine, tolerance: OFF_LINE };
  const priceOf = pricing(r);
  const found = filledTogether(
    r,
    {
      rows: kinds.map((kind) =>
        partedSteps(
          r,
          partsBeside(lines[kind.parity].course, kind.count, stopsOf(toLay, kind), sound),
          priceOf,
        ),
      ),
      laps: laps.map(({ rows, times }) => ({ rows, price: w.lapUnderRule * times })),
      onLine: kinds.slice(2).map(({ parity, count }, k) => ({
        line: parity,
        row: k + 2,
        price: off.price * count,
        tolerance: off.tolerance,
      })),
    },
    atMost,
  );
  if (!found || found.cost >= NEVER) return null;
  const edgesOf = (k: number): number[] =>
    wholeOf(toLay, (kinds[k] as Kind).parity, found.edges[k] as number[]);
  return {
    edges: [edgesOf(0), edgesOf(1)],
    beside: kinds.slice(2).map(({ parity, stops }, k) => ({ parity, stops, edges: edgesOf(k + 2) })),
    cost: found.cost,
  };
}

/** Every perp plumb; with cuts in the panel every reveal sound too (decision 0011). All courses on one line are laid as one. */
function laidPlumb(toLay: ToLay): LaidWindow | null {
  const { wall, r, lines, kinds } = toLay;
  const priceOf = pricing(r);
  const [odd, even] = ([0, 1] as const).map((parity) =>
    plumbSteps(
      r,
      lines[parity].course,
      kinds.filter((k) => k.parity === parity).map((k) => ({ count: k.count, stops: stopsOf(toLay, k) })),
      wall.cuts === 'panel',
      priceOf,
    ),
  );
  if (!odd || !even) return null;
  const shows = (x: number, kind: Kind): boolean =>
    stopsOf(toLay, kind).every((s) => x < s.from - SAME || x > s.to + SAME);
  const price = wall.weights.bond.lapUnderRule;
  const times = meetingsOf(toLay, odd, even);
  const found = filledTogether(r, {
    rows: [odd, even],
    onLine: [],
    laps: [{ rows: [0, 1], price, at: (i, j) => price * times(i, j) }],
  });
  if (!found) return null;
  const edges = [
    wholeOf(toLay, 0, found.edges[0] as number[]),
    wholeOf(toLay, 1, found.edges[1] as number[]),
  ] as const;
  return {
    edges,
    beside: kinds.slice(2).map((kind) => {
      const stops = stopsOf(toLay, kind);
      const own = edges[kind.parity].filter((x) => shows(x, kind));
      const all = [...own, ...stops.flatMap((s) => [s.from, s.to])].sort((a, b) => a - b);
      return { parity: kind.parity, stops: kind.stops, edges: inWholes(all, stops, r.whole + r.joint) };
    }),
    cost: found.cost,
  };
}

/** How often an odd course with a perp at one of its places lies on an even one with a perp at one of its: neither stops at an opening there. */
function meetingsOf(
  { jambs, kinds, laps }: ToLay,
  odd: CourseSteps,
  even: CourseSteps,
): (i: number, j: number) => number {
  /** The openings a place stands in, as bits: places in the same ones are told apart no further. */
  const sets: number[] = [];
  const setsOf = ({ places }: CourseSteps): Int32Array =>
    Int32Array.from(places, (x) => {
      const own = jambs.reduce((bits, s, k) => bits | (x > s.from - SAME && x < s.to + SAME ? 1 << k : 0), 0);
      return sets.includes(own) ? sets.indexOf(own) : sets.push(own) - 1;
    });
  const [inOdd, inEven] = [setsOf(odd), setsOf(even)];
  const bitsOf = (kind: Kind): number => kind.stops.reduce((bits, k) => bits | (1 << k), 0);
  const pairs = laps.map(({ rows, times }) => {
    const [a, b] = rows.map((k) => kinds[k] as Kind) as [Kind, Kind];
    const [own, other] = a.parity === 0 ? [a, b] : [b, a];
    return { odd: bitsOf(own), even: bitsOf(other), times };
  });
  const met = (here: number, there: number): number =>
    pairs.reduce((n, p) => n + ((p.odd & here) === 0 && (p.even & there) === 0 ? p.times : 0), 0);
  const times = sets.map((here) => sets.map((there) => met(here, there)));
  return (i, j) => times[inOdd[i] as number]?.[inEven[j] as number] as number;
}

/** A course on its line, but with one unit where the line has two pieces that make one. */
function inWholes(edges: readonly number[], stops: readonly Jambs[], unit: number): number[] {
  const list = [...edges];
  const same = (a: number | undefined, b: number): boolean => Math.abs((a ?? Infinity) - b) < SAME;
  for (let i = 1; i < list.length - 1; i++) {
    const jamb = stops.some((s) => same(list[i], s.from) || same(list[i], s.to));
    const across = stops.some((s) => same(list[i - 1], s.from));
    const slot = (list[i + 1] as number) - (list[i - 1] as number);
    if (!jamb && !across && same(slot, unit)) list.splice(i--, 1);
  }
  return list;
}
