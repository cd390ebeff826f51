import type { StoneKind } from '../job/types.js';
import type { BondId } from '../tables/bonds.js';
import type { SaidLength } from './tokens.js';

/** What an opening is called when it has no other name. */
export type OpeningWord = 'door' | 'window' | 'opening' | 'gate' | 'garage-door';

/** An opening of the wall that is spoken of: its name, or the kind and which of them, counted from the start. */
export interface OpeningSaid {
  word: OpeningWord | null;
  name: string | null;
  nth: number | null;
}

/** Where along its run: so far from its start, from its end, or in the middle. */
export type PlaceSaid = { from: 'start' | 'end'; length: SaidLength } | { from: 'middle' };

export type Side = 'left' | 'right' | 'up' | 'down';

/** One thing said of a wall. Lengths as they were said. */
export type Saying =
  | { is: 'size'; long: SaidLength; high: SaidLength }
  | { is: 'long'; long: SaidLength }
  | { is: 'high'; high: SaidLength }
  | { is: 'building'; long: SaidLength; wide: SaidLength }
  | { is: 'turn'; way: 'left' | 'right'; then: SaidLength }
  | {
      is: 'unit';
      unit: string;
      wythes: 1 | 2 | null;
      /** The profile of who speaks of it so, where it says one. */
      of: 'us' | 'uk' | 'earth' | null;
    }
  | { is: 'stone'; kind: StoneKind; stone: string | null }
  | { is: 'cavity'; width: SaidLength | null }
  | { is: 'bond'; bond: BondId }
  | {
      is: 'opening';
      word: OpeningWord;
      name: string | null;
      width: SaidLength;
      high: SaidLength | null;
      at: PlaceSaid;
      run: number | null;
    }
  | { is: 'sill'; of: OpeningSaid | null; at: SaidLength }
  | { is: 'opening-head'; of: OpeningSaid | null; at: SaidLength }
  | { is: 'bars'; bar: string; every: SaidLength }
  | { is: 'beam'; course: 'top' | 'over-openings' | number; bar: string | null; count: number }
  | { is: 'no-bars' }
  | { is: 'grout'; fill: 'steel' | 'all' | 'none' }
  | { is: 'held'; held: 'free-standing' | 'floors' | 'soil' | 'drawing' }
  | { is: 'retains'; high: SaidLength }
  | { is: 'joints'; every: SaidLength }
  | { is: 'bed'; joint: SaidLength }
  | { is: 'head'; joint: SaidLength }
  | { is: 'corners'; corners: 'in-turn' | 'in-pairs' }
  | { is: 'start'; start: 'whole' | 'half' }
  | { is: 'called'; name: string }
  // What only changes a wall that stands
  | { is: 'shift'; of: OpeningSaid; side: Side; by: SaidLength }
  | { is: 'place'; of: OpeningSaid; at: PlaceSaid }
  | {
      is: 'resize';
      of: OpeningSaid;
      what: 'width' | 'height';
      to: SaidLength | null;
      by: SaidLength | null;
      sign: 1 | -1;
    }
  | { is: 'lift'; part: 'sill' | 'head' | 'wall'; of: OpeningSaid | null; by: SaidLength; sign: 1 | -1 }
  | { is: 'grow'; by: SaidLength; sign: 1 | -1 }
  | { is: 'remove'; of: OpeningSaid };
