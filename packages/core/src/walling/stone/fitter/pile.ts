import type { Mm } from '../../../measure/length.js';

/** A measured stone: its length and depth are its two longer ways, whichever is laid along the face. */
export interface PileStone {
  id: string;
  length: Mm;
  height: Mm;
  depth: Mm;
  /** So many alike; left out: one. */
  count?: number;
}

/** An opening in the stretch: from its start along, and from its foot up. */
export interface Around {
  from: Mm;
  to: Mm;
  bottom: Mm;
  top: Mm;
}

/** What a pile is laid into, and how well. */
export interface FitAsk {
  pile: readonly PileStone[];
  length: Mm;
  height: Mm;
  /** As deep as the wall is from its face inwards: no stone goes further. */
  depth: Mm;
  joint: Mm;
  /** By how much a joint is to stand beside the one under it, at least. */
  lap: Mm;
  /** By how much tops of one course may differ and still be bedded over. */
  tops: Mm;
  /** No piece shorter than this is laid. */
  least: Mm;
  /** Openings that are laid round; left out: none. */
  around?: readonly Around[];
}

/** A stone as it lies. */
export interface LaidStone {
  stone: string;
  /** From the start of the stretch, along the face, and how much of it shows there. */
  at: Mm;
  length: Mm;
  height: Mm;
  /** How far it goes in. */
  depth: Mm;
  /** Its long way goes in. */
  longIn: boolean;
  /** What is dressed off its end and off its top. */
  offEnd: Mm;
  offTop: Mm;
}

export interface LaidCourse {
  bottom: Mm;
  height: Mm;
  stones: LaidStone[];
  /** What is left open at its ends, for lack of stone: to be bought. */
  open: Mm;
  /** And under a sill and over a head that it does not meet, mm². */
  lost: number;
}

/** A lay, and what is to be said for and against it. */
export interface Lay {
  courses: LaidCourse[];
  /** Joints that stand nearer over another than the lap. */
  uncrossed: number;
  /** Pieces shorter than the least. */
  slivers: number;
  /** Dressed off, and to be bought for what stays open: areas of the face, mm². */
  dressed: number;
  open: number;
  /** Laid along the face although their long way would go in. */
  traced: number;
  /** Courses of heavier stone than the one under them, as a part of its volume: big lies low. */
  topHeavy: number;
  /** Over when it is done. */
  unused: string[];
  cost: number;
}

/** What one of each costs against a square metre dressed away: a joint that is not crossed is not bought with any dressing. */
export const COSTS = {
  uncrossed: 20,
  sliver: 20,
  dressed: 1,
  open: 4,
  traced: 0.05,
  topHeavy: 0.2,
} as const;

export const costOf = (lay: Omit<Lay, 'cost' | 'courses' | 'unused'>): number =>
  COSTS.uncrossed * lay.uncrossed +
  COSTS.sliver * lay.slivers +
  (COSTS.dressed * lay.dressed + COSTS.open * lay.open) / 1e6 +
  COSTS.traced * lay.traced +
  COSTS.topHeavy * lay.topHeavy;
