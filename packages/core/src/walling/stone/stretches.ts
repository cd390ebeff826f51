import type { Mm } from '../../measure/length.js';
import type { GaugeSolution } from '../../stages/gauge/solve.js';
import { isTangent } from '../../stages/set-out/line.js';
import { topAt } from '../../stages/set-out/outline.js';
import type { SetStone } from '../../stages/set-out/stone.js';
import type { SetWall } from '../../stages/set-out/wall.js';
import { lengthOf, volumeBetween, type Section, type Stretch } from './section.js';
import type { Hole } from './throughs.js';

/** One run of a stone wall as it stands: its stretches from its start, and what is left out of them. */
export interface StoneRun {
  run: number;
  length: Mm;
  stretches: Stretch[];
  holes: Hole[];
  /** What a corner takes off its middle line at its start and its end: the two runs that meet share what stands there. */
  trims: readonly [Mm, Mm];
  /** How long its middle is against its outside face, round a curve. */
  scale: number;
}

/** A stone wall of units alone would have none of this. */
export const stoneIn = (wall: SetWall): SetStone => {
  if (!wall.stone) throw new TypeError(`wall ${wall.id} is not of stone`);
  return wall.stone;
};

/** Heights of a run’s top between the places where it turns. */
function topsOf(wall: SetWall, run: number): { from: Mm; to: Mm; left: Mm; right: Mm }[] {
  const length = wall.runs[run]?.length ?? 0;
  const segments = wall.tops.filter((t) => t.run === run).flatMap((t) => t.segments);
  const turns = [0, length, ...segments.flatMap((s) => [s.from, s.to])].filter((x) => x >= 0 && x <= length);
  const places = [...new Set(turns)].sort((a, b) => a - b);
  return places.slice(1).flatMap((to, i) => {
    const from = places[i] ?? 0;
    if (to - from < 1e-6) return [];
    const over = segments.filter((s) => s.from < to - 1e-9 && s.to > from + 1e-9);
    const at = (x: Mm): Mm => topAt(over, x) ?? wall.height;
    return [{ from, to, left: at(from), right: at(to) }];
  });
}

/** The runs of a stone wall. What the courses come to is read only where its footing steps. */
export function stoneRuns(wall: SetWall, gauge: GaugeSolution): StoneRun[] {
  const stone = stoneIn(wall);
  const section = (height: Mm): Section => ({ base: stone.base, top: stone.top, height });
  return wall.runs.map((r, run) => {
    const trimAt = (turn: number | undefined): Mm =>
      turn === undefined || isTangent(turn) ? 0 : (stone.base / 2) * Math.tan((turn * Math.PI) / 360);
    const { corners } = wall.line;
    const ends = [corners.find((c) => c.to === run)?.turn, corners.find((c) => c.from === run)?.turn];
    return {
      run,
      length: r.length,
      stretches: topsOf(wall, run).map((t) => ({
        length: t.to - t.from,
        ends: [section(t.left), section(t.right)] as const,
      })),
      holes: [
        ...wall.openings
          .filter((o) => o.run === run)
          .map((o) => ({ from: o.from, to: o.to, low: o.sill, high: o.head })),
        ...wall.steps
          .filter((s) => s.run === run)
          .map((s) => ({ from: s.from, to: s.to, low: 0, high: gauge.courses[s.up - 1]?.top ?? 0 })),
      ],
      trims: [trimAt(ends[0]), trimAt(ends[1])] as const,
      scale: r.radius === null ? 1 : (r.radius - stone.base / 2) / r.radius,
    };
  });
}

/** What of a run lies between two heights, its holes out, m³. */
export function runVolume(
  { stretches, holes, trims, scale }: StoneRun,
  [low, high]: readonly [Mm, Mm],
): number {
  let from = 0;
  let sum = 0;
  stretches.forEach((s, i) => {
    const start = i === 0 ? trims[0] : 0;
    const end = s.length - (i === stretches.length - 1 ? trims[1] : 0);
    if (end > start) sum += volumeBetween(s, [start, end], [low, high]);
    for (const h of holes) {
      const [a, b] = [Math.max(0, h.from - from), Math.min(s.length, h.to - from)];
      const [under, over] = [Math.max(low, h.low), Math.min(high, h.high)];
      if (b > a && over > under) sum -= volumeBetween(s, [a, b], [under, over]);
    }
    from += s.length;
  });
  return sum * scale;
}

/** How long its middle line is, its corners shared. */
export const middleLength = (run: StoneRun): Mm =>
  (lengthOf(run.stretches) - run.trims[0] - run.trims[1]) * run.scale;
