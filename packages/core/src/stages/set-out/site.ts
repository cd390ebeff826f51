import { toMillimetres } from '../../measure/length.js';
import { stated } from '../../job/stated.js';
import type { JobDocument, SitePoint, Stated } from '../../job/types.js';
import {
  controllingPoint,
  footingTops,
  layersOff,
  layersTotal,
  readingError,
  rodReading,
  underFinish,
  type BuildUp,
  type Control,
  type FootingTop,
  type Under,
} from './levels.js';

/** Plinth over the highest ground, and ground over the footing, when the job says neither: common practice. */
export const CLEARANCE = 150;
export const COVER = 150;

export interface PointRead {
  id: string;
  name: string;
  is: SitePoint['is'];
  level: number;
  /** What the staff should read, and, where it was read, how far the point is out: positive stands high. */
  rod: number | null;
  reading: number | null;
  error: number | null;
}

/** What the job's levels come to, all above its datum, mm. */
export interface SiteLevels {
  datum: string;
  clearance: number;
  cover: number;
  instrument: number | null;
  slab: number | null;
  points: PointRead[];
  buildUp: BuildUp;
  layers: number;
  layersOff: number | null;
  control: Control | null;
  /** What the staff reads on the finish; null without an instrument. */
  finishRod: number | null;
  supports: Under[];
  footings: FootingTop[];
}

const mm = (s: Stated): number => toMillimetres(stated(s));
const mmOr = (s: Stated | undefined, otherwise: number | null): number | null =>
  s === undefined ? otherwise : mm(s);

/** Reads the levels of a checked job. `pitch` is a course of the wall asked about: footings step in whole ones. */
export function siteLevels(job: JobDocument, pitch: number): SiteLevels {
  const site = job.site ?? {};
  const instrument = mmOr(site.instrument, null);
  const clearance = mmOr(site.clearance, CLEARANCE) as number;
  const cover = mmOr(site.cover, COVER) as number;
  const slab = mmOr(site.slab, null);
  const points = (site.points ?? []).map((p): PointRead => {
    const level = mm(p.level);
    const reading = mmOr(p.reading, null);
    return {
      id: p.id,
      name: p.name,
      is: p.is,
      level,
      rod: instrument === null ? null : rodReading(instrument, level),
      reading,
      error: instrument === null || reading === null ? null : readingError(instrument, reading, level),
    };
  });
  const buildUp: BuildUp = {
    layers: (site.layers?.list ?? []).map((l) => ({ name: l.name, thickness: mm(l.thickness) })),
    stated: mmOr(site.layers?.stated, null),
  };
  const of = (is: SitePoint['is']): PointRead[] => points.filter((p) => p.is === is);
  const control = controllingPoint(of('ground'), clearance, of('support'), layersTotal(buildUp));
  return {
    datum: site.datum ?? '',
    clearance,
    cover,
    instrument,
    slab,
    points,
    buildUp,
    layers: layersTotal(buildUp),
    layersOff: layersOff(buildUp),
    control,
    finishRod: control && instrument !== null ? rodReading(instrument, control.wanted) : null,
    supports: control ? underFinish(of('support'), control.wanted, layersTotal(buildUp)) : [],
    footings: control ? footingTops(of('ground'), control.wanted, pitch, cover, slab) : [],
  };
}
