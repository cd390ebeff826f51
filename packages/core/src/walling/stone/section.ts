import { CUBIC_METRE_MM3, SAME_PLACE, type CubicMetres, type Mm } from '../../measure/length.js';

/** A stone wall cut through: from its base to the underside of its cope. */
export interface Section {
  base: Mm;
  top: Mm;
  height: Mm;
}

/** A length of wall from one frame to the next: between them it goes evenly from the one to the other. */
export interface Stretch {
  length: Mm;
  ends: readonly [Section, Section];
}

/** How far a line stands in from where the face is at the base, and what is between the two. */
export interface Offsets {
  width: Mm;
  outer: Mm;
  inner: Mm;
}

/** As wide as it is at a height; above its top as at its top. */
export const widthAt = ({ base, top, height }: Section, up: Mm): Mm =>
  height > 0 ? base - (base - top) * Math.min(1, up / height) : base;

/** Both faces lean in alike. */
export function offsetsAt(section: Section, up: Mm): Offsets {
  const width = widthAt(section, up);
  const each = (section.base - width) / 2;
  return { width, outer: each, inner: each };
}

/** One in so many that each face leans. Infinite for a plumb wall. */
export const batterOf = ({ base, top, height }: Section): number => (2 * height) / (base - top);

export function sectionAt({ length, ends: [a, b] }: Stretch, at: Mm): Section {
  const part = length > 0 ? Math.min(1, Math.max(0, at / length)) : 0;
  const between = (from: Mm, to: Mm): Mm => from + (to - from) * part;
  return {
    base: between(a.base, b.base),
    top: between(a.top, b.top),
    height: between(a.height, b.height),
  };
}

export const lengthOf = (stretches: readonly Stretch[]): Mm =>
  stretches.reduce((sum, s) => sum + s.length, 0);

/** The section at a place along stretches that follow one another; where two meet, the higher. */
export function sectionAlong(stretches: readonly Stretch[], at: Mm): Section {
  let from = 0;
  let best: Section | null = null;
  for (const s of stretches) {
    const to = from + s.length;
    if (at >= from - SAME_PLACE && at <= to + SAME_PLACE) {
      const here = sectionAt(s, at - from);
      if (!best || here.height > best.height) best = here;
    }
    from = to;
  }
  return best ?? { base: 0, top: 0, height: 0 };
}

/** What of a section lies under a height, mm²: the sum of its widths. */
function areaUnder(s: Section, up: Mm): number {
  const to = Math.min(Math.max(0, up), s.height);
  return s.height > 0 ? s.base * to - ((s.base - s.top) * to * to) / (2 * s.height) : 0;
}

/** Gauss's eight points on 0 to 1, and their weights: what varies so evenly is exact to a dozen places. */
const POINTS: readonly (readonly [number, number])[] = [
  [0.1834346424956498, 0.362683783378362],
  [0.525532409916329, 0.3137066458778873],
  [0.7966664774136267, 0.2223810344533745],
  [0.9602898564975363, 0.1012285362903763],
].flatMap(([x = 0, w = 0]): [number, number][] => [
  [(1 - x) / 2, w / 2],
  [(1 + x) / 2, w / 2],
]);

/** Places along a stretch where its top comes to a height: what is summed changes there. */
function meets({ length, ends: [a, b] }: Stretch, up: Mm): Mm[] {
  const part = (up - a.height) / (b.height - a.height);
  return part > 0 && part < 1 ? [part * length] : [];
}

/** What of a stretch lies between two places along it and two heights, m³. */
export function volumeBetween(
  stretch: Stretch,
  [from, to]: readonly [Mm, Mm],
  [low, high]: readonly [Mm, Mm],
): CubicMetres {
  const cuts = [
    from,
    ...[...meets(stretch, low), ...meets(stretch, high)].filter((x) => x > from && x < to),
    to,
  ].sort((a, b) => a - b);
  let sum = 0;
  for (let i = 1; i < cuts.length; i++) {
    const [a = 0, b = 0] = [cuts[i - 1], cuts[i]];
    for (const [x, weight] of POINTS) {
      const section = sectionAt(stretch, a + (b - a) * x);
      sum += (areaUnder(section, high) - areaUnder(section, low)) * weight * (b - a);
    }
  }
  return sum / CUBIC_METRE_MM3;
}

/** All of a stretch, m³: exact, for what goes evenly is at most of the third power. */
export function volumeOf({ length, ends: [a, b] }: Stretch): CubicMetres {
  const area = (s: Section): number => ((s.base + s.top) / 2) * s.height;
  const middle = sectionAt({ length, ends: [a, b] }, length / 2);
  return ((area(a) + 4 * area(middle) + area(b)) / 6) * (length / CUBIC_METRE_MM3);
}
