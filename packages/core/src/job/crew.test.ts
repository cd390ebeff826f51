import { expect, test } from '@jest/globals';
import { documentOf, straight } from '../test/jobs.js';
import { checkJob } from './check.js';

const faults = (more: object): string[] => {
  const checked = checkJob({ ...documentOf({ line: straight("20'"), height: "8'" }), ...more });
  return checked.ok ? [] : checked.faults.map((f) => `${f.path}: ${f.wanted}`);
};

test('a crew with its hours, its pace and its weather is sound', () => {
  expect(
    faults({
      crew: {
        people: [{ id: 'a', name: 'Ann', does: 'lays', rate: '41.50', pace: 1.1 }],
        hours: { mon: ['07:30', '16:00'] },
        breaks: [['12:00', '12:30']],
        setUp: '45 min',
        clearUp: '30 min',
        off: ['2026-12-25'],
        pace: { 'cmu-8x8x16': 30 },
      },
      weather: [{ date: '2026-07-01', low: '55 F', high: '78 F', wind: '6 mph', rain: 'none' }],
    }),
  ).toEqual([]);
});

test.each([
  [{ crew: { hours: { mon: ['16:00', '07:30'] } } }, '/crew/hours/mon/1: a time after 16:00'],
  [{ crew: { breaks: [['12:00', '12:00']] } }, '/crew/breaks/0/1: a time after 12:00'],
  [
    { crew: { people: [1, 2].map(() => ({ id: 'a', name: 'Ann', does: 'lays' })) } },
    '/crew/people/1/id: each person once',
  ],
  [{ crew: { pace: { 'cmu-8x8x16': 0 } } }, '/crew/pace/cmu-8x8x16: a number from 0.1 to 10000'],
  [{ weather: [{ date: '2026-07-01', low: 30, high: 20 }] }, '/weather/0/low: no more than the high'],
  [{ weather: [{ date: '2026-02-30' }] }, '/weather/0/date: a date such as "2026-12-01"'],
  [
    { weather: [{ date: '2026-07-01', wind: '6 knots' }] },
    '/weather/0/wind: a speed such as 12 (km/h) or "8 mph"',
  ],
])('%j is said with its place', (more, wanted) => {
  expect(faults(more)).toEqual([wanted]);
});
