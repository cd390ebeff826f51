import type { Statement } from '../../statement/statement.js';
import { same } from '../../statement/same.js';
import { idKey, statementOf } from '../../statement/walk.js';
import { pointer } from '../../statement/fault.js';

/** Nothing stands there. */
export const NOTHING = undefined;

/** One thing two people have each changed otherwise. */
export interface Clash {
  /** Where, as a pointer with ids for places in lists. */
  at: string;
  was: unknown;
  mine: unknown;
  theirs: unknown;
}

export type Merged = { value: unknown; clashes: Clash[] };

const isObject = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

const calm = (value: unknown): Merged => ({ value, clashes: [] });

/** Entries of a list by their ids; null where two share one, or one has none. */
export function byId(list: readonly unknown[], key: string): Map<string, unknown> | null {
  const map = new Map<string, unknown>();
  for (const one of list) {
    const id = isObject(one) ? one[key] : undefined;
    if (typeof id !== 'string' || map.has(id)) return null;
    map.set(id, one);
  }
  return map;
}

/**
 * Where an entry goes among `ids`: after the one before it and before the one after it, of the entries it stood between.
 * What has come between them meanwhile is put in the order of ids, so that it is the same whoever came first.
 */
export function placeFor(
  id: string,
  before: string | null,
  after: string | null,
  ids: readonly string[],
): number {
  const left = before === null ? 0 : ids.indexOf(before) + 1;
  const found = after === null ? ids.length : ids.indexOf(after);
  const right = found < 0 ? ids.length : found;
  if (before !== null && left === 0) return right;
  let at = left;
  while (at < right && (ids[at] ?? '') < id) at += 1;
  return at;
}

/** Two lists whose entries have ids, each changed from the same one. */
function mergeById(
  [was, mine, theirs]: readonly [Map<string, unknown>, Map<string, unknown>, Map<string, unknown>],
  of: Statement,
  at: string,
): Merged {
  const clashes: Clash[] = [];
  const ids = [...theirs.keys()];
  const values = new Map(theirs);
  for (const id of new Set([...was.keys(), ...mine.keys()])) {
    const one = merge(was.get(id), mine.get(id), values.get(id), of, pointer(at, `@${id}`));
    clashes.push(...one.clashes);
    if (one.value === NOTHING) {
      values.delete(id);
      if (ids.includes(id)) ids.splice(ids.indexOf(id), 1);
      continue;
    }
    values.set(id, one.value);
    if (ids.includes(id)) continue;
    const own = [...mine.keys()];
    const i = own.indexOf(id);
    const after = own.slice(i + 1).find((other) => was.has(other)) ?? null;
    ids.splice(placeFor(id, own[i - 1] ?? null, after, ids), 0, id);
  }
  return { value: ids.map((id) => values.get(id)), clashes };
}

/** What of a list was changed into what: what is alike before and behind left off. */
function changed(
  was: readonly unknown[],
  to: readonly unknown[],
): { from: number; end: number; made: unknown[] } {
  let from = 0;
  while (from < was.length && from < to.length && same(was[from], to[from])) from += 1;
  let behind = 0;
  while (
    behind < was.length - from &&
    behind < to.length - from &&
    same(was[was.length - 1 - behind], to[to.length - 1 - behind])
  )
    behind += 1;
  return { from, end: was.length - behind, made: to.slice(from, to.length - behind) };
}

/** Whether a list has already had done to it what made `mine` of `was`: what else was done leaves that as it is. */
function included(was: readonly unknown[], mine: readonly unknown[], theirs: readonly unknown[]): boolean {
  const own = changed(was, mine);
  const [from, end] = [own.from, own.from + own.made.length];
  const other = changed(mine, theirs);
  const taken = was.slice(own.from, own.end).filter((one) => !own.made.some((made) => same(made, one)));
  if (other.made.some((one) => taken.some((gone) => same(gone, one)))) return false;
  return own.made.length > 0 ? other.end <= from || other.from >= end : other.end < from || other.from > end;
}

/** Two lists whose entries have no ids: changed at different places both changes are taken, and so is what both add at one. */
function mergeInPlace(was: unknown[], mine: unknown[], theirs: unknown[], of: Statement, at: string): Merged {
  if (included(was, mine, theirs)) return calm(theirs);
  if (included(was, theirs, mine)) return calm(mine);
  const [a, b] = [changed(was, mine), changed(was, theirs)];
  const [first, then] = a.from <= b.from ? [a, b] : [b, a];
  const clash = (): Merged => ({ value: theirs, clashes: [{ at, was, mine, theirs }] });
  if (first.end < then.from || (first.end === then.from && first.from < then.from))
    return calm([
      ...was.slice(0, first.from),
      ...first.made,
      ...was.slice(first.end, then.from),
      ...then.made,
      ...was.slice(then.end),
    ]);
  if (a.from !== b.from) return clash();
  // Both only put something in at the same place: both is there, in an order that does not hang on who was first.
  if (a.end === a.from && b.end === b.from) {
    const both = [a.made, b.made].sort((x, y) => (JSON.stringify(x) < JSON.stringify(y) ? -1 : 1));
    return calm([...was.slice(0, a.from), ...both.flat(), ...was.slice(a.from)]);
  }
  // The same entries changed, none put in or taken out: entry by entry.
  if (a.made.length === a.end - a.from && b.made.length === b.end - b.from) {
    const to = Math.max(a.end, b.end);
    const each = was.slice(a.from, to).map((one, i) => {
      const k = a.from + i;
      return merge(one, mine[k], theirs[k], of, pointer(at, k));
    });
    return {
      value: [...was.slice(0, a.from), ...each.map((e) => e.value), ...was.slice(to)],
      clashes: each.flatMap((e) => e.clashes),
    };
  }
  return clash();
}

/** What two people have made of one value, each from what it was. Where they cannot both be had theirs stands, and it is said. */
export function merge(
  was: unknown,
  mine: unknown,
  theirs: unknown,
  statement: Statement,
  at: string,
): Merged {
  if (same(mine, theirs) || same(was, mine)) return calm(theirs);
  if (same(was, theirs)) return calm(mine);
  const clash: Merged = { value: theirs, clashes: [{ at, was, mine, theirs }] };
  const list = statement.kind === 'list' && idKey(statement.of) !== null;
  if (list && [was, mine, theirs].some((one) => one === NOTHING) && (mine ?? theirs) !== NOTHING) {
    // A list that is not there yet, or no more, is one with nothing in it.
    const made = merge(was ?? [], mine ?? [], theirs ?? [], statement, at);
    const none =
      Array.isArray(made.value) && made.value.length === 0 && (mine === NOTHING || theirs === NOTHING);
    return none ? { ...made, value: NOTHING } : made;
  }
  // Something both have made is made up of what each has put in it.
  if (was === NOTHING && isObject(mine) && isObject(theirs)) return merge({}, mine, theirs, statement, at);
  const own = statementOf(mine, statement);
  if (!own || own !== statementOf(theirs, statement) || own !== statementOf(was, statement)) return clash;
  if (own.kind === 'object' && isObject(was) && isObject(mine) && isObject(theirs)) {
    const made: Record<string, unknown> = {};
    const clashes: Clash[] = [];
    for (const [name, key] of Object.entries(own.keys)) {
      const one = merge(was[name], mine[name], theirs[name], key.shape, pointer(at, name));
      clashes.push(...one.clashes);
      if (one.value !== NOTHING) made[name] = one.value;
    }
    return { value: made, clashes };
  }
  if (own.kind !== 'list' || !Array.isArray(was) || !Array.isArray(mine) || !Array.isArray(theirs))
    return clash;
  const key = idKey(own.of);
  const maps = key === null ? [] : [was, mine, theirs].map((list: unknown[]) => byId(list, key));
  const [a, b, c] = maps;
  if (a && b && c) return mergeById([a, b, c], own.of, at);
  return mergeInPlace(was, mine, theirs, own.of, at);
}
