import type { Mm } from '../../measure/length.js';
import type { Course } from '../../stages/gauge/courses.js';
import type { GaugeSolution } from '../../stages/gauge/solve.js';
import type { SetStone } from '../../stages/set-out/stone.js';
import type { SetWall } from '../../stages/set-out/wall.js';
import { stoneIn } from './stretches.js';

/** What is left under a level, or between two, is no lift of its own when it is as low as this, mm: common practice. */
const LEAST_LIFT = 150;

/** Tops of stated courses, the last of them over and over to the top. */
function coursesUp(heights: readonly Mm[], high: Mm): Mm[] {
  const tops: Mm[] = [];
  let top = 0;
  for (let i = 0; top < high - 1e-6; i++) {
    top += heights[Math.min(i, heights.length - 1)] ?? high;
    tops.push(top);
  }
  return tops;
}

/** Levels a wall of stone is brought to besides the heights that are stated for it, up to its highest top. */
function asked(stone: SetStone, high: Mm): Mm[] {
  const every = (pitch: Mm): Mm[] =>
    Array.from({ length: Math.floor((high - 1e-6) / pitch) }, (_, k) => (k + 1) * pitch);
  switch (stone.kind) {
    case 'ashlar':
      return coursesUp(stone.courses, high);
    case 'dry':
      return stone.throughs.map((t) => t.at);
    default:
      return stone.broughtTo === null ? [] : every(stone.broughtTo);
  }
}

/** The levels a stone wall comes up in: where it is brought level, where its heights are fixed, and its top. */
export function stoneLevels(wall: SetWall): GaugeSolution {
  const stone = stoneIn(wall);
  const high = Math.max(
    wall.height,
    ...wall.tops.flatMap((t) => t.segments.flatMap((s) => [s.left, s.right])),
  );
  const least = stone.kind === 'ashlar' ? 1 : LEAST_LIFT;
  const fixed = [wall.height, ...wall.heights.map((h) => h.at)];
  const free = asked(stone, high)
    .filter((h) => h > least && h < high - least && fixed.every((f) => Math.abs(f - h) >= least))
    .sort((a, b) => a - b);
  const stated = stone.kind === 'ashlar' ? asked(stone, high).filter((h) => h < wall.height - 1) : [];
  const tops = [...new Set([...fixed, ...(stone.kind === 'ashlar' ? stated : free), high])]
    .filter((h) => h > 0 && h <= high + 1e-6)
    .sort((a, b) => a - b)
    .filter((h, i, all) => i === 0 || h - (all[i - 1] ?? 0) > 1e-6);
  const courses = tops.map((top, i): Course => {
    const bottom = i === 0 ? 0 : (tops[i - 1] ?? 0);
    // A joint that is nearly all of a level is none.
    const bed = Math.min(stone.joint, (top - bottom) / 2);
    return { number: i + 1, bottom, top, bed, unitHeight: top - bottom - bed, kind: 'whole' };
  });
  const count = courses.filter((c) => c.top <= wall.height + 1e-6).length;
  return { courses, count, lowest: count, sawn: null, halfHigh: null, met: null, short: 0, outside: [] };
}
