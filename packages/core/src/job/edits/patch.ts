import { sayValue } from '../../statement/fault.js';

/** One step of a patch, as in JSON Patch (RFC 6902), the three operations a job needs. */
export type PatchStep =
  | { op: 'add'; path: string; value: unknown }
  | { op: 'replace'; path: string; value: unknown }
  | { op: 'remove'; path: string };

export type Patch = PatchStep[];

export type Applied<T> = { ok: true; value: T; inverse: Patch } | { ok: false; why: string };

const parts = (path: string): string[] =>
  path
    .split('/')
    .slice(1)
    .map((p) => p.replace(/~1/g, '/').replace(/~0/g, '~'));

const FORBIDDEN = new Set(['__proto__', 'constructor', 'prototype']);

function read(value: unknown, keys: string[]): unknown {
  let at: unknown = value;
  for (const key of keys) {
    if (typeof at !== 'object' || at === null || !Object.hasOwn(at, key)) return undefined;
    at = (at as Record<string, unknown>)[key];
  }
  return at;
}

type Container = Record<string, unknown> | unknown[];

/** Copies the containers on the way to `keys`, so that the value given is never changed. */
function withCopied(
  value: unknown,
  keys: string[],
  change: (holder: Container, key: string) => void,
): unknown {
  const copy = Array.isArray(value) ? [...(value as unknown[])] : { ...(value as Record<string, unknown>) };
  const [key = '', ...rest] = keys;
  if (rest.length === 0) change(copy, key);
  else
    (copy as Record<string, unknown>)[key] = withCopied((copy as Record<string, unknown>)[key], rest, change);
  return copy;
}

function step(value: unknown, edit: PatchStep): { value: unknown; inverse: PatchStep } | string {
  const keys = parts(edit.path);
  const last = keys.at(-1);
  if (last === undefined || keys.some((k) => FORBIDDEN.has(k))) return `${edit.path || '/'} cannot be edited`;
  const holder = read(value, keys.slice(0, -1));
  if (typeof holder !== 'object' || holder === null) return `${edit.path}: there is nothing to edit there`;
  const list = Array.isArray(holder);
  const index = last === '-' && list ? holder.length : Number(last);
  if (list && !(Number.isInteger(index) && index >= 0 && index <= holder.length)) {
    return `${edit.path}: wanted a place from 0 to ${holder.length}, got ${sayValue(last)}`;
  }
  const exists = list ? index < holder.length : Object.hasOwn(holder, last);
  const old = list ? (holder as unknown[])[index] : (holder as Record<string, unknown>)[last];
  if (edit.op !== 'add' && !exists) return `${edit.path}: wanted something to ${edit.op}, got nothing`;
  const path = list ? `${edit.path.slice(0, edit.path.lastIndexOf('/'))}/${index}` : edit.path;
  const next = withCopied(value, keys, (copy) => {
    if (Array.isArray(copy)) {
      if (edit.op === 'add') copy.splice(index, 0, edit.value);
      else if (edit.op === 'remove') copy.splice(index, 1);
      else copy[index] = edit.value;
    } else if (edit.op === 'remove') delete copy[last];
    else copy[last] = edit.value;
  });
  if (edit.op === 'remove') return { value: next, inverse: { op: 'add', path, value: old } };
  if (edit.op === 'add' && (list || !exists)) return { value: next, inverse: { op: 'remove', path } };
  return { value: next, inverse: { op: 'replace', path, value: old } };
}

/**
 * Applies an edit to a document and gives the document after it and the edit that takes it back.
 * The document handed in is never changed. Refuses, with one sentence, what points nowhere.
 */
export function applyPatch<T>(document: T, edit: Patch): Applied<T> {
  let value: unknown = document;
  const inverse: Patch = [];
  for (const one of edit) {
    const done = step(value, one);
    if (typeof done === 'string') return { ok: false, why: done };
    value = done.value;
    inverse.unshift(done.inverse);
  }
  return { ok: true, value: value as T, inverse };
}

/** An edit that sets a key whether or not it stands there yet. */
export function setAt(document: unknown, path: string, value: unknown): PatchStep {
  const exists = read(document, parts(path)) !== undefined;
  return exists ? { op: 'replace', path, value } : { op: 'add', path, value };
}

/** The same for a key whose holders may not stand there either: what is missing of them is made with it. */
export function setDeep(document: unknown, path: string, value: unknown): PatchStep {
  const keys = parts(path);
  for (let n = 1; n < keys.length; n++) {
    if (read(document, keys.slice(0, n)) !== undefined) continue;
    const made = keys.slice(n).reduceRight<unknown>((inner, key) => ({ [key]: inner }), value);
    return {
      op: 'add',
      path: `/${path
        .split('/')
        .slice(1, n + 1)
        .join('/')}`,
      value: made,
    };
  }
  return setAt(document, path, value);
}
