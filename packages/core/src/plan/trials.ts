import { applyPatch, type PatchStep } from '../job/edits/patch.js';
import { checkJob } from '../job/check.js';
import type { Job, JobDocument } from '../job/types.js';
import type { Issue } from '../findings/issue.js';
import { issuesOf, workWall, type WallWork } from './work.js';

/** The job with an edit made, or null where it cannot be or is not sound. */
export function edited(job: JobDocument, edit: PatchStep[]): Job | null {
  const applied = applyPatch(job, edit);
  if (!applied.ok) return null;
  const checked = checkJob(applied.value);
  return checked.ok ? checked.job : null;
}

export interface Trial {
  work: WallWork;
  /** What the wall says then, worked out when it is asked for. */
  issues: () => Issue[];
  /** Whether a fault stands then, in this wall or one it meets, that was not there. */
  newFault: () => boolean;
  /** The faults of this wall that were not there. */
  newFaults: () => Issue[];
}

/** How many faults of each kind and place there are. */
function faultsIn(issues: readonly Issue[]): Map<string, number> {
  const count = new Map<string, number>();
  for (const i of issues) if (i.severity === 'fault') count.set(i.key, (count.get(i.key) ?? 0) + 1);
  return count;
}

const moreIn = (after: ReadonlyMap<string, number>, before: ReadonlyMap<string, number>): boolean =>
  [...after].some(([key, n]) => n > (before.get(key) ?? 0));

/** Walls whose own findings an edit of this one may change: those it meets and those that meet it, or all of them. */
function walledWith(job: JobDocument, index: number, edit: readonly PatchStep[]): number[] {
  const own = `/walls/${index}/`;
  const all = job.walls.map((_, i) => i).filter((i) => i !== index);
  if (edit.some((s) => !s.path.startsWith(own))) return all;
  // An opening is nothing to the wall next door.
  if (edit.every((s) => s.path.startsWith(`${own}openings/`))) return [];
  const id = job.walls[index]?.id;
  const met = job.walls[index]?.meets?.wall;
  return all.filter((i) => job.walls[i]?.id === met || job.walls[i]?.meets?.wall === id);
}

/** Tries edits, each once however many findings ask for it. Null where the wall cannot be so. */
export function trials(
  job: JobDocument,
  index: number,
  before: WallWork,
  issues: readonly Issue[],
): (edit: PatchStep[]) => Trial | null {
  const done = new Map<string, Trial | null>();
  const own = faultsIn(issues);
  const others = new Map<number, { work: WallWork; faults: Map<string, number> }>();
  const other = (i: number): { work: WallWork; faults: Map<string, number> } => {
    let known = others.get(i);
    if (!known) {
      const work = workWall(job, i);
      known = { work, faults: faultsIn(issuesOf(job, work)) };
      others.set(i, known);
    }
    return known;
  };
  return (edit) => {
    const key = JSON.stringify(edit);
    const known = done.get(key);
    if (known !== undefined) return known;
    const after = edited(job, edit);
    let trial: Trial | null = null;
    if (after) {
      const work = workWall(after, index, before);
      let said: Issue[] | null = null;
      const then = (): Issue[] => (said ??= issuesOf(after, work));
      const newFaults = (): Issue[] => {
        const more = faultsIn(then());
        return then().filter((i) => i.severity === 'fault' && (more.get(i.key) ?? 0) > (own.get(i.key) ?? 0));
      };
      const newFault = (): boolean =>
        moreIn(faultsIn(then()), own) ||
        walledWith(job, index, edit).some((i) => {
          const was = other(i);
          return moreIn(faultsIn(issuesOf(after, workWall(after, i, was.work))), was.faults);
        });
      trial = { work, issues: then, newFault, newFaults };
    }
    done.set(key, trial);
    return trial;
  };
}
