import type { Mm } from '../../measure/length.js';
import type { Top } from '../../job/types.js';

/** A stretch of a run's top: heights above the base at its two ends, straight between. */
export interface TopSegment {
  from: Mm;
  to: Mm;
  left: Mm;
  right: Mm;
}

/** A top as stated, lengths in mm. `course` is what one course of a stepped top rises. */
export interface TopShape extends TopSegment {
  kind: Top['kind'];
  step: number;
  dip: number;
}

/** Straight lengths that stand for a curve: within half a millimetre of it over a few metres. */
const CHORDS = 24;

/** Height along a curve, `t` from 0 to 1. */
function curveAt(top: TopShape, t: number): number {
  const { left, right, dip } = top;
  const line = left + (right - left) * t;
  if (top.kind === 'scallop') {
    const half = (top.to - top.from) / 2;
    // An arc through both ends and the lowest point, hung on the line between the ends.
    const radius = (half * half + dip * dip) / (2 * dip);
    const x = (t - 0.5) * 2 * half;
    return line - (Math.sqrt(radius * radius - x * x) - (radius - dip));
  }
  // A ramp sweeps up out of the lower level, steepest where it dies into the higher one.
  const rise = Math.abs(right - left);
  const along = right >= left ? t : 1 - t;
  return Math.min(left, right) + rise * (1 - Math.sqrt(Math.max(0, 1 - along * along)));
}

/** What a top is made of, from left to right. Steps are level lengths with a rise between them. */
export function topSegments(top: TopShape, pitch: number): TopSegment[] {
  const { from, to, left, right } = top;
  if (top.kind === 'raked') return [{ from, to, left, right }];
  const between = (n: number, k: number): number => from + ((to - from) * k) / n;
  if (top.kind === 'stepped') {
    const count = Math.max(1, Math.round(Math.abs(right - left) / (top.step * pitch)) + 1);
    return Array.from({ length: count }, (_, k) => {
      const height = left + (count === 1 ? 0 : ((right - left) * k) / (count - 1));
      return { from: between(count, k), to: between(count, k + 1), left: height, right: height };
    });
  }
  return Array.from({ length: CHORDS }, (_, k) => ({
    from: between(CHORDS, k),
    to: between(CHORDS, k + 1),
    left: curveAt(top, k / CHORDS),
    right: curveAt(top, (k + 1) / CHORDS),
  }));
}

/** Height of a top at a place; where two stand edge to edge, the higher. Null where none stands. */
export function topAt(segments: readonly TopSegment[], x: Mm): Mm | null {
  const here = segments.filter((s) => x >= s.from && x <= s.to);
  if (here.length === 0) return null;
  return Math.max(...here.map((s) => s.left + ((s.right - s.left) * (x - s.from)) / (s.to - s.from)));
}

/** Face taken off, or added, by tops against a level height, mm². Straight between the ends, so exact. */
export const topArea = (segments: readonly TopSegment[], height: Mm): number =>
  segments.reduce((sum, s) => sum + (s.to - s.from) * ((s.left + s.right) / 2 - height), 0);
