import type { BondWork } from '../bond/stage.js';
import { count, length, type Workings } from '../figure.js';
import type { GaugeWork } from '../gauge/stage.js';
import { jointAmounts, slipTiePitch, type JointAmounts } from './amounts.js';
import { HOW } from '../workingMessages.js';

type Work = GaugeWork & BondWork;

const joints = (p: Work): JointAmounts => jointAmounts(p.wall, p.gauge.courses, p.gauge.count);

/** How the figures of movement joints come about. */
export const MOVEMENT_WORKINGS: Workings<Work> = {
  'joints.sealant': (p) => ({
    title: HOW['sealant-in-movement-joints'](),
    formula: HOW['2-faces-height-of'](),
    inputs: [count(HOW.joints(), joints(p).count, HOW['those-that-stand-not']())],
    result: joints(p).sealant * 1000,
    quantity: 'length',
    source: HOW['geometry-depth-half-the'](),
  }),
  'joints.filler': (p) => ({
    title: HOW['filler-in-movement-joints'](),
    formula: HOW['height-thickness-of-the'](),
    inputs: [count(HOW.joints(), joints(p).count, HOW['those-that-stand']())],
    result: joints(p).filler,
    quantity: 'area',
    source: HOW.geometry(),
  }),
  'joints.ties': (p) => ({
    title: HOW['ties-that-slip-across'](),
    formula: HOW['height-pitch-rounded-up'](),
    inputs: [
      count(HOW.joints(), joints(p).count, HOW['those-that-stand']()),
      length(HOW.pitch(), slipTiePitch(p.wall), HOW['ad-a-2c8-and']()),
    ],
    result: joints(p).ties,
    quantity: 'count',
    source: HOW['common-practice'](),
  }),
};
