import { documentOf, faultsOf, straight, type OneWall } from '../test/jobs.js';
import { nesting } from '../statement/text.js';
import { checkText, readJob } from './check.js';
import { canonical, jobSchema } from './schema.js';
import type { JobDocument } from './types.js';

const base: OneWall = { line: straight("24'"), height: '8\' 8"' };
const withWall = (change: Record<string, unknown>): unknown => {
  const d = documentOf(base);
  return { ...d, walls: [{ ...d.walls[0], ...change }] };
};
const opening = (o: Record<string, unknown>): unknown =>
  withWall({ openings: [{ id: 'A', run: 0, at: "4'", width: "3'", sill: 0, head: '6\' 8"', ...o }] });

test('the contract’s own example is sound', () => {
  const example = documentOf({
    ...base,
    lengths: 'nominal',
    openings: [{ at: "4'", width: '3\' 4"', sill: 0, head: '6\' 8"' }],
  });
  Object.assign(example.walls[0] ?? {}, {
    steel: {
      vertical: { bar: '#4', every: '32"' },
      beams: [{ course: 'top', bar: '#4', count: 1 }],
      footing: { bar: '#4', count: 2 },
    },
    grout: { fill: 'steel' },
  });
  expect(faultsOf(example)).toEqual([]);
});

const REFUSED: [string, unknown, RegExp][] = [
  ['not an object', 7, /^\/: wanted an object, got 7/],
  ['null', null, /wanted an object, got null/],
  [
    'an unknown key',
    { ...documentOf(base), colour: 'red' },
    /^\/colour: wanted one of .*, got an unknown key/,
  ],
  [
    'a misspelt key deep down',
    withWall({ build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half', strat: 'half' } }),
    /^\/walls\/0\/build\/strat/,
  ],
  ['another version', { ...documentOf(base), version: 2 }, /^\/version: wanted version 1, got version 2/],
  ['another format', { ...documentOf(base), format: 'x' }, /^\/format: wanted "even-tally\/job"/],
  ['no walls key', { ...documentOf(base), walls: undefined }, /^\/walls: wanted a list, got nothing/],
  ['a NaN height', withWall({ height: NaN }), /^\/walls\/0\/height: wanted .*got NaN/],
  ['an infinite height', withWall({ height: Infinity }), /^\/walls\/0\/height/],
  ['a null height', withWall({ height: null }), /^\/walls\/0\/height: wanted a length, got null/],
  ['a zero height', withWall({ height: 0 }), /^\/walls\/0\/height: wanted more than 0, got 0/],
  [
    'a negative run',
    withWall({ line: [{ run: -5 }] }),
    /^\/walls\/0\/line\/0\/run: wanted more than 0, got -5/,
  ],
  ['a length without a unit', withWall({ height: '2400' }), /^\/walls\/0\/height: .*"2400"/],
  [
    'a length that is not one',
    withWall({ height: 'high' }),
    /^\/walls\/0\/height: wanted a length.*got "high"/,
  ],
  [
    'a wall of 10 km',
    withWall({ line: [{ run: '10000 m' }] }),
    /^\/walls\/0\/line\/0\/run: wanted at most 1000 m, got "10000 m"/,
  ],
  ['a height of 101 m', withWall({ height: '101 m' }), /wanted at most 100 m/],
  [
    'too many units',
    withWall({ line: [{ run: '1000 m' }, { turn: 90 }, { run: '1000 m' }], height: '100 m' }),
    /wanted at most 1000000 units/,
  ],
  [
    'a zero joint',
    withWall({ build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half', bed: 0 } }),
    /^\/walls\/0\/build\/bed: wanted more than 0, got 0/,
  ],
  [
    'an unknown unit',
    withWall({ build: { kind: 'units', unit: 'brick-9', bond: 'half' } }),
    /^\/walls\/0\/build\/unit: wanted a unit.*"brick-9"/,
  ],
  [
    'an unknown bar',
    withWall({ steel: { vertical: { bar: '#44', every: 800 } } }),
    /^\/walls\/0\/steel\/vertical\/bar: wanted one of #3/,
  ],
  ['only turns', withWall({ line: [{ turn: 90 }] }), /at least one run/],
  [
    'a run shorter than a joint',
    withWall({ line: [{ run: 5 }], lengths: 'nominal' }),
    /wanted a run longer than one head joint/,
  ],
  [
    'an opening wider than its run',
    opening({ width: "30'" }),
    /^\/walls\/0\/openings\/0\/width: wanted an opening inside its run/,
  ],
  [
    'an opening before its run',
    opening({ at: 0 }),
    /^\/walls\/0\/openings\/0\/at: wanted an opening inside its run/,
  ],
  [
    'an opening in no run',
    opening({ run: 3 }),
    /^\/walls\/0\/openings\/0\/run: wanted a run from 0 to 0, got 3/,
  ],
  ['a head under its sill', opening({ sill: "7'" }), /wanted a head above the sill/],
  ['a head over the wall', opening({ head: "9'" }), /wanted a head no higher than the wall/],
  ['a fractional run number', opening({ run: 0.5 }), /whole number/],
  [
    'a NUL in a name',
    { ...documentOf(base), name: 'a\u0000b' },
    /^\/name: wanted text without control characters/,
  ],
  [
    'a lone surrogate in a name',
    { ...documentOf(base), name: 'a\ud800b' },
    /^\/name: wanted whole characters/,
  ],
  [
    'a name too long',
    { ...documentOf(base), name: 'x'.repeat(201) },
    /^\/name: wanted at most 200 characters, got 201/,
  ],
  ['an empty name', { ...documentOf(base), name: '  ' }, /^\/name: wanted a name/],
  [
    'a list where an object stands',
    withWall({ build: [] }),
    /^\/walls\/0\/build: wanted an object whose kind is one of units, .*, got a list of 0/,
  ],
];
test.each(REFUSED)(
  '%s is refused, saying where, what was wanted and what was got',
  (_name, document, says) => {
    const faults = faultsOf(document);
    expect(faults.length).toBeGreaterThan(0);
    expect(faults.some((f) => says.test(f))).toBe(true);
    expect(faults.every((f) => !f.includes('\n'))).toBe(true);
  },
);

const two = (b: Record<string, unknown>): unknown => {
  const d = opening({}) as JobDocument;
  d.walls[0]?.openings?.push({ id: 'B', run: 0, at: "12'", width: "3'", sill: 0, head: '6\' 8"', ...b });
  return d;
};

test('openings that overlap or touch are refused; one over the other with masonry between is not', () => {
  expect(faultsOf(two({ at: "6'" }))[0]).toMatch(/B overlaps or touches A/);
  expect(faultsOf(two({ at: "7'" }))[0]).toMatch(/B overlaps or touches A/);
  expect(faultsOf(two({ at: "4'", sill: '7\' 4"', head: "8'" }))).toEqual([]);
  expect(faultsOf(two({ id: 'A' }))[0]).toMatch(/opening id used once/);
});

test('every fault is reported, not the first alone', () => {
  expect(faultsOf({ ...documentOf(base), name: 3, show: 'yards', extra: 1 })).toHaveLength(3);
});

test('a script in a name is a legal name', () => {
  expect(faultsOf({ ...documentOf(base), name: '<script>alert(1)</script>' })).toEqual([]);
});

test('a head at the wall’s height is legal', () => expect(faultsOf(opening({ head: '8\' 8"' }))).toEqual([]));

test('JSON nested 50 000 deep and 50 MB of text are refused before anything reads them', () => {
  const deep = '['.repeat(50_000) + ']'.repeat(50_000);
  expect(nesting(deep)).toBe(50_000);
  expect(readJob(deep)).toMatchObject({
    ok: false,
    faults: [{ wanted: 'nesting of at most 64', got: '50000' }],
  });
  expect(checkText('x'.repeat(6_000_000))).toMatchObject({ ok: false, faults: [{ wanted: 'at most 5 MB' }] });
  expect(nesting('{"a":"[[[\\"[["}')).toBe(1);
});

test('text that is not JSON is a fault, not an exception', () => {
  expect(readJob('{ nope')).toMatchObject({ ok: false, faults: [{ wanted: 'a JSON job file' }] });
});

test('a job comes back equal, its strings verbatim and its keys in the order of the form', () => {
  const d = documentOf({ ...base, openings: [{ at: "4'", width: '3\'  4"', sill: 0, head: '6\' 8"' }] });
  const shuffled = Object.fromEntries(Object.entries(d).reverse());
  const back = canonical(shuffled) as unknown as JobDocument;
  expect(back).toEqual(d);
  expect(Object.keys(back)).toEqual(['format', 'version', 'name', 'show', 'profile', 'walls']);
  expect(back.walls[0]?.openings?.[0]?.width).toBe('3\'  4"');
});

test('the schema names every key of the form and refuses others', () => {
  const schema = jobSchema() as {
    properties: { walls: { items: { additionalProperties: boolean; required: string[] } } };
  };
  expect(schema.properties.walls.items.additionalProperties).toBe(false);
  expect(schema.properties.walls.items.required).toEqual(['id', 'name', 'line', 'height', 'build']);
});
