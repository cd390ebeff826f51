import { SAYS } from '../holdMessages.js';
import type { Grouted } from '../grout/work.js';
import { check, type Hold } from '../hold.js';
import type { SetWall } from '../set-out/wall.js';

/** Before soil goes back: the drain and the waterproofing cannot be seen again, and green walls are pushed over. */
export function backfillHold(work: { wall: SetWall } & Grouted): Hold[] {
  const { wall, pours } = work;
  if (!wall.retains) return [];
  return [
    {
      id: 'before-backfill',
      title: SAYS['before-backfill'](),
      step: 'backfill',
      stepSays: SAYS.backfilled(),
      after: pours.map((p) => `grout-${p.number}`),
      checks: [
        check('drain', SAYS.drain({ stone: wall.retains.stone })),
        check('weeps', SAYS.weeps({ kind: wall.retains.weeps === 'pipes' ? 'pipes' : 'perps' })),
        check('waterproof', SAYS.waterproof()),
        check('age', SAYS.age()),
        check('prop', wall.held === 'floors' ? SAYS.propped() : SAYS.unpropped()),
      ],
    },
  ];
}
