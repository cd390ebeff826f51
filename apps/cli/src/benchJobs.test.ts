import { plan } from '@even-tally/core';
import { building, near5MB, offBond, reinforced, rubble, runOf } from './benchJobs.js';

/** The bench is run by hand: what it times must be let in by the door all the same. */
test('the jobs that are timed are sound, and as large as their lines say', () => {
  const units = (job: Parameters<typeof plan>[0]): number =>
    plan(job, [], { advise: false }).walls[0]?.tally.total ?? 0;
  expect(units(runOf('166\' 8"', '33\' 4"'))).toBeGreaterThanOrEqual(6250);
  expect(units(reinforced(building()))).toBeGreaterThan(5000);
  expect(offBond(3).walls[0]?.openings).toHaveLength(3);
  const stone = plan(rubble(), [], { advise: false }).walls[0];
  expect([stone?.wall.runs[0]?.length, stone?.wall.openings.length]).toEqual([60_000, 10]);
  const bytes = JSON.stringify(near5MB()).length;
  expect(bytes).toBeGreaterThan(4e6);
  expect(bytes).toBeLessThan(5 * 1024 ** 2);
});
