import { figuresOf } from '../plan/says.js';
import type { Worked } from '../plan/work.js';
import type { SetWall } from '../stages/set-out/wall.js';
import type { Figure } from '../stages/figure.js';

/** The figures of a wall under keys that `working` takes: of one run, or (`null`) of the whole wall. */
export const keyedFigures = (work: Worked & { wall: SetWall }, run: number | null): Figure[] =>
  figuresOf(work, run).map((f) => ({ ...f, key: `${work.wall.id}/${run ?? 'wall'}/${f.key}` }));
