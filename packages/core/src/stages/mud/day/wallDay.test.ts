import { expect, test } from '@jest/globals';
import type { Crew, DayWeather } from '../../../job/types.js';
import { plan } from '../../../plan/plan.js';
import { mudDayView } from '../../../scene/mudDay.js';
import { documentOf, soundJob, straight, type OneWall } from '../../../test/jobs.js';
import { wallDay, type WallDay, type WallDayAsk } from './wallDay.js';

/** A Wednesday. */
const DATE = '2026-07-01';
const CREW: Crew = {
  people: [
    { id: 'a', name: 'Ann', does: 'lays' },
    { id: 'b', name: 'Bo', does: 'tends' },
  ],
  hours: { wed: ['07:30', '16:00'] },
  breaks: [['12:00', '12:30']],
  setUp: '30 min',
  clearUp: '30 min',
  pace: { 'brick-215x102.5x65': 60 },
};
const BRICK: OneWall = {
  profile: 'uk',
  show: 'mm',
  unit: 'brick-215x102.5x65',
  line: straight(8990),
  height: 2400,
};

function dayOf(
  more: { crew?: Crew | undefined; weather?: DayWeather[]; mud?: object } = {},
  ask: Partial<WallDayAsk> = {},
  wall: OneWall = BRICK,
): WallDay {
  const { crew = CREW, ...rest } = more;
  const job = soundJob({ ...documentOf(wall), crew, ...rest });
  const [planned] = plan(job, [], { advise: false }).walls;
  if (!planned) throw new Error('no wall');
  const day = wallDay(job, planned, { date: DATE, course: 1, ...ask });
  if (!day) throw new Error('no day');
  return day;
}

test('courses climb at the pace of whoever lays: at 60 an hour 40 whole bricks take 40 minutes, and 39 with a half at each end 41', () => {
  const { courses, hours } = dayOf();
  expect(hours).toMatchObject({ weekday: 'wed', from: 8 * 60, to: 15 * 60 + 30 });
  expect(courses[0]).toMatchObject({ course: 1, units: 40, from: 480, to: 520, whole: true });
  // Six courses are 243 minutes: the seventh begins three minutes after dinner. Ten are 405 of the 420 there are.
  expect(courses).toHaveLength(11);
  expect(courses[6]).toMatchObject({ from: 753, to: 793 });
  expect(courses.at(-1)).toMatchObject({ whole: false, units: 15, to: 930 });
});

test('the day’s mud is the mud of its courses, and its batches are that and what is thrown away', () => {
  const job = soundJob({ ...documentOf(BRICK), crew: CREW });
  const [planned] = plan(job, [], { advise: false }).walls;
  const day = planned && wallDay(job, planned, { date: DATE, course: 1 });
  if (!planned || !day?.plan) throw new Error('no day');
  const own = planned.mud.courses.filter((c) => c.course <= 10).reduce((s, c) => s + c.used, 0);
  const eleventh = planned.mud.courses.find((c) => c.course === 11)?.used ?? 0;
  expect(day.plan.used).toBeCloseTo(own + (eleventh * 15) / 40, 6);
  expect(day.plan.made).toBeCloseTo(day.plan.used + day.plan.left, 9);
  expect(day.plan.batches.reduce((s, b) => s + b.made, 0)).toBeCloseTo(day.plan.made, 9);
  const whole = day.batch?.volume ?? 0;
  for (const b of day.plan.batches) {
    const part = (b.made / whole) * day.steps;
    expect(part).toBeCloseTo(Math.round(part), 6);
  }
});

test('a second person laying halves the time; whoever learns lays half as fast; nobody tending, one who could mixes', () => {
  const people = (...does: ('lays' | 'tends' | 'both' | 'learns')[]): Crew => ({
    ...CREW,
    people: does.map((d, i) => ({ id: `p${i}`, name: `P${i}`, does: d })),
  });
  const first = (crew: Crew): number => {
    const [c] = dayOf({ crew }).courses;
    return (c?.to ?? 0) - (c?.from ?? 0);
  };
  expect(first(people('lays', 'lays', 'tends'))).toBeCloseTo(20, 9);
  expect(first(people('lays', 'learns', 'tends'))).toBeCloseTo(40 / 1.5, 9);
  expect(first(people('lays', 'both'))).toBeCloseTo(40, 9);
  expect(dayOf({ crew: people('lays', 'both') }).hands?.mixesInstead?.name).toBe('P1');
  expect(first(people('lays', 'both', 'tends'))).toBeCloseTo(20, 9);
  // Whoever is alone does both.
  expect(first(people('both'))).toBeCloseTo(40, 9);
});

test('the day ends at its green height: 1.5 m in a day (BS 8000-3, from memory) is twenty courses', () => {
  const many: Crew = {
    ...CREW,
    people: Array.from({ length: 6 }, (_, i) => ({
      id: `p${i}`,
      name: `P${i}`,
      does: i ? ('lays' as const) : ('tends' as const),
    })),
  };
  const day = dayOf({ crew: many });
  expect(day.limited).toBe(true);
  expect(day.courses.at(-1)?.course).toBe(20);
  // From course 5 on it is twenty courses as well.
  expect(dayOf({ crew: many }, { course: 5 }).courses.at(-1)?.course).toBe(24);
});

test.each<[string, { crew?: Crew }, Partial<WallDayAsk>]>([
  ['nobody', { crew: {} }, {}],
  ['nobody-lays', { crew: { ...CREW, people: [{ id: 'b', name: 'Bo', does: 'tends' }] } }, {}],
  ['no-work', {}, { date: '2026-07-02' }],
  ['no-work', { crew: { ...CREW, off: [DATE] } }, {}],
  ['nothing-to-lay', {}, { course: 33 }],
])('%s: no day is made up', (why, more, ask) => {
  const day = dayOf(more, ask);
  expect(day.why).toBe(why);
  expect(day.plan).toBeNull();
});

test('a batch no larger than is wanted, and a mixer that whole measures do not keep to', () => {
  const free = dayOf();
  const most = (free.batch?.volume ?? 0) / 2;
  for (const b of dayOf({}, { most }).plan?.batches ?? []) expect(b.made).toBeLessThanOrEqual(most + 1e-9);
  const tiny = { mixer: { kind: 'bucket', holds: '20 L' }, measure: { holds: '14 L' } };
  expect(dayOf({ mud: tiny }).why).toBe('no-batch');
});

test('heat shortens life, and the batches follow: in hydraulic lime over 30 °C four hours for five (common practice)', () => {
  const lime = { mud: { mix: 'nhl-3.5' } };
  const mild = dayOf({ ...lime, weather: [{ date: DATE, low: '8 C', high: '18 C' }] });
  const hot = dayOf({ ...lime, weather: [{ date: DATE, low: '30 C', high: '36 C' }] });
  expect(mild.day?.lives.map((l) => l.life)).toEqual([300]);
  expect(Math.min(...(hot.day?.lives.map((l) => l.life) ?? []))).toBe(240);
  for (const b of hot.plan?.batches ?? []) expect(b.expires - b.water).toBeLessThanOrEqual(300);
});

test('as it is drawn: a wedge is full until it is used, goes down as the courses take of it, and stands still in a break', () => {
  const job = soundJob({ ...documentOf(BRICK), crew: CREW });
  const [planned] = plan(job, [], { advise: false }).walls;
  const view = planned && mudDayView(job, planned, { date: DATE, course: 1 });
  if (!view) throw new Error('no day');
  expect(view.axis.from % 60).toBe(0);
  for (const b of view.batches) {
    expect(b.levels[0]).toEqual({ at: b.water, part: 1 });
    const parts = b.levels.map((l) => l.part);
    expect([...parts].sort((x, y) => y - x)).toEqual(parts);
    expect(b.levels.at(-1)?.part).toBeCloseTo(b.left / b.made, 6);
    const noon = b.levels.filter((l) => l.at === 720 || l.at === 750);
    if (noon.length === 2) expect(noon[0]?.part).toBeCloseTo(noon[1]?.part ?? 0, 9);
  }
  // What lives at once lies in rows of its own.
  for (const [i, a] of view.batches.entries())
    for (const b of view.batches.slice(i + 1))
      if (a.row === b.row) expect(b.water).toBeGreaterThanOrEqual(a.expires - 1e-6);
});

test('weather that is made up counts for practice alone: on a real job nobody has said how warm it is', () => {
  const weather: DayWeather[] = [{ date: DATE, low: '30 C', high: '40 C', simulated: true }];
  const lives = (practice?: boolean): number =>
    Math.min(
      ...(dayOf({ mud: { mix: 'nhl-3.5' }, weather }, practice ? { practice } : {}).day?.lives.map(
        (l) => l.life,
      ) ?? []),
    );
  expect([lives(), lives(true)]).toEqual([300, 240]);
  expect(dayOf({ weather }).weather.low).toBeNull();
});
