import { toMillimetres } from '../../measure/length.js';
import { inFull } from '../../job/full.js';
import { stated } from '../../job/stated.js';
import type { JobDocument, Wall } from '../../job/types.js';
import { pointsOf, type Point } from './draw.js';

/** A wall's line on the site: its corners in the site's own axes, mm, and how it got its place. */
export interface PlacedWall {
  id: string;
  name: string;
  index: number;
  points: Point[];
  /** `stated`, by the wall it `meets`, or `beside` the others because nobody said. */
  by: 'stated' | 'meets' | 'beside';
}

/** Clear ground drawn between walls that nobody placed, mm. */
const BETWEEN = 1500;

const turn = (p: Point, degrees: number): Point => {
  const a = (degrees * Math.PI) / 180;
  return { x: p.x * Math.cos(a) - p.y * Math.sin(a), y: p.x * Math.sin(a) + p.y * Math.cos(a) };
};
const add = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
const headingOf = (a: Point, b: Point): number => (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;

const mm = (s: number | string): number => toMillimetres(stated(s));

function stands(wall: Wall): Point[] | null {
  const { place } = wall;
  if (!place) return null;
  const from = { x: mm(place.x), y: mm(place.y) };
  return pointsOf(wall.line).map((p) => add(from, turn(p, place.heading ?? 0)));
}

/** A wall that ends on another stands square to it, coming from its inside. */
function meeting(wall: Wall, other: readonly Point[]): Point[] | null {
  const { meets } = wall;
  const [a, b] = meets ? [other[meets.run], other[meets.run + 1]] : [];
  if (!meets || !a || !b) return null;
  const along = headingOf(a, b);
  const end = add(a, turn({ x: mm(meets.at), y: 0 }, along));
  const own = pointsOf(wall.line);
  const [before, last] = [own.at(-2), own.at(-1)];
  if (!before || !last) return null;
  const by = along - 90 - headingOf(before, last);
  const moved = turn(last, by);
  return own.map((p) => add(add(turn(p, by), { x: -moved.x, y: -moved.y }), end));
}

/** Every wall of a job on its site. Those nobody placed stand in a row to the right of the rest. */
export function placedWalls(filed: JobDocument): PlacedWall[] {
  const job = inFull(filed);
  const placed = new Map<string, PlacedWall>();
  const put = (index: number, by: PlacedWall['by'], points: Point[]): void => {
    const wall = job.walls[index];
    if (wall) placed.set(wall.id, { id: wall.id, name: wall.name, index, points, by });
  };
  job.walls.forEach((w, i) => {
    const points = stands(w);
    if (points) put(i, 'stated', points);
  });
  const waiting = (): number[] => job.walls.flatMap((w, i) => (placed.has(w.id) ? [] : [i]));
  const byMeeting = (): boolean => {
    for (const i of waiting()) {
      const wall = job.walls[i] as Wall;
      const other = wall.meets && placed.get(wall.meets.wall);
      const points = other && meeting(wall, other.points);
      if (points) {
        put(i, 'meets', points);
        return true;
      }
    }
    return false;
  };
  for (;;) {
    while (byMeeting());
    const rest = waiting();
    // A wall that meets nothing placed yet goes beside the rest; one that another of them will carry waits.
    const next =
      rest.find((i) => !rest.some((k) => job.walls[k]?.id === job.walls[i]?.meets?.wall)) ?? rest[0];
    if (next === undefined) break;
    const xs = [...placed.values()].flatMap((p) => p.points.map((q) => q.x));
    const own = pointsOf((job.walls[next] as Wall).line);
    const left = Math.min(...own.map((p) => p.x));
    const by = xs.length > 0 ? Math.max(...xs) + BETWEEN - left : 0;
    put(
      next,
      'beside',
      own.map((p) => add(p, { x: by, y: 0 })),
    );
  }
  return job.walls.flatMap((w) => placed.get(w.id) ?? []);
}
