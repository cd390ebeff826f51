import type { EditStep } from './edit.js';
import { isTurn, type JobDocument, type LineItem, type Wall } from './types.js';

/** A thing that stands on a run by its number. */
interface OnRun {
  run: number;
}

/** Everything of a wall that stands on a run, by where the document lists it, and what one and several are called. */
const ON_RUNS: readonly {
  path: string;
  of: (wall: Wall) => readonly OnRun[] | undefined;
  called: readonly [string, string];
}[] = [
  { path: 'openings', of: (w) => w.openings, called: ['opening', 'openings'] },
  { path: 'tops', of: (w) => w.tops, called: ['top', 'tops'] },
  { path: 'steps', of: (w) => w.steps, called: ['step of the footing', 'steps of the footing'] },
  { path: 'vents', of: (w) => w.vents, called: ['row of vents', 'rows of vents'] },
  { path: 'piers', of: (w) => w.piers, called: ['pier', 'piers'] },
  { path: 'joints', of: (w) => w.joints, called: ['movement joint', 'movement joints'] },
  { path: 'poured', of: (w) => w.poured, called: ['level of the footing', 'levels of the footing'] },
  { path: 'build/pieces', of: (w) => w.build.pieces, called: ['changed piece', 'changed pieces'] },
  { path: 'steel/cells', of: (w) => w.steel?.cells, called: ['cell set by hand', 'cells set by hand'] },
  { path: 'steel/starters', of: (w) => w.steel?.starters, called: ['starter', 'starters'] },
];

/** Which run a run has become; null where it is gone. */
type NewRun = (run: number) => number | null;

export interface LineEdit {
  edit: EditStep[];
  /** What stood on runs that are gone and goes with them, as said: "2 openings", "a movement joint". */
  lost: string[];
}

/** What hangs on a wall's runs, and on other walls that meet it, brought to what its runs have become. */
function rehung(job: JobDocument, index: number, newRun: NewRun): LineEdit {
  const wall = job.walls[index];
  const own = `/walls/${index}`;
  const edit: EditStep[] = [];
  const lost: string[] = [];
  if (!wall) return { edit, lost };
  const count = (n: number, [one, several]: readonly [string, string]): string =>
    n === 1 ? `a${/^[aeiou]/.test(one) ? 'n' : ''} ${one}` : `${n} ${several}`;
  for (const { path, of, called } of ON_RUNS) {
    const list = of(wall);
    if (!list || list.every((one) => newRun(one.run) === one.run)) continue;
    const kept = list.flatMap((one) => {
      const run = newRun(one.run);
      return run === null ? [] : [{ ...one, run }];
    });
    edit.push({ op: 'replace', path: `${own}/${path}`, value: kept });
    if (kept.length < list.length) lost.push(count(list.length - kept.length, called));
  }
  job.walls.forEach((other, k) => {
    if (other.meets?.wall !== wall.id || k === index) return;
    const run = newRun(other.meets.run);
    if (run === other.meets.run) return;
    edit.push(
      run === null
        ? { op: 'remove', path: `/walls/${k}/meets` }
        : { op: 'replace', path: `/walls/${k}/meets/run`, value: run },
    );
    if (run === null) lost.push(`where ${other.name} meets it`);
  });
  return { edit, lost };
}

/** How many runs a line has: straight ones and curves. */
export const runsOf = (line: readonly LineItem[]): number => line.filter((item) => !isTurn(item)).length;

/** A wall given another line: what stood on runs that are gone goes with them. */
export function withLine(job: JobDocument, index: number, line: LineItem[]): LineEdit {
  const runs = runsOf(line);
  const { edit, lost } = rehung(job, index, (run) => (run < runs ? run : null));
  return { edit: [{ op: 'replace', path: `/walls/${index}/line`, value: line }, ...edit], lost };
}

/** A wall without one item of its line: where that is a run, what stood on it goes, and later runs move down. */
export function withoutItem(job: JobDocument, index: number, item: number): LineEdit {
  const line = job.walls[index]?.line ?? [];
  const gone = line[item];
  const step: EditStep = { op: 'remove', path: `/walls/${index}/line/${item}` };
  if (!gone || isTurn(gone)) return { edit: [step], lost: [] };
  const at = runsOf(line.slice(0, item));
  const { edit, lost } = rehung(job, index, (run) => (run === at ? null : run > at ? run - 1 : run));
  return { edit: [step, ...edit], lost };
}

/** A wall like this one, with nothing that stands on its runs. */
export function bareWall(wall: Wall): Wall {
  const bare = JSON.parse(JSON.stringify(wall)) as Wall;
  for (const { path } of ON_RUNS) {
    const keys = path.split('/');
    const last = keys.pop() as string;
    const holder = keys.reduce<Record<string, unknown> | undefined>(
      (at, key) => at?.[key] as Record<string, unknown> | undefined,
      bare as unknown as Record<string, unknown>,
    );
    if (holder) delete holder[last];
  }
  return bare;
}

/** What goes with a run, as one sentence; empty where nothing does. */
export function sayLost({ lost }: LineEdit): string {
  if (lost.length === 0) return '';
  const all = lost.length === 1 ? lost[0] : `${lost.slice(0, -1).join(', ')} and ${lost.at(-1)}`;
  return `Gone with it: ${all}. Undo brings all back.`;
}
