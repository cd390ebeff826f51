import { sayMm } from '../../../measure/format.js';
import { toMillimetres } from '../../../measure/length.js';
import { cavityWall } from '../leaves/cavityLeaf.js';
import { issue, type Issue } from '../../../findings/issue.js';
import { inFull } from '../../../job/full.js';
import { stated } from '../../../job/stated.js';
import type { JobDocument } from '../../../job/types.js';
import { solveGauge, type GaugeSolution } from '../../../stages/gauge/solve.js';
import { setOutWall, type SetWall } from '../../../stages/set-out/wall.js';

/** A wall that only butts another is tied to it every second course: common practice. */
const TIED_EVERY = 2;

/** Courses of two walls bonded together lie level within this, mm: common practice. */
const LEVEL_WITHIN = 3;

/** Where a wall ends on another, and how its end is held; or that there is no such place. */
export function teeIssues(job: JobDocument, wall: SetWall, gauge: GaugeSolution): Issue[] {
  const meets = inFull(job).walls[wall.index]?.meets;
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
  const how = meets.how ?? 'tied';
  const shared = { stage: 'set-out' as const, run: end, at: wall.runs[end]?.length ?? 0 };
  const ties = Math.floor(gauge.count / TIED_EVERY);
  const on = meets.on ?? 'even';
  const into = gauge.courses.filter((c) => c.number % 2 === (on === 'odd' ? 1 : 0)).length;
  const header = wall.bond.family === 'header' || met.bond.family === 'header';
  const says = {
    tied: `butted with a joint and tied every second course, ${ties} ties. Where the inspector wants it bonded or toothed in, or a movement joint, that decides.`,
    bonded: `bonded in on ${on} courses, ${into} of them: both go up together, or ${where} is left toothed for it.`,
    toothed: `toothed in on ${on} courses: ${into} pockets ${say(wall.goesIn?.past ?? 0)} deep to cut in ${where}. Packed and pointed as each course is laid.`,
  }[how];
  const list = [
    issue({
      ...shared,
      code: 'wall-meets',
      severity: 'note',
      says: `Ends on ${where} at ${say(at)}: ${says}${header && how !== 'tied' ? ' In a header bond the units there are cut to suit by hand.' : ''}`,
      source: 'common practice',
    }),
  ];
  // What it is bonded to is the leaf it comes to.
  const theirs = solveGauge(met.cavity ? cavityWall(job, met).wall : met);
  const off = Math.max(
    0,
    ...gauge.courses.slice(0, theirs.courses.length).map((c, i) => {
      const other = theirs.courses[i];
      return other ? Math.abs(c.top + wall.base - other.top - met.base) : 0;
    }),
  );
  if (how !== 'tied' && off > LEVEL_WITHIN)
    list.push(
      issue({
        ...shared,
        code: 'tee-off-gauge',
        severity: 'fault',
        course: 1,
        says: `Its courses stand up to ${say(off)} off those of ${where}: what is bonded or toothed in must lie level with them.`,
        source: 'both poles, course by course',
        tries: () => [
          {
            says: 'Tie it instead',
            edit: [{ op: 'replace', path: `/walls/${wall.index}/meets/how`, value: 'tied' }],
          },
        ],
      }),
    );
  return list;
}
