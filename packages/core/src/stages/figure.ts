import { sayMass, sayMm, showArea, showVolume, type Show } from '../measure/format.js';
import type { Said } from '../messages/message.js';

/** What a figure is measured in: counts, or mm, m², m³, kg; a factor has no measure, and text is said as it stands. */
export type Quantity = 'count' | 'length' | 'area' | 'volume' | 'mass' | 'factor' | 'text';

export interface WorkingInput {
  name: Said;
  value: number | string;
  quantity: Quantity;
  source: Said;
}

/** How a figure comes about: plain data, so that it crosses workers and files. SI units: mm, m², m³. */
export interface Working {
  key: string;
  title: Said;
  formula: Said;
  inputs: WorkingInput[];
  result: number;
  quantity: Quantity;
  source: Said;
}

/** A working before it is known where its figure stands. */
export type Made = Omit<Working, 'key'>;

/** How each figure of a stage comes about, by its name. */
export type Workings<W> = Record<string, (work: W) => Made>;

/** A figure that opens into its working. Values mm, m², m³, kg or counts. */
export interface Figure {
  /** In a stage its name alone; on a sheet `<wall id>/<run number or "wall">/<name>`. */
  key: string;
  name: Said;
  value: number;
  quantity: 'count' | 'length' | 'volume' | 'area' | 'mass';
}

/** A line of what a wall takes, as it is filed: of which run, what, in which unit, how many laid and how many to order. */
export interface MaterialRow {
  run: string;
  what: Said;
  unit: Said;
  net: number;
  order: number | '';
  measure: Said;
}

const measured =
  (quantity: Quantity) =>
  (name: Said, value: number, source: Said): WorkingInput => ({ name, value, quantity, source });
export const count = measured('count');
export const volume = measured('volume');
export const length = measured('length');
export const factor = measured('factor');
export const area = measured('area');

/** The figures of workings asked for by name, those that come to nothing left out. */
export const figuresNamed = <W>(workings: Workings<W>, names: readonly string[], work: W): Figure[] =>
  names.flatMap((key) => {
    const made = workings[key]?.(work);
    if (!made || made.result <= 0) return [];
    return [{ key, name: made.title, value: made.result, quantity: made.quantity as Figure['quantity'] }];
  });

/** What a figure is measured in where it is filed. */
export const MEASURES: Record<Figure['quantity'], string> = {
  volume: 'm3',
  area: 'm2',
  length: 'mm',
  mass: 'kg',
  count: 'pieces',
};

/** A value as it is said in its measure: counts as they are, lengths and amounts as they are shown. */
export function sayQuantity(value: number, is: Quantity, show: Show): string {
  switch (is) {
    case 'volume':
      return showVolume(value, show);
    case 'area':
      return showArea(value, show);
    case 'mass':
      return sayMass(value, show);
    case 'length':
      return sayMm(value, show);
    default:
      return String(value);
  }
}
