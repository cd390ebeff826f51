import { metres, millimetres } from '../measure/length.js';

/** What a job file may hold at most. From the contract. */
export const LIMITS = {
  bytes: 5 * 1024 * 1024,
  nesting: 64,
  run: metres(1000),
  height: metres(100),
  units: 1_000_000,
  joint: millimetres(100),
  /** Air bricks and vents of one wall. */
  fittings: 1000,
  /** Bars that one length of wall is lapped of. */
  lapped: 1000,
  /** Things stated of one wall: past any wall there is, and few enough to be planned while somebody waits. */
  line: 400,
  openings: 500,
  heights: 200,
  tops: 200,
  vents: 100,
  piers: 100,
  joints: 500,
  pieces: 1000,
  /** Measured stones of a job, and posts of a wall. */
  pile: 500,
  posts: 100,
  cells: 5000,
  /** The same of all walls of a job together. */
  job: { openings: 2000, line: 2000 },
} as const;
