import type { Texts } from '../texts.js';
import { bond } from './bond.js';
import { edits } from './edits.js';
import { gauge } from './gauge.js';
import { ground, setOut } from './ground.js';
import { holds } from './holds.js';
import { lintels } from './lintels.js';
import { cavity, earth, grout, movement, retain, standing } from './rest.js';
import { stone } from './stone.js';
import { frame } from './frame.js';
import { mending } from './mending.js';
import { screens } from './screens/index.js';
import { lists } from './lists.js';
import { saying } from './saying.js';
import { mud, pairing } from './mud.js';
import { scene } from './scene.js';
import { record } from './record.js';
import { sheets } from './sheets.js';
import { weather } from './weather.js';
import { tables } from './tables.js';
import { workings } from './workings.js';
import { steel } from './steel.js';

/** In the words crews use on site. Written by us and wanting a native mason’s eye. */
export const es: Texts = {
  ...screens,
  'set-out': setOut,
  ground,
  gauge,
  bond,
  steel,
  grout,
  cavity,
  movement,
  lintels,
  mud,
  pairing,
  weather,
  standing,
  earth,
  stone,
  frame,
  mending,
  retain,
  holds,
  scene,
  lists,
  saying,
  edits,
  tables,
  workings,
  record,
  sheets,
};

/** How its texts come where they are not there yet; null where they are. A page that begins without them is built so. */
export const spanish: { load: (() => Promise<void>) | null } = { load: null };
