import { SAYS } from '../messages.js';
import { INCH, SAME_PLACE } from '../../../measure/length.js';
import type { Show } from '../../../measure/format.js';
import type { SetWall } from '../../set-out/wall.js';
import { bedLimits, evenSpread, layCourses } from '../courses.js';
import type { GaugeSolution } from '../solve.js';
import { countsNear, inForce } from './counts.js';
import { hiddenLow } from './lowest.js';
import { bedsCost, gaugeEdit, write, type GaugeWay } from './way.js';

/** A bed changed by less shows no change on a tape of millimetres, or of sixteenths. */
const unshown = (show: Show): number => (show === 'mm' ? 0.5 : INCH / 32);

/** Every bed eased alike: the rest is spread so thin that nobody finds it. */
export function easedWays(wall: SetWall, now: GaugeSolution): GaugeWay[] {
  const { height, unitHeight, bed } = wall;
  const limits = bedLimits(wall);
  const counts = countsNear(wall);
  const divides = counts.length === 1;
  const bedFor = (n: number): number => height / n - unitHeight;
  const eased = counts.filter(
    (n) => bedFor(n) >= limits.least - SAME_PLACE && bedFor(n) <= limits.most + SAME_PLACE,
  );
  const usual = eased.reduce<number | null>(
    (best, n) =>
      best === null || Math.abs(bedFor(n) - bed) < Math.abs(bedFor(best) - bed) - 1e-9 ? n : best,
    null,
  );
  return eased.map((n) => {
    const b = bedFor(n);
    const courses = layCourses(evenSpread(n, b), unitHeight);
    const by = Math.abs(b - bed);
    const leads = n === usual && hiddenLow(wall) === null;
    return {
      kind: 'ease-all',
      name: divides ? SAYS['courses-at']({ courses: n, bed }) : SAYS['ease-all']({ beds: n, to: b }),
      says: divides
        ? SAYS['courses-at-divides']({ courses: n, bed })
        : by < unshown(wall.show)
          ? SAYS['ease-all-unshown']({ courses: n })
          : SAYS['ease-all-because']({ to: b, courses: n, by }),
      edit: gaugeEdit(wall, leads ? null : { courses: n }),
      cost: bedsCost(wall, courses),
      applied: inForce(now, n, n),
      courses,
      leads,
    };
  });
}

/** Joints a mason has a gauge stick for: whole millimetres, or sixteenths of an inch. */
function usualJoints(wall: SetWall): number[] {
  const limits = bedLimits(wall);
  const step = wall.show === 'mm' ? 1 : INCH / 16;
  const first = Math.ceil(limits.least / step - 1e-9);
  const last = Math.floor(limits.most / step + 1e-9);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => (first + i) * step);
}

/** Another joint asked for by name, where one a mason can measure brings the height out on whole courses. */
export function jointWays(wall: SetWall): GaugeWay[] {
  return usualJoints(wall)
    .filter((joint) => Math.abs(joint - wall.bed) > SAME_PLACE)
    .flatMap((joint): GaugeWay[] => {
      const n = Math.round(wall.height / (wall.unitHeight + joint));
      if (n < 1 || Math.abs(n * (wall.unitHeight + joint) - wall.height) > SAME_PLACE) return [];
      const courses = layCourses(evenSpread(n, joint), wall.unitHeight);
      return [
        {
          kind: 'another-joint',
          name: SAYS['ask-beds']({ bed: joint }),
          says: SAYS['ask-beds-because']({ bed: joint, was: wall.bed, courses: n }),
          edit: [
            {
              op: 'add',
              path: `/walls/${wall.index}/build/bed`,
              value: write(wall, joint),
            },
            ...gaugeEdit(wall, null),
          ],
          cost: bedsCost(wall, courses),
          applied: false,
          courses,
        },
      ];
    });
}
