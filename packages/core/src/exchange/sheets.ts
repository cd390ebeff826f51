import type { Job, JobDocument } from '../job/types.js';
import type { Show } from '../measure/format.js';
import type { Said, Say } from '../messages/message.js';
import { SHEET } from '../stages/paperMessages.js';
import { plan, type WallPlan } from '../plan/plan.js';
import { STAGES, withNeeds } from '../plan/registry.js';
import { papersOf } from '../plan/says.js';
import { workStages, workWall } from '../plan/work.js';
import type { RecordEntry } from '../record/entries.js';
import { sectionOf } from '../scene/section.js';
import { paperRows, type CsvRow, type PaperSheet } from '../stages/paper.js';
import type { SetStone } from '../stages/set-out/stone.js';
import { framesSheet } from '../stages/stone/sheets.js';
import { setOutWall } from '../stages/set-out/wall.js';
import { STONES_SAY } from '../walling/stone/messages.js';
import { holdsSheet } from './holdsSheet.js';
import { coursePages } from './pages/coursePages.js';
import { elevationPages } from './pages/elevationPages.js';
import { framePages } from './pages/framePages.js';
import type { Page, PaperSize } from './pages/page.js';
import { planPages } from './pages/planPages.js';
import { polePages } from './pages/polePages.js';
import { sheetPages } from './pages/sheetPages.js';
import { sectionPages } from './pages/sectionPages.js';
import { withStrip } from './pages/strip.js';
import { tapePages } from './pages/tapePages.js';
import { unfoldedPages } from './pages/unfoldedPages.js';
import { mudView } from '../scene/mudView.js';
import { mixerPages } from './pages/mixerPages.js';
import { poleRows, poleSheet } from './poleSheet.js';
import { tallySheet } from './tallySheet.js';
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
  /** What it is printed on; left out, as the measure goes. */
  paper?: PaperSize | null;
}

/** A sheet that can be carried to the wall: as pages, whoever draws them, and as rows where it is a table. */
export interface SheetKind {
  kind: string;
  name: Said;
  /** Whether there is one for a wall or one for each of its runs. */
  of: 'wall' | 'run';
  /** It says what happened on site. */
  recorded?: boolean;
  /** Pages of a set are named each by its own sheet. */
  pages: (ask: SheetAsk) => Page[];
  /** Whether a wall or a run has anything for it: what has not is left out of a set. Left out, always. */
  has?: (ask: SheetAsk) => boolean;
  /** Walls it has nothing for are left out of a job’s pages too, and not only out of a set. */
  some?: true;
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
  pages: (ask) => sheetPages(sheet(ask), ask.show, ask.say, ask.paper),
  has: (ask) => sheet(ask).tables.some((t) => t.rows.length > 0),
  rows: (ask) => paperRows(sheet(ask)),
});

/** The last job that was planned for its sheets, wall by wall: a set asks for the same ones over and over. */
const plans = new WeakMap<object, Map<number, WallPlan | undefined>>();

/** Sound already: whoever asks for a sheet has a checked job. */
function planFor({ job, wall }: SheetAsk): WallPlan | undefined {
  const walls = plans.get(job) ?? new Map<number, WallPlan | undefined>();
  plans.set(job, walls);
  if (!walls.has(wall)) walls.set(wall, plan(job as Job, [], { advise: false, only: [wall] }).walls[0]);
  return walls.get(wall);
}

/** Pages of a planned wall; none where there is no such wall. */
const planned =
  (pages: (p: WallPlan, ask: SheetAsk) => Page[]) =>
  (ask: SheetAsk): Page[] => {
    const p = planFor(ask);
    return p ? pages(p, ask) : [];
  };

const poleOf = ({ job, wall, say }: SheetAsk) => poleSheet(job.name, workWall(job, wall), say);
const tapeOf = ({ job, wall, run, say }: SheetAsk) => tapeSheet(job.name, workWall(job, wall), run, say);

/** Frames are set for what leans, and for dry walls anyhow. */
const framed = (stone: SetStone | null): boolean =>
  stone !== null && (stone.kind === 'dry' || stone.top < stone.base - 1);

const mixerOf = planned((p, { job, show, say, paper }) => mixerPages(job, mudView(job, p), show, say, paper));

const SINGLE: readonly SheetKind[] = [
  {
    kind: 'plan',
    name: SHEET.plan(),
    of: 'wall',
    pages: ({ job, wall, show, say, paper }) => planPages(job.name, workWall(job, wall), show, say, paper),
  },
  {
    kind: 'unfolded',
    name: SHEET['unfolded-name'](),
    of: 'wall',
    has: ({ job, wall }) => setOutWall(job, wall).runs.length > 1,
    pages: planned((p, { show, say, paper }) => unfoldedPages(p, show, say, paper)),
  },
  {
    kind: 'elevation',
    name: SHEET.elevation(),
    of: 'run',
    pages: planned((p, { run, show, say, paper }) => elevationPages(p, run, show, say, paper)),
  },
  {
    kind: 'section',
    name: SHEET['section-name'](),
    of: 'run',
    has: (ask) => sectionIsNew(ask),
    pages: planned((p, { run, show, say, paper }) => sectionPages(p, run, show, say, paper)),
  },
  {
    kind: 'pole',
    name: SHEET.pole(),
    of: 'wall',
    pages: (ask) => polePages(poleOf(ask), ask.show, ask.say, ask.paper),
    rows: (ask) => poleRows(poleOf(ask), ask.show, ask.say),
  },
  {
    kind: 'tape',
    name: SHEET.tape(),
    of: 'run',
    pages: (ask) => tapePages(tapeOf(ask), ask.show, ask.say, ask.paper),
    rows: (ask) => tapeRows(tapeOf(ask), ask.show, ask.say),
  },
  {
    kind: 'courses',
    name: SHEET['courses-name'](),
    of: 'wall',
    pages: planned((p, { show, say, paper }) => coursePages(p, { show, say, size: paper, each: 'several' })),
  },
  {
    kind: 'cards',
    name: SHEET['cards-name'](),
    of: 'wall',
    // In a set the same courses stand several to a page.
    has: () => false,
    pages: planned((p, { show, say, paper }) => coursePages(p, { show, say, size: paper, each: 'one' })),
  },
  {
    kind: 'frames',
    name: STONES_SAY['frames-name'](),
    of: 'wall',
    some: true,
    has: ({ job, wall }) => framed(setOutWall(job, wall).stone),
    pages: planned((p, { job, show, say, paper }) => framePages(job.name, p, show, say, paper)),
    rows: (ask) => {
      const p = planFor(ask);
      return p?.wall.stone ? paperRows(framesSheet(ask.job.name, p, 0, ask.show, ask.say)) : [];
    },
  },
  ...papersOf().map((p) => ({
    ...ofPaper(p.kind, p.name, p.over, ({ job, wall, run, show, say }) =>
      p.sheet(job.name, workStages(withNeeds(STAGES, [p.of]), job, wall), run, show, say),
    ),
    ...(p.some ? { some: p.some } : {}),
  })),
  {
    ...ofPaper('holds', SHEET.holds(), 'wall', ({ job, wall, record, say }) =>
      holdsSheet(job.name, workWall(job, wall), record, say),
    ),
    recorded: true,
  },
  {
    kind: 'mixer',
    name: SHEET['mixer-name'](),
    of: 'wall',
    some: true,
    has: (ask) => mixerOf(ask).length > 0,
    pages: (ask) => mixerOf(ask),
  },
  {
    kind: 'tally',
    name: SHEET.tally(),
    of: 'wall',
    pages: planned((p, { job, show, say, paper }) =>
      sheetPages(tallySheet(job.name, p, show, say), show, say, paper),
    ),
  },
];

/** Of runs cut through alike the first is printed, and only where a cut shows more than the face. */
function sectionIsNew(ask: SheetAsk): boolean {
  const p = planFor(ask);
  if (!p) return false;
  const cut = (run: number): string => JSON.stringify(sectionOf(p, run, ask.show).scene.shapes);
  if (!sectionOf(p, ask.run, ask.show).tells) return false;
  const own = cut(ask.run);
  return !p.wall.runs.slice(0, ask.run).some((_, run) => cut(run) === own);
}

/** Every sheet of a wall that has anything on it, in the order of the work: what is printed and carried to the wall. */
const SET: SheetKind = {
  kind: 'set',
  name: SHEET['set-name'](),
  of: 'wall',
  recorded: true,
  pages: (ask) =>
    SINGLE.flatMap((sheet) =>
      placesFor(sheet, ask.job, ask.wall, null)
        .map((at) => ({ ...ask, ...at }))
        .filter((at) => sheet.has?.(at) ?? true)
        .flatMap((at) => sheet.pages(at))
        .map((page) => ({ ...page, sheet: ask.say(sheet.name) })),
    ),
};

/** The one list of sheets: what can be printed, drawn, saved and asked for by name. */
export const SHEETS: readonly SheetKind[] = [SET, ...SINGLE];

/** Of several walls those a sheet has anything for; of none that has, all: the page then says so. */
function withAnything<At extends { wall: number; run: number }>(
  sheet: SheetKind,
  ask: SheetAsk,
  places: readonly At[],
): readonly At[] {
  const { has } = sheet;
  if (!has || !sheet.some || places.length < 2) return places;
  const some = places.filter((at) => has({ ...ask, ...at }));
  return some.length > 0 ? some : places;
}

/** A sheet of walls and runs as pages that are titled and counted along their foot. */
export const titledPages = (
  sheet: SheetKind,
  ask: SheetAsk,
  places: readonly { wall: number; run: number }[],
  done?: (share: number) => void,
): Page[] =>
  withStrip(
    withAnything(sheet, ask, places).flatMap((at, i, all) => {
      done?.(i / all.length);
      return sheet.pages({ ...ask, ...at }).map((page) => ({
        page,
        wall: ask.job.walls[at.wall]?.name ?? '',
        sheet: page.sheet ?? ask.say(sheet.name),
      }));
    }),
    ask.job.name,
    ask.say,
  );

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
