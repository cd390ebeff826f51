import { readFileSync, statSync } from 'node:fs';
import {
  LIMITS,
  nesting,
  parseJson,
  readJob,
  readRecord,
  type Fault,
  type Job,
  type RecordDocument,
} from '@even-tally/core';

type Read<T> = { ok: true; value: T } | { ok: false; faults: Fault[] };

const fault = (wanted: string, got: string): Extract<Read<never>, { ok: false }> => ({
  ok: false,
  faults: [{ path: '', wanted, got }],
});

/** A record outgrows a job: one of 200 000 entries still fits. */
const RECORD_BYTES = 100 * 1024 * 1024;

/** Text of a file; whatever is wrong comes back as faults, never as an exception. */
function textOf(file: string, what: string, most: number): Read<string> {
  try {
    const { size } = statSync(file);
    if (size > most) return fault(`at most ${most / 1048576} MB`, `${(size / 1048576).toFixed(1)} MB`);
    return { ok: true, value: new TextDecoder('utf-8', { fatal: true }).decode(readFileSync(file)) };
  } catch (error) {
    const code = (error as { code?: string }).code;
    if (code === 'ENOENT') return fault(what, `no file at ${file}`);
    if (code === 'ERR_ENCODING_INVALID_ENCODED_DATA') return fault('text in UTF-8', 'bytes that are not');
    return fault(what, `${code ?? 'something'} that cannot be read`);
  }
}

/** A day is a page: one of a megabyte is something else. */
export const readDayText = (file: string): Read<string> => textOf(file, 'a file of a day', 1024 * 1024);

export function readJobFile(file: string): Read<Job> {
  const text = textOf(file, 'a job file', LIMITS.bytes);
  if (!text.ok) return text;
  const read = readJob(text.value);
  return read.ok ? { ok: true, value: read.job } : read;
}

export function readRecordFile(file: string): Read<RecordDocument> {
  const text = textOf(file, 'a record file', RECORD_BYTES);
  if (!text.ok) return text;
  const read = readRecord(text.value);
  return read.ok ? { ok: true, value: read.record } : read;
}

/** Whether a file says that it is a record. What cannot be read is taken for a job, whose check says why. */
export function isRecord(file: string): boolean {
  const text = textOf(file, 'a file', RECORD_BYTES);
  if (!text.ok || nesting(text.value) > LIMITS.nesting) return false;
  const read = parseJson(text.value, '');
  return (
    'value' in read &&
    typeof read.value === 'object' &&
    read.value !== null &&
    'format' in read.value &&
    read.value.format === 'even-tally/record'
  );
}

export interface Call {
  file: string;
  flags: Set<string>;
  /** Values of options that take one. */
  given: Map<string, string>;
}

export function called(args: string[], flags: string[], taking: string[] = []): Call | string {
  const call: Call = { file: '', flags: new Set(), given: new Map() };
  const files: string[] = [];
  for (let i = 0; i < args.length; i++) {
    const arg = args[i] ?? '';
    if (taking.includes(arg)) {
      const value = args[(i += 1)];
      if (value === undefined) return `Wanted a file after ${arg}, got nothing.`;
      call.given.set(arg, value);
    } else if (!arg.startsWith('--')) files.push(arg);
    else if (flags.includes(arg)) call.flags.add(arg);
    else return `Wanted ${[...flags, ...taking].join(' or ') || 'no options'}, got "${arg}".`;
  }
  const [file] = files;
  if (file === undefined || files.length !== 1) return `Wanted one job file, got ${files.length}.`;
  return { ...call, file };
}

export const complain = (lines: string[]): void =>
  void process.stderr.write(lines.map((l) => `${l}\n`).join(''));
