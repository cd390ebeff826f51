import { BOND_WEIGHTS, GAUGE_WEIGHTS } from '../../tables/weights.js';
import { number, object, optional, type Stating } from '../../statement/statement.js';

const weight = optional(number(0, 1_000_000));

/** A weight for each name of a table, each of which may be left out. */
const table = <T extends object>(weights: T): Stating<{ [K in keyof T]?: number }> =>
  object(Object.fromEntries(Object.keys(weights).map((name) => [name, weight])));

export const weights = object({
  bond: optional(table(BOND_WEIGHTS)),
  gauge: optional(table(GAUGE_WEIGHTS)),
});
