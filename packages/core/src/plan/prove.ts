import type { PatchStep } from '../job/edits/patch.js';
import type { JobDocument } from '../job/types.js';
import type { Fix } from '../findings/finding.js';
import type { Issue, Try } from '../findings/issue.js';
import type { Steps } from './steps.js';
import type { Trial } from './trials.js';

/** What proving goes by: the job, and how an edit of it is tried. */
export interface Proving {
  job: JobDocument;
  index: number;
  attempt: (edit: PatchStep[]) => Trial | null;
  /** Whether an edit leaves alone what is locked. */
  allowed: (edit: PatchStep[]) => boolean;
}

const fixOf = (t: Try): Fix => ({ says: t.says, edit: t.edit });

/**
 * Plans the edited job and keeps the edits after which the issue is gone and no fault stands that was not there. Every
 * choice that settles it is a fix; other tries only until there are enough to choose from.
 */
export function* proved(by: Proving, one: Issue, choices: Try[], most: number): Steps<Fix[]> {
  const fixes: Fix[] = [];
  const seen = new Set<string>();
  const own = one.tries();
  const all = [...choices, ...own.filter((t) => !t.lastly), ...own.filter((t) => t.lastly)];
  for (const [i, t] of all.entries()) {
    if (i >= choices.length && fixes.length >= most) break;
    // A made door is not made again while a start, shared perps or a closer serve.
    if (t.lastly && fixes.length > 0) break;
    const key = JSON.stringify(t.edit);
    if (seen.has(key) || !by.allowed(t.edit)) continue;
    seen.add(key);
    yield;
    const trial = by.attempt(t.edit);
    if (!trial || trial.issues().some((i) => i.key === one.key) || trial.newFault()) continue;
    fixes.push(fixOf(t));
  }
  return fixes;
}

/** Openings between two that are tried at once: what one does is not felt three openings on. */
const APART = 4;
/** Places tried for each opening. */
const ROUNDS = 3;

interface Waiting {
  issues: Issue[];
  tries: readonly Try[];
  at: number;
}

/** Moves of single openings among an issue's tries: those that may be tried together with others far off. */
const ownMoves = (one: Issue): readonly Try[] =>
  one.tries().filter((t) => t.edit.every((s) => /\/openings\/\d+\/(at|width)$/.test(s.path)));

/**
 * Fixes of many openings of a long wall, tried together: every fourth opening along it at once, so that what each comes to
 * is seen by itself, and a wall of two hundred is planned again a dozen times and not two hundred. One that is not gone
 * then, or has a new fault near it, tries its next place in another round.
 */
export function* provedTogether(by: Proving, issues: readonly Issue[]): Steps<Map<Issue, Fix[]>> {
  const fixes = new Map<Issue, Fix[]>(issues.map((i) => [i, []]));
  const byOpening = new Map<string, Waiting>();
  for (const one of issues) {
    const id = `${one.run}|${one.opening}`;
    const waits = byOpening.get(id);
    if (waits) waits.issues.push(one);
    else byOpening.set(id, { issues: [one], tries: ownMoves(one), at: one.at ?? 0 });
  }
  let waiting = [...byOpening.values()].sort((a, b) => a.at - b.at);
  for (let round = 0; round < ROUNDS && waiting.length > 0; round++) {
    const still: Waiting[] = [];
    for (let g = 0; g < APART; g++) {
      const group = waiting
        .filter((_, i) => i % APART === g)
        .filter((w) => by.allowed(w.tries[round]?.edit ?? []) && w.tries[round] !== undefined);
      if (group.length === 0) continue;
      yield;
      const trial = by.attempt(group.flatMap((w) => w.tries[round]?.edit ?? []));
      const said = new Set(trial?.issues().map((i) => i.key));
      const nearest = (at: number): Waiting | undefined =>
        [...group].sort((a, b) => Math.abs(a.at - at) - Math.abs(b.at - at))[0];
      const faults = trial?.newFaults() ?? [];
      const spoilt = new Set(faults.map((f) => nearest(f.at ?? 0)));
      for (const w of group) {
        const t = w.tries[round];
        const open = w.issues.filter((i) => said.has(i.key));
        const good = trial && t && !spoilt.has(w) && faults.every((f) => f.at !== null);
        if (good) for (const i of w.issues) if (!open.includes(i)) fixes.get(i)?.push(fixOf(t));
        if (!good || open.length > 0) still.push({ ...w, issues: good ? open : w.issues });
      }
    }
    waiting = still.sort((a, b) => a.at - b.at);
  }
  return fixes;
}
