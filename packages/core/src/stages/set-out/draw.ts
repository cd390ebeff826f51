import type { LineItem, Stated } from '../../job/types.js';
import { toMillimetres, type Mm } from '../../measure/length.js';
import { stated } from '../../job/stated.js';
import { isArc, isRun } from '../../job/types.js';

/** A corner of a line being drawn, mm, east and north. */
export interface Point {
  x: number;
  y: number;
}

export interface Drawn {
  points: Point[];
  /** It comes back to its first point. */
  closed: boolean;
}

const degrees = (a: Point, b: Point): number => (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
const wrap = (d: number): number => ((((d + 180) % 360) + 360) % 360) - 180;
const tidy = (n: number): number => Math.round(n * 1000) / 1000;

/** The point a stroke from `from` settles on: its heading on a step of `turn` degrees, its length on whole `step`s. */
export function settlePoint(from: Point, to: Point, step: number, turn = 45): Point {
  const heading = (Math.round(degrees(from, to) / turn) * turn * Math.PI) / 180;
  // Along the settled heading, not the pointer's: a point beside the line does not make it longer.
  const reach = (to.x - from.x) * Math.cos(heading) + (to.y - from.y) * Math.sin(heading);
  const length = Math.max(1, Math.round(reach / step)) * step;
  return { x: tidy(from.x + length * Math.cos(heading)), y: tidy(from.y + length * Math.sin(heading)) };
}

/** The point `length` from `from` on a heading, degrees. */
export const pointAt = (from: Point, heading: number, length: number): Point => ({
  x: tidy(from.x + length * Math.cos((heading * Math.PI) / 180)),
  y: tidy(from.y + length * Math.sin((heading * Math.PI) / 180)),
});

/** The corners of a drawn line in the order they are walked: of a closed one with the outside on the right. */
export const walked = ({ points, closed }: Drawn): Point[] =>
  closed && clockwise(points) ? [...points].reverse() : points;

/**
 * A run pulled out of the end of another, which goes by `heading` degrees: how it turns and how long it is, mm, settled on whole `step`s and steps of
 * 45°. Null where it would go straight on or back over what is there.
 */
export function pulledRun(
  heading: number,
  from: Point,
  to: Point,
  step: number,
): { turn: number; length: Mm } | null {
  const end = settlePoint(from, to, step);
  const turn = tidy(wrap(degrees(from, end) - heading));
  if (Math.abs(turn) < 1 || Math.abs(turn) > 136) return null;
  return { turn, length: tidy(Math.hypot(end.x - from.x, end.y - from.y)) };
}

/**
 * A drawn line as the job file says it: runs and the turns between them. Points in one line make one run. A closed
 * line is walked so that the outside is on the right, whichever way it was drawn. Null with fewer than two points.
 */
export function lineItems(drawn: Drawn, write: (mm: number) => Stated): LineItem[] | null {
  const { closed } = drawn;
  const points = walked(drawn);
  const count = closed ? points.length : points.length - 1;
  const strokes: { length: number; heading: number }[] = [];
  for (let i = 0; i < count; i++) {
    const [a, b] = [points[i], points[(i + 1) % points.length]];
    if (!a || !b) continue;
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    if (length < 1) continue;
    const heading = degrees(a, b);
    const last = strokes.at(-1);
    if (last && Math.abs(wrap(heading - last.heading)) < 0.01) last.length += length;
    else strokes.push({ length, heading });
  }
  if (strokes.length === 0) return null;
  const items: LineItem[] = [];
  strokes.forEach(({ length, heading }, i) => {
    items.push({ run: write(tidy(length)), id: `run-${i + 1}`, name: runName(i, strokes.length, closed) });
    const next = strokes[i + 1] ?? (closed ? strokes[0] : undefined);
    if (next) items.push({ turn: tidy(wrap(next.heading - heading)) });
  });
  return items;
}

const runName = (i: number, count: number, closed: boolean): string =>
  closed && count === 4
    ? (['Front', 'Left side', 'Back', 'Right side'][i] ?? `Run ${i + 1}`)
    : `Run ${i + 1}`;

const clockwise = (points: readonly Point[]): boolean =>
  points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length] ?? p;
    return sum + (q.x - p.x) * (q.y + p.y);
  }, 0) > 0;

/** The corners a line's items walk through, the first at nothing: for drawing on from what is there. */
export function pointsOf(line: readonly LineItem[]): Point[] {
  const points: Point[] = [{ x: 0, y: 0 }];
  let heading = 0;
  for (const item of line) {
    const at = points.at(-1) as Point;
    if (isRun(item)) points.push(pointAt(at, heading, toMillimetres(stated(item.run))));
    else if (isArc(item)) {
      const radius = toMillimetres(stated(item.arc));
      const chord = 2 * radius * Math.abs(Math.sin((item.sweep * Math.PI) / 360));
      points.push(pointAt(at, heading + item.sweep / 2, chord));
      heading += item.sweep;
    } else heading += item.turn;
  }
  return points;
}

/** Length of a line as stated, curves along their outside face, mm. */
export const lineLength = (line: readonly LineItem[]): Mm =>
  line.reduce((sum, item) => {
    if (isRun(item)) return sum + toMillimetres(stated(item.run));
    if (isArc(item)) return sum + (toMillimetres(stated(item.arc)) * Math.abs(item.sweep) * Math.PI) / 180;
    return sum;
  }, 0);
