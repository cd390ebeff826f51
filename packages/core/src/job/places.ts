import { readAddress, runOf, type Address } from '../places/address.js';
import type { Statement } from '../statement/statement.js';
import { rewrite, statementOf } from '../statement/walk.js';
import { pointer } from '../statement/fault.js';
import { wall as WALL } from './forms/wall.js';
import { isTurn, type Wall } from './types.js';

/** Ids of a wall's runs in order, nothing where one has none. */
export const runIds = (wall: Pick<Wall, 'line'>): (string | undefined)[] =>
  wall.line.flatMap((item) => (isTurn(item) ? [] : [item.id]));

/** The key of an object that may hold an address, and the one that may hold its run instead. */
export function placeKeys(statement: Statement): { place: string; run: string } | null {
  if (statement.kind !== 'object') return null;
  let [place, run]: [string | null, string | null] = [null, null];
  for (const [name, { shape }] of Object.entries(statement.keys)) {
    if (shape.kind === 'text' && shape.is && 'place' in shape.is) place = name;
    if (shape.kind === 'number' && shape.is?.run === 'own') run = name;
  }
  return place !== null && run !== null ? { place, run } : null;
}

export interface Placed {
  address: Address;
  run: number;
}

/** What an address in a wall's own entries means: null where the wall has no such run, or the text is none. */
export function placedIn(wall: Pick<Wall, 'id' | 'line'>, place: string): Placed | null {
  const address = readAddress(place);
  if (!address || address.wall !== wall.id) return null;
  const run = runOf(address.run, runIds(wall));
  return run === null ? null : { address, run };
}

/** Entries of a wall whose address points at no run of it, with their paths in it. */
export function lostPlaces(wall: Wall): { path: string; place: string }[] {
  const lost: { path: string; place: string }[] = [];
  const look = (value: unknown, path: string, key: string): void => {
    if (!Array.isArray(value)) return;
    value.forEach((one: unknown, i) => {
      const place = (one as Record<string, unknown>)[key];
      if (typeof place === 'string' && !placedIn(wall, place)) lost.push({ path: pointer(path, i), place });
    });
  };
  walkLists(WALL, wall, '', look);
  return lost;
}

/** Every list of a value whose entries may have an address, with its path and the key of it. */
function walkLists(
  statement: Statement,
  value: unknown,
  path: string,
  see: (value: unknown, path: string, key: string) => void,
): void {
  if (statement.kind === 'list') {
    const keys = placeKeys(statement.of);
    if (keys) see(value, path, keys.place);
    return;
  }
  const own = value === undefined ? null : statementOf(value, statement);
  if (own?.kind !== 'object' || typeof value !== 'object' || value === null) return;
  for (const [name, key] of Object.entries(own.keys))
    walkLists(key.shape, (value as Record<string, unknown>)[name], pointer(path, name), see);
}

/** The addresses of a wall put through a change; the same wall where none is changed. */
export const withAddresses = (
  wall: Wall,
  change: (address: Address) => Address | null,
  write: (a: Address) => string,
): Wall =>
  rewrite(wall, WALL, (part, statement) => {
    if (statement.kind !== 'text' || !statement.is || !('place' in statement.is)) return null;
    const address = readAddress(part as string);
    const to = address && change(address);
    return to ? { to: write(to) } : null;
  }) as Wall;
