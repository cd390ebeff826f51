import type { Kilograms } from '../../measure/length.js';
import { carried } from '../../walling/units/leaves/leaf.js';
import { count, length, type Workings } from '../figure.js';
import { BED_PIECE, bedLap } from './horizontal.js';
import type { SteelStageWork } from './work.js';
import { schedule } from './steel.js';

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
      title: 'Bars, by weight',
      formula: 'Σ length to cut × number × mass a metre',
      inputs: [
        count(
          'bars',
          lines.reduce((s, l) => s + l.count, 0),
          'the bar schedule',
        ),
        length(
          'length of all',
          lines.reduce((s, l) => s + l.total, 0),
          'cut lengths, laps and hooks in them',
        ),
      ],
      result: steelMass(p),
      quantity: 'mass',
      source: 'ASTM A615 or EN 10080 bar table, from memory',
    };
  },
  'steel.bed': (p) => ({
    title: 'Reinforcement in the beds',
    formula: 'Σ stretches of each reinforced bed + a lap for every piece after the first',
    inputs: [
      count('beds', p.steel.bed?.courses ?? 0, 'over every so many courses, the last left out'),
      length(
        'in the wall',
        (p.steel.bed?.net ?? 0) * 1000,
        'stretch by stretch, stopped at joints and openings',
      ),
      length('a piece', BED_PIECE, '10 ft, from memory'),
      length('lap', bedLap(carried(p).wall), 'TMS 602 Art. 3.4 B: 6 in; 225 mm in the UK; from memory'),
    ],
    result: (p.steel.bed?.withLaps ?? 0) * 1000,
    quantity: 'length',
    source: 'the stretches as they are laid',
  }),
  'steel.topTies': (p) => ({
    title: 'Top ties for uprights',
    formula: 'one for each upright, so that a bar dropped in hangs plumb',
    inputs: [count('uprights', uprights(p), 'cells with a bar')],
    result: uprights(p),
    quantity: 'count',
    source: 'common practice',
  }),
  'steel.straps': (p) => ({
    title: 'Corner straps',
    formula: 'corners × courses ÷ every so many, rounded down',
    inputs: [
      count('corners', p.wall.line.corners.length, 'the line'),
      count('courses', p.gauge.count, 'the gauge'),
      count('every so many', p.wall.steel?.straps ?? 0, 'stated'),
    ],
    result: cornerStraps(p),
    quantity: 'count',
    source: 'common practice',
  }),
};
