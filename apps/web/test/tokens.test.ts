import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { SCHEMES, type Ink } from '@even-tally/core';

const SRC = join(__dirname, '../src');
const sources = (folder: string): [string, string][] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry): [string, string][] => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sources(path);
    return /\.tsx?$/.test(entry.name) ? [[path, readFileSync(path, 'utf8')]] : [];
  });
const css = readFileSync(join(SRC, 'styles.css'), 'utf8');
const token = (name: string): string | undefined =>
  new RegExp(`--color-${name}: (#[0-9a-f]{6});`).exec(css)?.[1];

test('colours and sizes of words are tokens: no component has one of its own', () => {
  const own = sources(SRC).flatMap(([path, text]) =>
    [...text.matchAll(/#[0-9a-fA-F]{6}\b|\btext-\[\d+px\]/g)].map((m) => `${path}: ${m[0]}`),
  );
  expect(own).toEqual([]);
});

test('what has one name in the drawing and on the page has one colour', () => {
  const shared: Ink[] = [
    'ink',
    'soft',
    'sheet',
    'paper',
    'fault',
    'caution',
    'settled',
    'chalk',
    'live',
    'timber',
    'tape',
  ];
  expect(Object.fromEntries(shared.map((name) => [name, token(name)]))).toEqual(
    Object.fromEntries(shared.map((name) => [name, SCHEMES.day[name]])),
  );
});

/** Relative luminance and contrast as WCAG 2.2 has them. */
const light = (hex: string): number => {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((i) => {
    const c = parseInt(hex.slice(i, i + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
};
const contrast = (a: string, b: string): number => {
  const [low = 0, high = 0] = [light(a), light(b)].sort((x, y) => x - y);
  return (high + 0.05) / (low + 0.05);
};

test('every ink that is words is read on its paper, in every scheme: 4.5 to 1', () => {
  for (const [name, inks] of Object.entries(SCHEMES))
    for (const ink of ['ink', 'soft', 'fault', 'caution', 'settled', 'chalk'] as const)
      for (const ground of ['paper', 'sheet'] as const)
        expect([name, ink, ground, contrast(inks[ink], inks[ground]) >= 4.5]).toEqual([
          name,
          ink,
          ground,
          true,
        ]);
});
