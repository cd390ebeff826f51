import { SHEET } from '../paperMessages.js';
import { carried, carryingLeaf, leafOnFace } from '../../walling/units/leaves/leaf.js';
import { figuresNamed } from '../figure.js';
import { stage } from '../stage.js';
import type { SteelStageWork } from '../steel/work.js';
import { fillOf } from './fill.js';
import { afterGrout, groutHolds } from './holds.js';
import { groutIssues } from './issues.js';
import { poursOf } from './pours.js';
import { poursSheet } from './poursSheet.js';
import { groutSection } from './section.js';
import { groutShapes } from './shapes.js';
import type { Grouted } from './work.js';
import { GROUT_WORKINGS } from './workings.js';

export const grout = stage<'grout', SteelStageWork, Grouted>({
  id: 'grout',
  shown: 'steel',
  of: 'units',
  needs: ['set-out', 'gauge', 'bond', 'steel'],
  work: (made, { before }) => {
    const { wall, gauge, runs } = leafOnFace(carryingLeaf(made), made);
    const fills = fillOf(wall, runs, gauge.courses, made.steel, before && carried(before));
    return { fills, pours: poursOf(wall, gauge.courses, gauge.count, made.steel, fills) };
  },
  issues: (_, work) => groutIssues(carried(work)),
  figures: (work, run) =>
    run === null && work.wall.grout ? figuresNamed(GROUT_WORKINGS, Object.keys(GROUT_WORKINGS), work) : [],
  working: (work, figure) => GROUT_WORKINGS[figure]?.(work) ?? null,
  shapes: (work, run) => groutShapes(carried(work), run),
  section: groutSection,
  holds: (work) => [...groutHolds(carried(work)), ...afterGrout(work)],
  papers: [{ kind: 'lifts', name: SHEET['lifts-name'](), over: 'run', sheet: poursSheet }],
});
