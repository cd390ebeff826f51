import type { Job, JobDocument } from '../job/types.js';
import { talliesOf, type LeafTally } from '../walling/units/counting/ofWall.js';
import type { BuyLine, Tally } from '../walling/units/counting/tally.js';
import { adviseWall } from './advise.js';
import type { Choice, Finding } from '../findings/finding.js';
import type { Issue } from '../findings/issue.js';
import { toTheEnd, type Steps } from './steps.js';
import { issuesOf, workWall, type WallWork } from './work.js';

/** What follows from one wall: each stage reads only the ones before it. */
export interface WallPlan extends WallWork {
  /** What it is made of, unit by unit: the face and what is laid with it first. */
  tallies: readonly [LeafTally, ...LeafTally[]];
  /** Of the face and what is laid with it: run by run, in all, and what to buy for it. */
  runTallies: Tally[];
  tally: Tally;
  buy: BuyLine[];
  findings: Finding[];
  choices: Choice[];
}

export interface Plan {
  walls: WallPlan[];
}

/** What happened on site. Empty until the record is built; `plan` already takes it. */
export type SiteRecord = readonly never[];

export interface PlanOptions {
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

function planWall(job: JobDocument, index: number, before: WallPlan | null): WallPlan {
  const work = workWall(job, index, before);
  const tallies = talliesOf(work, before?.tallies);
  const [{ runs: runTallies, tally, buy }] = tallies;
  return {
    ...work,
    tallies,
    runTallies,
    tally,
    buy,
    findings: issuesOf(job, work).map(bare),
    choices: [],
  };
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

/**
 * The plan of a checked job. Pure: same job, same plan, whatever was planned before. Findings of each wall come faults
 * first; fixes are offered only where planning again shows the finding gone.
 */
export function plan(job: Job, _record: SiteRecord = [], options: PlanOptions = {}): Plan {
  const which = options.only ?? job.walls.map((_, i) => i);
  const before = (i: number): WallPlan | null =>
    options.before?.walls.find((w) => w.wall.id === job.walls[i]?.id) ?? null;
  const walls = which.map((i) => planWall(job, i, before(i)));
  return { walls: (options.advise ?? true) ? walls.map((w) => toTheEnd(advised(job, w))) : walls };
}
