import { sayFault } from '../statement/fault.js';
import { setOutWall } from '../stages/set-out/wall.js';
import { solveGauge } from '../stages/gauge/solve.js';
import { checkJob } from './check.js';
import { LIMITS } from './limits.js';

const many = <T>(n: number, one: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => one(i));
const wall = (change: object): object => ({
  id: 'n',
  name: 'North',
  line: [{ run: '1000 m' }],
  height: 2400,
  build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half' },
  ...change,
});
const job = (...walls: object[]): unknown => ({
  format: 'even-tally/job',
  version: 1,
  name: 'Long',
  show: 'mm',
  profile: 'us',
  walls,
});
const opening = (i: number): object => ({
  id: `o${i}`,
  run: 0,
  at: 400 + i * 1900,
  width: 600,
  sill: 900,
  head: 1800,
});
const refusal = (value: unknown): string => {
  const checked = checkJob(value);
  return checked.ok ? 'sound' : checked.faults.map(sayFault).join('; ');
};

test.each<[string, number, (n: number) => object, RegExp]>([
  ['openings', LIMITS.openings, (n) => ({ openings: many(n, opening) }), /openings: wanted at most 500/],
  [
    'fixed heights',
    LIMITS.heights,
    (n) => ({ heights: many(n, (i) => ({ id: `h${i}`, name: `h${i}`, at: 10 + i })) }),
    /heights: wanted at most 200/,
  ],
  [
    'runs',
    LIMITS.line,
    (n) => ({ line: many(n, (i) => (i % 2 ? { turn: i % 4 === 1 ? 90 : -90 } : { run: 2000 })) }),
    /line: wanted at most 400/,
  ],
  [
    'vents of all entries together',
    LIMITS.fittings / 100,
    (n) => ({ vents: many(n, (i) => ({ id: `v${i}`, what: 'vent', run: 0, course: i + 1, every: 10_000 })) }),
    /vents\/10\/every: wanted a spacing that makes at most 1000 of them in this wall, got .* which makes 100 beside 1000/,
  ],
])('%s of a wall: so many are sound, one more is refused', (_what, most, of, says) => {
  expect(refusal(job(wall(of(most))))).toBe('sound');
  expect(refusal(job(wall(of(most + 1))))).toMatch(says);
});

test('openings are counted over all walls of a job too', () => {
  const walls = many(4, (i) => wall({ id: `w${i}`, openings: many(500, opening) }));
  expect(refusal(job(...walls))).toBe('sound');
  expect(refusal(job(...walls, wall({ id: 'w5', openings: [opening(0)] })))).toMatch(
    /walls: wanted at most 2000 openings in a job, got 2001/,
  );
});

const reinforced = (steel: object): unknown =>
  job(
    wall({
      line: [{ run: '20 m' }],
      steel: {
        vertical: { bar: '#6', every: 800 },
        beams: [{ course: 'top', bar: '#6', count: 2 }],
        ...steel,
      },
    }),
  );

test.each([
  ['hardly longer than its lap', { lap: { rule: 'drawing', length: 1000 }, stock: [1000.0001] }],
  ['as long as its lap', { lap: { rule: 'drawing', length: 1000 }, stock: [1000] }],
  ['shorter than its lap by its diameters', { stock: [900] }],
])('stock %s is refused, for it would be lapped without end', (_what, steel) => {
  expect(refusal(reinforced(steel))).toMatch(/steel\/stock\/0: wanted stock that #6 of .* is lapped of/);
});

test('stock shorter than its lap serves where nothing is lapped; a drawn lap past the usual stock is said to be the lap', () => {
  const low = wall({
    line: [{ run: 800 }],
    height: 800,
    steel: { vertical: { bar: '#6', every: 800 }, stock: [900] },
  });
  expect(refusal(job(low))).toBe('sound');
  expect(refusal(reinforced({ lap: { rule: 'drawing', length: 7000 } }))).toMatch(/steel\/lap: wanted stock/);
});

// Ten fixed heights that may each be met 300 mm off have more ways between them than can be tried: it gives up, and says so.
test('wide tolerances on a high wall are given up on after so many ways, and the wall is planned', () => {
  const high = wall({
    line: [{ run: 5000 }],
    height: 20_000,
    heights: many(10, (i) => ({
      id: `h${i}`,
      name: `h${i}`,
      at: (i + 1) * 1818,
      tolerance: 300,
      keep: 'must',
    })),
    build: {
      kind: 'units',
      unit: 'cmu-8x8x16',
      bond: 'half',
      gauge: { meet: true, allow: ['half-high', 'sawn'] },
    },
  });
  const checked = checkJob(job(high));
  if (!checked.ok) throw new Error(refusal(job(high)));
  const { met, courses } = solveGauge(setOutWall(checked.job, 0));
  expect(met?.status).toBe('stopped');
  expect(courses.length).toBeGreaterThan(90);
});
