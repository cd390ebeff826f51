import { line, type SceneShape } from '../../shapes/shape.js';
import { cavityPlaces, type CavityWall } from './places.js';
import { wallTies } from './ties.js';

/** How far a tie lies in each leaf, mm: 50 at least (PD 6697, from memory). */
export const BEDDED = 50;

/** Ties that lie in the bed on one course of a run, across what they tie. */
export function tiesAbove(work: CavityWall, run: number, course: number): SceneShape[] {
  const height = work.gauge.courses[course - 1];
  const behind = work.leaves[1];
  if (!height || !behind) return [];
  const ties = (cavityPlaces(work)?.ties ?? wallTies(work)?.ties ?? []).filter(
    (t) => t.run === run && Math.abs(t.level - height.top) < 1,
  );
  const from = work.wall.unitWidth - BEDDED;
  return ties.map((t) => line('tie-plan', t.at, from, t.at, behind.offset + BEDDED));
}
