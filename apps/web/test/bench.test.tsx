import { checkJob, plan, benchView, type Job, type BenchView } from '@even-tally/core';
import { layOut } from '../src/bench/layout';
import { openingEdit } from '../src/bench/openingEdits';
import { lineFor, shapeOf } from '../src/stages/set-out/shapes';
import { openPlanner } from '../src/workers/planner';

const job = (openings: object[] = []): Job => {
  const checked = checkJob({
    format: 'even-tally/job',
    version: 1,
    name: 'T',
    show: 'ft-in',
    profile: 'us',
    walls: [
      {
        id: 'n',
        name: 'North',
        line: [{ run: "24'" }],
        height: '8\' 8"',
        build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half' },
        openings,
      },
    ],
  });
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  return checked.job;
};
const W1 = { id: 'W1', run: 0, at: '14\' 3"', width: "4'", sill: '3\' 4"', head: '6\' 8"' };
const viewOf = (j: Job): BenchView => {
  const p = plan(j).walls[0];
  if (!p) throw new Error('no wall');
  return benchView(j, p, 0, 'ft-in', true);
};

test('an opening dragged near a perp settles on it; further off it goes by inches', () => {
  const view = viewOf(job([W1]));
  const [o] = view.openings;
  if (!o) throw new Error('no opening');
  expect(openingEdit(view, o, 'body', -2.6 * 25.4, 0, 30, 'ft-in')).toEqual([
    { op: 'replace', path: '/walls/0/openings/0/at', value: "14'" },
  ]);
  expect(openingEdit(view, o, 'body', 1.2 * 25.4, 0, 5, 'ft-in')).toEqual([
    { op: 'replace', path: '/walls/0/openings/0/at', value: '14\' 4"' },
  ]);
  expect(openingEdit(view, o, 'head', 0, 7 * 25.4, 60, 'ft-in')).toEqual([
    { op: 'replace', path: '/walls/0/openings/0/head', value: '7\' 4"' },
  ]);
  expect(openingEdit(view, o, 'right', 4.6 * 25.4, 0, 30, 'ft-in')).toEqual([
    { op: 'replace', path: '/walls/0/openings/0/width', value: '4\' 5"' },
  ]);
});

test('the drawing fits its space with tape and courses under it', () => {
  const view = viewOf(job());
  for (const [width, height] of [
    [800, 680],
    [400, 900],
    [1400, 420],
  ] as const) {
    const l = layOut(view, width, height);
    expect(l.scale * view.elevation.box.w).toBeLessThanOrEqual(width);
    expect(l.base - l.scale * view.elevation.box.h).toBeGreaterThanOrEqual(40);
    expect(l.planTop + 2 * l.planHigh + 12).toBeLessThanOrEqual(height);
  }
});

test('a line redrawn keeps what it can', () => {
  const view = viewOf(job());
  expect(shapeOf(view)).toBe('straight');
  const closed = lineFor('closed', [{ run: "24'" }]);
  expect(closed.filter((i) => 'run' in i).map((i) => ('run' in i ? i.run : null))).toEqual([
    "24'",
    "24'",
    "24'",
    "24'",
  ]);
  expect(lineFor('straight', closed)).toEqual([{ run: "24'" }]);
});

test('advice is left off as soon as something newer is asked', async () => {
  const planner = openPlanner();
  // Six windows off the bond in a long wall: some dozens of ways out to try.
  const wall = job().walls[0];
  const long = (height: string): Job =>
    ({
      ...job(),
      walls: [
        {
          ...wall,
          line: [{ run: "90'" }],
          height,
          openings: Array.from({ length: 6 }, (_, i) => ({
            id: `W${i}`,
            run: 0,
            at: `${12 * i + 5}' 3"`,
            width: '3\' 1"',
            sill: "4'",
            head: '6\' 8"',
          })),
        },
      ],
    }) as Job;
  const seen: string[] = [];
  let asked = false;
  const done = new Promise<void>((resolve) =>
    planner.onBench(
      (v) => {
        const height = Math.round(v.wall.height / 304.8);
        seen.push(`${height} ft${v.advised ? ', advised' : ''}`);
        // Once advice on the first is under way.
        if (!asked) setTimeout(() => planner.bench(long("10'"), 0, 0, 'ft-in'), 20);
        asked = true;
        if (v.advised) resolve();
      },
      () => undefined,
    ),
  );
  planner.bench(long("16'"), 0, 0, 'ft-in');
  await done;
  // The first is never advised to its end; of either, what is ranked so far may have been shown on the way.
  const changes = seen.filter((s, i) => s !== seen[i - 1]);
  expect(changes).toEqual(['16 ft', '10 ft', '10 ft, advised']);
}, 30_000);

test('a question about the job as it was does not draw the wall as it was', async () => {
  const planner = openPlanner();
  const before = job();
  const after = { ...before, walls: [{ ...before.walls[0], height: "12'" }] } as Job;
  const drawn = new Promise<number>((resolve) =>
    planner.onBench(
      (v) => v.advised && resolve(Math.round(v.wall.height)),
      () => undefined,
    ),
  );
  planner.bench(after, 0, 0, 'ft-in');
  await planner.ask('unfolded', { wall: 0, show: 'ft-in' }, before);
  expect(await drawn).toBe(3658);
});

test('the planner answers with pieces first and advice after, and the latest ask wins', async () => {
  const planner = openPlanner();
  const seen: { advised: boolean; weighed: boolean; height: number }[] = [];
  const done = new Promise<void>((resolve) =>
    planner.onBench(
      (v) => {
        seen.push({ advised: v.advised, weighed: v.weighed, height: Math.round(v.wall.height) });
        if (v.advised) resolve();
      },
      () => undefined,
    ),
  );
  const taller = job();
  const tallest = { ...taller, walls: [{ ...taller.walls[0], height: "12'" }] } as Job;
  planner.bench(taller, 0, 0, 'ft-in');
  planner.bench(tallest, 0, 0, 'ft-in');
  await done;
  expect(seen.every((s) => s.height === 3658)).toBe(true);
  expect(seen[0]).toMatchObject({ advised: false, weighed: false });
  expect(seen.at(-1)).toMatchObject({ advised: true, weighed: true });
  // Between them only what is ranked already.
  expect(seen.slice(1, -1).every((s) => s.weighed && !s.advised)).toBe(true);
  const w = await planner.ask('working', { key: 'n/wall/mortar.used' }, taller);
  expect(w).toMatchObject({ title: { code: 'workings.mortar-to-mix' }, quantity: 'volume' });
  const take = (kind: string): Promise<string> =>
    planner.ask('export', { kind, wall: 0, run: 0, show: 'ft-in', words: 'en-us', record: [] }, taller);
  expect(await take('csv:tally')).toMatch(/^wall,run,/);
  expect(await take('svg:elevation')).toMatch(/^<\?xml/);
  await expect(take('pdf:pole')).rejects.toThrow('There is no such export here: pdf:pole.');
});
