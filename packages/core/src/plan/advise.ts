import { bondCost, type BondCost } from '../bond/cost.js';
import { snapTries } from '../bond/snap.js';
import { bondWays } from '../bond/ways.js';
import { gaugeCandidates } from '../gauge/choices.js';
import { applyEdit, type EditStep, type Guard } from '../job/edit.js';
import { checkJob } from '../job/check.js';
import type { Job, JobDocument } from '../job/types.js';
import { sayMm } from '../measure/format.js';
import { steelCost, type SteelCost } from '../steel/cost.js';
import type { SetWall } from '../setout/wall.js';
import type { Candidate, Choice, Finding, FindingCode, Fix } from './finding.js';
import type { Issue, Try } from './issue.js';
import { breaksLock } from './lock.js';
import type { Steps } from './steps.js';
import { togetherCandidate } from './together.js';
import { issuesOf, workWall, type WallWork } from './work.js';

/** Fixes shown for one finding: enough to choose from, few enough to read. */
const MOST_FIXES = 3;

function edited(job: JobDocument, edit: EditStep[]): Job | null {
  const applied = applyEdit(job, edit);
  if (!applied.ok) return null;
  const checked = checkJob(applied.value);
  return checked.ok ? checked.job : null;
}

interface Trial {
  work: WallWork;
  /** What the wall says then, worked out when it is asked for. */
  issues: () => Issue[];
}

/** Tries edits, each once however many findings ask for it. Null where the wall cannot be so. */
function trials(job: JobDocument, index: number, before: WallWork): (edit: EditStep[]) => Trial | null {
  const done = new Map<string, Trial | null>();
  return (edit) => {
    const key = JSON.stringify(edit);
    const known = done.get(key);
    if (known !== undefined) return known;
    const after = edited(job, edit);
    let trial: Trial | null = null;
    if (after) {
      const work = workWall(after, index, before);
      let said: Issue[] | null = null;
      trial = { work, issues: () => (said ??= issuesOf(after, work)) };
    }
    done.set(key, trial);
    return trial;
  };
}

function guards(job: JobDocument, index: number, edit: EditStep[]): Guard[] {
  const list: Guard[] = [{ path: `/walls/${index}/id`, is: job.walls[index]?.id }];
  for (const step of edit) {
    const place = /^\/walls\/\d+\/openings\/(\d+)\//.exec(step.path)?.[1];
    const path = `/walls/${index}/openings/${place}/id`;
    if (place === undefined || list.some((g) => g.path === path)) continue;
    list.push({ path, is: job.walls[index]?.openings?.[Number(place)]?.id });
  }
  return list;
}

/**
 * Plans the edited wall and keeps the edits after which the issue is gone and no new fault stands. Every choice
 * that settles it is a fix; other tries only until there are enough to choose from.
 */
function* proved(
  job: JobDocument,
  index: number,
  attempt: (edit: EditStep[]) => Trial | null,
  one: Issue,
  faults: number,
  choices: Try[],
  allowed: (edit: EditStep[]) => boolean,
): Steps<Fix[]> {
  const fixes: Fix[] = [];
  const seen = new Set<string>();
  for (const [i, t] of [...choices, ...one.tries()].entries()) {
    if (i >= choices.length && fixes.length >= MOST_FIXES) break;
    const key = JSON.stringify(t.edit);
    if (seen.has(key) || !allowed(t.edit)) continue;
    seen.add(key);
    yield;
    const issues = attempt(t.edit)?.issues();
    if (!issues) continue;
    if (issues.some((i) => i.key === one.key)) continue;
    if (issues.filter((i) => i.severity === 'fault').length > faults) continue;
    fixes.push({ says: t.says, edit: t.edit, guard: guards(job, index, t.edit) });
  }
  return fixes;
}

/** A candidate that may lead whatever it costs: rank 1 is what the plan does unless the file says otherwise. */
type Weighed = Candidate & { leads?: boolean };

function sayCost(wall: SetWall, cost: BondCost, steel: SteelCost): string {
  const parts = [
    cost.cutPieces === 0
      ? 'nothing is sawn'
      : `${cost.cutPieces} ${cost.cutPieces === 1 ? 'piece is' : 'pieces are'} sawn`,
    cost.underLeast > 0 ? `${cost.underLeast} too short` : '',
    cost.shortLaps > 0 ? `${cost.shortLaps} short laps` : '',
    cost.smallest === null ? '' : `smallest ${sayMm(cost.smallest, wall.show)}`,
    steel.broken > 0 ? `${steel.broken} ${steel.broken === 1 ? 'bar' : 'bars'} cannot go up` : '',
    steel.blocked > 0 ? `${steel.blocked} ${steel.blocked === 1 ? 'starter' : 'starters'} in the way` : '',
  ];
  return parts.filter(Boolean).join(', ');
}

function* bondCandidates(
  job: JobDocument,
  index: number,
  work: WallWork,
  attempt: (edit: EditStep[]) => Trial | null,
): Steps<Weighed[]> {
  const list: Weighed[] = [];
  for (const way of bondWays(work.wall, job.walls[index]?.build)) {
    yield;
    const there = way.inForce ? work : attempt(way.edit)?.work;
    if (!there) continue;
    const cost = bondCost(there.wall, there.runs);
    const steel = steelCost(there.carrier.wall, there.steel);
    list.push({
      stage: 'bond',
      kind: way.kind,
      name: way.name,
      says: `${way.name}: ${sayCost(there.wall, cost, steel)}.`,
      edit: way.edit,
      cost: cost.total + steel.total,
      applied: way.inForce,
      leads: way.leads,
    });
  }
  return list;
}

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

/** Openings looked at for a better place: more than these and the list is no help. */
const MOST_MOVES = 6;

/**
 * What moving an opening a joint or two, or to the nearest perps, would save: the best place for each, where it
 * saves at least one cut piece.
 */
function* moveCandidates(work: WallWork, attempt: (edit: EditStep[]) => Trial | null): Steps<Candidate[]> {
  const now = bondCost(work.wall, work.runs);
  const list: Candidate[] = [];
  const sawnFor = new Set(
    work.runs.flatMap((r) => [...r.uses.keys()].flatMap((row) => row.pieces.map((p) => p.opening))),
  );
  for (const o of work.wall.openings.filter((one) => sawnFor.has(one.index)).slice(0, MOST_MOVES)) {
    const run = work.runs.find((r) => r.index === o.run);
    if (!run) continue;
    let best: { says: string; edit: EditStep[]; cost: BondCost; steel: SteelCost; wall: SetWall } | null =
      null;
    for (const t of snapTries(work.wall, run, o)) {
      yield;
      const there = attempt(t.edit)?.work;
      if (!there) continue;
      const cost = bondCost(there.wall, there.runs);
      if (cost.total < (best?.cost.total ?? now.total) - 1e-9)
        best = { ...t, cost, steel: steelCost(there.carrier.wall, there.steel), wall: there.wall };
    }
    if (!best || best.cost.cutPieces >= now.cutPieces) continue;
    const saved = now.cutPieces - best.cost.cutPieces;
    list.push({
      stage: 'bond',
      kind: 'move-opening',
      name: best.says,
      says: `${best.says}${o.must ? ', if it may' : ''}: ${saved} fewer sawn, so ${sayCost(best.wall, best.cost, best.steel)}.`,
      edit: best.edit,
      cost: best.cost.total + best.steel.total + (o.must ? work.wall.weights.bond.movedMust : 0),
      applied: false,
    });
  }
  return list;
}

const ranked = (candidates: Candidate[]): Choice[] => candidates.map((c, i) => ({ ...c, rank: i + 1 }));

/** Choices, best first, and every issue with the fixes that are proved to settle it: a step for each edit tried. */
export function* adviseWall(
  job: JobDocument,
  index: number,
  work: WallWork,
  issues: Issue[],
): Steps<{ findings: Finding[]; choices: Choice[] }> {
  const gauge = gaugeCandidates(work.wall, work.gauge);
  const attempt = trials(job, index, work);
  const locked = job.walls[index]?.build.locked ?? [];
  const together = yield* togetherCandidate(job, index, (edit) => edited(job, edit));
  const weighed: Weighed[] = [
    ...(yield* bondCandidates(job, index, work, attempt)),
    ...(yield* moveCandidates(work, attempt)),
    ...(together ? [together] : []),
  ];
  const bond = weighed
    .map((c, i) => ({ c, i }))
    .sort(
      (a, b) =>
        Number(b.c.leads ?? false) - Number(a.c.leads ?? false) ||
        a.c.cost - b.c.cost ||
        Number(b.c.applied) - Number(a.c.applied) ||
        a.i - b.i,
    )
    .map(({ c: { leads: _leads, ...c } }): Candidate => c);
  const faults = issues.filter((i) => i.severity === 'fault').length;
  const findings: Finding[] = [];
  for (const one of issues) {
    const { tries: _tries, key: _key, ...rest } = one;
    const stage = SETTLED_BY[one.code];
    const choices = (stage === 'gauge' ? gauge : stage === 'bond' ? bond : [])
      .filter((c) => c.edit.length > 0)
      .map((c) => ({ says: c.name, edit: c.edit }));
    const fixes = yield* proved(
      job,
      index,
      attempt,
      one,
      faults,
      choices,
      (edit) => !breaksLock(locked, edit),
    );
    findings.push({ ...rest, fixes });
  }
  // What is locked stands alone: the rest is not proposed.
  const offered = (list: Candidate[]): Choice[] =>
    ranked(list.filter((c) => c.edit.length === 0 || !breaksLock(locked, c.edit)));
  return { findings, choices: [...offered(gauge), ...offered(bond)] };
}
