import { checkForm } from '../statement/check.js';
import type { Fault } from '../statement/fault.js';
import { nesting, parseJson } from '../statement/text.js';
import { migrated, type Migration } from '../statement/migrate.js';
import { inOrderOf } from '../statement/order.js';
import { documentSchema } from '../statement/schema.js';
import { constant, list, object, required, words, type States } from '../statement/statement.js';
import { ENTRY, type RecordEntry } from './entries.js';

/** A record file: its type, its check, its schema and the order of its keys are read from this. */
export const RECORD_FORM = object({
  format: required(constant('even-tally/record')),
  version: required(constant(1)),
  job: required(words(), 'the name of the job'),
  entries: required(list(ENTRY, 200_000)),
});
export type RecordDocument = States<typeof RECORD_FORM>;

export type CheckedRecord = { ok: true; record: RecordDocument } | { ok: false; faults: Fault[] };

/** What older records are brought along by. There has been one version so far. */
const MIGRATIONS: readonly Migration[] = [];

/** A plain value in, a checked record or every fault out. */
export function checkRecord(
  value: unknown,
  { steps = MIGRATIONS }: { steps?: readonly Migration[] } = {},
): CheckedRecord {
  const now = migrated(value, { format: 'even-tally/record', version: 1, steps });
  if (!now.ok) return { ok: false, faults: [now.fault] };
  const faults = checkForm(now.value, RECORD_FORM);
  if (faults.length > 0) return { ok: false, faults };
  const record = now.value as RecordDocument;
  const first = new Map<string, number>();
  record.entries.forEach(({ id }, i) => {
    const before = first.get(id);
    if (before === undefined) first.set(id, i);
    else
      faults.push({
        path: `/entries/${i}/id`,
        wanted: 'an entry id used once',
        got: `${JSON.stringify(id)} again (first at /entries/${before})`,
      });
  });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, record };
}

/** Reads a record file's text. */
export function readRecord(text: string): CheckedRecord {
  const depth = nesting(text);
  if (depth > 64)
    return { ok: false, faults: [{ path: '', wanted: 'nesting of at most 64', got: `${depth}` }] };
  const read = parseJson(text, 'a JSON record file');
  return 'fault' in read ? { ok: false, faults: [read.fault] } : checkRecord(read.value);
}

/** Faults of one entry as it is sent in: what only the server says of it is not for the sender to say. */
export function checkEntry(value: unknown): Fault[] {
  const faults = checkForm(value, ENTRY);
  for (const key of ['received', 'member'])
    if (typeof value === 'object' && value !== null && Object.hasOwn(value, key))
      faults.push({ path: `/${key}`, wanted: 'nothing: the server says that', got: 'something' });
  return faults;
}

export const entrySchema = (): Record<string, unknown> => documentSchema('An entry of the record', ENTRY);

export const recordSchema = (): Record<string, unknown> =>
  documentSchema('Even Tally record, version 1', RECORD_FORM);

/** A record with its keys in the order they are stated in. */
export const canonicalRecord = (record: RecordDocument): RecordDocument => inOrderOf(record, RECORD_FORM);

/** A row as it was kept before devices said when: it happened when it was received. */
export const oldRow = (row: { at: string } & Record<string, unknown>): RecordEntry => {
  const { at, ...rest } = row;
  return { ...rest, happened: at, received: at } as unknown as RecordEntry;
};
