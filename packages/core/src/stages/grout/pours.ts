import type { Mm, CubicMetres } from '../../measure/length.js';
import type { Course } from '../gauge/courses.js';
import { pourLimit } from '../set-out/reinforcement.js';
import type { SetWall } from '../set-out/wall.js';
import { insideWidth } from '../steel/cells.js';
import { barOf } from '../../tables/bars.js';
import type { ReinforcedWall, SteelWork } from '../steel/steel.js';
import {
  CLEANOUT_EVERY,
  CLEANOUT_OVER,
  HIGH_LIFT,
  LIFT,
  spaceFor,
  type GroutSpace,
} from '../../tables/grout.js';
import { middleOf, type Shaft } from '../steel/shafts.js';
import type { RunFill } from './fill.js';

/** The grout of some courses, worked out when somebody asks: a wall is re-planned far more often. m³. */
export class Filled {
  constructor(
    private readonly fills: readonly RunFill[],
    private readonly low: number,
    private readonly high: number,
    private readonly factor: number,
  ) {}

  get volume(): number {
    let sum = 0;
    for (const f of this.fills) for (let i = this.low; i <= this.high; i++) sum += f.byCourse[i] ?? 0;
    return sum;
  }

  /** With what is wasted and what the pump takes up. */
  get used(): number {
    return this.volume * this.factor;
  }
}

/** What is built before it is grouted at once, from one course to another. Heights mm above the base, volume m³. */
export interface Pour {
  number: number;
  /** First and last course by number. */
  from: number;
  to: number;
  bottom: Mm;
  top: Mm;
  height: Mm;
  lifts: { number: number; bottom: number; top: number }[];
  cleanouts: number;
  /** It ends under a beam, whose cells are stopped except where steel goes through. */
  stopsUnder: number | null;
  /** How much goes in. */
  filled: Filled;
  space: GroutSpace | null;
}

/** A wall with its steel and its grout, as far as what is said of them goes. */
export interface GroutedWall extends ReinforcedWall {
  fills: readonly RunFill[];
  pours: readonly Pour[];
}

/** The last course of each pour: a beam ends one, and none is higher than it may be. */
function pourEnds(courses: readonly Course[], beams: ReadonlySet<number>, most: number): number[] {
  const ends: number[] = [];
  let bottom = 0;
  courses.forEach((c, i) => {
    const next = courses[i + 1];
    if (!next || beams.has(i) || next.top - bottom > most + 1) {
      ends.push(i);
      bottom = c.top;
    }
  });
  return ends;
}

/** Lifts of one pour: as few as the rule lets, even, and ended on courses. */
function liftsOf(courses: readonly Course[], low: number, high: number, beamInside: boolean): Pour['lifts'] {
  const bottom = courses[low]?.bottom ?? 0;
  const height = (courses[high]?.top ?? 0) - bottom;
  const most = height > LIFT && !beamInside ? HIGH_LIFT : LIFT;
  const count = Math.max(1, Math.ceil(height / (most + 1)));
  const each = height / count;
  const lifts: Pour['lifts'] = [];
  let at = bottom;
  let i = low;
  for (let n = 1; n <= count; n++) {
    const want = bottom + n * each;
    while (i < high && (courses[i + 1]?.top ?? Infinity) <= want + 1) i++;
    const reached = courses[n === count ? high : i]?.top ?? want;
    const top = reached <= want + 1 ? reached : want;
    lifts.push({ number: n, bottom: at, top });
    at = top;
  }
  return lifts;
}

/** The pours of a wall from the footing up, what each takes, and the grout space its height asks for. */
export function poursOf(
  wall: SetWall,
  courses: readonly Course[],
  count: number,
  steel: SteelWork,
  fills: readonly RunFill[],
): Pour[] {
  const standing = courses.slice(0, count);
  const grouted =
    fills.some((f) => f.cells.some((c) => c.filled) || f.solid.size > 0) || steel.beams.length > 0;
  if (!wall.grout || wall.grout.fill === 'none' || wall.unit.shells === null || !grouted) return [];
  const beams = new Set(steel.beams.filter((b) => !b.over).map((b) => b.course));
  const ends = pourEnds(standing, beams, pourLimit(wall));
  const length = wall.runs.reduce((s, r) => s + r.length, 0);
  const { aggregate, fill } = wall.grout;
  return ends.map((high, k): Pour => {
    const low = k === 0 ? 0 : (ends[k - 1] ?? 0) + 1;
    const [bottom, top] = [standing[low]?.bottom ?? 0, standing[high]?.top ?? 0];
    const height = top - bottom;
    const filled = new Filled(fills, low, high, wall.profile.grout.factor);
    return {
      number: k + 1,
      from: standing[low]?.number ?? 1,
      to: standing[high]?.number ?? 1,
      bottom,
      top,
      height,
      lifts: liftsOf(standing, low, high, false),
      cleanouts:
        height <= CLEANOUT_OVER + 1
          ? 0
          : fill === 'all'
            ? Math.ceil(length / CLEANOUT_EVERY)
            : barsThrough(fills, low, high),
      stopsUnder: beams.has(high) && high > low ? (standing[high]?.number ?? null) : null,
      filled,
      space: spaceFor(aggregate, height),
    };
  });
}

/** Bars that stand in some course of a pour. */
function barsThrough(fills: readonly RunFill[], low: number, high: number): number {
  let bars = 0;
  for (const f of fills)
    for (const { bar, shaft } of f.cells) if (bar && shaft.low <= high && shaft.high >= low) bars++;
  return bars;
}

/** The tightest filled cell of a wall against what its highest pour asks for. mm. */
export interface SpaceFound {
  pour: Pour;
  wanted: readonly [number, number];
  /** Clear along the wall and through it, less the bars that cross. */
  got: readonly [number, number];
  run: number;
  at: Mm;
}

/** A filled cell of a wall, and the space its pour wants. */
interface FilledCell {
  run: number;
  shaft: Shaft;
  wanted: readonly [number, number];
}

/** Whether a filled cell is too tight for what goes down it at once: its pour, or one course where it is filled as the wall goes up. */
function isTight(
  wall: SetWall,
  through: number,
  cell: RunFill['cells'][number],
  pour: Pour,
): readonly [number, number] | null {
  const { filled, rises, shaft } = cell;
  if (!filled || shaft.bottom >= pour.top || shaft.top <= pour.bottom) return null;
  const wanted = rises
    ? spaceFor(wall.grout?.aggregate ?? 'fine', wall.unitHeight + wall.bed)?.cell
    : pour.space?.cell;
  const along = shaft.to - shaft.from;
  const suits =
    !wanted || (Math.min(along, through) >= wanted[0] - 0.5 && Math.max(along, through) >= wanted[1] - 0.5);
  return suits ? null : wanted;
}

/** Clear through the wall past the bar of a beam that crosses, mm. */
const throughOf = (wall: SetWall, steel: SteelWork): Mm =>
  insideWidth(wall) - (steel.beams[0] ? barOf(steel.beams[0].bar).diameter : 0);

/** Every filled cell too tight for some pour it stands in. */
export function tightCells(
  wall: SetWall,
  steel: SteelWork,
  fills: readonly RunFill[],
  pours: readonly Pour[],
): FilledCell[] {
  const through = throughOf(wall, steel);
  return fills.flatMap((f) =>
    f.cells.flatMap((c): FilledCell[] => {
      const wanted = pours.map((p) => isTight(wall, through, c, p)).find((w) => w !== null);
      return wanted ? [{ run: f.run, shaft: c.shaft, wanted }] : [];
    }),
  );
}

/** Filled cells too tight for the pour they stand in, the tightest of each pour. */
export function tightSpaces(
  wall: SetWall,
  steel: SteelWork,
  fills: readonly RunFill[],
  pours: readonly Pour[],
): SpaceFound[] {
  const through = throughOf(wall, steel);
  return pours.flatMap((pour): SpaceFound[] => {
    let worst: FilledCell | null = null;
    let least = Infinity;
    for (const f of fills)
      for (const cell of f.cells) {
        const along = cell.shaft.to - cell.shaft.from;
        if (along >= least) continue;
        const wanted = isTight(wall, through, cell, pour);
        if (!wanted) continue;
        worst = { run: f.run, shaft: cell.shaft, wanted };
        least = along;
      }
    if (!worst) return [];
    const { run, shaft, wanted } = worst;
    return [{ pour, wanted, got: [least, through], run, at: middleOf(shaft) }];
  });
}

/** Slurry that fills a pump's hose before grout comes: wasted, never into a cell or a slab. m³; lengths mm. */
export const primeVolume = (hose: { length: Mm; bore: Mm } | null): CubicMetres =>
  hose ? ((Math.PI / 4) * hose.bore ** 2 * hose.length) / 1e9 : 0;
