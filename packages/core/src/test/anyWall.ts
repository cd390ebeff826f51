import fc from 'fast-check';
import { checkJob } from '../job/check.js';
import type { BeamCourse, Gauge, Grout, LineItem, Top, Wall } from '../job/types.js';
import { BONDS } from '../tables/bonds.js';
import { closed, corner, documentOf, straight, type OneWall } from './jobs.js';

export const HALF = 203.2;
export const anyLine = fc.oneof(
  fc.integer({ min: 6, max: 60 }).map((n) => straight(n * HALF)),
  fc.integer({ min: 1300, max: 12_000 }).map((n) => straight(n)),
  fc
    .tuple(fc.integer({ min: 6, max: 40 }), fc.integer({ min: 6, max: 40 }), fc.constantFrom(90, -90))
    .map(([a, b, t]) => corner(a * HALF, b * HALF, t)),
  fc
    .tuple(fc.integer({ min: 8, max: 40 }), fc.integer({ min: 8, max: 40 }))
    .map(([a, b]) => closed(a * HALF, b * HALF)),
  fc
    .tuple(fc.integer({ min: 1600, max: 9000 }), fc.integer({ min: 1600, max: 9000 }))
    .map(([a, b]) => closed(a, b)),
  fc
    .tuple(fc.integer({ min: 2000, max: 9000 }), fc.constantFrom(40, 90, 200, 360, -60))
    .map(([r, sweep]): LineItem[] => [{ arc: r, sweep }]),
  fc
    .tuple(
      fc.integer({ min: 1600, max: 6000 }),
      fc.integer({ min: 1600, max: 6000 }),
      fc.constantFrom(45, -45, 60, 120, -30),
    )
    .map(([a, b, t]) => corner(a, b, t)),
);
/** What may hang on the first run of a wall besides openings. */
const at = fc.integer({ min: 0, max: 2600 });
const wide = fc.integer({ min: 300, max: 1800 });
export const anyHangings: fc.Arbitrary<Partial<Wall>> = fc
  .record({
    top: fc.record({
      kind: fc.constantFrom<Top['kind']>('raked', 'stepped', 'scallop', 'ramp'),
      from: at,
      left: fc.integer({ min: 300, max: 3500 }),
      right: fc.integer({ min: 300, max: 3500 }),
    }),
    width: wide,
    step: fc.record({ from: at, up: fc.integer({ min: 1, max: 3 }) }),
    pier: at,
    vents: fc.integer({ min: 1, max: 4 }),
    joint: fc.integer({ min: 250, max: 2400 }),
    bars: fc.record({
      every: fc.constantFrom(400, 406.4, 600, 812.8, 914.4),
      beam: fc.constantFrom<BeamCourse>('top', 'over-openings', 2, 30),
      fill: fc.constantFrom<Grout['fill']>('steel', 'all', { every: 3 }),
    }),
    which: fc.constantFrom('tops', 'steps', 'piers', 'vents', 'joints', 'steel', 'all'),
  })
  .map(({ top, width, step, pier, vents, joint, bars, which }): Partial<Wall> => {
    const all: Partial<Wall> = {
      tops: [{ id: 'T', run: 0, ...top, to: top.from + width, dip: Math.min(width / 3, 120) }],
      steps: [{ id: 'S', run: 0, ...step, to: step.from + width }],
      piers: [{ id: 'P', run: 0, at: pier, width: width / 2 }],
      vents: [{ id: 'V', run: 0, course: vents, what: 'air-brick', every: width }],
      joints: [{ id: 'J', run: 0, at: joint }],
      steel: {
        vertical: { bar: '#4', every: bars.every },
        beams: [{ course: bars.beam, bar: '#4', count: 2 }],
      },
      grout: { fill: bars.fill },
    };
    return which === 'all' ? all : { [which]: all[which] };
  });
export const anyWall: fc.Arbitrary<OneWall> = fc.record({
  line: anyLine,
  height: fc.oneof(
    fc.integer({ min: 3, max: 20 }).map((n) => n * HALF),
    fc.integer({ min: 500, max: 4000 }),
  ),
  unit: fc.constantFrom(
    'cmu-8x8x16',
    'cmu-6x8x16',
    'cmu-12x8x16',
    'block-440x215x215',
    'block-440x215x100',
    'brick-215x102.5x65',
    'brick-modular-us',
    'adobe-10x14x4',
    'cmu-6x6x18',
    'adobe-14x10x4',
    'slip-215x20x65',
  ),
  profile: fc.constantFrom('us' as const, 'uk' as const, 'earth' as const),
  lengths: fc.constantFrom('nominal' as const, 'actual' as const),
  show: fc.constantFrom('ft-in' as const, 'mm' as const),
  build: fc.record(
    {
      start: fc.constantFrom('whole' as const, 'half' as const),
      bond: fc.oneof(
        { weight: 2, arbitrary: fc.constant('half' as const) },
        { weight: 3, arbitrary: fc.constantFrom(...BONDS.map((b) => b.id)) },
      ),
      wythes: fc.constantFrom(1 as const, 2 as const),
      cavity: fc.constantFrom(
        { inner: 'block-440x215x100', width: 100, board: 50 },
        { inner: 'cmu-4x8x16', width: 40 },
        { inner: 'cmu-8x8x16', width: 50 },
      ),
      closers: fc.boolean(),
      corners: fc.constantFrom('in-turn' as const, 'in-pairs' as const),
      gauge: fc.constantFrom<Gauge>(
        { meet: true },
        { meet: true, allow: ['half-high', 'sawn'] },
        { halfHigh: 1 },
        { sawn: 2 },
      ),
      face: fc.constantFrom({ hiddenTo: 600 }, { finish: 'rendered' as const }),
      samples: fc.constantFrom({ length: [212, 214, 219], height: [63, 66] }, { height: [190, 192] }),
    },
    { requiredKeys: ['start'] },
  ),
  heights: fc.array(
    fc.record({
      id: fc.constantFrom('H1', 'H2'),
      at: fc.integer({ min: 100, max: 3000 }),
      keep: fc.constantFrom('must' as const, 'wish' as const),
      tolerance: fc.integer({ min: 0, max: 20 }),
    }),
    { maxLength: 2 },
  ),
  wall: fc.oneof({ weight: 2, arbitrary: fc.constant({}) }, { weight: 1, arbitrary: anyHangings }),
  openings: fc.array(
    fc.record({
      at: fc.integer({ min: 300, max: 6000 }),
      width: fc.integer({ min: 300, max: 2000 }),
      sill: fc.oneof(fc.constant(0), fc.integer({ min: 100, max: 1200 })),
      head: fc.integer({ min: 400, max: 2400 }),
    }),
    { maxLength: 2 },
  ),
});
/** Only walls that pass the door: the rest are somebody else's test. */
export const anySoundWall = anyWall.filter((w) => checkJob(documentOf(w)).ok);
