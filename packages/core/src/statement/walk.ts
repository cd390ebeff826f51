import { pointer } from './fault.js';
import { objectAmong, type Key, type Statement } from './statement.js';

/** What an object is told apart by, in a list where each has its own: the name of that key, or null. */
export function idKey(statement: Statement): string | null {
  if (statement.kind !== 'object') return null;
  const found = Object.entries(statement.keys).find(
    ([, { shape }]) => shape.kind === 'text' && shape.is !== undefined && 'id' in shape.is,
  );
  return found && !found[1].optional ? found[0] : null;
}

const isObject = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

/** Which of several a value is stated by; a statement of one thing is its own. Null where the value is none of them. */
export function statementOf(value: unknown, statement: Statement): Statement | null {
  if (statement.kind === 'byKey') {
    const name = isObject(value) && Object.keys(statement.cases).find((key) => Object.hasOwn(value, key));
    return (name !== false && name !== undefined && statement.cases[name]) || null;
  }
  if (statement.kind === 'byTag') {
    const tag = isObject(value) ? value[statement.tag] : undefined;
    return (typeof tag === 'string' && statement.cases[tag]) || null;
  }
  if (statement.kind === 'either') {
    if (!isObject(value)) return statement.shapes.find((s) => s !== objectAmong(statement.shapes)) ?? null;
    const own = objectAmong(statement.shapes);
    return own && statementOf(value, own);
  }
  return statement;
}

/** What a visitor makes of a part: another value for it, nothing at all, or (null) what its own parts come to. */
export type Visited = { to: unknown } | 'gone' | null;

/** Where a part stands: its key, and the object that has it. */
export interface Standing {
  holder: Record<string, unknown>;
  key: Key;
  name: string;
}

/**
 * A value with every part put through a visitor, from the whole inwards. What nothing was changed in is the very same
 * object as before. Entries of a list are visited as standing where the list does.
 */
export function rewrite<T>(
  value: T,
  statement: Statement,
  visit: (value: unknown, statement: Statement, at: Standing | null) => Visited,
  at: Standing | null = null,
): T | undefined {
  const own = statementOf(value, statement);
  if (!own) return value;
  const visited = visit(value, own, at);
  if (visited === 'gone') return undefined;
  if (visited) return visited.to as T;
  if (own.kind === 'list' && Array.isArray(value)) {
    const given: unknown[] = value;
    const made = given.flatMap((one) => {
      const next = rewrite(one, own.of, visit, at);
      return next === undefined ? [] : [next];
    });
    return made.length === given.length && made.every((one, i) => one === given[i]) ? value : (made as T);
  }
  if (own.kind !== 'object' || !isObject(value)) return value;
  let made: Record<string, unknown> | null = null;
  for (const [name, key] of Object.entries(own.keys)) {
    if (!Object.hasOwn(value, name)) continue;
    const next = rewrite(value[name], key.shape, visit, { holder: value, key, name });
    if (next === value[name]) continue;
    made ??= { ...value };
    if (next === undefined) delete made[name];
    else made[name] = next;
  }
  return (made ?? value) as T;
}

/** What is made of a statement once, whoever asks again. */
function once<T>(work: (statement: Statement) => T): (statement: Statement) => T {
  const known = new WeakMap<Statement, T>();
  return (statement) => {
    const found = known.get(statement);
    if (found !== undefined) return found;
    const made = work(statement);
    known.set(statement, made);
    return made;
  };
}

/** Whether anything in a statement is a height: lists of thousands that have none are not walked. */
const hasHeights: (statement: Statement) => boolean = once((s) => {
  if (s.kind === 'length') return s.is !== undefined && 'up' in s.is;
  if (s.kind === 'list') return hasHeights(s.of);
  if (s.kind === 'object') return Object.values(s.keys).some((key) => hasHeights(key.shape));
  if (s.kind === 'byKey' || s.kind === 'byTag') return Object.values(s.cases).some(hasHeights);
  return s.kind === 'either' && s.shapes.some(hasHeights);
});

/** Keys of an object under which there may be heights. */
const heightKeys = once((s) =>
  s.kind === 'object'
    ? Object.entries(s.keys).flatMap(([name, { shape }]) =>
        hasHeights(shape) ? [[name, shape] as const] : [],
      )
    : [],
);

/** Every height above its wall's base that a value states, with its path in it. */
export function heightsIn(
  value: unknown,
  statement: Statement,
  path = '',
): { path: string; value: number | string }[] {
  if (!hasHeights(statement)) return [];
  const own = statementOf(value, statement);
  if (own?.kind === 'length') return [{ path, value: value as number | string }];
  if (own?.kind === 'list' && Array.isArray(value))
    return value.flatMap((one, i) => heightsIn(one, own.of, pointer(path, i)));
  if (own?.kind !== 'object' || !isObject(value)) return [];
  const found: { path: string; value: number | string }[] = [];
  for (const [name, shape] of heightKeys(own))
    if (Object.hasOwn(value, name)) found.push(...heightsIn(value[name], shape, pointer(path, name)));
  return found;
}
