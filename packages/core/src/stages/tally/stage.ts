import { wallingOf } from '../../walling/registry.js';
import type { LeafTally } from '../../walling/units/counting/ofWall.js';
import type { BuyLine, Tally } from '../../walling/units/counting/tally.js';
import type { BondWork } from '../bond/stage.js';
import type { Grouted } from '../grout/work.js';
import { groutedWord, websBedded, type GroutedRun } from './webs.js';
import { carryingLeaf, type Leaf } from '../../walling/units/leaves/leaf.js';
import type { OnWebs } from '../../walling/units/counting/mortar.js';
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
export const tally = stage<'tally', SetOutWork & GaugeWork & BondWork & Grouted, TallyWork>({
  id: 'tally',
  shown: 'tally',
  needs: ['set-out', 'gauge', 'bond', 'grout'],
  work: (made, { walling, before }) => {
    const carrying = carryingLeaf(made);
    const fills = new Map(made.fills.map((f) => [f.run, f]));
    // Webs beside cells that are filled are bedded, or the grout runs out of them.
    const grouted = (leaf: Leaf, run: number): GroutedRun | undefined => {
      const fill = leaf.index === carrying.index ? fills.get(run) : undefined;
      const cells = (fill?.cells ?? []).filter((c) => c.filled).map(({ shaft }) => shaft);
      return fill && { cells, solid: fill.solid };
    };
    const webs: OnWebs = {
      volume: (leaf, run) => websBedded(leaf, run, grouted(leaf, run.index)),
      follows: (leaf, run) => groutedWord(grouted(leaf, run)),
    };
    const tallies = walling.count(made, before?.tallies, webs);
    const [{ runs: runTallies, tally: sum, buy }] = tallies;
    return { tallies, runTallies, tally: sum, buy };
  },
  figures: (work, run) => wallingOf(work.wall).figures(work, run),
  working: (work, figure, run) => wallingOf(work.wall).working(work, figure, run),
  materials: (work) => wallingOf(work.wall).materials(work),
});
