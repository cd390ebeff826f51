import { unitById, type UnitShape } from '../tables/units.js';
import { millimetres } from '../measure/length.js';
import { stated } from './stated.js';
import type { JobDocument, OwnUnit } from './types.js';

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

/** The unit a wall is built of: the job's own first, then the library. */
export function findUnit(job: JobDocument, id: string): UnitShape | undefined {
  const own = job.units?.find((u) => u.id === id);
  return own ? ownShape(own) : unitById(id);
}
