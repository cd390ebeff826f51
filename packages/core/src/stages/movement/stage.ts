import { line, mark } from '../../shapes/shape.js';
import type { BondWork } from '../bond/stage.js';
import { figuresNamed } from '../figure.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { SetOutWork } from '../set-out/stage.js';
import { builtJoints } from '../../walling/units/lines/sections.js';
import { jointFoot } from '../../walling/units/laying/belowDpc.js';
import { stage } from '../stage.js';
import { movementIssues } from './issues.js';
import { MOVEMENT_WORKINGS } from './workings.js';

/** How far a joint is drawn past the wall below and above, mm; it ends at the dpc where there is one. */
const PAST = 60;

/** Movement joints. They are hung on the wall where it is set out: here they are judged, counted and drawn. */
export const movement = stage<'movement', SetOutWork & GaugeWork & BondWork, object>({
  id: 'movement',
  shown: 'steel',
  of: 'units',
  needs: ['set-out', 'gauge', 'bond'],
  work: () => ({}),
  issues: (_, { wall, runs }) => movementIssues(wall, runs),
  figures: (work, run) =>
    run === null && work.wall.joints.length > 0
      ? figuresNamed(MOVEMENT_WORKINGS, Object.keys(MOVEMENT_WORKINGS), work)
      : [],
  working: (work, figure) => MOVEMENT_WORKINGS[figure]?.(work) ?? null,
  above: ({ wall, gauge, leaves }, run, course) => {
    const deep = Math.max(...leaves.map((l) => l.offset + l.thickness));
    return (gauge.courses[course - 1]?.top ?? 0) <= jointFoot(wall, gauge.courses) + 1
      ? []
      : builtJoints(wall, run).map(({ from, to }) =>
          line('joint-plan', (from + to) / 2, 0, (from + to) / 2, deep),
        );
  },
  shapes: ({ wall, gauge }, run) => {
    const foot = jointFoot(wall, gauge.courses);
    const low = foot > 0 ? foot : -PAST;
    const top = (gauge.courses[gauge.count - 1]?.top ?? 0) + PAST;
    return wall.joints
      .filter((j) => j.run === run)
      .flatMap((j) => {
        const x = (j.from + j.to) / 2;
        const role = j.refused === null ? 'movement-joint' : 'joint-refused';
        return [line(role, x, low, x, top, j.id), mark('joint-head', x, top)];
      });
  },
});
