import type { Mm } from '../measure/length.js';
import type { SetWall } from '../stages/set-out/wall.js';

type XY = readonly [number, number];

/** A run in plan as it is built: its outside face from where it begins, mm and radians, 0 to the east. */
export interface PlannedRun {
  index: number;
  x: Mm;
  y: Mm;
  heading: number;
  length: Mm;
  /** Positive where the outside bulges; null when straight. */
  radius: Mm | null;
  /** Corners it begins and ends at, radians, left positive; null at a free end and where the line goes on straight. */
  turns: { start: number | null; end: number | null };
}

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** The corners of an arc that a drawing shows: one every so many radians of its turn. */
const STEP = radians(3);

/** A place `along` a run on its outside face, `off` toward the inside, which is on the left of the way it is walked. */
export function placeOn(run: PlannedRun, along: Mm, off: Mm): XY {
  const turned = run.radius === null ? 0 : along / run.radius;
  const heading = run.heading + turned;
  const [nx, ny] = [-Math.sin(heading), Math.cos(heading)];
  if (run.radius === null)
    return [
      run.x + along * Math.cos(run.heading) + nx * off,
      run.y + along * Math.sin(run.heading) + ny * off,
    ];
  const [cx, cy] = [run.x - Math.sin(run.heading) * run.radius, run.y + Math.cos(run.heading) * run.radius];
  return [cx - nx * run.radius + nx * off, cy - ny * run.radius + ny * off];
}

/**
 * The runs of a wall as they are built, one after another from nothing: lengths are those on the outside face. `turned`: how the whole plan lies, radians.
 */
export function plannedRuns(wall: SetWall, turned = 0): PlannedRun[] {
  let [x, y] = [0, 0];
  const turnAt = (corner: { turn: number } | undefined): number | null =>
    corner === undefined ? null : radians(corner.turn);
  let end: number | null = null;
  return wall.runs.map((r, index) => {
    const heading: number =
      end === null
        ? turned + radians(wall.line.runs[index]?.heading ?? 0)
        : end + (turnAt(wall.line.corners.find((c) => c.to === index)) ?? 0);
    const run: PlannedRun = {
      index,
      x,
      y,
      heading,
      length: r.length,
      radius: r.radius,
      turns: {
        start: turnAt(wall.line.corners.find((c) => c.to === index)),
        end: turnAt(wall.line.corners.find((c) => c.from === index)),
      },
    };
    [x, y] = placeOn(run, r.length, 0);
    end = heading + (r.radius === null ? 0 : r.length / r.radius);
    return run;
  });
}

/** How far along a line `off` inside the face a run begins later and ends sooner, for the corners it stands between. */
const mitre = (turn: number | null, off: Mm): Mm => (turn === null ? 0 : off * Math.tan(turn / 2));

/** A line `off` inside the outside face of a run, from corner to corner. */
function lineIn(run: PlannedRun, off: Mm, from: Mm, to: Mm): XY[] {
  const parts = run.radius === null ? 1 : Math.max(1, Math.ceil((to - from) / Math.abs(run.radius) / STEP));
  return Array.from({ length: parts + 1 }, (_, i) => placeOn(run, from + ((to - from) * i) / parts, off));
}

/** What lies between two lines inside the face of a run, as corners; mitred where it turns a corner. */
export function bandIn(run: PlannedRun, outer: Mm, inner: Mm): XY[] {
  const line = (off: Mm): XY[] =>
    lineIn(run, off, mitre(run.turns.start, off), run.length - mitre(run.turns.end, off));
  return [...line(outer), ...line(inner).reverse()];
}

/** The same between two places along the run, square to it: an opening, a beam. */
export const boxIn = (run: PlannedRun, outer: Mm, inner: Mm, from: Mm, to: Mm): XY[] => [
  ...lineIn(run, outer, from, to),
  ...lineIn(run, inner, from, to).reverse(),
];
