import type { ReadAmount } from './amounts.js';

const no = (wanted: string, got: unknown): { ok: false; why: string } => ({
  ok: false,
  why: `wanted ${wanted}, got ${typeof got === 'string' ? JSON.stringify(got.slice(0, 60)) : String(got)}`,
});

const MINUTES: Record<string, number> = { d: 1440, h: 60, min: 1 };
const DURATION = 'a duration such as 45 min, 2 h 30 min or 3 d';
const PART = /(\d{1,6}(?:\.\d{1,3})?) ?(d|h|min)\b ?/y;

/** A duration in minutes: "45 min", "2 h 30 min", "3 d"; parts from the longest down, each once. A number is minutes. */
export function readDuration(value: unknown): ReadAmount {
  if (typeof value === 'number')
    return value >= 0 && value <= 1e7 ? { ok: true, value } : no(DURATION, value);
  if (typeof value !== 'string') return no(DURATION, value);
  const text = value.trim();
  let [at, total, below] = [0, 0, Infinity];
  while (at < text.length) {
    PART.lastIndex = at;
    const [all, n, unit] = PART.exec(text) ?? [];
    const minutes = MINUTES[unit ?? ''] ?? NaN;
    if (all === undefined || !(minutes < below)) return no(DURATION, value);
    [at, total, below] = [at + all.length, total + Number(n) * minutes, minutes];
  }
  return text === '' ? no(DURATION, value) : { ok: true, value: total };
}

/** A time of day in minutes from midnight: "07:30". */
export function readClock(value: unknown): ReadAmount {
  const [, h, m] = (typeof value === 'string' && /^(\d{2}):(\d{2})$/.exec(value)) || [];
  const [hours, minutes] = [Number(h), Number(m)];
  return hours <= 24 && minutes < 60 && hours * 60 + minutes <= 1440
    ? { ok: true, value: hours * 60 + minutes }
    : no('a time of day such as 07:30', value);
}

const leap = (y: number): boolean => (y % 4 === 0 && y % 100 !== 0) || y % 400 === 0;
const daysIn = (y: number, m: number): number =>
  m === 2 ? (leap(y) ? 29 : 28) : [4, 6, 9, 11].includes(m) ? 30 : 31;

/** Days from 1970-01-01 to a day of the calendar in use today, worked out and not asked of a clock. */
function dayNumber(y: number, m: number, d: number): number {
  // Years from March, so that the odd day comes last.
  const year = m > 2 ? y : y - 1;
  const era = Math.floor(year / 400);
  const inEra = year - era * 400;
  const ofYear = Math.floor((153 * (m + (m > 2 ? -3 : 9)) + 2) / 5) + d - 1;
  return era * 146_097 + inEra * 365 + Math.floor(inEra / 4) - Math.floor(inEra / 100) + ofYear - 719_468;
}

const DATE = /^(\d{4})-(\d{2})-(\d{2})$/;

/** A date as days from 1970-01-01: "2026-12-01". A day the calendar does not have is refused. */
export function readDate(value: unknown): ReadAmount {
  const [, y, m, d] = ((typeof value === 'string' && DATE.exec(value)) || []).map(Number);
  if (
    y === undefined ||
    m === undefined ||
    d === undefined ||
    !(m >= 1 && m <= 12 && d >= 1 && d <= daysIn(y, m))
  )
    return no('a date such as 2026-12-01', value);
  return { ok: true, value: dayNumber(y, m, d) };
}

/** A day from 1970-01-01 as it is written: the other way round. */
export function writtenDate(days: number): string {
  const since = days + 719_468;
  const era = Math.floor(since / 146_097);
  const inEra = since - era * 146_097;
  const ofEra = Math.floor(
    (inEra - Math.floor(inEra / 1460) + Math.floor(inEra / 36_524) - Math.floor(inEra / 146_096)) / 365,
  );
  const ofYear = inEra - (365 * ofEra + Math.floor(ofEra / 4) - Math.floor(ofEra / 100));
  const fromMarch = Math.floor((5 * ofYear + 2) / 153);
  const day = ofYear - Math.floor((153 * fromMarch + 2) / 5) + 1;
  const month = fromMarch < 10 ? fromMarch + 3 : fromMarch - 9;
  const year = ofEra + era * 400 + (month <= 2 ? 1 : 0);
  return [String(year).padStart(4, '0'), String(month).padStart(2, '0'), String(day).padStart(2, '0')].join(
    '-',
  );
}

const INSTANT = /^(\d{4}-\d{2}-\d{2})T(\d{2}):(\d{2}):(\d{2})(?:\.(\d{1,9}))?(?:Z|([+-])(\d{2}):(\d{2}))$/;

/** An instant in milliseconds from 1970-01-01 UTC: ISO 8601 with its offset, "2026-12-01T10:37:00-07:00". */
export function readInstant(value: unknown): ReadAmount {
  const wanted = 'an instant with its offset such as 2026-12-01T10:37:00-07:00';
  const [, date, h, m, s, part = '', sign, oh = '0', om = '0'] =
    (typeof value === 'string' && INSTANT.exec(value)) || [];
  const day = readDate(date);
  const [hours, minutes, seconds] = [Number(h), Number(m), Number(s)];
  if (!day.ok || !(hours < 24 && minutes < 60 && seconds < 60 && Number(oh) <= 14 && Number(om) < 60))
    return no(wanted, value);
  const offset = (sign === '-' ? -1 : 1) * (Number(oh) * 60 + Number(om));
  const ms = Math.floor(Number(`0.${part === '' ? '0' : part}`) * 1000);
  return {
    ok: true,
    value: ((day.value * 24 + hours) * 60 + minutes - offset) * 60_000 + seconds * 1000 + ms,
  };
}

/** Money as decimal text, "1250.50": kept as it is written, and never a binary fraction. */
export const isMoney = (value: unknown): value is string =>
  typeof value === 'string' && /^\d{1,12}(?:\.\d{1,4})?$/.test(value);
