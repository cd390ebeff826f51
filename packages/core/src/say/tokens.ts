/** A length as it was said: how the job file writes it, or a number nobody gave a unit. */
export interface SaidLength {
  /** As a job file reads it; empty while it has no unit. */
  text: string;
  /** The number, for those without a unit and for those counted. */
  n: number;
  unit: 'inches' | 'metric' | 'bare' | 'units' | 'courses';
}

interface Place {
  from: number;
  to: number;
}

export type Token = Place &
  (
    | { is: 'length'; length: SaidLength }
    | { is: 'word'; word: string }
    /** Three sizes of a unit, as they are said of it: 8x8x16. */
    | { is: 'sizes'; sizes: readonly [number, number, number] }
    | { is: 'by' }
    | { is: 'number-sign' }
    | { is: 'stop' }
    | { is: 'name'; name: string }
    | { is: 'strange' }
  );

const NUMBER = String.raw`(?:\d{1,7}(?:\.\d{1,4})?|\.\d{1,4})`;
const FRACTION = String.raw`\d{1,3}\/\d{1,3}`;
const MIXED = String.raw`(?:${NUMBER}[ -]${FRACTION}|${FRACTION}|${NUMBER})`;
const FOOT = String.raw`(?:'|ft\b\.?|feet\b|foot\b)`;
/** `in` is inches after a number, but for "8' in 8 inch block", "at 500 in run 2", "2 m in English bond". */
const NOT_INCHES = '(?!\\s+(?:\\d|run|the|from|english|flemish|stack|stretch|half|third|quarter|pairs|turn))';
const INCH = String.raw`(?:"|''|in\b\.?${NOT_INCHES}|inch(?:es)?\b)`;
const METRIC = String.raw`(?:mm|cm|m|millimet(?:re|er)s?|centimet(?:re|er)s?|met(?:re|er)s?)\b`;
/** Several are counted; `100 block` is a kind of block. */
const OF_UNITS = String.raw`(?:bricks|blocks|units|adobes)\b`;
const OF_ONE = String.raw`(?:brick|block|unit|adobe)\b`;
const OF_COURSES = String.raw`(?:courses?|crs)\b`;

/** Sizes first, then what has a unit, then what is counted, then a bare number: the longest that is meant. */
const FORMS: readonly (readonly [string, RegExp])[] = [
  ['space', /\s+/y],
  ['name', /“[^”]{1,200}”/y],
  ['sizes', new RegExp(String.raw`(${NUMBER})\s*[x×]\s*(${NUMBER})\s*[x×]\s*(${NUMBER})(?![\d'"])`, 'y')],
  [
    'feet',
    new RegExp(
      String.raw`(${NUMBER})\s*${FOOT}(?:\s*-?\s*(${MIXED})\s*${INCH}|\s?-\s?(${MIXED})(?![\d.])|(?<=')(\d{1,2})(?![\d.'/"]))?`,
      'y',
    ),
  ],
  ['inches', new RegExp(String.raw`(${MIXED})\s*-?${INCH}`, 'y')],
  ['metric', new RegExp(String.raw`(${NUMBER})\s*(${METRIC})`, 'y')],
  [
    'courses',
    new RegExp(String.raw`(${NUMBER}|½|1\/2|an?|one|two|three|four|five|six|half a)\s+${OF_COURSES}`, 'y'),
  ],
  ['units', new RegExp(String.raw`(${NUMBER}|½|1\/2)\s+${OF_UNITS}(?!\s+(?:wall|bond|thick))`, 'y')],
  ['units', new RegExp(String.raw`(½|1\/2|0?\.5|1)\s+${OF_ONE}(?!\s+(?:wall|bond|thick))`, 'y')],
  ['bare', new RegExp(String.raw`(${MIXED})(?![A-Za-z])`, 'y')],
  ['bar', /[THY]\d{1,2}\b/y],
  ['by', /[x×](?![a-z])/y],
  ['at', /@/y],
  ['number-sign', /#/y],
  ['stop', /[,;.:]/y],
  ['word', /[A-Za-zÀ-ɏ][A-Za-z0-9À-ɏ'-]*/y],
  ['strange', /./y],
];

const COUNTS: Record<string, number> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  '½': 0.5,
  '1/2': 0.5,
  'half a': 0.5,
};
const counted = (said: string): number => COUNTS[said] ?? Number(said);

/** What the keyboards of phones and typesetters make of feet, inches, fractions and hyphens. */
const plain = (text: string): string =>
  text
    .replace(/[′’‘]/g, "'")
    .replace(/[″]/g, '"')
    .replace(/⁄/g, '/')
    .replace(/[−–]/g, '-')
    .replace(/[\u00a0\u202f\u2009]/g, ' ');

const mixed = (said: string): number =>
  said
    .split(/[ -]/)
    .map((part) => {
      const [top = 0, under = 1] = part.split('/').map(Number);
      return top / under;
    })
    .reduce((a, b) => a + b, 0);

const METRIC_NAMES: Record<string, string> = { c: 'cm', m: 'm' };
const metricUnit = (said: string): string =>
  said === 'mm' || said.startsWith('milli') ? 'mm' : (METRIC_NAMES[said.charAt(0)] ?? 'm');

function lengthOf(form: string, m: RegExpExecArray): SaidLength | null {
  switch (form) {
    case 'feet': {
      const rest = m[2] ?? m[3] ?? m[4];
      const text = rest === undefined ? `${m[1]}'` : `${m[1]}' ${rest.replace('-', ' ')}"`;
      return { text, n: Number(m[1]) * 12 + (rest === undefined ? 0 : mixed(rest)), unit: 'inches' };
    }
    case 'inches':
      return { text: `${(m[1] ?? '').replace('-', ' ')}"`, n: mixed(m[1] ?? ''), unit: 'inches' };
    case 'metric': {
      const unit = metricUnit(m[2] ?? '');
      return { text: `${m[1]} ${unit}`, n: Number(m[1]), unit: 'metric' };
    }
    case 'courses':
      return { text: `${counted(m[1] ?? '')} courses`, n: counted(m[1] ?? ''), unit: 'courses' };
    case 'units':
      return { text: `${counted(m[1] ?? '')} units`, n: counted(m[1] ?? ''), unit: 'units' };
    case 'bare':
      return { text: '', n: mixed(m[1] ?? ''), unit: 'bare' };
    default:
      return null;
  }
}

/** Longer than this nobody says in one line. */
export const LONGEST = 2000;

/** A sentence in parts, each with its place in it. Everything in it is in some part. */
export function tokensOf(sentence: string): Token[] {
  // Names are said in double quotes; a lone one is inches. Lengths do not change place by being made plain.
  const text = plain(sentence).replace(/(^|\s)"([^"\d][^"]{0,200})"/g, '$1“$2”');
  const lower = text.replace(/[A-Z]+(?![^“]*”)/g, (c) => (/^[THY]$/.test(c) ? c : c.toLowerCase()));
  const tokens: Token[] = [];
  let at = 0;
  while (at < lower.length) {
    for (const [form, pattern] of FORMS) {
      pattern.lastIndex = at;
      const m = pattern.exec(lower);
      if (!m) continue;
      const place = { from: at, to: at + m[0].length };
      at = place.to;
      const length = lengthOf(form, m);
      if (length) tokens.push({ ...place, is: 'length', length });
      else if (form === 'sizes')
        tokens.push({ ...place, is: 'sizes', sizes: [Number(m[1]), Number(m[2]), Number(m[3])] });
      else if (form === 'word') tokens.push({ ...place, is: 'word', word: m[0].toLowerCase() });
      else if (form === 'at') tokens.push({ ...place, is: 'word', word: 'at' });
      else if (form === 'bar') tokens.push({ ...place, is: 'word', word: m[0].toLowerCase() });
      else if (form === 'name') tokens.push({ ...place, is: 'name', name: m[0].slice(1, -1) });
      else if (form === 'by' || form === 'number-sign' || form === 'stop' || form === 'strange')
        tokens.push({ ...place, is: form });
      break;
    }
  }
  return tokens.map((t) => (t.is === 'word' && t.word === 'by' ? { from: t.from, to: t.to, is: 'by' } : t));
}
