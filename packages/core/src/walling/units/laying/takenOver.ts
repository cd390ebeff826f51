import type { Course } from '../../../stages/gauge/courses.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { BondedRun } from './bond.js';
import { chainsOf, mergedWall, type Chain } from './chains.js';
import { runEnds, type RunEnds } from '../lines/ends.js';

/** A wall as it was bonded before an edit. */
export interface BondBefore {
  wall: SetWall;
  courses: readonly Course[];
  level: number;
  runs: readonly BondedRun[];
}

/** Whether two plain values are the same all the way down. */
function alike(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = Object.keys(a);
  if (keys.length !== Object.keys(b).length) return false;
  for (const key of keys)
    if (!alike((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key])) return false;
  return true;
}

/** Lists that go on over every run of a wall: of each, only what hangs on a run concerns that run. */
const HUNG = ['openings', 'tops', 'steps', 'changes', 'vents', 'piers', 'branches', 'joints'] as const;

/** A wall but for what hangs on its runs, and for what a bond does not ask: fixed heights make its courses, its line its ends. */
function common(wall: SetWall): object {
  const { openings: _o, tops: _t, steps: _s, changes: _c, vents: _v, piers: _p, ...rest } = wall;
  const { branches: _b, joints: _j, runs: _r, line: _l, heights: _h, poured: _q, ...all } = rest;
  return all;
}

const sameOnRun = (a: SetWall, b: SetWall, run: number): boolean =>
  alike(a.runs[run], b.runs[run]) &&
  HUNG.every((list) => {
    const on = (wall: SetWall): readonly { run: number }[] =>
      (wall[list] as readonly { run: number }[]).filter((x) => x.run === run);
    return alike(on(a), on(b));
  });

/**
 * The runs of each chain that an edit left as they were, to be taken over as they stand; null for those to be laid
 * anew. Everything a bond could read is compared, value by value: what it need not read is only left out above.
 */
export function runsTakenOver(
  merged: SetWall,
  chains: readonly Chain[],
  ends: readonly RunEnds[],
  courses: readonly Course[],
  level: number,
  before: BondBefore | null,
): (BondedRun[] | null)[] {
  const none = chains.map(() => null);
  if (!before || level !== before.level || !alike(courses, before.courses)) return none;
  const were = chainsOf(before.wall);
  if (!alike(chains, were)) return none;
  const was = mergedWall(before.wall, were);
  if (!alike(common(merged), common(was))) return none;
  const endsWere = runEnds(was);
  return chains.map((chain, k) => {
    if (!alike(ends[k], endsWere[k]) || !sameOnRun(merged, was, k)) return null;
    const runs = chain.runs.flatMap((i) => before.runs.find((r) => r.index === i) ?? []);
    return runs.length === chain.runs.length ? runs : null;
  });
}
