import type { Job, JobDocument } from '../job/types.js';
import type { AnyStage } from '../stages/stage.js';
import { adviseWall } from './advise.js';
import type { Choice, Finding } from '../findings/finding.js';
import type { Issue } from '../findings/issue.js';
import { readAddress } from '../places/address.js';
import type { RecordEntry } from '../record/entries.js';
import { Folded, type Standing } from '../record/fold.js';
import { progressOf, type Progress } from './progress.js';
import { toTheEnd, type Steps } from './steps.js';
import { STAGES, withNeeds, type StageId, type WorkOf } from './registry.js';
import { issuesFrom, issuesOf, workStages, type Worked } from './work.js';

/** What follows from one wall: each stage reads only the ones before it. Of every stage, or of those asked for. */
export type WallPlan<Id extends StageId = StageId> = WorkOf<Id> &
  Worked & {
    findings: Finding[];
    choices: Choice[];
    /** What is laid and how high it was found to stand; absent where nothing is on record. */
    progress?: Progress;
  };

export interface Plan<Id extends StageId = StageId> {
  walls: WallPlan<Id>[];
}

/** What happened on site: entries in any order, or as they are folded already. */
export type SiteRecord = readonly RecordEntry[] | Folded;

export interface PlanOptions<Id extends StageId = StageId> {
  /** Only these stages are worked, and those they need; what is found is then theirs, and nothing is advised. */
  stages?: readonly Id[];
  /** False leaves out choices and fixes, which need the wall planned again for each. */
  advise?: boolean;
  /** Only these walls, by place in the document; the rest are left out. */
  only?: readonly number[];
  /** The job as it was planned before an edit: what the edit did not touch is not worked out again. */
  before?: Plan | null;
}

const bare = (i: Issue): Finding => ({
  code: i.code,
  stage: i.stage,
  severity: i.severity,
  course: i.course,
  to: i.to,
  run: i.run,
  at: i.at,
  opening: i.opening,
  says: i.says,
  fixes: [],
  source: i.source,
});

function planWall(
  job: JobDocument,
  index: number,
  stages: readonly AnyStage[],
  before: WallPlan | null,
): Worked & Pick<WallPlan, 'findings' | 'choices'> {
  const work = workStages(stages, job, index, before);
  return { ...work, findings: issuesFrom(stages, job, work).map(bare), choices: [] };
}

/**
 * A planned wall with its choices weighed and its fixes proved, which plans the wall again for each: long work, so in
 * steps that may be left off. What is weighed and proved so far is handed out on the way.
 */
export function* advised(job: Job, planned: WallPlan): Steps<WallPlan, WallPlan> {
  const steps = adviseWall(job, planned.wall.index, planned, issuesOf(job, planned));
  for (;;) {
    const step = steps.next();
    if (step.done) return { ...planned, ...step.value };
    yield step.value && { ...planned, ...step.value };
  }
}

/** What the record says of each wall, beside what is planned: the plan is what it is without it. */
function withRecord(job: Job, record: SiteRecord, walls: WallPlan[]): WallPlan[] {
  const folded = record instanceof Folded ? record : record.length > 0 ? new Folded(record) : null;
  if (!folded || folded.size === 0) return walls;
  const ids = new Set(job.walls.map((w) => w.id));
  const own = new Map<string | null, Standing[]>();
  for (const e of folded.entries()) {
    const stated = ('place' in e && e.place !== undefined && readAddress(e.place)?.wall) || e.wall;
    // What is of a wall that is not there is said of the first.
    const wall = stated === null || ids.has(stated) ? stated : (job.walls[0]?.id ?? null);
    own.set(wall, [...(own.get(wall) ?? []), e]);
  }
  return walls.map((p) => {
    const document = job.walls[p.wall.index];
    if (!document || !('runs' in p)) return p;
    const { progress, lost } = progressOf(document, p, own.get(document.id) ?? []);
    return { ...p, progress, findings: [...p.findings, ...lost.map(bare)] };
  });
}

/**
 * The plan of a checked job. Pure: same job, same plan, whatever was planned before. Findings of each wall come faults
 * first; fixes are offered only where planning again shows the finding gone.
 */
export function plan<Id extends StageId = StageId>(
  job: Job,
  record: SiteRecord = [],
  options: PlanOptions<Id> = {},
): Plan<Id> {
  const which = options.only ?? job.walls.map((_, i) => i);
  const before = (i: number): WallPlan | null =>
    options.before?.walls.find((w) => w.wall.id === job.walls[i]?.id) ?? null;
  const stages = options.stages ? withNeeds(STAGES, options.stages) : STAGES;
  const laid = which.map((i) => planWall(job, i, stages, before(i)) as WallPlan);
  const walls = withRecord(job, record, laid);
  const advise = options.stages === undefined && (options.advise ?? true);
  return { walls: advise ? walls.map((w) => toTheEnd(advised(job, w))) : walls } as unknown as Plan<Id>;
}
