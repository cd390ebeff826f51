import { behindCavity } from '../../walling/units/leaves/leaf.js';
import type { BondWork } from '../bond/stage.js';
import { figuresNamed } from '../figure.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { SetOutWork } from '../set-out/stage.js';
import { stage } from '../stage.js';
import { tiesAbove } from './above.js';
import { cavityIssues } from './issues.js';
import { wallTies } from './ties.js';
import { cavitySection } from './section.js';
import { cavityShapes } from './shapes.js';
import { CAVITY_WORKINGS } from './workings.js';

/** What goes across a cavity and into it. It follows from the leaves whenever it is asked for: nothing is worked out here. */
export const cavity = stage<'cavity', SetOutWork & GaugeWork & BondWork, object>({
  id: 'cavity',
  shown: 'steel',
  needs: ['set-out', 'gauge', 'bond'],
  work: () => ({}),
  issues: (_, work) => cavityIssues(work),
  figures: (work, run) =>
    run === null && (behindCavity(work) || wallTies(work))
      ? figuresNamed(CAVITY_WORKINGS, Object.keys(CAVITY_WORKINGS), work)
      : [],
  working: (work, figure) => CAVITY_WORKINGS[figure]?.(work) ?? null,
  shapes: cavityShapes,
  above: tiesAbove,
  section: cavitySection,
});
