import { parseLength, type NoLength } from '../measure/parse.js';
import { millimetres, toMillimetres, type Length } from '../measure/length.js';
import { pointer, sayValue, type Fault } from './fault.js';
import { parseCounted } from '../measure/counted.js';
import { AMOUNTS } from './amounts.js';
import { objectAmong, type LengthIs, type Statement } from './statement.js';

// eslint-disable-next-line no-control-regex -- these are the very characters a name may not hold
const CONTROL = /[\u0000-\u001f\u007f-\u009f\u2028\u2029]/;

/** What was wanted of a line of words and what was found in it that cannot be read; null where nothing was. */
export function unreadableIn(text: string): [wanted: string, got: string] | null {
  if (CONTROL.test(text)) return ['text without control characters', 'a control character'];
  if (!text.isWellFormed()) return ['whole characters', 'half of a surrogate pair'];
  return null;
}

const isObject = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

const A_LENGTH = 'a length such as 7\' 4 5/8", 7-4 5/8, 88 5/8", 2.4 m, 240 cm or 2400 mm';

/** What a file is told of text that is no length. A file is written in one language, and so are its faults. */
function unread({ why, text }: { why: NoLength; text: string }): { wanted: string; got: string } {
  const as = sayValue(text);
  switch (why) {
    case 'long':
      return { wanted: A_LENGTH, got: `${text.length} characters` };
    case 'over-nothing':
      return { wanted: 'a length', got: `${as}, a fraction over nothing` };
    case 'no-unit':
      return { wanted: `text that carries its unit, ${A_LENGTH}`, got: as };
    case 'unread':
      return { wanted: A_LENGTH, got: as };
  }
}

/** Reads a stated length, or says why it cannot be one. */
export function readStated(value: unknown): Length | { wanted: string; got: string } {
  if (typeof value === 'number') {
    if (!(Number.isFinite(value) && Math.abs(value) <= 1e9))
      return { wanted: 'a length in mm', got: `${value}` };
    return millimetres(value);
  }
  if (typeof value === 'string') {
    // A level may lie below what it is measured from; whether it may here is the form's to say.
    const below = /^\s*[-−]\s*/.exec(value)?.[0];
    const parsed = parseLength(below === undefined ? value : value.slice(below.length));
    if (!parsed.ok) return unread(parsed);
    return below === undefined ? parsed.length : ((0 - parsed.length) as Length);
  }
  return { wanted: 'a length', got: sayValue(value) };
}

/** A name or a line of words is no longer, where nothing else is stated. From the contract. */
export const NAME_LENGTH = 200;

function checkText(value: unknown, path: string, empty: boolean, most = NAME_LENGTH): Fault[] {
  const bad = (wanted: string, got: string): Fault[] => [{ path, wanted, got }];
  if (typeof value !== 'string') return bad('text', sayValue(value));
  if (!empty && value.trim() === '') return bad('a name', 'nothing but space');
  if (value.length > most) return bad(`at most ${most} characters`, `${value.length}`);
  const unreadable = unreadableIn(value);
  if (unreadable) return bad(...unreadable);
  return [];
}

/** What may be counted where a length stands: units along a run, courses up the wall. */
const countable = (is: LengthIs | undefined): 'units' | 'courses' | null =>
  is === undefined || 'of' in is ? null : 'along' in is ? 'units' : 'courses';

function checkLength(value: unknown, path: string, shape: Extract<Statement, { kind: 'length' }>): Fault[] {
  const counted = typeof value === 'string' ? parseCounted(value) : null;
  if (counted && counted.of === countable(shape.is)) {
    const enough = shape.least === 'above-zero' ? counted.n > 0 : true;
    return enough ? [] : [{ path, wanted: 'more than 0', got: sayValue(value) }];
  }
  const read = readStated(value);
  if (typeof read === 'object') return [{ path, ...read }];
  if (shape.least === 'any') return [];
  if (shape.least === 'above-zero' ? !(read > 0) : !(read >= 0)) {
    return [{ path, wanted: shape.least === 'zero' ? '0 or more' : 'more than 0', got: sayValue(value) }];
  }
  if (shape.most !== undefined && !(read <= shape.most)) {
    const most = toMillimetres(shape.most);
    return [
      { path, wanted: `at most ${most >= 1000 ? `${most / 1000} m` : `${most} mm`}`, got: sayValue(value) },
    ];
  }
  return [];
}

function checkObject(
  value: unknown,
  path: string,
  shape: Extract<Statement, { kind: 'object' }>,
  sound: ReadonlySet<unknown> | undefined,
): Fault[] {
  if (!isObject(value)) return [{ path, wanted: 'an object', got: sayValue(value) }];
  const faults: Fault[] = [];
  const known = Object.keys(shape.keys);
  for (const key of Object.keys(value)) {
    if (!Object.hasOwn(shape.keys, key)) {
      faults.push({
        path: pointer(path, key.slice(0, 60)),
        wanted: `one of ${known.join(', ')}`,
        got: 'an unknown key',
      });
    }
  }
  for (const [key, { shape: inner, optional }] of Object.entries(shape.keys)) {
    if (Object.hasOwn(value, key)) faults.push(...checkForm(value[key], inner, pointer(path, key), sound));
    else if (!optional) faults.push({ path: pointer(path, key), wanted: sayWanted(inner), got: 'nothing' });
  }
  return faults;
}

function sayWanted(shape: Statement): string {
  switch (shape.kind) {
    case 'const':
      return JSON.stringify(shape.value);
    case 'oneOf':
      return `one of ${shape.values.join(', ')}`;
    case 'text':
      return shape.is && 'id' in shape.is ? 'an id' : 'text';
    case 'number':
      return `${shape.whole ? 'a whole number' : 'a number'} from ${shape.least} to ${shape.most}`;
    case 'length':
      return 'a length';
    case 'amount':
      return AMOUNTS[shape.of].wanted;
    case 'object':
      return 'an object';
    case 'list':
      return 'a list';
    case 'named':
      return 'an object, each thing under its name';
    case 'byTag':
      return `an object whose ${shape.tag} is one of ${Object.keys(shape.cases).join(', ')}`;
    case 'byKey':
      return `an object with ${Object.keys(shape.cases).join(' or ')}`;
    case 'either':
      return shape.says;
  }
}

/**
 * Every fault of form, each with its path. Ranges are tested positively, so NaN is refused too. `sound`: objects known to have
 * none, which are not walked.
 */
export function checkForm(
  value: unknown,
  shape: Statement,
  path = '',
  sound?: ReadonlySet<unknown>,
): Fault[] {
  if (sound?.has(value)) return [];
  const refuse = (): Fault[] => [{ path, wanted: sayWanted(shape), got: sayValue(value) }];
  switch (shape.kind) {
    case 'const':
      return value === shape.value ? [] : refuse();
    case 'oneOf':
      return shape.values.includes(value as string) ? [] : refuse();
    case 'text':
      return checkText(value, path, shape.empty ?? false, shape.most);
    case 'number': {
      const inside = typeof value === 'number' && value >= shape.least && value <= shape.most;
      return inside && (!shape.whole || Number.isInteger(value)) ? [] : refuse();
    }
    case 'length':
      return checkLength(value, path, shape);
    case 'amount': {
      const read = AMOUNTS[shape.of].read(value);
      if (read.ok) return [];
      return [{ path, wanted: AMOUNTS[shape.of].wanted, got: sayValue(value) }];
    }
    case 'object':
      return checkObject(value, path, shape, sound);
    case 'list': {
      if (!Array.isArray(value)) return refuse();
      if (value.length < (shape.least ?? 0))
        return [{ path, wanted: `at least ${shape.least}`, got: `${value.length}` }];
      if (value.length > shape.most)
        return [{ path, wanted: `at most ${shape.most}`, got: `${value.length}` }];
      return value.flatMap((item, i) =>
        sound?.has(item) ? [] : checkForm(item, shape.of, pointer(path, i), sound),
      );
    }
    case 'named': {
      if (!isObject(value)) return refuse();
      const all = Object.entries(value);
      if (all.length > shape.most) return [{ path, wanted: `at most ${shape.most}`, got: `${all.length}` }];
      return all.flatMap(([name, of]) => [
        ...checkText(name, path, false, NAME_LENGTH),
        ...checkForm(of, shape.of, pointer(path, name.slice(0, 60)), sound),
      ]);
    }
    case 'byKey': {
      if (!isObject(value)) return refuse();
      const name = Object.keys(shape.cases).find((key) => Object.hasOwn(value, key));
      const found = name === undefined ? undefined : shape.cases[name];
      return found ? checkForm(value, found, path) : refuse();
    }
    case 'byTag': {
      if (!isObject(value)) return refuse();
      const tag = value[shape.tag];
      const found = typeof tag === 'string' && Object.hasOwn(shape.cases, tag) ? shape.cases[tag] : undefined;
      if (found) return checkForm(value, found, path);
      return [
        {
          path: pointer(path, shape.tag),
          wanted: `one of ${Object.keys(shape.cases).join(', ')}`,
          got: sayValue(tag),
        },
      ];
    }
    case 'either': {
      const own = isObject(value) ? objectAmong(shape.shapes) : null;
      if (own) return checkForm(value, own, path, sound);
      return shape.shapes.some((s) => checkForm(value, s, path).length === 0) ? [] : refuse();
    }
  }
}
