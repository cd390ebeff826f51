import { overlapOf, stepEdges } from './steps.js';
import type { SetWall } from './wall.js';

/** A strip footing under one wall, mm. */
export interface Strip {
  width: number;
  depth: number;
  /** How far it goes on past a free end of the wall. */
  past: number;
  /** Depth of the trench from the ground to its bottom. */
  trench: number;
}

export interface FootingAmounts {
  /** Length along its centre line, corners counted once, m. */
  length: number;
  /** Concrete as it stands, m³. */
  concrete: number;
  /** Soil in the ground, and as it lies heaped, m³. */
  dug: number;
  spoil: number;
  /** Both sides and the ends, m². */
  shutters: number;
  /** Of the concrete, what the upper lengths take going on over the lower where the footing steps, m³. */
  overlaps: number;
  /** Projection past the wall's face, mm. */
  projection: number;
}

/** Concrete used over what is in the footing: waste in trenches and barrows, common practice. */
export const CONCRETE_FACTOR = 1.05;

/** Soil heaps up when it is dug: common practice for mixed soil, 20 to 30 %. */
export const BULKING = 1.25;

/**
 * Quantities of a strip footing centred under a wall. Length runs on the centre line: an outside corner takes one
 * wall thickness off the outside faces, an inside one gives it back, so concrete in the corner is counted once.
 */
export function footingAmounts(wall: SetWall, strip: Strip): FootingAmounts {
  const thickness = wall.cavity?.overall ?? wall.thickness;
  const outside = wall.runs.reduce((sum, r) => sum + r.length, 0);
  const turns = wall.line.corners.reduce((sum, c) => sum + c.turn / 90, 0);
  const free = wall.line.closed ? 0 : 2;
  const length = outside - turns * thickness + free * strip.past;
  const pitch = wall.unitHeight + wall.bed;
  const over = stepEdges(wall, (up) => up * pitch).reduce(
    (sum, e) => sum + overlapOf(Math.abs(e.right - e.left), strip.depth),
    0,
  );
  const overlaps = (over * strip.width * strip.depth) / 1e9;
  return {
    length: length / 1000,
    concrete: (length * strip.width * strip.depth) / 1e9 + overlaps,
    overlaps,
    dug: (length * strip.width * strip.trench) / 1e9,
    spoil: ((length * strip.width * strip.trench) / 1e9) * BULKING,
    shutters: (2 * (length + (free > 0 ? strip.width : 0)) * strip.depth) / 1e6,
    projection: (strip.width - thickness) / 2,
  };
}

export interface BagsState {
  /** Bags the whole footing takes, how deep what is in stands, and what is still to go in. */
  needed: number;
  depth: number;
  left: number;
  /** Bags at hand will not do: how many are short. */
  short: number;
}

/** The live count while bags go in: `into` used so far of `atHand`, each making `yield_` m³, over `area` m² of footing. */
export function bagsState(
  volume: number,
  area: number,
  yield_: number,
  into: number,
  atHand: number,
): BagsState {
  const needed = Math.ceil(volume / yield_ - 1e-9);
  const left = Math.max(0, needed - into);
  return {
    needed,
    depth: Math.min((into * yield_) / area, volume / area) * 1000,
    left,
    short: Math.max(0, needed - atHand),
  };
}

/** How many trips take the spoil away, by what is carried: m³ a trip. */
export const tripsFor = (spoil: number, load: number): number => Math.ceil(spoil / load - 1e-9);
