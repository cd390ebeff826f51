import {
  PAPERS,
  paperOf,
  poleSheet,
  setOutWall,
  tapeSheet,
  workWall,
  type Job,
  type RecordEntry,
  type Show,
} from '@even-tally/core';
import { paperPdf } from './paperPdf.js';
import { polePdf } from './polePdf.js';
import { tapePdf } from './tapePdf.js';

/** Whatever can be printed: the pole of a wall, the tape of a run, and the sheets of tables. */
export const PRINTED = ['pole', 'tape', ...PAPERS] as const;
export type Printed = (typeof PRINTED)[number];

export interface Printing {
  what: Printed;
  document: Job;
  wall: string;
  run: number;
  show: Show | null;
  record: RecordEntry[];
}

/** A sheet as the bytes of a PDF, or null where the job has no such wall or the wall no such run. */
export async function print({
  what,
  document,
  wall,
  run,
  show: asked,
  record,
}: Printing): Promise<Uint8Array | null> {
  const index = document.walls.findIndex((w) => w.id === wall);
  if (index < 0 || !setOutWall(document, index).runs[run]) return null;
  const show = asked ?? document.show;
  if (what === 'pole') return polePdf(poleSheet(document.name, workWall(document, index), show), show);
  if (what === 'tape') return tapePdf(tapeSheet(document.name, workWall(document, index), run, show), show);
  return paperPdf(paperOf(what, document, index, run, show, record), show);
}
