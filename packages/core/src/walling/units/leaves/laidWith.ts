import type { GaugeSolution } from '../../../stages/gauge/solve.js';
import type { Piece, Row } from '../laying/row.js';
import { leafOnFace, type Leaf, type Leaved } from './leaf.js';

/** A course of one of a wall's leaves, by its number there. */
export interface LeafCourse {
  leaf: Leaf;
  course: number;
}

type Gauged = Leaved & { gauge: GaugeSolution };

/** The course of the face that is going up when a course of a leaf is begun: the first that reaches over its bed. */
export function faceCourseOf({ gauge }: Gauged, { leaf, course }: LeafCourse): number {
  if (leaf.gauge === gauge) return course;
  const bottom = leaf.gauge.courses[course - 1]?.bottom ?? 0;
  const at = gauge.courses.findIndex((c) => c.top > bottom + 1);
  return at < 0 ? gauge.courses.length : at + 1;
}

/** Everything laid with a course of the face, outside first: a leaf on a gauge of its own begins none, one or more in it. */
export const laidWith = (work: Gauged, course: number): LeafCourse[] =>
  work.leaves.flatMap((leaf) =>
    leaf.gauge === work.gauge
      ? [{ leaf, course }]
      : leaf.gauge.courses
          .map((c) => ({ leaf, course: c.number }))
          .filter((own) => faceCourseOf(work, own) === course),
  );

/** The course of a leaf that stands beside one of the face: the lowest that reaches over its bed. */
export function courseBeside(work: Gauged, leaf: Leaf, course: number): number | null {
  if (leaf.gauge === work.gauge) return course;
  const height = work.gauge.courses[course - 1];
  const at = leaf.gauge.courses.findIndex((c) => height && c.top > height.bottom + 1);
  return at < 0 ? null : at + 1;
}

/** The row of a run in a course of a leaf, in places of the outside face, each piece as long as it is. */
export const rowIn = (work: Leaved, { leaf, course }: LeafCourse, run: number): Row | undefined =>
  leafOnFace(leaf, work).runs.find((r) => r.index === run)?.rows[course - 1];

/** Every piece of a wall, in all its leaves, with where it lies. */
export function everyPiece(
  work: Leaved,
  seen: (piece: Piece, at: LeafCourse & { run: number }) => void,
): void {
  for (const leaf of work.leaves)
    for (const run of leafOnFace(leaf, work).runs)
      run.rows.forEach((row, i) => {
        for (const piece of row.pieces) seen(piece, { leaf, course: i + 1, run: run.index });
      });
}
