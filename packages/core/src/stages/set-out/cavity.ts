import { toMillimetres, type Mm } from '../../measure/length.js';
import { stated } from '../../job/stated.js';
import { findUnit } from '../../job/units.js';
import type { JobDocument, Wall } from '../../job/types.js';

/** The cavity behind an outer leaf and what stands behind that, mm. */
export interface SetCavity {
  unit: string;
  width: Mm;
  board: Mm;
  across: Mm;
  up: number;
  /** Both leaves and the cavity. */
  overall: Mm;
}

/** Ties, mm: 900 along and 450 up, staggered, 2.5 a square metre (PD 6697, from memory). */
const ACROSS = 900;
const UP = 450;

export function cavityOf(job: JobDocument, wall: Wall, outer: number): SetCavity | null {
  const { cavity } = wall.build;
  const unit = cavity && findUnit(job, cavity.inner);
  if (!cavity || !unit) return null;
  const width = toMillimetres(stated(cavity.width));
  return {
    unit: unit.id,
    width,
    board: toMillimetres(stated(cavity.board ?? 0)),
    across: toMillimetres(stated(cavity.across ?? ACROSS)),
    up: toMillimetres(stated(cavity.up ?? UP)),
    overall: outer + width + toMillimetres(unit.width),
  };
}
