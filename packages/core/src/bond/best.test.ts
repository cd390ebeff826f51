import { SAME_PLACE } from '../measure/length.js';
import { BOND_WEIGHTS } from '../tables/weights.js';
import { BRICK, brickPair, pairCost } from '../test/brickPair.js';

const { whole: WHOLE, width: WIDTH, joint: JOINT, leastPiece: LEAST_PIECE, leastLap: LEAST_LAP } = BRICK;
const STEP = 12.5;

/** Slots (piece and joint) of one course, the ends of the neighbours' bricks first and last. */
interface Course {
  slots: number[];
  own: number;
  sizes: number[];
}

const weigh = (slots: number[], shownFirst: boolean, shownLast: boolean): Course => {
  const pieces = slots.slice(shownFirst ? 1 : 0, shownLast ? -1 : undefined).map((s) => s - JOINT);
  const cut = pieces.filter((p) => Math.abs(p - WHOLE) > 0.01);
  const short = pieces.filter((p) => p < LEAST_PIECE - 0.01);
  return {
    slots,
    own: BOND_WEIGHTS.cutPiece * cut.length + BOND_WEIGHTS.pieceUnderLeast * short.length,
    sizes: cut.map(Math.round),
  };
};

/** Every course of a run at the target joint with one odd brick anywhere, or two anywhere in steps of 12.5 mm. */
function everyCourse(length: number, shownFirst: boolean, shownLast: boolean): Course[] {
  const slot = WHOLE + JOINT;
  const ends = Number(shownFirst) + Number(shownLast);
  const room = length + JOINT - ends * (WIDTH + JOINT);
  const n = Math.floor((room + 1e-6) / slot);
  const rest = room - n * slot;
  const list: Course[] = [];
  const add = (inner: number[]): void => {
    const slots = [...(shownFirst ? [WIDTH + JOINT] : []), ...inner, ...(shownLast ? [WIDTH + JOINT] : [])];
    list.push(weigh(slots, shownFirst, shownLast));
  };
  const wholes = (count: number): number[] => Array<number>(count).fill(slot);
  if (rest < 1e-6) add(wholes(n));
  else if (rest - JOINT >= 25) for (let i = 0; i <= n; i++) add([...wholes(i), rest, ...wholes(n - i)]);
  for (let x = 25 + JOINT; n > 0 && x <= slot + rest - 25 - JOINT; x += STEP) {
    const y = slot + rest - x;
    if (x > slot || y > slot) continue;
    for (let i = 0; i < n; i++)
      for (let j = 0; i + j < n; j++) add([...wholes(i), x, ...wholes(j), y, ...wholes(n - 1 - i - j)]);
  }
  return list;
}

function perps(slots: number[]): number[] {
  let x = 0;
  return slots.slice(0, -1).map((s) => (x += s) - JOINT / 2);
}

const shortLaps = (a: number[], b: number[]): number =>
  a.filter((x) => b.some((y) => Math.abs(x - y) < LEAST_LAP - SAME_PLACE)).length;

/** The least a pair of courses can cost, every pair of them compared. */
function least(length: number): number {
  const ready = (courses: Course[]): (Course & { at: number[] })[] =>
    courses.map((c) => ({ ...c, at: perps(c.slots) })).sort((a, b) => a.own - b.own);
  const [odd, even] = [ready(everyCourse(length, true, false)), ready(everyCourse(length, false, true))];
  let best = Infinity;
  for (const a of odd) {
    for (const b of even) {
      // Cheapest first: from here on no pair can cost less.
      if (a.own + b.own >= best) break;
      const sizes = BOND_WEIGHTS.distinctCutSize * new Set([...a.sizes, ...b.sizes]).size;
      const base = a.own + b.own + sizes;
      if (base < best) best = Math.min(best, base + BOND_WEIGHTS.lapUnderRule * shortLaps(a.at, b.at));
    }
  }
  return best;
}

test('small walls between corners cost within one in a hundred of every bond with two odd bricks a course', () => {
  const off: string[] = [];
  for (let k = 0; k < 24; k++) {
    const length = 1200 + ((k * 7919) % 600);
    const [got, best] = [pairCost(brickPair(length)), least(length)];
    if (got > best * 1.01 + 1e-6) off.push(`${length}: ${got.toFixed(1)} against ${best.toFixed(1)}`);
  }
  expect(off).toEqual([]);
});
