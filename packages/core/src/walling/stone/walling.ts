import type { StoneKind } from '../../job/types.js';
import { pieceColumns } from '../units/columns.js';
import type { Walling } from '../walling.js';
import { ashlarOf } from './ashlar/lay.js';
import { stoneTallies } from './counting.js';
import { stoneFace, withCopes } from './drawn/faces.js';
import { stoneFigures, stoneMaterials, stoneWorking } from './figures.js';
import { stoneIssues } from './issues/issues.js';
import { stoneLaid } from './laid.js';
import { stoneLevels } from './levels.js';

/** Walls of stone: their levels, faces and hearting. Of ashlar each stone is known, of the rest what they are set out by. */
const stone = (kind: StoneKind): Walling => ({
  kind,
  levels: stoneLevels,
  lay: (job, wall, gauge, _weigh, before) => {
    const known = kind === 'ashlar' ? ashlarOf(wall, gauge).rows : [];
    return stoneLaid(job, wall, gauge, (run) => known[run], before);
  },
  issues: stoneIssues,
  pieces: (laid, run) =>
    kind === 'ashlar'
      ? withCopes(laid.wall, laid.gauge, run, pieceColumns(laid, run))
      : stoneFace(laid.wall, laid.gauge, run),
  count: stoneTallies,
  figures: stoneFigures,
  working: stoneWorking,
  materials: stoneMaterials,
});

export const rubble = stone('rubble');
export const squared = stone('squared');
export const ashlar = stone('ashlar');
export const dry = stone('dry');
