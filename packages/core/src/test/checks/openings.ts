import type { Opening } from '../../job/types.js';
import { INCH } from '../../measure/length.js';
import { plan, type WallPlan } from '../../plan/plan.js';
import { lintelsPlaced } from '../../stages/lintels/lintels.js';
import { documentOf, planOf, soundJob, straight, type OneWall } from '../jobs.js';
import { firstThat } from './bisect.js';
import { exactly, type PublishedCheck } from './list.js';

const UK: OneWall = {
  profile: 'uk',
  show: 'mm',
  unit: 'brick-215x102.5x65',
  line: straight(8990),
  height: 2700,
};
const US: OneWall = { line: straight("24'"), height: '8\' 8"' };
const ADOBE: OneWall = { profile: 'earth', unit: 'adobe-10x14x4', line: straight("24'"), height: "8'" };
const VENEER: OneWall = { ...US, unit: 'brick-modular-us', height: "8'" };

const over = (wall: OneWall, opening: Partial<Opening>): OneWall => ({
  ...wall,
  openings: [{ at: '6\' 0"', sill: 0, head: '6\' 8"', ...opening }],
});

/** The least bearing at each end that is not found short, mm. */
const leastBearing = (wall: OneWall, width: number, step: number): number =>
  firstThat(step, 20 * INCH, step, (bearings) =>
    planOf(over(wall, { width, lintel: { bearings, mark: 'L1' } })).findings.every(
      (f) => f.code !== 'lintel-bearing-short',
    ),
  );

/** How long a lintel is where only its opening is stated, mm. */
function usualLength(wall: OneWall, width: number | string): number {
  const job = soundJob(documentOf(over(wall, { width, lintel: { mark: 'L1' } })));
  return lintelsPlaced(plan(job).walls[0] as WallPlan)[0]?.length ?? NaN;
}

export const OPENINGS: PublishedCheck[] = [
  exactly('M102', 'lintel over 910 mm at 150 mm bearings', 1210, 'mm', 'geometry', () =>
    usualLength(UK, 910),
  ),
  exactly(
    'M101 to 1.2 m',
    'least bearing of a lintel over 1 200 mm',
    100,
    'mm',
    'BS EN 845-2 and warranty standard, from memory',
    () => leastBearing(UK, 1200, 1),
  ),
  exactly(
    'M101 past 1.2 m',
    'least bearing of a lintel over 1 201 mm',
    150,
    'mm',
    'warranty standard, from memory',
    () => leastBearing(UK, 1201, 1),
  ),
  exactly(
    'REB-47',
    'least bearing of a lintel on block',
    4,
    'in',
    'TMS 402 5.2.1, from memory',
    () => leastBearing(US, 40 * INCH, INCH / 8) / INCH,
  ),
  exactly(
    'VJ-47',
    'least bearing of a lintel on veneer',
    4,
    'in',
    'IRC R703.8.3, from memory',
    () => leastBearing(VENEER, 40 * INCH, INCH / 8) / INCH,
  ),
  exactly(
    'ADB-16',
    'least bearing of a lintel on adobe',
    12,
    'in',
    'IBC 2109 and 14.7.4 NMAC, from memory',
    () => leastBearing(ADOBE, 40 * INCH, INCH / 8) / INCH,
  ),
  exactly(
    'ADB-16 long',
    'lintel over 45 in of adobe',
    69,
    'in',
    '45 + 2 × 12: IBC 2109, from memory',
    () => usualLength(ADOBE, '45"') / INCH,
  ),
];
