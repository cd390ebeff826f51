import type { CubicMetres } from '../../../measure/length.js';
import type { Leaf } from '../leaves/leaf.js';
import type { BondedRun } from '../laying/bond.js';

/**
 * Mortar in frogs and perforations of one run, m³. A frog laid up is filled by the next bed, one laid down is not; into holes mortar goes
 * as far as the bed is thick, up and down: common practice.
 */
export function frogsFilled(leaf: Leaf, run: BondedRun): CubicMetres {
  const { wall, gauge } = leaf;
  const { frogs, perforated = 0 } = wall.unit;
  if (!frogs && perforated === 0) return 0;
  const filled = !frogs ? 0 : wall.frogs === 'up' ? frogs.share : frogs.share * (1 - 1 / frogs.count);
  const plan = wall.unitWidth;
  let sum = 0;
  gauge.courses.slice(0, run.rows.length).forEach((course, i) => {
    const long = (run.rows[i]?.pieces ?? []).reduce((s, p) => s + p.to - p.from, 0);
    const holes = perforated * Math.min(course.unitHeight, course.bed * (i === 0 ? 1 : 2));
    sum += long * plan * (filled * course.unitHeight + holes);
  });
  return sum / 1e9;
}
