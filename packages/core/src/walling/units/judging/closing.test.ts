import type { planOf } from '../../../test/jobs.js';
import { straight, sayFor } from '../../../test/jobs.js';
import { tapeSheet, tapeRows } from '../../../exchange/tapeSheet.js';
import { plan } from '../../../plan/plan.js';
import { jobOf } from '../../../test/jobs.js';
import { closingForecast } from './closing.js';

const pieces = Array.from({ length: 9 }, (_, i) => ({ from: i * 225, to: i * 225 + 215 }));
const LIMITS = { least: 6, most: 15 };

describe('the closing forecast', () => {
  test.each([
    ['on the mark', 4 * 225 - 10, 10, 'closes'],
    // Six millimetres behind over five joints: 8.8 each.
    ['six too long', 4 * 225 - 10 + 6, 8.8, 'eased'],
    ['six too short', 4 * 225 - 10 - 6, 11.2, 'eased'],
    ['far too long', 4 * 225 - 10 + 30, 4, 'will not close'],
  ] as const)('four bricks laid, %s', (_name, reading, each, verdict) => {
    const got = closingForecast(pieces, 4, reading, 10, LIMITS);
    expect(got?.each).toBeCloseTo(each, 9);
    expect(got?.verdict).toBe(verdict);
    expect(got?.joints).toBe(5);
  });
  test('says nothing before the first unit and after the last', () => {
    expect(closingForecast(pieces, 0, 0, 10, LIMITS)).toBeNull();
    expect(closingForecast(pieces, 9, 2015, 10, LIMITS)).toBeNull();
  });
});

describe('the dry-lay tape', () => {
  const wall = {
    line: straight(2015),
    height: 600,
    unit: 'brick-215x102.5x65',
    profile: 'uk' as const,
    show: 'mm' as const,
    openings: [{ at: 675 - 10, width: 460, sill: 0, head: 600 }],
  };
  const work = plan(jobOf(wall), [], { advise: false }).walls[0] as ReturnType<typeof planOf>;
  const sheet = tapeSheet('Test', work, 0, sayFor('mm'));
  test('running marks to the middle of every perp: n × 225 − 5 on a course that begins whole', () => {
    const perps = sheet.courses[0]?.marks.filter((m) => m.what === 'perp').map((m) => m.at) ?? [];
    expect(perps.slice(0, 2)).toEqual([220, 445]);
    expect(sheet.courses[1]?.marks[0]?.at).toBeCloseTo(107.5, 6);
  });
  test('jambs and the end are marked too, in order, and the rows say the same', () => {
    for (const c of sheet.courses) {
      const at = c.marks.map((m) => m.at);
      expect(at).toEqual([...at].sort((a, b) => a - b));
      expect(c.marks.filter((m) => m.what === 'jamb').map((m) => m.at)).toEqual([665, 1125]);
      expect(c.marks.at(-1)).toEqual({ at: 2015, what: 'end' });
    }
    expect(tapeRows(sheet, 'mm', sayFor('mm'))).toHaveLength(
      1 + sheet.courses.reduce((n, c) => n + c.marks.length, 0),
    );
  });
});
