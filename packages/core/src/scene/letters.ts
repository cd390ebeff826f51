/** A place on a medium, px. */
export interface LetterPlace {
  x: number;
  y: number;
}

/** What letters keep off, px. */
export interface LetterBox {
  left: number;
  right: number;
  top: number;
  foot: number;
}

/** Half a letter with its ring, and how far off it stands from what it speaks of, px. */
const ROUND = 14;
const OFF = 29;
/** Rings about a place on which a letter may stand, in parts of that, and how many stand on each: none of them meet. */
const RINGS = [
  [1, 6],
  [2.05, 12],
  [3.1, 18],
] as const;

/** Over the place first, then to its right and left by turns, the nearest ring before the next. */
const WAYS: readonly (readonly [number, number])[] = RINGS.flatMap(([far, count]) =>
  Array.from({ length: count }, (_, i) => {
    const turn = (Math.ceil(i / 2) * (i % 2 === 1 ? 1 : -1) * 2 * Math.PI) / count;
    return [far * Math.sin(turn), -far * Math.cos(turn)] as const;
  }),
);

const inside = ({ x, y }: LetterPlace, b: LetterBox, by: number): boolean =>
  x > b.left - by && x < b.right + by && y > b.top - by && y < b.foot + by;

/**
 * Where letters stand beside their places so that they cover none of them, none of each other, and nothing of `clear`: y downwards. A letter that finds no such
 * place stands on its own, brought inside `within`.
 */
export function lettersBeside(
  places: readonly LetterPlace[],
  { clear, within }: { clear: readonly LetterBox[]; within: LetterBox },
): LetterPlace[] {
  const stood: LetterPlace[] = [];
  for (const place of places) {
    const free = (at: LetterPlace): boolean =>
      inside(at, within, -ROUND) &&
      !stood.some((p) => Math.hypot(p.x - at.x, p.y - at.y) < 2 * ROUND) &&
      !places.some((p) => Math.hypot(p.x - at.x, p.y - at.y) < ROUND) &&
      !clear.some((b) => inside(at, b, ROUND));
    const tried = WAYS.map(([dx, dy]) => ({ x: place.x + dx * OFF, y: place.y + dy * OFF }));
    stood.push(
      tried.find(free) ?? {
        x: Math.min(within.right - ROUND, Math.max(within.left + ROUND, place.x)),
        y: place.y,
      },
    );
  }
  return stood;
}
