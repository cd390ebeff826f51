import { toMillimetres, type Length, type Mm } from '../../measure/length.js';
import { stated } from '../../job/stated.js';
import type { Samples, Wall } from '../../job/types.js';
import type { Profile } from '../../tables/profiles.js';
import type { UnitShape } from '../../tables/units.js';
import { sampled, type Sampled } from './samples.js';

/** What measuring real units gave, where they were measured. */
export interface MeasuredUnits {
  length: Sampled | null;
  height: Sampled | null;
  width: Sampled | null;
}

/** Unit sizes and target joints, mm. */
export interface LaidSizes {
  unitLength: Mm;
  unitHeight: Mm;
  unitWidth: Mm;
  bed: Mm;
  head: Mm;
}

/** Target joints: the wall's own, else the unit's, else the profile's. */
export function targetJoints(wall: Wall, unit: UnitShape, profile: Profile): { bed: Length; head: Length } {
  return {
    bed: wall.build.bed === undefined ? (unit.bed ?? profile.joint) : stated(wall.build.bed),
    head: wall.build.head === undefined ? (unit.head ?? profile.joint) : stated(wall.build.head),
  };
}

/** Whether its lengths are said by the module. Stone has none: it is as the tape reads unless somebody says otherwise. */
export const isNominal = ({ lengths, build }: Wall, profile: Pick<Profile, 'lengths'>): boolean =>
  (lengths ?? (build.kind === 'units' ? profile.lengths : 'actual')) === 'nominal';

export const measured = (s: Samples | undefined): MeasuredUnits => ({
  length: sampled(s?.length),
  height: sampled(s?.height),
  width: sampled(s?.width),
});

/**
 * What is laid: the unit as measured, else as specified. A joint nobody stated takes up the difference, so that
 * the module stays: bricks 2 mm short get perps 2 mm wider.
 */
export function laidSizes(
  wall: Wall,
  unit: UnitShape,
  joints: { bed: Length; head: Length },
  real: MeasuredUnits,
): LaidSizes {
  const laid = (size: Length, joint: Length, own: Sampled | null, stated: boolean): [number, number] => {
    const [as, by] = [toMillimetres(size), toMillimetres(joint)];
    if (!own) return [as, by];
    const left = as + by - own.mean;
    return [own.mean, stated || !(left > 0) ? by : left];
  };
  const [unitLength, head] = laid(unit.length, joints.head, real.length, wall.build.head !== undefined);
  const [unitHeight, bed] = laid(unit.height, joints.bed, real.height, wall.build.bed !== undefined);
  return { unitLength, head, unitHeight, bed, unitWidth: real.width?.mean ?? toMillimetres(unit.width) };
}
