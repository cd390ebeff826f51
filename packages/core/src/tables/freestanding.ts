import { INCH, millimetres, toMillimetres, type Mm } from '../measure/length.js';
import type { ProfileId } from './profiles.js';
import type { UnitFamily } from './units.js';

/** How exposed a place is: 1 sheltered to 4 open, as the UK leaflet's zones are. */
export type Exposure = 1 | 2 | 3 | 4;

/** How high a wall may stand free, without bars and without piers, before its engineer decides, mm above the lower ground. */
export interface FreestandingLimit {
  most: Mm;
  /** The thickness the figure is for: at most that of the wall. */
  thick: Mm;
  /** Whether the figure would be another in another place. */
  byExposure: boolean;
  source: string;
}

/** mm by zone 1 to 4, thickest first (figures for one brick, one and a half, and block: UK garden walls leaflet, from memory). */
const UK: Record<'brick' | 'block', readonly [thick: Mm, heights: readonly [Mm, Mm, Mm, Mm]][]> = {
  brick: [
    [325, [2400, 2175, 2000, 1825]],
    [215, [1450, 1300, 1175, 1075]],
    // Half a brick has no figure of its own here: it is taken as block of 100.
    [100, [450, 400, 350, 325]],
  ],
  block: [
    [300, [2000, 1825, 1650, 1525]],
    [200, [1050, 925, 850, 775]],
    [100, [450, 400, 350, 325]],
  ],
};
/** A nominal size stands for itself: 215 of brick, 90 of block are within so much of the figure’s. */
const ABOUT = 10;

/** Adobe, kN/m³, and the wind the US figure is for, kN/m² (10 psf): statics, no tension. From memory. */
const ADOBE = 16;
/** Rubble in lime, on the light side. */
const RUBBLE = 20;
const TEN_PSF = 0.4788;

/** Most a free-standing wall may be, by profile, thickness and exposure. */
export function freestandingLimit(
  profile: ProfileId,
  family: UnitFamily,
  thickness: Mm,
  exposure: Exposure,
): FreestandingLimit {
  if (profile === 'uk' && family !== 'adobe' && family !== 'stone') {
    const rows = UK[family];
    const row = rows.find(([thick]) => thickness >= thick - ABOUT) ?? rows.at(-1);
    const [thick, heights] = row ?? [100, [450, 400, 350, 325]];
    const fits = thickness >= thick - ABOUT;
    return {
      most: fits ? (heights[exposure - 1] ?? 0) : 0,
      thick,
      byExposure: true,
      source: 'UK leaflet on garden walls, by wind zone, from memory',
    };
  }
  if (family === 'stone') {
    const t = thickness / 1000;
    return {
      most: toMillimetres(millimetres(Math.floor((1000 * RUBBLE * t * t) / (3 * TEN_PSF)))),
      thick: thickness,
      byExposure: false,
      source: 'statics: no tension at 10 psf, 20 kN/m³, from memory',
    };
  }
  if (profile === 'earth' || family === 'adobe') {
    const t = thickness / 1000;
    return {
      most: toMillimetres(millimetres(Math.floor((1000 * ADOBE * t * t) / (3 * TEN_PSF)))),
      thick: thickness,
      byExposure: false,
      source: 'statics: no tension at 10 psf, 16 kN/m³, from memory',
    };
  }
  // Nominal inches, as masons name thickness: an 8 in wall stands 48 in.
  const inches = Math.round(thickness / INCH + 0.375);
  return {
    most: 0.75 * inches ** 2 * INCH,
    thick: thickness,
    byExposure: false,
    source: 'BIA Technical Note 29A: h ≤ ¾ t² in inches at 10 psf, from memory',
  };
}
