import fc from 'fast-check';
import { inches, metres, millimetres, toMillimetres, type Length } from './length.js';
import { showMm, writeLength } from './format.js';
import { readStated } from '../statement/check.js';
import { parseLength, parseMeasured, parseTyped, type BareUnit } from './parse.js';

const mm = (text: string, bare?: BareUnit): number => {
  const parsed = parseLength(text, bare);
  if (!parsed.ok) throw new Error(parsed.why);
  return toMillimetres(parsed.length);
};

test.each([
  ['7\' 4 5/8"', 88.625 * 25.4],
  ['7\'-4 5/8"', 88.625 * 25.4],
  ["7' 4 5/8", 88.625 * 25.4],
  ['7′-4 5⁄8″', 88.625 * 25.4],
  ['88 5/8"', 88.625 * 25.4],
  ["24'", 7315.2],
  ['3/8"', 9.525],
  ['.5"', 12.7],
  ['7 ft 4 in', 88 * 25.4],
  ['2.4 m', 2400],
  ['2.4m', 2400],
  ['240 cm', 2400],
  ['190 mm', 190],
  ['102.5 mm', 102.5],
])('%s is read exactly', (text, wanted) => expect(mm(text)).toBe(wanted));

test.each([
  ['2400', 'mm', 2400],
  ['7-4 5/8', 'in', 88.625 * 25.4],
  ['7-4 5/8', 'mm', 88.625 * 25.4],
  ['88 5/8', 'in', 88.625 * 25.4],
] as const)('typed bare, %s while showing %s', (text, bare, wanted) => expect(mm(text, bare)).toBe(wanted));

test.each([
  ['', 'unread'],
  [' ', 'unread'],
  ['a', 'unread'],
  ['2400', 'no-unit'],
  ['7-4', 'no-unit'],
  ['4 5/0"', 'over-nothing'],
  ['1/0"', 'over-nothing'],
  ['2,4 m', 'unread'],
  ['-3 m', 'unread'],
  ["7' -", 'unread'],
  ['NaN mm', 'unread'],
  ['Infinity m', 'unread'],
  ['1e3 mm', 'unread'],
  ['3 furlongs', 'unread'],
  ["'", 'unread'],
  ['5 5"', 'unread'],
  ['9'.repeat(70), 'long'],
] as const)('in a file %j is refused with the reason', (text, why) => {
  expect(parseLength(text)).toEqual({ ok: false, why, text });
});

test('a list says which one did not read, counted as people count', () => {
  expect(parseMeasured('64, 65.5, tall', 'mm')).toEqual({ ok: false, nth: 3, why: 'unread', text: 'tall' });
  expect(parseMeasured('64 0 66', 'mm')).toEqual({ ok: false, nth: 2, why: 'nothing', text: '0' });
});

test('a bare number in a file is told that text carries its unit', () => {
  expect(readStated('2400')).toMatchObject({
    wanted: expect.stringContaining('carries its unit') as string,
    got: '"2400"',
  });
});

test('counted lengths use the wall’s own modules', () => {
  const modules = { length: millimetres(225), course: millimetres(75) };
  const read = (t: string): number => {
    const p = parseTyped(t, 'mm', modules);
    return p.ok ? toMillimetres(p.length) : NaN;
  };
  expect([
    read('3 bricks'),
    read('2.5 bricks'),
    read('12 courses'),
    read('1 block'),
    read('2½ units'),
  ]).toEqual([675, 562.5, 900, 225, 562.5]);
});

test('what is written is read back as the same length', () => {
  const ticks = fc.oneof(
    fc.integer({ min: 1, max: 40_000 }).map((n) => inches(n, 64)),
    fc.integer({ min: 1, max: 40_000 }).map((n) => inches(n, 12)),
    fc.integer({ min: 1, max: 9_999_999 }).map((n) => millimetres(n / 1000)),
  );
  fc.assert(
    fc.property(ticks, fc.constantFrom('ft-in' as const, 'mm' as const), (length: Length, show) => {
      const text = writeLength(length, show);
      const back = typeof text === 'number' ? millimetres(text) : parseLength(text);
      return (typeof back === 'number' ? back : back.ok ? back.length : NaN) === length;
    }),
  );
});

test('lengths of site are exact', () => {
  expect(inches(1, 64) * 64).toBe(inches(1));
  expect(inches(5, 12) * 3 + inches(9, 4) * 3).toBe(inches(8));
  expect(metres(1)).toBe(millimetres(1000));
  expect(() => millimetres(NaN)).toThrow(RangeError);
  expect(() => inches(Infinity)).toThrow(/finite/);
});

test.each([
  [88.625 * 25.4, 'ft-in', '7′-4 5⁄8″'],
  [9.525, 'ft-in', '3⁄8″'],
  [0, 'ft-in', '0″'],
  [304.8, 'ft-in', '1′-0″'],
  [304.79, 'ft-in', '1′-0″'],
  [-25.4, 'ft-in', '−1″'],
  [2400, 'mm', '2400'],
  [11.071, 'mm', '11.1'],
  [9.9999, 'mm', '10'],
  [NaN, 'mm', '–'],
] as const)('%d is shown in %s as %s', (value, show, wanted) => expect(showMm(value, show)).toBe(wanted));
