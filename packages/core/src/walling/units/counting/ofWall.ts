import type { SetWall } from '../../../stages/set-out/wall.js';
import { behindCavity, withTheFace, type Leaf, type Leaved } from '../leaves/leaf.js';
import { NO_WEBS, type OnWebs } from './mortar.js';
import { addTallies, buyLines, tallyRun, type BuyLine, type Tally } from './tally.js';

/** What the leaves of a wall that are laid together, of one unit, come to. */
export interface LeafTally {
  leaves: readonly [Leaf, ...Leaf[]];
  wall: SetWall;
  /** What its figures' keys begin with: nothing for the face. */
  key: '' | 'inner.';
  name: 'face' | 'inner';
  /** Run by run, in the order of the leaf's runs. */
  runs: Tally[];
  tally: Tally;
  buy: BuyLine[];
  /** What the mortar on the webs of each run followed from when it was counted. */
  follows: string[];
}

const same = (a: readonly Leaf[], b: readonly Leaf[] | undefined, run: number): boolean =>
  a.length === b?.length && a.every((leaf, i) => leaf.runs[run] === b[i]?.runs[run]);

export function tallied(
  leaves: readonly [Leaf, ...Leaf[]],
  as: Pick<LeafTally, 'key' | 'name'>,
  before: LeafTally | undefined,
  webs: OnWebs,
): LeafTally {
  const [{ wall, runs }] = leaves;
  // A run taken over as it stood was bonded from the same wall and courses: its tally stands too.
  const words = runs.map((run) => leaves.map((leaf) => webs.follows(leaf, run.index)).join('|'));
  const list = runs.map((run, i) => {
    const stands = same(leaves, before?.leaves, i) && before?.follows[i] === words[i];
    return (stands ? before?.runs[i] : undefined) ?? tallyRun(leaves, run.index, webs);
  });
  const tally = addTallies(wall.unit.id, list);
  return { leaves, wall, ...as, runs: list, tally, buy: buyLines(wall, tally), follows: words };
}

/** What a wall is made of, unit by unit: the face and what is laid with it first, then the leaf behind its cavity. */
export function talliesOf(
  work: Leaved,
  before: readonly LeafTally[] = [],
  webs: OnWebs = NO_WEBS,
): [LeafTally, ...LeafTally[]] {
  const [face, ...withIt] = withTheFace(work);
  const inner = behindCavity(work);
  return [
    tallied([face as Leaf, ...withIt], { key: '', name: 'face' }, before[0], webs),
    ...(inner ? [tallied([inner], { key: 'inner.', name: 'inner' }, before[1], webs)] : []),
  ];
}

/** Mortar of all the leaves of a wall, m³. */
export const mortarOfWall = ({
  tallies,
}: {
  tallies: readonly LeafTally[];
}): { geometric: number; used: number } => ({
  geometric: tallies.reduce((sum, t) => sum + t.tally.mortar.geometric, 0),
  used: tallies.reduce((sum, t) => sum + t.tally.mortar.used, 0),
});
