import type { Mm } from '../../measure/length.js';
/** How a unit lies round a curve: its length on the outside face and how deep it goes into the wall, mm. */
export interface CurveUnit {
  length: Mm;
  depth: Mm;
}

/**
 * Least outside radius at which units laid round a curve keep their wedge joints between `least` inside and `most`
 * outside, uncut: depth × (length + most) ÷ (most − least). Geometry.
 */
export const leastRadius = (unit: CurveUnit, least: Mm, most: Mm): Mm =>
  (unit.depth * (unit.length + most)) / (most - least);

/** The same curve's joints at a radius, when the outside one is chosen: the inside joint, mm. */
export const insideJoint = (unit: CurveUnit, radius: Mm, outside: Mm): Mm =>
  ((unit.length + outside) * (radius - unit.depth)) / radius - unit.length;

/** How far the middle of a straight unit stands off a curve: length² ÷ 8R. Past a few millimetres the facets show. */
export const facet = (length: Mm, radius: Mm): Mm => length ** 2 / (8 * radius);
