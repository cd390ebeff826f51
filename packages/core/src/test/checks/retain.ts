import { middleThirdHeight, retainLimit } from '../../retain/retain.js';
import type { PublishedCheck } from './list.js';

const STATICS = 'statics: Rankine at φ 30°, 18 kN/m³ soil, 20 kN/m³ masonry, arithmetic';

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
    got: () => retainLimit('uk').most,
  },
  {
    id: 'retain US',
    what: 'the same in the US, underside of footing to top',
    wanted: 4,
    within: 0,
    unit: 'ft',
    source: 'building codes’ permit limit, from memory',
    got: () => retainLimit('us').most / 304.8,
  },
];
