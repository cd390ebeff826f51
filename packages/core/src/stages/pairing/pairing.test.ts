import { expect, test } from '@jest/globals';
import type { JobDocument, StandsIn, UnitBuild } from '../../job/types.js';
import { applyPatch } from '../../job/edits/patch.js';
import { plan } from '../../plan/plan.js';
import type { Finding } from '../../findings/finding.js';
import { documentOf, sayFor, soundJob, straight } from '../../test/jobs.js';
import { MIXES } from '../../tables/mixes/mixes.js';
import { typeOf } from '../../mud/strength.js';

const UNITS = { block: 'cmu-8x8x16', brick: 'brick-215x102.5x65', adobe: 'adobe-14x10x4' } as const;

function jobOf(
  family: keyof typeof UNITS,
  mix: string,
  {
    stands,
    site,
    build = {},
  }: { stands?: StandsIn[]; site?: JobDocument['site']; build?: Partial<UnitBuild> } = {},
): JobDocument {
  const us = family === 'block';
  const document = documentOf({
    profile: us ? 'us' : family === 'adobe' ? 'earth' : 'uk',
    show: us ? 'ft-in' : 'mm',
    unit: UNITS[family],
    line: straight(4490),
    height: 1200,
    build: { mix, ...(stands ? { stands } : {}), ...build },
  });
  return site ? { ...document, site } : document;
}

const said = (job: JobDocument): Finding[] =>
  (plan(soundJob(job)).walls[0]?.findings ?? []).filter((f) => f.stage === 'mud');
const verdict = (job: JobDocument): string => said(job)[0]?.severity ?? 'serves';

// Which mud goes with which unit, and where: trade practice and the codes named beside each rule, from memory.
test.each([
  ['adobe', 'earth', {}, 'serves'],
  ['adobe', 'cement-lime-n', {}, 'fault'],
  ['adobe', 'masonry-cement-n', {}, 'fault'],
  ['adobe', 'preblended-s', {}, 'fault'],
  ['adobe', 'nhl-2', {}, 'serves'],
  ['brick', 'cement-lime-n', {}, 'serves'],
  ['brick', 'cement-lime-n', { stands: ['old-lime'] }, 'fault'],
  ['brick', 'nhl-3.5', { stands: ['old-lime'] }, 'serves'],
  ['brick', 'putty-3', { stands: ['old-lime', 'soil'] }, 'fault'],
  ['brick', 'nhl-5', { stands: ['old-lime', 'soil'] }, 'serves'],
  ['brick', 'cement-lime-n', { stands: ['soil'] }, 'choice'],
  ['brick', 'cement-lime-s', { stands: ['soil'] }, 'serves'],
  ['brick', 'cement-lime-m', { stands: ['soil'] }, 'serves'],
  ['brick', 'cement-lime-m', {}, 'note'],
  ['brick', 'cement-sand-3', {}, 'note'],
  ['brick', 'cement-sand-6', {}, 'serves'],
  ['brick', 'cement-lime-o', { stands: ['frost'] }, 'choice'],
  ['brick', 'cement-lime-s', { stands: ['sulfate'] }, 'note'],
  ['brick', 'hydrated-lime-6', {}, 'fault'],
  ['brick', 'hydrated-lime-6', { stands: ['stove-mass'] }, 'serves'],
  ['brick', 'hydrated-lime-9', { stands: ['stove-mass', 'flue'] }, 'fault'],
  ['brick', 'cement-lime-n', { stands: ['fireface'] }, 'fault'],
  ['block', 'grout-fine', {}, 'fault'],
  ['block', 'cement-lime-n', { site: { seismic: 'D' } }, 'fault'],
  ['block', 'cement-lime-s', { site: { seismic: 'D' } }, 'serves'],
  ['block', 'masonry-cement-s', { site: { seismic: 'E' } }, 'fault'],
  ['block', 'masonry-cement-s', { site: { seismic: 'C' } }, 'serves'],
  ['block', 'nhl-5', { site: { seismic: 'F' } }, 'fault'],
  ['brick', 'earth', {}, 'choice'],
] as const)('%s in %s, %j: %s', (family, mix, where, wanted) => {
  const { stands, ...more } = where as { stands?: readonly StandsIn[]; site?: JobDocument['site'] };
  expect(verdict(jobOf(family, mix, { ...more, ...(stands ? { stands: [...stands] } : {}) }))).toBe(wanted);
});

test('every way out that is offered leaves nothing to refuse or caution', () => {
  const wheres: { stands?: StandsIn[]; site?: JobDocument['site'] }[] = [
    {},
    { stands: ['old-lime'] },
    { stands: ['soil', 'frost'] },
    { stands: ['old-lime', 'soil'] },
    { site: { seismic: 'D' } },
  ];
  let fixes = 0;
  for (const family of ['block', 'brick', 'adobe'] as const)
    for (const where of wheres)
      for (const { id } of MIXES) {
        const job = jobOf(family, id, where);
        for (const f of said(job))
          for (const fix of f.fixes) {
            fixes++;
            const after = applyPatch(job, fix.edit);
            if (!after.ok) throw new Error(after.why);
            expect(said(after.value).filter((x) => x.severity !== 'note')).toEqual([]);
          }
      }
  expect(fixes).toBeGreaterThan(100);
});

test('brick on adobe: the inner leaf is asked by itself', () => {
  const cavity = { inner: UNITS.adobe, width: 75 };
  const [found] = said(jobOf('brick', 'cement-lime-n', { build: { cavity } }));
  const say = sayFor('mm');
  expect(found?.severity).toBe('fault');
  expect(found?.fixes.map((f) => say(f.says))).toEqual([expect.stringContaining('inner leaf')]);
  expect(said(jobOf('brick', 'cement-lime-n', { build: { cavity: { ...cavity, mix: 'earth' } } }))).toEqual(
    [],
  );
});

test('one’s own mix is known by its parts', () => {
  const portland = (sand: number) => ({
    parts: [{ of: 'portland', parts: 1 } as const, { of: 'sand', parts: sand } as const],
  });
  expect([3, 4, 6, 9].map((sand) => typeOf(portland(sand)))).toEqual(['M', 'S', 'N', 'O']);
  expect(
    typeOf({
      parts: [
        { of: 'nhl', parts: 1 },
        { of: 'sand', parts: 2 },
      ],
    }),
  ).toBeNull();
});

test('where nobody says, earth is laid in earth whatever the profile, and nothing is said against it', () => {
  const job = documentOf({
    profile: 'us',
    show: 'ft-in',
    unit: UNITS.adobe,
    line: straight("16'"),
    height: "6'",
  });
  expect(said(job)).toEqual([]);
  expect(plan(soundJob(job)).walls[0]?.mud.mixes[0]?.mix.id).toBe('earth');
  // Somebody who says cement is told.
  expect(said({ ...job, mud: { mix: 'cement-lime-s' } })[0]?.severity).toBe('fault');
});
