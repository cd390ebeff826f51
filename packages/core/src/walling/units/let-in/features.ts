import type { Course } from '../../../stages/gauge/courses.js';
import type { Branch } from '../../../stages/set-out/tees.js';
import type { SetChange, SetOpening, SetPier, SetVents, SetWall } from '../../../stages/set-out/wall.js';
import { changedRow, type LostChange } from './changes.js';
import { STEP, type Missing } from '../laying/outline.js';
import type { RunLines } from '../lines/lines.js';
import { backingAt, besideHeaders, besideThrough, pierAcross, pierBonds, turnedAt } from './piers.js';
import { pieceAt, type Row, type Rows, type RowStrip } from '../laying/row.js';
import { soldierPieces, soldiersOver, soldiersStartIn } from './soldiers.js';
import { ventedRow } from './vents.js';

/** What is let into a run besides its units and openings. */
export interface RunFeatures {
  changes: SetChange[];
  vents: SetVents[];
  branches: Branch[];
  soldiers: SetOpening[];
  piers: { pier: SetPier; across: 'odd' | 'even' | null }[];
}

/** The same for one course. `key` tells courses apart that are otherwise alike. */
export interface CourseFeatures {
  key: string;
  changes: SetChange[];
  vents: SetVents[];
  branches: Branch[];
  across: SetPier[];
}

export const runFeatures = (wall: SetWall, run: number, lines: RunLines): RunFeatures => ({
  changes: wall.changes.filter((c) => c.run === run),
  vents: wall.vents.filter((v) => v.run === run),
  branches: wall.branches.filter((b) => b.run === run),
  soldiers: wall.openings.filter((o) => o.run === run && o.soldiers),
  piers: wall.piers
    .filter((p) => p.run === run)
    .map((pier) => ({ pier, across: pierBonds(wall, pier) ? pierAcross(wall, pier, lines) : null })),
});

const NONE: CourseFeatures = { key: '', changes: [], vents: [], branches: [], across: [] };

/** Whether a course is asked to be a beam. `level`: how many courses reach the wall's height. */
export const isBeamCourse = (wall: SetWall, course: number, level: number): boolean =>
  wall.unit.shells !== null &&
  (wall.steel?.beams ?? []).some((b) => b.course === course || (b.course === 'top' && course === level));

export function featuresOf(wall: SetWall, all: RunFeatures, at: Course): CourseFeatures {
  const course = at.number;
  const parity = course % 2 === 1 ? 'odd' : 'even';
  const changes = all.changes.filter((c) => c.course === course);
  const vents = all.vents.filter((v) => v.course === course);
  // A low wall goes into a higher one only as far up as it stands.
  const branches = all.branches.filter((b) => b.on === parity && at.top <= b.height + wall.unitHeight / 2);
  const across = wall.wythes === 1 ? all.piers.filter((p) => p.across === parity).map((p) => p.pier) : [];
  // Piers come with the parity, which the row's own key tells already.
  const soldiers = all.soldiers.some((o) => soldiersStartIn(wall, o, at));
  const own = changes.length > 0 || vents.length > 0 || soldiers ? `|${course}` : '';
  const key = branches.length > 0 ? `${own}|${branches.map((b) => b.index).join('+')}` : own;
  return key === '' && branches.length === 0 && across.length === 0
    ? NONE
    : { key, changes, vents, branches, across };
}

/** The length of a course that a wall bonded into it takes, its two joints included. */
export const socket = (wall: SetWall, b: Branch): Missing => ({
  from: b.from - wall.head,
  to: b.to + wall.head,
  index: STEP,
});

/** The end of a wall bonded in shows between its two joints. */
function withBranches(wall: SetWall, row: Row, branches: readonly Branch[]): Row {
  if (branches.length === 0) return row;
  const joints = branches.flatMap((b) => [
    { from: b.from - wall.head, to: b.from },
    { from: b.to, to: b.to + wall.head },
  ]);
  return {
    ...row,
    shown: branches.map(({ from, to }) => ({ from, to })),
    perps: [...row.perps, ...joints.map((j) => ({ at: (j.from + j.to) / 2, width: wall.head }))].sort(
      (a, b) => a.at - b.at,
    ),
    bedded: [...row.bedded, ...joints].sort((a, b) => a.from - b.from),
  };
}

/** A row with everything let into it: walls bonded in, piers turned, vents, and last the mason's own changes. */
export function dressRow(
  wall: SetWall,
  run: number,
  row: Row,
  course: Course,
  own: CourseFeatures,
): { row: Row; lost: (LostChange | { vents: SetVents; at: number })[] } {
  if (own === NONE) return { row: withSoldiers(wall, run, row, course), lost: [] };
  let now = withSoldiers(wall, run, withBranches(wall, row, own.branches), course);
  for (const pier of own.across) now = turnedAt(wall, now, pier);
  const lost: (LostChange | { vents: SetVents; at: number })[] = [];
  for (const vents of own.vents) {
    const vented = ventedRow(wall, run, now, vents);
    now = vented.row;
    lost.push(...vented.missed.map((at) => ({ vents, at })));
  }
  const made = changedRow(wall, now, own.changes);
  return { row: made.row, lost: [...lost, ...made.lost] };
}

/**
 * A row laid in trough units, all along: what a beam's course is. Joints and beds are the row's own. A unit turned
 * across the wall stays one.
 */
export const asBeam = (row: Row): Row => ({
  ...row,
  pieces: row.pieces.map((p) => {
    if (p.fitting || p.kind === 'header') return p;
    const beam = pieceAt('beam', p.from, p.to, p.cutFrom, p.opening, p.band);
    if (p.special) beam.special = p.special;
    if (p.rake) beam.rake = p.rake;
    if (p.turned) beam.turned = true;
    return beam;
  }),
});

/** Soldiers stand in the row of the lowest course they take the place of. */
function withSoldiers(wall: SetWall, run: number, row: Row, course: Course): Row {
  const over = wall.openings.filter((o) => o.run === run && soldiersStartIn(wall, o, course));
  if (over.length === 0) return row;
  const strips = over.map(({ from, to, ...o }): RowStrip => {
    const { count, joint } = soldiersOver(wall, { from, to, ...o });
    const high = wall.bed + wall.unitLength;
    return { from, to, joints: (count + 1) * joint, bed: wall.bed, high, counted: 0 };
  });
  return {
    ...row,
    pieces: [...row.pieces, ...over.flatMap((o) => soldierPieces(wall, o))],
    strips: [...(row.strips ?? []), ...strips],
  };
}

/** The units of a run's bonded piers that stand past the wall, course by course; null where it has none. */
export function pierBacks(wall: SetWall, all: RunFeatures, face: readonly Row[]): Rows | null {
  const bonded = wall.wythes === 1 ? all.piers : all.piers.filter((p) => pierBonds(wall, p.pier));
  if (bonded.length === 0) return null;
  const beside = wall.wythes === 1 ? besideHeaders : besideThrough;
  const made = new Map<Row, Row>();
  const uses = new Map<Row, number>();
  const rows = face.map((front, i) => {
    const parity = i % 2 === 0 ? 'odd' : 'even';
    const back = made.get(front) ?? {
      pieces: bonded
        .flatMap(({ pier, across }) =>
          across === parity ? beside(wall, pier, front) : backingAt(wall, pier),
        )
        .sort((a, b) => a.from - b.from),
      perps: [],
      bedded: [],
    };
    made.set(front, back);
    uses.set(back, (uses.get(back) ?? 0) + 1);
    return back;
  });
  return { rows, uses };
}
