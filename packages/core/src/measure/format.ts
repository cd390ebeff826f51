import {
  CUBIC_METRE_MM3,
  FOOT,
  INCH,
  type Length,
  toInches,
  toMillimetres,
  type Mm,
  type CubicMetres,
  type Kilograms,
  type SquareMetres,
} from './length.js';

export type Show = 'ft-in' | 'mm';

/** Fractions are digits with U+2044 so that the fonts' `frac` feature can draw them. */
const SLASH = '\u2044';

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

function mixed(sixteenths: number, per: number, slash: string): string {
  const whole = Math.floor(sixteenths / per);
  const rest = sixteenths - whole * per;
  if (rest === 0) return String(whole);
  const d = gcd(rest, per);
  const part = `${rest / d}${slash}${per / d}`;
  return whole === 0 ? part : `${whole} ${part}`;
}

/** Shown, so rounded: to 1/16 in, or to a millimetre (a tenth when under 100 mm and not whole). */
export function showMm(value: Mm, show: Show, per = 16): string {
  if (!Number.isFinite(value)) return '–';
  const sign = value < 0 ? '−' : '';
  const size = Math.abs(value);
  if (show === 'mm') {
    const tenth = Math.round(size * 10) / 10;
    return sign + (size < 100 && !Number.isInteger(tenth) ? tenth.toFixed(1) : String(Math.round(size)));
  }
  const parts = Math.round((size / INCH) * per);
  const feet = Math.floor(parts / (12 * per));
  const rest = parts - feet * 12 * per;
  if (feet === 0) return `${sign}${mixed(rest, per, SLASH)}″`;
  // A fraction of an inch after feet says its nought: 6′-0 7⁄8″.
  const nought = rest > 0 && rest < per ? '0 ' : '';
  return `${sign}${feet}′-${nought}${mixed(rest, per, SLASH)}″`;
}

/** As `showMm`, with the unit said for millimetres: for sentences. */
export const sayMm = (value: Mm, show: Show): string =>
  show === 'mm' ? `${showMm(value, show)} mm` : showMm(value, show);

/** Longest that is still said in inches alone: past it nobody counts them. */
const MOST_INCHES = 120 * INCH;

/** A spacing as the trade says it: bars at 32″, not at 2′-8″; millimetres as they are. */
export function sayInches(value: Mm, show: Show): string {
  if (show === 'mm' || Math.abs(value) > MOST_INCHES) return sayMm(value, show);
  return `${value < 0 ? '−' : ''}${mixed(Math.round((Math.abs(value) / INCH) * 16), 16, SLASH)}″`;
}

const DENOMINATORS = [1, 2, 4, 8, 16, 32, 64, 3, 12];

/**
 * The exact text of a length for a job file: feet and inches when a usual fraction holds it exactly,
 * otherwise millimetres. `parseLength(writeLength(l))` gives l back.
 */
export function writeLength(length: Length, show: Show): string | number {
  const millimetres = toMillimetres(length);
  if (show === 'mm' || length < 0) return millimetres;
  const inch = toInches(length);
  for (const per of DENOMINATORS) {
    const parts = inch * per;
    if (Math.abs(parts - Math.round(parts)) > 1e-9) continue;
    const n = Math.round(parts);
    const feet = Math.floor(n / (12 * per));
    const rest = n - feet * 12 * per;
    if (feet === 0) return `${mixed(rest, per, '/')}"`;
    return rest === 0 ? `${feet}'` : `${feet}' ${mixed(rest, per, '/')}"`;
  }
  return millimetres;
}

/** Volume in m³, shown as ft³ or m³. */
export function showVolume(m3: CubicMetres, show: Show): string {
  return show === 'ft-in' ? `${(m3 / 0.028316846592).toFixed(1)} ft³` : `${m3.toFixed(3)} m³`;
}

/** Mud as it is spoken of by the batch: cubic feet, or litres. */
export const showMud = (m3: CubicMetres, show: Show): string =>
  show === 'ft-in' ? `${(m3 / 0.028316846592).toFixed(1)} ft³` : `${(m3 * 1000).toFixed(0)} L`;

/** Water by the gallon, or the litre. */
export const showWater = (m3: CubicMetres, show: Show): string =>
  show === 'ft-in' ? `${(m3 / 0.003785411784).toFixed(1)} gal` : `${(m3 * 1000).toFixed(1)} L`;

/** So many minutes as they are said: days, or hours and minutes. */
export function showMinutes(minutes: number): string {
  if (minutes >= 1440 && minutes % 1440 === 0) return `${minutes / 1440} d`;
  const [h, min] = [Math.floor(minutes / 60), Math.round(minutes % 60)];
  return [h > 0 ? `${h} h` : '', min > 0 || h === 0 ? `${min} min` : ''].filter(Boolean).join(' ');
}

/** A temperature as it is read off a thermometer there. */
export const showTemperature = (celsius: number, show: Show): string =>
  show === 'ft-in' ? `${Math.round((celsius * 9) / 5 + 32)} °F` : `${Math.round(celsius)} °C`;

export function showArea(m2: SquareMetres, show: Show): string {
  return show === 'ft-in' ? `${(m2 / 0.09290304).toFixed(0)} ft²` : `${m2.toFixed(2)} m²`;
}

/** So much of a material by the run: metres to a tenth, or whole feet. Nobody orders mesh in inches. */
export const showMetres = (m: number, show: Show): string =>
  show === 'mm' ? `${m.toFixed(1)} m` : `${(m / (FOOT / 1000)).toFixed(0)} ft`;

/** What ready-mix is ordered in where feet are. */
export const cubicYards = (m3: CubicMetres): number => (m3 * CUBIC_METRE_MM3) / (3 * FOOT) ** 3;

/** Nobody weighs a hundred to a tenth. */
const weighed = (n: number): string => (Math.abs(n) < 99.95 ? n.toFixed(1) : String(Math.round(n)));

/** Mass as the show units have it: pounds with feet, kilograms with millimetres. */
export const sayMass = (kg: Kilograms, show: Show): string =>
  show === 'mm' ? `${weighed(kg)} kg` : `${weighed(kg / 0.45359237)} lb`;

/** A heap to be brought: up to the next of two figures. */
export function sayLoad(kg: Kilograms, show: Show): string {
  const [mass, unit] = show === 'mm' ? [kg, 'kg'] : [kg / 0.45359237, 'lb'];
  const step = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(mass, 1))) - 1);
  return `${Math.ceil(mass / step - 1e-9) * step} ${unit}`;
}
