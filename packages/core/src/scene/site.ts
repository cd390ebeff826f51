import type { JobDocument } from '../job/types.js';
import { inFull } from '../job/full.js';
import type { Mm } from '../measure/length.js';
import { pointsOf, type Point } from '../stages/set-out/draw.js';
import { placedWalls } from '../stages/set-out/placing.js';
import type { SceneShape } from '../shapes/shape.js';
import type { PlannedRun } from './planLine.js';

/** Where a wall's own plan lies on the site: its beginning, mm, and how far it is turned, radians. */
export interface OnSite {
  index: number;
  x: Mm;
  y: Mm;
  turn: number;
}

const heading = (a: Point | undefined, b: Point | undefined): number =>
  a && b ? Math.atan2(b.y - a.y, b.x - a.x) : 0;

/** Every wall of a job as it stands on the site. */
export function wallsOnSite(job: JobDocument): OnSite[] {
  const full = inFull(job);
  return placedWalls(job).map(({ index, points }) => {
    const own = pointsOf(full.walls[index]?.line ?? []);
    const [from] = points;
    return {
      index,
      x: from?.x ?? 0,
      y: from?.y ?? 0,
      turn: heading(points[0], points[1]) - heading(own[0], own[1]),
    };
  });
}

/** A place stated on the site: where a line begins, mm, and its first run's heading, degrees. */
export interface SitePlace {
  x: Mm;
  y: Mm;
  heading: number;
}

const tidy = (n: number): number => Math.round(n * 1000) / 1000 + 0;
const asDegrees = (radians: number): number => {
  const d = tidy((((radians * 180) / Math.PI) % 360) + 0);
  return d > 180 ? d - 360 : d <= -180 ? d + 360 : d;
};

/**
 * Where a wall stands that was drawn on another's plan, from its first corner towards its second: a plan lies as the site does, from where its wall begins. `host`: where the other one stands
 * itself, when nobody had said so; null where it is stated or follows from what it meets. Null where there is no such wall.
 */
export function drawnBeside(
  job: JobDocument,
  index: number,
  [from, to]: readonly [Point, Point],
): { stands: SitePlace; host: SitePlace | null } | null {
  const here = wallsOnSite(job).find((w) => w.index === index);
  const placed = placedWalls(job).find((w) => w.index === index);
  if (!here || !placed) return null;
  return {
    stands: { x: tidy(here.x + from.x), y: tidy(here.y + from.y), heading: asDegrees(heading(from, to)) },
    host: placed.by === 'beside' ? { x: tidy(here.x), y: tidy(here.y), heading: asDegrees(here.turn) } : null,
  };
}

const moved = ({ x, y, turn }: OnSite, [px, py]: readonly [number, number]): [number, number] => [
  x + px * Math.cos(turn) - py * Math.sin(turn),
  y + px * Math.sin(turn) + py * Math.cos(turn),
];

/** A run of a wall's own plan, on the site. */
export function runOnSite(at: OnSite, run: PlannedRun): PlannedRun {
  const [x, y] = moved(at, [run.x, run.y]);
  return { ...run, x, y, heading: run.heading + at.turn };
}

/** A shape of a wall's own plan, on the site. A rectangle comes back as its corners. */
export function shapeOnSite(at: OnSite, s: SceneShape): SceneShape {
  switch (s.type) {
    case 'shape':
    case 'path':
      return { ...s, points: s.points.map((p) => moved(at, p)) };
    case 'line': {
      const [a, b] = [moved(at, [s.x1, s.y1]), moved(at, [s.x2, s.y2])];
      return { ...s, x1: a[0], y1: a[1], x2: b[0], y2: b[1] };
    }
    case 'mark':
    case 'text': {
      const [x, y] = moved(at, [s.x, s.y]);
      return { ...s, x, y };
    }
    case 'rect': {
      const corners: [number, number][] = [
        [s.x, s.y],
        [s.x + s.w, s.y],
        [s.x + s.w, s.y + s.h],
        [s.x, s.y + s.h],
      ];
      return {
        type: 'shape',
        role: s.role,
        points: corners.map((c) => moved(at, c)),
        ...(s.id === undefined ? {} : { id: s.id }),
      };
    }
  }
}
