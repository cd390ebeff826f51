import type { BatchClock } from './clocks.js';

/** A figure with its spread. */
export interface Spread {
  mean: number;
  least: number;
  most: number;
}

/** What batches that are gone have taught. */
export interface Learned {
  /** How many have ended. */
  batches: number;
  /** What of a batch was thrown away, as a part of it, over those whose size is known. */
  thrown: Spread | null;
  /** Minutes from the water until one was used up. */
  usedUp: Spread | null;
  /** How many dried on whoever spread them. */
  dried: number;
  /** Few teach nothing: below this it is shown and nothing is offered. */
  enough: boolean;
}

/** So many before anything is made of it: common practice. */
const ENOUGH = 5;

function spreadOf(values: readonly number[]): Spread | null {
  if (values.length === 0) return null;
  return {
    mean: values.reduce((sum, v) => sum + v, 0) / values.length,
    least: Math.min(...values),
    most: Math.max(...values),
  };
}

export function learnedFrom(clocks: readonly BatchClock[]): Learned {
  const ended = clocks.flatMap(({ ended: end, volume, mixed }) => (end ? [{ ...end, volume, mixed }] : []));
  const thrown = ended.flatMap(({ why, left, volume }) => {
    if (volume === null || volume <= 0) return [];
    // Nothing said of what was left: what was used up left nothing, of the rest nobody knows.
    if (left === null) return why === 'used' ? [0] : [];
    return [Math.min(1, left / volume)];
  });
  return {
    batches: ended.length,
    thrown: spreadOf(thrown),
    usedUp: spreadOf(ended.filter((e) => e.why === 'used').map((e) => (e.at - e.mixed) / 60_000)),
    dried: ended.filter((e) => e.why === 'dried').length,
    enough: ended.length >= ENOUGH,
  };
}
