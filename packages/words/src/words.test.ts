import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { RECORD_ROOM, type Declared, type Message } from '@even-tally/core';
import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { en } from './en/index.js';
import { es } from './es/index.js';
import { inTongue } from './tongues.js';
import { ALL_ROOMS, createWords, LANGUAGES, languageAsked, languageOf } from './words.js';

const CATALOGUES = { en, es };
const ALL = Object.entries(ALL_ROOMS).flatMap(([room, messages]) =>
  Object.entries(messages).map(([name, declared]) => [`${room}.${name}`, room, name, declared] as const),
);

interface Used {
  name: string;
  as: 'plain' | 'number' | 'plural' | 'select';
  options: string[];
}

/** What a message asks of its values, however deep. */
function used(parts: readonly MessageFormatElement[]): Used[] {
  return parts.flatMap((p): Used[] => {
    if (p.type === TYPE.argument) return [{ name: p.value, as: 'plain', options: [] }];
    if (p.type === TYPE.number) return [{ name: p.value, as: 'number', options: [] }];
    if (p.type !== TYPE.select && p.type !== TYPE.plural) return [];
    const as = p.type === TYPE.select ? 'select' : 'plural';
    return [
      { name: p.value, as, options: Object.keys(p.options) },
      ...Object.values(p.options).flatMap((o) => used(o.value)),
    ];
  });
}

describe.each(Object.entries(CATALOGUES))('the words of %s', (_language, catalogue) => {
  test.each(ALL)(
    '%s says what the message holds, all of it and nothing else',
    (_code, room, name, declared) => {
      const text = (catalogue as unknown as Record<string, Record<string, string>>)[room]?.[name] ?? '';
      expect(text.trim()).not.toBe('');
      const asks = used(parse(inTongue(text, 'uk')));
      expect([...new Set(asks.map((u) => u.name))].sort()).toEqual(Object.keys(declared).sort());
      for (const { name: value, as, options } of asks) {
        const kind = declared[value] as Declared;
        if (typeof kind !== 'string') {
          expect([value, as]).toEqual([value, 'select']);
          // Every choice has words of its own or falls to “other”, and none is asked for that there is not.
          for (const o of options) expect([...kind.map((k) => k.replaceAll('-', '_')), 'other']).toContain(o);
        } else if (as === 'plural' || as === 'number') expect(['count', 'number']).toContain(kind);
        else expect([value, as]).toEqual([value, 'plain']);
      }
    },
  );

  test('has nothing that no message asks for', () => {
    const codes = Object.entries(catalogue).flatMap(([room, texts]) =>
      Object.keys(texts).map((name) => `${room}.${name}`),
    );
    expect(codes.sort()).toEqual(ALL.map(([code]) => code).sort());
  });
});

test('every message is said somewhere', () => {
  const sources: string[] = [];
  const read = (folder: string): void => {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      if (entry.isDirectory()) read(join(folder, entry.name));
      else if (/(?<!\.test)\.tsx?$/.test(entry.name) && entry.name !== 'messages.ts')
        sources.push(readFileSync(join(folder, entry.name), 'utf8'));
    }
  };
  read(join(__dirname, '../../core/src'));
  read(join(__dirname, '../../exports/src'));
  read(join(__dirname, '../../../apps/web/src'));
  read(join(__dirname, '../../../apps/server/src'));
  read(join(__dirname, '../../../apps/cli/src'));
  const text = sources.join('\n');
  const constant = (room: string): string => room.replaceAll('-', '_').toUpperCase();
  // Said by its name, or by one made of it: SAYS[`begin-${start}`].
  const made = [...text.matchAll(/SAYS\[`([a-z-]*)\$\{/g)].map((m) => m[1] ?? '');
  // Entries of the record are named by their kinds: RECORD[entry.kind].
  const kinds = RECORD_ROOM['kind-plain'].kind.map((kind) => `record.${kind}`);
  const unsaid = ALL.filter(
    ([, room, name]) =>
      !new RegExp(`\\b${constant(room)}\\.${name}\\b`).test(text) &&
      !text.includes(`'${name}'`) &&
      !new RegExp(`\\b[A-Z]+\\.${name}\\(`).test(text) &&
      !kinds.includes(`${room}.${name}`) &&
      !made.some((start) => start !== '' && name.startsWith(start)),
  ).map(([code]) => code);
  expect(unsaid).toEqual([]);
});

/** A value of each kind, and the first of each choice. */
const example = (declared: Record<string, Declared>, count: number): Message['values'] =>
  Object.fromEntries<Message['values'][string]>(
    Object.entries(declared).map(([name, kind]): [string, Message['values'][string]] => {
      if (typeof kind !== 'string') return [name, kind[0] ?? ''];
      if (kind === 'name' || kind === 'said') return [name, 'Window'];
      if (kind === 'list' || kind === 'series' || kind === 'sentences') return [name, ['one', 'two']];
      return [name, kind === 'count' || kind === 'number' ? count : 812.8];
    }),
  );

test.each(LANGUAGES)('everything can be said in %s, of one and of several', (language) => {
  for (const show of ['mm', 'ft-in'] as const) {
    const { say } = createWords(language, show);
    for (const [code, , , declared] of ALL)
      for (const count of [0, 1, 2, 5]) {
        const said = say({ code, values: example(declared, count) });
        expect(said).not.toMatch(/[{}[\]]|undefined|NaN/);
        if (language === 'pseudo') expect(said).toMatch(/^⟨.*⟩$/s);
      }
  }
});

test('the two trades of English each have their own words, and only those', () => {
  const every = (language: 'en-uk' | 'en-us'): string =>
    ALL.map(([code, , , declared]) =>
      createWords(language, 'mm').say({ code, values: example(declared, 2) }),
    ).join('\n');
  expect(every('en-us')).toMatch(/head joint/);
  expect(every('en-us')).toMatch(/wythe/);
  expect(every('en-us')).not.toMatch(/\bperps?\b|\bleaf\b/i);
  expect(every('en-uk')).toMatch(/\bperp\b/);
  expect(every('en-uk')).not.toMatch(/head joint|wythe/i);
  expect([languageOf('us'), languageOf('uk'), languageOf('earth')]).toEqual(['en-us', 'en-uk', 'en-uk']);
  expect(inTongue('[Perp] and [perps]', 'us')).toBe('Head joint and head joints');
  expect(() => inTongue('[wall]', 'us')).toThrow('wanted one that is known, got [wall]');
});

test('a language is the first of those asked for that is spoken here', () => {
  expect(
    ['es-MX,en', 'fr;q=1, en-US;q=0.5', 'en', 'fr', '', undefined].map((header) => languageAsked(header)),
  ).toEqual(['es', 'en-us', 'en-uk', 'en-uk', 'en-uk', 'en-uk']);
});

test('a spacing is said in inches, a length in feet and inches, and both in millimetres where they are', () => {
  const said = { code: 'steel.gap', values: { from: 812.8, to: 2032, long: 1219.2, asked: 812.8 } };
  expect(createWords('en-us', 'ft-in').say(said)).toBe(
    'Between 2′-8″ and 6′-8″ no cell goes up: there is no bar for 4′-0″, and 32″ was asked.',
  );
  expect(createWords('es', 'mm').say(said)).toBe(
    'Entre 813 mm y 2032 mm no sube ninguna celda: no hay varilla en 1219 mm, y se pidió a cada 813 mm.',
  );
});

test('a message nobody declared is refused plainly, and words that are words already stand', () => {
  const { say } = createWords('en-uk', 'mm');
  expect(say('Boat store')).toBe('Boat store');
  expect(() => say({ code: 'steel.nothing', values: {} })).toThrow(
    'wanted one that is declared, got steel.nothing',
  );
});
