import type { JobDocument } from '../../job/types.js';
import { issue, type Issue } from '../../findings/issue.js';
import type { Said } from '../../messages/message.js';
import { freestandingLimit, type Exposure } from '../../tables/freestanding.js';
import { thicknessActing, type SetWall } from '../set-out/wall.js';
import { SAYS } from './messages.js';

const ZONES: readonly Exposure[] = [1, 2, 3, 4];
/** Where earthquakes decide, and the plain rule is no rule (seismic design categories D to F). */
const SHAKEN = ['D', 'E', 'F'];

function takeAlong(wall: SetWall): Said[] {
  const length = wall.runs.reduce((sum, r) => sum + r.length, 0);
  return [
    SAYS['take-wall']({ height: wall.height, length, thick: thicknessActing(wall) }),
    wall.footing
      ? SAYS['take-footing']({ width: wall.footing.width, depth: wall.footing.depth })
      : SAYS['take-the-footing'](),
    SAYS['take-place'](),
    ...(wall.openings.length > 0 ? [SAYS['take-openings']()] : []),
  ];
}

/**
 * A wall that stands free without bars: how high it may by its profile, its thickness and its place. Two leaves that are only tied are two
 * thin walls, piers are counted as no help, and what is past the rule is an engineer’s. The rule never says that a wall will stand.
 */
function freestanding(job: JobDocument, wall: SetWall): Issue[] {
  if (wall.held !== 'free-standing' || wall.steel?.vertical) return [];
  const thick = thicknessActing(wall);
  const said = job.site?.exposure;
  const limitAt = (zone: Exposure): ReturnType<typeof freestandingLimit> =>
    freestandingLimit(wall.profile.id, wall.unit.family, thick, zone);
  // Nobody has said how exposed it is: past the kindest figure it is too high anywhere.
  const limit = limitAt(said ?? 1);
  const category = job.site?.seismic;
  const shaken = category !== undefined && SHAKEN.includes(category);
  const high = wall.height > limit.most + 0.5;
  const path = { stage: 'set-out', course: 1, key: 'standing' } as const;
  if (high || shaken) {
    const exposure = !limit.byExposure ? 'none' : said === undefined ? 'unsaid' : 'said';
    const reasons = [
      ...(high
        ? [SAYS['too-high']({ high: wall.height, most: limit.most, thick, exposure, zone: said ?? 1 })]
        : []),
      ...(shaken ? [SAYS.seismic({ category })] : []),
      ...(thick < wall.thickness - 1 || wall.cavity ? [SAYS['leaves-alone']({ thick })] : []),
      ...(wall.piers.length > 0 ? [SAYS.piers()] : []),
    ];
    return [
      issue({
        ...path,
        code: 'engineer-needed',
        severity: 'fault',
        key: 'engineer-needed|standing',
        says: SAYS.engineer({ reasons, take: takeAlong(wall) }),
        source: limit.source,
      }),
    ];
  }
  const [least, most] = [limitAt(4).most, limitAt(1).most];
  if (!limit.byExposure || said !== undefined || wall.height <= least + 0.5) return [];
  const serves = ZONES.filter((zone) => wall.height <= limitAt(zone).most + 0.5);
  return [
    issue({
      ...path,
      code: 'exposure-not-said',
      severity: 'choice',
      key: 'exposure-not-said',
      says: SAYS['how-exposed']({ least, most, zone: serves.at(-1) ?? 1 }),
      source: limit.source,
      tries: () =>
        serves.map((zone) => ({
          says: SAYS['exposure-is']({ zone: String(zone) as '1' | '2' | '3' | '4' }),
          edit: job.site
            ? [{ op: 'add', path: '/site/exposure', value: zone }]
            : [{ op: 'add', path: '/site', value: { exposure: zone } }],
        })),
    }),
  ];
}

/** Soil is said to stand against it, and nobody says how high: what decides about it is not known. */
function soilUnsaid(wall: SetWall): Issue[] {
  if (wall.held !== 'soil' || wall.retains) return [];
  return [
    issue({
      code: 'ground-not-said',
      stage: 'set-out',
      severity: 'fault',
      course: 1,
      says: SAYS['ground-not-said'](),
      source: 'soil pushes as the square of its height: statics',
    }),
  ];
}

export const standingIssues = (job: JobDocument, { wall }: { wall: SetWall }): Issue[] => [
  ...freestanding(job, wall),
  ...soilUnsaid(wall),
];
