import { gaugeCandidates } from '../stages/gauge/choices.js';
import type { PatchStep } from '../job/edits/patch.js';
import type { JobDocument } from '../job/types.js';
import type { Candidate, Choice, Finding, FindingCode, Fix } from '../findings/finding.js';
import type { Issue, Try } from '../findings/issue.js';
import { breaksLock } from './lock.js';
import { proved, provedTogether, type Proving } from './prove.js';
import { handedOut, type Steps } from './steps.js';
import { togetherCandidate } from './together.js';
import { edited, trials } from './trials.js';
import { bondCandidates, moveCandidates, type Weighed } from './weigh.js';
import type { WallWork } from './work.js';

/** Fixes shown for one finding: enough to choose from, few enough to read; one each where there are many. */
const MOST_FIXES = 3;
const MANY = 12;

/** So many pieces may be laid again for openings one by one; those of a longer wall are then tried together. */
const TRIED_PIECES = 9_000;
/** Openings weighed for a better place, and places tried for each: fewer where there are many. */
const ALL_MOVES = { openings: 6, places: 8 };
const FEW_MOVES = { openings: 3, places: 1 };
/** Openings tried one by one however long the wall: those that are weighed for a better place have been already. */
const LEAST_TRIED = FEW_MOVES.openings;

/** Which stage's choices may settle a finding. */
const SETTLED_BY: Partial<Record<FindingCode, 'gauge' | 'bond'>> = {
  'height-off-gauge': 'gauge',
  'fixed-height-missed': 'gauge',
  'opening-off-gauge': 'gauge',
  'straight-joint': 'bond',
  'lap-short': 'bond',
  sliver: 'bond',
  'head-joint-out': 'bond',
  'opening-off-bond': 'bond',
};

const ranked = (candidates: Candidate[]): Choice[] => candidates.map((c, i) => ({ ...c, rank: i + 1 }));

/** What a wall is advised, as far as it has been worked out. */
export interface Advice {
  findings: Finding[];
  choices: Choice[];
}

const bare = ({ tries: _tries, key: _key, ...rest }: Issue): Omit<Finding, 'fixes'> => rest;

function inOrder(weighed: readonly Weighed[]): Candidate[] {
  return weighed
    .map((c, i) => ({ c, i }))
    .sort(
      (a, b) =>
        Number(b.c.leads ?? false) - Number(a.c.leads ?? false) ||
        a.c.cost - b.c.cost ||
        Number(b.c.applied) - Number(a.c.applied) ||
        a.i - b.i,
    )
    .map(({ c: { leads: _leads, ...c } }): Candidate => c);
}

/**
 * Choices, best first, and every issue with the fixes that are proved to settle it: a step for each edit tried. What is
 * ranked so far is handed out on the way, so that a long wall need not be waited for.
 */
export function* adviseWall(
  job: JobDocument,
  index: number,
  work: WallWork,
  issues: Issue[],
): Steps<Advice, Advice> {
  const gauge = gaugeCandidates(work.wall, work.gauge);
  const attempt = trials(job, index, work, issues);
  const locked = job.walls[index]?.build.locked ?? [];
  const allowed = (edit: PatchStep[]): boolean => !breaksLock(locked, edit);
  // What is locked stands alone: the rest is not proposed.
  const offered = (list: readonly Candidate[]): Choice[] =>
    ranked(list.filter((c) => c.edit.length === 0 || allowed(c.edit)));
  const fixes = new Map<Issue, Fix[]>();
  const sofar = (bond: readonly Candidate[]): Advice => ({
    findings: issues.map((one) => ({ ...bare(one), fixes: fixes.get(one) ?? [] })),
    choices: [...offered(gauge), ...offered(bond)],
  });
  // The first that can be ranked are handed out at once: each way more is the wall laid again.
  const ways = yield* handedOut(bondCandidates(job, index, work, attempt), (list) =>
    list.length > 1 ? sofar(inOrder(list)) : null,
  );
  yield sofar(inOrder(ways));
  const pieces = work.runs.reduce((sum, run) => sum + run.rows.reduce((n, r) => n + r.pieces.length, 0), 0);
  const atOpenings = issues.filter((i) => i.opening !== null).length;
  const mayTry =
    atOpenings > MANY ? Math.max(LEAST_TRIED, Math.floor(TRIED_PIECES / Math.max(1, pieces))) : Infinity;
  const together = yield* togetherCandidate(job, index, (edit) => edited(job, edit));
  const moves = yield* moveCandidates(work, attempt, atOpenings > MANY ? FEW_MOVES : ALL_MOVES);
  const bond = inOrder([...ways, ...moves, ...(together ? [together] : [])]);
  yield sofar(bond);
  const by: Proving = { job, index, attempt, allowed };
  const most = atOpenings > MANY ? 1 : MOST_FIXES;
  const later: Issue[] = [];
  let tried = 0;
  for (const one of issues) {
    if (one.opening !== null && tried >= mayTry) {
      later.push(one);
      continue;
    }
    if (one.opening !== null) tried++;
    const stage = SETTLED_BY[one.code];
    const choices = (stage === 'gauge' ? gauge : stage === 'bond' ? bond : [])
      .filter((c) => c.edit.length > 0)
      .map((c): Try => ({ says: c.name, edit: c.edit }));
    fixes.set(one, yield* proved(by, one, choices, most));
    yield sofar(bond);
  }
  for (const [one, found] of yield* provedTogether(by, later)) fixes.set(one, found);
  return sofar(bond);
}
