import { metres, millimetres } from '../measure/length.js';

/** What a job file may hold at most. From the contract. */
export const LIMITS = {
  bytes: 5 * 1024 * 1024,
  nesting: 64,
  run: metres(1000),
  height: metres(100),
  units: 1_000_000,
  joint: millimetres(100),
  /** Air bricks or vents of one entry. */
  fittings: 1000,
} as const;
