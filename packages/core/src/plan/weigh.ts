import { SAYS } from '../walling/units/judging/messages.js';
import type { Said } from '../messages/message.js';
import { bondCost, type BondCost } from '../walling/units/judging/cost.js';
import { snapTries } from '../walling/units/judging/snap.js';
import { bondWays } from '../walling/units/judging/ways.js';
import type { PatchStep } from '../job/edits/patch.js';
import type { JobDocument } from '../job/types.js';
import { carried } from '../walling/units/leaves/leaf.js';
import { steelCost, type SteelCost } from '../stages/steel/cost.js';
import type { Candidate } from '../findings/finding.js';
import type { Steps } from './steps.js';
import type { Trial } from './trials.js';
import type { WallWork } from './work.js';

/** A candidate that may lead whatever it costs: rank 1 is what the plan does unless the file says otherwise. */
export type Weighed = Candidate & { leads?: boolean };

function costSaid(cost: BondCost, steel: SteelCost): Said[] {
  const { cutPieces, underLeast, shortLaps, smallest } = cost;
  return [
    SAYS.sawn({ count: cutPieces }),
    ...(underLeast > 0 ? [SAYS['too-short']({ count: underLeast })] : []),
    ...(shortLaps > 0 ? [SAYS['short-laps']({ count: shortLaps })] : []),
    ...(smallest === null ? [] : [SAYS.smallest({ length: smallest })]),
    ...(steel.broken > 0 ? [SAYS['bars-cannot']({ count: steel.broken })] : []),
    ...(steel.blocked > 0 ? [SAYS['starters-in-way']({ count: steel.blocked })] : []),
  ];
}

/** Every way the wall may begin, turn its corners and take its cuts, weighed: those weighed so far are handed out. */
export function* bondCandidates(
  job: JobDocument,
  index: number,
  work: WallWork,
  attempt: (edit: PatchStep[]) => Trial | null,
): Steps<Weighed[], Weighed[]> {
  const list: Weighed[] = [];
  for (const way of bondWays(work.wall, job.walls[index]?.build)) {
    yield [...list];
    const there = way.inForce ? work : attempt(way.edit)?.work;
    if (!there) continue;
    const cost = bondCost(there.wall, there.runs);
    const steel = steelCost(carried(there).wall, there.steel);
    list.push({
      stage: 'bond',
      kind: way.kind,
      name: way.name,
      says: SAYS.way({ way: way.name, cost: costSaid(cost, steel) }),
      edit: way.edit,
      cost: cost.total + steel.total,
      applied: way.inForce,
      leads: way.leads,
    });
  }
  return list;
}

/**
 * What moving an opening a joint or two, or to the nearest perps, would save: the best place for each, where it
 * saves at least one cut piece. `most`: so many openings, and places for each, are tried.
 */
export function* moveCandidates(
  work: WallWork,
  attempt: (edit: PatchStep[]) => Trial | null,
  most: { openings: number; places: number },
): Steps<Candidate[]> {
  const now = bondCost(work.wall, work.runs);
  const list: Candidate[] = [];
  const sawnFor = new Set(
    work.runs.flatMap((r) => [...r.uses.keys()].flatMap((row) => row.pieces.map((p) => p.opening))),
  );
  for (const o of work.wall.openings.filter((one) => sawnFor.has(one.index)).slice(0, most.openings)) {
    const run = work.runs.find((r) => r.index === o.run);
    if (!run) continue;
    let best: { says: Said; edit: PatchStep[]; cost: BondCost; steel: SteelCost } | null = null;
    for (const t of snapTries(work.wall, run, o).slice(0, most.places)) {
      yield;
      const there = attempt(t.edit)?.work;
      if (!there) continue;
      const cost = bondCost(there.wall, there.runs);
      if (cost.total < (best?.cost.total ?? now.total) - 1e-9)
        best = { ...t, cost, steel: steelCost(carried(there).wall, there.steel) };
    }
    if (!best || best.cost.cutPieces >= now.cutPieces) continue;
    const saved = now.cutPieces - best.cost.cutPieces;
    list.push({
      stage: 'bond',
      kind: 'move-opening',
      name: best.says,
      says: SAYS['move-saves']({
        move: best.says,
        must: o.must ? 'yes' : 'no',
        saved,
        cost: costSaid(best.cost, best.steel),
      }),
      edit: best.edit,
      cost: best.cost.total + best.steel.total + (o.must ? work.wall.weights.bond.movedMust : 0),
      applied: false,
    });
  }
  return list;
}
