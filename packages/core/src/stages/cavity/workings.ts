import { count, length, type Made, type Workings } from '../figure.js';
import { cavityAmounts } from './amounts.js';
import type { CavityWall } from './places.js';

const LEVEL = 'rows in beds that lie level in both leaves';

/** One figure of a cavity, with what it was counted from. */
const ofCavity =
  (
    title: string,
    key: 'ties' | 'trayLength' | 'weeps' | 'dpc' | 'board' | 'sleeves',
    formula: string,
    source: string,
  ) =>
  (p: CavityWall): Made => {
    const a = cavityAmounts(p);
    const metres = key === 'trayLength' || key === 'dpc';
    return {
      title,
      formula,
      inputs: [
        count('rows of ties', a?.levels.levels.length ?? 0, LEVEL),
        count(
          'extra ties at edges',
          a?.edgeTies ?? 0,
          'jambs, free ends and movement joints, in level beds up to 300 mm apart',
        ),
        count(
          'pieces of the inner leaf cut round sleeves',
          a?.sleeveCuts ?? 0,
          'the inner leaf’s own courses',
        ),
        count('trays, each with two stop ends', a?.trays ?? 0, 'openings with wall over them'),
        length('left clear in the cavity', a?.clear ?? 0, 'its width less the board'),
      ],
      result: (a?.[key] ?? 0) * (metres ? 1000 : 1),
      quantity: metres ? 'length' : key === 'board' ? 'area' : 'count',
      source,
    };
  };

/** How the figures of a cavity come about. */
export const CAVITY_WORKINGS: Workings<CavityWall> = {
  'cavity.ties': ofCavity(
    'Wall ties',
    'ties',
    'Σ stretch ÷ spacing, each row + extra at edges',
    'PD 6697 and AD A 2C8, from memory',
  ),
  'cavity.trays': ofCavity(
    'Cavity trays',
    'trayLength',
    'Σ opening + 150 mm past each jamb',
    'PD 6697, from memory',
  ),
  'cavity.weeps': ofCavity(
    'Weeps over openings',
    'weeps',
    'opening ÷ 450 mm, at least two each',
    '450 mm: common practice; two: PD 6697, from memory',
  ),
  'cavity.dpc': ofCavity(
    'Damp-proof course',
    'dpc',
    'both leaves, 100 mm laps on 8 m rolls',
    'laps BS 8215, from memory; rolls common practice',
  ),
  'cavity.sleeves': ofCavity(
    'Sleeves for air bricks, through the cavity',
    'sleeves',
    'one for each air brick and vent; the inner leaf is cut round it',
    'common practice',
  ),
  'cavity.board': ofCavity(
    'Insulation board',
    'board',
    'net face area',
    'geometry; no insulation value is worked out',
  ),
};
