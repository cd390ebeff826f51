import type { Job, Page, PaperSize, RecordEntry, Said, Say, Show } from '@even-tally/core';

/** What an export is made from. Walls and runs by their places in the document; null for all there are. */
export interface ExportAsk {
  job: Job;
  record: readonly RecordEntry[];
  wall: number | null;
  run: number | null;
  show: Show;
  /** What it is printed on; null or left out, as the measure goes. */
  paper?: PaperSize | null;
  /** What puts findings into words. */
  say: Say;
  /** When it is made, ISO 8601: some formats say it, and nothing here looks at a clock. */
  now: string;
  /** Told now and then how much is done, 0 to 1. */
  done?: (share: number) => void;
}

/** What comes of it: text as it is filed, or pages that whoever can draw them makes a file of. */
export type Exported = { text: string } | { pages: Page[]; title: string };

/** An export as whoever shows a button for it knows it. */
export interface ExportLine {
  /** As it is asked for: `dxf`, `csv:bars`, `pdf:pole`. */
  kind: string;
  /** As a button says it. */
  name: Said;
  /** What there is one of: the job, each wall or each run. */
  of: 'job' | 'wall' | 'run';
  ending: string;
  media: string;
  /** Drawn from pages where the printer is; the rest is made anywhere. */
  drawn: 'pdf' | 'png' | null;
  /** It says what happened on site, and so wants the record. */
  recorded: boolean;
}

export interface Export extends ExportLine {
  make: (ask: ExportAsk) => Exported;
}
