import type { CubicMetres } from '../../../measure/length.js';
import type { Leaf } from '../leaves/leaf.js';
import type { BondedRun } from '../laying/bond.js';

/**
 * Mortar in frogs and perforations of one run, course by course, m³. A frog laid up is filled by the next bed, one laid down is not; into holes mortar goes
 * as far as the bed is thick, up and down: common practice.
 */
export function frogsFilled(leaf: Leaf, run: BondedRun): CubicMetres[] {
  const { wall, gauge } = leaf;
  const { frogs, perforated = 0 } = wall.unit;
  if (!frogs && perforated === 0) return [];
  const filled = !frogs ? 0 : wall.frogs === 'up' ? frogs.share : frogs.share * (1 - 1 / frogs.count);
  const plan = wall.unitWidth;
  return gauge.courses.slice(0, run.rows.length).map((course, i) => {
    const long = (run.rows[i]?.pieces ?? []).reduce((s, p) => s + p.to - p.from, 0);
    const holes = perforated * Math.min(course.unitHeight, course.bed * (i === 0 ? 1 : 2));
    return (long * plan * (filled * course.unitHeight + holes)) / 1e9;
  });
}
