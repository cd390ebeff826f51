import {
  ROOMS,
  sayLoad,
  sayMass,
  sayMm,
  sayInches,
  showArea,
  showMetres,
  showVolume,
  type Declared,
  type Message,
  type Room,
  type Said,
  type Show,
} from '@even-tally/core';
import { IntlMessageFormat } from 'intl-messageformat';
import { en } from './en/index.js';
import { es, spanish } from './es/index.js';
import { pseudo } from './pseudo.js';
import { SCREEN_ROOMS } from './screens/index.js';
import type { Texts } from './texts.js';
import { inTongue, type Tongue } from './tongues.js';

/** What things may be said in. */
export const LANGUAGES = ['en-uk', 'en-us', 'es', 'pseudo'] as const;
export type Language = (typeof LANGUAGES)[number];
/** Those somebody speaks, by their own names. */
export const SPOKEN = ['en-uk', 'en-us', 'es'] as const satisfies readonly Language[];
export const LANGUAGE_NAMES: Record<(typeof SPOKEN)[number], string> = {
  'en-uk': 'English (UK)',
  'en-us': 'English (US)',
  es: 'Español',
};

interface Speech {
  catalogue: Texts;
  /** For plurals, numbers and lists. */
  locale: string;
  tongue: Tongue | null;
}

const SPEECH: Record<Language, Speech> = {
  'en-uk': { catalogue: en, locale: 'en-GB', tongue: 'uk' },
  'en-us': { catalogue: en, locale: 'en-US', tongue: 'us' },
  es: { catalogue: es, locale: 'es', tongue: null },
  pseudo: { catalogue: pseudo(en), locale: 'en-GB', tongue: 'uk' },
};

/** Brings the texts of a language where they are not there yet; null where it can be spoken already. */
export function learn(language: Language): Promise<void> | null {
  if (language !== 'es' || spanish.load === null) return null;
  return spanish.load().then(() => {
    spanish.load = null;
  });
}

/** The language a profile’s trade speaks, where nobody has chosen. */
export const languageOf = (profile: string): Language => (profile === 'us' ? 'en-us' : 'en-uk');

/** The language somebody asks for in `Accept-Language`: the first of theirs that is spoken here. */
export function languageAsked(header: string | undefined): Language {
  for (const asked of (header ?? '').toLowerCase().split(',')) {
    const tag = asked.split(';')[0]?.trim() ?? '';
    if (tag.startsWith('es')) return 'es';
    if (tag === 'en-us') return 'en-us';
    if (tag.startsWith('en')) return 'en-uk';
  }
  return 'en-uk';
}

/** Formatters cost thirty times what they say: each is made once. */
const made = new Map<string, IntlMessageFormat>();

function formatter(language: Language, code: string): IntlMessageFormat {
  const key = `${language}|${code}`;
  const known = made.get(key);
  if (known) return known;
  const { catalogue, locale, tongue } = SPEECH[language];
  const [room = '', name = ''] = code.split('.');
  const text = (catalogue as Record<string, Record<string, string>>)[room]?.[name];
  if (text === undefined) throw new RangeError(`a message: wanted one the catalogue has, got ${code}`);
  const one = new IntlMessageFormat(tongue ? inTongue(text, tongue) : text, locale);
  made.set(key, one);
  return one;
}

/** Every message there is: the core’s and the screens’. */
export const ALL_ROOMS: Record<string, Room> = { ...ROOMS, ...SCREEN_ROOMS };

/** What a message of the registry holds. */
export function declaredOf(code: string): Readonly<Record<string, Declared>> {
  const [room = '', name = ''] = code.split('.');
  const found = ALL_ROOMS[room]?.[name];
  if (!found) throw new RangeError(`a message: wanted one that is declared, got ${code}`);
  return found;
}

export interface Words {
  language: Language;
  show: Show;
  /** A message in words; what is words already stands as it is. */
  say: (said: Said) => string;
  /** The same in parts, so that a measure can be set as one. */
  parts: (said: Said) => Part[];
}

/** A piece of a sentence: words, or a measure in them. */
export interface Part {
  text: string;
  measure: boolean;
}

/** Values that stand in a sentence whole: the formatter hands them back as they are. */
class Whole {
  constructor(readonly parts: readonly Part[]) {}
}

const MEASURES: readonly Declared[] = ['length', 'spacing', 'area', 'volume', 'mass', 'load', 'metres'];

/** Words that stand beside one another are one. */
const joined = (parts: readonly Part[]): Part[] =>
  parts.reduce<Part[]>((all, part) => {
    const last = all.at(-1);
    if (last && !last.measure && !part.measure) last.text += part.text;
    else if (part.text !== '') all.push({ ...part });
    return all;
  }, []);

/** Words in one language, with lengths as they are shown. */
export function createWords(language: Language, show: Show): Words {
  const { locale } = SPEECH[language];
  const listed = new Intl.ListFormat(locale, { type: 'conjunction' });
  const value = (kind: Declared, raw: Message['values'][string]): string | number => {
    // A hyphen is a sign of the message format: choices are named with a low line there.
    if (typeof kind !== 'string') return (raw as string).replaceAll('-', '_');
    switch (kind) {
      case 'length':
        return sayMm(raw as number, show);
      case 'spacing':
        return sayInches(raw as number, show);
      case 'area':
        return showArea(raw as number, show);
      case 'volume':
        return showVolume(raw as number, show);
      case 'mass':
        return sayMass(raw as number, show);
      case 'load':
        return sayLoad(raw as number, show);
      case 'metres':
        return showMetres(raw as number, show);
      case 'count':
      case 'number':
        return raw as number;
      case 'name':
        return raw as string;
      case 'said':
        return say(raw as Said);
      case 'list':
        return listed.format((raw as readonly Said[]).map(say));
      case 'series':
        return (raw as readonly Said[]).map(say).join('; ');
      case 'sentences':
        return (raw as readonly Said[]).map(say).join(' ');
    }
  };
  const say = (said: Said): string => {
    if (typeof said === 'string') return said;
    const declared = declaredOf(said.code);
    const values = Object.fromEntries(
      Object.entries(said.values).map(([name, raw]) => [name, value(declared[name] ?? 'name', raw)]),
    );
    return formatter(language, said.code).format(values) as string;
  };
  const parts = (said: Said): Part[] => {
    if (typeof said === 'string') return [{ text: said, measure: false }];
    const declared = declaredOf(said.code);
    const values = Object.fromEntries(
      Object.entries(said.values).map(([name, raw]): [string, string | number | Whole] => {
        const kind = declared[name] ?? 'name';
        if (kind === 'said') return [name, new Whole(parts(raw as Said))];
        const text = value(kind, raw);
        return [name, MEASURES.includes(kind) ? new Whole([{ text: String(text), measure: true }]) : text];
      }),
    );
    return joined(
      formatter(language, said.code)
        .formatToParts<Whole>(values)
        .flatMap(({ value: one }) =>
          one instanceof Whole ? one.parts : [{ text: String(one), measure: false }],
        ),
    );
  };
  return { language, show, say, parts };
}
