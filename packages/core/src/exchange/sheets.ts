import type { Job, JobDocument } from '../job/types.js';
import type { Show } from '../measure/format.js';
import type { Said, Say } from '../messages/message.js';
import { SHEET } from '../stages/paperMessages.js';
import { plan } from '../plan/plan.js';
import { STAGES, withNeeds } from '../plan/registry.js';
import { papersOf } from '../plan/says.js';
import { workStages, workWall } from '../plan/work.js';
import type { RecordEntry } from '../record/entries.js';
import { paperRows, type CsvRow, type PaperSheet } from '../stages/paper.js';
import { setOutWall } from '../stages/set-out/wall.js';
import { holdsSheet } from './holdsSheet.js';
import { elevationPages } from './pages/elevationPages.js';
import type { Page } from './pages/page.js';
import { planPages } from './pages/planPages.js';
import { polePages } from './pages/polePages.js';
import { sheetPages } from './pages/sheetPages.js';
import { tapePages } from './pages/tapePages.js';
import { poleRows, poleSheet } from './poleSheet.js';
import { tapeRows, tapeSheet } from './tapeSheet.js';

/** What a sheet is drawn from. Walls and runs by their places in the document. */
export interface SheetAsk {
  job: Job | JobDocument;
  /** What happened on site, for the holds. */
  record: readonly RecordEntry[];
  wall: number;
  run: number;
  show: Show;
  /** What puts findings into words. */
  say: Say;
}

/** A sheet that can be carried to the wall: as pages, whoever draws them, and as rows where it is a table. */
export interface SheetKind {
  kind: string;
  name: Said;
  /** Whether there is one for a wall or one for each of its runs. */
  of: 'wall' | 'run';
  /** It says what happened on site. */
  recorded?: boolean;
  pages: (ask: SheetAsk) => Page[];
  rows?: (ask: SheetAsk) => CsvRow[];
}

const ofPaper = (
  kind: string,
  name: Said,
  of: SheetKind['of'],
  sheet: (ask: SheetAsk) => PaperSheet,
): SheetKind => ({
  kind,
  name,
  of,
  pages: (ask) => sheetPages(sheet(ask), ask.show, ask.say),
  rows: (ask) => paperRows(sheet(ask)),
});

const poleOf = ({ job, wall, say }: SheetAsk) => poleSheet(job.name, workWall(job, wall), say);
const tapeOf = ({ job, wall, run, say }: SheetAsk) => tapeSheet(job.name, workWall(job, wall), run, say);

/** The one list of sheets: what can be printed, drawn, saved and asked for by name. */
export const SHEETS: readonly SheetKind[] = [
  {
    kind: 'elevation',
    name: SHEET.elevation(),
    of: 'run',
    pages: ({ job, wall, run, show, say }) => {
      // Sound already: whoever asks for a sheet has a checked job.
      const p = plan(job as Job, [], { advise: false, only: [wall] }).walls[0];
      return p ? elevationPages(p, run, show, say) : [];
    },
  },
  {
    kind: 'plan',
    name: SHEET.plan(),
    of: 'wall',
    pages: ({ job, wall, show, say }) => planPages(job.name, workWall(job, wall), show, say),
  },
  {
    kind: 'pole',
    name: SHEET.pole(),
    of: 'wall',
    pages: (ask) => polePages(poleOf(ask), ask.show, ask.say),
    rows: (ask) => poleRows(poleOf(ask), ask.show, ask.say),
  },
  {
    kind: 'tape',
    name: SHEET.tape(),
    of: 'run',
    pages: (ask) => tapePages(tapeOf(ask), ask.show, ask.say),
    rows: (ask) => tapeRows(tapeOf(ask), ask.show, ask.say),
  },
  ...papersOf().map((p) =>
    ofPaper(p.kind, p.name, p.over, ({ job, wall, run, show, say }) =>
      p.sheet(job.name, workStages(withNeeds(STAGES, [p.of]), job, wall), run, show, say),
    ),
  ),
  {
    ...ofPaper('holds', SHEET.holds(), 'wall', ({ job, wall, record, say }) =>
      holdsSheet(job.name, workWall(job, wall), record, say),
    ),
    recorded: true,
  },
];

export const sheetNamed = (kind: string): SheetKind | undefined => SHEETS.find((s) => s.kind === kind);

/** The walls and runs a sheet is made for: those asked for, or all there are. */
export const placesFor = (
  sheet: Pick<SheetKind, 'of'>,
  job: Job | JobDocument,
  wall: number | null,
  run: number | null,
): { wall: number; run: number }[] =>
  job.walls.flatMap((_, w) => {
    if (wall !== null && wall !== w) return [];
    const runs = sheet.of === 'wall' ? [0] : setOutWall(job, w).runs.map((_run, r) => r);
    return runs
      .filter((r) => run === null || sheet.of === 'wall' || r === run)
      .map((r) => ({ wall: w, run: r }));
  });
