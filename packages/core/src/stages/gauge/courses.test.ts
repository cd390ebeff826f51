import { planOf, straight } from '../../test/jobs.js';
import { easedCount, nearestCount } from './courses.js';

const brick = { line: straight(2240), unit: 'brick-215x102.5x65', profile: 'uk', show: 'mm' } as const;
const block = { line: straight("16'") } as const;

test('a height no course count reaches is planned at the nearest whole number, the rest unbuilt, and said', () => {
  const p = planOf({ ...block, height: '8\' 3"' }, true);
  expect(p.gauge.count).toBe(12);
  expect(p.gauge.courses.every((c) => Math.abs(c.bed - 9.525) < 1e-9)).toBe(true);
  expect(p.gauge.short).toBeCloseTo(76.2, 6);
  const fault = p.findings.find((f) => f.code === 'height-off-gauge');
  expect(fault?.severity).toBe('fault');
  expect(fault?.fixes.length).toBeGreaterThanOrEqual(2);
});

test('choices are ranked by cost, the one in force is marked, and each says why', () => {
  const { choices } = planOf({ ...brick, height: 2130 }, true);
  const gauge = choices.filter((c) => c.stage === 'gauge');
  expect(gauge.map((c) => c.rank)).toEqual(gauge.map((_, i) => i + 1));
  expect(gauge[0]).toMatchObject({ kind: 'ease-all', applied: true, edit: [] });
  expect(gauge.filter((c) => c.applied)).toHaveLength(1);
  expect(new Set(gauge.map((c) => c.kind)).size).toBeGreaterThanOrEqual(4);
  const costs = gauge.slice(1).map((c) => c.cost);
  expect(costs).toEqual([...costs].sort((a, b) => a - b));
});

test('moving the footing keeps every sill and head over the ground', () => {
  const p = planOf(
    { ...block, height: "9'", openings: [{ at: "4'", width: "4'", sill: '3\' 4"', head: '6\' 8"' }] },
    true,
  );
  const raise = p.choices.find((c) => c.name === 'Raise the footing 4″');
  expect(raise?.edit).toEqual([
    { op: 'replace', path: '/walls/0/height', value: '8\' 8"' },
    { op: 'replace', path: '/walls/0/openings/0/sill', value: "3'" },
    { op: 'replace', path: '/walls/0/openings/0/head', value: '6\' 4"' },
  ]);
});

test('and every gable, every height hidden or grouted to, and the level of the base', () => {
  const p = planOf(
    {
      ...block,
      height: "9'",
      wall: {
        base: "-2'",
        tops: [{ id: 'G', run: 0, kind: 'raked', from: 0, to: "8'", left: "9'", right: "12'" }],
        grout: { fill: 'none', below: '16"' },
      },
    },
    true,
  );
  const raise = p.choices.find((c) => c.name === 'Raise the footing 4″');
  const written = new Map(raise?.edit.map((e) => [e.path, 'value' in e ? e.value : undefined]));
  expect(written.get('/walls/0/tops/0/left')).toBe('8\' 8"');
  expect(written.get('/walls/0/tops/0/right')).toBe('11\' 8"');
  expect(written.get('/walls/0/grout/below')).toBe("1'");
  // Two feet under the datum before, so four inches less now: 20 in.
  expect(written.get('/walls/0/base')).toBeCloseTo(-20 * 25.4, 6);
});

test('a way that throws sills and heads off the courses says so and ranks below one that does not', () => {
  const openings = [{ at: "4'", width: "4'", sill: '3\' 4"', head: '6\' 8"' }];
  const { choices } = planOf({ ...block, height: "9'", openings }, true);
  expect(choices[0]).toMatchObject({ kind: 'change-height', rank: 1 });
  const raise = choices.find((c) => c.name === 'Raise the footing 4″');
  expect(raise?.says).toContain('2 heights of sills and heads then stand off the courses');
  // A footing moved by a whole course would leave them be; without openings it ranks first.
  const bare = planOf({ ...block, height: "9'" }, true).choices;
  expect(bare[0]).toMatchObject({ kind: 'move-footing', rank: 1 });
});

test('the lowest beds take the difference and the rest keep the target', () => {
  const { courses } = planOf({ ...brick, height: 2130, build: { gauge: { courses: 28, lowest: 6 } } }).gauge;
  expect(courses.slice(0, 6).map((c) => c.bed)).toEqual(Array(6).fill(15));
  expect(courses.slice(6).every((c) => c.bed === 10)).toBe(true);
  expect(courses.at(-1)?.top).toBeCloseTo(2130, 9);
});

test('a sawn course is one row of cut units, low down, and the height is reached', () => {
  const p = planOf({ ...block, height: "9'", build: { gauge: { sawn: 1 } } });
  expect(p.gauge.courses[0]?.kind).toBe('sawn');
  expect(p.gauge.courses[0]?.unitHeight).toBeCloseTo(92.075, 6);
  expect(p.gauge.short).toBe(0);
  expect(p.tally.pieces.cut).toBe(12);
});

test('a count that cannot be laid is planned at the target and reported', () => {
  const p = planOf({ ...block, height: "4'", build: { gauge: { courses: 40 } } });
  expect(p.gauge.courses[0]?.bed).toBeCloseTo(9.525, 9);
  expect(p.findings.map((f) => f.code)).toContain('height-off-gauge');
});

test('ties go to fewer courses', () => {
  expect(nearestCount(250, 100)).toBe(2);
  expect(nearestCount(251, 100)).toBe(3);
  const limits = { least: 0.1, most: 60, firstLeast: 0.1, firstMost: 60 };
  // 2 and 3 courses in 240: pitches 120 and 80, either 20 from a target of 100.
  expect(easedCount(240, 60, 40, limits)).toBe(2);
});
