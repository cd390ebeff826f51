import type { Said } from '../../messages/message.js';
import { count, factor, length, type Made, type Workings } from '../figure.js';
import { cavityAmounts } from './amounts.js';
import type { CavityWall } from './places.js';
import { wallTies } from './ties.js';
import { HOW } from '../workingMessages.js';

const LEVEL = HOW['rows-in-beds-that']();

/** One figure of a cavity, with what it was counted from. */
const ofCavity =
  (
    title: Said,
    key: 'trayLength' | 'weeps' | 'dpc' | 'dpcUp' | 'board' | 'sleeves',
    formula: Said,
    source: Said,
  ) =>
  (p: CavityWall): Made => {
    const a = cavityAmounts(p);
    const metres = key === 'trayLength' || key === 'dpc' || key === 'dpcUp';
    return {
      title,
      formula,
      inputs: [
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
  'cavity.ties': (p) => {
    const t = wallTies(p);
    const edge = t?.ties.filter((one) => one.edge).length ?? 0;
    return {
      title: HOW['wall-ties'](),
      formula: HOW['stretch-spacing-each-row'](),
      inputs: [
        count(HOW['rows-of-ties'](), t?.levels.levels.length ?? 0, LEVEL),
        factor(HOW['ties-to-a-square-metre'](), t?.perM2 ?? 0, HOW['field-over-net-face']()),
        factor(HOW['ties-asked-to-a-square-metre'](), t ? 1 / t.rule.area : 0, t?.rule.source ?? ''),
        length(HOW['apart-along'](), t?.along ?? 0, HOW['rule-at-most']({ most: t?.rule.along ?? 0 })),
        length(HOW['apart-up'](), t?.up ?? 0, HOW['rule-at-most']({ most: t?.rule.up ?? 0 })),
        count(HOW['extra-ties-at-edges'](), edge, HOW['jambs-free-ends-and']()),
      ],
      result: t?.ties.length ?? 0,
      quantity: 'count',
      source: t?.rule.source ?? '',
    };
  },
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
  'cavity.dpcUp': ofCavity(
    HOW['dpc-up-jambs-and-under-sills'](),
    'dpcUp',
    HOW['two-jambs-and-a-sill'](),
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
