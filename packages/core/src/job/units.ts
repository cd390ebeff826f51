import { unitById, type UnitShape } from '../tables/units.js';
import { millimetres, type Length } from '../measure/length.js';
import { stated } from './stated.js';
import type { Build, Cavity, JobDocument, OwnUnit, Stated, StoneBuild, StoneKind } from './types.js';

function ownShape(unit: OwnUnit): UnitShape {
  const height = stated(unit.actual.height);
  const hollow = (unit.cells ?? 0) > 0 && unit.shell !== undefined && unit.web !== undefined;
  return {
    id: unit.id,
    name: unit.name ?? unit.id,
    family: unit.family ?? (height > millimetres(113) ? 'block' : 'brick'),
    length: stated(unit.actual.length),
    height,
    width: stated(unit.actual.width),
    shells: hollow
      ? {
          shell: stated(unit.shell ?? 0),
          web: stated(unit.web ?? 0),
          cells: unit.cells ?? 0,
          ...(unit.taper === undefined ? {} : { taper: stated(unit.taper) }),
        }
      : null,
    halves: 'sawn',
    ...(unit.frogs === undefined ? {} : { frogs: unit.frogs }),
    ...(unit.perforated === undefined ? {} : { perforated: unit.perforated }),
    ...(unit.halfHigh === undefined ? {} : { halfHigh: stated(unit.halfHigh) }),
    source: 'stated in this job',
  };
}

/** Something to lay lines and lifts by where no two stones are alike: as long as two hands carry, common practice. */
const STONE_LONG = millimetres(450);
const STONE_HIGH = millimetres(200);

/** Beds of stone by how it is worked: ashlar 5 mm, squared 12, rubble 20. IS 1597-1, from memory. */
export const STONE_JOINTS: Readonly<Record<StoneKind, Length>> = {
  ashlar: millimetres(5),
  squared: millimetres(12),
  rubble: millimetres(20),
  dry: millimetres(0),
};

const widestOf = (build: StoneBuild): Stated =>
  build.kind === 'dry' ? build.base : build.kind === 'ashlar' ? build.bed : build.thickness;

/** A stone wall as one thickness of something: what everything that asks a wall for its unit is given. */
export function stoneShape(build: StoneBuild): UnitShape {
  const joint =
    build.kind === 'dry' || build.joint === undefined ? STONE_JOINTS[build.kind] : stated(build.joint);
  return {
    id: build.stone,
    name: build.stone,
    family: 'stone',
    length: STONE_LONG,
    height: STONE_HIGH,
    width: stated(widestOf(build)),
    shells: null,
    halves: 'sawn',
    bed: joint,
    head: joint,
    source: 'stated in this job',
  };
}

/** What stands behind a face across a gap: the inner leaf of a cavity, or units a stone facing is tied to. */
export function behindFace(build: Build): Cavity | undefined {
  if (build.kind === 'units') return build.cavity;
  const backing = build.kind === 'dry' ? undefined : build.backing;
  if (!backing) return undefined;
  const { unit, gap, mix } = backing;
  return { inner: unit, width: gap, ...(mix === undefined ? {} : { mix }) };
}

/** What a wall is built of: its unit, or one that stands for its stone. */
export const unitOfBuild = (job: JobDocument, build: Build): UnitShape | undefined =>
  build.kind === 'units' ? findUnit(job, build.unit) : stoneShape(build);

/** The unit a wall is built of: the job's own first, then the library. */
export function findUnit(job: JobDocument, id: string): UnitShape | undefined {
  const own = job.units?.find((u) => u.id === id);
  return own ? ownShape(own) : unitById(id);
}
