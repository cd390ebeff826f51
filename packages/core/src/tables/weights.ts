/** The cost of a bond: one table, shown to the user. Values as the project's own rule, not from a standard. */
export const BOND_WEIGHTS = {
  cutPiece: 10,
  pieceUnderLeast: 30,
  perpOffItsLine: 5,
  lapUnderRule: 50,
  distinctCutSize: 2,
  headJointSquared: 1,
  /** Moving an opening that must stand where it is drawn is somebody else’s decision. */
  movedMust: 40,
} as const;

/** The cost of a gauge: large steps keep the order a mason would weigh them in. */
export const GAUGE_WEIGHTS = {
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
} as const;
