import type { ExposureClass } from '../../tables/cover.js';
import { CLEANOUT_OVER } from '../../tables/grout.js';
import { FOOT, toMillimetres, type Mm } from '../../measure/length.js';
import { stated } from '../../job/stated.js';
import { readAddress } from '../../places/address.js';
import type { BeamCourse, Stated, Wall } from '../../job/types.js';

/** A cell treated otherwise by hand, mm along its run. */
export interface SetCellChange {
  id: string;
  index: number;
  run: number;
  at: Mm;
  /** Its address and the column in it, where it is filed by that: then its middle is only near. */
  place: string | null;
  column: string | null;
  bar: boolean | null;
  grout: boolean | null;
  /** It is filled course by course as the wall goes up. */
  rises: boolean;
}

/** A starter as it was found to stand; `off` the middle of the wall's thickness, outward positive, mm. */
export interface SetStarter {
  id: string;
  index: number;
  run: number;
  at: Mm;
  off: number;
}

/** A wall's steel with every length read, mm. */
export interface SetSteel {
  vertical: { bar: string; every: number; from: number | null; hook: boolean } | null;
  beams: { course: BeamCourse; bar: string; count: number; index: number }[];
  footing: { bar: string; count: number } | null;
  lap: { rule: '48d' | '40d' | 'computed' | 'drawing'; length: number | null; masonry: number | null } | null;
  bed: { every: number; kind: 'ladder' | 'wire' | 'bars'; bar: string | null } | null;
  straps: number | null;
  /** Starters are drilled into concrete that is there already. */
  drilled: boolean;
  cells: SetCellChange[];
  starters: SetStarter[];
  /** The exposure class that was said; null where nobody has. */
  exposure: ExposureClass | null;
  /** Lengths bars come in, longest first; empty for the profile's own. */
  stock: number[];
}

export interface SetGrout {
  /** The job says so itself; otherwise it follows from the steel. */
  stated: boolean;
  fill: 'none' | 'steel' | 'all' | { every: number };
  below: number;
  jambs: boolean;
  aggregate: 'fine' | 'coarse';
  pour: number | null;
  hose: { length: number; bore: number } | null;
}

/** The most a mason builds before grouting, mm, unless told: the height that needs no cleanouts. */
export const pourLimit = ({ grout }: { grout: SetGrout | null }): Mm => grout?.pour ?? CLEANOUT_OVER;

/** Ground a wall holds back, mm. */
export interface SetRetains {
  height: Mm;
  side: 'outside' | 'inside';
  /** What makes it more than level, dry, empty ground, in words. */
  more: string[];
  stepBack: number;
  weeps: 'open-perps' | 'pipes';
  weepsEvery: number;
  stone: number;
}

const mm = (l: Stated): number => toMillimetres(stated(l));
const perhaps = (l: Stated | undefined): number | null => (l === undefined ? null : mm(l));

export function steelOfWall({ steel }: Wall): SetSteel | null {
  if (!steel) return null;
  const { vertical, lap, bed } = steel;
  return {
    vertical: vertical
      ? {
          bar: vertical.bar,
          every: mm(vertical.every),
          from: perhaps(vertical.from),
          hook: vertical.hook ?? false,
        }
      : null,
    beams: (steel.beams ?? []).map((b, index) => ({ ...b, index })),
    footing: steel.footing ?? null,
    lap: lap ? { rule: lap.rule, length: perhaps(lap.length), masonry: lap.masonry ?? null } : null,
    bed: bed ? { ...bed, bar: bed.bar ?? null } : null,
    straps: steel.straps?.every ?? null,
    drilled: steel.drilled ?? false,
    cells: (steel.cells ?? []).map((c, index) => ({
      id: c.id,
      index,
      run: c.run ?? 0,
      at: mm(c.at ?? 0),
      place: c.place ?? null,
      column: c.place === undefined ? null : (readAddress(c.place)?.cell ?? ''),
      bar: c.bar ?? null,
      grout: c.grout ?? null,
      rises: c.rises ?? false,
    })),
    starters: (steel.starters ?? []).map((s, index) => ({
      id: s.id,
      index,
      run: s.run ?? 0,
      at: mm(s.at),
      off: mm(s.off ?? 0),
    })),
    exposure: steel.exposure ?? null,
    stock: (steel.stock ?? []).map(mm).sort((a, b) => b - a),
  };
}

/** What is grouted: as stated; with steel and nothing said, the cells that hold it and the beams. */
export function groutOfWall({ steel, grout }: Wall): SetGrout | null {
  if (!grout && !steel?.vertical && !steel?.beams) return null;
  const { fill = 'steel', aggregate = 'fine', hose } = grout ?? {};
  return {
    stated: grout !== undefined,
    fill,
    below: mm(grout?.below ?? 0),
    jambs: grout?.jambs ?? false,
    aggregate,
    pour: perhaps(grout?.pour),
    hose: hose ? { length: mm(hose.length), bore: mm(hose.bore) } : null,
  };
}

/**
 * Stone behind the wall, and weeps through it, where nobody says otherwise, mm: 300 and 900 where the tape is metric,
 * 12 in and 32 in where it is not. Common practice.
 */
const BEHIND = { metric: { stone: 300, weeps: 900 }, inches: { stone: FOOT, weeps: 812.8 } } as const;

export function retainsOfWall({ retains }: Wall, metric: boolean): SetRetains | null {
  if (!retains) return null;
  const usual = metric ? BEHIND.metric : BEHIND.inches;
  const more = [
    retains.surcharge ? 'something stands or drives on it' : '',
    retains.slope ? 'the ground slopes up from it' : '',
    retains.water ? 'water comes to it' : '',
    retains.building ? 'a building is near' : '',
  ].filter(Boolean);
  return {
    height: mm(retains.height),
    side: retains.side ?? 'outside',
    more,
    stepBack: mm(retains.stepBack ?? 0),
    weeps: retains.weeps ?? 'open-perps',
    weepsEvery: mm(retains.weepsEvery ?? usual.weeps),
    stone: mm(retains.stone ?? usual.stone),
  };
}
