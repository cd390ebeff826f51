import { SHEET } from '../paperMessages.js';
import { carried, carryingLeaf, leafOnFace } from '../../walling/units/leaves/leaf.js';
import type { FaceLaid } from '../../walling/units/leaves/leavesOf.js';
import { figuresNamed } from '../figure.js';
import { stage } from '../stage.js';
import { steelAbove } from './above.js';
import { barsSheet } from './barsSheet.js';
import { carriesIssue } from './carriesIssue.js';
import { steelCost } from './cost.js';
import { barList } from './list.js';
import { concreteHold } from './holds.js';
import { steelIssues } from './issues.js';
import { steelSection } from './section.js';
import { steelShapes } from './shapes.js';
import { startersSheet } from './startersSheet.js';
import { steelOf, type SteelWork } from './steel.js';
import type { BeforeSteel, Steeled, SteelStageWork } from './work.js';
import { STEEL_WORKINGS } from './workings.js';

/** Bars in a leaf, given in places of the face. What an edit left alone is taken over. */
function steelIn({ wall, gauge, runs }: FaceLaid, before: SteelStageWork | null): SteelWork {
  const was = before && carried(before);
  return steelOf(
    wall,
    runs,
    gauge.courses,
    gauge.count,
    was && {
      wall: was.wall,
      runs: was.runs,
      courses: was.gauge.courses,
      cells: was.steel.cells,
      verticals: was.steel.verticals,
      beams: was.steel.beams,
    },
  );
}

const asked = (work: BeforeSteel): string[] => (work.wall.steel ? Object.keys(STEEL_WORKINGS) : []);

export const steel = stage<'steel', BeforeSteel, Steeled>({
  id: 'steel',
  shown: 'steel',
  of: 'units',
  needs: ['set-out', 'gauge', 'bond'],
  // Bars that cannot go up cost a beginning as much as they cost a mason: where the face has them.
  weighs: {
    asks: (wall) =>
      (wall.steel?.vertical ?? null) !== null && wall.unit.shells !== null && wall.carries === 'outer',
    cost: (face, before) => {
      const own = steelIn(face, before);
      return { cost: steelCost(face.wall, own).total, own: { steel: own } };
    },
  },
  work: (made, { before, tried }) =>
    (tried(made.runs) as Steeled | undefined) ?? {
      steel: steelIn(leafOnFace(carryingLeaf(made), made), before),
    },
  issues: (job, work) => [...carriesIssue(job, work), ...steelIssues(carried(work))],
  figures: (work, run) => (run === null ? figuresNamed(STEEL_WORKINGS, asked(work), work) : []),
  working: (work, figure) => STEEL_WORKINGS[figure]?.(work) ?? null,
  shapes: (work, run) => steelShapes(carried(work), run),
  above: steelAbove,
  section: steelSection,
  holds: (work) => concreteHold(carried(work)),
  lists: (work) => [barList(work)],
  papers: [
    { kind: 'starters', name: SHEET['starters-name'](), over: 'run', sheet: startersSheet },
    {
      kind: 'bars',
      name: SHEET['bars-name'](),
      over: 'wall',
      sheet: (job, work, _run, show, say) => barsSheet(job, work, show, say),
    },
  ],
});
