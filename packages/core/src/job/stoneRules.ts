import { SAME_PLACE, toMillimetres } from '../measure/length.js';
import { sayMm } from '../measure/format.js';
import { stoneNamed } from '../tables/stones.js';
import { sayValue, type Fault } from '../statement/fault.js';
import { stated } from './stated.js';
import { findUnit } from './units.js';
import { isTurn, type JobDocument, type Stated } from './types.js';

/** What is of one run of a stone wall is of a run there is. */
function runFaults(job: JobDocument, index: number): Fault[] {
  const wall = job.walls[index];
  const last = (wall?.line.filter((item) => !isTurn(item)).length ?? 1) - 1;
  const stiles = wall?.build.kind === 'dry' ? (wall.build.stiles ?? []) : [];
  const given: [string, number | undefined][] = [
    ['gap', wall?.gap?.run],
    ['fit', wall?.fit?.run],
    ...stiles.map((s, k): [string, number | undefined] => [`build/stiles/${k}`, s.run]),
  ];
  return given.flatMap(([what, run]) =>
    (run ?? 0) <= last
      ? []
      : [{ path: `/walls/${index}/${what}/run`, wanted: `a run from 0 to ${last}`, got: `${run}` }],
  );
}

/** A gap is of a dry wall, and ends past where it begins. */
function gapFaults(job: JobDocument, index: number): Fault[] {
  const wall = job.walls[index];
  const gap = wall?.gap;
  if (!gap) return [];
  const path = `/walls/${index}/gap`;
  if (wall.build.kind !== 'dry')
    return [{ path, wanted: 'a gap of a dry wall', got: `one of ${wall.build.kind}` }];
  const mm = (l: Stated): number => toMillimetres(stated(l));
  if (mm(gap.to) > mm(gap.from)) return [];
  const say = (l: Stated): string => sayMm(mm(l), job.show);
  return [{ path: `${path}/to`, wanted: `an end past where it begins, ${say(gap.from)}`, got: say(gap.to) }];
}

/** What only shows once the form of a stone wall is sound: stone there is, no wider at its top, rows inside it, a part for each part. */
export function stoneFaults(job: JobDocument, index: number): Fault[] {
  const wall = job.walls[index];
  if (!wall) return [];
  const own = [...runFaults(job, index), ...gapFaults(job, index)];
  if (own.length > 0 || wall.build.kind === 'units') return own;
  const { build } = wall;
  const path = `/walls/${index}/build`;
  const mm = (l: Stated): number => toMillimetres(stated(l));
  const say = (n: number): string => sayMm(n, job.show);
  const faults: Fault[] = [];
  if (!stoneNamed(build.stone) && !job.stones?.some((s) => s.id === build.stone))
    faults.push({
      path: `${path}/stone`,
      wanted: 'a stone of the library or of this job',
      got: sayValue(build.stone),
    });
  const wide = build.kind === 'dry' ? build.base : build.kind === 'ashlar' ? undefined : build.thickness;
  const top = build.kind === 'ashlar' ? undefined : build.top;
  if (wide !== undefined && top !== undefined && mm(top) > mm(wide) + SAME_PLACE)
    faults.push({
      path: `${path}/top`,
      wanted: `a top no wider than its base, ${say(mm(wide))}`,
      got: say(mm(top)),
    });
  // Far under any wall’s own bounds: rows without end would be laid while somebody waits.
  const rows = build.kind === 'ashlar' ? undefined : build.throughs;
  (rows ?? []).forEach((row, k) => {
    if (mm(row.every) < LEAST_APART)
      faults.push({
        path: `${path}/throughs/${k}/every`,
        wanted: `stones at least ${say(LEAST_APART)} apart`,
        got: say(mm(row.every)),
      });
  });
  const bonders = build.kind === 'rubble' || build.kind === 'squared' ? build.bonders : undefined;
  for (const key of ['along', 'up'] as const) {
    const every = bonders?.[key];
    if (every !== undefined && mm(every) < LEAST_APART)
      faults.push({
        path: `${path}/bonders/${key}`,
        wanted: `stones at least ${say(LEAST_APART)} apart`,
        got: say(mm(every)),
      });
  }
  const levels: [string, Stated][] =
    build.kind === 'ashlar'
      ? build.courses.map((h, k): [string, Stated] => [`courses/${k}`, h])
      : build.kind !== 'dry' && build.broughtTo !== undefined
        ? [['broughtTo', build.broughtTo]]
        : [];
  for (const [key, high] of levels)
    if (mm(high) < LEAST_LEVEL)
      faults.push({
        path: `${path}/${key}`,
        wanted: `a level at least ${say(LEAST_LEVEL)} over the last`,
        got: say(mm(high)),
      });
  if (build.kind === 'ashlar' && mm(build.longest) < LEAST_APART)
    faults.push({
      path: `${path}/longest`,
      wanted: `stones at least ${say(LEAST_APART)} long`,
      got: say(mm(build.longest)),
    });
  if (build.copes && mm(build.copes.each) < LEAST_COPE)
    faults.push({
      path: `${path}/copes/each`,
      wanted: `copes at least ${say(LEAST_COPE)} thick`,
      got: say(mm(build.copes.each)),
    });
  if (build.kind === 'rubble' && build.lacing && !findUnit(job, build.lacing.unit))
    faults.push({
      path: `${path}/lacing/unit`,
      wanted: 'a unit of the library or of this job',
      got: sayValue(build.lacing.unit),
    });
  return faults;
}

/** Stones nearer than this are no row of throughs but a course, and thinner than that no cope, mm. */
const LEAST_APART = 200;
const LEAST_LEVEL = 50;
const LEAST_COPE = 10;
