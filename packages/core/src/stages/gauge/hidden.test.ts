import { expect, test } from '@jest/globals';
import { planOf, straight, type OneWall } from '../../test/jobs.js';

/** Brick at 75: 2 265 is thirty courses and 15 over. */
const wall = (hiddenTo: number | null, height = 2265): OneWall => ({
  profile: 'uk',
  show: 'mm',
  unit: 'brick-215x102.5x65',
  line: straight(4490),
  height,
  ...(hiddenTo === null ? {} : { build: { face: { hiddenTo } } }),
});
const beds = (w: OneWall): number[] => planOf(w).gauge.courses.map((c) => Number(c.bed.toFixed(3)));
const first = (w: OneWall) => planOf(w, true).choices.find((c) => c.stage === 'gauge' && c.rank === 1);

test('with nothing hidden every bed is eased; with the foot hidden the remainder lies there, and comes first', () => {
  expect(new Set(beds(wall(null)))).toEqual(new Set([10.5]));
  expect(first(wall(null))?.kind).toBe('ease-all');
  // Two beds take 7.5 each: 17.5, inside 20 where it is hidden (common practice) and 25 for the first.
  const hid = beds(wall(300));
  expect(hid.slice(0, 3)).toEqual([17.5, 17.5, 10]);
  expect(hid.every((b, i) => i < 2 || b === 10)).toBe(true);
  const best = first(wall(300));
  expect([best?.applied, best?.cost]).toEqual([true, 0]);
  expect(best?.says).toContain('Ground or a skirting hides it');
  // Easing what shows costs what it costs: of thirty beds half a millimetre over, those at 0, 75.5, 151 and 226.5 do not.
  const eased = planOf(wall(300), true).choices.find((c) => c.kind === 'ease-all');
  expect(eased?.cost).toBeCloseTo(26 * 0.25, 6);
});

test('what is hidden is too low to take it: then it is eased as if nothing were', () => {
  // One bed alone would be 25, past 20.
  expect(new Set(beds(wall(80)))).toEqual(new Set([10.5]));
  expect(planOf(wall(300)).findings.some((f) => f.code === 'height-off-gauge')).toBe(false);
});

test('under render every bed is hidden: all of them are eased', () => {
  const rendered: OneWall = { ...wall(null), build: { face: { finish: 'rendered' } } };
  expect(new Set(beds(rendered))).toEqual(new Set([10.5]));
});

test('nobody is told that 0 goes unnoticed, that 2 m is near the ground, or to move a footing by 3 mm', () => {
  const says = (w: OneWall): string[] => planOf(w, true).choices.map((c) => c.says);
  // 2 250 and a hair over: a bed of 10.01.
  expect(says(wall(null, 2250.3)).join(' ')).toContain('less than a tape shows');
  expect(says(wall(null, 2253)).some((s) => /footing by 3 mm/.test(s))).toBe(false);
  // 60 over forty courses: spread so that no change shows, it goes on far past a man’s knee.
  for (const c of planOf(wall(null, 3060), true).choices.filter((x) => x.kind === 'lowest-unnoticed')) {
    const value = (c.edit[0] as { value?: { lowest?: number } } | undefined)?.value;
    if ((value?.lowest ?? 0) * 76 > 700) expect(c.says).not.toContain('near the ground');
  }
});

test('a gauge for each stretch puts a remainder where the ground hides it, and every bed that shows is at its target', () => {
  // Twelve courses to a sill at 914: fourteen over, in the four beds under 300; above it twelve courses more, exact.
  const p = planOf({
    line: straight(2240),
    height: 1814,
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    show: 'mm',
    build: { gauge: { meet: true }, face: { hiddenTo: 300 } },
    heights: [{ id: 'S', name: 'Sill', at: 914, keep: 'must' }],
  });
  const beds = p.gauge.courses.map((c) => c.bed);
  expect(p.gauge.courses).toHaveLength(24);
  expect(p.gauge.courses[11]?.top).toBeCloseTo(914, 3);
  for (const bed of beds.slice(4)) expect(bed).toBeCloseTo(10, 2);
  expect(beds.slice(0, 4).reduce((a, b) => a + b, 0)).toBeCloseTo(54, 1);
  // Hidden ones may be 5 to 20 (common practice), the first 6 to 25.
  for (const bed of beds.slice(1, 4)) expect(bed).toBeLessThanOrEqual(20);
});

test('what hidden beds cannot take the rest share', () => {
  // Thirty over: the first bed takes 15 at most, the next three 10 each. With 300 hidden nothing is left; with 75 hidden 15 are.
  const shown = (hiddenTo: number): number[] =>
    planOf({
      line: straight(2240),
      height: 930,
      unit: 'brick-215x102.5x65',
      profile: 'uk',
      show: 'mm',
      build: { gauge: { meet: true }, face: { hiddenTo } },
      heights: [{ id: 'S', name: 'Sill', at: 930, keep: 'must' }],
    }).gauge.courses.map((c) => c.bed);
  for (const bed of shown(300).slice(4)) expect(bed).toBeCloseTo(10, 2);
  const few = shown(75);
  expect(few[0]).toBeCloseTo(25, 1);
  expect(few.slice(1).reduce((a, b) => a + b, 0)).toBeCloseTo(110 + 15, 1);
});
