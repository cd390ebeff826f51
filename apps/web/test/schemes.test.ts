import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { INKS, SCHEMES } from '@even-tally/core';
import { SCREEN_SCHEMES } from '../src/state/scheme';

const CSS = readFileSync(join(__dirname, '../src/styles.css'), 'utf8');

/** The colours a block of the style sheet names. */
function colours(opening: string): Map<string, string> {
  const from = CSS.indexOf(opening);
  expect(from).toBeGreaterThan(-1);
  const block = CSS.slice(from, CSS.indexOf('}', from));
  return new Map(
    [...block.matchAll(/--color-([a-z-]+): (#[0-9a-f]{6});/g)].map((m) => [m[1] ?? '', m[2] ?? '']),
  );
}

const page = {
  day: colours('@theme'),
  night: colours("[data-scheme='night']"),
  sun: colours("[data-scheme='sun']"),
};
const of = (scheme: keyof typeof page, name: string): string =>
  page[scheme].get(name) ?? page.day.get(name) ?? '';

/** WCAG 2.1, relative luminance and contrast ratio. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((i) => {
    const c = parseInt(hex.slice(i, i + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
const contrast = (a: string, b: string): number => {
  const [high = 0, low = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (high + 0.05) / (low + 0.05);
};

test('an ink of a drawing and the colour of the page that has its name are one, in every scheme', () => {
  // Units and concrete of the door's picture, and white on slate, are the page's own.
  const own = new Set(['unit', 'concrete', 'white']);
  const shared = INKS.filter((ink) => page.day.has(ink) && !own.has(ink));
  expect(shared.length).toBeGreaterThan(8);
  for (const scheme of SCREEN_SCHEMES)
    for (const ink of shared)
      expect([scheme, ink, SCHEMES[scheme][ink]]).toEqual([scheme, ink, of(scheme, ink)]);
});

test.each(SCREEN_SCHEMES.map((s) => [s] as const))(
  'words can be read on everything they stand on, %s',
  (scheme) => {
    const poor: string[] = [];
    const read = (text: string, on: string): void => {
      const ratio = contrast(of(scheme, text), of(scheme, on));
      if (ratio < 4.5) poor.push(`${text} on ${on}: ${ratio.toFixed(2)}`);
    };
    for (const on of ['paper', 'sheet', 'shade', 'field'])
      for (const text of ['ink', 'soft', 'chalk', 'fault', 'caution', 'settled']) read(text, on);
    for (const on of ['chalk-pale', 'settled-pale', 'caution-pale', 'fault-pale', 'chosen', 'timber', 'tape'])
      read('ink', on);
    read('chalk', 'chalk-pale');
    read('fault', 'fault-pale');
    read('on-live', 'live');
    for (const on of ['slate', 'slate-high', 'press', 'press-deep'])
      if (contrast('#ffffff', of(scheme, on)) < 4.5) poor.push(`white on ${on}`);
    expect(poor).toEqual([]);
  },
);
