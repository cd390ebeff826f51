import type { Issue } from '../findings/issue.js';
import type { JobDocument } from '../job/types.js';
import type { AnyStage, Given } from '../stages/stage.js';
import type { FaceLaid } from '../walling/units/leaves/leavesOf.js';
import { WALLINGS } from '../walling/registry.js';
import type { SetWall } from '../stages/set-out/wall.js';
import { JUDGED_STAGES, type JudgedId, type WorkOf } from './registry.js';

/** What a wall has been worked by, for whoever reads it or works it again. */
export interface Worked {
  worked: readonly string[];
}

/** Everything a wall is judged by. */
export type WallWork = WorkOf<JudgedId> & Worked;

/**
 * The work of stages on one wall, each reading those before it. `before`: the wall as it was worked out before an edit,
 * to leave alone what the edit did not touch. What comes out is the same without it.
 */
export function workStages(
  stages: readonly AnyStage[],
  job: JobDocument,
  index: number,
  before: Worked | null = null,
): Worked {
  const stood = (s: AnyStage): object | null => (before?.worked.includes(s.id) ? before : null);
  const walling = WALLINGS[job.walls[index]?.build.kind ?? 'units'];
  const tried = new Map<FaceLaid['runs'], Map<string, object>>();
  const weighing = (wall: SetWall): Given<object>['weigh'] => {
    const asking = stages.filter((s) => s.weighs?.asks(wall));
    if (asking.length === 0) return null;
    return (face) =>
      asking.reduce((sum, s) => {
        const found = s.weighs?.cost(face, stood(s)) ?? { cost: 0, own: {} };
        tried.set(face.runs, (tried.get(face.runs) ?? new Map<string, object>()).set(s.id, found.own));
        return sum + found.cost;
      }, 0);
  };
  const made: { wall?: SetWall } & Worked = { worked: stages.map((s) => s.id) };
  for (const s of stages) {
    const own = s.work(made, {
      job,
      index,
      walling,
      before: stood(s),
      weigh: made.wall ? weighing(made.wall) : null,
      tried: (of) => tried.get(of)?.get(s.id),
    });
    Object.assign(made, own);
  }
  return made;
}

/** Everything a wall is judged by, without what it says about itself. */
export const workWall = (job: JobDocument, index: number, before: WallWork | null = null): WallWork =>
  workStages(JUDGED_STAGES, job, index, before) as WallWork;

const ORDER = { fault: 0, choice: 1, note: 2 } as const;

/** What stages say of a wall they have worked, faults first, each as it comes in the order of the work. */
export const issuesFrom = (
  stages: readonly AnyStage[],
  job: JobDocument,
  work: object & { wall?: SetWall },
): Issue[] =>
  stages
    .filter((s) => s.of === undefined || !work.wall?.stone)
    .flatMap((s) => s.issues?.(job, work) ?? [])
    .sort((a, b) => ORDER[a.severity] - ORDER[b.severity]);

export const issuesOf = (job: JobDocument, work: WallWork): Issue[] => issuesFrom(JUDGED_STAGES, job, work);
