import fc from 'fast-check';
import { fitted, greedyOrder, stonesOf } from './fit.js';
import { layInOrder } from './layInOrder.js';
import type { Around, FitAsk, LaidCourse, Lay, PileStone } from './pile.js';

const ask = (pile: PileStone[], more: Partial<FitAsk> = {}): FitAsk => ({
  pile,
  length: 1000,
  height: 320,
  depth: 450,
  joint: 10,
  lap: 75,
  tops: 10,
  least: 100,
  ...more,
});
function toTheEnd(a: FitAsk, how: { seed?: number; steps?: number } = {}): { best: Lay; shown: Lay[] } {
  const steps = fitted(a, how);
  const shown: Lay[] = [];
  for (;;) {
    const step = steps.next();
    if (step.done) return { best: step.value.lay, shown };
    if (step.value) shown.push(step.value.lay);
  }
}
const side = fc.integer({ min: 12, max: 45 }).map((n) => n * 10);
const pileOf = (least: number, most: number): fc.Arbitrary<PileStone[]> =>
  fc
    .array(
      fc.record({ length: side, height: fc.integer({ min: 8, max: 20 }).map((n) => n * 10), depth: side }),
      {
        minLength: least,
        maxLength: most,
      },
    )
    .map((all) => all.map((s, i) => ({ id: String(i), ...s })));

/** None, or one somewhere in a stretch of a metre by 320 mm. */
const anOpening = fc.option(
  fc
    .tuple(
      fc.integer({ min: 0, max: 60 }),
      fc.integer({ min: 15, max: 60 }),
      fc.integer({ min: 0, max: 25 }),
      fc.integer({ min: 10, max: 40 }),
    )
    .map(([at, wide, sill, high]): Around => ({
      from: at * 10,
      to: Math.min(1000, (at + wide) * 10),
      bottom: sill * 10,
      top: (sill + high) * 10,
    })),
  { nil: null },
);

/** Whether a course stands against an opening by more than is bedded. */
const meets = (a: FitAsk, h: Around, c: { bottom: number; height: number }): boolean =>
  h.bottom < c.bottom + c.height - a.tops && h.top > c.bottom + a.tops;

/** Its first stone as it came says what a course keeps out of, though others bring it lower. */
const keptOutOf = (a: FitAsk, { bottom, stones: [first] }: LaidCourse): Around[] =>
  (a.around ?? []).filter((h) =>
    meets(a, h, { bottom, height: (first?.height ?? 0) + (first?.offTop ?? 0) }),
  );

/** The stretch beside openings, from where to where. */
const partsBeside = (a: FitAsk, holes: readonly Around[]): [number, number][] => {
  const edges = [0, ...holes.flatMap((h) => [h.from, h.to]), a.length];
  return edges.flatMap((from, i): [number, number][] => {
    const to = edges[i + 1];
    return i % 2 === 0 && to !== undefined && to - from > 1e-6 ? [[from, to]] : [];
  });
};

/** What a lay costs, worked out from where its stones lie and from nothing else. */
function weighed(a: FitAsk, lay: Lay): number {
  const near = (x: number, y: number): boolean => Math.abs(x - y) < a.lap - 1e-6;
  let cost = 0;
  // A joint is where a stone begins a joint's width past the end of another of its course.
  const joints = lay.courses.map((c) =>
    c.stones.flatMap((s) =>
      c.stones.some((o) => Math.abs(o.at + o.length + a.joint - s.at) < 1e-6) ? [s.at - a.joint / 2] : [],
    ),
  );
  joints.forEach((all, i) =>
    all.forEach((j) => (cost += (joints[i - 1] ?? []).some((b) => near(b, j)) ? 20 : 0)),
  );
  let top = 0;
  let before = 0;
  for (const c of lay.courses) {
    for (const s of c.stones) {
      if (s.length < a.least) cost += 20;
      cost += (s.offEnd * (s.height + s.offTop) + s.offTop * s.length) / 1e6;
      if (!s.longIn && s.length > s.depth) cost += 0.05;
    }
    // Open beside a course: what of its length is neither stone, joint nor opening, by its height.
    const holes = keptOutOf(a, c);
    const parts = partsBeside(a, holes);
    for (const [from, to] of parts) {
      const end = Math.max(
        from,
        ...c.stones.filter((s) => s.at >= from && s.at < to).map((s) => s.at + s.length),
      );
      if (to - end > a.joint + 1e-6) cost += (4 * (to - end) * c.height) / 1e6;
    }
    for (const h of holes)
      cost +=
        (4 *
          (h.to - h.from) *
          (Math.max(0, h.bottom - c.bottom) + Math.max(0, c.bottom + c.height - h.top))) /
        1e6;
    const mean = c.stones.reduce((sum, s) => sum + s.length * s.height * s.depth, 0) / c.stones.length;
    if (before > 0) cost += 0.2 * Math.max(0, mean / before - 1);
    before = mean;
    top = c.bottom + c.height;
  }
  const end = a.height - a.tops;
  const left = Math.max(0, end - top) * a.length;
  const openThere = (a.around ?? []).reduce(
    (sum, h) => sum + (h.to - h.from) * Math.max(0, Math.min(h.top, end) - Math.max(h.bottom, top)),
    0,
  );
  return cost + (4 * (left > 0 ? left - openThere : 0)) / 1e6;
}

/** Every order of a few stones, each either way. */
function* everyOrder(stones: PileStone[]): Generator<{ stone: PileStone; longIn: boolean }[]> {
  if (stones.length === 0) yield [];
  for (let i = 0; i < stones.length; i++)
    for (const rest of everyOrder(stones.filter((_, k) => k !== i)))
      for (const longIn of [true, false]) yield [{ stone: stones[i] as PileStone, longIn }, ...rest];
}

test('a lay keeps to its wall: nothing overlaps, nothing goes through the back, every stone once', () => {
  fc.assert(
    fc.property(pileOf(2, 25), fc.integer({ min: 1, max: 99 }), anOpening, (pile, seed, around) => {
      const a = ask(pile, around ? { around: [around] } : {});
      const { best } = toTheEnd(a, { seed, steps: 400 });
      const used = best.courses.flatMap((c) => c.stones.map((s) => s.stone));
      expect(new Set(used).size).toBe(used.length);
      expect([...used, ...best.unused].sort()).toEqual(pile.map((s) => s.id).sort());
      for (const c of best.courses) {
        c.stones.forEach((s, i) => {
          const next = c.stones[i + 1];
          expect(s.depth).toBeLessThanOrEqual(a.depth);
          expect(s.at + s.length).toBeLessThanOrEqual(a.length + 1e-6);
          // One beside the other, or an opening between.
          if (next && !keptOutOf(a, c).some((h) => next.at >= h.to - 1e-6 && s.at < h.from))
            expect(next.at).toBeCloseTo(s.at + s.length + a.joint, 6);
          for (const h of a.around ?? [])
            if (meets(a, h, c))
              expect(Math.min(h.to, s.at + s.length) - Math.max(h.from, s.at)).toBeLessThan(1e-6);
          // What was dressed off was there.
          const of = pile.find((p) => p.id === s.stone);
          const along = s.longIn
            ? Math.min(of?.length ?? 0, of?.depth ?? 0)
            : Math.max(of?.length ?? 0, of?.depth ?? 0);
          expect(s.length + s.offEnd).toBeCloseTo(along, 6);
          expect(s.height + s.offTop).toBeCloseTo(of?.height ?? 0, 6);
        });
        const tops = c.stones.map((s) => s.height);
        expect(Math.max(...tops) - Math.min(...tops)).toBeLessThanOrEqual(a.tops + 1e-6);
      }
      expect(best.cost).toBeCloseTo(weighed(a, best), 9);
    }),
    { numRuns: 60 },
  );
});

test('of a few stones it finds what looking at every order finds, nearly always', () => {
  const runs = process.env.LONG === '1' ? 300 : 40;
  let missed = 0;
  fc.assert(
    fc.property(pileOf(2, 5), fc.boolean(), (pile, open) => {
      const around = { from: 200, to: 320, bottom: 60, top: 300 };
      const a = ask(pile, { length: 500, height: 220, ...(open ? { around: [around] } : {}) });
      let least = Infinity;
      for (const order of everyOrder(stonesOf(pile))) {
        const lay = layInOrder(a, order);
        if (lay) least = Math.min(least, weighed(a, lay));
      }
      const { best } = toTheEnd(a, { steps: 4000 });
      expect(best.cost).toBeGreaterThanOrEqual(least - 1e-9);
      if (best.cost > least + 1e-6) missed += 1;
    }),
    { numRuns: runs, seed: 7 },
  );
  // It walks, and does not look at all: of three hundred piles it missed two.
  expect(missed).toBeLessThanOrEqual(runs * 0.01);
});

test('never worse than laying without looking ahead, better as a rule, and the same for the same seed', () => {
  let [better, all] = [0, 0];
  fc.assert(
    fc.property(pileOf(12, 40), fc.integer({ min: 1, max: 99 }), (pile, seed) => {
      const a = ask(pile, { length: 1500, height: 400 });
      const greedy = layInOrder(a, greedyOrder(a));
      const { best, shown } = toTheEnd(a, { seed, steps: 3000 });
      expect(best.cost).toBeLessThanOrEqual((greedy?.cost ?? Infinity) + 1e-9);
      // What is handed out only gets better, and the last of it is the best.
      const costs = shown.map((l) => l.cost);
      expect([...costs].sort((x, y) => y - x)).toEqual(costs);
      expect(toTheEnd(a, { seed, steps: 3000 }).best).toEqual(best);
      all += 1;
      if (best.cost < (greedy?.cost ?? Infinity) - 0.1) better += 1;
    }),
    { numRuns: 25, seed: 3 },
  );
  expect(better).toBeGreaterThan(all * 0.8);
});

test('alike ashlar is laid whole and crossed, with a half begun where the pile has one', () => {
  const whole: PileStone = { id: 'A', length: 390, height: 150, depth: 190, count: 8 };
  const half: PileStone = { id: 'H', length: 190, height: 150, depth: 190, count: 2 };
  const a = ask([whole, half], { length: 1190, height: 470, depth: 200, tops: 2 });
  const { best } = toTheEnd(a, { steps: 6000 });
  // 3 × 390 + 2 × 10, then two halves with two wholes between, then three wholes again: nothing is dressed or bought.
  expect(best).toMatchObject({ uncrossed: 0, slivers: 0, dressed: 0, open: 0 });
  expect(best.courses.map((c) => c.stones.length)).toEqual([3, 4, 3]);
});

test('round a window the courses go on beside it, and meet its sill and its head', () => {
  const whole: PileStone = { id: 'A', length: 390, height: 150, depth: 190, count: 8 };
  const window = (bottom: number, top: number): FitAsk =>
    ask([whole], {
      length: 1190,
      height: 470,
      depth: 200,
      tops: 2,
      around: [{ from: 400, to: 790, bottom, top }],
    });
  // A course high: three stones under it, one to either side, three over.
  const { best } = toTheEnd(window(155, 315), { steps: 3000 });
  expect(best).toMatchObject({ uncrossed: 0, slivers: 0, dressed: 0, open: 0, unused: [] });
  expect(best.courses.map((c) => c.stones.map((s) => s.at))).toEqual([
    [0, 400, 800],
    [0, 790],
    [0, 400, 800],
  ]);
  // A sill in the middle of a course: 75 under it, 390 wide, is to be made up.
  const [, second] = toTheEnd(window(235, 600), { steps: 3000 }).best.courses;
  expect([second?.stones.length, second?.lost]).toEqual([2, 390 * 75]);
  // As wide as the stretch, and higher than it: nothing is laid past its sill.
  const wide = { ...window(0, 0), around: [{ from: 0, to: 1190, bottom: 155, top: 600 }] };
  expect(toTheEnd(wide, { steps: 500 }).best.courses).toHaveLength(1);
});

test('nothing in the pile, and nothing that goes in', () => {
  expect(toTheEnd(ask([])).best).toMatchObject({ courses: [], unused: [] });
  const deep = ask([{ id: 'A', length: 900, height: 100, depth: 900 }]);
  expect(toTheEnd(deep).best.courses).toEqual([]);
});
