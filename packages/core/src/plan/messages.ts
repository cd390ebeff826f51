import { EDITS_ROOM } from '../job/edits/messages.js';
import type { Room } from '../messages/message.js';
import { RECORD_ROOM } from '../record/messages.js';
import { SAYING_ROOM } from '../say/messages.js';
import { LIST_ROOM } from '../stages/listMessages.js';
import { SHEETS_ROOM } from '../stages/paperMessages.js';
import { TABLES_ROOM } from '../tables/messages.js';
import { WORKINGS_ROOM } from '../stages/workingMessages.js';
import { SCENE_ROOM } from '../scene/messages.js';
import { CAVITY_ROOM } from '../stages/cavity/messages.js';
import { GAUGE_ROOM } from '../stages/gauge/messages.js';
import { GROUT_ROOM } from '../stages/grout/messages.js';
import { MUD_ROOM } from '../stages/mud/messages.js';
import { MOVEMENT_ROOM } from '../stages/movement/messages.js';
import { WEATHER_ROOM } from '../mud/weather/messages.js';
import { PAIRING_ROOM } from '../stages/pairing/messages.js';
import { GROUND_ROOM } from '../stages/ground/messages.js';
import { LINTELS_ROOM } from '../stages/lintels/messages.js';
import { RETAIN_ROOM } from '../stages/retain/messages.js';
import { EARTH_ROOM } from '../stages/earth/messages.js';
import { FRAME_ROOM } from '../stages/frame/messages.js';
import { MENDING_ROOM } from '../stages/mending/messages.js';
import { STONE_ROOM } from '../walling/stone/messages.js';
import { STANDING_ROOM } from '../stages/standing/messages.js';
import { HOLDS_ROOM } from '../stages/holdMessages.js';
import { SET_OUT_ROOM } from '../stages/set-out/messages.js';
import { STEEL_ROOM } from '../stages/steel/messages.js';
import { BOND_ROOM } from '../walling/units/judging/messages.js';

/** Every message there is, by room and name, with what it holds: what a catalogue has words for. */
export const ROOMS = {
  'set-out': SET_OUT_ROOM,
  ground: GROUND_ROOM,
  gauge: GAUGE_ROOM,
  bond: BOND_ROOM,
  steel: STEEL_ROOM,
  grout: GROUT_ROOM,
  cavity: CAVITY_ROOM,
  movement: MOVEMENT_ROOM,
  mud: MUD_ROOM,
  pairing: PAIRING_ROOM,
  weather: WEATHER_ROOM,
  lintels: LINTELS_ROOM,
  standing: STANDING_ROOM,
  earth: EARTH_ROOM,
  stone: STONE_ROOM,
  frame: FRAME_ROOM,
  mending: MENDING_ROOM,
  retain: RETAIN_ROOM,
  holds: HOLDS_ROOM,
  scene: SCENE_ROOM,
  edits: EDITS_ROOM,
  tables: TABLES_ROOM,
  record: RECORD_ROOM,
  sheets: SHEETS_ROOM,
  lists: LIST_ROOM,
  saying: SAYING_ROOM,
  workings: WORKINGS_ROOM,
} as const satisfies Record<string, Room>;

/** Words for every message: a language is one of these. */
export type Catalogue = { [R in keyof typeof ROOMS]: Record<keyof (typeof ROOMS)[R], string> };
