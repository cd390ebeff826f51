import { issue, type Issue, type Try } from '../../findings/issue.js';
import type { JobDocument, StandsIn } from '../../job/types.js';
import { mixName } from '../../mud/mixName.js';
import { mixOf, mixOfLeaf, mudSettings } from '../../mud/settings.js';
import { mixNamed, type Mix } from '../../tables/mixes/mixes.js';
import { unitById, type UnitFamily } from '../../tables/units.js';
import { behindFace, findUnit } from '../../job/units.js';
import type { SetOutWork } from '../set-out/stage.js';
import type { SetWall } from '../set-out/wall.js';
import { stage } from '../stage.js';
import { PAIRING } from './messages.js';
import { objections, type Bedded } from './rules.js';

const CODES = {
  outer: { fault: 'mix-refused', choice: 'mix-cautioned', note: 'mix-noted' },
  inner: { fault: 'inner-mix-refused', choice: 'inner-mix-cautioned', note: 'inner-mix-noted' },
} as const;
/** What a leaf of a wall asks of its mix. */
export function beddedIn(job: JobDocument, wall: SetWall, family: UnitFamily): Bedded {
  const stands = new Set<StandsIn>(job.walls[wall.index]?.build.stands ?? []);
  if (wall.held === 'soil' || wall.retains) stands.add('soil');
  return { family, stands, basis: mudSettings(job).basis, seismic: job.site?.seismic };
}

/** Whether nothing refuses a mix in the face of a wall. */
export const servesIn = (job: JobDocument, wall: SetWall, mix: Mix): boolean =>
  !objections(mix, mix.id, beddedIn(job, wall, wall.unit.family)).some((o) => o.severity === 'fault');

/** The leaf’s own mix against its unit and its place, and the way out that is not itself objected to. */
function issuesOf(
  job: JobDocument,
  wall: SetWall,
  family: UnitFamily,
  mix: Mix,
  leaf: 'outer' | 'inner',
): Issue[] {
  const bedded = beddedIn(job, wall, family);
  const name = (m: Mix): ReturnType<typeof mixName> => mixName(m, bedded.basis);
  const inner = job.walls[wall.index]?.build.kind === 'units' ? 'cavity' : 'backing';
  const key = leaf === 'inner' ? `/build/${inner}/mix` : '/build/mix';
  const lay = leaf === 'inner' ? PAIRING['lay-inner-in'] : PAIRING['lay-in'];
  return objections(mix, name(mix), bedded).map(({ severity, says, serves, source }, i) =>
    issue({
      code: CODES[leaf][severity],
      stage: 'mud',
      severity,
      key: ['pairing', leaf, i, mix.id].join('|'),
      says,
      source,
      tries: () =>
        serves.flatMap((id): Try[] => {
          const other = mixNamed(id);
          if (
            !other ||
            objections(other, name(other), bedded).some((o) => o.severity !== 'note' || severity === 'note')
          )
            return [];
          return [
            {
              says: lay({ mix: name(other) }),
              edit: [{ op: 'add', path: `/walls/${wall.index}${key}`, value: id }],
            },
          ];
        }),
    }),
  );
}

function pairingIssues(job: JobDocument, { wall }: SetOutWork): Issue[] {
  const build = job.walls[wall.index]?.build;
  // Nothing of a dry wall is bedded.
  if (wall.stone?.kind === 'dry') return [];
  const own = mixOfLeaf(job, mudSettings(job), build?.mix, wall.unit.family);
  const outer = issuesOf(job, wall, wall.unit.family, own, 'outer');
  const behind = build && behindFace(build);
  const inner = behind && (findUnit(job, behind.inner) ?? unitById(behind.inner));
  if (!inner) return outer;
  const mix = mixOf(job, behind?.mix) ?? own;
  // The same mix against a unit of the same kind says nothing new.
  return mix.id === own.id && inner.family === wall.unit.family
    ? outer
    : [...outer, ...issuesOf(job, wall, inner.family, mix, 'inner')];
}

/** Which mud goes with which unit in which place: refused or cautioned, with the reason and what serves. */
export const pairing = stage<'pairing', SetOutWork, object>({
  id: 'pairing',
  shown: 'mud',
  needs: ['set-out'],
  work: () => ({}),
  issues: pairingIssues,
});
