import { plan, type WallPlan } from '../../plan/plan.js';
import { mudView, type MudView } from '../../scene/mudView.js';
import { documentOf, soundJob, straight, type OneWall } from '../../test/jobs.js';

const WALL: OneWall = { line: straight("24'"), height: "6'" };
const wallOf = (mud: object, more: object = {}, wall: OneWall = WALL): [MudView, WallPlan] => {
  const job = soundJob({ ...documentOf(wall), mud, ...more });
  const [planned] = plan(job, [], { advise: false }).walls;
  if (!planned) throw new Error('no wall');
  return [mudView(job, planned), planned];
};
const SHOVEL = { name: 'shovel', holds: '0.25 ft3' };
const DRUM = { kind: 'drum', holds: '9 ft3' };

test('by the bag: a bag of cement is a cubic foot, and 1 : 3 of it is twelve shovels of a quarter foot', () => {
  const [view] = wallOf({
    mix: 'cement-sand-3',
    mixer: { ...DRUM, holds: '4 ft3' },
    measure: SHOVEL,
    bags: true,
  });
  expect(view.batches[0]?.measures.map((m) => [m.of, m.count, m.by])).toEqual([
    ['portland', 1, 'bag'],
    ['sand', 12, 'measure'],
  ]);
  expect(view.batches[0]?.error).toBe(0);
});

test('lime that does not keep to its part by the bag goes in by the shovel, and the cement still by the bag', () => {
  // A 50 lb bag of lime is 1¼ cubic feet, and half a foot is wanted to a foot of cement.
  const [view] = wallOf({ mix: 'cement-lime-s', mixer: DRUM, measure: SHOVEL, bags: true });
  expect(view.batches[0]?.measures.map((m) => [m.of, m.count, m.by])).toEqual([
    ['portland', 1, 'bag'],
    ['lime-hydrated', 2, 'measure'],
    ['sand', 18, 'measure'],
  ]);
});

test('where no whole bag goes into the mixer it is measured as before', () => {
  const small = {
    mix: 'cement-lime-s',
    mixer: { kind: 'barrow', holds: '2 ft3' },
    measure: { holds: '2 L', name: 'tin' },
  };
  const [bags] = wallOf({ ...small, bags: true });
  const [plain] = wallOf(small);
  expect(bags.batches[0]?.measures).toEqual(plain.batches[0]?.measures);
  expect(bags.batches[0]?.measures.every((m) => m.by === 'measure')).toBe(true);
});

test('one person’s batch is laid out before it is dead in the heat, and is nothing where a whole one is', () => {
  const brick: OneWall = {
    profile: 'uk',
    show: 'mm',
    unit: 'brick-215x102.5x65',
    line: straight(8990),
    height: 2400,
  };
  const crew = { people: [{ id: 'a', name: 'Ann', does: 'lays' }], pace: { 'brick-215x102.5x65': 45 } };
  const [view, wall] = wallOf(
    { mixer: { kind: 'drum', holds: '130 L' }, measure: { name: 'tin', holds: '5 L' } },
    { crew },
    brick,
  );
  const one = view.batches[0]?.one;
  if (!one) throw new Error('no batch for one');
  // Two hours in the heat less ten minutes of mixing, at 45 an hour: 82 bricks at most.
  expect(one.lays).toBeLessThanOrEqual(82);
  expect(one.minutes).toBeLessThanOrEqual(110 + 1e-6);
  expect(one.makes / wall.mud.perPiece).toBeCloseTo((one.minutes / 60) * 45, 6);
  const [fast] = wallOf(
    { mixer: { kind: 'bucket', holds: '20 L' }, measure: { holds: '2 L', name: 'tin' } },
    { crew: { ...crew, pace: { 'brick-215x102.5x65': 60 } } },
    brick,
  );
  expect(fast.batches[0]?.one).toBeNull();
});
