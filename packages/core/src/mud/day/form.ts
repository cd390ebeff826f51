import { checkForm } from '../../statement/check.js';
import type { Fault } from '../../statement/fault.js';
import { nesting, parseJson } from '../../statement/text.js';
import { readVolume } from '../../measure/amounts.js';
import { readClock, readDuration } from '../../measure/times.js';
import { LIMITS } from '../../job/limits.js';
import {
  amount,
  either,
  list,
  number,
  object,
  optional,
  required,
  type States,
  type Stating,
} from '../../statement/statement.js';
import type { Day } from './day.js';

const clock = amount('clock');

/** From a time to a later one, as a pair. */
const pair: Stating<string[]> = list(clock, 2, 2);

const lifeAt = object({ at: required(clock), life: required(amount('duration')) });

/** A day's mud as it is asked for: hours, breaks, what the wall takes by the hour, and what one batch may be. */
export const DAY_FORM = object({
  from: required(clock),
  to: required(clock),
  breaks: optional(list(pair, 24)),
  demand: required(
    list(object({ from: required(clock), to: required(clock), perHour: required(amount('volume')) }), 200, 1),
  ),
  batch: required(amount('volume'), 'the most one batch may be'),
  step: required(amount('volume'), 'sizes go by this much'),
  before: required(amount('duration'), 'from the water to the first use'),
  life: required(
    either(
      'a duration such as 2 h 30 min, or a list of { at, life }',
      amount('duration'),
      list(lifeAt, 96, 1),
    ),
  ),
  mixers: optional(number(1, 20, { whole: true })),
});
export type DayDocument = States<typeof DAY_FORM>;

export type CheckedDay = { ok: true; day: Day } | { ok: false; faults: Fault[] };

/** The most sizes a batch may come in: more are no measure anybody counts. */
const MOST_SIZES = 1000;

/** Reads the text of a day's file: a day, or every fault with its place. */
export function readDay(text: string): CheckedDay {
  const depth = nesting(text);
  if (depth > LIMITS.nesting)
    return {
      ok: false,
      faults: [{ path: '', wanted: `nesting of at most ${LIMITS.nesting}`, got: `${depth}` }],
    };
  const read = parseJson(text, 'a JSON file of a day');
  return 'fault' in read ? { ok: false, faults: [read.fault] } : checkDay(read.value);
}

/** A plain value in, a day or every fault out. */
export function checkDay(value: unknown): CheckedDay {
  const faults = checkForm(value, DAY_FORM);
  if (faults.length > 0) return { ok: false, faults };
  const d = value as DayDocument;
  const day: Day = {
    from: minutes(d.from),
    to: minutes(d.to),
    breaks: (d.breaks ?? []).map(([a = '', b = '']) => ({ from: minutes(a), to: minutes(b) })),
    demand: d.demand.map((x) => ({ from: minutes(x.from), to: minutes(x.to), perHour: volume(x.perHour) })),
    batch: volume(d.batch),
    step: volume(d.step),
    before: duration(d.before),
    lives: Array.isArray(d.life)
      ? d.life.map((l) => ({ at: minutes(l.at), life: duration(l.life) })).sort((a, b) => a.at - b.at)
      : [{ at: 0, life: duration(d.life) }],
    mixers: d.mixers ?? 1,
  };
  const wrong = (path: string, wanted: string, got: unknown): number =>
    faults.push({ path, wanted, got: JSON.stringify(got) });
  if (!(day.to > day.from)) wrong('/to', 'a time after from', d.to);
  day.breaks.forEach((b, i) => {
    if (!(b.to > b.from)) wrong(`/breaks/${i}`, 'a break that ends after it begins', d.breaks?.[i]);
  });
  day.demand.forEach((x, i) => {
    if (!(x.to > x.from)) wrong(`/demand/${i}/to`, 'a time after from', d.demand[i]?.to);
  });
  if (!(day.step > 0)) wrong('/step', 'a step above nothing', d.step);
  else if (!(day.batch >= day.step - EXACT)) wrong('/batch', 'at least one step', d.batch);
  else if (day.batch / day.step > MOST_SIZES) wrong('/step', `at most ${MOST_SIZES} sizes of batch`, d.step);
  day.lives.forEach((l, i) => {
    if (!(l.life > 0))
      wrong(Array.isArray(d.life) ? `/life/${i}/life` : '/life', 'a life above nothing', l.life);
  });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, day };
}

const EXACT = 1e-12;

const minutes = (clock: string): number => valueOf(readClock(clock));
const duration = (said: string | number): number => valueOf(readDuration(said));
const volume = (said: string | number): number => valueOf(readVolume(said));
const valueOf = (read: { ok: true; value: number } | { ok: false }): number => (read.ok ? read.value : NaN);
