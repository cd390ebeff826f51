import { solveGauge } from '../../stages/gauge/solve.js';
import type { Walling } from '../walling.js';
import { pieceColumns } from './columns.js';
import { unitFigures, unitMaterials } from './counting/figures.js';
import { talliesOf } from './counting/ofWall.js';
import { unitWorking } from './counting/workings.js';
import { featureIssues } from './judging/featureIssues.js';
import { bondIssues } from './judging/issues.js';
import { outlineIssues } from './judging/outlineIssues.js';
import { teeIssues } from './judging/teeIssues.js';
import { begun } from './laying/begin.js';
import { faceWall, leavesOf } from './leaves/leavesOf.js';

/** Walls of equal units in courses: block, brick, adobe. */
export const units: Walling = {
  kind: 'units',
  levels: solveGauge,
  lay: (job, stated, gauge, weigh, before) => {
    const { chosen, ways } = begun(
      faceWall(stated),
      gauge.courses,
      gauge.count,
      weigh ? (way) => weigh({ ...way, gauge }) : undefined,
      before && { courses: before.gauge.courses, level: before.gauge.count, ways: before.ways },
    );
    const { start, corners } = chosen.wall;
    const face = { wall: { ...stated, start, corners }, gauge, runs: chosen.runs };
    return { ...face, ways, leaves: leavesOf(job, face, before?.leaves) };
  },
  issues: (job, laid) => [
    ...teeIssues(job, laid.wall, laid.gauge),
    ...bondIssues(laid),
    ...featureIssues(laid.wall, laid.gauge, laid.runs),
    ...outlineIssues(laid.wall, laid.gauge, laid.runs),
  ],
  pieces: pieceColumns,
  count: talliesOf,
  figures: unitFigures,
  working: unitWorking,
  materials: unitMaterials,
};
