import { documentOf, faultsOf, jobOf, straight, type OneWall } from '../test/jobs.js';
import { setOutWall, type SetWall } from '../stages/set-out/wall.js';
import type { LineItem } from './types.js';

/*
 * What a count comes to is the contract's: n modules and one joint less than the ends that stop against other work. Brick and
 * joint below are 215 and 10 mm, so a module is 225; a course of 65 and 10 is 75.
 */
const UK: OneWall = { line: [], height: '12 courses', unit: 'brick-215x102.5x65', profile: 'uk', show: 'mm' };
const US: OneWall = { line: [], height: '8\' 8"', unit: 'cmu-8x8x16' };
const set = (w: OneWall): SetWall => setOutWall(jobOf(w), 0);
const runs = (w: OneWall, line: LineItem[]): number[] => set({ ...w, line }).runs.map((r) => r.length);

test('a run between free ends is a joint less than its modules, and each inside corner gives one back', () => {
  expect(runs(UK, [{ run: '5 bricks' }])).toEqual([5 * 225 - 10]);
  // A left turn is an outside corner, with the outside on the right; a right turn an inside one.
  expect(runs(UK, [{ run: '5 bricks' }, { turn: 90 }, { run: '4 bricks' }])).toEqual([1115, 890]);
  expect(runs(UK, [{ run: '5 bricks' }, { turn: -90 }, { run: '4 bricks' }])).toEqual([1125, 900]);
  expect(
    runs(UK, [{ run: '5 bricks' }, { turn: -90 }, { run: '4 bricks' }, { turn: -90 }, { run: '5 bricks' }]),
  ).toEqual([1125, 910, 1125]);
  expect(runs(UK, [{ run: '2 1/2 bricks' }])).toEqual([2.5 * 225 - 10]);
});

test('a building in bricks closes, and a yard walled round closes with its inside corners', () => {
  const four = (turn: number): LineItem[] => [
    { run: '20 bricks' },
    { turn },
    { run: '10 bricks' },
    { turn },
    { run: '20 bricks' },
    { turn },
    { run: '10 bricks' },
  ];
  const house = set({ ...UK, line: four(90) });
  expect(house.line.closed).toBe(true);
  expect(house.runs.map((r) => r.length)).toEqual([4490, 2240, 4490, 2240]);
  const yard = set({ ...UK, line: four(-90) });
  expect(yard.line.closed).toBe(true);
  expect(yard.runs.map((r) => r.length)).toEqual([4510, 2260, 4510, 2260]);
});

test('a run that ends on another wall has a joint there', () => {
  const job = documentOf({ ...UK, line: straight('20 bricks') });
  const [wall] = job.walls;
  if (!wall) throw new Error('no wall');
  const partition = {
    ...wall,
    id: 'p',
    line: straight('6 bricks'),
    meets: { wall: 'w', run: 0, at: '8 bricks' },
  };
  const both = { ...job, walls: [wall, partition] } as never;
  expect(faultsOf(both)).toEqual([]);
  expect(setOutWall(both, 1).runs[0]?.length).toBe(6 * 225);
});

test('where lengths are nominal the result is still the actual length', () => {
  const [joint, module] = [9.525, 406.4];
  expect(runs(US, straight('15 blocks'))).toEqual([expect.closeTo(15 * module - joint, 6)]);
  const wall = set({
    ...US,
    line: straight('15 blocks'),
    openings: [{ at: '3 blocks', width: '2 blocks', sill: '0 courses', head: '10 courses' }],
  });
  // At n modules, as stated: 4 ft, which clears a joint before it.
  expect(wall.openings[0]?.from).toBeCloseTo(3 * module - joint, 6);
  expect((wall.openings[0]?.to ?? 0) - (wall.openings[0]?.from ?? 0)).toBeCloseTo(2 * module + joint, 6);
  expect(wall.openings[0]?.head).toBeCloseTo(10 * 203.2, 6);
});

test('what stands in a wall may be counted too: openings, piers, joints, tops', () => {
  const wall = set({
    ...UK,
    line: straight('20 bricks'),
    openings: [{ at: '3 bricks', width: '4 bricks', sill: '2 courses', head: '10 courses' }],
    wall: {
      piers: [{ id: 'P', run: 0, at: '10 bricks', width: '1 1/2 bricks' }],
      joints: [{ id: 'J', run: 0, at: '14 bricks' }],
      tops: [
        {
          id: 'T',
          run: 0,
          kind: 'raked',
          from: '15 bricks',
          to: '19 bricks',
          left: '11 courses',
          right: '12 courses',
        },
      ],
    },
  });
  expect(wall.height).toBe(12 * 75);
  expect(wall.openings[0]).toMatchObject({ from: 675, to: 675 + 910, sill: 150, head: 750 });
  expect(wall.piers[0]).toMatchObject({ from: 2250, to: 2250 + 327.5 });
  expect(((wall.joints[0]?.from ?? 0) + (wall.joints[0]?.to ?? 0)) / 2).toBe(14 * 225);
  expect(wall.tops[0]).toMatchObject({ from: 3375, to: 4275, left: 825, right: 900 });
});

test('bricks are counted along a wall and courses up it, and neither elsewhere', () => {
  const fault = (w: Partial<OneWall>): string[] =>
    faultsOf(documentOf({ ...UK, line: straight('20 bricks'), ...w }));
  expect(fault({})).toEqual([]);
  expect(fault({ height: '4 bricks' })).toEqual([expect.stringMatching(/^\/walls\/0\/height: .*"4 bricks"/)]);
  expect(fault({ line: straight('4 courses') })).toEqual([
    expect.stringMatching(/^\/walls\/0\/line\/0\/run: /),
  ]);
  expect(fault({ build: { bed: '1 brick' } })).toEqual([expect.stringMatching(/^\/walls\/0\/build\/bed: /)]);
  expect(fault({ line: straight('0 bricks') })).toEqual([
    expect.stringMatching(/wanted more than 0, got "0 bricks"/),
  ]);
  expect(fault({ line: straight('999999 bricks') })).toEqual(
    expect.arrayContaining([expect.stringMatching(/at most 1 km/)]),
  );
  expect(fault({ height: '9999 courses' })).toEqual(
    expect.arrayContaining([expect.stringMatching(/at most 100 m/)]),
  );
  expect(fault({ unit: 'nothing' })).toEqual([expect.stringMatching(/^\/walls\/0\/build\/unit/)]);
});

test('an opening says its run where the wall has more than one', () => {
  const opening = { id: 'D', at: 1000, width: 900, sill: 0, head: 600 };
  const one = documentOf({ ...UK, line: straight('4 m') });
  Object.assign(one.walls[0] ?? {}, { openings: [opening] });
  expect(faultsOf(one)).toEqual([]);
  expect(setOutWall(one, 0).openings[0]?.run).toBe(0);
  const two = documentOf({ ...UK, line: [{ run: '4 m' }, { turn: 90 }, { run: '4 m' }] });
  Object.assign(two.walls[0] ?? {}, { openings: [opening] });
  expect(faultsOf(two)).toEqual(['/walls/0/openings/0/run: wanted a run from 0 to 1, got nothing']);
});
