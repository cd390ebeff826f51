import { expect, test } from '@jest/globals';
import { mixNamed, type Mix } from '../../tables/mixes/mixes.js';
import { weatherAdvice } from './advice.js';
import { lifeAt, livesOf } from './life.js';
import { CLIMATES, simulatedWeather, type Climate } from './simulated.js';
import { rangeIn, temperatureAt, weatherOf, type Weather } from './temperature.js';

const mix = (id: string): Mix => mixNamed(id) as Mix;
const f = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;
const day = (low: number, high: number, more: Partial<Weather> = {}): Weather => ({
  low,
  high,
  wind: 0,
  rain: false,
  simulated: false,
  ...more,
});

test('it is coldest at six, warmest at three, and half way between at half past ten', () => {
  expect(temperatureAt(10, 26, 6 * 60)).toBeCloseTo(10, 9);
  expect(temperatureAt(10, 26, 15 * 60)).toBeCloseTo(26, 9);
  expect(temperatureAt(10, 26, 10.5 * 60)).toBeCloseTo(18, 9);
  expect(rangeIn(day(10, 26), 8 * 60, 16 * 60)?.most).toBeCloseTo(26, 9);
  expect(rangeIn(day(10, 26), 8 * 60, 12 * 60)?.most).toBeLessThan(26);
});

test('cement mud in the United States lives by the code’s step; lime less and less from 20 °C to 30 °C', () => {
  const s = mix('cement-lime-s');
  expect([70, 100, 101].map((t) => lifeAt(s, 'us', f(t), 0))).toEqual([150, 150, 120]);
  expect(lifeAt(s, 'us', f(95), 15)).toBe(120);
  const lime = mix('nhl-3.5');
  expect([5, 20, 25, 30, 40].map((c) => lifeAt(lime, 'metric', c, 0))).toEqual([300, 300, 270, 240, 240]);
  // A drying wind brings it on sooner.
  expect(lifeAt(lime, 'metric', 25, 20)).toBe(240);
});

test('lives go with the hours, and where nobody has said how warm it is they are as the mix states them', () => {
  const lime = mix('nhl-3.5');
  const lives = livesOf(lime, 'metric', day(10, 32), 480, 960);
  expect(lives[0]?.life).toBe(300);
  expect(Math.min(...lives.map((l) => l.life))).toBe(240);
  expect(lives.map((l) => l.at)).toEqual([...lives.map((l) => l.at)].sort((a, b) => a - b));
  expect(livesOf(lime, 'metric', { ...day(0, 0), low: null }, 480, 960)).toEqual([{ at: 0, life: 300 }]);
});

test('what is asked comes worst first, and nothing is asked of weather nobody has told', () => {
  const cold = weatherAdvice(day(-4, 2, { rain: true }), {
    binds: 'cement',
    basis: 'metric',
    from: 480,
    to: 960,
  });
  expect(cold.map((a) => a.says.code)).toEqual([
    'weather.stop-3',
    'weather.frost-after',
    'weather.rain-cover',
    'weather.waits-double',
  ]);
  const unknown = { low: null, high: null, wind: null, rain: false, simulated: false };
  expect(weatherAdvice(unknown, { binds: 'cement', basis: 'us', from: 480, to: 960 })).toEqual([]);
  for (const a of cold) expect(a.source).not.toBe('');
});

test('words that say it stays dry are no rain', () => {
  const rain = (said: string | number | boolean): boolean =>
    weatherOf({ date: '2026-07-01', rain: said }).rain;
  expect(['none', 'no', 'dry', 0, false].map(rain)).toEqual([false, false, false, false, false]);
  expect(['showers', 2.5, true].map(rain)).toEqual([true, true, true]);
});

test('made-up weather is the same for the same day and place, always marked, and as warm as its season', () => {
  for (const place of Object.keys(CLIMATES) as Climate[]) {
    const july = simulatedWeather('2026-07-15', place);
    expect(simulatedWeather('2026-07-15', place)).toEqual(july);
    expect(july.simulated).toBe(true);
    const means = (month: string): number => {
      const days = Array.from({ length: 28 }, (_, i) =>
        weatherOf(simulatedWeather(`2026-${month}-${String(i + 1).padStart(2, '0')}`, place)),
      );
      return days.reduce((s, w) => s + ((w.low ?? 0) + (w.high ?? 0)) / 2, 0) / days.length;
    };
    const { winter, summer } = CLIMATES[place];
    expect(Math.abs(means('01') - winter)).toBeLessThan(3);
    expect(Math.abs(means('07') - summer)).toBeLessThan(3);
  }
  expect(simulatedWeather('2026-07-15', 'mild')).not.toEqual(simulatedWeather('2026-07-16', 'mild'));
  expect(simulatedWeather('2026-07-15', 'high-desert', true).high).toMatch(/^\d+ F$/);
});
