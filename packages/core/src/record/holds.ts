import { sayMm } from '../measure/format.js';
import { carried } from '../walling/units/leaves/leaf.js';
import type { WallWork } from '../plan/work.js';
import { onFooting } from '../stages/steel/steel.js';

/** One thing to be seen before a hold is signed. */
export interface HoldCheck {
  id: string;
  /** What is looked for in every line of a group, where there is one; then `says` only tells which. */
  of?: string;
  says: string;
}

/** A point that may not be passed until somebody signs. */
export interface Hold {
  id: string;
  title: string;
  /** The step it holds. */
  step: string;
  stepSays: string;
  checks: HoldCheck[];
  /** Steps that have to be done before it can be signed. */
  after: string[];
}

const check = (id: string, says: string): HoldCheck => ({ id, says });

function concreteHold(work: WallWork): Hold[] {
  const { wall, steel } = work;
  if (!wall.footing || wall.steel?.drilled) return [];
  const say = (n: number): string => sayMm(n, wall.show);
  const starters = steel.verticals.reduce(
    (n, v) => n + v.bars.filter((b) => onFooting(wall, b.column)).length,
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

/** Before grout: each cell with a bar is a line of its own, for one that was not looked at is the one that fails. */
function groutHolds(work: WallWork): Hold[] {
  const { wall, steel, pours, fills } = work;
  const say = (n: number): string => sayMm(n, wall.show);
  const several = wall.runs.length > 1;
  return pours.map((pour): Hold => {
    const cells = fills.flatMap((f) =>
      f.cells
        .filter((c) => c.bar && c.filled && c.column.bottom < pour.top - 1 && c.column.top > pour.bottom + 1)
        .map((c) => {
          const at = (c.column.from + c.column.to) / 2;
          const where = several ? `${wall.runs[f.run]?.name ?? ''}, ` : '';
          return {
            id: `cell-${f.run}-${Math.round(at)}-${Math.round(c.column.bottom)}`,
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

function afterGrout(work: WallWork): Hold[] {
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

/** Before soil goes back: the drain and the waterproofing cannot be seen again, and green walls are pushed over. */
function backfillHold(work: WallWork): Hold[] {
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

/** Every hold of a wall, in the order of the work. */
export const holdsOf = (work: WallWork): Hold[] => [
  ...concreteHold(carried(work)),
  ...groutHolds(carried(work)),
  ...afterGrout(work),
  ...backfillHold(work),
];
