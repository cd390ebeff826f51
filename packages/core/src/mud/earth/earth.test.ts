import type { JobDocument, SoilTest } from '../../job/types.js';
import { findUnit } from '../../job/units.js';
import { documentOf, jobOf } from '../../test/jobs.js';
import { mudView } from '../../scene/mudView.js';
import { plan } from '../../plan/plan.js';
import { checkJob } from '../../job/check.js';
import { bricksMade, type BricksMade } from './making.js';
import { soilJudged, type SoilVerdict } from './soilTests.js';

const job = (making: NonNullable<JobDocument['earth']>['making']): JobDocument => ({
  ...documentOf({ line: [{ run: 4000 }], height: 1000, unit: 'adobe-10x14x4', profile: 'earth', show: 'mm' }),
  ...(making ? { earth: { making } } : {}),
});
function made(making: NonNullable<JobDocument['earth']>['making'], laid = 1000): BricksMade {
  const document = job(making);
  const unit = findUnit(document, 'adobe-10x14x4');
  if (!unit) throw new Error('no unit');
  return bricksMade(document, unit, laid);
}

test('bricks by moulds, days and room, worked by hand', () => {
  // Four moulds of two, filled a hundred times a day would be 800; the crew makes 120.
  const m = made({ moulds: 4, perMould: 2, perDay: 120, flat: 4, edge: 20, loss: 0.08, batch: '0.1 m3' });
  expect(m.made).toBe(1080);
  expect([m.days, m.ready, m.fillings]).toEqual([9, 33, 135]);
  // 355.6 × 101.6 × 254 mm is 9.1768 L: 1080 of them × 1.30 of loose soil.
  expect(m.soil).toBeCloseTo((1080 * 9.17675 * 1.3) / 1000, 2);
  expect(m.batches).toBe(Math.ceil(m.soil / 0.1));
  // 480 flat with 80 between, and no more on edge than were made.
  expect(m.bed).toBeCloseTo((480 * 435.6 * 334 + 1080 * 435.6 * 181.6) / 1e6, 3);
  expect(m.stabilised).toBeNull();
});

test('where nobody says, as is usual; and none for a wall of another unit', () => {
  const m = made(undefined);
  expect(m.made).toBe(1100);
  expect([m.flat, m.edge, m.perDay]).toEqual([5, 23, 100]);
  const adobe = plan(
    jobOf({ line: [{ run: 4000 }], height: 1000, unit: 'adobe-10x14x4', profile: 'earth', show: 'mm' }),
  );
  const block = plan(jobOf({ line: [{ run: 4000 }], height: 1000 }));
  const [a, b] = [adobe.walls[0], block.walls[0]];
  if (!a || !b) throw new Error('no wall');
  expect(mudView(job(undefined), a).earth?.made.laid).toBe(a.tally.total);
  expect(mudView(job(undefined), b).earth).toBeNull();
});

const of = (test: object): SoilTest => ({ id: 'S1', ...test }) as SoilTest;

test.each<[object, SoilVerdict]>([
  [{ kind: 'jar', sand: 60, silt: 20, clay: 20 }, 'good'],
  [{ kind: 'jar', sand: 70, silt: 20, clay: 10 }, 'more-clay'],
  [{ kind: 'jar', sand: 40, silt: 20, clay: 40 }, 'more-sand'],
  [{ kind: 'jar', sand: 50, silt: 34, clay: 16 }, 'less-silt'],
  [{ kind: 'roll', breaks: 40 }, 'more-clay'],
  [{ kind: 'roll', breaks: 100 }, 'good'],
  [{ kind: 'roll', breaks: 200 }, 'more-sand'],
  [{ kind: 'drop', comes: 'chipped' }, 'not-yet'],
  [{ kind: 'drop', comes: 'broken' }, 'no'],
  [{ kind: 'shrink', box: 600, gap: 12 }, 'good'],
  [{ kind: 'shrink', box: 600, gap: 30 }, 'more-sand'],
])('soil is judged by what came of it: %j', (test, verdict) => {
  expect(soilJudged(of(test)).verdict).toBe(verdict);
});

test('a test of another kind than there is, or without its sizes, is refused where it stands', () => {
  const faults = (test: object): string[] => {
    const checked = checkJob({ ...job(undefined), earth: { tests: [test] } });
    return checked.ok ? [] : checked.faults.map((f) => f.path);
  };
  expect(faults(of({ kind: 'taste' }))).toEqual(['/earth/tests/0/kind']);
  expect(faults(of({ kind: 'jar', sand: 1, silt: 1 }))).toEqual(['/earth/tests/0/clay']);
});
