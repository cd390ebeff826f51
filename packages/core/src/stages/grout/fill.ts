import { SAME_PLACE, type CubicMetres } from '../../measure/length.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import type { Course } from '../gauge/courses.js';
import type { SetWall } from '../set-out/wall.js';
import type { Row } from '../../walling/units/laying/row.js';
import { cellsOfPiece, insideWidth } from '../steel/cells.js';
import { cellsMeant } from '../steel/columns.js';
import { middleOf, type Shaft, type RunCells } from '../steel/shafts.js';
import type { SteelWork } from '../steel/steel.js';
import { ownShafts } from '../steel/barCells.js';
import type { Verticals } from '../steel/vertical.js';
import { joinedStretches } from '../steel/horizontal.js';
import type { Stretch } from '../steel/spans.js';

/** What is grouted in one run. */
export class RunFill {
  private made: Volumes | null = null;

  constructor(
    readonly run: number,
    /** Its own continuous cells, and whether each is filled. */
    readonly cells: { shaft: Shaft; filled: boolean; bar: boolean; rises: boolean }[],
    /** Courses filled solid: below grade, or all of them. */
    readonly solid: ReadonlySet<number>,
    /** How much that is, worked out when somebody asks: a wall is re-planned far more often. */
    private readonly measure: () => Volumes,
  ) {}

  /** m³. */
  get volume(): FillVolume {
    return (this.made ??= this.measure()).volume;
  }

  /** The same course by course, m³. */
  get byCourse(): number[] {
    return (this.made ??= this.measure()).byCourse;
  }
}

export interface FillVolume {
  cells: CubicMetres;
  beams: CubicMetres;
  solid: CubicMetres;
}

export const filledVolume = (v: FillVolume): CubicMetres => v.cells + v.beams + v.solid;

/** The height a course brings to the grout: its bed and its unit, mm. */
const pitchOf = (c: Course | undefined): number => (c ? c.bed + c.unitHeight : 0);

/** Whether a place lies in a beam of a course. */
const inBeam = (steel: SteelWork, run: number, course: number, x: number): boolean =>
  steel.beams.some(
    (b) => b.run === run && b.course === course && b.stretches.some((s) => x > s.from - 1 && x < s.to + 1),
  );

/** Grout of one course filled solid: its cells, and the head joints between their face shells. mm³. */
function solidCourse(wall: SetWall, run: BondedRun, i: number, course: Course): number {
  const row = run.rows[i];
  if (!row) return 0;
  const cells = row.pieces.reduce(
    (sum, p) => sum + cellsOfPiece(wall, p, row.perps).reduce((s, c) => s + c.area, 0),
    0,
  );
  const heads = row.perps.reduce((sum, p) => sum + p.width, 0) * insideWidth(wall);
  return (cells + heads) * pitchOf(course);
}

/** Cells filled by rule and by hand. */
function filledCells(
  wall: SetWall,
  bonded: BondedRun,
  shafts: readonly Shaft[],
  verticals: Verticals | undefined,
): RunFill['cells'] {
  const run = bonded.index;
  const own = ownShafts(wall, bonded, shafts);
  const barred = new Set((verticals?.bars ?? []).map((b) => b.shaft));
  const fill = wall.grout?.fill ?? 'none';
  const every = typeof fill === 'object' ? fill.every : null;
  const openings = wall.openings.filter((o) => o.run === run);
  const places = every === null ? [] : [...new Set(own.map((c) => Math.round(middleOf(c))))];
  const beside = (c: Shaft): boolean =>
    openings.some(
      (o) =>
        c.top > o.sill + SAME_PLACE &&
        c.bottom < o.head - SAME_PLACE &&
        ((c.to <= o.from && o.from - c.to < wall.half) || (c.from >= o.to && c.from - o.to < wall.half)),
    );
  const byHand = new Map<Shaft, boolean | null>();
  for (const c of wall.steel?.cells ?? [])
    if (c.run === run && c.grout !== null)
      for (const shaft of cellsMeant(wall, own, c)) if (!byHand.has(shaft)) byHand.set(shaft, c.grout);
  const rising = new Set(
    (wall.steel?.cells ?? [])
      .filter((c) => c.run === run && c.rises)
      .flatMap((c) => cellsMeant(wall, own, c)),
  );
  return own.map((shaft) => {
    const bar = barred.has(shaft);
    const hand = byHand.get(shaft);
    const ruled =
      fill === 'all' ||
      (fill !== 'none' && bar) ||
      (every !== null && places.indexOf(Math.round(middleOf(shaft))) % every === 0) ||
      (wall.grout?.jambs === true && beside(shaft));
    return { shaft, bar, filled: hand ?? ruled, rises: rising.has(shaft) };
  });
}

/**
 * Adds a filled shaft to the volume of each course it goes through, mm³. `high`: the height each course is counted
 * with, nought where its grout is counted otherwise. Most shafts go up through two rows by turns, so the cell is
 * looked up once for each.
 */
function addColumn(
  into: Float64Array,
  rows: readonly Row[],
  { areaAt }: RunCells,
  shaft: Shaft,
  high: Float64Array,
): void {
  let [last, before]: [Row | null, Row | null] = [null, null];
  let [lastArea, beforeArea] = [0, 0];
  for (let i = shaft.low; i <= shaft.high; i++) {
    const row = rows[i] as Row;
    if (row === before) {
      [before, last] = [last, before];
      [beforeArea, lastArea] = [lastArea, beforeArea];
    } else if (row !== last) {
      [before, last] = [last, row];
      [beforeArea, lastArea] = [lastArea, areaAt(shaft, i)];
    }
    into[i] = (into[i] as number) + lastArea * (high[i] as number);
  }
}

interface Volumes {
  volume: FillVolume;
  byCourse: number[];
}

/** The grout of one run, from the real cells: a cell inside a beam or a course filled solid is not counted again. */
function volumesOf(
  wall: SetWall,
  run: BondedRun,
  courses: readonly Course[],
  steel: SteelWork,
  own: RunCells,
  cells: RunFill['cells'],
  solid: ReadonlySet<number>,
): Volumes {
  const volume: FillVolume = { cells: 0, beams: 0, solid: 0 };
  const byCourse = courses.map(() => 0);
  const add = (kind: keyof FillVolume, i: number, mm3: number): void => {
    volume[kind] += mm3 / 1e9;
    byCourse[i] = (byCourse[i] ?? 0) + mm3 / 1e9;
  };
  const beamed = beamedCourses(steel, run.index);
  for (const i of solid) add('solid', i, solidCourse(wall, run, i, courses[i] as Course));
  for (const [course, stretches] of beamsInCourses(steel, run.index)) {
    if (wall.grout?.fill === 'none' || solid.has(course)) continue;
    // A corner belongs to the run that begins there.
    const long = joinedStretches(stretches).reduce(
      (sum, x) => sum + x.to - x.from - (x.end === 'corner' ? wall.unitWidth : 0),
      0,
    );
    add('beams', course, long * insideWidth(wall) * pitchOf(courses[course]));
  }
  // A beam that stops over an opening, or at a wall bonded in, leaves the cells beyond it to be counted.
  const parted =
    steel.beams.some((b) => b.run === run.index && b.over) || wall.branches.some((b) => b.run === run.index);
  const high = Float64Array.from(courses, (c, i) =>
    solid.has(i) || (!parted && beamed.has(i)) ? 0 : pitchOf(c),
  );
  const filled = new Float64Array(courses.length);
  for (const { shaft, filled: full } of cells) {
    if (!full) continue;
    const x = middleOf(shaft);
    const clear = parted ? high.map((h, i) => (inBeam(steel, run.index, i, x) ? 0 : h)) : high;
    addColumn(filled, run.rows, own, shaft, clear);
  }
  filled.forEach((mm3, i) => add('cells', i, mm3));
  return { volume, byCourse };
}

/** The stretches of every beam of a run, course by course: two bars in one course are one beam. */
function beamsInCourses(steel: SteelWork, run: number): Map<number, Stretch[]> {
  const map = new Map<number, Stretch[]>();
  for (const b of steel.beams)
    if (b.run === run) map.set(b.course, [...(map.get(b.course) ?? []), ...b.stretches]);
  return map;
}

const beamedCourses = (steel: SteelWork, run: number): Set<number> =>
  new Set(steel.beams.filter((b) => b.run === run && !b.over).map((b) => b.course));

/** A wall's fill as it was planned before, and what it followed from. */
export interface FillBefore {
  wall: SetWall;
  steel: SteelWork;
  fills: readonly RunFill[];
}

/**
 * What is grouted in each run: which cells, which courses; and how much, when that is asked. `before`: for the runs
 * whose cells and bars were taken over as they stood.
 */
export function fillOf(
  wall: SetWall,
  runs: readonly BondedRun[],
  courses: readonly Course[],
  steel: SteelWork,
  before: FillBefore | null = null,
): RunFill[] {
  const ruled = before !== null && JSON.stringify(before.wall.grout) === JSON.stringify(wall.grout);
  const all = wall.grout?.fill === 'all';
  const below = wall.grout?.below ?? 0;
  return runs.map((run, k): RunFill => {
    const own = steel.cells[k];
    if (wall.grout === null || wall.unit.shells === null || !own)
      return new RunFill(run.index, [], new Set(), () => ({
        volume: { cells: 0, beams: 0, solid: 0 },
        byCourse: courses.map(() => 0),
      }));
    const stands = ruled && own === before.steel.cells[k] && steel.verticals[k] === before.steel.verticals[k];
    const cells =
      (stands && before.fills[k]?.cells) || filledCells(wall, run, own.shafts, steel.verticals[k]);
    const beamed = beamedCourses(steel, run.index);
    const solid = new Set<number>();
    for (let i = 0; i < courses.length && (all || (courses[i]?.top ?? 0) <= below + SAME_PLACE); i++)
      if (!beamed.has(i)) solid.add(i);
    return new RunFill(run.index, cells, solid, () =>
      volumesOf(wall, run, courses, steel, own, cells, solid),
    );
  });
}
