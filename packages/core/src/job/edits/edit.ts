import { same } from '../../statement/same.js';
import type { Statement } from '../../statement/statement.js';
import { pointer } from '../../statement/fault.js';
import { idKey, statementOf } from '../../statement/walk.js';
import { JOB_FORM, type JobDocument } from '../form.js';
import type { Wall } from '../types.js';
import { byId, merge, NOTHING, placeFor, type Clash } from './merge.js';
import { allNamed, lineSign, lostRuns, named, numbered } from './named.js';

/**
 * One thing changed: what stood there and what stands there now, either of which may be nothing. Places in lists are
 * named by their ids, and runs by theirs, so that it means the same on a document that others have changed.
 */
export interface Change {
  /** A JSON pointer in which `@id` stands for the entry of a list with that id. */
  at: string;
  from?: unknown;
  to?: unknown;
  /** Ids of the entries it stood between, where an entry comes or goes. */
  between?: [before: string | null, after: string | null];
}

/** An edit: changes that belong together, and what else must still stand for them to mean what they meant. */
export interface Edit {
  changes: Change[];
  /** Lines of walls whose runs have no names and are spoken of by number, by the wall's id: before it and after. */
  lines?: Record<string, [before: string, after: string]>;
}

const isObject = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

const valued = (from: unknown, to: unknown): Pick<Change, 'from' | 'to'> => ({
  ...(from === NOTHING ? {} : { from }),
  ...(to === NOTHING ? {} : { to }),
});

/** Ids of a list's neighbours on both sides of a place, of those that stand in the other list too. */
const neighbours = (
  ids: readonly string[],
  i: number,
  other: Map<string, unknown>,
): [string | null, string | null] => [
  ids[i - 1] ?? null,
  ids.slice(i + 1).find((id) => other.has(id)) ?? null,
];

function listChanges(was: unknown[], now: unknown[], of: Statement, at: string): Change[] | null {
  const key = idKey(of);
  if (key === null) return null;
  const idOf = (one: unknown): unknown => (one as Record<string, unknown>)[key];
  // The usual edit: the same things in the same order, most of them the same objects.
  if (was.length === now.length && was.every((one, i) => one === now[i] || idOf(one) === idOf(now[i])))
    return now.flatMap((one, i) =>
      one === was[i] ? [] : changesOf(was[i], one, of, pointer(at, `@${String(idOf(one))}`)),
    );
  const [a, b] = [byId(was, key), byId(now, key)];
  if (!a || !b) return null;
  const [before, after] = [[...a.keys()], [...b.keys()]];
  const stayed = before.filter((id) => b.has(id));
  // Put in another order, the list is taken as a whole.
  if (after.filter((id) => a.has(id)).some((id, i) => id !== stayed[i])) return null;
  const gone = before.flatMap((id, i): Change[] =>
    b.has(id) ? [] : [{ at: pointer(at, `@${id}`), from: a.get(id), between: neighbours(before, i, b) }],
  );
  return [
    ...gone,
    ...after.flatMap((id, i): Change[] =>
      a.has(id)
        ? changesOf(a.get(id), b.get(id), of, pointer(at, `@${id}`))
        : [{ at: pointer(at, `@${id}`), to: b.get(id), between: neighbours(after, i, a) }],
    ),
  ];
}

/** What was changed between two values, as small as it goes. What is the same object in both is not looked into. */
function changesOf(was: unknown, now: unknown, statement: Statement, at: string): Change[] {
  if (was === now) return [];
  const own = statementOf(now, statement);
  const whole = (): Change[] => (same(was, now) ? [] : [{ at, ...valued(was, now) }]);
  if (!own || own !== statementOf(was, statement)) return whole();
  if (own.kind === 'list' && Array.isArray(was) && Array.isArray(now))
    return listChanges(was, now, own.of, at) ?? whole();
  if (own.kind !== 'object' || !isObject(was) || !isObject(now)) return whole();
  return Object.entries(own.keys).flatMap(([name, key]) =>
    changesOf(was[name], now[name], key.shape, pointer(at, name)),
  );
}

/** A document with the runs of these walls named instead of numbered. */
const withNames = (job: JobDocument, ids: ReadonlySet<string>): JobDocument => ({
  ...job,
  walls: job.walls.map((w) => (ids.has(w.id) ? named(job, w) : w)),
});

const wallsBy = (job: JobDocument): Map<string, Wall> => new Map(job.walls.map((w) => [w.id, w]));

/** Walls that are not the same object in both documents, and those that meet one whose line is another. */
function touched(before: JobDocument, after: JobDocument): Set<string> {
  const ids = new Set<string>();
  const lines = new Set<string>();
  const see = (was: Wall | undefined, is: Wall | undefined): void => {
    if (was === is) return;
    const id = (is ?? was)?.id;
    if (id === undefined) return;
    ids.add(id);
    if (was?.line !== is?.line) lines.add(id);
  };
  const inPlace =
    before.walls.length === after.walls.length &&
    before.walls.every((w, i) => w === after.walls[i] || w.id === after.walls[i]?.id);
  if (inPlace) before.walls.forEach((w, i) => see(w, after.walls[i]));
  else {
    const [a, b] = [wallsBy(before), wallsBy(after)];
    for (const id of new Set([...a.keys(), ...b.keys()])) see(a.get(id), b.get(id));
  }
  if (lines.size > 0)
    for (const w of [...before.walls, ...after.walls]) if (w.meets && lines.has(w.meets.wall)) ids.add(w.id);
  return ids;
}

/** The edit that makes one document into another. Both are left as they are. */
export function editOf(before: JobDocument, after: JobDocument): Edit {
  const ids = touched(before, after);
  const changes = changesOf(withNames(before, ids), withNames(after, ids), JOB_FORM, '');
  const lines: NonNullable<Edit['lines']> = {};
  for (const w of before.walls) {
    const then = ids.has(w.id) ? after.walls.find((one) => one.id === w.id) : undefined;
    if (!then || (allNamed(w) && allNamed(then))) continue;
    const goes = lineSign(w, false) !== lineSign(then, false);
    if (goes || w.line !== then.line || speaksOfRuns(changes, w.id))
      lines[w.id] = [lineSign(w, goes), lineSign(then, goes)];
  }
  return { changes, ...(Object.keys(lines).length > 0 ? { lines } : {}) };
}

/** Whether changes speak of a run of a wall by its number. */
const speaksOfRuns = (changes: readonly Change[], wall: string): boolean =>
  changes.some(
    ({ at, from, to }) =>
      (at.startsWith(`${pointer('/walls', `@${wall}`)}/`) || at.includes('/meets')) &&
      /"#\d+"|\/#\d/.test(JSON.stringify([from ?? null, to ?? null])),
  );

/** The edit that takes another back. What comes back into a list does when what had come has gone from between its neighbours. */
export function inverse(edit: Edit): Edit {
  const changes = edit.changes.map(({ at, from, to, between }): Change => ({
    at,
    ...valued(to, from),
    ...(between ? { between } : {}),
  }));
  const goes = (c: Change): boolean => c.between !== undefined && c.to === NOTHING;
  const lines = Object.entries(edit.lines ?? {}).map(([id, [a, b]]) => [id, [b, a]] as const);
  return {
    changes: [...changes.filter(goes), ...changes.filter((c) => !goes(c))],
    ...(edit.lines ? { lines: Object.fromEntries(lines) as NonNullable<Edit['lines']> } : {}),
  };
}

export type Carried =
  { ok: true; document: JobDocument } | { ok: false; clashes: Clash[]; document: JobDocument };

/** The keys of a place, each as it is in the document, entries of lists as `@` and their id. */
export const segments = (at: string): string[] =>
  at
    .split('/')
    .slice(1)
    .map((p) => p.replace(/~1/g, '/').replace(/~0/g, '~'));

type Made = { value: unknown; clashes: Clash[] };

/** One change carried over a value: the parts on the way are copied, the rest is left as it is. */
function carried(value: unknown, keys: readonly string[], statement: Statement, change: Change): Made {
  const [key, ...rest] = keys;
  const { at, from, to } = change;
  if (key === undefined) return merge(from, to, value, statement, at);
  const own = value === NOTHING ? null : statementOf(value, statement);
  // What held it is gone: where it was to go too, it has; else it is changed by one and taken out by another.
  const missing: Made = {
    value,
    clashes: to === NOTHING ? [] : [{ at, was: from, mine: to, theirs: NOTHING }],
  };
  if (own?.kind === 'object' && isObject(value)) {
    const stated = own.keys[key];
    if (!stated) return missing;
    const inner = carried(value[key], rest, stated.shape, change);
    const made = { ...value };
    if (inner.value === NOTHING) delete made[key];
    else made[key] = inner.value;
    return { value: made, clashes: inner.clashes };
  }
  const idName = own?.kind === 'list' ? idKey(own.of) : null;
  if (own?.kind !== 'list' || !Array.isArray(value) || !key.startsWith('@') || idName === null)
    return missing;
  const id = key.slice(1);
  const ids = (value as Record<string, unknown>[]).map((one) => String(one[idName]));
  const i = ids.indexOf(id);
  if (i < 0 && rest.length > 0) return missing;
  const inner = carried(value[i], rest, own.of, change);
  const made: unknown[] = [...(value as unknown[])];
  if (inner.value === NOTHING) {
    if (i >= 0) made.splice(i, 1);
  } else if (i >= 0) made[i] = inner.value;
  else {
    const [before, after] = change.between ?? [ids.at(-1) ?? null, null];
    made.splice(placeFor(id, before, after, ids), 0, inner.value);
  }
  return { value: made, clashes: inner.clashes };
}

/** Ids of the walls an edit changes anything of. */
export const wallsOf = (edit: Edit): Set<string> =>
  new Set(
    edit.changes.flatMap(({ at }) => {
      const [list, wall] = segments(at);
      return list === 'walls' && wall?.startsWith('@') ? [wall.slice(1)] : [];
    }),
  );

/**
 * An edit carried over a document that others may have changed since it was made. Where what it changes is as it was, or has
 * become what it makes of it, that is all; where somebody else has made something else of it, it is said, and theirs stands.
 */
export function carry(edit: Edit, now: JobDocument): Carried {
  const clashes: Clash[] = [];
  for (const [id, [was, then]] of Object.entries(edit.lines ?? {})) {
    const wall = now.walls.find((w) => w.id === id);
    const sign = wall && lineSign(wall, was.includes('|'));
    if (sign === undefined || sign === was || sign === then) continue;
    clashes.push({ at: `${pointer('/walls', `@${id}`)}/line`, was: NOTHING, mine: NOTHING, theirs: NOTHING });
  }
  if (clashes.length > 0) return { ok: false, clashes, document: now };
  const ids = wallsOf(edit);
  for (const w of now.walls) if (w.meets && ids.has(w.meets.wall)) ids.add(w.id);
  let made: unknown = withNames(now, ids);
  for (const change of edit.changes) {
    const one = carried(made, segments(change.at), JOB_FORM, change);
    made = one.value;
    clashes.push(...one.clashes);
  }
  const whole = made as JobDocument;
  const walls = whole.walls.map((w) => (ids.has(w.id) ? numbered(whole, w) : w));
  // Somebody else has put something on a run this takes out, or the other way about.
  for (const w of walls)
    if (ids.has(w.id) && lostRuns(w))
      clashes.push({
        at: `${pointer('/walls', `@${w.id}`)}/line`,
        was: NOTHING,
        mine: NOTHING,
        theirs: NOTHING,
      });
  const document = { ...whole, walls };
  return clashes.length === 0 ? { ok: true, document } : { ok: false, clashes, document };
}

/** What stands at a place of a document; nothing where there is no such place. */
function valueAt(document: JobDocument, at: string): unknown {
  let [value, statement]: [unknown, Statement | null] = [document, JOB_FORM];
  for (const key of segments(at)) {
    const own: Statement | null = statement && statementOf(value, statement);
    if (own?.kind === 'object' && isObject(value)) {
      statement = own.keys[key]?.shape ?? null;
      value = value[key];
    } else if (own?.kind === 'list' && Array.isArray(value)) {
      const name = idKey(own.of);
      statement = own.of;
      value = (value as Record<string, unknown>[]).find((one) => name !== null && one[name] === key.slice(1));
    } else return NOTHING;
  }
  return value;
}

/**
 * An edit laid over a document where it clashes too: what somebody else made otherwise is made as the edit has it, and what they
 * took out is put back as it is in `mine`, the document the edit was made in, where that is still at hand.
 */
export function forced(edit: Edit, over: JobDocument, mine: JobDocument | null): JobDocument {
  const first = carry({ changes: edit.changes }, over);
  if (first.ok) return first.document;
  return first.clashes.reduce((document, clash) => {
    const steps = clash.at.split('/');
    // The outermost thing of which this is a part and which is there no more.
    const gone = steps
      .map((_, i) => steps.slice(0, i + 1).join('/'))
      .find((at, i) => steps[i]?.startsWith('@') && valueAt(document, at) === NOTHING);
    const back = gone === undefined || !mine ? NOTHING : valueAt(mine, gone);
    const change: Change =
      gone !== undefined && back !== NOTHING
        ? { at: gone, to: back }
        : { at: clash.at, ...valued(clash.theirs, clash.mine) };
    const done = carry({ changes: [change] }, document);
    return done.ok ? done.document : document;
  }, first.document);
}
