import type { JobDocument } from '../job/types.js';
import { sayMm, type Show } from '../measure/format.js';
import { SAME_PLACE, type Mm } from '../measure/length.js';
import type { WallPlan } from '../plan/plan.js';
import { placedWalls } from '../stages/set-out/placing.js';
import { line, path, words, type Anchor, type SceneShape } from '../shapes/shape.js';
import { SAYS } from './messages.js';
import { onPlan } from './onPlan.js';
import { planScene } from './plan.js';
import { placeOn, plannedRuns, type PlannedRun } from './planLine.js';
import { boxOf, type Scene } from './scene.js';
import { wallsOnSite } from './site.js';

type XY = readonly [number, number];

/** A corner of the line, or a free end, to be pulled. */
export interface PlanCorner {
  /** The run that begins there; as many as there are runs for the end of a line that does not close. */
  corner: number;
  x: Mm;
  y: Mm;
}

/** A run's length on the plan, to be typed on. */
export interface PlanLength {
  run: number;
  /** Place of its item in the line. */
  item: number;
  stated: Mm;
  x: Mm;
  y: Mm;
  /** Beside an upright dimension it begins or ends there; on a level one it stands across its middle. */
  anchor: Anchor;
}

/** The wall as it is set out on the ground: the plan to scale with what stands round it, and what of it can be taken hold of. */
export interface SetOutPlan {
  scene: Scene;
  corners: PlanCorner[];
  lengths: PlanLength[];
}

/** The other walls of the job, where they stand to this one. */
function neighbours(job: JobDocument, p: WallPlan): SceneShape[] {
  const here = wallsOnSite(job).find((w) => w.index === p.wall.index);
  if (!here) return [];
  const [cos, sin] = [Math.cos(-here.turn), Math.sin(-here.turn)];
  const own = ({ x, y }: { x: Mm; y: Mm }): XY => {
    const [dx, dy] = [x - here.x, y - here.y];
    return [dx * cos - dy * sin, dx * sin + dy * cos];
  };
  return placedWalls(job)
    .filter((w) => w.index !== p.wall.index && w.points.length > 1)
    .flatMap((w) => {
      const points = w.points.map(own);
      // Its name stands in the middle of it.
      const box = boxOf([path('line-other', points)]);
      const [x, y] = [box.x + box.w / 2, box.y + box.h / 2];
      return [
        path(w.by === 'beside' ? 'line-loose' : 'line-other', points, w.id),
        words('line-name', x, y, w.name, 'middle', w.id),
      ];
    });
}

/** Corner to corner across a building of four runs: what a tape proves it square by. */
function diagonals(runs: readonly PlannedRun[], closed: boolean): SceneShape[] {
  if (!closed || runs.length !== 4 || runs.some((r) => r.radius !== null)) return [];
  const at = (i: number): XY => placeOn(runs[i] as PlannedRun, 0, 0);
  const pairs: [XY, XY][] = [
    [at(0), at(2)],
    [at(1), at(3)],
  ];
  const long = pairs.map(([a, b]) => Math.hypot(a[0] - b[0], a[1] - b[1])) as [number, number];
  const alike = Math.abs(long[0] - long[1]) < SAME_PLACE;
  const middle = ([a, b]: [XY, XY]): XY => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const lines = pairs.map(([a, b]) => line('diagonal', a[0], a[1], b[0], b[1]));
  const [x, y] = middle(pairs[0] as [XY, XY]);
  const says = alike
    ? SAYS['both-diagonals']({ long: long[0] })
    : SAYS['two-diagonals']({ one: long[0], other: long[1] });
  return [...lines, words('diagonal-name', x, y, says, 'middle')];
}

/** Where the footing steps, and how the bed it was poured to stands, along the runs. */
function onFooting(p: WallPlan, runs: readonly PlannedRun[], deep: Mm, show: Show): SceneShape[] {
  const { wall } = p;
  const width = wall.footing?.width ?? deep * 2;
  const [out, inside] = [deep / 2 - width / 2, deep / 2 + width / 2];
  const steps = wall.steps.flatMap((s) => {
    const run = runs[s.run];
    const length = wall.runs[s.run]?.length ?? 0;
    return run
      ? [s.from, s.to]
          .filter((at) => at > 1 && at < length - 1)
          .map((at) => onPlan(run, line('step-plan', at, out, at, inside, s.id)))
      : [];
  });
  const levels = wall.poured.flatMap((spot) => {
    const run = runs[spot.run];
    if (!run) return [];
    const [x, y] = placeOn(run, spot.at, inside + deep);
    const sign = spot.level > 0 ? '+' : '';
    return [words('plan-level', x, y, `${sign}${sayMm(spot.level, show)}`, 'middle')];
  });
  return [...steps, ...levels];
}

/** The set-out of one wall. Lengths that can be typed are left out of the drawing: they stand over it. */
export function setOutPlan(job: JobDocument, p: WallPlan, show: Show): SetOutPlan {
  const { wall } = p;
  const runs = plannedRuns(wall);
  const deep = wall.cavity?.overall ?? wall.thickness;
  const plan = planScene(p, show);
  const typed = plan.shapes.filter((s) => s.type === 'text' && s.role === 'dimension-name');
  const lengths = typed.flatMap((s, run): PlanLength[] => {
    const set = wall.runs[run];
    return s.type === 'text' && set && set.radius === null
      ? [{ run, item: set.item, stated: set.stated, x: s.x, y: s.y, anchor: s.anchor }]
      : [];
  });
  const written = new Set(lengths.map((l) => typed[l.run]));
  const corners: PlanCorner[] = runs.map((r) => ({ corner: r.index, x: r.x, y: r.y }));
  const last = runs.at(-1);
  if (last && !wall.line.closed) {
    const [x, y] = placeOn(last, last.length, 0);
    corners.push({ corner: runs.length, x, y });
  }
  const names = wall.openings.flatMap((o) => {
    const run = runs[o.run];
    if (!run) return [];
    const middle = (o.from + o.to) / 2;
    const [x, y] = placeOn(run, middle, deep * 2.2);
    const [ox] = placeOn(run, middle, deep * 1.2);
    const upright = Math.abs(ox - x) > deep / 2;
    return [words('opening-name', x, y, o.name, upright ? (x < ox ? 'end' : 'start') : 'middle', o.id)];
  });
  // The name of a run stands with its length.
  const named = new Set(lengths.map((l) => wall.runs[l.run]?.id));
  const own = plan.shapes.filter((s) => !written.has(s) && !(s.role === 'run-name' && named.has(s.id)));
  const shapes = [
    ...neighbours(job, p),
    ...own,
    ...diagonals(runs, wall.line.closed),
    ...onFooting(p, runs, deep, show),
    ...names,
  ];
  return {
    // The paper is for this wall; its neighbours go on past the edge.
    scene: { box: plan.box, pieces: null, shapes },
    corners: runs.some((r) => r.radius !== null) ? [] : corners,
    lengths,
  };
}
