import { readAddress } from '../places/address.js';
import { ENTRY, KIND_SAYS, type EntryKind, type RecordEntry } from './entries.js';

/** What every entry says: the rest is what its kind says. */
const EVERY = new Set([
  'id',
  'kind',
  'wall',
  'happened',
  'by',
  'received',
  'sent',
  'member',
  'place',
  'run',
  'leaf',
  'course',
  'at',
]);

function said(value: unknown): string {
  if (Array.isArray(value)) return value.length > 3 ? `${value.length} of them` : value.map(said).join(', ');
  if (typeof value === 'object' && value !== null)
    return Object.entries(value)
      .map(([key, inner]) => `${key} ${said(inner)}`)
      .join(', ');
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return String(value);
}

const CASES = ENTRY.kind === 'byTag' ? ENTRY.cases : {};

/** What an entry says besides where, when and by whom, in the order its kind states it. */
function whatOf(e: { kind: string } & Record<string, unknown>, kinds: ReadonlyMap<string, string>): string {
  return Object.keys(CASES[e.kind]?.keys ?? {})
    .filter((key) => !EVERY.has(key) && e[key] !== undefined)
    .map((key) => {
      const value = e[key];
      // An entry is spoken of by what it is; its id is in the file.
      if (key === 'of' && e.kind === 'correction')
        return `of ${kinds.get(String(value)) ?? 'an entry that is not here'}`;
      if (key === 'entry')
        return `now ${replaced(value as { kind: EntryKind } & Record<string, unknown>, kinds)}`;
      return `${key} ${said(value)}`;
    })
    .join('; ');
}

function replaced(
  e: { kind: EntryKind } & Record<string, unknown>,
  kinds: ReadonlyMap<string, string>,
): string {
  const parts = [whereOf(e), whatOf(e, kinds)].filter((part) => part !== '');
  return `${KIND_SAYS[e.kind].toLowerCase()}${parts.length === 0 ? '' : ` (${parts.join('; ')})`}`;
}

/** Where an entry says it happened, as it is read on a row. */
function whereOf(e: object): string {
  const own = e as { place?: string; run?: number; leaf?: number; course?: number };
  const address = own.place === undefined ? null : readAddress(own.place);
  const run = address ? address.run : own.run === undefined ? undefined : `run ${own.run + 1}`;
  const [leaf, course] = address ? [address.leaf, address.course] : [own.leaf, own.course];
  return [
    run,
    leaf === undefined || leaf === 0 ? undefined : `leaf ${leaf + 1}`,
    course === undefined ? undefined : `course ${course}`,
  ]
    .filter((part) => part !== undefined)
    .join(', ');
}

/** One entry as a plain row. */
export interface RecordRow {
  id: string;
  happened: string;
  wall: string | null;
  kind: string;
  where: string;
  /** What its kind says of it, in the order it is stated in. */
  what: string;
  by: string;
  received: string | null;
  /** A later row has corrected it. */
  corrected: boolean;
}

/** Every entry as a row, in the order they apply. */
export function recordRows(entries: readonly RecordEntry[]): RecordRow[] {
  const corrected = new Set(entries.flatMap((e) => (e.kind === 'correction' ? [e.of] : [])));
  const kinds = new Map(entries.map((e) => [e.id, KIND_SAYS[e.kind].toLowerCase()]));
  return entries.map((e) => {
    return {
      id: e.id,
      happened: e.happened,
      wall: e.wall,
      kind: KIND_SAYS[e.kind],
      where: whereOf(e),
      what: whatOf(e, kinds),
      by: e.by,
      received: e.received ?? null,
      corrected: corrected.has(e.id),
    };
  });
}

/** The same for a spreadsheet, with a row of heads. */
export const recordCsvRows = (rows: readonly RecordRow[]): string[][] => [
  ['happened', 'wall', 'kind', 'where', 'what', 'by', 'received', 'id', 'corrected'],
  ...rows.map((r) => [
    r.happened,
    r.wall ?? '',
    r.kind,
    r.where,
    r.what,
    r.by,
    r.received ?? '',
    r.id,
    r.corrected ? 'yes' : '',
  ]),
];
