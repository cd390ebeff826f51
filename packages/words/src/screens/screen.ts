import type { Declared, Message, Room, ValueOf } from '@even-tally/core';

type Shape = Readonly<Record<string, Declared>>;

/** A sentence of a screen in English, and what it holds if it holds anything. */
export type Text = string | readonly [says: string, holds: Shape];
/** What a screen says. It is said there and nowhere else, so it is declared and worded in one place; other languages have files of their own. */
export type Screen = Readonly<Record<string, Text>>;

/** The sentences of a screen, each ready to be said or made by calling it with what it holds. */
export type Sentences<S extends Screen> = {
  readonly [K in keyof S]: S[K] extends readonly [string, infer H extends Shape]
    ? (values: { readonly [V in keyof H]: ValueOf<H[V]> }) => Message
    : Message;
};

/** Names the sentences of a screen: `<room>.<name>` in the catalogue. */
export function sentences<const S extends Screen>(room: string, screen: S): Sentences<S> {
  return Object.fromEntries(
    Object.entries(screen).map(([name, text]) => {
      const code = `${room}.${name}`;
      return [
        name,
        typeof text === 'string'
          ? { code, values: {} }
          : (values: Message['values']): Message => ({ code, values }),
      ];
    }),
  ) as Sentences<S>;
}

/** What the sentences of a screen hold. */
export const declaredIn = (screen: Screen): Room =>
  Object.fromEntries(
    Object.entries(screen).map(([name, text]) => [name, typeof text === 'string' ? {} : text[1]]),
  );

/** Their English. */
export const englishOf = (screen: Screen): Record<string, string> =>
  Object.fromEntries(
    Object.entries(screen).map(([name, text]) => [name, typeof text === 'string' ? text : text[0]]),
  );
