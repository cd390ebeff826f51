import type { JobDocument, Stated } from '../job/types.js';
import { stated } from '../job/stated.js';
import { sayMm, type Show } from '../measure/format.js';
import { SAME_PLACE, toMillimetres, type Mm } from '../measure/length.js';
import type { WallPlan } from '../plan/plan.js';
import { placedWalls } from '../stages/set-out/placing.js';
import { line, path, words, type Anchor, type SceneShape } from '../shapes/shape.js';
import { SAYS } from './messages.js';
import { onPlan } from './onPlan.js';
import { planScene } from './plan.js';
import { placeOn, plannedRuns, type PlannedRun } from './planLine.js';
import { boxOf, type Scene } from './scene.js';
import { wallsOnSite, type OnSite } from './site.js';

/** A corner nearer than this to its place stands, mm: as the tape is read. */
const LEAST_MOVE: Mm = 1;

type XY = readonly [number, number];
const pointOf = ([x, y]: XY): { x: Mm; y: Mm } => ({ x, y });

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

/** An opening on the plan, to be pulled along its run. */
export interface PlanOpening {
  id: string;
  x: Mm;
  y: Mm;
  /** Along its run, and how far it reaches from its middle, mm. */
  along: readonly [number, number];
  half: Mm;
}

/** A level taken on the footing as poured, to be pulled along its run and typed on. */
export interface PlanSpot {
  /** Its place in the wall's list. */
  index: number;
  run: number;
  /** Along its run, and above (+) or below (−) the wall's base, mm. */
  at: Mm;
  level: Mm;
  x: Mm;
  y: Mm;
  along: readonly [number, number];
}

/** What the tape read, to be typed on: a side, between its corners, or from corner to corner across. */
export interface PlanTape {
  of: 'sides' | 'diagonals';
  index: number;
  /** The corners it was held to. */
  between: string;
  /** As the tape read it; what it ought to read where it has not been read yet. */
  value: Mm;
  read: boolean;
  x: Mm;
  y: Mm;
  /** Which way there is room for it, from its place: into the building; nowhere for one across the middle. */
  inward: readonly [number, number];
}

/** The end of a line that does not close, and the way its last run goes, degrees: another is pulled out of it. */
export interface PlanEnd {
  x: Mm;
  y: Mm;
  heading: number;
}

/** The wall as it is set out on the ground: the plan to scale with what stands round it, and what of it can be taken hold of. */
export interface SetOutPlan {
  scene: Scene;
  /** How the wall's own axes lie in it, radians: it lies as the site does. */
  turn: number;
  corners: PlanCorner[];
  lengths: PlanLength[];
  openings: PlanOpening[];
  spots: PlanSpot[];
  /** Empty where nothing has been taped. */
  tapes: PlanTape[];
  /** The building is one that four tapes and a diagonal prove. */
  taped: 'yes' | 'not-yet' | 'never';
  end: PlanEnd | null;
}

/** The other walls of the job, where they stand to this one: the plan lies as the site does, from where this one begins. */
function neighbours(job: JobDocument, p: WallPlan, here: OnSite | undefined): SceneShape[] {
  if (!here) return [];
  const own = ({ x, y }: { x: Mm; y: Mm }): XY => [x - here.x, y - here.y];
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

/** A building of four straight runs: what a tape proves square by its diagonals. */
const isFour = (runs: readonly PlannedRun[], closed: boolean): boolean =>
  closed && runs.length === 4 && runs.every((r) => r.radius === null);

/** Its corners, in the order they are lettered. */
const CORNERS = ['A', 'B', 'C', 'D'] as const;
const ACROSS = [
  [0, 2],
  [1, 3],
] as const;
const cornerOf = (runs: readonly PlannedRun[], i: number): XY => placeOn(runs[i] as PlannedRun, 0, 0);

/** Corner to corner across, with what a tape must read there; that is left out where what it did read stands there. */
function diagonals(runs: readonly PlannedRun[], taped: SetOutPlan['taped']): SceneShape[] {
  if (taped === 'never') return [];
  const pairs = ACROSS.map(([a, b]) => [cornerOf(runs, a), cornerOf(runs, b)] as const);
  const lines = pairs.map(([a, b]) => line('diagonal', a[0], a[1], b[0], b[1]));
  if (taped === 'yes')
    // The tapes go by the letters of the corners.
    return [
      ...lines,
      ...CORNERS.map((name, i) => {
        const [x, y] = between(cornerOf(runs, i), cornerOf(runs, (i + 2) % 4), -0.035);
        return words('corner-name', x, y, name, 'middle');
      }),
    ];
  const [one = 0, other = 0] = pairs.map(([a, b]) => Math.hypot(a[0] - b[0], a[1] - b[1]));
  const says =
    Math.abs(one - other) < SAME_PLACE
      ? SAYS['both-diagonals']({ long: one })
      : SAYS['two-diagonals']({ one, other });
  const [x, y] = between(cornerOf(runs, 0), cornerOf(runs, 2), 0.5);
  return [...lines, words('diagonal-name', x, y, says, 'middle')];
}

const between = (a: XY, b: XY, share: number): XY => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
];

/** What the tape read, each where it was held; each corner that must move says how far. */
function tapesOn(job: JobDocument, p: WallPlan, runs: readonly PlannedRun[], deep: Mm): PlanTape[] {
  const taped = job.walls[p.wall.index]?.square;
  if (!taped) return [];
  const sides = runs.map((run, index): PlanTape => {
    // Up and down the plan a tape stands below the middle, where the run's own length and a window's name are.
    const upright = Math.abs(Math.sin(run.heading)) > Math.SQRT1_2;
    const share = !upright ? 0.5 : Math.sin(run.heading) > 0 ? 0.25 : 0.75;
    const [x, y] = placeOn(run, run.length * share, deep);
    return {
      of: 'sides',
      index,
      between: `${CORNERS[index] ?? ''}${CORNERS[(index + 1) % 4] ?? ''}`,
      value: mm(taped.sides[index]) ?? run.length,
      read: taped.sides[index] !== undefined,
      x,
      y,
      inward: [-Math.sin(run.heading), Math.cos(run.heading)],
    };
  });
  const across = ACROSS.map(([a, b], index): PlanTape => {
    const [from, to] = [cornerOf(runs, a), cornerOf(runs, b)];
    // Off the middle, where the other crosses it.
    const [x, y] = between(from, to, 0.64);
    const ought = index === 1 ? p.survey.square?.otherDiagonal : undefined;
    return {
      of: 'diagonals',
      index,
      between: `${CORNERS[a]}${CORNERS[b]}`,
      value: mm(taped.diagonals[index]) ?? ought ?? Math.hypot(to[0] - from[0], to[1] - from[1]),
      read: taped.diagonals[index] !== undefined,
      x,
      y,
      inward: [0, 0],
    };
  });
  return [...sides, ...across];
}

const mm = (s: Stated | undefined): Mm | undefined =>
  s === undefined ? undefined : toMillimetres(stated(s));

/** Corners that must move for the building to be square, with how far, at their places inside it. */
function cornersToMove(p: WallPlan, runs: readonly PlannedRun[], deep: Mm): SceneShape[] {
  return (p.survey.square?.corners ?? []).flatMap((c, i) => {
    if (Math.hypot(c.moveX, c.moveY) < LEAST_MOVE) return [];
    const [x, y] = between(cornerOf(runs, i), cornerOf(runs, (i + 2) % 4), 0.02);
    const says = SAYS['corner-moves']({
      name: c.name,
      along: Math.abs(c.moveX),
      on: Math.abs(c.moveX) < LEAST_MOVE ? 'no' : c.moveX > 0 ? 'on' : 'back',
      across: Math.abs(c.moveY),
      out: Math.abs(c.moveY) < LEAST_MOVE ? 'no' : c.moveY > 0 ? 'out' : 'in',
    });
    const left = i === 0 || i === 3;
    return [
      words(
        'corner-move',
        x + (left ? deep : -deep),
        y + (i < 2 ? deep : -deep),
        says,
        left ? 'start' : 'end',
      ),
    ];
  });
}

/** The levels taken on the footing as it was poured, beside the wall where they were taken. */
const spotsOn = (p: WallPlan, runs: readonly PlannedRun[], deep: Mm): PlanSpot[] =>
  p.wall.poured.flatMap((spot, index) => {
    const run = runs[spot.run];
    if (!run) return [];
    const [x, y] = placeOn(run, spot.at, deep / 2);
    // On a curve it is pulled the way the curve goes there.
    const heading = run.heading + (run.radius === null ? 0 : spot.at / run.radius);
    return [{ ...spot, index, x, y, along: [Math.cos(heading), Math.sin(heading)] }];
  });

/** What a spot stands at, written outside the wall beside it. */
const levelOf = ({ x, y, along: [ux, uy], level }: PlanSpot, deep: Mm, show: Show): SceneShape => {
  const off = -deep * 2;
  const upright = Math.abs(uy) > Math.abs(ux);
  const anchor = !upright ? 'middle' : uy > 0 ? 'start' : 'end';
  // What rounds to nothing has no sign.
  const [by, nothing] = [sayMm(Math.abs(level), show), sayMm(0, show)];
  const says = by === nothing ? nothing : `${level > 0 ? '+' : '\u2212'}${by}`;
  return words('plan-level', x - uy * off, y + ux * off, says, anchor);
};

/** Where the footing steps, along the runs. */
function onFooting(p: WallPlan, runs: readonly PlannedRun[], deep: Mm): SceneShape[] {
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
  return steps;
}

/** The set-out of one wall. Lengths that can be typed are left out of the drawing: they stand over it. */
export function setOutPlan(job: JobDocument, p: WallPlan, show: Show): SetOutPlan {
  const { wall } = p;
  const here = wallsOnSite(job).find((w) => w.index === wall.index);
  const turn = here?.turn ?? 0;
  const runs = plannedRuns(wall, turn);
  const deep = wall.cavity?.overall ?? wall.thickness;
  const plan = planScene(p, show, turn);
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
  const openings = wall.openings.flatMap((o): PlanOpening[] => {
    const run = runs[o.run];
    if (!run || run.radius !== null) return [];
    const [x, y] = placeOn(run, (o.from + o.to) / 2, deep / 2);
    return [
      { id: o.id, x, y, along: [Math.cos(run.heading), Math.sin(run.heading)], half: (o.to - o.from) / 2 },
    ];
  });
  // The name of a run stands with its length.
  const named = new Set(lengths.map((l) => wall.runs[l.run]?.id));
  const own = plan.shapes.filter((s) => !written.has(s) && !(s.role === 'run-name' && named.has(s.id)));
  const spots = spotsOn(p, runs, deep);
  const taped = !isFour(runs, wall.line.closed) ? 'never' : job.walls[wall.index]?.square ? 'yes' : 'not-yet';
  const shapes = [
    ...neighbours(job, p, here),
    ...own,
    ...diagonals(runs, taped),
    ...(taped === 'yes' ? cornersToMove(p, runs, deep) : []),
    ...onFooting(p, runs, deep),
    ...spots.map((s) => levelOf(s, deep, show)),
    ...names,
  ];
  return {
    // The paper is for this wall; its neighbours go on past the edge.
    scene: { box: plan.box, pieces: null, shapes },
    turn,
    corners: runs.some((r) => r.radius !== null) ? [] : corners,
    lengths,
    openings,
    spots,
    tapes: taped === 'yes' ? tapesOn(job, p, runs, deep) : [],
    taped,
    end:
      last && !wall.line.closed && last.radius === null
        ? { ...pointOf(placeOn(last, last.length, 0)), heading: (last.heading * 180) / Math.PI }
        : null,
  };
}
