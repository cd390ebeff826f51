import type { Mm } from '../../measure/length.js';
import type { LeafCourse } from '../units/leaves/laidWith.js';
import { stoneWork } from './work.js';

/** A face stone is about so large: what a pace is counted in, where no two are alike. Common practice. */
const STONE_FACE = { long: 450, high: 200 } as const;

/**
 * About how many face stones a level of a run is, both faces together; null for a leaf whose pieces are known. For pace only: what is bought is
 * weighed.
 */
export function stonesOfLevel({ leaf, course }: LeafCourse, run: number): number | null {
  const { stone } = leaf.wall;
  if (!stone || stone.kind === 'ashlar') return null;
  const volume: Mm = (stoneWork(leaf.wall, leaf.gauge).runs[run]?.levels[course - 1] ?? 0) * 1e9;
  const face = (volume / ((stone.base + stone.top) / 2)) * stone.faces;
  return Math.ceil(face / (STONE_FACE.long * STONE_FACE.high) - 1e-9);
}
