import type { Issue } from '../findings/issue.js';
import type { Build, JobDocument } from '../job/types.js';
import type { Figure, Made, MaterialRow } from '../stages/figure.js';
import type { GaugeSolution } from '../stages/gauge/solve.js';
import type { SetWall } from '../stages/set-out/wall.js';
import type { OnWebs } from './units/counting/mortar.js';
import type { LeafTally } from './units/counting/ofWall.js';
import type { Begun } from './units/laying/begin.js';
import type { Leaf } from './units/leaves/leaf.js';
import type { FaceLaid } from './units/leaves/leavesOf.js';
import type { CourseColumns } from './pieces.js';

/** A wall laid: its leaves, outside first, and the ways that were weighed for its face. */
export interface Laid extends FaceLaid {
  ways: Begun[];
  leaves: Leaf[];
}

/** A wall laid and counted. */
export interface Counted extends Laid {
  tallies: readonly [LeafTally, ...LeafTally[]];
}

/**
 * How a leaf is filled, chosen by `build.kind`. What lies behind it (lines, patterns, the search for them) nobody else needs to
 * know: other stages read courses, leaves, pieces and amounts.
 */
export interface Walling {
  kind: Build['kind'];
  /** The courses, or levels, it comes up in. */
  levels: (wall: SetWall) => GaugeSolution;
  /** Every leaf, laid the way that costs least of those the file leaves open. `weigh`: what else a way costs. */
  lay: (
    job: JobDocument,
    wall: SetWall,
    gauge: GaugeSolution,
    weigh: ((face: FaceLaid) => number) | null,
    before: Laid | null,
  ) => Laid;
  issues: (job: JobDocument, laid: Laid) => Issue[];
  /** The pieces of the face of one run, course by course: rectangles in columns, and the corners of those that are none. */
  pieces: (laid: Laid, run: number) => CourseColumns[];
  /** What it comes to. */
  count: (laid: Laid, before: readonly LeafTally[] | undefined, webs: OnWebs) => Counted['tallies'];
  figures: (counted: Counted, run: number | null) => Figure[];
  working: (counted: Counted, figure: string, run: number | null) => Made | null;
  materials: (counted: Counted) => MaterialRow[];
}
