import { plan as planJob, planJson, sayFault } from '@even-tally/core';
import { createWords, languageOf } from '@even-tally/words';
import { called, complain, isRecord, readJobFile, readRecordFile } from './reading.js';
import { readable } from './readable.js';

/** Exit 0 for a sound job or record file, 1 with one line a fault, 2 for a wrong call. */
export function check(args: string[]): number {
  const call = called(args, []);
  if (typeof call === 'string') return (complain([call]), 2);
  const read = isRecord(call.file) ? readRecordFile(call.file) : readJobFile(call.file);
  if (read.ok) return 0;
  process.stdout.write(read.faults.map((f) => `${sayFault(f)}\n`).join(''));
  return 1;
}

/** Prints the plan, and nothing else, on stdout; a bad file exits 1 with its faults on stderr. */
export function plan(args: string[]): number {
  const call = called(args, ['--json', '--no-advice'], ['--record']);
  if (typeof call === 'string') return (complain([call]), 2);
  const read = readJobFile(call.file);
  if (!read.ok) return (complain(read.faults.map(sayFault)), 1);
  const recordFile = call.given.get('--record');
  const record = recordFile === undefined ? null : readRecordFile(recordFile);
  if (record && !record.ok) return (complain(record.faults.map(sayFault)), 1);
  const planned = planJob(read.value, record?.value.entries ?? [], {
    advise: !call.flags.has('--no-advice'),
  });
  const { say } = createWords(languageOf(read.value.profile), read.value.show);
  process.stdout.write(
    call.flags.has('--json')
      ? `${JSON.stringify(planJson(planned, say), null, 1)}\n`
      : readable(read.value, planned, say),
  );
  return 0;
}
