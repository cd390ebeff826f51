import type { Mm } from '../../../measure/length.js';

/** A course of ashlar between two ends: how long its stones may be, the joint, and the joints of the course under it. */
export interface JointsAsk {
  from: Mm;
  to: Mm;
  longest: Mm;
  joint: Mm;
  lap: Mm;
  below: readonly Mm[];
}

/** One course: its stones, and how many of its joints stand nearer to one under it than the lap. */
export interface StonesLaid {
  stones: { from: Mm; to: Mm }[];
  short: number;
}

/** The end stones of a course as a part of the rest: whole, or so much shorter that its joints cross those under it. */
const ENDS: readonly (readonly [number, number])[] = [
  [1, 1],
  [1 / 2, 1 / 2],
  [1 / 2, 1],
  [1, 1 / 2],
  [2 / 3, 2 / 3],
  [1 / 3, 1],
  [1, 1 / 3],
  [2 / 3, 1],
  [1, 2 / 3],
];
/** So many more stones than the fewest are tried for a better crossing. */
const MORE = 4;

function stonesOf(
  { from, to, joint }: JointsAsk,
  count: number,
  [first, last]: readonly [number, number],
): StonesLaid['stones'] {
  const units = count === 1 ? 1 : count - 2 + first + last;
  const whole = (to - from - (count - 1) * joint) / units;
  const stones: StonesLaid['stones'] = [];
  let at = from;
  for (let i = 0; i < count; i++) {
    const part = count === 1 ? 1 : i === 0 ? first : i === count - 1 ? last : 1;
    stones.push({ from: at, to: at + whole * part });
    at += whole * part + joint;
  }
  return stones;
}

/** Joints of a course, at their middles: what the next one crosses. */
export const jointsOf = (stones: readonly { from: Mm; to: Mm }[]): Mm[] =>
  stones.slice(1).map((s, i) => ((stones[i]?.to ?? s.from) + s.from) / 2);

/** How far the nearest joint under a place stands from it. */
export const crossing = (at: Mm, below: readonly Mm[]): Mm =>
  below.reduce((least, b) => Math.min(least, Math.abs(b - at)), Infinity);

/**
 * The stones of a course: none longer than may be, each joint crossed by the lap where any way does, then the fewest stones, then the
 * shortest of them as long as can be. All are of one length but the two at the ends.
 */
export function stonesIn(ask: JointsAsk): StonesLaid {
  const { from, to, longest, joint, lap, below } = ask;
  const fewest = Math.max(1, Math.ceil((to - from + joint) / (longest + joint) - 1e-9));
  let best: (StonesLaid & { least: Mm }) | null = null;
  for (let count = fewest; count <= fewest + MORE; count++)
    for (const ends of count === 1 ? ENDS.slice(0, 1) : ENDS) {
      const stones = stonesOf(ask, count, ends);
      const lengths = stones.map((s) => s.to - s.from);
      const least = Math.min(...lengths);
      if (Math.max(...lengths) > longest + 1e-6 || least <= 0) continue;
      const short = jointsOf(stones).filter((at) => crossing(at, below) < lap - 1e-6).length;
      const better =
        !best ||
        short < best.short ||
        (short === best.short &&
          (stones.length < best.stones.length ||
            (stones.length === best.stones.length && least > best.least + 1e-6)));
      if (better) best = { stones, short, least };
    }
  return best ?? { stones: [{ from, to }], short: 0 };
}
