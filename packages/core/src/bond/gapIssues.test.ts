import { planOf } from '../test/jobs.js';
import type { WallPlan } from '../plan/plan.js';

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
