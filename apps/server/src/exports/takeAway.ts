import { setOutWall, type Job, type PaperSize, type RecordEntry, type Show } from '@even-tally/core';
import { exportNamed } from '@even-tally/exports';
import { exportBytes } from '@even-tally/exports/node';
import { createWords, languageOf, type Language } from '@even-tally/words';

export interface Taking {
  /** One of `EXPORTS`. */
  kind: string;
  document: Job;
  /** Id of the wall, and the run in it; null for all there are. */
  wall: string | null;
  run: number | null;
  show: Show | null;
  paper: PaperSize | null;
  /** Null: as the job’s profile speaks. */
  words: Language | null;
  record: RecordEntry[];
  now: string;
}

/** An export as the bytes of its file, or null where the job has no such wall or the wall no such run. */
export async function takeAway(asked: Taking): Promise<Uint8Array | null> {
  const { document, run, record, now, paper } = asked;
  const show = asked.show ?? document.show;
  const { say } = createWords(asked.words ?? languageOf(document.profile), show);
  const kind = exportNamed(asked.kind);
  const wall = asked.wall === null ? null : document.walls.findIndex((w) => w.id === asked.wall);
  if (!kind || wall === -1) return null;
  if (wall !== null && run !== null && !setOutWall(document, wall).runs[run]) return null;
  return exportBytes(kind, { job: document, record, wall, run, show, paper, say, now });
}
