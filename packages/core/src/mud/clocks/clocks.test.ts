import { expect, test } from '@jest/globals';
import type { RecordEntry } from '../../record/entries.js';
import { Folded } from '../../record/fold.js';
import { documentOf, soundJob, straight } from '../../test/jobs.js';
import { batchClocks, batchState, type BatchClock } from './clocks.js';

const job = (more: object = {}) =>
  soundJob({
    ...documentOf({ profile: 'us', show: 'ft-in', line: straight("20'"), height: "8'" }),
    ...more,
  });
const AT = Date.parse('2026-07-01T10:00:00-07:00');
const MINUTE = 60_000;

const mixed = (id: string, at: string, more: object = {}): RecordEntry => ({
  id,
  kind: 'batch-mixed',
  wall: 'w',
  mix: 'cement-lime-s',
  volume: '4.1 ft3',
  happened: at,
  by: 'Ann',
  ...more,
});
const clocks = (entries: RecordEntry[], more: object = {}): BatchClock[] =>
  batchClocks(job(more), new Folded(entries).entries());

test('cement mud in the United States lives two and a half hours from its water (TMS 602 2.6, from memory)', () => {
  const [clock] = clocks([mixed('a', '2026-07-01T10:00:00-07:00')]);
  expect(clock).toMatchObject({ number: 1, mixed: AT, ended: null, retemper: true });
  expect((clock?.dies ?? 0) - AT).toBe(150 * MINUTE);
  if (!clock) throw new Error('no clock');
  expect([0, 110, 120, 149, 150].map((m) => batchState(clock, AT + m * MINUTE))).toEqual([
    'good',
    'good',
    'getting-on',
    'getting-on',
    'dead',
  ]);
});

test('over 100 °F it lives two (TMS 602 1.8 D, from memory), by the thermometer on site before the forecast', () => {
  const read = {
    id: 'w',
    kind: 'weather',
    wall: null,
    temperature: '102 F',
    happened: '2026-07-01T09:50:00-07:00',
    by: 'Ann',
  } as RecordEntry;
  const dies = (entries: RecordEntry[], more?: object): number =>
    ((clocks(entries, more).at(-1)?.dies ?? 0) - AT) / MINUTE;
  const batch = mixed('a', '2026-07-01T10:00:00-07:00');
  expect(dies([read, batch])).toBe(120);
  // What was read after it does not count, nor on another day.
  expect(dies([{ ...read, happened: '2026-07-01T10:10:00-07:00' }, batch])).toBe(150);
  expect(dies([{ ...read, happened: '2026-06-30T09:50:00-07:00' }, batch])).toBe(150);
  const weather = [{ date: '2026-07-01', low: '95 F', high: '120 F' }];
  expect(dies([batch], { weather })).toBe(120);
  // Weather that is made up decides nothing.
  expect(dies([batch], { weather: [{ ...weather[0], simulated: true }] })).toBe(150);
});

test('a device whose clock is wrong is put right by when the server had its entry', () => {
  // Ten minutes slow: it was sent a minute after it happened, and came in eleven minutes after.
  const slow = mixed('a', '2026-07-01T09:50:00-07:00', {
    sent: '2026-07-01T09:51:00-07:00',
    received: '2026-07-01T17:01:00.000Z',
  });
  expect(clocks([slow])[0]?.mixed).toBe(AT);
  // Held for an hour without the net and then sent: the clock was right, and nothing moves.
  const held = mixed('b', '2026-07-01T10:00:00-07:00', {
    sent: '2026-07-01T11:00:00-07:00',
    received: '2026-07-01T18:00:01.000Z',
  });
  expect(clocks([held])[0]?.mixed).toBe(AT);
});

test('batches are counted by the day, ended once, and a correction takes an end back', () => {
  const end = {
    id: 'e',
    kind: 'batch-ended',
    wall: 'w',
    batch: 'a',
    why: 'thrown',
    left: '0.2 ft3',
    happened: '2026-07-01T11:00:00-07:00',
    by: 'Ann',
  } as RecordEntry;
  const all = [
    mixed('a', '2026-07-01T10:00:00-07:00'),
    mixed('b', '2026-07-01T11:30:00-07:00'),
    mixed('c', '2026-07-02T08:00:00-07:00'),
    end,
  ];
  const found = clocks(all);
  expect(found.map((c) => c.number)).toEqual([1, 2, 1]);
  expect(found[0]?.ended).toMatchObject({ why: 'thrown', at: AT + 60 * MINUTE });
  expect(found[0]?.ended?.left).toBeCloseTo(0.2 * 0.028316846592, 9);
  const back = {
    id: 'x',
    kind: 'correction',
    wall: 'w',
    of: 'e',
    why: 'wrong batch',
    happened: '2026-07-01T12:00:00-07:00',
    by: 'Ann',
  } as RecordEntry;
  expect(clocks([back, ...all].reverse())[0]?.ended).toBeNull();
});
