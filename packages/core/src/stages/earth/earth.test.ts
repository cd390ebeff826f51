import { checkJob } from '../../job/check.js';
import type { Job, Wall } from '../../job/types.js';
import { plan, type WallPlan } from '../../plan/plan.js';
import { ADOBE_HUT, SQUARE } from '../../test/adobeHut.js';
import { documentOf, soundJob, type OneWall } from '../../test/jobs.js';
import { unheldIn } from './held.js';

const PLATE: NonNullable<Wall['plate']> = { kind: 'timber', height: 150 };
const RAIN: NonNullable<Wall['rain']> = { base: 200, dpc: true, eaves: 600 };
function hut(
  more: Partial<OneWall> = {},
  wall: Partial<Wall> = { bears: 'roof' },
  advise = false,
): [Job, WallPlan] {
  const document = documentOf({
    ...ADOBE_HUT,
    ...more,
    wall: { plate: PLATE, rain: RAIN, ...more.wall, ...wall },
  });
  if (document.walls[0]?.plate === NONE) delete document.walls[0].plate;
  const job = soundJob({ ...document, units: SQUARE });
  const [planned] = plan(job, [], { advise }).walls;
  if (!planned) throw new Error('no wall');
  return [job, planned];
}
/** No plate is stated. */
const NONE: NonNullable<Wall['plate']> = { kind: 'timber', height: 1 };

const codes = (p: WallPlan): string[] => p.findings.map((f) => f.code).filter((c) => c.startsWith('earth-'));

test('between its corners the long side is 3.800 clear: 9.5 times as long as thick, with 6 times as high 17.0 of 17.5 (E9)', () => {
  const [, p] = hut();
  expect(unheldIn(p.wall, 0)).toEqual([{ run: 0, from: 400, to: 4200 }]);
  expect(codes(p)).toEqual([]);
  // A wall of 6.05 thicknesses is too high by itself; two courses less and longer, the two together are too much.
  expect(codes(hut({ height: 2520 })[1])).toEqual(['earth-too-high']);
  const long = [
    { run: 5020 },
    { turn: 90 },
    { run: 3760 },
    { turn: 90 },
    { run: 5020 },
    { turn: 90 },
    { run: 3760 },
    { turn: 90 },
  ];
  // 10.55 long is past 10; a buttress in the middle halves it.
  expect(codes(hut({ line: long })[1])).toEqual(['earth-unheld', 'earth-unheld']);
  const pier = (run: number): object => ({ id: `P${run}`, run, at: 2310, width: 400, side: 'outside' });
  expect(
    codes(hut({ line: long }, { bears: 'roof', piers: [pier(0), pier(2)] as Wall['piers'] })[1]),
  ).toEqual([]);
});

test('nobody has said what it bears: asked, and either answer settles it; what only fills a frame is not judged by its height', () => {
  const [job, p] = hut({ height: 3000 }, {}, true);
  const asked = p.findings.find((f) => f.code === 'earth-bears-not-said');
  expect(asked?.severity).toBe('choice');
  expect(asked?.fixes.map((f) => f.edit)).toEqual([
    [{ op: 'add', path: '/walls/0/bears', value: 'roof' }],
    [{ op: 'add', path: '/walls/0/bears', value: 'none' }],
  ]);
  expect(codes(p)).toContain('earth-too-high');
  expect(codes(hut({ height: 3000 }, { bears: 'none' })[1])).toEqual([]);
  const wrong = checkJob({ ...job, walls: [{ ...job.walls[0], bears: 'snow' }] });
  expect(wrong.ok ? [] : wrong.faults.map((f) => f.path)).toEqual(['/walls/0/bears']);
});

test('openings: a third of a side at most; in feet 28 in from an outside corner, and moved in by a press', () => {
  const door = (width: number): Partial<OneWall> => ({
    openings: [{ id: 'D', run: 0, at: 1680, width, sill: 0, head: 2040 }],
  });
  expect(codes(hut(door(860))[1])).toEqual([]);
  expect(codes(hut(door(1700))[1])).toEqual(['earth-much-open']);
  const feet: Partial<OneWall> = {
    show: 'ft-in',
    unit: 'adobe-14x10x4',
    line: [
      { run: "18'" },
      { turn: 90 },
      { run: "13'" },
      { turn: 90 },
      { run: "18'" },
      { turn: 90 },
      { run: "13'" },
      { turn: 90 },
    ],
    height: '8\' 9"',
    openings: [
      { id: 'W', run: 0, at: '1\' 10"', width: "3'", sill: '2\' 11"', head: '6\' 8"', keep: 'wish' },
    ],
    build: {},
  };
  const [, p] = hut(feet, { bears: 'roof' }, true);
  const near = p.findings.find((f) => f.code === 'earth-opening-near-corner');
  expect(near).toMatchObject({ severity: 'choice', opening: 'W' });
  expect(near?.fixes.length).toBeGreaterThan(0);
  // Ten times fourteen inches is 11 ft 8 in; twelve feet is past it, and a wall ten inches thick is past its own at 8 ft 9.
  expect(codes(hut({ ...feet, openings: [], height: '12\' 1"' })[1])).toEqual(['earth-too-high']);
  expect(codes(hut({ ...feet, openings: [], unit: 'adobe-10x14x4' })[1])).toEqual(['earth-too-high']);
  // Past 24 ft nothing holds it.
  const long = [
    { run: "27'" },
    { turn: 90 },
    { run: "13'" },
    { turn: 90 },
    { run: "27'" },
    { turn: 90 },
    { run: "13'" },
    { turn: 90 },
  ];
  expect(codes(hut({ ...feet, openings: [], line: long })[1])).toEqual(['earth-unheld', 'earth-unheld']);
});

test('a wall of one straight run, one that holds soil and one of block are judged elsewhere', () => {
  expect(codes(hut({ line: [{ run: 4600 }] }, {})[1])).toEqual([]);
  expect(codes(hut({ unit: 'block-440x215x100', build: {} }, {})[1])).toEqual([]);
});

test('a garden wall with a corner in it may stand free: that is offered too, and settles it', () => {
  const [, p] = hut({ line: [{ run: 4600 }, { turn: 90 }, { run: 3760 }], height: 720 }, {}, true);
  const asked = p.findings.find((f) => f.code === 'earth-bears-not-said');
  expect(asked?.fixes.map((f) => f.edit[0])).toContainEqual({
    op: 'add',
    path: '/walls/0/held',
    value: 'free-standing',
  });
});

test('a roof on earth sits on a plate or a beam all round: asked for, and a low beam of concrete with it', () => {
  const [, none] = hut({}, { bears: 'roof', plate: NONE }, true);
  expect(codes(none)).toEqual(['earth-no-plate']);
  expect(none.findings.find((f) => f.code === 'earth-no-plate')?.fixes).toHaveLength(2);
  expect(none.plate).toBeNull();
  const [, low] = hut({}, { bears: 'roof', plate: { kind: 'concrete', height: 100 } }, true);
  expect(low.findings.find((f) => f.code === 'earth-no-plate')?.fixes).toHaveLength(1);
  const [, sound] = hut();
  expect(sound.plate).toBe(2 * (4600 + 3760));
  expect(codes(hut({}, { bears: 'none', plate: NONE })[1])).toEqual([]);
});

test('earth begins over the splash of rain, where the ground was measured', () => {
  const at = (level: number): string[] => {
    const [job] = hut();
    const wet = { ...job, site: { points: [{ id: 'L', name: 'Yard', is: 'ground', level }] } } as Job;
    const [p] = plan(soundJob(wet), [], { advise: false }).walls;
    return p ? codes(p) : [];
  };
  expect(at(-100)).toEqual(['earth-base-low']);
  expect(at(-150)).toEqual([]);
});

test('between posts a joint may open past what a wall that bears may have', () => {
  const limits = (bears: 'roof' | 'none'): number => hut({}, { bears })[1].wall.profile.bed.most / 24_000;
  expect([limits('roof'), limits('none')]).toEqual([25.4, 38.1]);
});
