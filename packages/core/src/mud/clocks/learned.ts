import type { Standing } from '../../record/fold.js';
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
  /** Minutes after which it was dead on whoever spread it: the soonest rules. */
  diedAt: Spread | null;
  /** What it laid, from days whose batches are all gone and whose courses were logged with their units. */
  laid: Laid | null;
  /** Few teach nothing: below this it is shown and nothing is offered. */
  enough: boolean;
}

/** So many measures of sand, or of the largest part, laid so many units. */
export interface Laid {
  days: number;
  measures: number;
  units: number;
  /** Units to a measure, day by day. */
  spread: Spread;
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

/** What batches laid: day by day and wall by wall, where everything mixed for it is gone, its measures were said, and what was laid was counted. */
function laidOf(clocks: readonly BatchClock[], entries: readonly Standing[]): Laid | null {
  const units = new Map<string, number>();
  for (const e of entries) {
    if (e.kind !== 'course-laid' || e.units === undefined) continue;
    const of = `${e.happened.slice(0, 10)} ${e.wall}`;
    units.set(of, (units.get(of) ?? 0) + e.units);
  }
  const days = [...units].flatMap(([of, laid]) => {
    const mixed = clocks.filter((c) => `${c.date} ${c.wall}` === of);
    const known = mixed.every((c) => c.ended && c.measures !== null);
    if (mixed.length === 0 || !known || laid === 0) return [];
    return [{ laid, measures: mixed.reduce((sum, c) => sum + (c.measures ?? 0), 0) }];
  });
  const spread = spreadOf(days.map((d) => d.laid / d.measures));
  return (
    spread && {
      days: days.length,
      measures: days.reduce((sum, d) => sum + d.measures, 0),
      units: days.reduce((sum, d) => sum + d.laid, 0),
      spread,
    }
  );
}

/** `entries`: what was laid meanwhile; `mix`: of that one alone. */
export function learnedFrom(
  all: readonly BatchClock[],
  entries: readonly Standing[] = [],
  mix: string | null = null,
): Learned {
  const clocks = mix === null ? all : all.filter((c) => c.mix === mix);
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
    diedAt: spreadOf(ended.filter((e) => e.why === 'dried').map((e) => (e.at - e.mixed) / 60_000)),
    laid: laidOf(clocks, entries),
    dried: ended.filter((e) => e.why === 'dried').length,
    enough: ended.length >= ENOUGH,
  };
}
