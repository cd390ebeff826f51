import { sayFor } from '../test/jobs.js';
import { sayFault } from '../statement/fault.js';
import { same } from '../statement/same.js';
import { type RecordEntry } from './entries.js';
import { canonicalRecord, checkRecord } from './record.js';
import { recordCsvRows, recordRows } from './rows.js';

const say = sayFor('mm');

const every = { wall: 'north', happened: '2026-12-01T10:37:00-07:00', by: 'R. Alder' };
/** One of each kind that the contract lists, with every key it names. */
const ONE_OF_EACH: Record<string, Record<string, unknown>> = {
  'course-laid': { run: 0, leaf: 0, course: 7, from: 0, to: 8731.25, units: 18 },
  'lift-laid': { run: 0, from: 0, to: '4 m', top: '600 mm' },
  'batch-mixed': {
    mix: 'cement-lime-s',
    measures: [{ of: 'sand', count: 9, measure: 'bucket' }],
    volume: '3 ft3',
    water: '14 L',
  },
  'batch-ended': { batch: 'b1', left: 0.01, why: 'thrown' },
  reading: {
    of: 'course-top',
    run: 0,
    leaf: 0,
    course: 7,
    at: 1200,
    value: 1422.4,
    over: "4'",
    instrument: 'a level',
  },
  'hold-signed': { hold: 'before-grout-1', seen: ['cleanouts'], as: 'foreman', note: 'dry', revision: 3 },
  'step-done': { step: 'grout-1' },
  stopped: { why: 'rain', minutes: 40, whose: 'nobody' },
  weather: { temperature: '40 F', wind: 'light', rain: false },
  delivered: { of: 'cmu-8x8x16', count: 540, class: 'N', broken: 6, ticket: '118' },
  used: { of: 'portland', count: 4 },
  note: { text: 'Line let down for lunch', photos: ['p1'] },
  'day-closed': { date: '2026-12-01' },
  accepted: { of: 'r1', why: 'hidden by render', as: 'client' },
  correction: { of: 'e0', why: 'miscounted', entry: { kind: 'course-laid', run: 0, course: 7, units: 17 } },
};
const entries = Object.entries(ONE_OF_EACH).map(([kind, own], i) => ({
  id: `e${i}`,
  kind,
  ...every,
  ...own,
}));
const document = (list: unknown[]): unknown => ({
  format: 'even-tally/record',
  version: 1,
  job: 'Boat store',
  entries: list,
});
const faults = (list: unknown[]): string[] => {
  const checked = checkRecord(document(list));
  return checked.ok ? [] : checked.faults.map(sayFault);
};

test('every kind of the contract is an entry, and no other is', () => {
  for (const kind of Object.keys(ONE_OF_EACH))
    expect(say({ code: `record.${kind}`, values: {} })).not.toBe('');
  expect(faults(entries)).toEqual([]);
  expect(faults([{ ...entries[0], kind: 'course-lade' }])).toEqual([
    expect.stringMatching(/^\/entries\/0\/kind: wanted one of course-laid, .*, got "course-lade"/),
  ]);
});

test.each(Object.keys(ONE_OF_EACH))(
  '%s: a key it does not have is a fault, and what every entry says is wanted',
  (kind) => {
    const own = entries.find((e) => e.kind === kind);
    expect(faults([{ ...own, colour: 'red' }])).toEqual([
      expect.stringMatching(/^\/entries\/0\/colour: wanted one of .*, got an unknown key/),
    ]);
    for (const key of ['id', 'wall', 'happened', 'by']) {
      const without: Record<string, unknown> = { ...own };
      delete without[key];
      expect(faults([without])).toEqual([
        expect.stringMatching(new RegExp(`^/entries/0/${key}: wanted .*, got nothing`)),
      ]);
    }
  },
);

test('what is kept says when it came and whose account it came from; a job’s own entry has no wall', () => {
  const kept = { received: '2026-12-01T17:40:00Z', sent: '2026-12-01T17:39:59Z', member: 'm1' };
  expect(faults(entries.map((e) => ({ ...e, ...kept, wall: null })))).toEqual([]);
});

test('faults of time, of amounts and of ids say what was wanted', () => {
  expect(faults([{ ...entries[0], happened: '2026-12-01 10:37' }])).toEqual([
    expect.stringMatching(
      /^\/entries\/0\/happened: wanted an instant with its offset such as .*, got "2026-12-01 10:37"/,
    ),
  ]);
  expect(faults([{ id: 'w', kind: 'weather', ...every, temperature: 'warm' }])).toEqual([
    expect.stringMatching(/^\/entries\/0\/temperature: wanted a temperature such as/),
  ]);
  expect(faults([entries[0], entries[0]])).toEqual([
    expect.stringMatching(/^\/entries\/1\/id: wanted an entry id used once/),
  ]);
  expect(faults([{ ...entries.at(-1), entry: { kind: 'correction', of: 'x', why: 'y' } }])).toEqual([
    expect.stringMatching(/^\/entries\/0\/entry\/kind: wanted one of/),
  ]);
  const checked = checkRecord({ format: 'even-tally/record', version: 2, job: 'x', entries: [] });
  expect(checked.ok ? [] : checked.faults.map(sayFault)).toEqual([
    '/version: wanted version 1, got version 2',
  ]);
});

test('a record comes back equal, its keys in the order they are stated in', () => {
  const checked = checkRecord(document(entries.map((e) => Object.fromEntries(Object.entries(e).reverse()))));
  if (!checked.ok) throw new Error('it is sound');
  const back = canonicalRecord(checked.record);
  expect(same(back, document(entries))).toBe(true);
  expect(Object.keys(back)).toEqual(['format', 'version', 'job', 'entries']);
  expect(Object.keys(back.entries[0] ?? {}).slice(0, 3)).toEqual(['id', 'kind', 'wall']);
});

test('every entry is a plain row, with everything it says', () => {
  const rows = recordRows(entries as RecordEntry[]);
  const [, first, , third, ...rest] = recordCsvRows(rows, say);
  expect(first?.slice(2, 5)).toEqual(['Course laid', 'run 1, course 7', 'from 0; to 8731.25; units 18']);
  expect(first?.at(-1)).toBe('yes');
  expect([third?.[2], third?.[4]]).toEqual([
    'Batch mixed',
    'mix cement-lime-s; measures of sand, count 9, measure bucket; volume 3 ft3; water 14 L',
  ]);
  expect(rest.at(-1)?.[4]).toBe(
    'of course laid; why miscounted; now course laid (run 1, course 7; units 17)',
  );
  for (const [i, row] of rows.entries())
    expect(row.kind).toEqual({ code: `record.${(entries[i] as RecordEntry).kind}`, values: {} });
  const csv = recordCsvRows(rows, say);
  expect(csv).toHaveLength(entries.length + 1);
  expect(csv.every((r) => r.length === csv[0]?.length)).toBe(true);
});
