import { SAYS } from '../holdMessages.js';
import { check, type Hold } from '../hold.js';
import { cellPlaces } from './places.js';
import type { GroutStageWork } from './work.js';

/** Before grout: each cell with a bar is a line of its own, for one that was not looked at is the one that fails. */
export function groutHolds(work: GroutStageWork): Hold[] {
  const { wall, steel, pours, fills } = work;
  const several = wall.runs.length > 1;
  const placeOf = cellPlaces(work);
  return pours.map((pour): Hold => {
    const cells = fills.flatMap((f) =>
      f.cells
        .filter((c) => c.bar && c.filled && c.shaft.bottom < pour.top - 1 && c.shaft.top > pour.bottom + 1)
        .map((c) => {
          const at = (c.shaft.from + c.shaft.to) / 2;
          return {
            // A cell broken by an opening is two of one column: the upper says where it begins.
            id: `${placeOf(f.run, at, 'cell')}${c.shaft.low > 0 ? `@${Math.round(c.shaft.bottom)}` : ''}`,
            was: `cell-${f.run}-${Math.round(at)}-${Math.round(c.shaft.bottom)}`,
            of: SAYS['each-cell']({ bar: wall.steel?.vertical?.bar ?? '' }),
            says: several
              ? SAYS['cell-in-run']({ run: wall.runs[f.run]?.name ?? '', at })
              : SAYS['cell-at']({ at }),
          };
        }),
    );
    const beams = steel.beams.some((b) => {
      const c = work.gauge.courses[b.course];
      return c !== undefined && c.bottom >= pour.bottom - 1 && c.top <= pour.top + 1;
    });
    return {
      id: `before-grout-${pour.number}`,
      title: SAYS['before-grout']({ pour: pour.number }),
      step: `grout-${pour.number}`,
      stepSays: SAYS['pour-placed']({ pour: pour.number }),
      after: [...(wall.footing ? ['footing'] : []), ...(pour.number > 1 ? [`grout-${pour.number - 1}`] : [])],
      checks: [
        ...cells,
        ...(pour.cleanouts > 0 ? [check('cleanouts', SAYS.cleanouts({ count: pour.cleanouts }))] : []),
        ...(beams ? [check('beams', SAYS['beam-bars']())] : []),
        check('blocked', SAYS['no-fins']()),
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
      title: SAYS['after-grout'](),
      step: 'loaded',
      stepSays: SAYS.loaded(),
      after: work.pours.map((p) => `grout-${p.number}`),
      checks: [check('tapped', SAYS.tapped()), check('damp', SAYS.damp()), check('braced', SAYS.braced())],
    },
  ];
}
