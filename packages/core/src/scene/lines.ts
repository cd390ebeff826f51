import { sayMm, type Show } from '../measure/format.js';
import type { Mm } from '../measure/length.js';
import { line, mark, path, words, type Anchor, type SceneShape } from '../shapes/shape.js';
import type { Point } from '../stages/set-out/draw.js';
import type { PlacedWall } from '../stages/set-out/placing.js';

/** Pixels: a name stands so far from its line, and a number so far from where its wall begins. */
const BESIDE = 13;
const NUMBER = 6;

/** Words beside a line that runs up the sheet begin or end at it; over a level one they stand across its middle. */
const anchorOf = (across: number): Anchor => (across > 0.45 ? 'start' : across < -0.45 ? 'end' : 'middle');

/** The middle of a stroke, moved `by` to its right as it is walked. */
function beside(a: Point, b: Point, by: Mm): { x: Mm; y: Mm; anchor: Anchor } {
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const [across, up] = [(b.y - a.y) / long, (a.x - b.x) / long];
  return { x: (a.x + b.x) / 2 + across * by, y: (a.y + b.y) / 2 + up * by, anchor: anchorOf(across) };
}

/** A run of a plan line as it is stated: where it begins, mm, its heading in degrees, its name. */
export interface LineRun {
  index: number;
  id: string;
  name: string;
  x: Mm;
  y: Mm;
  heading: number;
  stated: Mm;
}

/** Where a run of a plan line begins and ends. */
export const endsOf = (r: LineRun): [Point, Point] => {
  const way = (r.heading * Math.PI) / 180;
  return [
    { x: r.x, y: r.y },
    { x: r.x + r.stated * Math.cos(way), y: r.y + r.stated * Math.sin(way) },
  ];
};

/** A plan line from above, the run that is `here` heavy, each name on the outside; `px` is millimetres to a pixel. */
export function lineShapes(runs: readonly LineRun[], here: number, px: Mm): SceneShape[] {
  return runs.flatMap((r) => {
    const [a, b] = endsOf(r);
    const at = beside(a, b, BESIDE * px);
    const is = r.index === here;
    return [
      line(is ? 'line-here' : 'line-other', a.x, a.y, b.x, b.y, r.id),
      words(is ? 'line-name-here' : 'line-name', at.x, at.y, r.name, at.anchor, r.id),
    ];
  });
}

/** The walls of a job on their site, the one that is `here` heavy, those that nobody placed broken; each by its number. */
export function siteShapes(walls: readonly PlacedWall[], here: number, px: Mm): SceneShape[] {
  return walls.flatMap((w, i) => {
    const [first] = w.points;
    if (!first) return [];
    const loose = w.by === 'beside' && walls.length > 1;
    const role =
      w.index === here ? (loose ? 'line-here-loose' : 'line-here') : loose ? 'line-loose' : 'line-other';
    return [
      path(
        role,
        w.points.map((p) => [p.x, p.y] as const),
        w.id,
      ),
      words('wall-number', first.x + NUMBER * px, first.y + NUMBER * px, String(i + 1), 'start', w.id),
    ];
  });
}

/** What is being drawn: the strokes there are with their lengths, the one that would come next, and the point that closes it. */
export interface Drawing {
  points: readonly Point[];
  closed: boolean;
  ahead: Point | null;
}

/** A line while it is drawn. Lengths stand beside their strokes, not on them. */
export function boardShapes({ points, closed, ahead }: Drawing, show: Show, px: Mm): SceneShape[] {
  const [first] = points;
  const last = points.at(-1);
  if (!first || !last) return [];
  const stroke = (role: 'stroke' | 'stroke-ahead', a: Point, b: Point): SceneShape[] => {
    const at = beside(a, b, BESIDE * px);
    const length = sayMm(Math.hypot(b.x - a.x, b.y - a.y), show);
    return [line(role, a.x, a.y, b.x, b.y), words('stroke-length', at.x, at.y, length, at.anchor)];
  };
  const strokes = closed ? [...points, first] : points;
  return [
    ...strokes.slice(1).flatMap((p, i) => stroke('stroke', strokes[i] ?? first, p)),
    ...(ahead && !closed ? stroke('stroke-ahead', last, ahead) : []),
    mark(points.length > 2 && !closed ? 'peg-closes' : 'peg', first.x, first.y),
    ...(closed ? [] : [mark('pencil', last.x, last.y)]),
  ];
}
