import { toMillimetres, type Mm } from '../../measure/length.js';
import { stated } from '../../job/stated.js';
import { behindFace, findUnit } from '../../job/units.js';
import type { JobDocument, Stated, Wall } from '../../job/types.js';
import type { TieKind } from '../../tables/ties.js';

/** The cavity behind an outer leaf and what stands behind that, mm. */
export interface SetCavity {
  unit: string;
  width: Mm;
  board: Mm;
  /** Both leaves and the cavity. */
  overall: Mm;
}

/** What is said of the ties between two leaves; null where the profile's rule decides, mm. */
export interface SetTies {
  kind: TieKind | null;
  across: Mm | null;
  up: Mm | null;
}

/** Where in the file something is said of the spacing of ties, so that it can be forgotten. */
export const tiesStated = ({ build }: Wall): string[] =>
  [
    build.ties?.across === undefined ? '' : 'ties/across',
    build.ties?.up === undefined ? '' : 'ties/up',
    build.cavity?.across === undefined ? '' : 'cavity/across',
    build.cavity?.up === undefined ? '' : 'cavity/up',
  ].filter(Boolean);

/** Spacings stated with the cavity, or with the ties themselves. */
export function tiesOf({ build }: Wall): SetTies {
  const mm = (l: Stated | undefined): Mm | null => (l === undefined ? null : toMillimetres(stated(l)));
  return {
    kind: build.ties?.kind ?? null,
    across: mm(build.ties?.across ?? build.cavity?.across),
    up: mm(build.ties?.up ?? build.cavity?.up),
  };
}

export function cavityOf(job: JobDocument, wall: Wall, outer: number): SetCavity | null {
  const cavity = behindFace(wall.build);
  const unit = cavity && findUnit(job, cavity.inner);
  if (!cavity || !unit) return null;
  const width = toMillimetres(stated(cavity.width));
  return {
    unit: unit.id,
    width,
    board: toMillimetres(stated(cavity.board ?? 0)),
    overall: outer + width + toMillimetres(unit.width),
  };
}

/** The damp-proof course lies at least so far above the ground, mm: 150 (6 in), PD 6697, from memory. */
const DPC_UP = 150;

/** So high the damp-proof course of a cavity lies at least, mm above the wall's base: over the highest ground stated. */
export function dpcOver(job: JobDocument, { build, base }: Wall): Mm | null {
  if (!behindFace(build)) return null;
  const grounds = (job.site?.points ?? [])
    .filter((p) => p.is === 'ground')
    .map((p) => toMillimetres(stated(p.level)) - toMillimetres(stated(base ?? 0)));
  return Math.max(0, ...grounds) + DPC_UP;
}
