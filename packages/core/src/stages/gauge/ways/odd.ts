import type { SetWall } from '../../set-out/wall.js';
import { SAYS } from '../messages.js';
import { bedLimits, evenSpread, layCourses } from '../courses.js';
import { LEAST_SAWN_OFF, THINNEST_SAWN } from '../limits.js';
import type { GaugeSolution } from '../solve.js';
import { bedsCost, gaugeEdit, type GaugeWay } from './way.js';

/** One course of half-high units, the rest eased over it. */
export function halfHighWays(wall: SetWall, now: GaugeSolution): GaugeWay[] {
  const { halfHigh, height, unitHeight, bed } = wall;
  if (halfHigh === null) return [];
  const limits = bedLimits(wall);
  const near = (height - halfHigh - bed) / (unitHeight + bed);
  return [...new Set([Math.floor(near + 1e-9), Math.ceil(near - 1e-9)])].flatMap((whole): GaugeWay[] => {
    const eased = (height - halfHigh - whole * unitHeight) / (whole + 1);
    if (whole < 1 || !(eased >= limits.least - 1e-6 && eased <= limits.most + 1e-6)) return [];
    const courses = layCourses(
      { ...evenSpread(whole + 1, eased), odd: { number: 1, unitHeight: halfHigh, kind: 'half-high' } },
      unitHeight,
    );
    return [
      {
        kind: 'half-high',
        name: SAYS['half-high-first'](),
        says: SAYS['half-high-first-because']({ high: halfHigh, courses: whole, bed: eased }),
        edit: gaugeEdit(wall, { halfHigh: 1, courses: whole + 1 }),
        cost: wall.weights.gauge.halfHighCourse + bedsCost(wall, courses),
        applied: now.met === null && now.halfHigh === 1 && now.count === whole + 1 && now.short === 0,
        courses,
      },
    ];
  });
}

/** One course sawn to what is left. */
export function sawnWays(wall: SetWall, now: GaugeSolution): GaugeWay[] {
  const { height, unitHeight, bed } = wall;
  const below = Math.max(1, Math.floor(height / (unitHeight + bed) + 1e-9));
  const left = height - below * (unitHeight + bed) - bed;
  if (!(left >= THINNEST_SAWN && left <= unitHeight - LEAST_SAWN_OFF)) return [];
  const courses = layCourses(
    { ...evenSpread(below + 1, bed), odd: { number: 1, unitHeight: left, kind: 'sawn' } },
    unitHeight,
  );
  return [
    {
      kind: 'sawn-course',
      name: SAYS['saw-course']({ to: left }),
      says: SAYS['saw-course-because']({ to: left, courses: below }),
      edit: gaugeEdit(wall, { sawn: 1 }),
      cost: wall.weights.gauge.cutCourse,
      applied: now.met === null && now.sawn === 1 && now.count === below + 1 && now.short === 0,
      courses,
    },
  ];
}
