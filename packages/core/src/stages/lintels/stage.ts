import { rect } from '../../shapes/shape.js';
import type { BondWork } from '../bond/stage.js';
import { count, figuresNamed, type Workings } from '../figure.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { SetOutWork } from '../set-out/stage.js';
import { stage } from '../stage.js';
import { lintelIssues } from './issues.js';
import { openingList } from './list.js';
import { leavesToCarry, lintelsPlaced, openingsUnderWall, type Laid } from './lintels.js';
import { SAYS } from './messages.js';
import { lintelsSheet } from './sheet.js';

const WORKINGS: Workings<Laid> = {
  lintels: (work) => ({
    title: SAYS.lintels(),
    formula: SAYS['count-formula'](),
    inputs: [count(SAYS['openings-covered'](), openingsUnderWall(work).length, '')],
    result: lintelsPlaced(work).length,
    quantity: 'count',
    source: SAYS['lintels-rule'](),
  }),
};

/** What carries the wall over openings: listed by whoever designs it, judged where it bears, never sized here. */
export const lintels = stage<'lintels', SetOutWork & GaugeWork & BondWork, object>({
  id: 'lintels',
  shown: 'bond',
  needs: ['set-out', 'gauge', 'bond'],
  work: () => ({}),
  issues: (_, work) => lintelIssues(work),
  figures: (work, run) => (run === null ? figuresNamed(WORKINGS, Object.keys(WORKINGS), work) : []),
  working: (work, figure) => WORKINGS[figure]?.(work) ?? null,
  shapes: (work, run) =>
    lintelsPlaced(work).flatMap((l) =>
      l.opening.run === run && l.height !== null && l.leaf !== 1
        ? [rect('lintel', l.from, l.opening.head, l.to - l.from, l.height, l.opening.id)]
        : [],
    ),
  section: (work, run, at) =>
    lintelsPlaced(work).flatMap((l) => {
      if (l.opening.run !== run || l.height === null || l.from >= at || l.to <= at) return [];
      const { head } = l.opening;
      const leaves = leavesToCarry(work).filter((leaf) => l.leaf === null || l.leaf === leaf.index);
      return leaves.map((leaf) => rect('lintel', leaf.offset, head, leaf.thickness, l.height as number));
    }),
  lists: (work) => [openingList(work)],
  papers: [{ kind: 'lintels', name: SAYS['lintels-name'](), over: 'wall', sheet: lintelsSheet }],
});
