import { readMass, readTemperature, readVolume } from './amounts.js';
import { parseCounted } from './counted.js';
import { isMoney, readClock, readDate, readDuration, readInstant, writtenDate } from './times.js';

const value = (r: { ok: true; value: number } | { ok: false; why: string }): number => (r.ok ? r.value : NaN);

/* The conversions are those of the contract; a US gallon is 231 in³ and a yard 0.9144 m by definition. */
test.each<[string | number, number]>([
  [0.25, 0.25],
  ['0.25 m3', 0.25],
  ['90 L', 0.09],
  ['6 ft3', 6 * 0.3048 ** 3],
  ['1.5 yd3', 1.5 * 0.9144 ** 3],
  ['5 gal', 5 * 231 * 0.0254 ** 3],
  ['5 imp gal', 5 * 0.00454609],
  ['6 ft³', 6 * 0.3048 ** 3],
  ['20 litres', 0.02],
])('a volume: %p', (text, m3) => expect(value(readVolume(text))).toBeCloseTo(m3, 12));

test.each<[string | number, number]>([
  [25, 25],
  ['25 kg', 25],
  ['94 lb', 94 * 0.45359237],
  ['1 ton', 2000 * 0.45359237],
  ['1 long ton', 2240 * 0.45359237],
  ['1.2 t', 1200],
])('a mass: %p', (text, kg) => expect(value(readMass(text))).toBeCloseTo(kg, 9));

test.each<[string | number, number]>([
  [4, 4],
  ['4 C', 4],
  ['40 F', 4.444444],
  ['78 F', 25.555556],
  ['−5 °C', -5],
  ['32 °F', 0],
])('a temperature: %p', (text, c) => expect(value(readTemperature(text))).toBeCloseTo(c, 5));

test.each<[string | number, number]>([
  [45, 45],
  ['45 min', 45],
  ['2 h 30 min', 150],
  ['2h 30min', 150],
  ['3 d', 4320],
  ['1.5 h', 90],
])('a duration: %p', (text, minutes) => expect(value(readDuration(text))).toBe(minutes));

test('what is none of these says what was wanted and what was got', () => {
  for (const bad of ['6', '6 bricks', '6 ft', '-1 L', '', null, NaN, {}, 'x'.repeat(99)])
    expect(readVolume(bad)).toMatchObject({
      ok: false,
      why: expect.stringMatching(/^wanted a volume such as .*, got /) as string,
    });
  for (const bad of ['30 min 2 h', '2 h 2 h', 'soon', '', -1]) expect(readDuration(bad).ok).toBe(false);
  for (const bad of ['7:30', '24:01', '07:60', 730]) expect(readClock(bad).ok).toBe(false);
  expect(readTemperature('-500 C').ok).toBe(false);
});

test('a time of day, and the whole day', () => {
  expect([readClock('07:30'), readClock('00:00'), readClock('24:00')].map(value)).toEqual([450, 0, 1440]);
});

test('dates and instants come out as the calendar of the machine has them', () => {
  for (const day of ['1970-01-01', '2026-12-01', '2000-02-29', '2024-02-29', '1999-12-31', '2100-03-01'])
    expect([day, value(readDate(day)) * 86_400_000]).toEqual([day, Date.parse(day)]);
  for (const no of ['2026-02-29', '2100-02-29', '2026-13-01', '2026-00-10', '2026-4-1', 20261201])
    expect([no, readDate(no).ok]).toEqual([no, false]);
  for (const at of ['2026-12-01T10:37:00-07:00', '2026-12-01T10:37:00.250Z', '2026-03-29T00:30:00+01:00'])
    expect([at, value(readInstant(at))]).toEqual([at, Date.parse(at)]);
  for (const no of ['2026-12-01T10:37:00', '2026-12-01 10:37:00Z', '2026-12-01T25:00:00Z', '2026-12-01'])
    expect([no, readInstant(no).ok]).toEqual([no, false]);
});

test('money is text', () => {
  expect(['12', '1250.50', '0.1234'].every(isMoney)).toBe(true);
  expect([12, '1,250', '-3', '1.23456', 'x'].some(isMoney)).toBe(false);
});

test('bricks and courses are counted, halves too', () => {
  expect(
    ['5 bricks', '9 1/2 bricks', '9½ blocks', '0.5 unit', '½ brick', '12 courses', '1 course'].map(
      parseCounted,
    ),
  ).toEqual([
    { n: 5, of: 'units' },
    { n: 9.5, of: 'units' },
    { n: 9.5, of: 'units' },
    { n: 0.5, of: 'units' },
    { n: 0.5, of: 'units' },
    { n: 12, of: 'courses' },
    { n: 1, of: 'courses' },
  ]);
  expect(['5', '5 brick walls', '-2 bricks', '5.3 bricks', 'bricks'].map(parseCounted)).toEqual([
    null,
    null,
    null,
    null,
    null,
  ]);
});

test('a day that was read is written as it was, from 1600 to 2400', () => {
  for (let day = -135_140; day < 157_054; day += 13) {
    const wanted = new Date(day * 86_400_000).toISOString().slice(0, 10);
    expect(writtenDate(day)).toBe(wanted);
  }
});
