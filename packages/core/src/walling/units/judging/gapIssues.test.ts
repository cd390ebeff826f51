import { planOf } from '../../../test/jobs.js';
import type { WallPlan } from '../../../plan/plan.js';

/** Two runs of 8 in block round a corner, 194 mm thick. */
const round = (short: number): WallPlan =>
  planOf({
    unit: 'cmu-8x8x16',
    profile: 'us',
    show: 'mm',
    line: [{ run: short }, { turn: 90 }, { run: 1712 }],
    height: 1200,
  });

test('a run that leaves less than a piece beside its corner says so', () => {
  // 215 with a joint is 205.5: less the 193.7 of the other run's unit, 12 mm are left, and nothing under 25 can be laid.
  const found = round(215).findings.find((f) => f.code === 'run-not-planned');
  expect(found?.severity).toBe('fault');
  expect(found?.says).toContain('205 mm');
  expect(found?.says).toContain('no room for a piece');
});

test('a run of a unit and a half has pieces in every course', () => {
  const p = round(600);
  expect(p.findings.map((f) => f.code)).not.toContain('run-not-planned');
  expect(p.runs[0]?.rows.every((row) => row.pieces.length > 0)).toBe(true);
});

test('a pier no wider than a joint is left empty, and that is said', () => {
  const p = planOf({
    unit: 'cmu-8x8x16',
    profile: 'us',
    show: 'mm',
    lengths: 'actual',
    line: [{ run: 4000 }],
    height: 1625.6,
    openings: [
      { id: 'o1', run: 0, at: 1000, width: 600, sill: 406.4, head: 1016 },
      { id: 'o2', run: 0, at: 1609, width: 600, sill: 406.4, head: 1016 },
    ],
  });
  const found = p.findings.find((f) => f.code === 'gap-left');
  // Three courses of 203.2 stand beside the two; between them are 9 mm.
  expect(found).toMatchObject({ severity: 'fault', course: 3 });
  expect(found?.says).toContain('9 mm is left at 1600 mm in 3 courses');
});
