import type { Wall } from '../../job/types.js';
import { checkJob } from '../../job/check.js';
import { plan, type WallPlan } from '../../plan/plan.js';
import { mudView } from '../../scene/mudView.js';
import { documentOf, soundJob, straight, type OneWall } from '../../test/jobs.js';
import { mixNeeds } from './stage.js';

const BRICK: OneWall = {
  profile: 'uk',
  show: 'mm',
  unit: 'brick-215x102.5x65',
  line: straight(4490),
  height: 1500,
};
const pointed = (repoint: Wall['repoint'], wall: OneWall = BRICK): WallPlan => {
  const job = soundJob(documentOf({ ...wall, wall: repoint ? { repoint } : {} }));
  const [planned] = plan(job, [], { advise: false }).walls;
  if (!planned) throw new Error('no wall');
  return planned;
};

test('the joints of a face are a bed under every course and a perp between every two bricks', () => {
  // 4490 is twenty bricks less a joint; every other course has 19 and two halves. Twenty courses of 75.
  const beds = 20 * 4490;
  const perps = (10 * 19 + 10 * 20) * 65;
  expect(pointed({ depth: 25 }).repointing?.joints).toBeCloseTo(beds + perps, 6);
  const door = pointed(
    { depth: 25 },
    { ...BRICK, openings: [{ id: 'D', run: 0, at: 1800, width: 910, sill: 0, head: 1500 }] },
  );
  // A door as high as the wall takes its own width out of every bed.
  expect(door.repointing?.joints).toBeLessThan(beds + perps - 20 * 900);
});

test('metres raked and left, layers, and the mud of each, of the mix that is said', () => {
  const wall = pointed({
    depth: 45,
    width: 12,
    joints: '100 m',
    raked: '40 m',
    pointed: '25 m',
    mix: 'nhl-2',
    behind: 'nhl-3.5',
  });
  const p = wall.repointing;
  // 45 mm in layers of at most 20: three of 15.
  expect(p).toMatchObject({ toRake: 60_000, toPoint: 75_000, layers: 3, layer: 15, shallow: null });
  expect(p?.face).toBeCloseTo(100 * 0.012 * 0.015, 12);
  expect(p?.behind).toBeCloseTo(2 * 100 * 0.012 * 0.015, 12);
  expect(p?.left).toBeCloseTo(0.75 * 3 * 100 * 0.012 * 0.015 * 1.15, 12);
  const needs = mixNeeds(wall).map(({ mix, used }) => [mix.id, Number(used.toFixed(6))]);
  expect(needs).toContainEqual(['nhl-2', 0.0207]);
  expect(needs).toContainEqual(['nhl-3.5', 0.0414]);
});

test('raked too little it does not hold (BIA TN 46, from memory), and nobody who does not point again is asked', () => {
  expect(pointed({ depth: 12 }).repointing?.shallow).toBe(20);
  expect(pointed({ depth: 20 }).repointing?.shallow).toBeNull();
  expect(pointed(undefined).repointing).toBeNull();
  const job = soundJob(documentOf(BRICK));
  expect(mudView(job, pointed(undefined)).repointing).toBeNull();
  const wrong = checkJob({ ...documentOf({ ...BRICK, wall: { repoint: { depth: 20, mix: 'putty' } } }) });
  expect(wrong.ok ? [] : wrong.faults.map((f) => f.path)).toEqual(['/walls/0/repoint/mix']);
});
