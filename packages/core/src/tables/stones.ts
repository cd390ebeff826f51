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

/** What of a heap as it was tipped is air, and of a dry wall that is hearted: common practice, from memory. */
export const TIPPED_VOIDS = 0.4;
export const DRY_VOIDS = 0.25;
/** What of a mortared rubble wall is stone, and what of its stone lies between the faces: common practice, from memory. */
export const RUBBLE_SHARE = 0.7;
export const HEARTING = 0.3;
/** Broken, too small, or the wrong shape: bought over what is built in, where nobody has said. */
export const STONE_WASTE = 0.1;
/** A cubic metre of lime mortar in the wall, kg: EN 1991-1-1 table A.1, from memory. */
export const MORTAR_WEIGHS = 1800;
