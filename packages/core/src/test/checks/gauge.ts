import { gaugeCandidates } from '../../stages/gauge/choices.js';
import { planOf, straight, type OneWall } from '../jobs.js';
import type { PublishedCheck } from './list.js';

const tops = (w: OneWall): number[] => planOf(w).gauge.courses.map((c) => c.top);

const heights = (
  id: string,
  unit: string,
  what: string,
  marks: Record<number, number>,
  source: string,
): PublishedCheck[] =>
  Object.entries(marks).map(([n, wanted]) => ({
    id: `${id} ${n}C`,
    what: `${what}, top of course ${n}`,
    wanted,
    within: 1 / 32,
    unit: 'in',
    source,
    got: () => (tops({ line: straight("16'"), height: "8'", unit })[Number(n) - 1] ?? NaN) / 25.4,
  }));

const E11 = {
  line: straight(2240),
  height: 2130,
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  show: 'mm',
} as const;
const E11_SOURCE = 'worked example E11, by hand';

const lowest = (): { beds: number; count: number } => {
  const p = planOf(E11);
  const way = gaugeCandidates(p.wall, p.gauge).find((c) => c.kind === 'lowest-beds');
  const value = (way?.edit[0] as { value?: { lowest?: number; courses?: number } } | undefined)?.value;
  return { beds: value?.lowest ?? NaN, count: value?.courses ?? NaN };
};

export const GAUGE: PublishedCheck[] = [
  ...heights(
    'CRS-01',
    'cmu-8x8x16',
    '8 in block',
    { 1: 8, 2: 16, 3: 24, 4: 32, 5: 40, 6: 48, 9: 72, 12: 96 },
    'course table, arithmetic',
  ),
  ...heights(
    'CRS-03',
    'brick-modular-us',
    'modular brick',
    { 1: 2.6875, 2: 5.3125, 3: 8, 4: 10.6875, 5: 13.3125, 6: 16, 9: 24, 12: 32 },
    'course table, rounded to 1/16 in',
  ),
  ...[1, 2, 3, 4, 5, 6, 8, 10, 12, 16, 20, 24, 28, 30, 32, 36].map((n): PublishedCheck => ({
    id: `M017 ${n}`,
    what: `gauge rod, course ${n}`,
    wanted: n * 75,
    within: 0,
    unit: 'mm',
    source: 'geometry: n × 75',
    got: () =>
      tops({ line: straight(2240), height: 2700, unit: 'brick-215x102.5x65', profile: 'uk' })[n - 1] ?? NaN,
  })),
  {
    id: 'M020',
    what: '2650 mm: courses chosen',
    wanted: 35,
    within: 0,
    unit: 'courses',
    source: 'geometry: joint 10.714 in 35, 8.611 in 36; 35 is nearer 10',
    got: () => planOf({ ...E11, height: 2650 }).gauge.count,
  },
  {
    id: 'M020b',
    what: '2650 mm in 35: bed',
    wanted: 10.714,
    within: 0.0005,
    unit: 'mm',
    source: 'geometry: 2650 / 35 − 65',
    got: () => planOf({ ...E11, height: 2650 }).gauge.courses[0]?.bed ?? NaN,
  },
  {
    id: 'M020c',
    what: '2650 mm in 36: bed',
    wanted: 8.611,
    within: 0.0005,
    unit: 'mm',
    source: 'geometry: 2650 / 36 − 65',
    got: () =>
      planOf({ ...E11, height: 2650, build: { gauge: { courses: 36 } } }).gauge.courses[0]?.bed ?? NaN,
  },
  {
    id: 'E11 courses',
    what: '2130 mm: courses chosen',
    wanted: 28,
    within: 0,
    unit: 'courses',
    source: E11_SOURCE,
    got: () => planOf(E11).gauge.count,
  },
  {
    id: 'E11 bed',
    what: '2130 mm in 28: bed',
    wanted: 11.071,
    within: 0.0005,
    unit: 'mm',
    source: E11_SOURCE,
    got: () => planOf(E11).gauge.courses[5]?.bed ?? NaN,
  },
  {
    id: 'E11 squeeze',
    what: '2130 mm in 29: bed',
    wanted: 8.448,
    within: 0.0005,
    unit: 'mm',
    source: E11_SOURCE,
    got: () => planOf({ ...E11, build: { gauge: { courses: 29 } } }).gauge.courses[0]?.bed ?? NaN,
  },
  {
    id: 'E11 lowest',
    what: '2130 mm: fewest beds that take 30 mm',
    wanted: 6,
    within: 0,
    unit: 'beds',
    source: `${E11_SOURCE}: five would be 16 mm, six are 15`,
    got: () => lowest().beds,
  },
  ...Object.entries({ 1: 76, 2: 152, 3: 228, 4: 304, 5: 380, 10: 761, 14: 1065, 20: 1521, 28: 2130 }).map(
    ([n, wanted]): PublishedCheck => ({
      id: `E11 mark ${n}`,
      what: `2130 mm: mark ${n} to the millimetre`,
      wanted,
      within: 0,
      unit: 'mm',
      source: `${E11_SOURCE}; cumulative, never stepped`,
      got: () => Math.round(tops(E11)[Number(n) - 1] ?? NaN),
    }),
  ),
  {
    id: 'M015',
    what: '1000 mm pier: each of four perps',
    wanted: 9.375,
    within: 0,
    unit: 'mm',
    source: 'geometry: 2.5 mm lost over 4 perps',
    got: () => planOf({ ...E11, line: straight(1000), height: 300 }).runs[0]?.rows[0]?.perps[0]?.width ?? NaN,
  },
  {
    id: 'trade 3',
    what: 'six modular courses, not stepped',
    wanted: 16,
    within: 0,
    unit: 'in',
    source: 'common practice: marks by multiplication',
    got: () => (tops({ line: straight("16'"), height: "8'", unit: 'brick-modular-us' })[5] ?? NaN) / 25.4,
  },
  {
    id: 'trade 3b',
    what: 'twenty-four modular courses, not stepped',
    wanted: 64,
    within: 0,
    unit: 'in',
    source: 'common practice: stepping 2 5/8 would lose an inch',
    got: () => (tops({ line: straight("16'"), height: "8'", unit: 'brick-modular-us' })[23] ?? NaN) / 25.4,
  },
];
