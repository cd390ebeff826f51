import type { Kilograms } from '../../measure/length.js';
import { carried } from '../../walling/units/leaves/leaf.js';
import { count, length, type Workings } from '../figure.js';
import { BED_PIECE, bedLap } from './horizontal.js';
import type { SteelStageWork } from './work.js';
import { schedule } from './steel.js';
import { HOW } from '../workingMessages.js';

type Work = SteelStageWork;

const uprights = (p: Work): number => p.steel.verticals.reduce((n, v) => n + v.bars.length, 0);

/** All bars by weight, kg. */
export const steelMass = (p: Work): Kilograms =>
  p.wall.steel ? schedule(carried(p).wall, p.steel).reduce((s, l) => s + l.mass, 0) : 0;

/** Straps round corners, one every so many courses. */
export const cornerStraps = (p: Work): number =>
  p.wall.steel?.straps
    ? p.wall.line.corners.length * Math.floor(carried(p).gauge.count / p.wall.steel.straps)
    : 0;

/** How the figures of bars come about. */
export const STEEL_WORKINGS: Workings<Work> = {
  'steel.mass': (p) => {
    const lines = schedule(carried(p).wall, p.steel);
    return {
      title: HOW['bars-by-weight'](),
      formula: HOW['length-to-cut-number'](),
      inputs: [
        count(
          HOW.bars(),
          lines.reduce((s, l) => s + l.count, 0),
          HOW['the-bar-schedule'](),
        ),
        length(
          HOW['length-of-all'](),
          lines.reduce((s, l) => s + l.total, 0),
          HOW['cut-lengths-laps-and'](),
        ),
      ],
      result: steelMass(p),
      quantity: 'mass',
      source: HOW['astm-a615-or-en'](),
    };
  },
  'steel.bed': (p) => ({
    title: HOW['reinforcement-in-the-beds'](),
    formula: HOW['stretches-of-each-reinforced'](),
    inputs: [
      count(HOW.beds(), p.steel.bed?.courses ?? 0, HOW['over-every-so-many']()),
      length(HOW['in-the-wall'](), (p.steel.bed?.net ?? 0) * 1000, HOW['stretch-by-stretch-stopped']()),
      length(HOW['a-piece'](), BED_PIECE, HOW['10-ft-from-memory']()),
      length(HOW.lap(), bedLap(carried(p).wall), HOW['tms-602-art-3']()),
    ],
    result: (p.steel.bed?.withLaps ?? 0) * 1000,
    quantity: 'length',
    source: HOW['the-stretches-as-they'](),
  }),
  'steel.topTies': (p) => ({
    title: HOW['top-ties-for-uprights'](),
    formula: HOW['one-for-each-upright'](),
    inputs: [count(HOW.uprights(), uprights(p), HOW['cells-with-a-bar']())],
    result: uprights(p),
    quantity: 'count',
    source: HOW['common-practice'](),
  }),
  'steel.straps': (p) => ({
    title: HOW['corner-straps'](),
    formula: HOW['corners-courses-every-so'](),
    inputs: [
      count(HOW.corners(), p.wall.line.corners.length, HOW['the-line']()),
      count(HOW.courses(), p.gauge.count, HOW['the-gauge']()),
      count(HOW['every-so-many'](), p.wall.steel?.straps ?? 0, 'stated'),
    ],
    result: cornerStraps(p),
    quantity: 'count',
    source: HOW['common-practice'](),
  }),
};
