import type { Job, JobDocument } from '../job/types.js';
import type { Show } from '../measure/format.js';
import { STAGES, withNeeds } from '../plan/registry.js';
import { papersOf } from '../plan/says.js';
import { workStages, workWall } from '../plan/work.js';
import type { RecordEntry } from '../record/entries.js';
import type { PaperSheet } from '../stages/paper.js';
import { holdsSheet } from './holdsSheet.js';

/** The sheet of the record, which no stage of the plan knows. */
const HOLDS = 'holds';

/** What a sheet is called where it is asked for: one of `PAPERS`. */
export type PaperKind = string;

/** Sheets that are tables and a drawing, as the stages declare them, and the holds: one mechanism prints them all. */
export const PAPERS: readonly PaperKind[] = [...papersOf().map((p) => p.kind), HOLDS];

/** One of a wall's sheets. `wall`: its place in the document. `record`: what happened on site, for the holds. */
export function paperOf(
  kind: PaperKind,
  job: Job | JobDocument,
  wall: number,
  run: number,
  show: Show,
  record: readonly RecordEntry[] = [],
): PaperSheet {
  if (kind === HOLDS) return holdsSheet(job.name, workWall(job, wall), record);
  const paper = papersOf().find((p) => p.kind === kind);
  if (!paper) throw new RangeError(`a sheet: wanted one of ${PAPERS.join(', ')}, got ${kind}`);
  return paper.sheet(job.name, workStages(withNeeds(STAGES, [paper.of]), job, wall), run, show);
}
