import fc from 'fast-check';
import { readAddress, runOf, writeAddress, type Address } from './address.js';

const word = fc.string({ unit: 'binary', minLength: 1, maxLength: 12 }).filter((s) => s.isWellFormed());
const whole = fc.nat({ max: 99_999 });
const part: fc.Arbitrary<Partial<Address>> = fc.oneof(
  fc.constant({}),
  fc.record({
    leaf: fc.nat({ max: 2 }),
    course: whole,
    piece: fc.record({ from: fc.integer({ min: -500, max: 99_999 }), length: whole }),
  }),
  fc.record({ leaf: fc.nat({ max: 2 }), cell: word }),
  fc.record({ leaf: fc.nat({ max: 2 }), course: whole, bar: word }),
  fc.record({ joint: word }),
  fc.record({ opening: word }),
);

test('whatever wall, run, joint or opening is called, an address written is read back as it was', () => {
  fc.assert(
    fc.property(
      word,
      fc.oneof(
        word,
        fc.nat({ max: 99 }).map((n) => `#${n}`),
      ),
      part,
      (wall, run, more) => {
        // An id may itself begin with a sign; only a sign and a number is a number.
        fc.pre(!run.startsWith('#') || /^#\d+$/.test(run));
        const address = { wall, run, ...more };
        const text = writeAddress(address);
        expect(readAddress(text)).toEqual(address);
        expect(text.split('/')[0]).not.toMatch(/[\s/%](?![0-9A-F]{2})/);
      },
    ),
  );
});

test('the addresses of the contract', () => {
  expect(readAddress('north/n/leaf:0/course:7/piece:998+397')).toEqual({
    wall: 'north',
    run: 'n',
    leaf: 0,
    course: 7,
    piece: { from: 998, length: 397 },
  });
  expect(readAddress('north/#0/leaf:0/cell:12')).toEqual({ wall: 'north', run: '#0', leaf: 0, cell: '12' });
  expect(readAddress('north/n/joint:J%2F1')).toEqual({ wall: 'north', run: 'n', joint: 'J/1' });
  expect(readAddress('north')).toEqual({ wall: 'north' });
});

test.each([
  '',
  '/',
  '/n',
  'north/',
  'north/n/',
  'north/n/colour:red',
  'north/n/leaf:x',
  'north/n/piece:12',
  'north/n/cell:',
  'a%',
  'x'.repeat(1001),
])('no address: %p', (text) => expect(readAddress(text)).toBeNull());

test('a run is found by its id, and by its number where it has none', () => {
  expect([
    runOf('n', ['s', 'n']),
    runOf('#1', ['s', 'n']),
    runOf('#2', ['s', 'n']),
    runOf('w', ['s', 'n']),
    runOf(undefined, ['s']),
  ]).toEqual([1, 1, null, null, null]);
});
