import type { BarReason } from './vertical.js';
import type { Mm } from '../../measure/length.js';
import type { SetStarter, SetWall } from '../set-out/wall.js';
import { barOf } from '../../tables/bars.js';
import { insideWidth } from './cells.js';
import { middleOf, type Shaft } from './shafts.js';
import { roomInCell } from './place.js';
import { onFooting, type SteelWork } from './steel.js';

/** How a starter as placed stands to the block that is to go over it. */
export type StarterVerdict = 'clear' | 'touching' | 'blocked';

export interface JudgedStarter extends SetStarter {
  verdict: StarterVerdict;
  /** How far along the wall it would have to stand to be clear in the nearest cell, signed, mm; 0 when it is. */
  need: number;
  /** The upright it is meant for: the nearest, mm along, or null. */
  bar: number | null;
}

/** A bar placed this far from its starter or more laps another: common practice, mm. */
const SAME_BAR = 250;

/** Cells at the foot of a wall: those a starter comes up in. */
export const footShafts = (wall: SetWall, shafts: readonly Shaft[]): Shaft[] =>
  shafts.filter((c) => onFooting(wall, c));

/** The verdict on one place: clear with grout round it, touching the unit, or under a web, a perp or a shell. */
export function judgeAt(
  wall: SetWall,
  shafts: readonly Shaft[],
  size: string,
  at: number,
  off: number,
): { verdict: StarterVerdict; by: number } {
  const radius = barOf(size).diameter / 2;
  let best: { verdict: StarterVerdict; by: number } = { verdict: 'blocked', by: 0 };
  let nearest = Infinity;
  for (const c of shafts) {
    const room = roomInCell(wall, size, c.to - c.from);
    const from = at - middleOf(c);
    const over = Math.max(0, Math.abs(from) - room.along);
    if (over >= nearest) continue;
    nearest = over;
    const inside = Math.abs(from) <= (c.to - c.from) / 2 - radius;
    const across = Math.abs(off);
    const verdict: StarterVerdict =
      over <= 1e-6 && across <= room.across + 1e-6
        ? 'clear'
        : inside && across <= insideWidth(wall) / 2 - radius + 1e-6
          ? 'touching'
          : 'blocked';
    best = { verdict, by: over <= 1e-6 ? 0 : -Math.sign(from) * over };
  }
  return best;
}

/** Every starter that was entered, judged against the cells as the wall is bonded now. */
export function judgeStarters(wall: SetWall, steel: SteelWork): JudgedStarter[] {
  const size = wall.steel?.vertical?.bar;
  if (size === undefined) return [];
  return (wall.steel?.starters ?? []).map((s): JudgedStarter => {
    const k = steel.verticals.findIndex((v) => v.run === s.run);
    const shafts = footShafts(wall, steel.cells[k]?.shafts ?? []);
    const { verdict, by } = judgeAt(wall, shafts, size, s.at, s.off);
    const bars = (steel.verticals[k]?.bars ?? []).filter((b) => onFooting(wall, b.shaft));
    const near = bars.reduce<number | null>(
      (best, b) => (best === null || Math.abs(b.at - s.at) < Math.abs(best - s.at) ? b.at : best),
      null,
    );
    return { ...s, verdict, need: by, bar: near !== null && Math.abs(near - s.at) <= SAME_BAR ? near : null };
  });
}

/** A bar brought back in line may slope no more than this: 1 in 6 (TMS 602 Art. 3.4 B, from memory), never heated. */
export const MOST_SLOPE = 1 / 6;

/** Where starters are to stand: each upright that comes up from the footing, run by run, for the plan that is carried there. */
export interface DowelPlace {
  run: number;
  at: Mm;
  /** From the one before, or from the start of the run. */
  step: number;
  why: BarReason;
}

export function dowelPlan(wall: SetWall, steel: SteelWork, run: number): DowelPlace[] {
  const k = steel.verticals.findIndex((v) => v.run === run);
  let before = 0;
  return (steel.verticals[k]?.bars ?? [])
    .filter((b) => onFooting(wall, b.shaft))
    .map((b): DowelPlace => {
      const step = b.at - before;
      before = b.at;
      return { run, at: b.at, step, why: b.why };
    });
}
