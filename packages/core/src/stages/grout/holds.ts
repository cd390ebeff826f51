import { sayMm } from '../../measure/format.js';
import { check, type Hold } from '../hold.js';
import { cellPlaces } from './places.js';
import type { GroutStageWork } from './work.js';

/** Before grout: each cell with a bar is a line of its own, for one that was not looked at is the one that fails. */
export function groutHolds(work: GroutStageWork): Hold[] {
  const { wall, steel, pours, fills } = work;
  const say = (n: number): string => sayMm(n, wall.show);
  const several = wall.runs.length > 1;
  const placeOf = cellPlaces(work);
  return pours.map((pour): Hold => {
    const cells = fills.flatMap((f) =>
      f.cells
        .filter((c) => c.bar && c.filled && c.shaft.bottom < pour.top - 1 && c.shaft.top > pour.bottom + 1)
        .map((c) => {
          const at = (c.shaft.from + c.shaft.to) / 2;
          const where = several ? `${wall.runs[f.run]?.name ?? ''}, ` : '';
          return {
            // A cell broken by an opening is two of one column: the upper says where it begins.
            id: `${placeOf(f.run, at, 'cell')}${c.shaft.low > 0 ? `@${Math.round(c.shaft.bottom)}` : ''}`,
            was: `cell-${f.run}-${Math.round(at)}-${Math.round(c.shaft.bottom)}`,
            of: `Each cell: bar ${wall.steel?.vertical?.bar ?? ''} in, in its place, lapped, clean to the bottom`,
            says: `${where}${say(at)}`,
          };
        }),
    );
    const beams = steel.beams.some((b) => {
      const c = work.gauge.courses[b.course];
      return c !== undefined && c.bottom >= pour.bottom - 1 && c.top <= pour.top + 1;
    });
    return {
      id: `before-grout-${pour.number}`,
      title: `Before grout, pour ${pour.number}`,
      step: `grout-${pour.number}`,
      stepSays: `Pour ${pour.number} placed`,
      after: [...(wall.footing ? ['footing'] : []), ...(pour.number > 1 ? [`grout-${pour.number - 1}`] : [])],
      checks: [
        ...cells,
        ...(pour.cleanouts > 0
          ? [check('cleanouts', `${pour.cleanouts} cleanouts looked into, then closed and braced`)]
          : []),
        ...(beams
          ? [check('beams', 'Bars in the beams, lapped round the corners; cells under them stopped')]
          : []),
        check(
          'blocked',
          'No mortar fins over half an inch (13 mm) in the cells; wall set enough to hold the grout',
        ),
      ],
    };
  });
}

/** When the grout is in: what shows that the cells are full. */
export function afterGrout(work: GroutStageWork): Hold[] {
  const last = work.pours.at(-1);
  if (!last) return [];
  return [
    {
      id: 'after-grout',
      title: 'After grout',
      step: 'loaded',
      stepSays: 'Wall loaded or capped',
      after: work.pours.map((p) => `grout-${p.number}`),
      checks: [
        check('tapped', 'Filled cells tapped all the way up: none sounds hollow'),
        check('damp', 'Damp shows on the block where every filled cell is'),
        check('braced', 'Wall braced until it has its strength, nobody in the fall of it'),
      ],
    },
  ];
}
