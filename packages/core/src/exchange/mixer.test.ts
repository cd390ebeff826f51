import { expect, test } from '@jest/globals';
import { mixesOf, mudSettings } from '../mud/settings.js';
import { documentOf, sayFor, soundJob, straight } from '../test/jobs.js';
import { countedMeasures } from '../scene/mudView.js';
import type { Page } from './pages/page.js';
import { sheetNamed } from './sheets.js';

const textsOf = (page: Page): string[] =>
  page.parts.flatMap((p) => p.scene.shapes.flatMap((s) => (s.type === 'text' ? [s.text] : [])));
const buckets = (page: Page): number =>
  page.parts.flatMap((p) => p.scene.shapes).filter((s) => s.role === 'bucket').length;

const cardsOf = (profile: 'us' | 'uk', mix: string): Page[] => {
  const us = profile === 'us';
  const job = soundJob({
    ...documentOf({
      profile,
      show: us ? 'ft-in' : 'mm',
      ...(us ? {} : { unit: 'brick-215x102.5x65' }),
      line: straight(4490),
      height: 1500,
    }),
    mud: { mix },
  });
  const show = us ? 'ft-in' : 'mm';
  return sheetNamed('mixer')?.pages({ job, record: [], wall: 0, run: 0, show, say: sayFor(show) }) ?? [];
};

test('type S is one bucket, a half and four and a half, drawn as so many, with what it does to skin', () => {
  const [card, ...more] = cardsOf('us', 'cement-lime-s');
  if (!card) throw new Error('no card');
  expect(more).toEqual([]);
  expect(buckets(card)).toBe(1 + 1 + 5);
  const said = textsOf(card).join('\n');
  for (const words of [
    'Type S',
    '4½',
    'cement',
    'lime',
    'sand',
    'CEMENT BURNS',
    'LIME BURNS',
    'GOOD FOR 2 h 30 min',
  ])
    expect(said).toContain(words);
});

test.each(['us', 'uk'] as const)('%s: every mix that units are laid in is one page', (profile) => {
  const beds = mixesOf(
    soundJob(documentOf({ profile, line: straight(4490), height: 1500, show: 'mm' })),
  ).filter((m) => m.for.includes('bed'));
  let cards = 0;
  for (const { id } of beds) {
    const pages = cardsOf(profile, id);
    cards += pages.length;
    expect({ id, pages: pages.length <= 1 }).toEqual({ id, pages: true });
  }
  expect(cards).toBeGreaterThan(12);
  expect(
    mudSettings(soundJob(documentOf({ profile, line: straight(4490), height: 1500, show: 'mm' }))).mixers,
  ).toBe(1);
});

test('a count is said in whole measures and eighths', () => {
  expect([0.5, 1, 4.5, 0.25, 3.75, 1.875, 10].map(countedMeasures)).toEqual([
    '½',
    '1',
    '4½',
    '¼',
    '3¾',
    '1⅞',
    '10',
  ]);
});
