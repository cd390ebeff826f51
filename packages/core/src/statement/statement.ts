import type { Length } from '../measure/length.js';

/**
 * How a document is stated: one description that its type, its check, its JSON schema and the order of its keys are
 * all read from, so that no two of them can say different things. Tags on it say what a value means to the rest of
 * the document, and drive what must follow when something else changes.
 */
export type Statement =
  | { kind: 'const'; value: string | number | boolean | null }
  | { kind: 'oneOf'; values: readonly (string | number | boolean)[] }
  | { kind: 'text'; empty?: boolean; most?: number; is?: TextIs }
  | { kind: 'number'; least: number; most: number; whole?: boolean; is?: NumberIs }
  | { kind: 'length'; least: 'zero' | 'above-zero' | 'any'; most?: Length; is?: LengthIs }
  /** What is not a length: a number in the measure of the file, or text that carries its unit. */
  | { kind: 'amount'; of: AmountOf }
  | { kind: 'object'; keys: Record<string, Key> }
  | { kind: 'list'; of: Statement; least?: number; most: number }
  /** So many of one kind, each under a name of its own. */
  | { kind: 'named'; of: Statement; most: number }
  /** One of several objects, told apart by the first key named that is present. */
  | { kind: 'byKey'; cases: Record<string, Statement> }
  /** One of several objects, told apart by what one key says. */
  | { kind: 'byTag'; tag: string; cases: Record<string, Extract<Statement, { kind: 'object' }>> }
  | { kind: 'either'; shapes: readonly Statement[]; says: string };

export type AmountOf =
  'volume' | 'mass' | 'temperature' | 'speed' | 'duration' | 'clock' | 'date' | 'instant';

/** Text that names something, or something else. */
export type TextIs =
  /** The id of what it stands in, used once among its kind. */
  | { id: string }
  /** Another thing's id. */
  | { refers: 'wall' | 'unit' }
  /** The address of a place. */
  | { place: true };

/** A run by its number: of the wall it stands in, or of the wall that a key beside it names. */
export interface NumberIs {
  run: 'own' | { of: string };
}

/**
 * What a length is of.
 * - along a run, on the tape or (`stated`) as the run's own length is stated: where something starts or ends, its
 *   middle, how long it is, from one to the next, or the run's own length;
 * - up the wall, above its base;
 * - of the site: above or from what only this job's site knows.
 */
export type LengthIs =
  | { along: 'start' | 'end' | 'middle' | 'size' | 'clear' | 'pitch' | 'run'; as?: 'stated' }
  | { up: 'height' | 'mirrors'; with?: string }
  | { of: 'base' | 'site' };

export interface Key {
  shape: Statement;
  optional?: boolean;
  says?: string;
  /** Knows only the site of its own job: it does not go along when its wall is copied into another. */
  sites?: true;
  /** What one of a list is called where it is spoken of: by this name in the catalogue. */
  called?: string;
}

/** A shape, and for the compiler what it states. */
export type Stating<T> = Statement & { readonly __states?: T };
/** What a shape states. */
export type States<S> = S extends { readonly __states?: infer T } ? Exclude<T, undefined> : never;

export interface KeyOf<T> extends Key {
  readonly __states?: T;
}
export interface OptionalKey<T> extends KeyOf<T> {
  optional: true;
}
export type Keys = Record<string, KeyOf<unknown>>;
type KeyStates<K> = K extends { readonly __states?: infer T } ? Exclude<T, undefined> : never;
/** As one type, writable, so that a hover reads it and an edit may build it. */
type Flat<T> = { -readonly [P in keyof T]: T[P] };
/** What an object with these keys states. */
export type ObjectOf<K extends Keys> = Flat<
  { [P in keyof K as K[P] extends OptionalKey<unknown> ? never : P]: KeyStates<K[P]> } & {
    [P in keyof K as K[P] extends OptionalKey<unknown> ? P : never]?: KeyStates<K[P]>;
  }
>;

type Tags = Pick<Key, 'sites' | 'called'>;

export const required = <T>(shape: Stating<T>, says?: string, tags: Tags = {}): KeyOf<T> => ({
  shape,
  ...(says === undefined ? {} : { says }),
  ...tags,
});
export const optional = <T>(shape: Stating<T>, says?: string, tags: Tags = {}): OptionalKey<T> => ({
  ...required(shape, says, tags),
  optional: true,
});

/** A length as stated: millimetres, or text that carries its unit. Kept and given back verbatim. */
export type Stated = number | string;

export const constant = <const V extends string | number | boolean | null>(value: V): Stating<V> => ({
  kind: 'const',
  value,
});
export const oneOf = <const V extends string | number | boolean>(...values: readonly V[]): Stating<V> => ({
  kind: 'oneOf',
  values,
});
export const words = (more: Omit<Extract<Statement, { kind: 'text' }>, 'kind'> = {}): Stating<string> => ({
  kind: 'text',
  ...more,
});
export const number = (
  least: number,
  most: number,
  more: { whole?: boolean; is?: NumberIs } = {},
): Stating<number> => ({ kind: 'number', least, most, ...more });
export const lengthOf = (
  least: 'zero' | 'above-zero' | 'any',
  more: { most?: Length; is?: LengthIs } = {},
): Stating<Stated> => ({ kind: 'length', least, ...more });
export const object = <const K extends Keys>(
  keys: K,
): Extract<Statement, { kind: 'object' }> & { readonly __states?: ObjectOf<K> } => ({ kind: 'object', keys });
/** Text for times and dates, a number or text for the rest. */
export const amount = <const A extends AmountOf>(
  of: A,
): Stating<A extends 'clock' | 'date' | 'instant' ? string : Stated> => ({ kind: 'amount', of });
export const list = <T>(of: Stating<T>, most: number, least?: number): Stating<T[]> => ({
  kind: 'list',
  of,
  most,
  ...(least === undefined ? {} : { least }),
});
/** Under names nobody states here: a figure for each unit, by the unit’s id. */
export const named = <T>(of: Stating<T>, most: number): Stating<Record<string, T>> => ({
  kind: 'named',
  of,
  most,
});
export const byKey = <const C extends Record<string, Stating<unknown>>>(
  cases: C,
): Stating<States<C[keyof C]>> => ({ kind: 'byKey', cases });
export type ObjectStatement = Extract<Statement, { kind: 'object' }>;
export const byTag = <const C extends Record<string, ObjectStatement & { readonly __states?: unknown }>>(
  tag: string,
  cases: C,
): Stating<States<C[keyof C]>> => ({ kind: 'byTag', tag, cases });
export const either = <const S extends readonly Stating<unknown>[]>(
  says: string,
  ...shapes: S
): Stating<States<S[number]>> => ({ kind: 'either', says, shapes });

/** The one of several that an object can be, where there is just one: what is wrong with it is then said of that. */
export function objectAmong(shapes: readonly Statement[]): Statement | null {
  const found = shapes.filter((s) => s.kind === 'object' || s.kind === 'byKey' || s.kind === 'byTag');
  return found.length === 1 ? (found[0] ?? null) : null;
}
