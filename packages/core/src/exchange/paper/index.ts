import type { Job, JobDocument } from '../../job/types.js';
import type { Show } from '../../measure/format.js';
import { workWall } from '../../plan/work.js';
import type { RecordEntry } from '../../record/record.js';
import { barsSheet } from './bars.js';
import { holdsSheet } from './holds.js';
import { poursSheet } from './pours.js';
import type { PaperSheet } from './sheet.js';
import { startersSheet } from './starters.js';

/** Sheets that are tables and a drawing: one mechanism prints them all. */
export const PAPERS = ['starters', 'bars', 'pours', 'holds'] as const;
export type PaperKind = (typeof PAPERS)[number];

/** One of a wall's sheets. `wall`: its place in the document. `record`: what happened on site, for the holds. */
export function paperOf(
  kind: PaperKind,
  job: Job | JobDocument,
  wall: number,
  run: number,
  show: Show,
  record: readonly RecordEntry[] = [],
): PaperSheet {
  const work = workWall(job, wall);
  if (kind === 'starters') return startersSheet(job.name, work, run, show);
  if (kind === 'holds') return holdsSheet(job.name, work, record);
  if (kind === 'bars') return barsSheet(job.name, work, show);
  return poursSheet(job.name, work, run, show);
}
