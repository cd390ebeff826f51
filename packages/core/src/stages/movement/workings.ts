import type { BondWork } from '../bond/stage.js';
import { count, length, type Workings } from '../figure.js';
import type { GaugeWork } from '../gauge/stage.js';
import { jointAmounts, slipTiePitch, type JointAmounts } from './amounts.js';

type Work = GaugeWork & BondWork;

const joints = (p: Work): JointAmounts => jointAmounts(p.wall, p.gauge.courses, p.gauge.count);

/** How the figures of movement joints come about. */
export const MOVEMENT_WORKINGS: Workings<Work> = {
  'joints.sealant': (p) => ({
    title: 'Sealant in movement joints',
    formula: '2 faces × height of each joint',
    inputs: [count('joints', joints(p).count, 'those that stand, not those refused')],
    result: joints(p).sealant * 1000,
    quantity: 'length',
    source: 'geometry; depth half the width, at least ¼ in (NCMA TEK 10-2C, from memory)',
  }),
  'joints.filler': (p) => ({
    title: 'Filler in movement joints',
    formula: 'height × thickness of the wall',
    inputs: [count('joints', joints(p).count, 'those that stand')],
    result: joints(p).filler,
    quantity: 'area',
    source: 'geometry',
  }),
  'joints.ties': (p) => ({
    title: 'Ties that slip, across movement joints',
    formula: 'Σ height ÷ pitch, rounded up for each joint',
    inputs: [
      count('joints', joints(p).count, 'those that stand'),
      length(
        'pitch',
        slipTiePitch(p.wall),
        'AD A 2C8 and PD 6697: 300 mm; 16 in: common practice; from memory',
      ),
    ],
    result: joints(p).ties,
    quantity: 'count',
    source: 'common practice',
  }),
};
