import {
  amount,
  byTag,
  constant,
  either,
  lengthOf,
  list,
  number,
  object,
  oneOf,
  optional,
  required,
  words,
  type KeyOf,
  type Keys,
  type ObjectOf,
  type ObjectStatement,
  type States,
} from '../statement/statement.js';

const text = words();
/** More than a name: what somebody wrote down. */
const note = words({ most: 2000 });
const id = words({ is: { id: 'entry' } });
const wall = either(
  'the id of a wall, or null for the whole job',
  words({ is: { refers: 'wall' } }),
  constant(null),
);
const run = number(0, 999, { whole: true });
const leaf = number(0, 9, { whole: true });
const course = number(1, 10_000, { whole: true });
const count = number(0, 10_000_000);
const mm = lengthOf('any');

/** Where: an address, or its wall's run, leaf and course. */
const where = {
  place: optional(words({ is: { place: true }, most: 1000 }), 'an address, instead of run, leaf and course'),
  run: optional(run),
  leaf: optional(leaf, 'left out: the outside one'),
};

/** As whoever was there put it: in words, by measure, or yes or no. */
const asSeen = either('words, a number, or yes or no', text, number(-1e9, 1e9), oneOf(true, false));

const measure = object({ of: required(text), count: required(count), measure: optional(text) });

/** What each kind says besides what every entry says. The one list: a kind that is not in it is no entry. */
const KINDS = {
  'course-laid': {
    ...where,
    course: optional(course),
    from: optional(mm, 'along the run; left out with `to`: the whole run'),
    to: optional(mm),
    units: optional(count),
  },
  'lift-laid': { ...where, from: optional(mm), to: optional(mm), top: required(mm, 'above the base') },
  'batch-mixed': {
    mix: required(text),
    measures: optional(list(measure, 50)),
    volume: optional(amount('volume')),
    water: optional(amount('volume')),
  },
  'batch-ended': {
    batch: required(text, 'the id of the batch'),
    left: optional(amount('volume')),
    why: required(oneOf('used', 'thrown', 'dried')),
  },
  reading: {
    of: required(
      text,
      'course-top, level, plumb, line, diagonal, cavity, perp, bar, footing, starter, unit-size …',
    ),
    ...where,
    course: optional(course),
    at: optional(mm, 'along the run'),
    value: required(
      mm,
      'up, outward and wider are above nothing; a course top is above the base; ties are counted',
    ),
    over: optional(mm, 'the length or height it was taken over'),
    instrument: optional(text),
  },
  'hold-signed': {
    hold: required(text),
    seen: required(list(words({ most: 1000 }), 5000), 'everything that was seen'),
    as: optional(oneOf('mason', 'foreman', 'client', 'inspector', 'engineer')),
    note: optional(note),
    revision: optional(number(1, 1e9, { whole: true }), 'of the job it was signed on'),
  },
  'step-done': { step: required(text) },
  stopped: {
    why: required(note),
    minutes: optional(amount('duration'), 'a number is minutes'),
    whose: optional(text),
  },
  weather: {
    temperature: optional(amount('temperature')),
    wind: optional(asSeen),
    rain: optional(asSeen),
  },
  delivered: {
    of: required(text),
    count: optional(count),
    class: optional(text),
    broken: optional(count),
    ticket: optional(text),
  },
  used: { of: required(text), count: optional(count), note: optional(note) },
  note: { ...where, course: optional(course), text: required(note), photos: optional(list(text, 100)) },
  'day-closed': { date: optional(amount('date')), note: optional(note) },
  accepted: {
    of: required(text, 'the id of a reading, or the code of a finding'),
    why: required(note),
    as: optional(text),
  },
} as const;

export type EntryKind = keyof typeof KINDS | 'correction';

/** Each kind in a few words, as a row of the record says it. */
const happened = amount('instant');

/** Every entry says these, before what its kind says and behind. */
const first = { id: required(id) };
const of = { wall: required(wall) };
/** The device has a clock of its own: `happened` and `sent` are its, `received` the server's. */
const last = {
  happened: required(happened, 'when it happened, by the clock of whoever was there'),
  by: required(text, 'the name of whoever was there'),
};
/** What a kept entry says besides. */
const kept = {
  received: optional(happened, 'when the server took it in'),
  sent: optional(happened, 'when the device sent it'),
  member: optional(text, 'whose account it was sent from'),
};

type Kinds = typeof KINDS;
type Case<N extends keyof Kinds, E extends Keys, K extends Keys> = ObjectStatement & {
  readonly __states?: ObjectOf<E & { kind: KeyOf<N> } & Kinds[N] & K>;
};

/** Every kind as an object, with what all of them say before its kind, behind it, and last. */
const kindsWith = <E extends Keys, W extends Keys, K extends Keys>(
  before: E,
  behind: W,
  last: K,
): { [N in keyof Kinds]: Case<N, E & W, K> } =>
  Object.fromEntries(
    Object.entries(KINDS).map(([kind, own]) => [
      kind,
      object({ ...before, kind: required(constant(kind)), ...behind, ...own, ...last }),
    ]),
  ) as unknown as { [N in keyof Kinds]: Case<N, E & W, K> };

/** What takes an entry's place: what it does not say is as the entry had it. */
const replacement = byTag(
  'kind',
  kindsWith(
    { id: optional(text, 'its own says nothing: it stands for the entry it replaces') },
    { wall: optional(wall) },
    { happened: optional(happened), by: optional(text) },
  ),
);
export type Replacement = States<typeof replacement>;

const correction = object({
  ...first,
  kind: required(constant('correction')),
  ...of,
  of: required(text, 'the id of the entry it corrects'),
  why: required(note),
  entry: optional(
    either('an entry, or null', replacement, constant(null)),
    'what takes its place; null or left out: nothing does',
  ),
  ...last,
  ...kept,
});

export const ENTRY = byTag('kind', { ...kindsWith(first, of, { ...last, ...kept }), correction });
/** One thing that happened on site. Rows are never changed: a correction is another row. */
export type RecordEntry = States<typeof ENTRY>;
export type EntryOf<K extends EntryKind> = Extract<RecordEntry, { kind: K }>;
/** What is told of something that happened: all but what the device and the server say of it. */
export type ToldEntry<K extends EntryKind> = K extends EntryKind
  ? Omit<EntryOf<K>, 'id' | 'happened' | 'sent' | 'received' | 'member'>
  : never;
