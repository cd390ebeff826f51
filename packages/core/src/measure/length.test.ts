import { millimetres, toMillimetres, type CubicMetres, type Length, type Mm } from './length.js';

const long = (mm: Mm): number => mm;

describe('what a number measures is carried in its type', () => {
  test('an exact length, or a volume, is not taken for millimetres; what is worked out is', () => {
    const exact: Length = millimetres(215);
    // @ts-expect-error an exact length is counted in 24ths of a micrometre
    long(exact);
    const volume: CubicMetres = 0.5;
    // @ts-expect-error a volume is no length
    long(volume);
    expect(long(toMillimetres(exact) + 10)).toBe(225);
  });

  test('a plain number is no exact length: those are made, and rounded once', () => {
    // @ts-expect-error made by `millimetres`, `inches` and the like
    const wrong: Length = 215;
    expect(toMillimetres(millimetres(wrong))).toBe(215);
  });
});
