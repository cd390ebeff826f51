import { rewrite } from '../../statement/walk.js';
import type { Statement } from '../../statement/statement.js';
import type { JobDocument } from '../form.js';
import { wall as WALL } from '../forms/wall.js';
import { isTurn, type Wall } from '../types.js';

/**
 * Runs are numbered in a file, and a number means another run once one before it is gone. So that an edit means the
 * same on a newer document, it names runs: by their id, or by their number with a sign before it where they have none.
 */
const BY_NUMBER = '#';

/** What a wall's runs are called, in order: their ids, and `#` with the number where one has none. */
export const runNames = (wall: Pick<Wall, 'line'>): string[] =>
  wall.line
    .filter((item) => !isTurn(item))
    .map((item, i) => ('id' in item && item.id !== undefined ? `=${item.id}` : `${BY_NUMBER}${i}`));

/** Whether every run keeps its name when others come and go. */
export const allNamed = (wall: Pick<Wall, 'line'>): boolean =>
  runNames(wall).every((name) => !name.startsWith(BY_NUMBER));

const holderIs = (shape: Statement): 'own' | { of: string } | null =>
  shape.kind === 'number' && shape.is ? shape.is.run : null;

function renamed(
  value: unknown,
  statement: Statement,
  own: (run: unknown) => unknown,
  other: (run: unknown, wall: unknown) => unknown,
): unknown {
  return rewrite(value, statement, (part, shape, at) => {
    const is = holderIs(shape);
    if (!is || !at) return null;
    const to = is === 'own' ? own(part) : other(part, at.holder[is.of]);
    return to === part ? null : { to };
  });
}

const nameOf = (names: readonly string[], run: unknown): unknown =>
  typeof run === 'number' ? (names[run] ?? run) : run;
const numberOf = (names: readonly string[], run: unknown): unknown => {
  if (typeof run !== 'string') return run;
  const found = names.indexOf(run);
  return found < 0 ? run : found;
};

/** A wall with every run it speaks of, its own or another wall's, said by `said` from that wall's names. */
const spoken = (job: JobDocument, wall: Wall, said: typeof nameOf): Wall =>
  renamed(
    wall,
    WALL,
    (run) => said(runNames(wall), run),
    (run, of) => {
      const other = job.walls.find((w) => w.id === of);
      return other ? said(runNames(other), run) : run;
    },
  ) as Wall;

/** A wall of a document with its runs named, and one with them numbered again; the same object where it has none to name. */
export const named = (job: JobDocument, wall: Wall): Wall => spoken(job, wall, nameOf);
export const numbered = (job: JobDocument, wall: Wall): Wall => spoken(job, wall, numberOf);

/** Where a run is still called by a name nothing has: what stood on it has lost it. */
export function lostRuns(wall: Wall): boolean {
  let lost = false;
  rewrite(wall, WALL, (part, shape) => {
    if (holderIs(shape) && typeof part === 'string') lost = true;
    return null;
  });
  return lost;
}

/** How a wall's line goes: its runs, turns and curves in order, with their ids. */
const lineGoes = (wall: Wall): string =>
  wall.line
    .map((item) => ('turn' in item ? 't' : `${'arc' in item ? 'a' : 'r'}${JSON.stringify(item.id ?? 0)}`))
    .join(' ');

/** What stands on a wall's runs, and on which. */
function hangs(wall: Wall): string {
  const all: string[] = [];
  rewrite(wall, WALL, (part, shape, at) => {
    const address = shape.kind === 'text' && shape.is !== undefined && 'place' in shape.is;
    if (holderIs(shape) === 'own' || address) all.push(JSON.stringify([at?.holder.id ?? 0, part]));
    return null;
  });
  return all.sort().join(' ');
}

/**
 * What must still stand of a wall whose runs have no names, for the number of one to mean what it meant: how its line goes,
 * and, where that is changed itself, everything that stands on it.
 */
export const lineSign = (wall: Wall, changesIt: boolean): string =>
  changesIt ? `${lineGoes(wall)}|${hangs(wall)}` : lineGoes(wall);
