import type { Show } from '../../measure/format.js';
import { sayMm } from '../../measure/format.js';
import { toMillimetres } from '../../measure/length.js';
import { readStated } from '../../statement/check.js';
import type { Statement } from '../../statement/statement.js';
import { idKey, statementOf } from '../../statement/walk.js';
import { JOB_FORM, type JobDocument } from '../form.js';
import { segments, type Edit } from './edit.js';
import type { Clash } from './merge.js';

/** Keys that are not said as they are written. */
const WORDS: Record<string, string> = {
  at: 'place',
  line: 'the line',
  run: 'length',
  arc: 'radius',
  from: 'where it begins',
  to: 'where it ends',
  left: 'height where it begins',
  right: 'height where it ends',
  do: 'what is done',
  units: 'units',
  poured: 'levels as poured',
  old: 'the old wall',
  meets: 'where it ends',
  start: 'first unit',
  keep: 'whether it may move',
  name: 'name',
  show: 'units shown',
  profile: 'rules',
  vertical: 'uprights',
  every: 'spacing',
};

const wordsOf = (key: string): string => WORDS[key] ?? key.replace(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`);

const isObject = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

interface Told {
  /** What it is about: an opening, a wall, the job. */
  thing: string;
  /** What of it. Empty where it is the thing itself. */
  what: string;
  statement: Statement | null;
}

const nameOf = (one: unknown, id: string, called: string): string =>
  isObject(one) && typeof one.name === 'string' && one.name !== ''
    ? one.name
    : called === ''
      ? id
      : `${called} ${id}`;

/** What a change's place is about, in words. `fallback` stands in where the document has nothing there. */
function told(at: string, job: JobDocument, fallback: unknown): Told {
  let [statement, value]: [Statement | null, unknown] = [JOB_FORM, job];
  let [thing, what, called] = ['the job', '', ''];
  for (const key of segments(at)) {
    const own: Statement | null = statement && statementOf(value ?? {}, statement);
    if (own?.kind === 'object') {
      const stated: (typeof own.keys)[string] | undefined = own.keys[key];
      statement = stated?.shape ?? null;
      value = isObject(value) ? value[key] : undefined;
      called = stated?.called?.[0] ?? '';
      what = wordsOf(key);
    } else if (own?.kind === 'list' && key.startsWith('@')) {
      const name = idKey(own.of) ?? 'id';
      const id = key.slice(1);
      value = Array.isArray(value)
        ? (value as unknown[]).find((one) => isObject(one) && one[name] === id)
        : undefined;
      statement = own.of;
      [thing, what] = [nameOf(value ?? fallback, id, called), ''];
    }
  }
  return { thing, what, statement };
}

const listed = (all: readonly string[]): string =>
  all.length < 2 ? (all[0] ?? '') : `${all.slice(0, -1).join(', ')} and ${all.at(-1)}`;

/** What an edit does, in a few words, for whoever might take it back: "Window 2: place and width". */
export function sayEdit(edit: Edit, job: JobDocument): string {
  const things = new Map<string, Set<string>>();
  for (const { at, from, to } of edit.changes) {
    const { thing, what } = told(at, job, to ?? from);
    const says =
      what !== '' ? what : from === undefined ? 'added' : to === undefined ? 'taken out' : 'changed';
    const all = things.get(thing) ?? new Set();
    all.add(says);
    things.set(thing, all);
  }
  const [first, ...more] = [...things];
  if (!first) return 'nothing';
  const [thing, whats] = first;
  const [one] = whats;
  const short = whats.size > 3 ? `${whats.size} things` : listed([...whats]);
  const whole =
    whats.size === 1 && (one === 'added' || one === 'taken out') ? `${thing} ${one}` : `${thing}: ${short}`;
  return more.length === 0
    ? whole
    : `${whole}, and ${more.length === 1 ? (more[0]?.[0] ?? '') : `${more.length} more`}`;
}

/** A value as it is read back to who has to choose. */
function sayOne(value: unknown, statement: Statement | null, show: Show): string {
  if (value === undefined) return 'nothing';
  if (statement?.kind === 'length' && typeof value === 'number') {
    const read = readStated(value);
    return typeof read === 'number' ? sayMm(toMillimetres(read), show) : String(value);
  }
  if (typeof value === 'string') return value;
  if (typeof value === 'number' || typeof value === 'boolean') return String(value);
  if (Array.isArray(value)) return `${value.length} of them`;
  return 'as it was set there';
}

export interface SaidClash {
  where: string;
  was: string;
  mine: string;
  theirs: string;
}

/** A clash in words: what it is about, what it was, and what each has made of it. */
export function sayClash({ at, was, mine, theirs }: Clash, job: JobDocument, show: Show): SaidClash {
  const { thing, what, statement } = told(at, job, mine ?? theirs ?? was);
  const say = (value: unknown): string =>
    what === '' && isObject(value) ? 'there' : sayOne(value, statement, show);
  return {
    where: what === '' ? thing : `${thing}: ${what}`,
    was: say(was),
    mine: say(mine),
    theirs: say(theirs),
  };
}
