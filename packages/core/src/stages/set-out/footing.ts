import type { Mm, CubicMetres, SquareMetres } from '../../measure/length.js';
import { overlapOf, stepEdges } from './steps.js';
import type { SetWall } from './wall.js';

/** A strip footing under one wall, mm. */
export interface Strip {
  width: Mm;
  depth: Mm;
  /** How far it goes on past a free end of the wall. */
  past: Mm;
  /** Depth of the trench from the ground to its bottom. */
  trench: number;
}

export interface FootingAmounts {
  /** Length along its centre line, corners counted once, m. */
  length: number;
  /** Concrete as it stands, m³. */
  concrete: CubicMetres;
  /** Soil in the ground, and as it lies heaped, m³. */
  dug: CubicMetres;
  spoil: CubicMetres;
  /** Both sides and the ends, m². */
  shutters: SquareMetres;
  /** Of the concrete, what the steps of the footing take: overlaps and risers, m³. */
  atSteps: CubicMetres;
  /** Projection past the wall's face, mm. */
  projection: Mm;
}

/** Concrete used over what is in the footing: waste in trenches and barrows, common practice. */
export const CONCRETE_FACTOR = 1.05;

/** Soil heaps up when it is dug: common practice for mixed soil, 20 to 30 %. */
export const BULKING = 1.25;

/** A riser thinner than this is hard to fill and to strip: common practice, mm. */
const THINNEST_RISER = 150;

/**
 * What one step of a footing takes above the top of its lower length, mm² in section: the upper length going on over the lower,
 * and where the step is higher than the concrete is deep the riser that closes what is left between them, as thick as that.
 */
function stepSection(rise: number, depth: number): number {
  const over = overlapOf(rise, depth);
  const riser = Math.min(over, Math.max(depth, THINNEST_RISER));
  return over * Math.min(rise, depth) + riser * Math.max(0, rise - depth);
}

/**
 * Along the middle of a wall, mm: round a curve on its own radius; an outside corner takes off the thickness by the tangent of half its
 * turn, an inside one gives it back, so that what lies in the corner is counted once.
 */
export function centreLine(wall: SetWall): Mm {
  const thickness = wall.cavity?.overall ?? wall.thickness;
  const middle = wall.runs.reduce(
    (sum, { length, radius }) =>
      sum + (radius === null ? length : length * Math.abs((radius - thickness / 2) / radius)),
    0,
  );
  const turns = wall.line.corners.reduce((sum, c) => sum + Math.tan((c.turn * Math.PI) / 360), 0);
  return middle - turns * thickness;
}

/**
 * Quantities of a strip footing centred under a wall, along its middle. Where the wall meets another its footing stops at that one's:
 * what they share is poured once.
 */
export function footingAmounts(wall: SetWall, strip: Strip): FootingAmounts {
  const thickness = wall.cavity?.overall ?? wall.thickness;
  const free = wall.line.closed ? 0 : wall.footingMet === null ? 2 : 1;
  const length = centreLine(wall) + free * strip.past - (wall.footingMet ?? 0);
  const pitch = wall.unitHeight + wall.bed;
  const sections = stepEdges(wall, (up) => up * pitch).reduce(
    (sum, e) => sum + stepSection(Math.abs(e.right - e.left), strip.depth),
    0,
  );
  const atSteps = (sections * strip.width) / 1e9;
  return {
    length: length / 1000,
    concrete: (length * strip.width * strip.depth) / 1e9 + atSteps,
    atSteps,
    dug: (length * strip.width * strip.trench) / 1e9,
    spoil: ((length * strip.width * strip.trench) / 1e9) * BULKING,
    shutters: ((2 * length + free * strip.width) * strip.depth) / 1e6,
    projection: (strip.width - thickness) / 2,
  };
}

export interface BagsState {
  /** Bags the whole footing takes, how deep what is in stands, and what is still to go in. */
  needed: number;
  depth: Mm;
  left: Mm;
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
export const tripsFor = (spoil: CubicMetres, load: CubicMetres): number => Math.ceil(spoil / load - 1e-9);
