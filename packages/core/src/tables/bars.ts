import type { Said } from '../messages/message.js';
import { INCH } from '../measure/length.js';
import { TABLE } from './messages.js';
/** Bar designations a job file may name (contract): US #3–#9, metric T8–T32. */
export const BAR_SIZES = [
  '#3',
  '#4',
  '#5',
  '#6',
  '#7',
  '#8',
  '#9',
  'T8',
  'T10',
  'T12',
  'T16',
  'T20',
  'T25',
  'T32',
] as const;
export type BarSize = (typeof BAR_SIZES)[number];

/** A reinforcing bar. Diameter and bends in mm, area mm², mass kg a metre. */
export interface Bar {
  size: BarSize;
  system: 'us' | 'metric';
  /** Its number: eighths of an inch, or millimetres. */
  number: number;
  diameter: number;
  area: number;
  kgPerM: number;
  /** Inside diameter of the least bend. */
  bend: number;
  source: Said;
}

const POUND_PER_FOOT = 0.45359237 / 0.3048;

const US_SOURCE = TABLE['astm-a615-bar-table']();
const METRIC_SOURCE = TABLE['en-10080-and-bs']();

/** Number, diameter in, area in², lb/ft. No. 9's diameter makes an inch square of it: 1.128 in. */
const US: readonly [number, number, number, number][] = [
  [3, 0.375, 0.11, 0.376],
  [4, 0.5, 0.2, 0.668],
  [5, 0.625, 0.31, 1.043],
  [6, 0.75, 0.44, 1.502],
  [7, 0.875, 0.6, 2.044],
  [8, 1.0, 0.79, 2.67],
  [9, 1.128, 1.0, 3.4],
];

/** Diameter and least scheduling radius, mm: two diameters up to 16, three and a half above. */
const METRIC: readonly [number, number][] = [
  [8, 16],
  [10, 20],
  [12, 24],
  [16, 32],
  [20, 70],
  [25, 87],
  [32, 112],
];

const STEEL_DENSITY = 7850;

export const BARS: readonly Bar[] = [
  ...US.map(([number, inch, area, weight]): Bar => ({
    size: `#${number}` as BarSize,
    system: 'us',
    number,
    diameter: inch * INCH,
    area: area * INCH * INCH,
    kgPerM: weight * POUND_PER_FOOT,
    // Six diameters to No. 8, eight above.
    bend: (number <= 8 ? 6 : 8) * inch * INCH,
    source: US_SOURCE,
  })),
  ...METRIC.map(([number, radius]): Bar => {
    const area = (Math.PI / 4) * number ** 2;
    return {
      size: `T${number}` as BarSize,
      system: 'metric',
      number,
      diameter: number,
      area,
      kgPerM: (area / 1e6) * STEEL_DENSITY,
      bend: 2 * radius,
      source: METRIC_SOURCE,
    };
  }),
];

/** The bar of a size a checked job names. */
export function barOf(size: string): Bar {
  const bar = BARS.find((b) => b.size === size);
  if (!bar) throw new TypeError(`no bar ${size} in the table`);
  return bar;
}
