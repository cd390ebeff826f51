import type { LeafTally } from '../units/counting/ofWall.js';
import { tallied } from '../units/counting/ofWall.js';
import type { OnWebs } from '../units/counting/mortar.js';
import { addTallies, faceArea, usedMortar, type Tally } from '../units/counting/tally.js';
import { behindCavity, type Leaf } from '../units/leaves/leaf.js';
import type { Counted, Laid } from '../walling.js';
import { stoneWork, type StoneWork } from './work.js';

/** What a run takes: its face, its mortar level by level, and of stones those that are known by their place. */
function runTally({ wall, gauge, runs }: Laid, work: StoneWork, index: number): Tally {
  const none = addTallies(wall.unit.id, []);
  const run = work.runs[index];
  const share = run && run.volumes.gross > 0 ? run.volumes.mortar / run.volumes.gross : 0;
  const byCourse = Float64Array.from(run?.levels ?? [], (m3) => m3 * share);
  const geometric = run?.volumes.mortar ?? 0;
  const area = faceArea(wall, index, gauge);
  const rows = runs.find((r) => r.index === index)?.uses ?? new Map<never, number>();
  const pieces = { ...none.pieces };
  let total = 0;
  for (const [row, uses] of rows)
    for (const p of row.pieces) {
      pieces[p.kind] += uses;
      total += uses;
    }
  return {
    ...none,
    pieces,
    total,
    area,
    mortar: {
      ...none.mortar,
      spread: wall.unitWidth,
      beds: geometric,
      byCourse,
      geometric,
      used: usedMortar(wall, geometric, area, 0),
    },
  };
}

/** What a stone wall takes, and the units behind it where it faces any. Stone itself is weighed, not bought by the piece. */
export function stoneTallies(
  laid: Laid,
  before: readonly LeafTally[] | undefined,
  webs: OnWebs,
): Counted['tallies'] {
  const { wall, gauge } = laid;
  const work = stoneWork(wall, gauge);
  const runs = wall.runs.map((_, i) => runTally(laid, work, i));
  const face: LeafTally = {
    leaves: [laid.leaves[0] as Leaf],
    wall,
    key: '',
    name: 'face',
    runs,
    tally: addTallies(wall.unit.id, runs),
    buy: [],
    follows: [],
  };
  const inner = behindCavity(laid);
  return inner ? [face, tallied([inner], { key: 'inner.', name: 'inner' }, before?.[1], webs)] : [face];
}
