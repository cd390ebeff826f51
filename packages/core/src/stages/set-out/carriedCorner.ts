import type { Mm } from '../../measure/length.js';
import type { Point } from './draw.js';

/** A run of a line as it is stated: how long, mm, and where it heads, degrees. */
export interface StatedRun {
  stated: Mm;
  heading: number;
}

const wayOf = ({ heading }: StatedRun): Point => {
  const a = (heading * Math.PI) / 180;
  return { x: Math.cos(a), y: Math.sin(a) };
};

/** How much of each of two ways makes `v`; null where they are one way. */
function parts(v: Point, a: Point, b: Point): [number, number] | null {
  const across = a.x * b.y - a.y * b.x;
  if (Math.abs(across) < 1e-9) return null;
  return [(v.x * b.y - v.y * b.x) / across, (a.x * v.y - a.y * v.x) / across];
}

/** The nearest whole number of steps; where there is no step, as it is. */
const settled = (length: Mm, step: Mm): Mm => (step > 0 ? Math.round(length / step) * step : length);

/**
 * What the runs of a line come to when one of its corners is carried by `by`, mm, its turns left as they are: the lengths that
 * change, by run. `corner` is the run that begins there, and one more than there are runs for the end of a line that does not
 * close. Of a line that closes the runs past its two neighbours take up what those leave, so that it closes still; lengths
 * settle on whole steps (half a unit, so that a corner is pulled by units). Null where a run would come to nothing.
 */
export function carriedCorner(
  runs: readonly StatedRun[],
  closed: boolean,
  corner: number,
  by: Point,
  step: Mm = 0,
): Map<number, Mm> | null {
  const n = runs.length;
  const at = (i: number): number | null => (closed ? ((i % n) + n) % n : i >= 0 && i < n ? i : null);
  const [before, after] = [at(corner - 1), at(corner)];
  const changed = new Map<number, Mm>();
  const set = (run: number | null, more: number): boolean => {
    const own = run === null ? undefined : runs[run];
    if (run === null || !own) return true;
    const to = (changed.get(run) ?? own.stated) + more;
    changed.set(run, to);
    return to > Math.max(step, 1);
  };
  const settle = (run: number | null, more: number): number => {
    const own = run === null ? undefined : runs[run];
    return own ? settled(own.stated + more, step) - own.stated : 0;
  };
  const [b, a] = [before === null ? null : runs[before], after === null ? null : runs[after]];
  if (!b || !a) {
    // A free end goes along its own run, and no other way.
    const own = a ?? b;
    const run = after ?? before;
    if (!own || run === null) return null;
    const way = wayOf(own);
    const along = (by.x * way.x + by.y * way.y) * (a ? -1 : 1);
    return set(run, settle(run, along)) ? changed : null;
  }
  const shares = parts(by, wayOf(b), wayOf(a));
  if (!shares) return null;
  const [along, across] = [settle(before, shares[0]), -settle(after, -shares[1])];
  if (!set(before, along) || !set(after, -across)) return null;
  const [past, earlier] = [at(corner + 1), at(corner - 2)];
  const [p, e] = [past === null ? null : runs[past], earlier === null ? null : runs[earlier]];
  if (past === earlier || !p || !e) return closed ? null : changed;
  const [wb, wa] = [wayOf(b), wayOf(a)];
  const left = { x: -(along * wb.x - across * wa.x), y: -(along * wb.y - across * wa.y) };
  const taken = parts(left, wayOf(p), wayOf(e));
  if (!taken) return closed ? null : changed;
  return set(past, taken[0]) && set(earlier, taken[1]) ? changed : null;
}
