import fc from 'fast-check';
import { MIXES, mixNamed, type Mix } from '../tables/mixes/mixes.js';
import type { Basis } from '../tables/mixes/materials.js';
import { madeOf, makingOf, type Sand } from './making.js';
import { largestRecipe, lastRecipe, measureHolds, nearestRecipe, type Bags, type Measure } from './recipe.js';

const mix = (id: string): Mix => mixNamed(id) as Mix;
const DRY: Sand = { state: 'dry', bulking: 0 };
const BUCKET: Measure = { name: 'bucket', holds: 0.0189, level: 'struck' };

/** Every way of putting in whole or half measures up to so many, looked at one by one: the error by the contract's own words. */
function byEnumeration(
  m: Mix,
  basis: Basis,
  sand: Sand,
  measure: Measure,
  most: number,
  step: number,
  bags: Bags = {},
): { error: number; volume: number } | null {
  const holds = m.parts.map((p) => bags[p.of] ?? measureHolds(measure));
  const limit = Math.ceil(most / Math.min(...holds) / step) * 3 + 4;
  let best: { error: number; volume: number } | null = null;
  const look = (counts: number[]): void => {
    const n = m.parts.length;
    if (counts.length < n) {
      for (let k = 1; k <= limit; k++) look([...counts, k * step]);
      return;
    }
    const put = Object.fromEntries(m.parts.map((p, i) => [p.of, (counts[i] ?? 0) * (holds[i] ?? 0)]));
    const volume = madeOf(m, basis, sand, put);
    if (volume > most * (1 + 1e-9)) return;
    const back = basis === 'metric' && sand.state === 'damp' ? 1 + sand.bulking : 1;
    const real = counts.map((c, i) => ((holds[i] ?? 0) * c) / (m.parts[i]?.of === 'sand' ? back : 1));
    let key = m.parts.findIndex((p) => p.of === 'sand');
    if (key < 0) key = m.parts.reduce((b, p, i) => (p.parts > (m.parts[b]?.parts ?? 0) ? i : b), 0);
    const error = Math.max(
      ...real.map((c, i) =>
        Math.abs(c / (real[key] ?? 1) / ((m.parts[i]?.parts ?? 1) / (m.parts[key]?.parts ?? 1)) - 1),
      ),
    );
    if (
      !best ||
      error < best.error - 1e-9 ||
      (Math.abs(error - best.error) <= 1e-9 && volume > best.volume * (1 + 1e-9))
    )
      best = { error, volume };
  };
  look([]);
  return best;
}

test('the nearest whole measures are those that looking at every way finds', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...MIXES.filter((m) => m.parts.length < 4)),
      fc.constantFrom<Basis>('us', 'metric'),
      fc.constantFrom<Sand>(DRY, { state: 'damp', bulking: 0.25 }, { state: 'damp', bulking: 0.2 }),
      fc.integer({ min: 2, max: 12 }),
      fc.boolean(),
      fc.constantFrom<Measure['level']>('struck', 'heaped'),
      (m, basis, sand, buckets, halves, level) => {
        const measure = { ...BUCKET, level };
        const most = buckets * BUCKET.holds * 0.83;
        const asks = { mix: m, basis, sand, measure, most, halves };
        const found = nearestRecipe(asks);
        const wanted = byEnumeration(m, basis, sand, measure, most, halves ? 0.5 : 1);
        if (!wanted || !found) return wanted === null && found === null;
        return (
          Math.abs(found.error - wanted.error) < 1e-6 &&
          Math.abs(found.volume - wanted.volume) < 1e-6 * wanted.volume
        );
      },
    ),
    { numRuns: process.env.LONG === '1' ? 2000 : 200 },
  );
});

test('and so they are where some of it goes in by the bag', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...MIXES.filter((m) => m.parts.length > 1 && m.parts.length < 4)),
      fc.constantFrom<Sand>(DRY, { state: 'damp', bulking: 0.2 }),
      fc.integer({ min: 4, max: 9 }),
      fc.boolean(),
      fc.constantFrom(0.0174, 0.028316846592, 0.0354),
      (m, sand, buckets, halves, bag) => {
        const bags = { [m.parts[0]?.of ?? 'portland']: bag };
        const most = buckets * BUCKET.holds;
        const found = nearestRecipe({ mix: m, basis: 'metric', sand, measure: BUCKET, most, halves, bags });
        const wanted = byEnumeration(m, 'metric', sand, BUCKET, most, halves ? 0.5 : 1, bags);
        if (!wanted || !found) return wanted === null && found === null;
        expect(found.measures.map((p) => p.by)).toEqual(m.parts.map((_, i) => (i === 0 ? 'bag' : 'measure')));
        return (
          Math.abs(found.error - wanted.error) < 1e-6 &&
          Math.abs(found.volume - wanted.volume) < 1e-6 * wanted.volume
        );
      },
    ),
    { numRuns: process.env.LONG === '1' ? 1000 : 100 },
  );
});

test('the largest that keeps to the parts is no less than any other that does', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...MIXES.filter((m) => m.parts.length < 4)),
      fc.integer({ min: 2, max: 8 }),
      (m, buckets) => {
        const most = buckets * BUCKET.holds;
        const asks = { mix: m, basis: 'us' as const, sand: DRY, measure: BUCKET, most, halves: true };
        const found = largestRecipe(asks);
        const near = nearestRecipe(asks);
        if (!near || near.error > m.allows) return found === null;
        return (
          found !== null &&
          found.error <= m.allows + 1e-9 &&
          found.volume <= most * (1 + 1e-9) &&
          found.volume >= near.volume * (1 - 1e-9)
        );
      },
    ),
    { numRuns: 100 },
  );
});

test('type S in a drum of six cubic feet, three quarters full: 2, 1 and 9, and they are exact', () => {
  // Four and a half feet of mud at most are 6.7 five-gallon buckets of sand: 2 : 1 : 9 does not go in, with halves 1 : ½ : 4½ does.
  const most = 0.75 * 6 * 0.028316846592;
  const holds = 5 * 0.003785411784;
  const asks = {
    mix: mix('cement-lime-s'),
    basis: 'us' as const,
    sand: DRY,
    measure: { name: 'bucket', holds, level: 'struck' as const },
    most,
  };
  expect(nearestRecipe({ ...asks, halves: true })).toMatchObject({
    measures: [
      { of: 'portland', count: 1 },
      { of: 'lime-hydrated', count: 0.5 },
      { of: 'sand', count: 4.5 },
    ],
    error: 0,
  });
  // Whole: lime can be no less than a bucket, and the error says so.
  expect(nearestRecipe(asks)?.error).toBeGreaterThan(mix('cement-lime-s').allows);
});

test('damp sand goes in bulked where the parts are of dry sand, and as it lies where they are of damp', () => {
  const damp: Sand = { state: 'damp', bulking: 0.25 };
  const asks = { mix: mix('cement-sand-4'), sand: damp, measure: BUCKET, most: 0.2 };
  const counts = (basis: Basis): (number | undefined)[] =>
    nearestRecipe({ ...asks, basis })?.measures.map((m) => m.count) ?? [];
  const [cement = 0, sand = 0] = counts('metric');
  expect(sand / cement).toBe(5);
  const [c = 0, s = 0] = counts('us');
  expect(s / c).toBe(4);
});

test('the last batch is enough for what is left, keeps to the parts, and is the smallest that does', () => {
  const asks = { mix: mix('cement-sand-3'), basis: 'us' as const, sand: DRY, measure: BUCKET, most: 0.2 };
  const last = lastRecipe(asks, 0.05);
  // One to three makes 0.0567, and nothing smaller of whole buckets does.
  expect(last?.measures.map((m) => m.count)).toEqual([1, 3]);
  expect(last?.volume).toBeCloseTo(3 * BUCKET.holds, 9);
});

test('ingredients, air and water close: of every mix reckoned by its solids', () => {
  for (const m of MIXES) {
    if (m.yield.model !== 'absolute') continue;
    const { mass, water } = makingOf(m, 'metric', DRY);
    const density: Record<string, number> = { portland: 3150, sand: 2650, gravel: 2650, ballast: 2650 };
    const solid = Object.entries(mass).reduce((s, [of, kg]) => s + kg / (density[of] ?? NaN), 0);
    expect(solid + water + m.yield.air).toBeCloseTo(1, 9);
  }
});

test('damp sand brings half a gallon a cubic foot', () => {
  // 5 % of 80 lb are 4 lb, and a gallon weighs 8.34.
  const { fromSand, loose } = makingOf(mix('cement-lime-n'), 'us', { state: 'damp', bulking: 0.25 });
  expect(fromSand / (loose.sand ?? 1) / (0.003785411784 / 0.028316846592)).toBeCloseTo(0.48, 2);
});
