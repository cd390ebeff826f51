import { solveGauge } from '../../../stages/gauge/solve.js';
import { inFull } from '../../../job/full.js';
import type { Build, JobDocument, Wall } from '../../../job/types.js';
import { setOutWall, type SetWall } from '../../../stages/set-out/wall.js';
import { begun } from '../laying/begin.js';
import type { BondBefore } from '../laying/takenOver.js';
import { innerWythe, type Behind } from './behind.js';
import type { Leaf } from './leaf.js';

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

/** The leaf behind a cavity set out as a wall of its own: another unit, on a line set in. */
export function cavityWall(
  filed: JobDocument,
  outer: SetWall,
): { wall: SetWall; behind: Behind[]; offset: number } {
  // What is counted is counted in the outer leaf's units.
  const job = inFull(filed);
  const document = job.walls[outer.index];
  if (!outer.cavity || !document) throw new TypeError(`wall ${outer.id} has no cavity`);
  const carries = outer.carries === 'inner';
  const offset = outer.unitWidth + outer.cavity.width;
  const own = setOutWall(innerDocument(job, document, outer.cavity.unit, carries), outer.index);
  const { wall: placed, behind } = innerWythe(outer, offset);
  const { runs, openings, joints, steps, tops, branches } = placed;
  const wall: SetWall = {
    ...own,
    sheltered: true,
    runs,
    openings: openings.map((o) => ({ ...o, soldiers: false })),
    joints,
    steps,
    tops,
    // A wall bonded in from inside ends in this leaf: it does not bridge the cavity.
    branches,
    goesIn: null,
    dpcOver: outer.dpcOver,
  };
  return { wall, behind, offset };
}

/** The leaf behind a cavity, laid in courses of its own. */
export function cavityLeaf(job: JobDocument, outer: SetWall, before: BondBefore | null): Leaf {
  const { wall, behind, offset } = cavityWall(job, outer);
  const gauge = solveGauge(wall);
  const { chosen } = begun(
    wall,
    gauge.courses,
    gauge.count,
    undefined,
    before && {
      courses: before.courses,
      level: before.level,
      ways: [{ wall: before.wall, runs: [...before.runs] }],
    },
  );
  return {
    index: 1,
    offset,
    thickness: chosen.wall.unitWidth,
    heldBy: 'cavity',
    carries: outer.carries === 'inner',
    wall: chosen.wall,
    gauge,
    runs: chosen.runs,
    behind,
  };
}
