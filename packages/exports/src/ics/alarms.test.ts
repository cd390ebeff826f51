import type { RecordEntry } from '@even-tally/core';
import ICAL from 'ical.js';
import { asked, boatClub, textOf } from '../test/jobs.js';

const mixed = (id: string, happened: string): RecordEntry => ({
  id,
  kind: 'batch-mixed',
  wall: 'boat-store',
  mix: 'cement-lime-s',
  happened,
  by: 'Odell',
});
const NOW = '2026-07-01T18:00:00.000Z';

/** The calendar as another program reads it. */
const events = (record: RecordEntry[]): InstanceType<typeof ICAL.Event>[] => {
  const text = textOf('ics', { ...asked(boatClub, { record }), now: NOW });
  const calendar = ICAL.Component.fromString(text);
  return calendar.getAllSubcomponents('vevent').map((v) => new ICAL.Event(v));
};

test('a batch that is about rings twenty minutes before it dies; one that is dead or gone does not', () => {
  // Mixed at ten in the morning there, good for two and a half hours (TMS 602, from memory).
  const about = mixed('about', '2026-07-01T10:00:00-07:00');
  const dead = mixed('dead', '2026-07-01T06:00:00-07:00');
  const gone = mixed('gone', '2026-07-01T10:30:00-07:00');
  const end: RecordEntry = {
    id: 'end',
    kind: 'batch-ended',
    wall: 'boat-store',
    batch: 'gone',
    why: 'used',
    happened: '2026-07-01T10:50:00-07:00',
    by: 'Odell',
  };
  const found = events([dead, about, gone, end]);
  expect(found).toHaveLength(1);
  const [event] = found;
  expect(event?.uid).toBe('about@even-tally');
  expect(event?.endDate.toJSDate().toISOString()).toBe('2026-07-01T19:30:00.000Z');
  expect(event?.startDate.toJSDate().toISOString()).toBe('2026-07-01T19:10:00.000Z');
  expect(event?.summary).toContain('Boat store');
  expect(event?.summary).toContain('Type S');
  expect(event?.component.getAllSubcomponents('valarm')).toHaveLength(1);
});

test('with nothing about it is an empty calendar', () => {
  expect(events([])).toEqual([]);
});
