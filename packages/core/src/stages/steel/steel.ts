import type { GaugeSolution } from '../gauge/solve.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import { isSquare } from '../../walling/units/lines/ends.js';
import type { Course } from '../gauge/courses.js';
import type { SetWall } from '../set-out/wall.js';
import { barOf } from '../../tables/bars.js';
import { sameSpacing, untouched, type Before } from './again.js';
import { hook90 } from './bends.js';
import { shaftsOf, type Shaft, type RunCells } from './shafts.js';
import { beamsOf, bedSteelOf, lappedPieces, type Beam, type BedSteel } from './horizontal.js';
import { lapOf, lapRuleOf, PLAIN_MASONRY, PLAIN_STEEL, type Lap } from './laps.js';
import { placeInCell, type PlaceInCell } from './place.js';
import { stretchesOf, type Stretch } from './spans.js';
import { barWith, lineOfBar, scheduleOf, type BarWanted, type ScheduleLine } from './schedule.js';
import { cellPitch, spacingOf, type Spacing } from './spacing.js';
import { verticalsOf, type Verticals } from './vertical.js';

/** Everything the stage Steel works out for one wall. */
export interface SteelWork {
  /** Continuous cells, run by run. */
  cells: RunCells[];
  verticals: Verticals[];
  spacing: Spacing | null;
  beams: Beam[];
  /** Entries of the beam list that name no course of the wall. */
  nowhere: number[];
  bed: BedSteel | null;
  place: PlaceInCell | null;
  lap: Lap | null;
}

/** A wall with its steel, as far as what is said of it goes. */
export interface ReinforcedWall {
  wall: SetWall;
  gauge: GaugeSolution;
  runs: readonly BondedRun[];
  steel: SteelWork;
}

/** Concrete kept over a bar's end at the top of the wall and at a free end, mm: 2 in, common practice. */
export const END_COVER = 50.8;
/** Nobody cuts a shorter bar, mm: common practice. */
const LEAST_BAR = 50;
/** Concrete cast against earth keeps its bars 3 in in (ACI 318 Table 20.6.1.3.1, from memory). */
export const EARTH_COVER = 76.2;
/** Dowels across a movement joint, greased one end: so long, mm; common practice, 24 in. */
export const DOWEL = 609.6;

/** Lengths bars are sold in, mm: 20 ft; 6 m. From memory (CRSI custom; common practice). */
export const stockOf = (wall: SetWall): number[] =>
  wall.steel && wall.steel.stock.length > 0 ? wall.steel.stock : [wall.profile.id === 'uk' ? 6000 : 6096];

export function wallLap(wall: SetWall, size: string): Lap {
  const asked = wall.steel?.lap;
  const cover = (wall.unitWidth - barOf(size).diameter) / 2;
  return lapOf(
    size,
    {
      rule: asked?.rule ?? lapRuleOf(wall.profile.id),
      length: asked?.length ?? null,
      masonry: asked?.masonry ?? PLAIN_MASONRY,
      steel: PLAIN_STEEL,
    },
    cover,
  );
}

/**
 * Cells, bars and beams of a wall: what a re-plan needs. The schedule is made when somebody asks. `before`: the same
 * wall as it was planned before, for the runs that are still as they were; what comes out is the same without it.
 */
export function steelOf(
  wall: SetWall,
  runs: readonly BondedRun[],
  courses: readonly Course[],
  count: number,
  before: Before | null = null,
): SteelWork {
  const vertical = wall.steel?.vertical ?? null;
  const asked = wall.steel !== null || wall.grout !== null;
  const stands = untouched(asked ? before : null, wall, runs, courses);
  const cells = asked
    ? runs.map((run, k) => (stands[k] && before?.cells[k]) || shaftsOf(wall, run, courses))
    : [];
  const shafts = cells.map((c) => c.shafts);
  const pitch = cellPitch(wall, shafts);
  const spacing = vertical && pitch !== null ? spacingOf(vertical.every, pitch) : null;
  const bars = (run: BondedRun, k: number): Verticals => {
    const was = stands[k] ? before?.verticals[k] : undefined;
    return was && sameSpacing(was.spacing, spacing)
      ? was
      : verticalsOf(wall, run, courses, shafts[k] ?? [], spacing);
  };
  /** The stretches of a course stand where its run does. */
  const along = (run: BondedRun, course: number): Stretch[] => {
    const was = stands[runs.indexOf(run)]
      ? before?.beams.find((b) => b.run === run.index && b.course === course && !b.over)
      : undefined;
    return was?.stretches ?? stretchesOf(wall, run, course);
  };
  return {
    cells,
    spacing,
    verticals: runs.map(bars),
    ...beamsOf(wall, runs, courses, count, along),
    bed: bedSteelOf(wall, runs, courses),
    place: vertical ? placeInCell(wall, vertical.bar, wall.retains?.side) : null,
    lap: vertical ? wallLap(wall, vertical.bar) : null,
  };
}

/** The upright of one cell: from the footing or the beam under it to the cover under its top. */
export function uprightLengths(wall: SetWall, shaft: Shaft): { pieces: number[]; length: number } {
  const vertical = wall.steel?.vertical;
  if (!vertical) return { pieces: [], length: 0 };
  const length = shaft.top - shaft.bottom - END_COVER;
  if (length < LEAST_BAR) return { pieces: [], length: 0 };
  const pieces = lappedPieces(length, stockOf(wall)[0] ?? length, wallLap(wall, vertical.bar).length);
  return { pieces, length: pieces.reduce((a, b) => a + b, 0) };
}

/** The bars of one upright: the last piece carries the hook. */
export function uprightBars(wall: SetWall, shaft: Shaft): BarWanted[] {
  const vertical = wall.steel?.vertical;
  if (!vertical) return [];
  const { pieces } = uprightLengths(wall, shaft);
  return pieces.map((l, i) =>
    barWith('vertical', vertical.bar, l, 1, vertical.hook && i === pieces.length - 1),
  );
}

/** What drilling a starter into set concrete takes, mm: common practice; the adhesive maker's table goes before it. */
export function drilled(size: string): { hole: number; depth: number; edge: number } {
  const { diameter: d } = barOf(size);
  return { hole: d + 3.2, depth: 10 * d, edge: 6 * d };
}

/**
 * A starter: hooked in the footing, up through it and a lap above; or straight, drilled into concrete that is there.
 * Null while neither is so: the footing's depth is not stated.
 */
export function starterBar(wall: SetWall, size: string): BarWanted | null {
  if (wall.steel?.drilled)
    return barWith('starter', size, drilled(size).depth + wallLap(wall, size).length, 1);
  if (!wall.footing) return null;
  const up = wall.footing.depth - EARTH_COVER + wallLap(wall, size).length;
  return { use: 'starter', size, count: 1, shape: 'hooked', a: up, b: hook90(size), c: 0 };
}

/** Straight bars of one stretch, kept back from its ends and lapped where it is longer than a stock bar. */
export function stretchBars(wall: SetWall, beam: Beam, s: Stretch): BarWanted[] {
  const lap = wallLap(wall, beam.bar).length;
  const stock = stockOf(wall)[0] ?? Infinity;
  const length = s.to - s.from - 2 * END_COVER;
  // Too short for a bar with its cover at both ends: none is cut for it.
  if (length < LEAST_BAR) return [];
  return lappedPieces(length, stock, lap).map((l) => barWith('beam', beam.bar, l, beam.count));
}

/** The bars of a beam, and dowels where it stops at a movement joint. */
function beamBars(wall: SetWall, beam: Beam): BarWanted[] {
  return beam.stretches.flatMap((s): BarWanted[] => {
    // Each joint is met twice, by the stretch on its left and the one on its right: its dowels are the left one's.
    const joint = wall.joints.find((j) => j.run === s.run && Math.abs(j.from - s.to) < 1);
    const dowels = joint?.beams === 'dowelled' ? [barWith('dowel', beam.bar, DOWEL, beam.count)] : [];
    return [...stretchBars(wall, beam, s), ...dowels];
  });
}

/** Bars bent round a corner, a lap along each leg from the middle of the wall. */
function cornerBars(wall: SetWall, size: string, count: number, across: number): BarWanted[] {
  const corners = wall.line.corners.filter((c) => isSquare(c.turn)).length;
  if (corners === 0) return [];
  const leg = wallLap(wall, size).length + across / 2;
  return [{ use: 'corner', size, count: count * corners, shape: 'corner', a: leg, b: leg, c: 0 }];
}

function footingBars(wall: SetWall): BarWanted[] {
  const asked = wall.steel?.footing;
  if (!asked) return [];
  const lap = wallLap(wall, asked.bar).length;
  const stock = stockOf(wall)[0] ?? Infinity;
  const past = wall.footing?.past ?? 0;
  const across = wall.footing?.width ?? wall.thickness;
  const free = (run: number, start: boolean): boolean =>
    !wall.line.corners.some((c) => (start ? c.to : c.from) === run);
  const straights = wall.runs.flatMap((run, i) => {
    const length = run.length + (free(i, true) ? past : 0) + (free(i, false) ? past : 0) - 2 * EARTH_COVER;
    return lappedPieces(Math.max(0, length), stock, lap).map((l) =>
      barWith('footing', asked.bar, l, asked.count),
    );
  });
  return [...straights, ...cornerBars(wall, asked.bar, asked.count, across)];
}

/** Two bars in each reinforced bed, where bars are what is laid there. */
function bedBars(wall: SetWall, steel: SteelWork): BarWanted[] {
  const bed = wall.steel?.bed;
  if (bed?.kind !== 'bars' || bed.bar === null || !steel.bed) return [];
  const lap = wallLap(wall, bed.bar).length;
  const stock = stockOf(wall)[0] ?? Infinity;
  return wall.runs.flatMap((run) =>
    lappedPieces(Math.max(0, run.length - 2 * END_COVER), stock, lap).map((l) =>
      barWith('bed', bed.bar ?? '', l, 2 * (steel.bed?.courses ?? 0)),
    ),
  );
}

/** Every bar of a wall, as it is to be cut. */
export function barsWanted(wall: SetWall, steel: SteelWork): BarWanted[] {
  const uprights = steel.verticals.flatMap((v) => v.bars.map((b) => b.shaft));
  const vertical = wall.steel?.vertical;
  const starter = vertical ? starterBar(wall, vertical.bar) : null;
  const standing = uprights.filter((c) => onFooting(wall, c)).length;
  const whole = new Map(steel.beams.filter((b) => !b.over).map((b) => [b.index, b]));
  return [
    ...uprights.flatMap((c) => uprightBars(wall, c)),
    ...(starter ? [{ ...starter, count: standing }] : []),
    ...steel.beams.flatMap((b) => beamBars(wall, b)),
    ...[...whole.values()].flatMap((b) => cornerBars(wall, b.bar, b.count, wall.unitWidth)),
    ...footingBars(wall),
    ...bedBars(wall, steel),
  ];
}

/** Whether a cell stands on the footing: course one, or the first course over a step. */
export const onFooting = (wall: SetWall, c: Shaft): boolean =>
  c.low === 0 ||
  wall.steps.some((s) => s.run === c.run && s.up === c.low && c.from >= s.from - 1 && c.to <= s.to + 1);

export const schedule = (wall: SetWall, steel: SteelWork): ScheduleLine[] =>
  scheduleOf(barsWanted(wall, steel));

/** The mark of the first bar of an upright. */
export const markOf = (lines: readonly ScheduleLine[], bar: BarWanted | undefined): string =>
  (bar && lineOfBar(lines, bar)?.mark) ?? '';
