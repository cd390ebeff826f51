import { SAYS } from './messages.js';
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
          ? SAYS['meets-past']({ where, at, long: run.length })
          : SAYS['meets-no-run']({ run: meets.run, wall: met.name, has: met.runs.length }),
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
  const held = {
    tied: () => SAYS.tied({ ties }),
    bonded: () => SAYS.bonded({ on, courses: into, where }),
    toothed: () => SAYS.toothed({ on, pockets: into, deep: wall.goesIn?.past ?? 0, where }),
  }[how]();
  const list = [
    issue({
      ...shared,
      code: 'wall-meets',
      severity: 'note',
      says: SAYS['ends-on']({ where, at, how: held, byHand: header && how !== 'tied' ? 'yes' : 'no' }),
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
        says: SAYS['courses-off']({ off, where }),
        source: 'both poles, course by course',
        tries: () => [
          {
            says: SAYS['tie-instead'](),
            edit: [{ op: 'replace', path: `/walls/${wall.index}/meets/how`, value: 'tied' }],
          },
        ],
      }),
    );
  return list;
}
