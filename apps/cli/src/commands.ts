import { readFileSync, statSync } from 'node:fs';
import { LIMITS, plan as planJob, planJson, readJob, sayFault, type Checked } from '@even-tally/core';
import { readable } from './readable.js';

const fault = (wanted: string, got: string): Checked => ({ ok: false, faults: [{ path: '', wanted, got }] });

/** Reads and checks a file; whatever is wrong comes back as faults, never as an exception. */
function readFile(file: string): Checked {
  try {
    const { size } = statSync(file);
    if (size > LIMITS.bytes) return fault('at most 5 MB', `${(size / 1048576).toFixed(1)} MB`);
    const bytes = readFileSync(file);
    const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return readJob(text);
  } catch (error) {
    const code = (error as { code?: string }).code;
    if (code === 'ENOENT') return fault('a job file', `no file at ${file}`);
    if (code === 'ERR_ENCODING_INVALID_ENCODED_DATA') return fault('text in UTF-8', 'bytes that are not');
    return fault('a job file', `${code ?? 'something'} that cannot be read`);
  }
}

function only(args: string[], flags: string[]): { file: string; flags: Set<string> } | string {
  const given = new Set(args.filter((a) => a.startsWith('--')));
  const unknown = [...given].find((f) => !flags.includes(f));
  if (unknown) return `Wanted ${flags.join(' or ') || 'no options'}, got "${unknown}".`;
  const files = args.filter((a) => !a.startsWith('--'));
  const [file] = files;
  if (file === undefined || files.length !== 1) return `Wanted one job file, got ${files.length}.`;
  return { file, flags: given };
}

const complain = (lines: string[]): void => void process.stderr.write(lines.map((l) => `${l}\n`).join(''));

/** Exit 0 for a sound file, 1 with one line a fault, 2 for a wrong call. */
export function check(args: string[]): number {
  const call = only(args, []);
  if (typeof call === 'string') return (complain([call]), 2);
  const read = readFile(call.file);
  if (read.ok) return 0;
  process.stdout.write(read.faults.map((f) => `${sayFault(f)}\n`).join(''));
  return 1;
}

/** Prints the plan, and nothing else, on stdout; a bad file exits 1 with its faults on stderr. */
export function plan(args: string[]): number {
  const call = only(args, ['--json', '--no-advice']);
  if (typeof call === 'string') return (complain([call]), 2);
  const read = readFile(call.file);
  if (!read.ok) return (complain(read.faults.map(sayFault)), 1);
  const planned = planJob(read.job, [], { advise: !call.flags.has('--no-advice') });
  process.stdout.write(
    call.flags.has('--json')
      ? `${JSON.stringify(planJson(planned), null, 1)}\n`
      : readable(read.job, planned),
  );
  return 0;
}
