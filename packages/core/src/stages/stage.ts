import type { Said, Say } from '../messages/message.js';
import type { StageName } from '../findings/finding.js';
import type { Issue } from '../findings/issue.js';
import type { JobDocument } from '../job/types.js';
import type { Show } from '../measure/format.js';
import type { SceneShape } from '../shapes/shape.js';
import type { FaceLaid } from '../walling/units/leaves/leavesOf.js';
import type { Walling } from '../walling/walling.js';
import type { Figure, Made, MaterialRow } from './figure.js';
import type { Hold } from './hold.js';
import type { WorkList } from './list.js';
import type { PaperSheet } from './paper.js';
import type { SetWall } from './set-out/wall.js';

/** What a stage is given besides the work of those before it. `W` is their work and its own. */
export interface Given<W> {
  job: JobDocument;
  /** The wall's place in the document. */
  index: number;
  /** How the wall is laid. */
  walling: Walling;
  /** The same wall as it was worked out before an edit: what the edit did not touch may be taken over. */
  before: W | null;
  /** What later stages ask of a way of laying the face, over what the bond asks; null where none asks anything. */
  weigh: ((face: FaceLaid) => number) | null;
  /** The stage's own work on a way it weighed, if that one was chosen. */
  tried: (runs: FaceLaid['runs']) => object | undefined;
}

/** A sheet to print: how it is asked for, what it is called, and whether each run has its own. */
export interface Paper<W> {
  kind: string;
  name: Said;
  over: 'wall' | 'run';
  /** Walls it has nothing for are left out of a job’s pages. */
  some?: true;
  sheet(job: string, work: W, run: number, show: Show, say: Say): PaperSheet;
}

/**
 * One stage of the work, declared: what it needs of earlier ones, what it works out, and everything it says, counts, draws and
 * prints. What the plan, the sheet, the tally, the record and the printer show of it follows from here.
 */
export interface Stage<Id extends string, Needs extends object, Own extends object> {
  id: Id;
  /** The stage of the product it is shown under. */
  shown: StageName;
  /** The stages whose work it reads. */
  needs: readonly string[];
  work(made: Needs, given: Given<Needs & Own>): Own;
  issues?(job: JobDocument, work: Needs & Own): Issue[];
  /** It judges walls of equal units: of stone, where no two are alike, it has nothing to say. */
  of?: 'units';
  /** What a way of laying the face costs it, where it asks anything of one. */
  weighs?: {
    asks(wall: SetWall): boolean;
    cost(face: FaceLaid, before: (Needs & Own) | null): { cost: number; own: Own };
  };
  /** Its figures of a run, or (`null`) of the whole wall. */
  figures?(work: Needs & Own, run: number | null): Figure[];
  /** How a figure of it comes about; null for one it does not have. */
  working?(work: Needs & Own, figure: string, run: number | null): Made | null;
  /** What it takes, line by line. Left out: its figures of the whole wall. */
  materials?(work: Needs & Own): MaterialRow[];
  /** What it draws on the elevation of a run, over the units. */
  shapes?(work: Needs & Own, run: number): SceneShape[];
  /** What it puts into one course seen from above: along the run on its outside face, and in from it. */
  above?(work: Needs & Own, run: number, course: number): SceneShape[];
  /** What it puts where a run is cut through at a place along it: in from its outside face, and up from its base. */
  section?(work: Needs & Own, run: number, at: number): SceneShape[];
  holds?(work: Needs & Own): Hold[];
  /** Its lists, line by line, each line with its places on the wall. */
  lists?(work: Needs & Own): WorkList[];
  papers?: readonly Paper<Needs & Own>[];
}

/** Declares a stage, its types kept. */
export const stage = <Id extends string, Needs extends object, Own extends object>(
  declared: Stage<Id, Needs, Own>,
): Stage<Id, Needs, Own> => declared;

/** A stage of whatever work, as a list of stages holds it: those before it have worked what it reads. */
export type AnyStage = Stage<string, object, object>;
