import { plan, type WallPlan } from '../plan/plan.js';
import { closed, documentOf, sayFor, soundJob, straight, type OneWall } from '../test/jobs.js';
import { setOutPlan, type SetOutPlan } from './setOutPlan.js';
import { placedWalls } from '../stages/set-out/placing.js';
import { drawnBeside } from './site.js';

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

test('what the tape read stands where it was held, and a corner that is out says which way it goes', () => {
  const w = { ...METRIC, line: closed(4000, 3000) };
  expect(of(w).taped).toBe('not-yet');
  expect(of({ ...METRIC, line: straight(4000) }).taped).toBe('never');
  // C and D both stand 100 on: AC = √(4100² + 3000²) = 5080.354…, BC = DA = √(100² + 3000²) = 3001.666….
  const out = of({
    ...w,
    wall: { square: { sides: [4000, 3001.6662, 4000, 3001.6662], diagonals: [5080.3543] } },
  });
  expect(out.taped).toBe('yes');
  expect(out.tapes.map((t) => [t.between, t.read])).toEqual([
    ['AB', true],
    ['BC', true],
    ['CD', true],
    ['DA', true],
    ['AC', true],
    ['BD', false],
  ]);
  // The second diagonal, not read yet, is what the other five make it: √(3900² + 3000²).
  expect(out.tapes[5]?.value).toBeCloseTo(Math.hypot(3900, 3000), 2);
  expect(texts(out, 'corner-move')).toEqual(['C 100 mm back', 'D 100 mm back']);
  expect(texts(out, 'diagonal-name')).toEqual([]);
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
  expect(p.spots).toMatchObject([
    { index: 0, run: 0, at: 4000, level: -6, x: 4000, y: 102.5 / 2, along: [1, 0] },
  ]);
  expect(p.scene.shapes.filter((s) => s.role === 'step-plan')).toHaveLength(1);
  expect(texts(p, 'opening-name')).toEqual(['Porch door']);
  expect(texts(p, 'line-name')).toEqual(['Shed']);
});

test('openings are pulled along their runs, and another run out of an open end', () => {
  const box = of({
    line: closed("16'", "12'"),
    height: "4'",
    openings: [{ id: 'W', run: 1, at: "4'", width: "2'", sill: "2'", head: "4'" }],
  });
  const [w] = box.openings;
  // Run 1 goes up the plan: its opening is pulled that way, and is half its width to either side.
  expect(w?.along.map(Math.round)).toEqual([0, 1]);
  expect(w?.half).toBeCloseTo(304.8 + 9.525 / 2, 0);
  expect(box.end).toBeNull();
  const open = of({ line: straight("16'"), height: "4'" });
  expect(open.end?.heading).toBe(0);
  expect(open.end?.x).toBeCloseTo(16 * 304.8 - 9.525, 3);
});

test('a wall drawn on another’s plan stands there on the site, and the other where it was seen', () => {
  const document = documentOf({ line: straight("16'"), height: "4'" });
  const drawn = drawnBeside(document, 0, [
    { x: 1000, y: 2000 },
    { x: 1000, y: 5000 },
  ]);
  expect(drawn?.stands).toEqual({ x: 1000, y: 2000, heading: 90 });
  expect(drawn?.host).toEqual({ x: 0, y: 0, heading: 0 });
  // A plan lies as the site does, however its wall is turned there: only where it begins is carried off.
  const [wall] = document.walls;
  const placed = {
    ...document,
    walls: [{ ...wall, place: { x: 10000, y: 0, heading: 90 } }],
  } as typeof document;
  const there = drawnBeside(placed, 0, [
    { x: 1000, y: 2000 },
    { x: 1000, y: 5000 },
  ]);
  expect(there?.stands).toEqual({ x: 11000, y: 2000, heading: 90 });
  expect(there?.host).toBeNull();
  const both = {
    ...placed,
    walls: [...placed.walls, { ...wall, id: 'other', place: there?.stands }],
  } as typeof document;
  const [a, b] = placedWalls(both).map((w) => w.points);
  // It stands from the first wall's beginning as far as it was drawn from it.
  expect(Math.hypot((b?.[0]?.x ?? 0) - (a?.[0]?.x ?? 0), (b?.[0]?.y ?? 0) - (a?.[0]?.y ?? 0))).toBeCloseTo(
    Math.hypot(1000, 2000),
    6,
  );
});
