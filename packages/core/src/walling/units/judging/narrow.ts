import type { Mm } from '../../../measure/length.js';
import type { GaugeSolution } from '../../../stages/gauge/solve.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { BondedRun } from '../laying/bond.js';

/** Masonry between two openings, or an opening and the end of its run, too narrow for its perps to look after themselves. */
export interface NarrowPier {
  from: Mm;
  to: Mm;
  /** Units of an odd and of an even course, left to right, mm. */
  odd: number[];
  even: number[];
  /** The perps between them, alike, mm. */
  joint: Mm;
}

/** As many units as a narrow pier has at most: common practice. */
const NARROW = 4;

/** The narrow piers of a run: their two end units stand first, then equal perps between. */
export function narrowPiers(wall: SetWall, gauge: GaugeSolution, run: BondedRun): NarrowPier[] {
  const openings = wall.openings.filter((o) => o.run === run.index).sort((a, b) => a.from - b.from);
  const list: NarrowPier[] = [];
  openings.forEach((o, i) => {
    const next = openings[i + 1];
    if (!next || next.from <= o.to) return;
    if (next.from - o.to > NARROW * (wall.unitLength + wall.head)) return;
    const low = Math.max(o.sill, next.sill);
    const high = Math.min(o.head, next.head);
    const beside = gauge.courses.filter((c) => c.bottom >= low - 1 && c.top <= high + 1);
    const rowOf = (odd: boolean) => {
      const course = beside.find((c) => (c.number % 2 === 1) === odd);
      const row = course && run.rows[course.number - 1];
      return {
        pieces: (row?.pieces ?? []).filter((p) => p.from >= o.to - 1 && p.to <= next.from + 1),
        perps: (row?.perps ?? []).filter((p) => p.at > o.to && p.at < next.from),
      };
    };
    const [odd, even] = [rowOf(true), rowOf(false)];
    const perps = odd.perps.length > 0 ? odd.perps : even.perps;
    if (perps.length === 0) return;
    list.push({
      from: o.to,
      to: next.from,
      odd: odd.pieces.map((p) => p.to - p.from),
      even: even.pieces.map((p) => p.to - p.from),
      joint: perps.reduce((sum, p) => sum + p.width, 0) / perps.length,
    });
  });
  return list;
}
