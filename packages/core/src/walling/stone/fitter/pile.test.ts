import fc from 'fast-check';
import type { JobDocument, Wall } from '../../../job/types.js';
import { setOutWall } from '../../../stages/set-out/wall.js';
import { plan } from '../../../plan/plan.js';
import { soundJob } from '../../../test/jobs.js';
import { fitted, type Fitted, type FitHow } from './fit.js';
import { pileAsRows, pileFromRows } from './fromRows.js';
import { filedOrder, fitAsk, fitOrder } from './ofWall.js';
import type { FitAsk } from './pile.js';

const last = (ask: FitAsk, how: FitHow): Fitted => {
  const steps = fitted(ask, how);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
};

test('a pile is read a stone a line, by its head where it has one', () => {
  const pile = [
    { id: 'A', length: 450, height: 180, depth: 260, count: 2, use: 'face' as const },
    { id: '2', length: 600, height: 150, depth: 200 },
  ];
  expect(
    pileFromRows(
      [
        ['A', '450', '180', '260', '2', 'face'],
        ['', '600', '150', '200'],
      ],
      'mm',
    ),
  ).toEqual({
    ok: true,
    pile,
  });
  expect(
    pileFromRows(
      [
        ['use', 'id', 'depth', 'height', 'length'],
        ['quoin', 'Q', '10"', '8"', '18"'],
      ],
      'ft-in',
    ),
  ).toEqual({ ok: true, pile: [{ id: 'Q', length: '1\' 6"', height: '8"', depth: '10"', use: 'quoin' }] });
  expect(pileFromRows(pileAsRows(pile), 'mm')).toEqual({ ok: true, pile });
});

test.each([
  [[['A', '450', 'tall', '260']], { line: 1, key: 'height', got: 'tall' }],
  [
    [
      ['A', '450', '180', '260'],
      ['A', '1', '1', '1'],
    ],
    { line: 2, key: 'id', got: 'A' },
  ],
  [[['A', '450', '180', '260', '0']], { line: 1, key: 'count', got: '0' }],
  [[['A', '450', '180', '260', '1', 'ballast']], { line: 1, key: 'use', got: 'ballast' }],
  [[['A', '450']], { line: 1, key: 'line', got: 'A, 450' }],
])('what does not read in a pile is named by its line: %j', (rows, wrong) => {
  expect(pileFromRows(rows, 'mm')).toEqual({ ok: false, ...wrong });
});

const jobWith = (pile: JobDocument['pile'], fit: NonNullable<Wall['fit']>): JobDocument => ({
  format: 'even-tally/job',
  version: 1,
  name: 'Pile',
  show: 'mm',
  profile: 'uk',
  ...(pile ? { pile } : {}),
  walls: [
    {
      id: 'w',
      name: 'W',
      line: [{ run: 3000 }],
      height: 900,
      build: { kind: 'rubble', stone: 'granite', thickness: 450, joint: 10 },
      fit,
    },
  ],
});
const stones = fc
  .array(
    fc.record({
      length: fc.integer({ min: 150, max: 600 }),
      height: fc.integer({ min: 80, max: 220 }),
      depth: fc.integer({ min: 120, max: 400 }),
    }),
    { minLength: 6, maxLength: 16 },
  )
  .map((all) => all.map((s, i) => ({ id: `S${i}`, ...s })));

test('what is pinned stays where it is, and the same ask lays the same wall', () => {
  fc.assert(
    fc.property(stones, fc.nat(5), fc.nat(1000), (pile, pin, seed) => {
      const job = jobWith(pile, { length: 1200, height: 400 });
      const ask = fitAsk(job, setOutWall(job, 0), job.walls[0]?.fit ?? {}) as FitAsk;
      const start = fitOrder(ask, undefined);
      const how = { seed, steps: 600, start, pins: [pin] };
      const one = last(ask, how);
      expect(one.order[pin]?.stone.id).toBe(start[pin]?.stone.id);
      expect(one.order.map((n) => n.stone.id).sort()).toEqual(start.map((n) => n.stone.id).sort());
      expect(last(ask, how)).toEqual(one);
    }),
    { numRuns: 40 },
  );
});

test('a lay that was kept is laid again from the file, whatever has gone from the pile or come to it', () => {
  const pile = [
    { id: 'A', length: 400, height: 150, depth: 250, count: 3 },
    { id: 'B', length: 500, height: 150, depth: 200, count: 2 },
    { id: 'T', length: 450, height: 150, depth: 200, use: 'through' as const },
  ];
  const job = jobWith(pile, { use: 'face', length: 1300, height: 150 });
  const ask = fitAsk(job, setOutWall(job, 0), job.walls[0]?.fit ?? {}) as FitAsk;
  // Throughs are kept for throughs.
  expect(ask.pile.map((s) => s.id)).toEqual(['A', 'B']);
  const order = filedOrder(last(ask, { seed: 3, steps: 400 }).order);
  const kept = plan(soundJob(jobWith(pile, { use: 'face', length: 1300, height: 150, order }))).walls[0]?.fit;
  expect(kept?.order.map((n) => n.stone.id)).toEqual(order.map((o) => o.stone));
  expect(kept?.lay.cost).toBeLessThanOrEqual(kept?.greedy.cost ?? 0);
  const fewer = jobWith(pile.slice(0, 1), { use: 'face', length: 1300, height: 150, order });
  expect(plan(soundJob(fewer)).walls[0]?.fit?.order.map((n) => n.stone.id)).toEqual(['A', 'A', 'A']);
});

test('of a large pile the first sixty are searched through', () => {
  const job = jobWith([{ id: 'A', length: 300, height: 150, depth: 200, count: 400 }], {});
  const ask = fitAsk(job, setOutWall(job, 0), {}) as FitAsk;
  expect(ask.pile[0]?.count).toBe(60);
});
