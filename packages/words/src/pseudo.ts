import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import type { Texts } from './texts.js';

const MARKS: Record<string, string> = {
  a: 'å',
  e: 'é',
  i: 'ï',
  o: 'ø',
  u: 'ü',
  A: 'Å',
  E: 'É',
  I: 'Ï',
  O: 'Ø',
  U: 'Ü',
};

/** Words that are plainly from the catalogue: vowels marked, and longer, as most languages are. */
const strange = (text: string): string => text.replace(/[aeiouAEIOU]/g, (c) => MARKS[c] ?? c);

/** A message written anew with its words made strange, and what it holds left alone. */
function written(parts: readonly MessageFormatElement[]): string {
  return parts
    .map((part): string => {
      switch (part.type) {
        case TYPE.literal:
          return strange(part.value).replace(/'/g, "''");
        case TYPE.argument:
          return `{${part.value}}`;
        case TYPE.number:
          return `{${part.value}, number}`;
        case TYPE.pound:
          return '#';
        case TYPE.select:
        case TYPE.plural: {
          const kind = part.type === TYPE.select ? 'select' : 'plural';
          const ways = Object.entries(part.options).map(([way, { value }]) => `${way} {${written(value)}}`);
          return `{${part.value}, ${kind}, ${ways.join(' ')}}`;
        }
        default:
          throw new RangeError(`a message: wanted words, values, plurals and choices, got ${part.type}`);
      }
    })
    .join('');
}

/** Terms of the trade lose their brackets: they are made strange with the rest. */
const pseudoText = (text: string): string => written(parse(text.replace(/\[([A-Za-z-]+)\]/g, '$1')));

/** A language nobody speaks: what is not in it did not come from the catalogue. */
export const pseudo = (of: Texts): Texts =>
  Object.fromEntries(
    Object.entries(of).map(([room, texts]) => [
      room,
      Object.fromEntries(Object.entries(texts).map(([name, text]) => [name, `⟨${pseudoText(text)}⟩`])),
    ]),
  ) as Texts;
