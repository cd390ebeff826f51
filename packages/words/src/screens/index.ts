import { AT_SET_OUT_SAYS } from './at-set-out.js';
import { AT_GAUGE_SAYS } from './at-gauge.js';
import { AT_BOND_SAYS } from './at-bond.js';
import { AT_STONE_SAYS } from './at-stone.js';
import { AT_STEEL_SAYS } from './at-steel.js';
import { AT_MUD_SAYS } from './at-mud.js';
import { AT_TALLY_SAYS } from './at-tally.js';
import { DOOR_SAYS } from './door.js';
import { YARD_SAYS } from './yard.js';
import { UI_SAYS } from './ui.js';
import { BENCH_SAYS } from './bench.js';
import { BEGIN_SAYS } from './begin.js';
import { PAPER_SAYS } from './paper.js';
import { KEEPING_SAYS } from './keeping.js';
import { SERVER_SAYS } from './server.js';
import { PLAN_TEXT_SAYS } from './plan-text.js';
import { declaredIn, englishOf, type Screen } from './screen.js';
import type { Room } from '@even-tally/core';

export { AT_SET_OUT } from './at-set-out.js';
export { AT_GAUGE } from './at-gauge.js';
export { AT_BOND } from './at-bond.js';
export { AT_STONE } from './at-stone.js';
export { AT_STEEL } from './at-steel.js';
export { AT_MUD } from './at-mud.js';
export { AT_TALLY } from './at-tally.js';
export { DOOR } from './door.js';
export { YARD } from './yard.js';
export { UI } from './ui.js';
export { SERVER } from './server.js';
export { PLAN_TEXT } from './plan-text.js';
export { BENCH } from './bench.js';
export { BEGIN } from './begin.js';
export { PAPER } from './paper.js';
export { KEEPING } from './keeping.js';

/** What every screen says, by room. */
export const SCREENS = {
  'at-set-out': AT_SET_OUT_SAYS,
  'at-gauge': AT_GAUGE_SAYS,
  'at-bond': AT_BOND_SAYS,
  'at-stone': AT_STONE_SAYS,
  'at-steel': AT_STEEL_SAYS,
  'at-mud': AT_MUD_SAYS,
  'at-tally': AT_TALLY_SAYS,
  door: DOOR_SAYS,
  yard: YARD_SAYS,
  ui: UI_SAYS,
  server: SERVER_SAYS,
  'plan-text': PLAN_TEXT_SAYS,
  bench: BENCH_SAYS,
  begin: BEGIN_SAYS,
  paper: PAPER_SAYS,
  keeping: KEEPING_SAYS,
} as const satisfies Record<string, Screen>;

/** What a language has to word of the screens. */
export type ScreenTexts = { [R in keyof typeof SCREENS]: Record<keyof (typeof SCREENS)[R], string> };

const of = <T>(what: (screen: Screen) => T): Record<string, T> =>
  Object.fromEntries(Object.entries(SCREENS).map(([room, screen]) => [room, what(screen)]));

export const SCREEN_ROOMS: Record<string, Room> = of(declaredIn);
export const SCREENS_IN_ENGLISH = of(englishOf) as ScreenTexts;
