import type { Build } from '../../job/types.js';
import { INCH } from '../../measure/length.js';
import { wallTies } from '../../stages/cavity/ties.js';
import { planOf, straight, type OneWall } from '../jobs.js';
import { lastThat } from './bisect.js';
import { exactly, type PublishedCheck } from './list.js';

const veneer = (ties: Build['ties']): OneWall => ({
  line: straight("20'"),
  height: "8'",
  lengths: 'actual',
  unit: 'brick-modular-us',
  build: { cavity: { inner: 'cmu-8x8x16', width: '2"' }, ...(ties ? { ties } : {}) },
  wall: { jointEvery: "60'" },
});
const tied = (ties: Build['ties']): OneWall => ({
  ...veneer(undefined),
  build: { wythes: 2, ...(ties ? { ties } : {}) },
});
const UK: OneWall = {
  profile: 'uk',
  show: 'mm',
  unit: 'brick-215x102.5x65',
  line: straight(8990),
  height: 2250,
  build: { cavity: { inner: 'block-440x215x100', width: 100 } },
  wall: { jointEvery: 90_000 },
};
const field = (w: OneWall): number => wallTies(planOf(w))?.ties.filter((t) => !t.edge).length ?? NaN;
/** The furthest apart along the wall that is not found too far, rows being near enough for the area. */
const furthest = (wall: (across: number) => OneWall, low: number, high: number, step: number): number =>
  lastThat(low, high, step, (across) => wallTies(planOf(wall(across)))?.holds ?? false);

export const CROSSING: PublishedCheck[] = [
  exactly('TV-12', 'anchors in 160 ft² of veneer, 24 by 16 in', 60, 'ties', '160 / 2.667, arithmetic', () =>
    field(veneer({ across: '24"', up: '16"' })),
  ),
  exactly(
    'VJ-21',
    'veneer anchors, the furthest apart along the wall',
    32,
    'in',
    'TMS 402 12.2, from memory',
    () => furthest((a) => veneer({ across: a, up: '8"' }), 20 * INCH, 48 * INCH, INCH) / INCH,
  ),
  exactly(
    'VJ-38',
    'wires between wythes, the furthest apart along the wall',
    36,
    'in',
    'TMS 402 5.1.4, from memory',
    () => furthest((a) => tied({ across: a, up: '8"' }), 20 * INCH, 48 * INCH, INCH) / INCH,
  ),
  exactly('ties UK', 'wall ties, the furthest apart along the wall', 900, 'mm', 'PD 6697, from memory', () =>
    furthest((a) => ({ ...UK, build: { ...UK.build, ties: { across: a, up: 225 } } }), 450, 1350, 10),
  ),
];
