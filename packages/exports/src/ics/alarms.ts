import { batchClocks, Folded, SHEET } from '@even-tally/core';
import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';
import type { ExportAsk } from '../ask.js';

/** A batch calls before it dies, so that it can still be used up, ms. */
const BEFORE = 20 * 60_000;

/**
 * What is to be remembered, as a calendar: the last of every batch that is still about, rung as it begins. A page that is shut rings
 * nothing; a phone's calendar does. Ids are the entries' own, so that taking it twice makes no second alarm.
 */
export function alarmsIcs({ job, record, say, now }: ExportAsk): string {
  const at = new Date(now);
  const calendar = ical({
    name: say(SHEET['of-job']({ job: job.name, sheet: SHEET.alarms() })),
    prodId: { company: 'Even Tally', product: 'Even Tally', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const clock of batchClocks(job, new Folded(record).entries())) {
    if (clock.ended || clock.dies <= at.getTime()) continue;
    const wall = job.walls.find((w) => w.id === clock.wall)?.name ?? job.name;
    const event = calendar.createEvent({
      id: `${clock.id}@even-tally`,
      start: new Date(Math.max(clock.mixed, clock.dies - BEFORE)),
      end: new Date(clock.dies),
      stamp: at,
      summary: say(SHEET['use-up-batch']({ n: clock.number, mix: clock.name, wall })),
    });
    event.createAlarm({ type: ICalAlarmType.display, trigger: 0 });
  }
  return `${calendar.toString()}\r\n`;
}
