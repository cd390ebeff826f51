import { sayMm } from '../../measure/format.js';
import { check, type Hold } from '../hold.js';
import type { SteelStageWork } from './work.js';
import { onFooting } from './steel.js';

/** Before the footing is poured: what concrete hides. */
export function concreteHold(work: Pick<SteelStageWork, 'wall' | 'steel'>): Hold[] {
  const { wall, steel } = work;
  if (!wall.footing || wall.steel?.drilled) return [];
  const say = (n: number): string => sayMm(n, wall.show);
  const starters = steel.verticals.reduce(
    (n, v) => n + v.bars.filter((b) => onFooting(wall, b.shaft)).length,
    0,
  );
  return [
    {
      id: 'before-concrete',
      title: 'Before concrete',
      step: 'footing',
      stepSays: 'Footing poured',
      after: [],
      checks: [
        check(
          'trench',
          `Trench ${say(wall.footing.width)} wide, ${say(wall.footing.depth)} of concrete, firm and clean at the bottom`,
        ),
        ...(wall.steel?.footing
          ? [
              check(
                'bars',
                `${wall.steel.footing.count} bars of ${wall.steel.footing.bar} along it, lapped, on chairs`,
              ),
            ]
          : []),
        ...(starters > 0
          ? [check('starters', `${starters} starters where the plan has them, tied, upright and capped`)]
          : []),
      ],
    },
  ];
}
