import fc from 'fast-check';
import { unitsToSaw } from './offcuts.js';

const saw = (pieces: [number, number][], whole = 440): number => unitsToSaw(new Map(pieces), whole, 3);

test.each([
  ['two bats from one brick', [[102.5, 16]] as [number, number][], 215, 8],
  ['two halves and the saw cut do not come from one block', [[219, 4]] as [number, number][], 440, 4],
  [
    'the offcut of one serves the other',
    [
      [300, 2],
      [130, 2],
    ] as [number, number][],
    440,
    2,
  ],
  ['nothing from nothing', [] as [number, number][], 440, 0],
  ['an odd bat opens one more', [[102.5, 3]] as [number, number][], 215, 2],
])('%s', (_name, pieces, whole, wanted) => expect(saw(pieces, whole)).toBe(wanted));

test('never fewer units than the lengths need, never more than one each', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 30, max: 440 }), fc.integer({ min: 1, max: 40 })), {
        maxLength: 4,
      }),
      (list) => {
        const pieces = new Map(list);
        const count = [...pieces.values()].reduce((a, b) => a + b, 0);
        const length = [...pieces].reduce((sum, [l, n]) => sum + l * n, 0);
        const got = unitsToSaw(pieces, 440, 3);
        return got <= count && got >= Math.ceil(length / 440 - 1e-9);
      },
    ),
  );
});
