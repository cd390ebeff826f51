import type { JobDocument, Wall } from '../../job/types.js';
import { INCH } from '../../measure/length.js';
import { plan } from '../../plan/plan.js';
import { documentOf, soundJob, straight, type OneWall } from '../jobs.js';
import { lastThat } from './bisect.js';
import type { PublishedCheck } from './list.js';

const FREE: Partial<Wall> = { held: 'free-standing', jointEvery: 90_000 };

/** The greatest height the plan leaves to the mason, by steps of `step` mm. */
function lastFree(
  step: number,
  most: number,
  wall: (height: number) => OneWall,
  site: JobDocument['site'],
): number {
  const mason = (height: number): boolean => {
    const job = soundJob({ ...documentOf(wall(height)), ...(site ? { site } : {}) });
    return (
      plan(job, [], { advise: false }).walls[0]?.findings.every((f) => f.code !== 'engineer-needed') ?? false
    );
  };
  return lastThat(step, most, step, mason);
}

const own = (family: 'brick' | 'block', width: number): Partial<OneWall> => ({
  units: [{ id: 'own', family, actual: { length: 440, height: family === 'brick' ? 65 : 215, width } }],
  unit: 'own',
});
const UK: readonly [id: string, what: string, wall: Partial<OneWall>, heights: readonly number[]][] = [
  [
    'M137',
    'one brick',
    { unit: 'brick-215x102.5x65', build: { bond: 'flemish', wythes: 2 } },
    [1450, 1300, 1175, 1075],
  ],
  ['M138', 'one and a half brick', own('brick', 325), [2400, 2175, 2000, 1825]],
  ['M139 100', 'block of 100', { unit: 'block-440x215x100' }, [450, 400, 350, 325]],
  ['M139 200', 'block of 200', own('block', 200), [1050, 925, 850, 775]],
  ['M139 300', 'block of 300', own('block', 300), [2000, 1825, 1650, 1525]],
];

export const STANDING: PublishedCheck[] = [
  ...UK.flatMap(([id, what, wall, heights]) =>
    heights.map((wanted, i): PublishedCheck => {
      const exposure = (i + 1) as 1 | 2 | 3 | 4;
      return {
        id: `${id} zone ${exposure}`,
        what: `${what} free-standing, wind zone ${exposure}: the greatest height left to the mason`,
        wanted,
        within: 0,
        unit: 'mm',
        source: 'UK leaflet on garden walls, from memory',
        got: () =>
          lastFree(
            25,
            3000,
            (height) => ({ profile: 'uk', show: 'mm', line: straight(4490), height, wall: FREE, ...wall }),
            { exposure },
          ),
      };
    }),
  ),
  ...([4, 6, 8, 10, 12] as const).map((wide): PublishedCheck => ({
    id: `BIA 29A ${wide}`,
    what: `${wide} in block free-standing without bars at 10 psf: the greatest height`,
    wanted: (3 * wide * wide) / 4,
    within: 0,
    unit: 'in',
    source: 'BIA Technical Note 29A: h ≤ ¾ t², from memory',
    got: () =>
      lastFree(
        INCH,
        120 * INCH,
        (height) => ({ line: straight("16'"), height, unit: `cmu-${wide}x8x16`, wall: FREE }),
        undefined,
      ) / INCH,
  })),
  {
    id: 'adobe free',
    what: '10 in adobe free-standing at 10 psf, no tension',
    wanted: 0.718,
    within: 0.002,
    unit: 'm',
    source: 'statics: γ t² / 3 w = 16 × 0.254² / (3 × 0.4788), arithmetic',
    got: () =>
      lastFree(
        1,
        2000,
        (height) => ({
          profile: 'earth',
          show: 'mm',
          line: straight("16'"),
          height,
          unit: 'adobe-10x14x4',
          wall: FREE,
        }),
        undefined,
      ) / 1000,
  },
];
