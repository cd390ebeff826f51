import { SAME_PLACE, toMillimetres } from '../measure/length.js';
import type { SetWall } from '../setout/wall.js';
import type { EndKind, RunEnds } from './ends.js';

export type Parity = 'odd' | 'even';

/**
 * The perps of one course of a run as if no opening broke it. A place `u` is the left edge of the piece that
 * starts there, so the last entry is the end of the course plus one joint. Pieces are `u[i]` to `u[i+1] − joint`.
 */
export interface PerpLine {
  u: number[];
  joint: number;
  /** The first or last piece belongs to the run round the corner: it only shows its end here. */
  shownAtStart: boolean;
  shownAtEnd: boolean;
}

interface Ends {
  start: EndKind;
  end: EndKind;
}

export interface HeadLimits {
  least: number;
  most: number;
}

export function headLimits(wall: SetWall): HeadLimits {
  return {
    least: Math.min(toMillimetres(wall.profile.head.least), wall.head),
    most: Math.max(toMillimetres(wall.profile.head.most), wall.head),
  };
}

/** A sawn piece thinner than this cannot be held or bedded: common practice. */
export const THINNEST_PIECE = 25;

interface Run {
  from: number;
  to: number;
}

const modulesOf = (wall: SetWall): { whole: number; half: number; shown: number } => ({
  whole: wall.unitLength + wall.head,
  half: wall.half + wall.head,
  shown: wall.unitWidth + wall.head,
});

/** Piece lengths of a course that divides into wholes and halves, or null when it does not at any joint allowed. */
function wholePieces(
  wall: SetWall,
  run: Run,
  ends: Ends,
  startsWhole: boolean,
): { pieces: number[]; joint: number } | null {
  const { whole, half, shown } = modulesOf(wall);
  const limits = headLimits(wall);
  const length = run.to - run.from;
  const left =
    ends.start === 'return' ? [wall.unitWidth] : ends.start === 'free' && !startsWhole ? [wall.half] : [];
  const right = ends.end === 'return' ? [wall.unitWidth] : [];
  const fixed =
    (ends.start === 'return' ? shown : left.length ? half : 0) + (ends.end === 'return' ? shown : 0);
  const inner = length + wall.head - fixed;
  // A free end may stop on a half; a corner may not.
  const step = ends.end === 'free' ? half : whole;
  const steps = Math.max(0, Math.round(inner / step));
  const halves = ends.end === 'free' ? steps % 2 : 0;
  const wholes = ends.end === 'free' ? (steps - halves) / 2 : steps;
  const middle = [...Array<number>(wholes).fill(wall.unitLength), ...Array<number>(halves).fill(wall.half)];
  const pieces = [...left, ...middle, ...right];
  const sum = pieces.reduce((a, b) => a + b, 0);
  if (pieces.length === 0) return null;
  if (pieces.length === 1) return Math.abs(sum - length) < SAME_PLACE ? { pieces, joint: wall.head } : null;
  const joint = (length - sum) / (pieces.length - 1);
  return joint >= limits.least - SAME_PLACE && joint <= limits.most + SAME_PLACE ? { pieces, joint } : null;
}

function fromPieces(run: Run, ends: Ends, pieces: number[], joint: number): PerpLine {
  const u = [run.from];
  let sum = run.from;
  for (const piece of pieces) u.push((sum += piece + joint));
  u[u.length - 1] = run.to + joint;
  return { u, joint, shownAtStart: ends.start === 'return', shownAtEnd: ends.end === 'return' };
}

/** Places from one end, every `whole`, the first at `offset`. */
const lattice = (from: number, offset: number, step: number, count: number): number[] =>
  Array.from({ length: Math.max(0, count) }, (_, k) => from + offset + k * step);

function splits(gap: number, whole: number, head: number): number[][] {
  if (gap <= whole + head) return [[gap]];
  const candidates = [
    [whole, gap - whole],
    [gap - whole, whole],
    [gap / 2, gap / 2],
    [0.75 * whole, gap - 0.75 * whole],
    [gap - 0.75 * whole, 0.75 * whole],
  ];
  return candidates.filter((c) => c.every((s) => s - head >= THINNEST_PIECE && s <= whole + SAME_PLACE));
}

/**
 * The ways one course can be laid at the nominal joint when its length does not divide: bond kept from both
 * corners, and the odd pieces where the two meet (`at`), or at a free end.
 */
function brokenLines(
  wall: SetWall,
  run: Run,
  ends: Ends,
  startsWhole: boolean,
  at: number,
  mayFollow: boolean,
): PerpLine[] {
  const { whole, half, shown } = modulesOf(wall);
  const end = run.to + wall.head;
  const startOffset = ends.start === 'return' ? shown : ends.start === 'free' && !startsWhole ? half : 0;
  const endOffset = ends.end === 'return' ? shown : 0;
  const make = (u: number[]): PerpLine => {
    const clean = u.filter((x, i) => i === 0 || x - (u[i - 1] ?? 0) > SAME_PLACE);
    return {
      u: clean,
      joint: wall.head,
      shownAtStart: ends.start === 'return',
      shownAtEnd: ends.end === 'return',
    };
  };
  const fromStart = lattice(run.from, startOffset, whole, Math.ceil((end - run.from - startOffset) / whole));
  const lead = startOffset > 0 ? [run.from] : [];
  if (ends.end === 'free') {
    return [make([...lead, ...fromStart.filter((x) => x < end - SAME_PLACE), end])];
  }
  const backwards = lattice(
    end,
    -endOffset,
    -whole,
    Math.ceil((end - run.from - endOffset) / whole),
  ).reverse();
  const tail = endOffset > 0 ? [end] : [];
  // A course that only has to follow may let the corner rule, and stand what is left over at the free end.
  const kept = backwards.filter((x) => x > run.from + wall.head + THINNEST_PIECE);
  const led = ends.start === 'free' && mayFollow ? [make([run.from, ...kept, ...tail])] : [];
  const last = Math.max(run.from + startOffset, ...fromStart.filter((x) => x <= at));
  const first = backwards.find((x) => x >= last + whole - SAME_PLACE) ?? end - endOffset;
  const before = [...lead, ...fromStart.filter((x) => x <= last + SAME_PLACE)];
  const after = [...backwards.filter((x) => x >= first - SAME_PLACE), ...tail];
  const gap = first - last;
  if (!(gap > SAME_PLACE)) return [...led, make([...new Set([...before, ...after])].sort((a, b) => a - b))];
  const broken = splits(gap, whole, wall.head).map((slots) => {
    let x = last;
    const inner = slots.slice(0, -1).map((s) => (x += s));
    return make([...before, ...inner, ...after]);
  });
  return [...led, ...broken];
}

const lapsUnder = (a: PerpLine, b: PerpLine, least: number, end: number): number => {
  let count = 0;
  let j = 0;
  for (const x of a.u) {
    while (j < b.u.length - 1 && (b.u[j] ?? 0) < x - least) j++;
    const near = b.u[j];
    if (near === undefined || x < least || x > end - least) continue;
    if (Math.abs(near - x) < least - SAME_PLACE) count++;
  }
  return count;
};

export interface RunLines {
  odd: PerpLine;
  even: PerpLine;
}

/**
 * The perps of a run's odd and even courses. Joints are eased when that lets every course stand in wholes and
 * halves; otherwise bond is kept from the corners and the pair of breaks that laps best is chosen.
 */
export function perpLines(wall: SetWall, index: number, ends: RunEnds, startsWholeOnOdd: boolean): RunLines {
  const length = wall.runs[index]?.length ?? 0;
  const run: Run = { from: -ends.start.past, to: length + ends.end.past };
  const both = (p: Parity): Ends => ({ start: ends.start[p], end: ends.end[p] });
  const odd = wholePieces(wall, run, both('odd'), startsWholeOnOdd);
  const even = wholePieces(wall, run, both('even'), !startsWholeOnOdd);
  // Eased alike, or the perps of alternate courses would drift out of plumb along the run.
  if (odd && even && Math.abs(odd.joint - even.joint) * odd.pieces.length <= wall.head + SAME_PLACE) {
    return {
      odd: fromPieces(run, both('odd'), odd.pieces, odd.joint),
      even: fromPieces(run, both('even'), even.pieces, even.joint),
    };
  }
  const at = breakPlace(wall, index, run);
  const least = toMillimetres(wall.profile.leastLap(wall.unit));
  const leastPiece = toMillimetres(wall.profile.leastPiece(wall.unit));
  let best: RunLines | null = null;
  let bestCost = Infinity;
  for (const a of brokenLines(wall, run, both('odd'), startsWholeOnOdd, at, false)) {
    for (const b of brokenLines(wall, run, both('even'), !startsWholeOnOdd, at + wall.unitLength / 2, true)) {
      const slivers = [a, b].flatMap((l) =>
        l.u.slice(1).filter((x, i) => x - (l.u[i] ?? 0) - l.joint < leastPiece - SAME_PLACE),
      );
      const cost = lapsUnder(a, b, least, length) * 50 + slivers.length * 30 + (a.u.length + b.u.length) * 10;
      if (cost < bestCost - 1e-9) [best, bestCost] = [{ odd: a, even: b }, cost];
    }
  }
  const whole = (p: Parity): PerpLine => ({
    u: [run.from, run.to + wall.head],
    joint: wall.head,
    shownAtStart: both(p).start === 'return',
    shownAtEnd: both(p).end === 'return',
  });
  return best ?? { odd: whole('odd'), even: whole('even') };
}

/** A break hides best in an opening; without one it goes in mid-panel, never beside a corner. */
function breakPlace(wall: SetWall, index: number, run: Run): number {
  const widest = wall.openings
    .filter((o) => o.run === index)
    .sort((a, b) => b.to - b.from - (a.to - a.from))[0];
  return widest ? (widest.from + widest.to) / 2 - wall.unitLength / 2 : (run.from + run.to) / 2;
}
