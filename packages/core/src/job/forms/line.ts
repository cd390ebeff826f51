import {
  byKey,
  lengthOf,
  number,
  object,
  optional,
  required,
  type States,
} from '../../statement/statement.js';
import { LIMITS } from '../limits.js';
import { id, text } from './basics.js';

const run = object({
  run: required(lengthOf('above-zero', { most: LIMITS.run, is: { along: 'run' } }), 'length of the run'),
  id: optional(id('run')),
  name: optional(text),
});
const turn = object({ turn: required(number(-180, 180), 'degrees, left positive') });
const arc = object({
  arc: required(lengthOf('above-zero', { most: LIMITS.run }), 'radius'),
  sweep: required(number(-360, 360), 'degrees, left positive'),
  id: optional(id('run')),
  name: optional(text),
});
export const lineItem = byKey({ run, turn, arc });

export type RunItem = States<typeof run>;
export type TurnItem = States<typeof turn>;
export type ArcItem = States<typeof arc>;
export type LineItem = States<typeof lineItem>;

export const isRun = (item: LineItem): item is RunItem => 'run' in item;
export const isTurn = (item: LineItem): item is TurnItem => 'turn' in item;
export const isArc = (item: LineItem): item is ArcItem => 'arc' in item;
