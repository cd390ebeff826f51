import type { BondedRun } from '../../walling/units/laying/bond.js';
import type { RunEnd } from '../../walling/units/lines/ends.js';
import type { Piece, Row } from '../../walling/units/laying/row.js';
import type { Course } from '../gauge/courses.js';
import type { SetCellChange, SetJoint, SetOpening, SetWall } from '../set-out/wall.js';
import type { RunCells } from './shafts.js';
import type { Beam } from './horizontal.js';
import type { Spacing } from './spacing.js';
import type { Verticals } from './vertical.js';

/**
 * A wall as it was planned before. An edit touches one run of it, or none: the cells and bars of the others are taken
 * over as they were. What is taken over is what would be worked out again, piece by piece.
 */
export interface Before {
  wall: SetWall;
  runs: readonly BondedRun[];
  courses: readonly Course[];
  cells: readonly RunCells[];
  verticals: readonly Verticals[];
  beams: readonly Beam[];
}

/** All that cells and bars read of a wall but the spacing, and what hangs on one run of it. */
const sameWall = (a: SetWall, b: SetWall): boolean =>
  a.unitLength === b.unitLength &&
  a.unitWidth === b.unitWidth &&
  a.half === b.half &&
  a.head === b.head &&
  (a.unit === b.unit || JSON.stringify(a.unit) === JSON.stringify(b.unit));

const sameCourses = (a: readonly Course[], b: readonly Course[]): boolean =>
  a.length === b.length &&
  a.every((c, i) => {
    const d = b[i];
    return c.number === d?.number && c.bottom === d.bottom && c.top === d.top;
  });

const samePiece = (a: Piece, b: Piece): boolean =>
  a.from === b.from &&
  a.to === b.to &&
  (a.kind === 'header') === (b.kind === 'header') &&
  (a.band === null) === (b.band === null) &&
  a.fitting === b.fitting &&
  a.special === b.special &&
  a.turned === b.turned &&
  (a.rake === undefined) === (b.rake === undefined);

const sameSpans = (a: readonly { from: number; to: number }[], b: typeof a): boolean =>
  a.length === b.length && a.every((s, i) => s.from === b[i]?.from && s.to === b[i]?.to);

function sameRow(a: Row, b: Row): boolean {
  if (a.pieces.length !== b.pieces.length || a.bareStart !== b.bareStart || a.bareEnd !== b.bareEnd)
    return false;
  for (let i = 0; i < a.pieces.length; i++)
    if (!samePiece(a.pieces[i] as Piece, b.pieces[i] as Piece)) return false;
  return sameSpans(a.bedded, b.bedded) && sameSpans(a.shown ?? [], b.shown ?? []);
}

/** Whether two runs have the same rows in the same order: rows that serve many courses are looked at once. */
function sameRows(a: BondedRun, b: BondedRun): boolean {
  if (a.rows === b.rows) return true;
  if (a.rows.length !== b.rows.length) return false;
  const pairs = new Map<Row, Row>();
  return a.rows.every((row, i) => {
    const other = b.rows[i] as Row;
    const known = pairs.get(row);
    if (known) return known === other;
    pairs.set(row, other);
    return sameRow(row, other);
  });
}

const sameEnd = (a: RunEnd, b: RunEnd): boolean =>
  (a.other === null) === (b.other === null) && (a.legs === null) === (b.legs === null) && a.shows === b.shows;

/** Whether the same courses show the other run's unit at each end. */
const sameLines = (a: BondedRun, b: BondedRun): boolean =>
  a.lines.length === b.lines.length &&
  a.lines.every(
    (l, i) => l.shownAtStart === b.lines[i]?.shownAtStart && l.shownAtEnd === b.lines[i]?.shownAtEnd,
  );

/** Whether what hangs on one run is the same in two lists that go on over every run of a wall. */
function sameOn<T extends { run: number }>(
  a: readonly T[],
  b: readonly T[],
  run: number,
  same: (p: T, q: T) => boolean,
): boolean {
  let k = 0;
  for (const one of a) {
    if (one.run !== run) continue;
    while (k < b.length && b[k]?.run !== run) k++;
    const other = b[k++];
    if (!other || !same(one, other)) return false;
  }
  while (k < b.length && b[k]?.run !== run) k++;
  return k >= b.length;
}

const sameOpening = (a: SetOpening, b: SetOpening): boolean =>
  a.from === b.from && a.to === b.to && a.sill === b.sill && a.head === b.head;

const sameJoint = (a: SetJoint, b: SetJoint): boolean =>
  a.from === b.from && a.to === b.to && a.refused === b.refused;

const sameChange = (a: SetCellChange, b: SetCellChange): boolean =>
  a.id === b.id &&
  a.index === b.index &&
  a.at === b.at &&
  a.column === b.column &&
  a.bar === b.bar &&
  a.grout === b.grout;

function sameRun(before: SetWall, a: BondedRun, after: SetWall, b: BondedRun): boolean {
  return (
    a.index === b.index &&
    a.from === b.from &&
    a.to === b.to &&
    sameEnd(a.ends.start, b.ends.start) &&
    sameEnd(a.ends.end, b.ends.end) &&
    sameLines(a, b) &&
    sameOn(before.openings, after.openings, b.index, sameOpening) &&
    sameOn(before.joints, after.joints, b.index, sameJoint) &&
    sameOn(before.steel?.cells ?? [], after.steel?.cells ?? [], b.index, sameChange) &&
    sameRows(a, b)
  );
}

/** Run by run, whether its cells and bars still stand as they were planned before. */
export function untouched(
  before: Before | null,
  wall: SetWall,
  runs: readonly BondedRun[],
  courses: readonly Course[],
): boolean[] {
  if (!before || !sameWall(before.wall, wall) || !sameCourses(before.courses, courses)) return [];
  return runs.map((run, k) => {
    const was = before.runs[k];
    return was !== undefined && before.cells[k] !== undefined && sameRun(before.wall, was, wall, run);
  });
}

export const sameSpacing = (a: Spacing | null, b: Spacing | null): boolean =>
  a === b || (a?.asked === b?.asked && a?.used === b?.used && a?.pitch === b?.pitch);
