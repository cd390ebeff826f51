import type { Mm } from '../../measure/length.js';
/** A level above the job's datum, mm; below it is negative. */
export interface Level {
  name: string;
  level: Mm;
}

/** What lies between a support and the finish over it; `stated` is the total somebody gave. */
export interface BuildUp {
  layers: { name: string; thickness: number }[];
  stated: Mm | null;
}

export const layersTotal = (b: BuildUp): Mm => b.layers.reduce((sum, l) => sum + l.thickness, 0);

/** How far the layers are from the total that was stated, or null when they agree or none was. */
export function layersOff(b: BuildUp): Mm | null {
  if (b.stated === null || b.layers.length === 0) return null;
  const off = layersTotal(b) - b.stated;
  return Math.abs(off) < 1e-3 ? null : off;
}

export interface Control {
  /** The point that governs, and by which rule. */
  name: string;
  rule: 'ground' | 'support';
  level: Mm;
  /** Where the plinth or first finish must be: no lower. */
  wanted: number;
}

/**
 * The controlling point: the highest ground with its clearance, or the highest support with the layers over it,
 * whichever asks for more. The rest get more than they need, and none less. Null when nothing was entered.
 */
export function controllingPoint(
  ground: readonly Level[],
  clearance: number,
  supports: readonly Level[],
  buildUp: number,
): Control | null {
  const candidates: Control[] = [
    ...ground.map((g) => ({
      name: g.name,
      rule: 'ground' as const,
      level: g.level,
      wanted: g.level + clearance,
    })),
    ...supports.map((s) => ({
      name: s.name,
      rule: 'support' as const,
      level: s.level,
      wanted: s.level + buildUp,
    })),
  ];
  return candidates.reduce<Control | null>(
    (best, c) => (best === null || c.wanted > best.wanted ? c : best),
    null,
  );
}

/** A support under a finish: how much it gets in all, and how much of that is more than the layers. mm. */
export interface Under {
  name: string;
  level: Mm;
  toFinish: Mm;
  more: Mm;
}

/** Each support's own figure under a finish: the highest governs and gets the layers alone, the rest more, none less. */
export const underFinish = (supports: readonly Level[], finish: Mm, layers: Mm): Under[] =>
  supports.map(({ name, level }) => ({
    name,
    level,
    toFinish: finish - level,
    more: finish - level - layers,
  }));

export interface FootingTop {
  name: string;
  ground: number;
  /** Whole courses from the footing up to the plinth here. */
  courses: number;
  level: Mm;
}

/**
 * Footing tops that step in whole courses: at each corner as many courses under the plinth as bring the footing at
 * least `cover` under the ground, and under any slab that must pass over it.
 */
export function footingTops(
  corners: readonly Level[],
  plinth: number,
  pitch: number,
  cover: number,
  slabUnderside: number | null,
): FootingTop[] {
  return corners.map(({ name, level }) => {
    const most = Math.min(level - cover, slabUnderside ?? Infinity);
    const courses = Math.max(0, Math.ceil((plinth - most) / pitch - 1e-9));
    return { name, ground: level, courses, level: plinth - courses * pitch };
  });
}

/** What the staff must read for a level, from the height of the instrument: instrument − level. */
export const rodReading = (instrument: Mm, level: Mm): Mm => instrument - level;

/** What a reading says about a point that should stand at `wanted`: positive stands high. */
export const readingError = (instrument: Mm, reading: Mm, wanted: Mm): Mm => instrument - reading - wanted;

/** Height of the instrument from a reading on a known point: level + reading. */
export const instrumentHeight = (known: Mm, reading: Mm): Mm => known + reading;
