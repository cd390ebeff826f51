import { expect, test } from '@jest/globals';
import { applyPatch } from '../../job/edits/patch.js';
import { plan } from '../../plan/plan.js';
import { documentOf, planOf, soundJob, straight, type OneWall } from '../../test/jobs.js';

/** Thirty courses at 75 beside an old wall whose four courses measure so much. */
const beside = (height: number): OneWall => ({
  profile: 'uk',
  show: 'mm',
  unit: 'brick-215x102.5x65',
  line: straight(4490),
  height: 2250,
  wall: { old: { height, courses: 4 }, jointEvery: 30_000 },
});
const drifting = (w: OneWall) => planOf(w, true).findings.find((f) => f.code === 'old-gauge-drifts');

test('6 mm joints against 10 drift 4 mm a course: said, with theirs to take, which settles it', () => {
  // Theirs at 65 + 6 = 71: thirty of yours climb 120 over them (4 mm a course: trade figure, common practice).
  const f = drifting(beside(284));
  expect(f?.severity).toBe('choice');
  expect(f?.says).toContain('120 mm over');
  const job = soundJob(documentOf(beside(284)));
  const take = f?.fixes.find((x) => /Take theirs/.test(x.says));
  const after = applyPatch(job, take?.edit ?? []);
  if (!after.ok) throw new Error(after.why);
  const again = plan(soundJob(after.value)).walls[0];
  expect(again?.wall.bed).toBe(6);
  expect(again?.findings.some((x) => x.code === 'old-gauge-drifts')).toBe(false);
});

test('where the two never part by half a bed nothing is said', () => {
  // 300.5 over four: 0.125 a course, under 4 mm in thirty.
  expect(drifting(beside(300.5))).toBeUndefined();
});

test('a joint that theirs would ask for outside the limits is not offered', () => {
  // Four courses in 340: 85, a bed of 20, and 15 is the most.
  const f = drifting(beside(340));
  expect(f?.says).toContain('under');
  expect(f?.fixes.map((x) => x.says).some((s) => /Take theirs/.test(s))).toBe(false);
});
