import type { Message, Said } from '../../messages/message.js';
import { EDITS, type Called } from './messages.js';
import { rewrite } from '../../statement/walk.js';
import type { JobDocument } from '../form.js';
import { wall as WALL } from '../forms/wall.js';
import { writeAddress } from '../../places/address.js';
import type { Statement } from '../../statement/statement.js';
import { placedIn, placeKeys } from '../places.js';
import { isTurn, type LineItem, type Wall } from '../types.js';

/** Which run a run has become; null where it is gone. */
export type NewRun = (run: number) => number | null;

/** A document after something was done to a run, and what went with it. */
export interface Rehung {
  job: JobDocument;
  /** What stood on runs that are gone and went with them: "2 openings", "a movement joint". */
  lost: Said[];
}

/** What stands on a wall's runs, brought to what its runs have become; every statement of one of its own runs is followed. */
export function onNewRuns(wall: Wall, newRun: NewRun): { wall: Wall; lost: Message[] } {
  const gone = new Map<Called, number>();
  const addressed = (
    holder: Record<string, unknown>,
    statement: Statement,
  ): { run: number; onto: (run: number) => Record<string, unknown> } | 'nowhere' | null => {
    const key = placeKeys(statement)?.place;
    const place = key === undefined ? undefined : holder[key];
    if (key === undefined || typeof place !== 'string') return null;
    const found = placedIn(wall, place);
    if (!found) return 'nowhere';
    // A run with an id of its own is called by it wherever it stands.
    const onto = (run: number): Record<string, unknown> =>
      found.address.run?.startsWith('#') ? { [key]: writeAddress({ ...found.address, run: `#${run}` }) } : {};
    return { run: found.run, onto };
  };
  const made = rewrite(wall, WALL, (part, statement, at) => {
    if (statement.kind !== 'object') return null;
    const [name] =
      Object.entries(statement.keys).find(
        ([, { shape }]) => shape.kind === 'number' && shape.is?.run === 'own',
      ) ?? [];
    if (name === undefined) return null;
    const holder = part as Record<string, unknown>;
    const address = addressed(holder, statement);
    // What is filed for a place that is not there stands on no run, and stays.
    if (address === 'nowhere') return null;
    // A file may leave it out where the wall has one run.
    const run = address?.run ?? (holder[name] as number | undefined) ?? 0;
    const to = newRun(run);
    if (to === run) return null;
    if (to !== null) return { to: address ? { ...holder, ...address.onto(to) } : { ...holder, [name]: to } };
    const called = (at?.key.called as Called | undefined) ?? 'thing';
    gone.set(called, (gone.get(called) ?? 0) + 1);
    return 'gone';
  }) as Wall;
  return { wall: made, lost: [...gone].map(([what, count]) => EDITS.lost({ what, count })) };
}

/** Another wall's ends on this one, brought along. */
function onNewRunsOf(other: Wall, wall: string, newRun: NewRun): { wall: Wall; lost: boolean } {
  let lost = false;
  const made = rewrite(other, WALL, (part, statement) => {
    if (statement.kind !== 'object') return null;
    for (const [name, { shape }] of Object.entries(statement.keys)) {
      if (shape.kind !== 'number' || shape.is === undefined || shape.is.run === 'own') continue;
      const holder = part as Record<string, unknown>;
      if (holder[shape.is.run.of] !== wall) continue;
      const to = newRun(holder[name] as number);
      if (to === null) {
        lost = true;
        return 'gone';
      }
      return to === holder[name] ? null : { to: { ...holder, [name]: to } };
    }
    return null;
  }) as Wall;
  return { wall: made, lost };
}

/** A wall given another line, and everything that stands on its runs brought along, in it and in walls that meet it. */
export function rehung(job: JobDocument, index: number, line: LineItem[], newRun: NewRun): Rehung {
  const wall = job.walls[index];
  if (!wall) return { job, lost: [] };
  const own = onNewRuns(wall, newRun);
  const lost: Said[] = [...own.lost];
  const walls = job.walls.map((other, k) => {
    if (k === index) return { ...own.wall, line };
    const brought = onNewRunsOf(other, wall.id, newRun);
    if (brought.lost) lost.push(EDITS['where-other-meets']({ wall: other.name }));
    return brought.wall;
  });
  return { job: { ...job, walls }, lost };
}

/** How many runs a line has: straight ones and curves. */
export const runsOf = (line: readonly LineItem[]): number => line.filter((item) => !isTurn(item)).length;

/** A wall given another line: what stood on runs that are gone goes with them. */
export function withLine(job: JobDocument, index: number, line: LineItem[]): Rehung {
  const runs = runsOf(line);
  return rehung(job, index, line, (run) => (run < runs ? run : null));
}

/** A wall without one item of its line: where that is a run, what stood on it goes, and later runs move down. */
export function withoutItem(job: JobDocument, index: number, item: number): Rehung {
  const line = job.walls[index]?.line ?? [];
  const gone = line[item];
  const rest = line.filter((_, i) => i !== item);
  if (!gone || isTurn(gone)) return rehung(job, index, rest, (run) => run);
  const at = runsOf(line.slice(0, item));
  return rehung(job, index, rest, (run) => (run === at ? null : run > at ? run - 1 : run));
}

/** A wall like this one, with nothing that stands on its runs. */
export const bareWall = (wall: Wall): Wall => onNewRuns(wall, () => null).wall;
