import { stockForecast, type Sampled } from './stock.js';

const stone = (shows: number, goesIn: number, sound = true): Sampled => ({
  shows,
  goesIn,
  height: 100,
  sound,
});

test('traced stones give less face than they showed, rotten ones none, and what is short is said', () => {
  // 400 + 300 + 200 + 100 shown; 200 + 300 + 200 + 0 of it comes back.
  const found = stockForecast(
    [stone(400, 200), stone(300, 350), stone(200, 250), stone(100, 300, false)],
    10,
  );
  expect(found).toMatchObject({ looked: 4, traced: 1, unsound: 1, few: true });
  expect(found.share).toBeCloseTo(0.7, 12);
  expect(found.gives).toBeCloseTo(7, 12);
  expect(found.short).toBeCloseTo(3, 12);
});

test('stones laid as they should be build again what they built; nothing looked at promises nothing', () => {
  expect(
    stockForecast(
      Array.from({ length: 20 }, () => stone(200, 300)),
      6,
    ),
  ).toMatchObject({
    share: 1,
    short: 0,
    few: false,
  });
  expect(stockForecast([], 6)).toMatchObject({ share: 0, short: 6, few: true });
});
