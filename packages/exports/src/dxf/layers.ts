import type { Role } from '@even-tally/core';

/** A layer of the drawing: its name, and its colour by number as drawings have them (1 red … 7 black or white). */
export interface DxfLayer {
  name: string;
  colour: number;
}

const layer = (name: string, colour: number): DxfLayer => ({ name, colour });

export const UNITS = layer('units', 8);
export const SAWN = layer('units-sawn', 30);

const FOOTING = layer('footing', 9);
const OPENINGS = layer('openings', 5);
const BARS = layer('bars', 1);
const GROUT = layer('grout', 150);
const JOINTS = layer('movement-joints', 6);
const CAVITY = layer('cavity', 4);
const PLAN = layer('plan', 7);
const DIMENSIONS = layer('dimensions', 3);
const NAMES = layer('names', 7);

/** The layer each role lies on. What has none is for reading the wall by, not for building on, and is left out. */
export const LAYERS: Partial<Record<Role, DxfLayer>> = {
  footing: FOOTING,
  'footing-plan': layer('footing-plan', 9),
  opening: OPENINGS,
  'opening-plan': OPENINGS,
  lintel: layer('lintels', 7),
  'opening-name': NAMES,
  vent: OPENINGS,
  grout: GROUT,
  'pour-end': GROUT,
  bar: BARS,
  'bar-inside': BARS,
  'beam-bar': BARS,
  'bed-steel': layer('bed-reinforcement', 1),
  'movement-joint': JOINTS,
  dpc: CAVITY,
  sleeve: CAVITY,
  tie: layer('ties', 2),
  'edge-tie': layer('ties', 2),
  tray: CAVITY,
  weep: CAVITY,
  'wall-plan': PLAN,
  'run-name': NAMES,
  'wall-name': NAMES,
  dimension: DIMENSIONS,
  'dimension-name': DIMENSIONS,
};

export const ALL_LAYERS: readonly DxfLayer[] = [UNITS, SAWN, ...Object.values(LAYERS)].filter(
  (l, i, all) => all.findIndex((m) => m.name === l.name) === i,
);
