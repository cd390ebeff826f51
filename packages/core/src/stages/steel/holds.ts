import { SAYS } from '../holdMessages.js';
import { check, type Hold } from '../hold.js';
import type { SteelStageWork } from './work.js';
import { onFooting } from './steel.js';

/** Before the footing is poured: what concrete hides. */
export function concreteHold(work: Pick<SteelStageWork, 'wall' | 'steel'>): Hold[] {
  const { wall, steel } = work;
  if (!wall.footing || wall.steel?.drilled) return [];
  const starters = steel.verticals.reduce(
    (n, v) => n + v.bars.filter((b) => onFooting(wall, b.shaft)).length,
    0,
  );
  return [
    {
      id: 'before-concrete',
      title: SAYS['before-concrete'](),
      step: 'footing',
      stepSays: SAYS['footing-poured'](),
      after: [],
      checks: [
        check('trench', SAYS.trench({ width: wall.footing.width, depth: wall.footing.depth })),
        ...(wall.steel?.footing
          ? [
              check(
                'bars',
                SAYS['footing-bars']({ count: wall.steel.footing.count, bar: wall.steel.footing.bar }),
              ),
            ]
          : []),
        ...(starters > 0 ? [check('starters', SAYS.starters({ count: starters }))] : []),
      ],
    },
  ];
}
