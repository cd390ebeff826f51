import { sayMm } from '../../measure/format.js';
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
      title: 'Before backfill',
      step: 'backfill',
      stepSays: 'Backfilled',
      after: pours.map((p) => `grout-${p.number}`),
      checks: [
        check(
          'drain',
          `Pipe, ${sayMm(wall.retains.stone, wall.show)} of stone and fabric in, falling to an outlet that runs`,
        ),
        check('weeps', `${wall.retains.weeps === 'pipes' ? 'Weep pipes' : 'Open perps'} clear`),
        check('waterproof', 'Waterproofing on the whole back, dry and not torn'),
        check('age', 'The wall has the age the drawing asks before it is pushed'),
        check(
          'prop',
          wall.held === 'floors'
            ? 'Prop or floor in, top and bottom'
            : 'Nothing but its own footing is meant to hold it',
        ),
      ],
    },
  ];
}
