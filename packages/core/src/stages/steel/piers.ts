import { SAME_PLACE } from '../../measure/length.js';
import { firstFrom } from '../../walling/units/lines/lines.js';
import type { Section } from '../../walling/units/lines/sections.js';
import type { SetWall } from '../set-out/wall.js';
import { middleOf, type Shaft } from './shafts.js';
import type { BarReason } from './vertical.js';

/** A part of a run that goes up between two openings, joints or ends. */
export interface Pier {
  from: number;
  to: number;
  /** What it stops at: an opening's jamb, or the run's or section's end. */
  start: BarReason;
  end: BarReason;
  /** Its first cell, from which a drawing counts its spacing, is that of this place. */
  section: number;
}

/** The piers of a run: what stands between its openings, section by section. */
export function piersOf(wall: SetWall, run: number, sections: readonly Section[]): Pier[] {
  const piers: Pier[] = [];
  sections.forEach(({ span, ends }, k) => {
    let at = span.from;
    let start: BarReason = k > 0 ? 'joint' : ends.start.other === null ? 'end' : 'corner';
    const inside = wall.openings
      .filter((o) => o.run === run && o.to > span.from && o.from < span.to)
      .sort((a, b) => a.from - b.from);
    for (const o of inside) {
      if (o.from > at + SAME_PLACE)
        piers.push({ from: at, to: o.from, start, end: 'jamb', section: span.from });
      at = Math.max(at, o.to);
      start = 'jamb';
    }
    const end: BarReason = k < sections.length - 1 ? 'joint' : ends.end.other === null ? 'end' : 'corner';
    if (span.to > at + SAME_PLACE) piers.push({ from: at, to: span.to, start, end, section: span.from });
  });
  return piers;
}

/** The shaft a bar at one end of a pier goes in: the nearest that goes all the way up, else the nearest. */
export function endColumn(
  shafts: readonly Shaft[],
  whole: (c: Shaft) => boolean,
  x: number,
  reach: number,
): Shaft | null {
  const near = shafts
    .filter((c) => Math.abs(middleOf(c) - x) <= reach)
    .sort((a, b) => Math.abs(middleOf(a) - x) - Math.abs(middleOf(b) - x));
  return near.find(whole) ?? near[0] ?? null;
}

/** Where shafts begin, in order along the run, for `shaftsBetween` to look them up by. */
export const startsOf = (shafts: readonly Shaft[]): number[] => shafts.map((c) => c.from);

/** The shafts, in order along the run, that stand between two places. */
export function shaftsBetween(
  shafts: readonly Shaft[],
  starts: readonly number[],
  from: number,
  to: number,
): Shaft[] {
  const list: Shaft[] = [];
  for (let i = firstFrom(starts, from - SAME_PLACE); i < shafts.length; i++) {
    const c = shafts[i] as Shaft;
    if (c.from >= to) break;
    if (c.to < to + SAME_PLACE) list.push(c);
  }
  return list;
}
