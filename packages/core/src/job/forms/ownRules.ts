import { number, object, optional, required, type States } from '../../statement/statement.js';
import { joint, length, text } from './basics.js';

const limits = object({ least: optional(joint), most: optional(joint) });
const factor = number(1, 10);

/** Figures of the rules that this job, or this wall, has otherwise: each stands for the profile's, with the reason. */
export const ownRules = object({
  why: required(text, 'who says so, or why'),
  bed: optional(limits, 'how thin and how thick a bed may be'),
  firstBed: optional(limits, 'the same of the first'),
  head: optional(limits, 'the same of a head joint'),
  leastPiece: optional(length, 'shorter is a sliver'),
  leastLap: optional(length),
  breakage: optional(number(0, 1), 'of what is laid, a part'),
  mortar: optional(factor, 'mortar to mix, times what the joints hold'),
  grout: optional(factor, 'grout to order, times what the cells hold'),
});
export type OwnRules = States<typeof ownRules>;
