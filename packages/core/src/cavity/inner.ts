import { begun } from '../walling/units/laying/begin.js';
import type { BondedRun } from '../walling/units/laying/bond.js';
import { innerWythe, type Behind } from '../walling/units/leaves/back.js';
import { solveGauge, type GaugeSolution } from '../gauge/solve.js';
import type { Build, JobDocument, Wall } from '../job/types.js';
import { findUnit } from '../job/units.js';
import type { SiteLevels } from '../setout/site.js';
import { setOutWall, type SetWall } from '../setout/wall.js';

/** The leaf behind a cavity, laid as a wall of its own: another unit, its own courses, on a line set in. */
export interface InnerLeaf {
  wall: SetWall;
  gauge: GaugeSolution;
  runs: BondedRun[];
  /** How each run lies behind the outer leaf's face. */
  behind: Behind[];
  /** It has the cells, and the outer leaf has none: bars and grout go up in it. */
  carries: boolean;
}

/** A wall with what stands behind its cavity. */
export interface CavityWall {
  wall: SetWall;
  gauge: GaugeSolution;
  runs: readonly BondedRun[];
  inner: InnerLeaf | null;
  /** Levels of the site: where the ground stands. */
  site: SiteLevels;
}

/** The wall's document as if it were built of the inner unit only. Its face is hidden, so beds may ease. */
function innerDocument(job: JobDocument, wall: Wall, unit: string, carries: boolean): JobDocument {
  const { start, corners } = wall.build;
  const build: Build = {
    kind: 'units',
    unit,
    bond: 'half',
    ...(start ? { start } : {}),
    ...(corners ? { corners } : {}),
    face: { finish: 'rendered' },
  };
  const { steel, grout, vents: _v, piers: _p, meets: _m, footing: _f, ...rest } = wall;
  const own = {
    ...rest,
    build,
    ...(carries && steel ? { steel } : {}),
    ...(carries && grout ? { grout } : {}),
  };
  return { ...job, walls: job.walls.map((w) => (w === wall ? own : w)) };
}

/** The inner leaf of a wall with a cavity; null where it has none. */
export function innerLeaf(job: JobDocument, outer: SetWall): InnerLeaf | null {
  const document = job.walls[outer.index];
  if (!outer.cavity || !document) return null;
  const carries = outer.unit.shells === null && (findUnit(job, outer.cavity.unit)?.shells ?? null) !== null;
  const own = setOutWall(innerDocument(job, document, outer.cavity.unit, carries), outer.index);
  const { wall: placed, behind } = innerWythe(outer, outer.unitWidth + outer.cavity.width);
  const { runs, openings, joints, steps, tops } = placed;
  const wall: SetWall = {
    ...own,
    runs,
    openings: openings.map((o) => ({ ...o, soldiers: false })),
    joints,
    steps,
    tops,
    branches: [],
    goesIn: null,
  };
  const gauge = solveGauge(wall);
  const { chosen } = begun(wall, gauge.courses, gauge.count);
  return { wall: chosen.wall, gauge, runs: chosen.runs, behind, carries };
}
