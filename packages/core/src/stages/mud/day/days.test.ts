import { expect, test } from '@jest/globals';
import type { Crew } from '../../../job/types.js';
import { plan, type WallPlan } from '../../../plan/plan.js';
import type { Job } from '../../../job/types.js';
import { documentOf, soundJob, straight, type OneWall } from '../../../test/jobs.js';
import { wallDays } from './days.js';

const CREW: Crew = {
  people: [
    { id: 'a', name: 'Ann', does: 'lays' },
    { id: 'b', name: 'Bo', does: 'tends' },
  ],
  hours: { mon: ['07:30', '16:00'], wed: ['07:30', '16:00'] },
  breaks: [['12:00', '12:30']],
  setUp: '30 min',
  clearUp: '30 min',
  off: ['2026-07-06'],
  pace: { 'brick-215x102.5x65': 60 },
};
const BRICK: OneWall = {
  profile: 'uk',
  show: 'mm',
  unit: 'brick-215x102.5x65',
  line: straight(8990),
  height: 2400,
};
function wallOf(crew: Crew, wall: OneWall = BRICK): [Job, WallPlan] {
  const job = soundJob({ ...documentOf(wall), crew });
  const [planned] = plan(job, [], { advise: false }).walls;
  if (!planned) throw new Error('no wall');
  return [job, planned];
}

test('day by day the mud adds up to the wall, and each day goes on where the one before left off', () => {
  const [job, wall] = wallOf(CREW);
  const { days, up } = wallDays(job, wall, { date: '2026-07-01', course: 1 });
  expect(up).toBe(true);
  const used = wall.mud.courses.reduce((sum, c) => sum + c.used, 0);
  expect(days.reduce((sum, d) => sum + d.mud, 0)).toBeCloseTo(used, 9);
  // 32 courses of 40 bricks at 60 an hour: 21 hours and a little, of which a day has seven.
  expect(days.map((d) => d.date)).toEqual(['2026-07-01', '2026-07-08', '2026-07-13', '2026-07-15']);
  for (const [i, d] of days.entries()) {
    const before = days[i - 1];
    if (before) expect(d.from).toBe(before.whole ? before.to + 1 : before.to);
    expect(d.batches).toBeGreaterThan(0);
  }
  expect(days.at(-1)).toMatchObject({ to: 32, whole: true });
});

test('a course longer than a day goes on through as many days as it takes', () => {
  const slow = { ...CREW, pace: { 'brick-215x102.5x65': 2 } };
  const [job, wall] = wallOf(slow, { ...BRICK, height: 150 });
  const { days, up } = wallDays(job, wall, { date: '2026-07-01', course: 1 });
  expect(up).toBe(true);
  // Forty bricks, and 39 with a half at each end, at two an hour are forty hours and a half: six days of seven.
  expect(days).toHaveLength(6);
  expect(days.map((d) => [d.from, d.to])).toEqual([
    [1, 1],
    [1, 1],
    [1, 2],
    [2, 2],
    [2, 2],
    [2, 2],
  ]);
  const used = wall.mud.courses.reduce((sum, c) => sum + c.used, 0);
  expect(days.reduce((sum, d) => sum + d.mud, 0)).toBeCloseTo(used, 9);
});

test('nobody there, and nobody for a fortnight: no days are made up', () => {
  const [job, wall] = wallOf({});
  expect(wallDays(job, wall, { date: '2026-07-01', course: 1 })).toEqual({ days: [], up: false });
  const [off, same] = wallOf({ ...CREW, hours: {} });
  expect(wallDays(off, same, { date: '2026-07-01', course: 1 })).toEqual({ days: [], up: false });
});
