import type { Mm } from '../../measure/length.js';
import type { SetWall } from '../set-out/wall.js';
import { middleOf, type Shaft } from './shafts.js';

export interface Spacing {
  asked: number;
  used: number;
  /** Continuous cells stand this far apart, mm. */
  pitch: Mm;
  fits: boolean;
}

/** A spacing this near a whole number of cells is one. */
export const NEAR_WHOLE = 0.02;

/** How far apart the continuous cells of a wall stand: its module over what stands in it. */
export function cellPitch(wall: SetWall, shafts: readonly (readonly Shaft[])[]): Mm | null {
  const longest = shafts.reduce<readonly Shaft[]>((best, c) => (c.length > best.length ? c : best), []);
  const base = longest.filter((c) => c.low === 0);
  const [first, last] = [base[0], base.at(-1)];
  const module = wall.unitLength + wall.head;
  if (!first || !last) return null;
  if (base.length < 2) return module / Math.max(1, wall.unit.shells?.cells ?? 1);
  const mean = (middleOf(last) - middleOf(first)) / (base.length - 1);
  return module / Math.max(1, Math.round(module / mean));
}

/** The spacing asked for against the unit's own cells: the next lower that fits, where it does not. */
export function spacingOf(every: number, pitch: number): Spacing {
  const cells = every / pitch;
  const whole = Math.round(cells);
  const fits = whole >= 1 && Math.abs(cells - whole) <= NEAR_WHOLE;
  const used = fits ? whole * pitch : Math.max(1, Math.floor(cells)) * pitch;
  return { asked: every, used, pitch, fits };
}
