import { wallingOf } from '../../walling/registry.js';
import type { LeafTally } from '../../walling/units/counting/ofWall.js';
import type { BuyLine, Tally } from '../../walling/units/counting/tally.js';
import type { BondWork } from '../bond/stage.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { SetOutWork } from '../set-out/stage.js';
import { stage } from '../stage.js';

/** What the wall takes. */
export interface TallyWork {
  /** Leaf by leaf, what is laid with the face first. */
  tallies: readonly [LeafTally, ...LeafTally[]];
  /** Of the face and what is laid with it: run by run, in all, and what to buy for it. */
  runTallies: Tally[];
  tally: Tally;
  buy: BuyLine[];
}

/** What other stages take (grout, bars, ties) they count themselves; here is what the walling itself takes. */
export const tally = stage<'tally', SetOutWork & GaugeWork & BondWork, TallyWork>({
  id: 'tally',
  shown: 'tally',
  needs: ['set-out', 'gauge', 'bond'],
  work: (made, { walling, before }) => {
    const tallies = walling.count(made, before?.tallies);
    const [{ runs: runTallies, tally: sum, buy }] = tallies;
    return { tallies, runTallies, tally: sum, buy };
  },
  figures: (work, run) => wallingOf(work.wall).figures(work, run),
  working: (work, figure, run) => wallingOf(work.wall).working(work, figure, run),
  materials: (work) => wallingOf(work.wall).materials(work),
});
