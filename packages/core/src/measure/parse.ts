import { parseCounted } from './counted.js';
import { inches, millimetres, type Length } from './length.js';

/** Why text is no length: too many characters, a fraction over nothing, no unit where one is needed, or not read at all. */
export type NoLength = 'long' | 'over-nothing' | 'no-unit' | 'unread';

export type Parsed = { ok: true; length: Length } | { ok: false; why: NoLength; text: string };

/** What a bare number means while typing; in a job file a bare number in text is refused. */
export type BareUnit = 'mm' | 'in';

const METRIC: Record<string, number> = { mm: 1, cm: 10, m: 1000 };

const tidy = (text: string): string =>
  text
    .trim()
    .replace(/[′’ʹ]|(?<=\d)\s*ft\.?/g, "'")
    .replace(/[″”ʺ]|''|(?<=\d)\s*in\.?$/g, '"')
    .replace(/⁄/g, '/')
    .replace(/[−–]/g, '-')
    .replace(/\u00a0|\u202f|\u2009/g, ' ')
    .replace(/\s+/g, ' ');

const NUMBER = String.raw`(?:\d{1,9}(?:\.\d{1,9})?|\.\d{1,9})`;
const FRACTION = String.raw`\d{1,4}\/\d{1,4}`;
/** 4 5/8 · 5/8 · 4.25 · 4 */
const MIXED = String.raw`(?:(?<whole>${NUMBER}) (?<part>${FRACTION})|(?<only>${FRACTION})|(?<plain>${NUMBER}))`;

const METRIC_FORM = new RegExp(`^(?<n>${NUMBER}) ?(?<unit>mm|cm|m)$`);
const FEET_FORM = new RegExp(`^(?<feet>${NUMBER})'(?: ?-? ?${MIXED} ?"?)?$`);
const DASH_FORM = new RegExp(`^(?<feet>\\d{1,6})-${MIXED}"?$`);
const INCH_FORM = new RegExp(`^${MIXED} ?"$`);
const BARE_FORM = new RegExp(`^${MIXED}$`);

function mixedInches(g: Record<string, string | undefined>): { n: number; per: number } | null {
  const quotient = g.part ?? g.only;
  if (quotient === undefined) return { n: Number(g.plain ?? 0), per: 1 };
  const [top = 0, per = 0] = quotient.split('/').map(Number);
  if (!(per >= 1)) return null;
  // Kept as a quotient so that 7 5/8 and 5/12 stay exact.
  return { n: Number(g.whole ?? 0) * per + top, per };
}

function fromFeetInches(g: Record<string, string | undefined>, text: string): Parsed {
  const part = mixedInches(g);
  if (part === null) return { ok: false, why: 'over-nothing', text };
  return { ok: true, length: inches(Number(g.feet ?? 0) * 12 * part.per + part.n, part.per) };
}

/**
 * Reads a length the way it is written or said on site, exactly, from the text itself.
 * Without `bare` a number without a unit is refused (the rule of the job file).
 */
export function parseLength(text: string, bare?: BareUnit): Parsed {
  if (text.length > 60) return { ok: false, why: 'long', text };
  const t = tidy(text);
  const metric = METRIC_FORM.exec(t)?.groups;
  if (metric) {
    return { ok: true, length: millimetres(Number(metric.n) * (METRIC[metric.unit ?? ''] ?? NaN)) };
  }
  const feetInches = FEET_FORM.exec(t)?.groups ?? INCH_FORM.exec(t)?.groups;
  if (feetInches) return fromFeetInches(feetInches, text);
  if (bare !== undefined) {
    const dashed = DASH_FORM.exec(t)?.groups;
    if (dashed) return fromFeetInches(dashed, text);
    const plain = BARE_FORM.exec(t)?.groups;
    if (plain) {
      if (bare === 'in') return fromFeetInches(plain, text);
      if (plain.plain !== undefined) return { ok: true, length: millimetres(Number(plain.plain)) };
    }
  } else if (BARE_FORM.test(t) || DASH_FORM.test(t)) {
    return { ok: false, why: 'no-unit', text };
  }
  return { ok: false, why: 'unread', text };
}

export interface Modules {
  /** Unit length plus head joint. */
  length: Length;
  /** Course pitch: unit height plus bed. */
  course: Length;
}

/** As `parseLength`, and also "3 bricks", "2.5 blocks", "12 courses", counted in the wall's own modules. */
export function parseTyped(text: string, bare: BareUnit, modules: Modules): Parsed {
  const counted = parseCounted(text);
  if (!counted) return parseLength(text, bare);
  const module = counted.of === 'courses' ? modules.course : modules.length;
  return { ok: true, length: Math.round(counted.n * module) as Length };
}

export type ParsedList =
  | { ok: true; lengths: Length[] }
  /** Which one did not read, counted from 1; `nothing` is a length of nothing. */
  | { ok: false; nth: number; why: NoLength | 'nothing'; text: string };

/**
 * Reads a list of measured lengths as typed or pasted: parted by commas, semicolons or new lines, and by spaces
 * too where a bare number is a millimetre.
 */
export function parseMeasured(text: string, bare: BareUnit): ParsedList {
  const parts = text
    .split(bare === 'mm' && !/[a-z'"′″]/i.test(text) ? /[\s,;]+/ : /[,;\n\t]+/)
    .map((p) => p.trim())
    .filter(Boolean);
  const lengths: Length[] = [];
  for (const [i, part] of parts.entries()) {
    const one = parseLength(part, bare);
    if (!one.ok) return { ...one, nth: i + 1 };
    if (!(one.length > 0)) return { ok: false, nth: i + 1, why: 'nothing', text: part };
    lengths.push(one.length);
  }
  return { ok: true, lengths };
}
