import { sayMm } from '../measure/format.js';
import { toMillimetres } from '../measure/length.js';
import { issue, type Issue } from '../plan/issue.js';
import { stated } from '../job/stated.js';
import type { JobDocument } from '../job/types.js';
import { setOutWall, type SetWall } from './wall.js';

/** A wall that only butts another is tied to it every second course: common practice. */
const TIED_EVERY = 2;

/** Where a wall ends on another: butted and tied, and how many ties; or that there is no such place. */
export function meetIssues(job: JobDocument, wall: SetWall, courses: number): Issue[] {
  const meets = job.walls[wall.index]?.meets;
  const other = meets ? job.walls.findIndex((w) => w.id === meets.wall) : -1;
  if (!meets || other < 0) return [];
  const met = setOutWall(job, other);
  const say = (n: number): string => sayMm(n, wall.show);
  const at = toMillimetres(stated(meets.at));
  const run = met.runs[meets.run];
  const where = run && run.name !== met.name ? `${met.name}, ${run.name}` : met.name;
  const end = wall.runs.length - 1;
  if (!run || at > run.length) {
    return [
      issue({
        code: 'meets-nowhere',
        stage: 'set-out',
        severity: 'fault',
        run: end,
        at: wall.runs[end]?.length ?? 0,
        says: run
          ? `Meant to end on ${where} at ${say(at)}, but that run is ${say(run.length)} long.`
          : `Meant to end on run ${meets.run} of ${met.name}, which has ${met.runs.length}.`,
        source: 'the line of the wall it meets',
      }),
    ];
  }
  const ties = Math.floor(courses / TIED_EVERY);
  return [
    issue({
      code: 'wall-meets',
      stage: 'set-out',
      severity: 'note',
      run: end,
      at: wall.runs[end]?.length ?? 0,
      says: `Ends on ${where} at ${say(at)}: butted with a joint and tied every second course, ${ties} ties. Where the inspector wants it bonded or toothed in, or a movement joint, that decides.`,
      source: 'common practice',
    }),
  ];
}
