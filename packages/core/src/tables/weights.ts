import type { Message } from '../messages/message.js';
import { TABLE } from './messages.js';
/** What each thing costs a bond; a job may weigh them otherwise. */
export interface BondWeights {
  cutPiece: number;
  pieceUnderLeast: number;
  perpOffItsLine: number;
  lapUnderRule: number;
  distinctCutSize: number;
  headJointSquared: number;
  movedMust: number;
  barBroken: number;
  starterBlocked: number;
}

/** The cost of a bond: one table, shown to the user. Values as the project's own rule, not from a standard. */
export const BOND_WEIGHTS: BondWeights = {
  cutPiece: 10,
  pieceUnderLeast: 30,
  perpOffItsLine: 5,
  lapUnderRule: 50,
  distinctCutSize: 2,
  headJointSquared: 1,
  /** Moving an opening that must stand where it is drawn is somebody else’s decision. */
  movedMust: 40,
  /** A bar that cannot go up where it belongs: reinforced block is begun so that its bars and jambs come right. */
  barBroken: 60,
  starterBlocked: 60,
};

/** What each thing costs a gauge, besides the square of each bed's distance from its target in mm. */
export interface GaugeWeights {
  bedOutside: number;
  cutCourse: number;
  movedFooting: number;
  halfHighCourse: number;
  openingOffCourse: number;
  movedOpening: number;
  changedHeight: number;
}

/** The cost of a gauge: large steps keep the order a mason would weigh them in. */
export const GAUGE_WEIGHTS: GaugeWeights = {
  /** For each bed outside the limits. */
  bedOutside: 50_000,
  /** For every sawn course: it cuts every unit of a row. */
  cutCourse: 20_000,
  movedFooting: 10_000,
  /** Another unit to order, and a row that looks different. */
  halfHighCourse: 15_000,
  /** For each height of sills and heads that no longer falls on a course: a row is sawn to it. */
  openingOffCourse: 3_000,
  /** For each opening that may move and is brought to the courses. */
  movedOpening: 500,
  /** Changing what was asked for is somebody else's decision. */
  changedHeight: 12_000,
};

/** The same in a mason's words, for the table on the screen. */
export const WEIGHT_NAMES: {
  bond: Record<keyof BondWeights, Message>;
  gauge: Record<keyof GaugeWeights, Message>;
} = {
  bond: {
    cutPiece: TABLE['a-piece-sawn'](),
    pieceUnderLeast: TABLE['a-piece-too-short'](),
    perpOffItsLine: TABLE['a-perp-off-its'](),
    lapUnderRule: TABLE['a-lap-under-the'](),
    distinctCutSize: TABLE['another-size-to-saw'](),
    headJointSquared: TABLE['a-head-joint-eased'](),
    movedMust: TABLE['an-opening-moved-that'](),
    barBroken: TABLE['a-bar-that-cannot'](),
    starterBlocked: TABLE['a-starter-under-a'](),
  },
  gauge: {
    bedOutside: TABLE['a-bed-outside-its'](),
    cutCourse: TABLE['a-course-sawn'](),
    movedFooting: TABLE['the-footing-moved'](),
    halfHighCourse: TABLE['a-half-high-course'](),
    openingOffCourse: TABLE['a-sill-or-head'](),
    movedOpening: TABLE['an-opening-moved-to'](),
    changedHeight: TABLE['the-height-changed'](),
  },
};
