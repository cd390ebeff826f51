import { cutBars, type CutList, type Wanted } from './cutting.js';

const list = (pieces: [number, number][]): Wanted[] =>
  pieces.map(([length, count], i) => ({ mark: `M${i + 1}`, length, count }));

/** Every bar of the list is cut, nothing twice, and no stock bar is cut longer than it is. */
function sound(cut: CutList, wanted: Wanted[], kerf = 0): void {
  for (const w of wanted) {
    const got = cut.patterns.reduce(
      (s, p) => s + p.times * p.pieces.filter((x) => x.mark === w.mark).reduce((a, x) => a + x.count, 0),
      0,
    );
    expect(got).toBe(w.count);
  }
  for (const p of cut.patterns) {
    const count = p.pieces.reduce((a, x) => a + x.count, 0);
    const length = p.pieces.reduce((a, x) => a + x.count * x.length, 0) + (count - 1) * kerf;
    expect(length).toBeLessThanOrEqual(p.stock + 1e-6);
    expect(p.left).toBeCloseTo(p.stock - length, 6);
  }
  expect(cut.patterns.reduce((a, p) => a + p.times, 0)).toBe(cut.bars);
}

// Worked example of bars cut from 6.0 m stock, with its proof: arithmetic.
test.each([
  [
    'a',
    [
      [3200, 4],
      [2250, 4],
      [1350, 5],
    ],
    5,
    1450,
  ],
  [
    'b',
    [
      [3050, 5],
      [1450, 4],
    ],
    5,
    8950,
  ],
  ['c', [[2100, 5]], 3, 7500],
] as [string, [number, number][], number, number][])(
  'example %s: the fewest bars, proved',
  (_n, pieces, bars, left) => {
    const wanted = list(pieces);
    const cut = cutBars(wanted, [6000]);
    sound(cut, wanted);
    expect([cut.bars, cut.bound, cut.proved]).toEqual([bars, bars, true]);
    expect(cut.left).toBeCloseTo(left, 6);
  },
);

test('example a with a 3 mm saw keeps to five bars', () => {
  const wanted = list([
    [3200, 4],
    [2250, 4],
    [1350, 5],
  ]);
  const cut = cutBars(wanted, [6000], { kerf: 3 });
  sound(cut, wanted, 3);
  expect(cut.bars).toBe(5);
});

/** A small generator of our own, so that the cases are the same every time. */
function dice(seed: number): () => number {
  let s = seed;
  return () => (s = (s * 1103515245 + 12345) % 2147483648) / 2147483648;
}

test('100 random cases: at the bound of the relaxation, or with a gap of one bar and said so', () => {
  const roll = dice(12345);
  let atBound = 0;
  for (let k = 0; k < 100; k++) {
    const wanted = list(
      Array.from({ length: 2 + Math.floor(roll() * 25) }, (): [number, number] => [
        Math.round(300 + roll() * 5200),
        1 + Math.floor(roll() * 30),
      ]),
    );
    const cut = cutBars(wanted, [6000]);
    sound(cut, wanted);
    // No list takes less than all the lengths laid end to end, whatever the relaxation says.
    const end = wanted.reduce((s, w) => s + w.length * w.count, 0) / 6000;
    expect(cut.bound).toBeGreaterThanOrEqual(Math.ceil(end - 1e-9));
    expect(cut.proved).toBe(cut.bars === cut.bound);
    expect(cut.bars - cut.bound).toBeLessThanOrEqual(1);
    if (cut.proved) atBound++;
  }
  expect(atBound).toBeGreaterThanOrEqual(98);
});

/** Fewest bars by trying everything: for a handful of pieces. */
function fewest(pieces: number[], stock: number): number {
  let best = pieces.length;
  const down = (i: number, bars: number[]): void => {
    if (bars.length >= best) return;
    if (i === pieces.length) {
      best = bars.length;
      return;
    }
    const p = pieces[i] ?? 0;
    for (let b = 0; b < bars.length; b++)
      if ((bars[b] ?? 0) >= p)
        down(
          i + 1,
          bars.map((left, k) => (k === b ? left - p : left)),
        );
    down(i + 1, [...bars, stock - p]);
  };
  down(0, []);
  return best;
}

test('small lists against every way of cutting them', () => {
  const roll = dice(99);
  for (let k = 0; k < 60; k++) {
    const pieces = Array.from({ length: 3 + Math.floor(roll() * 5) }, () => Math.round(700 + roll() * 4000));
    const cut = cutBars(list(pieces.map((p) => [p, 1])), [6000]);
    const exact = fewest(
      [...pieces].sort((a, b) => b - a),
      6000,
    );
    expect(cut.bars).toBe(exact);
    expect(cut.bound).toBeLessThanOrEqual(exact);
  }
});

test('bars longer than the stock are set apart, and a list stopped early is still a list', () => {
  const wanted = list([
    [7000, 2],
    [2500, 4],
  ]);
  const cut = cutBars(wanted, [6000]);
  expect(cut.tooLong.map((w) => w.length)).toEqual([7000]);
  expect(cut.bars).toBe(2);
  const many = list(Array.from({ length: 30 }, (_, i): [number, number] => [400 + i * 170, 7]));
  const stopped = cutBars(many, [6000], { going: () => false });
  sound(stopped, many);
  expect(stopped.bound).toBeGreaterThan(0);
});
