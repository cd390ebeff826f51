import { dayJson, planDay, readDay, sayFault, type DayPlan } from '@even-tally/core';
import { called, complain, readDayText } from './reading.js';

/** Prints a day's mud, batch by batch; exits 1 with a line a fault, 2 for a wrong call. */
export function mud(args: string[]): number {
  const call = called(args, ['--json']);
  if (typeof call === 'string') return (complain([call]), 2);
  const text = readDayText(call.file);
  if (!text.ok) return (complain(text.faults.map(sayFault)), 1);
  const day = readDay(text.value);
  if (!day.ok) return (complain(day.faults.map(sayFault)), 1);
  const plan = planDay(day.day);
  process.stdout.write(
    call.flags.has('--json') ? `${JSON.stringify(dayJson(plan), null, 2)}\n` : readable(plan),
  );
  return 0;
}

const litres = (m3: number): string => `${(m3 * 1000).toFixed(1)} L`;

function readable(plan: DayPlan): string {
  const json = dayJson(plan);
  const rows = json.batches.map((b, i) =>
    [
      `${i + 1}`.padStart(3),
      b.water,
      b.first,
      b.last,
      b.expires,
      litres(b.made).padStart(10),
      litres(b.left).padStart(10),
    ].join('  '),
  );
  const head = 'no.  water     first     last      dead            made        left';
  const waits = json.waits.map((w) => `nobody has mud from ${w.from} to ${w.to}`);
  const proved = plan.proof.status === 'best' ? 'no other plan is better' : 'not proved to be the best';
  return `${[head, ...rows, ...waits, `made ${litres(plan.made)}, left ${litres(plan.left)}; ${proved}`].join('\n')}\n`;
}
