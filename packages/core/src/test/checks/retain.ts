import { middleThirdHeight } from '../../stages/retain/retain.js';
import { planOf, straight, type OneWall } from '../jobs.js';
import type { PublishedCheck } from './list.js';

const STATICS = 'statics: Rankine at φ 30°, 18 kN/m³ soil, 20 kN/m³ masonry, arithmetic';

/** A wall 440 thick, which holds 803 of ground within its middle third. */
const UK: OneWall = {
  line: [{ run: 4490 }],
  height: 1800,
  // One unit through the wall: two leaves that are only tied would be judged as two thin ones.
  units: [{ id: 'thick', family: 'block', actual: { length: 440, height: 215, width: 440 } }],
  unit: 'thick',
  profile: 'uk',
  show: 'mm',
};

/** The last height, by steps from one that is the mason's, before the plan says an engineer decides. */
function lastHeld(from: number, step: number, wall: (height: number) => OneWall): number {
  const mason = (h: number): boolean => planOf(wall(h)).findings.every((f) => f.code !== 'engineer-needed');
  let at = mason(from) ? from : NaN;
  while (mason(at + step) && at < from + 100 * step) at += step;
  return at;
}

export const RETAIN: PublishedCheck[] = [
  ...(
    [
      [215, 0.393],
      [327.5, 0.598],
      [440, 0.803],
    ] as const
  ).map(([t, wanted]): PublishedCheck => ({
    id: `M152 ${t}`,
    what: `unreinforced wall ${t} mm thick: ground at which it leaves its middle third`,
    wanted,
    within: 0.0005,
    unit: 'm',
    source: STATICS,
    got: () => middleThirdHeight(t) / 1000,
  })),
  {
    id: 'M154',
    what: 'ground held over which an engineer’s design is wanted, UK',
    wanted: 600,
    within: 0,
    unit: 'mm',
    source: 'warranty standard, from memory',
    got: () => lastHeld(500, 10, (h) => ({ ...UK, wall: { retains: { height: h } } })),
  },
  {
    id: 'retain US',
    what: 'the same in the US, underside of footing to top',
    wanted: 4,
    within: 0,
    unit: 'ft',
    source: 'building codes’ permit limit, from memory',
    got: () =>
      (lastHeld(30 * 25.4, 25.4, (h) => ({
        line: straight("16'"),
        height: h,
        wall: {
          steel: { vertical: { bar: '#4', every: '24"' } },
          footing: { width: "2'", depth: '8"' },
          retains: { height: "2'" },
        },
      })) +
        8 * 25.4) /
      304.8,
  },
];
