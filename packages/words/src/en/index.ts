import type { Catalogue } from '@even-tally/core';
import { bond } from './bond.js';
import { gauge } from './gauge.js';
import { cavity, grout, movement, retain } from './rest.js';
import { steel } from './steel.js';

export const en: Catalogue = { gauge, bond, steel, grout, cavity, movement, retain };
