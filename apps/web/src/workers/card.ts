import {
  checkJob,
  letterFindings,
  plan,
  benchView,
  sectionOf,
  type Scene,
  type JobDocument,
  type BenchView,
} from '@even-tally/core';

/** What the yard shows of a wall: its elevation, how long and high it is, and how many faults it has. */
export interface CardView {
  elevation: BenchView['elevation'];
  /** Its first run cut through, where that shows what its face does not. */
  section: Scene | null;
  /** Length of its first run, and its height, mm. */
  length: number;
  height: number;
  runs: number;
  faults: number;
}

/** A wall of a kept job, planned without advice; null where the job is not sound. */
export function cardOf(document: JobDocument, index: number): CardView | null {
  const checked = checkJob(document);
  if (!checked.ok) return null;
  const p = plan(checked.job, [], { advise: false, only: [index] }).walls[0];
  if (!p) return null;
  const view = benchView(checked.job, p, 0, document.show, false);
  const cut = sectionOf(p, 0, document.show);
  return {
    section: cut.tells ? cut.scene : null,
    elevation: view.elevation,
    length: view.runs[0]?.length ?? 0,
    height: view.wall.height,
    runs: view.runs.length,
    faults: letterFindings(p.findings).filter((l) => l.finding.severity === 'fault').length,
  };
}
