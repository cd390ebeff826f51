import { SAME_PLACE, toMillimetres } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import {
  headLimits,
  leastPieceOf,
  THINNEST_PIECE,
  type PerpLine,
  type RunLines,
  type Span,
} from './lines.js';
import { lapsUnder } from './pairs.js';
import type { SlotRules } from './slots.js';

/** How many courses of each line of a period stand in a length of wall, and how often one lies over the next. */
export interface Counts {
  courses: readonly number[];
  meets: number;
}

/** `courses` of them, one line after another. */
export function countsOf(courses: number, period: number): Counts {
  const of = (i: number): number => Math.max(0, Math.ceil((courses - i) / period));
  return { courses: Array.from({ length: period }, (_, i) => of(i)), meets: Math.max(0, courses - 1) };
}

/** What the pieces and joints of this wall come to in a bond's cost: the same object for walls that are priced alike. */
export function slotRules(wall: SetWall): SlotRules {
  let rules = rulesOf.get(wall);
  if (!rules) {
    const own = ownRules(wall);
    const key = JSON.stringify(own);
    rules = alike.get(key) ?? own;
    if (alike.size >= MOST_ALIKE) alike.clear();
    alike.set(key, rules);
    rulesOf.set(wall, rules);
  }
  return rules;
}

// A wall is read and never changed once it is set out, so what follows from it may be kept beside it.
const rulesOf = new WeakMap<SetWall, SlotRules>();
const alike = new Map<string, SlotRules>();
const MOST_ALIKE = 500;

function ownRules(wall: SetWall): SlotRules {
  const limits = headLimits(wall);
  const w = wall.weights.bond;
  return {
    whole: wall.unitLength,
    half: wall.half,
    halfBought: wall.unit.halves === 'bought',
    joint: wall.head,
    ...limits,
    leastPiece: leastPieceOf(wall),
    thinnest: Math.min(THINNEST_PIECE, wall.half),
    leastLap: toMillimetres(wall.profile.leastLap(wall.unit)),
    stacked: wall.bond.step === 0,
    cost: {
      cut: w.cutPiece,
      short: w.pieceUnderLeast,
      lap: w.lapUnderRule,
      size: w.distinctCutSize,
      joint: w.headJointSquared,
    },
  };
}

/** Everything a length of bond follows from but its line and its ends, as a short name: what is kept is found again by it. */
export function bondKey(wall: SetWall): string {
  let name = keys.get(wall);
  if (name === undefined) {
    const all = JSON.stringify([slotRules(wall), wall.unitWidth, wall.bond.id, wall.wythes, wall.closers]);
    name = names.get(all) ?? `b${++named}`;
    if (names.size >= MOST_ALIKE) names.clear();
    names.set(all, name);
    keys.set(wall, name);
  }
  return name;
}

const keys = new WeakMap<SetWall, string>();
/** Counted on for ever, so that no name means two things. */
let named = 0;
const names = new Map<string, string>();

/** The lengths of a course's own pieces: ends of other runs' units left out. */
const ownLengths = (l: PerpLine): number[] =>
  l.u
    .slice(1)
    .map((x, i) => x - (l.u[i] ?? 0) - l.joint)
    .slice(l.shownAtStart ? 1 : 0, l.shownAtEnd ? -1 : undefined);

/** What one course of a line costs of itself, and the sizes it has sawn. */
export function lineCost(wall: SetWall, l: PerpLine, sizes = new Set<number>()): number {
  const r = slotRules(wall);
  let cost = 0;
  for (const length of ownLengths(l)) {
    if (length < r.leastPiece - SAME_PLACE) cost += r.cost.short;
    if (Math.abs(length - r.whole) < SAME_PLACE) continue;
    if (r.halfBought && Math.abs(length - r.half) < SAME_PLACE) continue;
    cost += r.cost.cut;
    sizes.add(Math.round(length));
  }
  const off = l.joint - wall.head;
  const room = off > 0 ? r.most - r.joint : r.joint - r.least;
  if (Math.abs(off) > SAME_PLACE)
    cost += (l.u.length - 2) * r.cost.joint * (off / Math.max(room, SAME_PLACE)) ** 2;
  return cost;
}

/** What the lines of a length of wall cost in all its courses: pieces, joints, laps under the rule and sizes to saw. */
export function linesCost(wall: SetWall, lines: RunLines, span: Span, counts: Counts): number {
  const least = toMillimetres(wall.profile.leastLap(wall.unit));
  const sizes = new Set<number>();
  let cost = 0;
  lines.forEach((l, i) => {
    cost += (counts.courses[i] ?? 0) * lineCost(wall, l, sizes);
    const above = lines[(i + 1) % lines.length];
    if (above && wall.bond.step !== 0)
      cost +=
        (counts.meets / lines.length) * lapsUnder(l, above, least, span) * wall.weights.bond.lapUnderRule;
  });
  return cost + sizes.size * wall.weights.bond.distinctCutSize;
}
