/** How a unit lies round a curve: its length on the outside face and how deep it goes into the wall, mm. */
export interface CurveUnit {
  length: number;
  depth: number;
}

/**
 * Least outside radius at which units laid round a curve keep their wedge joints between `least` inside and `most`
 * outside, uncut: depth × (length + most) ÷ (most − least). Geometry.
 */
export const leastRadius = (unit: CurveUnit, least: number, most: number): number =>
  (unit.depth * (unit.length + most)) / (most - least);

/** The same curve's joints at a radius, when the outside one is chosen: the inside joint, mm. */
export const insideJoint = (unit: CurveUnit, radius: number, outside: number): number =>
  ((unit.length + outside) * (radius - unit.depth)) / radius - unit.length;

/** How far the middle of a straight unit stands off a curve: length² ÷ 8R. Past a few millimetres the facets show. */
export const facet = (length: number, radius: number): number => length ** 2 / (8 * radius);
