import type { CubicMetres } from '../../measure/length.js';
import type { Day, Minutes, Spell } from './day.js';

/** Times nearer than this are one, minutes. */
export const SAME_TIME = 1e-7;

/** What the wall has taken by every time of the day: nothing in breaks, straight between its corners. */
export class Demand {
  /** Corners: a time, what was taken by then, and how fast from there on, m³ a minute. */
  private readonly corners: { at: Minutes; taken: CubicMetres; rate: number }[] = [];
  readonly total: CubicMetres;
  /** When the last of it is taken. */
  readonly end: Minutes;

  constructor(day: Pick<Day, 'from' | 'to' | 'breaks' | 'demand'>) {
    const inside = (t: Minutes): Minutes => Math.min(day.to, Math.max(day.from, t));
    const times = [day, ...day.breaks, ...day.demand].flatMap((s) => [inside(s.from), inside(s.to)]);
    const at = [...new Set(times)].sort((a, b) => a - b);
    let taken = 0;
    let end = day.from;
    at.forEach((from, i) => {
      const to = at[i + 1] ?? from;
      const middle = (from + to) / 2;
      const over = (s: Spell): boolean => middle > s.from && middle < s.to;
      const rate = day.breaks.some(over)
        ? 0
        : day.demand.filter(over).reduce((sum, d) => sum + d.perHour / 60, 0);
      this.corners.push({ at: from, taken, rate });
      taken += rate * (to - from);
      if (rate > 0) end = to;
    });
    this.total = taken;
    this.end = end;
  }

  /** Taken by a time. */
  by(time: Minutes): CubicMetres {
    const c = this.corners[this.cornerAt(time)];
    return c ? c.taken + c.rate * Math.max(0, Math.min(time, this.end) - c.at) : 0;
  }

  /** When mud is next wanted, from a time on; null where none is any more. */
  next(time: Minutes): Minutes | null {
    for (let i = Math.max(0, this.cornerAt(time)); i < this.corners.length; i++) {
      const c = this.corners[i];
      const to = this.corners[i + 1]?.at ?? -Infinity;
      if (c && c.rate > 0 && to > time + SAME_TIME) return Math.max(c.at, time);
    }
    return null;
  }

  /** When so much will have been taken: its first moment; what is more than all of it, never. */
  when(taken: CubicMetres): Minutes {
    let [low, high] = [0, this.corners.length - 1];
    // The first corner by which as much was taken.
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.corners[middle]?.taken ?? 0) >= taken - this.total * 1e-12) high = middle;
      else low = middle + 1;
    }
    const [before, here] = [this.corners[low - 1], this.corners[low]];
    if (!here || here.taken < taken - this.total * 1e-12) return Infinity;
    if (!before) return here.at;
    return before.rate > 0 ? Math.min(here.at, before.at + (taken - before.taken) / before.rate) : here.at;
  }

  /** The parts of a spell in which mud is wanted. */
  wantedIn({ from, to }: Spell): Spell[] {
    return this.corners.flatMap((c, i) => {
      const spell = { from: Math.max(from, c.at), to: Math.min(to, this.corners[i + 1]?.at ?? c.at) };
      return c.rate > 0 && spell.to - spell.from > SAME_TIME ? [spell] : [];
    });
  }

  private cornerAt(time: Minutes): number {
    let [low, high] = [0, this.corners.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if ((this.corners[middle]?.at ?? 0) <= time + SAME_TIME) low = middle;
      else high = middle - 1;
    }
    return (this.corners[low]?.at ?? Infinity) <= time + SAME_TIME ? low : -1;
  }
}
