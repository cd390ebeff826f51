import type { CubicMetres, Kilograms } from './length.js';
import { CUBIC_FOOT_MM3, CUBIC_METRE_MM3, FOOT } from './length.js';

/** What an amount states: a bare number in the measure of the file, or text that carries its unit. */
export type Amount = number | string;
export type ReadAmount = { ok: true; value: number } | { ok: false; why: string };

interface Measure {
  /** As it is asked for: "a volume such as 6 ft3, 90 L or 5 gal". */
  wanted: string;
  /** What one of each is in the measure of the file; the longest name first where one begins another. */
  units: Record<string, (n: number) => number>;
  least: number;
}

const times =
  (by: number) =>
  (n: number): number =>
    n * by;

export const LITRE = 1e-3;
/** US liquid and imperial gallon, exact by definition. From the contract. */
export const GALLON = 3.785411784 * LITRE;
const IMPERIAL_GALLON = 4.54609 * LITRE;
/** International pound, exact by definition. */
export const POUND = 0.45359237;

const VOLUME: Measure = {
  wanted: 'a volume such as 0.25 m3, 90 L, 6 ft3, 1.5 yd3, 5 gal or 5 imp gal',
  units: {
    m3: times(1),
    L: times(LITRE),
    ml: times(LITRE / 1000),
    ft3: times(CUBIC_FOOT_MM3 / CUBIC_METRE_MM3),
    yd3: times((3 * FOOT) ** 3 / CUBIC_METRE_MM3),
    'imp gal': times(IMPERIAL_GALLON),
    gal: times(GALLON),
  },
  least: 0,
};

const MASS: Measure = {
  wanted: 'a mass such as 25 kg, 1.2 t, 94 lb, 1 ton or 1 long ton',
  units: {
    kg: times(1),
    g: times(1e-3),
    t: times(1000),
    lb: times(POUND),
    'long ton': times(2240 * POUND),
    ton: times(2000 * POUND),
  },
  least: 0,
};

/** International mile, exact by definition. */
const MILE_KM = 1.609344;

const SPEED: Measure = {
  wanted: 'a speed such as 12 km/h, 8 mph or 4 m/s',
  units: { 'km/h': times(1), mph: times(MILE_KM), 'm/s': times(3.6) },
  least: 0,
};

const TEMPERATURE: Measure = {
  wanted: 'a temperature such as 4 C or 40 F',
  units: { C: times(1), F: (n) => ((n - 32) * 5) / 9 },
  least: -273.15,
};

const NUMBER = String.raw`[-−]?(?:\d{1,9}(?:\.\d{1,9})?|\.\d{1,9})`;
const SIGNS: readonly [RegExp, string][] = [
  [/³/g, '3'],
  [/°\s*/g, ''],
  [/−/g, '-'],
  [/[\u00a0\u202f\u2009]/g, ' '],
  [/\s+/g, ' '],
];
/** Names of units that are also said otherwise. */
const SAID: Record<string, string> = {
  l: 'L',
  litre: 'L',
  litres: 'L',
  liter: 'L',
  liters: 'L',
  'cu ft': 'ft3',
  'cu yd': 'yd3',
  'cu m': 'm3',
  lbs: 'lb',
  c: 'C',
  f: 'F',
  tons: 'ton',
  'long tons': 'long ton',
};

function read(amount: unknown, { wanted, units, least }: Measure): ReadAmount {
  const no = (got: string): ReadAmount => ({ ok: false, why: `wanted ${wanted}, got ${got}` });
  if (typeof amount === 'number')
    return Number.isFinite(amount) && amount >= least && amount <= 1e9
      ? { ok: true, value: amount }
      : no(String(amount));
  if (typeof amount !== 'string' || amount.length > 60)
    return no(typeof amount === 'string' ? 'more than 60 characters' : `a ${typeof amount}`);
  const text = SIGNS.reduce((t, [sign, as]) => t.replace(sign, as), amount.trim());
  const [, n, said] = new RegExp(`^(${NUMBER}) ?(\\D.*)$`).exec(text) ?? [];
  const unit = said === undefined ? undefined : (units[said] ?? units[SAID[said.toLowerCase()] ?? '']);
  if (n === undefined || !unit) return no(JSON.stringify(amount));
  const value = unit(Number(n));
  return value >= least && value <= 1e9 ? { ok: true, value } : no(JSON.stringify(amount));
}

/** A volume in m³: a number is that already. `gal` is the US gallon. */
export const readVolume = (v: unknown): { ok: true; value: CubicMetres } | { ok: false; why: string } =>
  read(v, VOLUME);
/** A mass in kg. `ton` is 2000 lb, `long ton` 2240 lb, `t` 1000 kg. */
export const readMass = (m: unknown): { ok: true; value: Kilograms } | { ok: false; why: string } =>
  read(m, MASS);
/** A temperature in °C. */
export const readTemperature = (t: unknown): ReadAmount => read(t, TEMPERATURE);
/** A speed in km/h: a number is that already. */
export const readSpeed = (s: unknown): ReadAmount => read(s, SPEED);
