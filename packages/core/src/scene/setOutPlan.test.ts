import { plan, type WallPlan } from '../plan/plan.js';
import { closed, documentOf, sayFor, soundJob, straight, type OneWall } from '../test/jobs.js';
import { setOutPlan, type SetOutPlan } from './setOutPlan.js';

const of = (w: OneWall, more: object = {}): SetOutPlan => {
  const job = soundJob({ ...documentOf(w), ...more });
  return setOutPlan(job, plan(job, [], { advise: false }).walls[0] as WallPlan, 'mm');
};
const METRIC = { profile: 'uk', show: 'mm', unit: 'brick-215x102.5x65', height: 900 } as const;
const texts = (p: SetOutPlan, role: string): string[] =>
  p.scene.shapes.flatMap((s) => (s.type === 'text' && s.role === role ? [sayFor('mm')(s.text)] : []));

test('a building has a corner to pull where each run begins, and a length to type for each', () => {
  const p = of({ ...METRIC, line: closed(8990, 5390) });
  expect(p.corners.map(({ corner, x, y }) => [corner, Math.round(x), Math.round(y)])).toEqual([
    [0, 0, 0],
    [1, 8990, 0],
    [2, 8990, 5390],
    [3, 0, 5390],
  ]);
  expect(p.lengths.map((l) => [l.run, l.stated, l.item])).toEqual([
    [0, 8990, 0],
    [1, 5390, 2],
    [2, 8990, 4],
    [3, 5390, 6],
  ]);
  // A length that can be typed is not written as well.
  expect(texts(p, 'dimension-name')).toEqual([]);
});

test('the diagonals of a rectangle are alike, by Pythagoras; an L has none', () => {
  // √(3000² + 4000²) = 5000.
  expect(texts(of({ ...METRIC, line: closed(4000, 3000) }), 'diagonal-name')).toEqual([
    '5000 mm both ways across',
  ]);
  const corner = [...straight(4000), { turn: 90 }, { run: 3000 }];
  expect(texts(of({ ...METRIC, line: corner }), 'diagonal-name')).toEqual([]);
});

test('an open line has its two ends to pull too; a curve is not pulled', () => {
  const open = of({ ...METRIC, line: [...straight(4000), { turn: 90 }, { run: 3000 }] });
  expect(open.corners.map((c) => c.corner)).toEqual([0, 1, 2]);
  expect(of({ ...METRIC, line: [{ arc: 3000, sweep: 90 }] }).corners).toEqual([]);
});

test('levels as poured, steps of the footing, openings and the walls beside it stand on the plan', () => {
  const w: OneWall = {
    ...METRIC,
    line: closed(8990, 5390),
    openings: [{ id: 'D', name: 'Porch door', run: 0, at: 1000, width: 910, sill: 0, head: 825 }],
    wall: {
      footing: { width: 600, depth: 225 },
      poured: [{ run: 0, at: 4000, level: -6 }],
      steps: [{ id: 'S', run: 1, from: 2700, to: 5390, up: 2 }],
    },
  };
  const [first] = documentOf(w).walls;
  const p = of(w, { walls: [first, { ...first, id: 'other', name: 'Shed', openings: [] }] });
  expect(texts(p, 'plan-level')).toEqual(['−6 mm']);
  expect(p.scene.shapes.filter((s) => s.role === 'step-plan')).toHaveLength(1);
  expect(texts(p, 'opening-name')).toEqual(['Porch door']);
  expect(texts(p, 'line-name')).toEqual(['Shed']);
});
