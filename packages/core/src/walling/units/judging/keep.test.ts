import { applyPatch } from '../../../job/edits/patch.js';
import { plan } from '../../../plan/plan.js';
import { inWords, jobOf, soundJob, straight, type OneWall } from '../../../test/jobs.js';

const brick = { unit: 'brick-215x102.5x65', profile: 'uk' as const, show: 'mm' as const };
/** Two windows off the bond of forty bricks, the second too narrow for it wherever it is brought. */
const house = (keep?: 'must' | 'wish'): OneWall => ({
  ...brick,
  line: straight(40 * 225 - 10),
  height: 2250,
  openings: [
    { at: 1910, width: 1135, sill: 600, head: 1500, ...(keep ? { keep } : {}) },
    { at: 5960, width: 1195, sill: 600, head: 1500, ...(keep ? { keep } : {}) },
  ],
});
const planned = (w: OneWall) => {
  const p = plan(jobOf(w)).walls[0];
  if (!p) throw new Error('no wall');
  return inWords(p);
};

test('whether openings off the bond may move is asked once, of all of them, and each answer settles it', () => {
  const job = jobOf(house());
  const asked = planned(house()).findings.filter((f) => f.code === 'keep-not-said');
  expect(asked).toHaveLength(1);
  expect(asked[0]?.says).toContain('O1');
  expect(asked[0]?.says).toContain('O2');
  expect(asked[0]?.fixes).toHaveLength(3);
  for (const { edit } of asked[0]?.fixes ?? []) {
    const after = applyPatch(job, edit);
    if (!after.ok) throw new Error(after.why);
    const again = plan(soundJob(after.value), [], { advise: false }).walls[0];
    expect(again?.findings.map((f) => f.code)).not.toContain('keep-not-said');
  }
  expect(planned(house('must')).findings.map((f) => f.code)).not.toContain('keep-not-said');
});

/** What the fixes of an opening that is off the bond touch of it. */
const touched = (w: OneWall, opening: string): string[][] =>
  planned(w)
    .findings.filter((f) => f.code === 'opening-off-bond' && f.opening === opening)
    .flatMap((f) => f.fixes.map((x) => x.edit.map((e) => e.path.split('/').pop() ?? '')));

test('an opening is made another size only where moving it does not serve', () => {
  // Windows of 1 135 meet the perps once moved: five bricks and a joint; one of 1 195 meets none anywhere.
  expect(touched(house('wish'), 'O1')).toEqual([['at'], ['at'], ['at']]);
  expect(touched(house('wish'), 'O2')).toEqual([['at', 'width']]);
});

test('one that must stay is moved only as a last way out, and that one way alone is said', () => {
  expect(touched(house('must'), 'O1')).toEqual([['at']]);
});
