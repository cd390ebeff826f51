import type { Build } from '../../job/types.js';
import { planOf, straight } from '../jobs.js';
import type { PublishedCheck } from './list.js';

const wall = (bond: Build['bond'], length: number, height = 1200): ReturnType<typeof planOf> =>
  planOf({
    line: straight(length),
    height,
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    show: 'mm',
    build: { bond, wythes: 2 },
  });

/** Bricks on the face, or behind it, for a square metre: two walls a whole number of patterns apart, so ends cancel. */
function perSquareMetre(bond: Build['bond'], pattern: number, leaf: 'face' | 'behind'): number {
  const count = (length: number): number => {
    const p = wall(bond, length);
    const rows = p.leaves[leaf === 'face' ? 0 : 1]?.runs[0]?.rows;
    return rows?.reduce((sum, row) => sum + row.pieces.length, 0) ?? NaN;
  };
  const [short, long] = [215 + 4 * pattern, 215 + 24 * pattern];
  return (count(long) - count(short)) / (((long - short) * 1200) / 1e6);
}

const density = (
  id: string,
  what: string,
  wanted: number,
  bond: Build['bond'],
  pattern: number,
  leaf: 'face' | 'behind',
): PublishedCheck => ({
  id,
  what,
  wanted,
  within: 0.005,
  unit: 'brick/m²',
  source: 'geometry, as in the UK brick trade’s tables',
  got: () => perSquareMetre(bond, pattern, leaf),
});

const E3 = 'worked example E3 (c), by hand';

export const BOND_COUNTS: PublishedCheck[] = [
  density('M028', 'facings, Flemish bond', 79.01, 'flemish', 337.5, 'face'),
  density('M029', 'facings, English garden wall, three to one', 74.07, 'english-garden', 225, 'face'),
  density('M030', 'facings, Flemish garden wall', 67.72, 'flemish-garden', 787.5, 'face'),
  density('M032a', 'facings, English bond (118.52 less 29.63)', 88.89, 'english', 225, 'face'),
  density('M032b', 'bricks behind, English bond', 29.63, 'english', 225, 'behind'),
  density('M032c', 'bricks behind, Flemish bond', 39.51, 'flemish', 337.5, 'behind'),
  density('M032d', 'bricks behind, English garden wall', 44.44, 'english-garden', 225, 'behind'),
  density('M032e', 'bricks behind a stretcher face', 59.26, 'half', 225, 'behind'),
  {
    id: 'E3c-bricks',
    what: 'one-brick wall of nine bricks, 16 courses, stopped ends: bricks',
    wanted: 288,
    within: 0,
    unit: 'brick',
    source: E3,
    got: () => wall('english', 2015).buy.reduce((sum, l) => sum + l.net, 0),
  },
  {
    id: 'E3c-closers',
    what: 'the same: queen closers',
    wanted: 16,
    within: 0,
    unit: 'closer',
    source: E3,
    got: () => wall('english', 2015).tally.pieces.closer,
  },
  {
    id: 'E3c-mortar',
    what: 'the same: mortar in the joints',
    wanted: 108.45,
    within: 0.005,
    unit: 'L',
    source: E3,
    got: () => wall('english', 2015).tally.mortar.geometric * 1000,
  },
];
