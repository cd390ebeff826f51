import { sayMm } from '../../measure/format.js';
import { issue, type Issue } from '../../findings/issue.js';
import type { JobDocument } from '../../job/types.js';
import { footingAmounts } from '../set-out/footing.js';
import type { SiteLevels } from '../set-out/site.js';
import type { Survey } from './survey.js';
import type { SetWall } from '../set-out/wall.js';

/** A level this near what was wanted is right: common practice for a levelled staff, mm. */
const LEVEL_TOLERANCE = 5;
/** Least depth of concrete under a building, mm; a garden wall's may be 100. Common practice. */
const LEAST_FOOTING = 150;
/** A corner this near where it should be needs no moving, mm: common practice. */
const SQUARE_TOLERANCE = 5;

/** What concerns the whole job is said on its first wall. */
function siteIssues(job: JobDocument, wall: SetWall, site: SiteLevels): Issue[] {
  if (wall.index !== 0) return [];
  const say = (n: number): string => sayMm(n, wall.show);
  const list: Issue[] = [];
  if (site.layersOff !== null) {
    list.push(
      issue({
        code: 'layers-do-not-add',
        stage: 'set-out',
        severity: 'fault',
        says: `The layers come to ${say(site.layers)}, ${say(Math.abs(site.layersOff))} ${site.layersOff > 0 ? 'more' : 'less'} than the ${say(site.buildUp.stated ?? 0)} stated. One of them is wrong: ask before anything is set to it.`,
        source: 'the layers added up',
      }),
    );
  }
  const out = site.points.filter((p) => p.error !== null && Math.abs(p.error) > LEVEL_TOLERANCE);
  if (out.length > 0) {
    list.push(
      issue({
        code: 'reading-out',
        stage: 'set-out',
        severity: 'choice',
        says: `${out.map((p) => `${p.name} stands ${say(Math.abs(p.error ?? 0))} ${(p.error ?? 0) > 0 ? 'high' : 'low'}`).join('; ')}.`,
        source: 'instrument height less reading less level wanted',
      }),
    );
  }
  const open = (job.assumed ?? []).filter((a) => a.confirmed === undefined);
  if (open.length > 0) {
    list.push(
      issue({
        code: 'assumed',
        stage: 'set-out',
        severity: 'note',
        says: `Taken for granted until somebody confirms it: ${open.map((a) => a.says).join('; ')}.`,
        source: 'stated in this job',
      }),
    );
  }
  return list;
}

function footingIssues(wall: SetWall): Issue[] {
  if (!wall.footing) return [];
  const say = (n: number): string => sayMm(n, wall.show);
  const { projection } = footingAmounts(wall, wall.footing);
  const least = Math.max(LEAST_FOOTING, projection);
  if (projection >= 0 && wall.footing.depth >= least - 1e-3) return [];
  return [
    issue({
      code: 'footing-thin',
      stage: 'set-out',
      severity: 'choice',
      says:
        projection < 0
          ? `The footing is ${say(-projection * 2)} narrower than the wall.`
          : `${say(wall.footing.depth)} of concrete projects ${say(projection)}: under a building it is at least its projection and at least ${say(LEAST_FOOTING)}. ${say(100)} is for garden bases only.`,
      source: 'common practice; depth and width are for local code and the ground',
    }),
  ];
}

interface Surveyed {
  wall: SetWall;
  survey: Survey;
  site: SiteLevels;
}

export function groundIssues(job: JobDocument, { wall, survey, site }: Surveyed): Issue[] {
  const say = (n: number): string => sayMm(n, wall.show);
  const list: Issue[] = [...siteIssues(job, wall, site), ...footingIssues(wall)];
  for (const { run, units } of survey.poured) {
    const bad = units.filter((u) => u.verdict !== 'sound');
    const worst = bad.reduce<(typeof bad)[number] | null>(
      (w, u) => (w === null || u.by > w.by ? u : w),
      null,
    );
    if (!worst) continue;
    const grind = bad.filter((u) => u.verdict === 'grind').length;
    const pack = bad.length - grind;
    const parts = [grind > 0 ? `grind under ${grind}` : '', pack > 0 ? `pack under ${pack}` : ''].filter(
      Boolean,
    );
    list.push(
      issue({
        code: 'footing-uneven',
        stage: 'set-out',
        severity: 'fault',
        course: 1,
        to: 1,
        run,
        at: (worst.from + worst.to) / 2,
        says: `${survey.simulated.includes(run) ? 'Practice with simulated readings. ' : ''}Before a unit is laid: ${parts.join(', ')}. The worst leaves a bed of ${say(worst.verdict === 'grind' ? worst.least : worst.most)} at ${say(worst.from)}; ${worst.verdict === 'grind' ? 'take off' : 'bring up'} ${say(worst.by)}.`,
        source: wall.profile.firstBed.source,
      }),
    );
  }
  const out = survey.square?.corners.filter((c) => Math.hypot(c.moveX, c.moveY) > SQUARE_TOLERANCE) ?? [];
  if (out.length > 0 || Math.abs(survey.square?.disagrees ?? 0) > SQUARE_TOLERANCE) {
    const disagrees = survey.square?.disagrees ?? null;
    list.push(
      issue({
        code: 'not-square',
        stage: 'set-out',
        severity: 'fault',
        run: 0,
        at: 0,
        says:
          disagrees !== null && Math.abs(disagrees) > SQUARE_TOLERANCE
            ? `The second diagonal should read ${say(survey.square?.otherDiagonal ?? 0)} from the other five tapes; it is ${say(Math.abs(disagrees))} off. Tape again before a peg is moved.`
            : `${out.map((c) => `${c.name} moves ${sayMove(c.moveX, c.moveY, say)}`).join('; ')}, with A kept and AB kept on its line.`,
        source: 'plane geometry from the tapes',
      }),
    );
  }
  if (survey.engineer.length > 0) {
    list.push(
      issue({
        code: 'engineer-needed',
        stage: 'set-out',
        severity: 'fault',
        says: `${survey.engineer.join(' ')} Stop: an engineer decides. Take the lean, its height and the wall’s thickness along.`,
        source: `${wall.profile.leanLimit.source}; statics of a plain wall`,
      }),
    );
  }
  return list;
}

const sayMove = (x: number, y: number, say: (n: number) => string): string =>
  [
    Math.abs(x) >= 0.5 ? `${say(Math.abs(x))} ${x > 0 ? 'onward along AB' : 'back along AB'}` : '',
    Math.abs(y) >= 0.5 ? `${say(Math.abs(y))} ${y > 0 ? 'out from AB' : 'in toward AB'}` : '',
  ]
    .filter(Boolean)
    .join(' and ');
