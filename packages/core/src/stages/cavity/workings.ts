import type { Said } from '../../messages/message.js';
import { count, length, type Made, type Workings } from '../figure.js';
import { cavityAmounts } from './amounts.js';
import type { CavityWall } from './places.js';
import { HOW } from '../workingMessages.js';

const LEVEL = HOW['rows-in-beds-that']();

/** One figure of a cavity, with what it was counted from. */
const ofCavity =
  (
    title: Said,
    key: 'ties' | 'trayLength' | 'weeps' | 'dpc' | 'board' | 'sleeves',
    formula: Said,
    source: Said,
  ) =>
  (p: CavityWall): Made => {
    const a = cavityAmounts(p);
    const metres = key === 'trayLength' || key === 'dpc';
    return {
      title,
      formula,
      inputs: [
        count(HOW['rows-of-ties'](), a?.levels.levels.length ?? 0, LEVEL),
        count(HOW['extra-ties-at-edges'](), a?.edgeTies ?? 0, HOW['jambs-free-ends-and']()),
        count(HOW['pieces-of-the-inner'](), a?.sleeveCuts ?? 0, HOW['the-inner-leaf-own']()),
        count(HOW['trays-each-with-two'](), a?.trays ?? 0, HOW['openings-with-wall-over']()),
        length(HOW['left-clear-in-the'](), a?.clear ?? 0, HOW['its-width-less-the']()),
      ],
      result: (a?.[key] ?? 0) * (metres ? 1000 : 1),
      quantity: metres ? 'length' : key === 'board' ? 'area' : 'count',
      source,
    };
  };

/** How the figures of a cavity come about. */
export const CAVITY_WORKINGS: Workings<CavityWall> = {
  'cavity.ties': ofCavity(
    HOW['wall-ties'](),
    'ties',
    HOW['stretch-spacing-each-row'](),
    HOW['pd-6697-and-ad'](),
  ),
  'cavity.trays': ofCavity(
    HOW['cavity-trays'](),
    'trayLength',
    HOW['opening-150-mm-past'](),
    HOW['pd-6697-from-memory'](),
  ),
  'cavity.weeps': ofCavity(
    HOW['weeps-over-openings'](),
    'weeps',
    HOW['opening-450-mm-at'](),
    HOW['450-mm-common-practice'](),
  ),
  'cavity.dpc': ofCavity(
    HOW['damp-proof-course'](),
    'dpc',
    HOW['both-leaves-100-mm'](),
    HOW['laps-bs-8215-from'](),
  ),
  'cavity.sleeves': ofCavity(
    HOW['sleeves-for-air-bricks'](),
    'sleeves',
    HOW['one-for-each-air'](),
    HOW['common-practice'](),
  ),
  'cavity.board': ofCavity(
    HOW['insulation-board'](),
    'board',
    HOW['net-face-area'](),
    HOW['geometry-no-insulation-value'](),
  ),
};
