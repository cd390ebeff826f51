import {
  amount,
  either,
  list,
  named,
  number,
  object,
  oneOf,
  optional,
  required,
  words,
  type States,
  type Stating,
} from '../../statement/statement.js';
import { id, text, yes } from './basics.js';

/** The days of the week, as their hours are kept. */
export const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;
export type Weekday = (typeof WEEKDAYS)[number];
/** What somebody does on site: whoever learns lays too, slower. */
export const DOES = ['lays', 'tends', 'both', 'learns'] as const;

const clock = amount('clock');
/** From a time of day to a later one. */
const spell: Stating<string[]> = list(clock, 2, 2);

const person = object({
  id: required(id('person')),
  name: required(text),
  does: required(oneOf(...DOES)),
  rate: optional(words({ most: 20 }), 'money an hour, as decimal text'),
  pace: optional(number(0.05, 5), 'times the pace of the crew'),
});
export type Person = States<typeof person>;

/** Who works when, and how fast. */
export const crew = object({
  people: optional(list(person, 100)),
  hours: optional(
    object({
      mon: optional(spell),
      tue: optional(spell),
      wed: optional(spell),
      thu: optional(spell),
      fri: optional(spell),
      sat: optional(spell),
      sun: optional(spell),
    }),
    'from when to when; a day left out is none',
  ),
  breaks: optional(list(spell, 24)),
  setUp: optional(amount('duration'), 'before the first unit goes down'),
  clearUp: optional(amount('duration'), 'after the last'),
  off: optional(list(amount('date'), 1000), 'days nobody works'),
  pace: optional(named(number(0.1, 10_000), 500), 'units an hour of one person laying, by the unit’s id'),
});
export type Crew = States<typeof crew>;

const dayWeather = object({
  date: required(amount('date')),
  low: optional(amount('temperature'), 'about sunrise'),
  high: optional(amount('temperature'), 'in the afternoon'),
  wind: optional(amount('speed')),
  rain: optional(either('words, a number, or yes or no', text, number(0, 10_000), oneOf(true, false))),
  simulated: optional(yes, 'made up for practice: it decides nothing in a real job'),
});
export type DayWeather = States<typeof dayWeather>;
export const weather = list(dayWeather, 5000);
