import { planOf, straight } from '../../../test/jobs.js';
import { narrowPiers } from './narrow.js';

test('a three-brick pier between two openings: whole and half ends by turns, its perps alike', () => {
  // 665 wide (3 × 225 − 10): three bricks and two joints of 10. By hand, and a brick size of the trade's own.
  const p = planOf({
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    show: 'mm',
    line: straight(40 * 225 - 10),
    height: 1500,
    openings: [
      { at: 1790, width: 910, sill: 450, head: 1200 },
      { at: 3365, width: 910, sill: 450, head: 1200 },
    ],
  });
  const [pier] = narrowPiers(p.wall, p.gauge, p.runs[0] as (typeof p.runs)[number]);
  expect(pier).toMatchObject({ from: 2700, to: 3365 });
  expect([pier?.odd, pier?.even].map((c) => c?.length).sort()).toEqual([3, 4]);
  expect(pier?.joint).toBeCloseTo(10, 6);
  for (const course of [pier?.odd ?? [], pier?.even ?? []])
    expect(course.reduce((a, b) => a + b, 0) + (course.length - 1) * 10).toBeCloseTo(665, 6);
});
