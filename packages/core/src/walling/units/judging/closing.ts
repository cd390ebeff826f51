import { SAME_PLACE } from '../../../measure/length.js';

export interface ClosingForecast {
  /** Joints still to come, the one beside the last unit laid included. */
  joints: number;
  /** What each of them must be for the course to close, mm. */
  each: number;
  /** What they would all be off by if laid as planned: positive leaves a gap. */
  over: number;
  verdict: 'closes' | 'eased' | 'will not close';
}

/**
 * From one measurement in mid-course: will the last unit drop in, and how much must each joint still to come take?
 * `pieces` are the whole stretch's, from its start to its end; `laid` of them lie, the last ending at `reading`.
 * Null when nothing is left to lay, or nothing lies yet.
 */
export function closingForecast(
  pieces: readonly { from: number; to: number }[],
  laid: number,
  reading: number,
  joint: number,
  limits: { least: number; most: number },
): ClosingForecast | null {
  const rest = pieces.slice(laid);
  const end = pieces.at(-1)?.to;
  if (end === undefined || laid < 1 || rest.length === 0) return null;
  const units = rest.reduce((sum, p) => sum + p.to - p.from, 0);
  const room = end - reading - units;
  const each = room / rest.length;
  const closes = Math.abs(each - joint) <= 0.5;
  const eased = each >= limits.least - SAME_PLACE && each <= limits.most + SAME_PLACE;
  return {
    joints: rest.length,
    each,
    over: room - rest.length * joint,
    verdict: closes ? 'closes' : eased ? 'eased' : 'will not close',
  };
}
