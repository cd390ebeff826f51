import { BOND_WEIGHTS, GAUGE_WEIGHTS } from '../../tables/weights.js';
import { optional, type Shape } from '../shape.js';

const weight: Shape = { kind: 'number', least: 0, most: 1_000_000 };

const table = (names: readonly string[]): Shape => ({
  kind: 'object',
  keys: Object.fromEntries(names.map((name) => [name, optional(weight)])),
});

export const weights: Shape = {
  kind: 'object',
  keys: {
    bond: optional(table(Object.keys(BOND_WEIGHTS))),
    gauge: optional(table(Object.keys(GAUGE_WEIGHTS))),
  },
};
