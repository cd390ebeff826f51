import { TABLE } from '../../tables/messages.js';
import { SAYS } from './messages.js';
import type { Said } from '../../messages/message.js';
import { issue, type Issue } from '../../findings/issue.js';
import type { JobDocument } from '../../job/types.js';
import { writeLength } from '../../measure/format.js';
import { millimetres } from '../../measure/length.js';
import { bedLimits } from '../gauge/courses.js';
import { footingRule } from '../../tables/footings.js';
import { footingAmounts } from '../set-out/footing.js';
import type { SiteLevels } from '../set-out/site.js';
import type { Survey } from './survey.js';
import type { SetWall } from '../set-out/wall.js';

/** A level this near what was wanted is right: common practice for a levelled staff, mm. */
const LEVEL_TOLERANCE = 5;
/** Least depth of concrete under a building, mm; a garden wall's may be 100. Common practice. */
const LEAST_FOOTING = 150;
const GARDEN_FOOTING = 100;
/** A corner this near where it should be needs no moving, mm: common practice. */
const SQUARE_TOLERANCE = 5;

/** What concerns the whole job is said on its first wall. */
function siteIssues(job: JobDocument, wall: SetWall, site: SiteLevels): Issue[] {
  if (wall.index !== 0) return [];
  const list: Issue[] = [];
  if (site.layersOff !== null) {
    list.push(
      issue({
        code: 'layers-do-not-add',
        stage: 'set-out',
        severity: 'fault',
        says: SAYS['layers-off']({
          layers: site.layers,
          by: Math.abs(site.layersOff),
          side: site.layersOff > 0 ? 'more' : 'less',
          stated: site.buildUp.stated ?? 0,
        }),
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
        says: SAYS['readings-out']({
          points: out.map((p) =>
            SAYS['point-stands']({
              point: p.name,
              by: Math.abs(p.error ?? 0),
              side: (p.error ?? 0) > 0 ? 'high' : 'low',
            }),
          ),
        }),
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
        says: SAYS.assumed({ what: open.map((a) => a.says) }),
        source: 'stated in this job',
      }),
    );
  }
  return list;
}

function footingIssues(wall: SetWall): Issue[] {
  if (!wall.footing) return [];
  const { projection } = footingAmounts(wall, wall.footing);
  const rule = footingRule(wall.profile.id);
  // A garden wall's may be thinner; it is no narrower for that.
  const least = Math.max(LEAST_FOOTING, projection);
  const narrow = projection < rule.projection - 0.5 || wall.footing.width < rule.width - 0.5;
  if (!narrow && wall.footing.depth >= least - 1e-3) return [];
  return [
    issue({
      code: 'footing-thin',
      stage: 'set-out',
      severity: 'choice',
      says:
        projection < 0
          ? SAYS['footing-narrow']({ by: -projection * 2 })
          : narrow
            ? SAYS['footing-too-narrow']({
                width: wall.footing.width,
                leastWidth: rule.width,
                projects: projection,
                leastPast: rule.projection,
              })
            : SAYS['footing-thin']({
                depth: wall.footing.depth,
                projects: projection,
                least: LEAST_FOOTING,
                garden: GARDEN_FOOTING,
              }),
      source: narrow ? rule.source : 'common practice; depth and width are for local code and the ground',
    }),
  ];
}

/** What the least line comes to: none to move where the drawn one is it. */
function lineServes(wall: SetWall, { line }: Survey): Said {
  if (!line) return '';
  const { shift, least, most, work } = line;
  const way = Math.abs(shift) < 0.5 ? 'as-drawn' : shift > 0 ? 'higher' : 'lower';
  const by = Math.abs(shift);
  if (work.length === 0) return SAYS['line-serves']({ way, by, least, most });
  const where = work.map((w) =>
    SAYS['work-at']({ does: w.does, by: w.by, at: w.at, run: wall.runs[w.run]?.name ?? '' }),
  );
  return SAYS['line-leaves']({ way, by, work: where });
}

/** Courses that drift off the old work's: seen where the walls meet, and asked before the first bed is laid. */
function driftIssues(wall: SetWall, survey: Survey): Issue[] {
  const keep = survey.drifts.find((d) => d.answer === 'keep');
  if (!keep || Math.abs(keep.atTop) <= wall.bed / 2) return [];
  const { least, most } = bedLimits(wall);
  const path = `/walls/${wall.index}/build/bed`;
  return [
    issue({
      code: 'old-gauge-drifts',
      stage: 'set-out',
      severity: 'choice',
      course: 1,
      says: SAYS['gauge-drifts']({
        by: Math.abs(keep.atTop),
        side: keep.atTop > 0 ? 'over' : 'under',
        meets: keep.meets === null ? 'never' : 'once',
        course: keep.meets ?? 0,
      }),
      source: 'common practice: keep your joint, take theirs or go half way, and know what each comes to',
      tries: () =>
        survey.drifts
          .filter((d) => d.answer !== 'keep' && d.bed >= least - 0.05 && d.bed <= most + 0.05)
          .map((d) => ({
            says: SAYS['bed-answer']({ answer: d.answer === 'take' ? 'take' : 'share', bed: d.bed }),
            edit: [{ op: 'add', path, value: writeLength(millimetres(d.bed), wall.show) }],
          })),
    }),
  ];
}

interface Surveyed {
  wall: SetWall;
  survey: Survey;
  site: SiteLevels;
}

export function groundIssues(job: JobDocument, { wall, survey, site }: Surveyed): Issue[] {
  const list: Issue[] = [
    ...siteIssues(job, wall, site),
    ...footingIssues(wall),
    ...driftIssues(wall, survey),
  ];
  for (const { run, units } of survey.poured) {
    const bad = units.filter((u) => u.verdict !== 'sound');
    const worst = bad.reduce<(typeof bad)[number] | null>(
      (w, u) => (w === null || u.by > w.by ? u : w),
      null,
    );
    if (!worst) continue;
    const grind = bad.filter((u) => u.verdict === 'grind').length;
    const pack = bad.length - grind;
    list.push(
      issue({
        code: 'footing-uneven',
        stage: 'set-out',
        severity: 'fault',
        course: 1,
        to: 1,
        run,
        at: (worst.from + worst.to) / 2,
        says: SAYS.uneven({
          simulated: survey.simulated.includes(run) ? 'yes' : 'no',
          grind,
          pack,
          bed: worst.verdict === 'grind' ? worst.least : worst.most,
          at: worst.from,
          does: worst.verdict === 'grind' ? 'grind' : 'pack',
          by: worst.by,
          line: lineServes(wall, survey),
        }),
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
            ? SAYS.diagonal({ wanted: survey.square?.otherDiagonal ?? 0, off: Math.abs(disagrees) })
            : SAYS['not-square']({
                corners: out.map((c) =>
                  SAYS['corner-moves']({ corner: c.name, moves: moves(c.moveX, c.moveY) }),
                ),
              }),
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
        says: SAYS.engineer({ reasons: survey.engineer }),
        source: TABLE['lean-source']({ source: wall.profile.leanLimit.source }),
      }),
    );
  }
  return list;
}

/** Nearer than this a peg is not moved, mm. */
const NO_MOVE = 0.5;

const moves = (x: number, y: number): Said[] => [
  ...(Math.abs(x) >= NO_MOVE ? [SAYS[x > 0 ? 'onward' : 'back']({ by: Math.abs(x) })] : []),
  ...(Math.abs(y) >= NO_MOVE ? [SAYS[y > 0 ? 'out' : 'in']({ by: Math.abs(y) })] : []),
];
