import type { Catalogue } from '@even-tally/core';
import { bond } from './bond.js';
import { gauge } from './gauge.js';
import { ground, setOut } from './ground.js';
import { holds } from './holds.js';
import { cavity, grout, movement, retain } from './rest.js';
import { scene } from './scene.js';
import { steel } from './steel.js';

export const en: Catalogue = {
  'set-out': setOut,
  ground,
  gauge,
  bond,
  steel,
  grout,
  cavity,
  movement,
  retain,
  holds,
  scene,
};
