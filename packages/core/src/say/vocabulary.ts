import type { BondId } from '../tables/bonds.js';
import type { OpeningWord } from './said.js';

/** Bonds as they are called, on both sides of the water. */
export const BONDS_SAID: readonly (readonly [string, BondId])[] = [
  ['english garden wall bond', 'english-garden'],
  ['english garden bond', 'english-garden'],
  ['english garden wall', 'english-garden'],
  ['flemish garden wall bond', 'flemish-garden'],
  ['flemish garden bond', 'flemish-garden'],
  ['flemish garden wall', 'flemish-garden'],
  ['english bond', 'english'],
  ['flemish bond', 'flemish'],
  ['stretcher bond', 'half'],
  ['stretching bond', 'half'],
  ['running bond', 'half'],
  ['half bond', 'half'],
  ['half-bond', 'half'],
  ['third bond', 'third'],
  ['quarter bond', 'quarter'],
  ['stack bond', 'stack'],
  ['stacked bond', 'stack'],
];

export const OPENINGS_SAID: readonly (readonly [string, OpeningWord])[] = [
  ['garage door', 'garage-door'],
  ['overhead door', 'garage-door'],
  ['doorway', 'door'],
  ['door', 'door'],
  ['window', 'window'],
  ['gateway', 'gate'],
  ['gate', 'gate'],
  ['opening', 'opening'],
  ['hole', 'opening'],
];

export const NTH: readonly (readonly [string, number])[] = [
  ['first', 1],
  ['second', 2],
  ['third', 3],
  ['fourth', 4],
  ['last', -1],
];

/** Words between two things that say nothing of either. */
export const BETWEEN: readonly string[] = ['and', 'with', 'also', 'then', 'please', 'plus'];
