import { readAddress } from '../places/address.js';
import type { Said, Say } from '../messages/message.js';
import { ENTRY, type EntryKind, type RecordEntry } from './entries.js';
import { RECORD } from './messages.js';

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

/** Said one after another with commas between. */
const commas = (parts: readonly Said[]): Said =>
  parts.reduce<Said>((all, part) => (all === '' ? part : RECORD.commas({ a: all, b: part })), '');

function said(value: unknown): Said {
  if (Array.isArray(value))
    return value.length > 3 ? RECORD['of-them']({ count: value.length }) : commas(value.map(said));
  if (typeof value === 'object' && value !== null)
    return commas(Object.entries(value).map(([key, inner]) => RECORD.keyed({ key, value: said(inner) })));
  if (typeof value === 'boolean') return value ? RECORD.yes() : RECORD.no();
  return String(value);
}

const CASES = ENTRY.kind === 'byTag' ? ENTRY.cases : {};

/** What an entry says besides where, when and by whom, in the order its kind states it. */
function whatOf(
  e: { kind: string } & Record<string, unknown>,
  kinds: ReadonlyMap<string, EntryKind>,
): Said[] {
  return Object.keys(CASES[e.kind]?.keys ?? {})
    .filter((key) => !EVERY.has(key) && e[key] !== undefined)
    .map((key) => {
      const value = e[key];
      // An entry is spoken of by what it is; its id is in the file.
      if (key === 'of' && e.kind === 'correction') {
        const kind = kinds.get(String(value));
        return kind
          ? RECORD.corrects({ kind: RECORD['kind-plain']({ kind }) })
          : RECORD['corrects-unknown']();
      }
      if (key === 'entry')
        return RECORD.now({
          what: replaced(value as { kind: EntryKind } & Record<string, unknown>, kinds),
        });
      return RECORD.keyed({ key, value: said(value) });
    });
}

function replaced(
  e: { kind: EntryKind } & Record<string, unknown>,
  kinds: ReadonlyMap<string, EntryKind>,
): Said {
  const kind = RECORD['kind-plain']({ kind: e.kind });
  const parts = [whereOf(e), ...whatOf(e, kinds)].filter((part) => part !== '');
  return parts.length === 0 ? kind : RECORD['now-with']({ kind, parts });
}

/** Where an entry says it happened, as it is read on a row. */
function whereOf(e: object): Said {
  const own = e as { place?: string; run?: number; leaf?: number; course?: number };
  const address = own.place === undefined ? null : readAddress(own.place);
  const run = address
    ? (address.run ?? null)
    : own.run === undefined
      ? null
      : RECORD['run-no']({ n: own.run + 1 });
  const [leaf, course] = address ? [address.leaf, address.course] : [own.leaf, own.course];
  return commas(
    [
      run,
      leaf === undefined || leaf === 0 ? null : RECORD['leaf-no']({ n: leaf + 1 }),
      course === undefined ? null : RECORD['course-no']({ n: course }),
    ].filter((part) => part !== null),
  );
}

/** One entry as a plain row. */
export interface RecordRow {
  id: string;
  happened: string;
  wall: string | null;
  kind: Said;
  where: Said;
  /** What its kind says of it, in the order it is stated in. */
  /** One after another, parted by semicolons where they are read. */
  what: Said[];
  by: string;
  received: string | null;
  /** A later row has corrected it. */
  corrected: boolean;
}

/** Every entry as a row, in the order they apply. */
export function recordRows(entries: readonly RecordEntry[]): RecordRow[] {
  const corrected = new Set(entries.flatMap((e) => (e.kind === 'correction' ? [e.of] : [])));
  const kinds = new Map(entries.map((e) => [e.id, e.kind]));
  return entries.map((e) => {
    return {
      id: e.id,
      happened: e.happened,
      wall: e.wall,
      kind: RECORD[e.kind](),
      where: whereOf(e),
      what: whatOf(e, kinds),
      by: e.by,
      received: e.received ?? null,
      corrected: corrected.has(e.id),
    };
  });
}

/** The same for a spreadsheet, with a row of heads. */
export const recordCsvRows = (rows: readonly RecordRow[], say: Say): string[][] => [
  [
    RECORD['head-happened'](),
    RECORD['head-wall'](),
    RECORD['head-kind'](),
    RECORD['head-where'](),
    RECORD['head-what'](),
    RECORD['head-by'](),
    RECORD['head-received'](),
    RECORD['head-id'](),
    RECORD['head-corrected'](),
  ].map(say),
  ...rows.map((r) => [
    r.happened,
    r.wall ?? '',
    say(r.kind),
    say(r.where),
    r.what.map(say).join('; '),
    r.by,
    r.received ?? '',
    r.id,
    r.corrected ? say(RECORD.yes()) : '',
  ]),
];
