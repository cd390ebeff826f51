import type { CubicMetres, Kilograms, Mm, SquareMetres } from '../measure/length.js';

/**
 * What a sentence holds, kept as it is until somebody says it: a length is millimetres here and feet and inches, or not, where it is shown. A
 * `spacing` is a length said in inches where the trade does; `name` is somebody's own words; a `choice` picks between wordings.
 */
export interface Values {
  length: Mm;
  spacing: Mm;
  area: SquareMetres;
  volume: CubicMetres;
  mass: Kilograms;
  /** A heap to be brought, said to two figures and rounded up: the next lorry is dear, a stone too many is not. */
  load: Kilograms;
  /** So much of a material by the run, in metres: said in metres or in feet, and never in feet and inches. */
  metres: number;
  count: number;
  number: number;
  name: string;
  said: Said;
  /** Said one after another: the last joined by “and”; parted by semicolons; as sentences. */
  list: readonly Said[];
  series: readonly Said[];
  sentences: readonly Said[];
}
export type ValueKind = keyof Values;

/** A choice is declared by what it may be. */
export type Declared = ValueKind | readonly string[];
export type ValueOf<D extends Declared> = D extends ValueKind
  ? Values[D]
  : D extends readonly (infer S)[]
    ? S
    : never;

/** Something to be said: which message, and what it holds. Plain data, so that it crosses workers and files. */
export interface Message {
  code: string;
  values: Readonly<Record<string, Values[ValueKind] | string>>;
}

/** A message, or words that are somebody's own. */
export type Said = string | Message;

/** Puts what is to be said into words. */
export type Say = (said: Said) => string;

type Shape = Readonly<Record<string, Declared>>;
export type Room = Readonly<Record<string, Shape>>;

/** The messages of a room, each made by calling it with what it holds. */
export type Makers<R extends Room> = {
  readonly [K in keyof R]: keyof R[K] extends never
    ? () => Message
    : (values: { readonly [V in keyof R[K]]: ValueOf<R[K][V]> }) => Message;
};

/** Declares the messages of a room. Their words are the catalogue's, under `<room>.<name>`. */
export function messages<const R extends Room>(room: string, declared: R): Makers<R> {
  return Object.fromEntries(
    Object.keys(declared).map((name) => [
      name,
      (values: Message['values'] = {}): Message => ({ code: `${room}.${name}`, values }),
    ]),
  ) as Makers<R>;
}
