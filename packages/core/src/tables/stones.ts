import type { Said } from '../messages/message.js';
import { TABLE } from './messages.js';

/** Stone as it is quarried: what a cubic metre of it weighs without a void, kg. */
export interface Stone {
  id: string;
  density: number;
  /** It drinks, and is wetted before it is laid; what does not is laid dry. */
  porous: boolean;
  source: Said;
}

/** EN 1991-1-1 table A.2, from memory; the densities as the job file has them. */
export const STONES: readonly Stone[] = [
  { id: 'granite', density: 2650, porous: false, source: TABLE['stone-en-1991']() },
  { id: 'limestone', density: 2400, porous: true, source: TABLE['stone-en-1991']() },
  { id: 'sandstone', density: 2300, porous: true, source: TABLE['stone-en-1991']() },
  { id: 'basalt', density: 2900, porous: false, source: TABLE['stone-en-1991']() },
];

const BY_ID = new Map(STONES.map((s) => [s.id, s]));
export const stoneNamed = (id: string): Stone | null => BY_ID.get(id) ?? null;

/** The stone of an id: the job's own first, then the library. Of one nobody knows, which `check` refuses, something stands there. */
export function stoneOf(
  own: readonly { id: string; density: number; porous?: boolean }[],
  id: string,
): Stone {
  const mine = own.find((s) => s.id === id);
  if (mine) return { id, density: mine.density, porous: mine.porous ?? true, source: TABLE['stated-here']() };
  return stoneNamed(id) ?? { id, density: 2400, porous: true, source: '' };
}
