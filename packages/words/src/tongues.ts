/**
 * English as two trades have it. A message says `[perp]`, and each tongue its own word; capital letters go with it. The rest is shared.
 */
const TERMS = {
  //            in Britain    in America
  perp: ['perp', 'head joint'],
  perps: ['perps', 'head joints'],
  leaf: ['leaf', 'wythe'],
  leaves: ['leaves', 'wythes'],
  pole: ['gauge rod', 'story pole'],
  tray: ['tray', 'flashing'],
  trays: ['trays', 'flashings'],
  labourer: ['labourer', 'tender'],
  // The stages by name
  'set-out': ['set out', 'layout'],
  gauging: ['gauge', 'coursing'],
} as const;

export type Term = keyof typeof TERMS;
export type Tongue = 'uk' | 'us';

const isTerm = (word: string): word is Term => Object.hasOwn(TERMS, word);

/** A message with the terms of a tongue in it. Throws where it names one that is not there. */
export const inTongue = (text: string, tongue: Tongue): string =>
  text.replace(/\[([A-Za-z-]+)\]/g, (_, given: string) => {
    const small = given.toLowerCase();
    if (!isTerm(small)) throw new RangeError(`a term of the trade: wanted one that is known, got [${given}]`);
    const word = TERMS[small][tongue === 'uk' ? 0 : 1];
    return given === small ? word : `${word.charAt(0).toUpperCase()}${word.slice(1)}`;
  });
