import type { Message, Said } from '../../messages/message.js';
import { toMillimetres } from '../../measure/length.js';
import { readStated } from '../../statement/check.js';
import type { Statement } from '../../statement/statement.js';
import { idKey, statementOf } from '../../statement/walk.js';
import { JOB_FORM, type JobDocument } from '../form.js';
import { segments, type Edit } from './edit.js';
import type { Clash } from './merge.js';
import { EDITS, type Called } from './messages.js';
import { partOf } from './part.js';

const isObject = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

interface Told {
  /** What it is about: an opening, a wall, the job. */
  thing: Said;
  /** What of it. Null where it is the thing itself. */
  what: Message | null;
  statement: Statement | null;
}

const nameOf = (one: unknown, id: string, called: Called | null): Said =>
  isObject(one) && typeof one.name === 'string' && one.name !== ''
    ? one.name
    : called === null
      ? id
      : EDITS.called({ what: called, id });

/** What a change's place is about, in words. `fallback` stands in where the document has nothing there. */
function told(at: string, job: JobDocument, fallback: unknown): Told {
  let [statement, value]: [Statement | null, unknown] = [JOB_FORM, job];
  let [thing, what, called]: [Said, Message | null, Called | null] = [EDITS['the-job'](), null, null];
  for (const key of segments(at)) {
    const own: Statement | null = statement && statementOf(value ?? {}, statement);
    if (own?.kind === 'object') {
      const stated: (typeof own.keys)[string] | undefined = own.keys[key];
      statement = stated?.shape ?? null;
      value = isObject(value) ? value[key] : undefined;
      called = (stated?.called as Called | undefined) ?? null;
      what = partOf(key);
    } else if (own?.kind === 'list' && key.startsWith('@')) {
      const name = idKey(own.of) ?? 'id';
      const id = key.slice(1);
      value = Array.isArray(value)
        ? (value as unknown[]).find((one) => isObject(one) && one[name] === id)
        : undefined;
      statement = own.of;
      [thing, what] = [nameOf(value ?? fallback, id, called), null];
    }
  }
  return { thing, what, statement };
}

/** The same said twice is said once. */
const once = (all: readonly Said[]): Said[] => [
  ...new Map(all.map((said) => [JSON.stringify(said), said])).values(),
];

/** What an edit does, in a few words, for whoever might take it back: "Window 2: place and width". */
export function sayEdit(edit: Edit, job: JobDocument): Said {
  const things = new Map<string, { thing: Said; whats: Said[]; whole: boolean }>();
  for (const { at, from, to } of edit.changes) {
    const { thing, what } = told(at, job, to ?? from);
    const key = JSON.stringify(thing);
    const all = things.get(key) ?? { thing, whats: [], whole: true };
    const comes = from === undefined ? EDITS.added() : to === undefined ? EDITS['taken-out']() : null;
    all.whats.push(what ?? comes ?? EDITS.changed());
    all.whole &&= what === null && comes !== null;
    things.set(key, all);
  }
  const [first, ...more] = things.values();
  if (!first) return EDITS.nothing();
  const whats = once(first.whats);
  const [one] = whats;
  const says =
    first.whole && whats.length === 1 && one !== undefined
      ? EDITS['done-to']({ thing: first.thing, what: one })
      : EDITS['of-thing']({
          thing: first.thing,
          what: whats.length > 3 ? [EDITS.things({ count: whats.length })] : whats,
        });
  const [other] = more;
  if (!other) return says;
  return more.length === 1
    ? EDITS['and-one']({ first: says, other: other.thing })
    : EDITS['and-more']({ first: says, count: more.length });
}

/** A value as it is read back to who has to choose. */
function sayOne(value: unknown, statement: Statement | null): Said {
  if (value === undefined) return EDITS.nothing();
  if (statement?.kind === 'length' && typeof value === 'number') {
    const read = readStated(value);
    return typeof read === 'number' ? EDITS.length({ length: toMillimetres(read) }) : String(value);
  }
  if (typeof value === 'string') return value;
  if (typeof value === 'number' || typeof value === 'boolean') return String(value);
  if (Array.isArray(value)) return EDITS['of-them']({ count: value.length });
  return EDITS['as-set']();
}

export interface SaidClash {
  where: Said;
  was: Said;
  mine: Said;
  theirs: Said;
}

/** A clash in words: what it is about, what it was, and what each has made of it. */
export function sayClash({ at, was, mine, theirs }: Clash, job: JobDocument): SaidClash {
  const { thing, what, statement } = told(at, job, mine ?? theirs ?? was);
  const say = (value: unknown): Said =>
    what === null && isObject(value) ? EDITS.there() : sayOne(value, statement);
  return {
    where: what === null ? thing : EDITS['of-thing']({ thing, what: [what] }),
    was: say(was),
    mine: say(mine),
    theirs: say(theirs),
  };
}
