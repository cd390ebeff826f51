import fc from 'fast-check';
import { plan, type WallPlan } from '../../plan/plan.js';
import { documentOf, faultsOf, inWords, sayFor, soundJob, straight, type OneWall } from '../../test/jobs.js';
import { volumeIn } from './holes.js';
import { mendingSheet } from './sheet.js';
import { mending } from './stage.js';

const HOLE = { id: 'H1', run: 0, at: 1000, width: 600, bottom: 300, height: 450, depth: 180 };
const old = (hole: object = {}, more: Partial<OneWall> = {}): OneWall => ({
  profile: 'uk',
  show: 'mm',
  unit: 'brick-215x102.5x65',
  line: straight(4490),
  height: 1500,
  build: { wythes: 2 },
  wall: { holes: [{ ...HOLE, ...hole }] as never },
  ...more,
});
const planned = (wall: OneWall): WallPlan => {
  const [p] = plan(soundJob(documentOf(wall)), [], { advise: false }).walls;
  if (!p) throw new Error('no wall');
  return p;
};

test('a hole is a wedge, wider behind: what is in it is what slices of it add up to', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 50, max: 3000 }),
      fc.integer({ min: 50, max: 3000 }),
      fc.integer({ min: 20, max: 900 }),
      (width, height, depth) => {
        // Slices a thousandth of it deep, each as wide as a hole is there that goes out by 1 in 10 at both sides.
        const slice = depth / 1000;
        let sum = 0;
        for (let i = 0; i < 1000; i++) sum += (width + 0.2 * (i + 0.5) * slice) * height * slice;
        expect(volumeIn(width, height, [0, depth])).toBeCloseTo(sum / 1e9, 9);
        const half = volumeIn(width, height, [0, depth / 3]) + volumeIn(width, height, [depth / 3, depth]);
        expect(half).toBeCloseTo(sum / 1e9, 9);
      },
    ),
    { numRuns: 50 },
  );
});

test('stone in front, limecrete behind, stones tied in and fixings, worked by hand', () => {
  const [h] = planned(old()).filled;
  // Stones reach in by two thirds, 120. In front: 0.45 (0.6 × 0.12 + 0.12² ÷ 10); behind: the rest to 0.18.
  expect(h?.facing).toBe(120);
  expect(h?.front).toBeCloseTo(0.45 * (0.6 * 0.12 + 0.00144), 9);
  expect(h?.behind).toBeCloseTo(0.45 * (0.6 * 0.06 + 0.00324 - 0.00144), 9);
  expect(h?.mass).toBeCloseTo(0.7 * 2400 * 0.45 * (0.6 * 0.12 + 0.00144), 6);
  // 450 high: two stones tied at each side. 600 by 450 at 450 apart: two in a row, one row.
  expect([h?.ties, h?.fixings]).toEqual([4, 2]);
  expect(planned(old({ fixings: 200 })).filled[0]?.fixings).toBe(3 * 3);
  expect(planned(old({ stone: 'granite', facing: 180 })).filled[0]).toMatchObject({ facing: 180, behind: 0 });
});

test('a dry wall takes stone alone: nothing is poured behind it or drilled into it', () => {
  const [h] = planned({
    profile: 'uk',
    show: 'mm',
    line: straight(4490),
    height: 1200,
    wall: {
      build: { kind: 'dry', stone: 'sandstone', base: 700, top: 400 },
      holes: [HOLE],
    } as never,
  }).filled;
  expect(h).toMatchObject({ facing: 180, behind: 0, fixings: 0, ties: 4 });
});

test('it is drawn, listed, printed and counted, and asks to be propped where it is wide or deep', () => {
  const small = planned(old({ depth: 90 }));
  expect(small.findings.some((f) => f.code === 'mending-prop')).toBe(false);
  expect(mending.lists?.(small)[0]?.rows.map((r) => r.id)).toEqual(['H1']);
  expect(mending.shapes?.(small, 0).map((s) => s.role)).toEqual(
    expect.arrayContaining(['short', 'edge-tie', 'short-name']),
  );
  expect(mending.figures?.(small, null).map((f) => f.key)).toEqual([
    'mending.stone',
    'mending.limecrete',
    'mending.ties',
    'mending.fixings',
  ]);
  const [table, steps] = mendingSheet('Job', 'Wall', small.filled, 'mm', sayFor('mm')).tables;
  expect(table?.rows).toHaveLength(1);
  expect(steps?.rows.map(([, what]) => what).join(' ')).not.toContain('Prop what stands');
  // Wider than 600, and deeper than half of 215.
  for (const hole of [{ width: 700 }, { depth: 120 }]) {
    const said = inWords(planned(old(hole))).findings.find((f) => f.code === 'mending-prop');
    expect(said?.says).toContain('propped before anything is taken out');
  }
});

test('what cannot be a hole of this wall is refused in a sentence', () => {
  const faults = (hole: object): string[] => faultsOf(documentOf(old(hole)));
  expect(faults({ at: 4000 }).join()).toContain('a hole inside its run');
  expect(faults({ bottom: 1200 }).join()).toContain('a hole under the top');
  expect(faults({ depth: 400 }).join()).toContain('no deeper than the wall');
  expect(faults({ run: 3 }).join()).toContain('a run from 0 to 0');
  expect(faults({ stone: 'cheese' }).join()).toContain('a stone of the library');
  expect(faults({ fixings: 1 }).join()).toContain('at least 50 mm apart');
});
