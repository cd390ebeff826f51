import { sayMm } from '../measure/format.js';
import { SAME_PLACE, toMillimetres } from '../measure/length.js';
import type { SetWall } from '../stages/set-out/wall.js';
import { sayValue, type Fault } from '../statement/fault.js';
import { LIMITS } from './limits.js';
import { stated } from './stated.js';
import type { JobDocument } from './types.js';

/** Wall beside a movement joint shorter than this is no wall, mm: common practice, a brick. */
const THINNEST_SECTION = 200;

interface Length {
  id: string;
  index: number;
  run: number;
  from: number;
  to: number;
}

/** Lengths laid along a run: each inside it, with its id its own, and none on top of another. */
function lengthFaults(wall: SetWall, key: string, what: string, list: readonly Length[]): Fault[] {
  const say = (n: number): string => sayMm(n, wall.show);
  return list.flatMap((one, i): Fault[] => {
    const path = `/walls/${wall.index}/${key}/${one.index}`;
    // Filed for a place that is not there: the wall says so, and it is no fault.
    if (one.run < 0) return [];
    const run = wall.runs[one.run];
    if (!run)
      return [{ path: `${path}/run`, wanted: `a run from 0 to ${wall.runs.length - 1}`, got: `${one.run}` }];
    if (!(one.from < one.to && one.to <= run.length + SAME_PLACE))
      return [
        {
          path: `${path}/to`,
          wanted: `${what} inside its run, 0 to ${say(run.length)}`,
          got: `${say(one.from)} to ${say(one.to)}`,
        },
      ];
    const before = list.slice(0, i);
    const same = before.find((b) => b.id === one.id);
    if (same) return [{ path: `${path}/id`, wanted: `an id used once`, got: sayValue(one.id) }];
    const over = before.find(
      (b) => b.run === one.run && b.to > one.from + SAME_PLACE && b.from < one.to - SAME_PLACE,
    );
    return over
      ? [{ path, wanted: `${what} clear of the others`, got: `${one.id} lies over ${over.id}` }]
      : [];
  });
}

/** All the vents of a wall are counted together: the entry that makes them too many is the one that is named. */
function fittingFaults(wall: SetWall): Fault[] {
  let all = 0;
  return wall.vents.flatMap((v) => {
    const count = Math.ceil((wall.runs[v.run]?.length ?? 0) / v.every);
    const before = all;
    all += count;
    if (all <= LIMITS.fittings || before > LIMITS.fittings) return [];
    return [
      {
        path: `/walls/${wall.index}/vents/${v.index}/every`,
        wanted: `a spacing that makes at most ${LIMITS.fittings} of them in this wall`,
        got: `${sayMm(v.every, wall.show)}, which makes ${count}${before > 0 ? ` beside ${before}` : ''}`,
      },
    ];
  });
}

/** Vents in runs there are, and ids used once. Units laid otherwise are never refused: they are reported when lost. */
function letInFaults(wall: SetWall): Fault[] {
  const path = `/walls/${wall.index}`;
  const twice = (list: readonly { id: string }[], under: string): Fault[] =>
    list.flatMap((one, i) =>
      list.findIndex((x) => x.id === one.id) < i
        ? [{ path: `${path}/${under}/${i}/id`, wanted: 'an id used once', got: sayValue(one.id) }]
        : [],
    );
  return [
    ...wall.vents
      .filter((v) => v.run >= 0 && !wall.runs[v.run])
      .map((v) => ({
        path: `${path}/vents/${v.index}/run`,
        wanted: `a run from 0 to ${wall.runs.length - 1}`,
        got: `${v.run}`,
      })),
    ...fittingFaults(wall),
    ...twice(wall.vents, 'vents'),
    ...twice(wall.changes, 'build/pieces'),
  ];
}

/** Movement joints inside their runs, off its ends by more than a cut can stand, and clear of one another. */
function jointFaults(wall: SetWall): Fault[] {
  const inside = lengthFaults(wall, 'joints', 'a movement joint', wall.joints);
  if (inside.length > 0) return inside.map((f) => ({ ...f, path: f.path.replace(/\/to$/, '/at') }));
  const least = THINNEST_SECTION;
  return wall.joints.flatMap((j) => {
    if (j.run < 0) return [];
    const others = wall.joints.filter((o) => o.run === j.run && o !== j);
    const left = Math.max(0, ...others.filter((o) => o.to <= j.from + SAME_PLACE).map((o) => o.to));
    const length = wall.runs[j.run]?.length ?? 0;
    if (j.from - left >= least && length - j.to >= least) return [];
    return [
      {
        path: `/walls/${wall.index}/joints/${j.index}/at`,
        wanted: `a movement joint with at least ${sayMm(least, wall.show)} of wall each side`,
        got: sayMm((j.from + j.to) / 2, wall.show),
      },
    ];
  });
}

/** Tops and steps that could not be built as stated. */
export function outlineFaults(job: JobDocument, wall: SetWall): Fault[] {
  const faults = [
    ...lengthFaults(wall, 'tops', 'a top', wall.tops),
    ...lengthFaults(wall, 'steps', 'a step', wall.steps),
    ...lengthFaults(wall, 'piers', 'a pier', wall.piers),
    ...jointFaults(wall),
    ...letInFaults(wall),
  ];
  (job.walls[wall.index]?.tops ?? []).forEach((t, i) => {
    const path = `/walls/${wall.index}/tops/${i}`;
    const mm = (s: number | string): number => toMillimetres(stated(s));
    const highest = Math.max(mm(t.left), mm(t.right));
    if (!(highest <= toMillimetres(LIMITS.height)))
      faults.push({
        path,
        wanted: `at most ${sayMm(toMillimetres(LIMITS.height), wall.show)}`,
        got: sayMm(highest, wall.show),
      });
    if (t.kind !== 'scallop') return;
    const most = Math.min((mm(t.to) - mm(t.from)) / 2, Math.min(mm(t.left), mm(t.right)));
    if (t.dip === undefined)
      faults.push({ path: `${path}/dip`, wanted: 'how far the scallop hangs', got: 'nothing' });
    else if (!(mm(t.dip) < most))
      faults.push({
        path: `${path}/dip`,
        wanted: `less than ${sayMm(most, wall.show)}: half its width, and above the base`,
        got: sayMm(mm(t.dip), wall.show),
      });
  });
  return faults;
}
