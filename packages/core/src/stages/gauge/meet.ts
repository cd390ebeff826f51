import { Heap } from '../../measure/heap.js';
import { SAME_PLACE } from '../../measure/length.js';
import type { GaugeWeights } from '../../tables/weights.js';
import type { BedLimits } from './courses.js';
import type { Fixed } from './fixed.js';
import { nearestPoint, type Constraint } from './project.js';

/** What the courses must do, in millimetres. `heights` ascends and ends with the top. */
export interface MeetProblem {
  weights: GaugeWeights;
  unitHeight: number;
  /** Height of a half-high unit where one course of it may be used, else null. */
  halfHigh: number | null;
  /** Heights one course may be sawn to, else null. */
  sawn: { least: number; most: number } | null;
  bed: number;
  /** Beds a mason accepts gladly, and those he accepts where nobody will see them. */
  limits: BedLimits;
  outer: BedLimits;
  /** Up to here ground, a skirting or a finish hides the beds: there they have the outer limits, and cost nothing. */
  hiddenTo: number;
  /** Largest change from one bed to the next at this height. Bed 1 has its own limits and is left out. */
  change: (height: number) => number;
  heights: readonly Fixed[];
}

export interface MetCourse {
  bed: number;
  unitHeight: number;
  kind: 'whole' | 'half-high' | 'sawn';
}

/** `best`: proved least; `none`: nothing keeps every must; `stopped`: given up, with the best so far if any, and its bound. */
export interface MeetSolution {
  status: 'best' | 'none' | 'stopped';
  courses: MetCourse[];
  cost: number;
  bound: number;
  missed: Fixed[];
}

/** Ways of dividing the height tried before giving up: far more than a wall of ten fixed heights needs. */
const MOST_TRIED = 4000;
/** Ways held open before giving up: wide tolerances make so many that memory is the bound. */
const MOST_OPEN = 200_000;
/** Work put into beds before giving up, in courses cubed, which is what the least squares of one way cost. */
const MOST_SOLVED = 2e9;

interface Part {
  /** Fixed heights it runs between; 0 is the base, so place j is `heights[j − 1]`. */
  from: number;
  to: number;
  whole: number;
  half: number;
  sawn: number;
  /** Its lowest beds that nobody will see. */
  hidden: number;
  /** No way through it can cost less. */
  cost: number;
}

/** The parts taken so far, the last of them first. */
interface Path {
  at: number;
  part: Part | null;
  before: Path | null;
  half: number;
  sawn: number;
  /** What its parts cost at least, and with them the least the rest of the height can. */
  spent: number;
  cost: number;
}

function partsOf(path: Path): Part[] {
  const parts: Part[] = [];
  for (let p: Path | null = path; p; p = p.before) if (p.part) parts.push(p.part);
  return parts.reverse();
}

const clamp = (x: number, least: number, most: number): number => Math.min(Math.max(x, least), most);

const window = (p: MeetProblem, place: number): { least: number; most: number } => {
  const h = p.heights[place - 1];
  return h ? { least: h.at - h.tolerance, most: h.at + h.tolerance } : { least: 0, most: 0 };
};

/** Least and most the beds of a part can add up to, the lowest `hidden` of them out of sight. */
function bedSums(p: MeetProblem, n: number, first: boolean, hidden: number): { least: number; most: number } {
  const rest = first ? n - 1 : n;
  const out = Math.min(Math.max(0, hidden - (first ? 1 : 0)), rest);
  return {
    least: (first ? p.limits.firstLeast : 0) + (rest - out) * p.limits.least + out * p.outer.least,
    most: (first ? p.limits.firstMost : 0) + (rest - out) * p.limits.most + out * p.outer.most,
  };
}

/** The least that so much over the targets can cost: what hidden beds can take, they take. */
function leastSquares(p: MeetProblem, over: number, n: number, hidden: number): number {
  const { limits, outer, bed } = p;
  const most = Math.max(outer.most, limits.firstMost) - bed;
  const least = bed - Math.min(outer.least, limits.firstLeast);
  const left = Math.max(0, Math.abs(over) - hidden * (over > 0 ? most : least));
  return left === 0 ? 0 : left ** 2 / Math.max(1, n - hidden);
}

/** Every way to fill the wall between two fixed heights, with the least each can cost. */
function partsBetween(p: MeetProblem, from: number, to: number): Part[] {
  const [a, b] = [window(p, from), window(p, to)];
  const [least, most] = [b.least - a.most, b.most - a.least];
  const missed = p.heights.slice(from, to - 1).length * p.weights.openingOffCourse;
  const list: Part[] = [];
  const hides = Math.floor(Math.max(0, p.hiddenTo - a.least) / (p.unitHeight + p.bed) + SAME_PLACE);
  for (let half = 0; half <= (p.halfHigh === null ? 0 : 1); half++) {
    for (let sawn = 0; sawn <= (p.sawn === null ? 0 : 1); sawn++) {
      const fewest = Math.floor(
        (least -
          half * ((p.halfHigh ?? 0) + p.outer.most) -
          sawn * ((p.sawn?.most ?? 0) + p.outer.most) -
          p.limits.firstMost) /
          (p.unitHeight + p.outer.most),
      );
      const greatest = Math.ceil(most / (p.unitHeight + p.outer.least));
      for (let whole = Math.max(0, fewest); whole <= greatest; whole++) {
        const n = whole + half + sawn;
        if (n === 0) continue;
        const units = whole * p.unitHeight + half * (p.halfHigh ?? 0);
        const room = {
          least: least - units - sawn * (p.sawn?.most ?? 0),
          most: most - units - sawn * (p.sawn?.least ?? 0),
        };
        const hidden = Math.min(n, hides);
        const sums = bedSums(p, n, from === 0, hidden);
        if (!(sums.least <= room.most + SAME_PLACE && sums.most >= room.least - SAME_PLACE)) continue;
        const total = clamp(n * p.bed, room.least, room.most);
        const cost =
          leastSquares(p, total - n * p.bed, n, hidden) +
          half * p.weights.halfHighCourse +
          sawn * p.weights.cutCourse +
          missed;
        list.push({ from, to, whole, half, sawn, hidden, cost });
      }
    }
  }
  return list;
}

/** How much of what is left a sawn height, or a hidden bed, weighs against one that shows: nothing, enough to have one answer. */
const SAWN_SCALE = 1e-4;
const HIDDEN_SCALE = 1e-3;

/** The beds of one way of dividing the height: least squares, exact, or null when no beds keep to it. */
function bedsOf(p: MeetProblem, parts: readonly Part[]): MetCourse[] | null {
  const kinds: MetCourse['kind'][] = [];
  const hidden: boolean[] = [];
  const levels: number[] = [];
  const marks: { to: number; place: number }[] = [];
  for (const part of parts) {
    const n = part.whole + part.half + part.sawn;
    const [low, high] = [window(p, part.from), window(p, part.to)];
    const [base, pitch] = [low.least, (high.least - low.least) / n];
    // The odd course goes lowest of its stretch.
    for (let k = 0; k < n; k++) {
      kinds.push(k < part.sawn ? 'sawn' : k < part.sawn + part.half ? 'half-high' : 'whole');
      hidden.push(k < part.hidden);
      levels.push(base + (k + 1) * pitch);
    }
    marks.push({ to: kinds.length, place: part.to });
  }
  const n = kinds.length;
  const cut = kinds.indexOf('sawn');
  const middle = p.sawn ? (p.sawn.least + p.sawn.most) / 2 : 0;
  const scale = hidden.map((h) => (h ? HIDDEN_SCALE : 1));
  const bedAt = (k: number): number => 1 / (scale[k] ?? 1);
  const constraints: Constraint[] = [];
  const between = (terms: [number, number][], least: number, most: number): void => {
    constraints.push({ terms, least });
    constraints.push({ terms: terms.map(([i, a]) => [i, -a] as const), least: -most });
  };
  for (const { to, place } of marks) {
    const { least, most } = window(p, place);
    const units = kinds
      .slice(0, to)
      .reduce(
        (sum, k) => sum + (k === 'whole' ? p.unitHeight : k === 'half-high' ? (p.halfHigh ?? 0) : 0),
        0,
      );
    const terms: [number, number][] = Array.from({ length: to }, (_, i) => [i, bedAt(i)]);
    if (cut >= 0 && cut < to) terms.push([n, 1 / SAWN_SCALE]);
    between(terms, least - units, most - units);
  }
  kinds.forEach((_, k) => {
    if (k === 0) return between([[0, bedAt(0)]], p.limits.firstLeast, p.limits.firstMost);
    const of = hidden[k] ? p.outer : p.limits;
    between([[k, bedAt(k)]], of.least, of.most);
    const change = p.change(levels[k - 1] ?? 0);
    if (k > 1 && change < Infinity)
      between(
        [
          [k, bedAt(k)],
          [k - 1, -bedAt(k - 1)],
        ],
        -change,
        change,
      );
  });
  if (cut >= 0 && p.sawn) between([[n, 1 / SAWN_SCALE]], p.sawn.least, p.sawn.most);
  const from = [...scale.map((by) => p.bed * by), ...(cut >= 0 ? [middle * SAWN_SCALE] : [])];
  const x = nearestPoint(from, constraints);
  if (!x) return null;
  return kinds.map((kind, k) => ({
    kind,
    bed: (x[k] ?? p.bed) * bedAt(k),
    unitHeight:
      kind === 'whole' ? p.unitHeight : kind === 'half-high' ? (p.halfHigh ?? 0) : (x[n] ?? 0) / SAWN_SCALE,
  }));
}

/** Beds that show, squared off their target; hidden ones as little as they weigh. */
function sumSquares(courses: readonly MetCourse[], parts: readonly Part[], bed: number): number {
  let k = 0;
  return parts.reduce((sum, part) => {
    const n = part.whole + part.half + part.sawn;
    const own = courses.slice(k, (k += n));
    return own.reduce((s, c, i) => s + ((c.bed - bed) * (i < part.hidden ? HIDDEN_SCALE : 1)) ** 2, sum);
  }, 0);
}

/**
 * A gauge for each stretch between fixed heights, best for the stated costs: Σ (bed − target)² of beds that show and a step for a
 * sawn or half-high course, a wish not met. Ways of dividing the height are
 * taken in order of the least they can cost, and each is solved exactly; the first that costs no more than the
 * next could is the best there is. At most one half-high and one sawn course. Deterministic.
 */
export function meetHeights(p: MeetProblem): MeetSolution {
  const top = p.heights.length;
  const parts = new Map<number, Part[]>();
  const rest = Array<number>(top + 1).fill(Infinity);
  rest[top] = 0;
  for (let from = top - 1; from >= 0; from--) {
    const list: Part[] = [];
    for (let to = from + 1; to <= top; to++) {
      list.push(...partsBetween(p, from, to));
      if (p.heights[to - 1]?.must) break;
    }
    parts.set(from, list);
    rest[from] = Math.min(Infinity, ...list.map((part) => part.cost + (rest[part.to] ?? Infinity)));
  }
  const [paths, costs]: [Path[], number[]] = [[], []];
  const open = new Heap(costs, 'earlier');
  const hold = (path: Path): void => {
    costs.push(path.cost);
    open.push(paths.push(path) - 1);
  };
  hold({ at: 0, part: null, before: null, half: 0, sawn: 0, spent: 0, cost: rest[0] ?? Infinity });
  let best: MeetSolution | null = null;
  let solved = 0;
  for (let tried = 0; open.size > 0; tried++) {
    const path = paths[open.pop()] as Path;
    if (path.cost === Infinity || (best && path.cost >= best.cost - 1e-9)) break;
    if (tried >= MOST_TRIED || paths.length > MOST_OPEN || solved > MOST_SOLVED)
      return { ...(best ?? none(path.cost)), status: 'stopped', bound: path.cost };
    if (path.at === top) {
      const way = partsOf(path);
      solved += way.reduce((sum, part) => sum + part.whole + part.half + part.sawn, 0) ** 3;
      const courses = bedsOf(p, way);
      if (!courses) continue;
      const steps = way.reduce(
        (sum, part) =>
          sum +
          part.half * p.weights.halfHighCourse +
          part.sawn * p.weights.cutCourse +
          (part.to - part.from - 1) * p.weights.openingOffCourse,
        0,
      );
      const cost = steps + sumSquares(courses, way, p.bed);
      if (best && cost >= best.cost - 1e-9) continue;
      const kept = new Set(way.map((part) => part.to));
      const missed = p.heights.filter((_, i) => !kept.has(i + 1));
      best = { status: 'best', courses, cost, bound: cost, missed };
      continue;
    }
    for (const part of parts.get(path.at) ?? []) {
      const [half, sawn] = [path.half + part.half, path.sawn + part.sawn];
      if (half > 1 || sawn > 1) continue;
      const spent = path.spent + part.cost;
      const cost = spent + (rest[part.to] ?? Infinity);
      if (cost < Infinity) hold({ at: part.to, part, before: path, half, sawn, spent, cost });
    }
  }
  return best ?? none(Infinity);
}

const none = (bound: number): MeetSolution => ({
  status: 'none',
  courses: [],
  cost: Infinity,
  bound,
  missed: [],
});
