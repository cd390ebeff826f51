import { TABLE } from '../../tables/messages.js';
import type { Message } from '../../messages/message.js';
import type { Mm, Kilograms } from '../../measure/length.js';
import { barOf } from '../../tables/bars.js';
import { cutLength, hook90, rounded, type BentBar } from './bends.js';

/** What a bar is for: the first letter of its mark. */
export type BarUse = 'vertical' | 'starter' | 'beam' | 'footing' | 'corner' | 'dowel' | 'bed';

export const USE_LETTER: Record<BarUse, string> = {
  vertical: 'V',
  starter: 'D',
  beam: 'H',
  footing: 'F',
  corner: 'C',
  dowel: 'G',
  bed: 'B',
};

export const USE_NAMES: Record<BarUse, Message> = {
  vertical: TABLE['bar-vertical'](),
  starter: TABLE['bar-starter'](),
  beam: TABLE['bar-beam'](),
  footing: TABLE['bar-footing'](),
  corner: TABLE['bar-corner'](),
  dowel: TABLE['bar-dowel'](),
  bed: TABLE['bar-bed'](),
};

/** A bar wanted so many times. Dimensions outside to outside, mm, before they are rounded to what is cut. */
export interface BarWanted extends BentBar {
  use: BarUse;
  size: string;
  count: number;
}

/** One line of the bar schedule. Lengths mm, mass kg. */
export interface ScheduleLine extends BarWanted {
  mark: string;
  /** Length to cut one to. */
  length: Mm;
  total: number;
  mass: Kilograms;
}

const key = (b: BarWanted, length: number): string =>
  [b.use, b.size, b.shape, Math.round(length), Math.round(b.b), Math.round(b.c)].join('|');

const straight = (a: number): BentBar => ({ shape: 'straight', a, b: 0, c: 0 });

/** A straight bar, or one with a standard hook at one end. */
export function barWith(use: BarUse, size: string, length: number, count: number, hooked = false): BarWanted {
  return {
    use,
    size,
    count,
    ...(hooked ? { shape: 'hooked', a: length, b: hook90(size), c: 0 } : straight(length)),
  };
}

/**
 * The schedule: bars alike in use, size, shape and cut length on one line, the longest of each use first, marked V1,
 * V2… Cut lengths go up to the next inch or 25 mm.
 */
export function scheduleOf(wanted: readonly BarWanted[]): ScheduleLine[] {
  const lines = new Map<string, BarWanted & { length: number }>();
  for (const b of wanted) {
    if (b.count === 0) continue;
    const length = rounded(barOf(b.size), cutLength(b.size, b));
    const same = lines.get(key(b, length));
    if (same) same.count += b.count;
    else lines.set(key(b, length), { ...b, length });
  }
  const order = Object.keys(USE_LETTER);
  const sorted = [...lines.values()].sort(
    (a, b) =>
      order.indexOf(a.use) - order.indexOf(b.use) ||
      Number(a.size > b.size) - Number(a.size < b.size) ||
      b.length - a.length,
  );
  const seen = new Map<string, number>();
  return sorted.map((b): ScheduleLine => {
    const letter = USE_LETTER[b.use];
    const n = (seen.get(letter) ?? 0) + 1;
    seen.set(letter, n);
    const total = b.length * b.count;
    return { ...b, mark: `${letter}${n}`, total, mass: (total / 1000) * barOf(b.size).kgPerM };
  });
}

/** The line of a schedule a bar wanted stands on. */
export function lineOfBar(schedule: readonly ScheduleLine[], b: BarWanted): ScheduleLine | undefined {
  const length = rounded(barOf(b.size), cutLength(b.size, b));
  return schedule.find((l) => key(l, l.length) === key(b, length));
}
