import type { CubicMetres } from '../measure/length.js';
import type { Basis, MaterialId } from '../tables/mixes/materials.js';
import type { Mix, Part } from '../tables/mixes/mixes.js';
import { madeOf, partsPutIn, type Sand } from './making.js';

/** What is filled and tipped in: a bucket, a shovel, a box. */
export interface Measure {
  name: string;
  /** Filled level, m³. */
  holds: CubicMetres;
  level: 'struck' | 'heaped';
}

/** A heaped measure holds a fifth more than a level one: common practice. */
export const HEAPED = 1.2;
export const measureHolds = (m: Measure): CubicMetres => m.holds * (m.level === 'heaped' ? HEAPED : 1);

/** What a shovel holds where so many of them, as they are thrown, filled a vessel level, m³: thrown so again each is as full. */
export const calibrated = (vessel: CubicMetres, count: number): CubicMetres => vessel / count;

export interface Recipe {
  /** In the order of the mix's parts; halves where they were asked for. */
  measures: { of: MaterialId; count: number; by: 'measure' | 'bag' }[];
  volume: CubicMetres;
  /** max |(cᵢ/c_sand)/(pᵢ/p_sand) − 1|, sand taken back: by how much the worst part misses. */
  error: number;
}

export interface RecipeAsks {
  mix: Mix;
  basis: Basis;
  sand: Sand;
  measure: Measure;
  /** No more mud than this, m³; and no less, where something is still to be laid with it. */
  most: CubicMetres;
  least?: CubicMetres;
  /** Half measures too. */
  halves?: boolean;
  /** What a bag holds of what goes in by the bag, loose, m³: the rest goes in by the measure. */
  bags?: Bags;
}
export type Bags = Partial<Record<MaterialId, CubicMetres>>;

const SAME = 1e-9;

/**
 * The whole measures nearest to the parts of a mix that go into the mixer. The least error rules; of those alike the most mud, or
 * the least where at least so much is asked for. Exact: every count that could be as near is looked at. Null where not even one measure of each goes in.
 */
export function nearestRecipe(asks: RecipeAsks): Recipe | null {
  const smaller = (asks.least ?? 0) > 0;
  return searchOf(asks).best((a, b) => {
    if (Math.abs(a.error - b.error) > SAME) return a.error < b.error;
    return smaller ? a.volume < b.volume * (1 - SAME) : a.volume > b.volume * (1 + SAME);
  });
}

/**
 * The last batch: enough for what is left to lay, within what the mix allows of error, as small as that goes; null where it must
 * be a full one.
 */
export function lastRecipe(asks: Omit<RecipeAsks, 'least'>, rest: CubicMetres): Recipe | null {
  const enough = { ...asks, least: rest };
  const keeps = searchOf(enough).best((a, b) => {
    if (Math.abs(a.volume - b.volume) > SAME * b.volume) return a.volume < b.volume;
    return a.error < b.error - SAME;
  }, asks.mix.allows + SAME);
  return keeps ?? nearestRecipe(enough);
}

/** The most mud that keeps to the parts and goes into so much, where less than a mixer full is wanted. Null where nothing does. */
export const largestRecipe = (asks: Omit<RecipeAsks, 'least'>): Recipe | null =>
  searchOf(asks).best((a, b) => {
    if (Math.abs(a.volume - b.volume) > SAME * b.volume) return a.volume > b.volume;
    return a.error < b.error - SAME;
  }, asks.mix.allows + SAME);

/** What would let whole measures keep to the parts, where these do not. */
export interface Helps {
  /** Counting halves does. */
  halves: boolean;
  /** A measure that holds no more than this does, m³; and with the measure there is, a mixer that takes this much mud. */
  measure: CubicMetres;
  mud: CubicMetres;
}

/** What to change so that a batch keeps to the parts. Null where nothing does: more of a measure than anybody counts. */
export function helpsOf(asks: Omit<RecipeAsks, 'least'>): Helps | null {
  const keeps = (halves: boolean): Recipe | null =>
    searchOf({ ...asks, halves, most: Infinity }).best((a, b) => a.volume < b.volume, asks.mix.allows + SAME);
  const smallest = keeps(asks.halves === true);
  if (!smallest) return null;
  const halved = keeps(true);
  return {
    halves: asks.halves !== true && halved !== null && halved.volume <= asks.most,
    measure: (asks.measure.holds * asks.most) / smallest.volume,
    mud: smallest.volume,
  };
}

/** So many of one measure nobody counts into a mixer. */
const MOST_MEASURES = 200;

interface Found {
  volume: CubicMetres;
  error: number;
}
type Better = (a: Found, b: Found) => boolean;

/** The counts of one question: what a measure of each part makes, and what it is to be for a measure of the part the rest goes by. */
class Counts {
  #counts: number[];
  #best: (Found & { counts: number[] }) | null = null;

  constructor(
    readonly parts: readonly (Part & { by: 'measure' | 'bag' })[],
    /** Which part the others are measured against. */
    readonly against: number,
    /** How many of each part to one of that. */
    readonly ratios: readonly number[],
    /** Mud of one measure of each part: every yield adds up so. */
    readonly makes: readonly CubicMetres[],
    readonly step: number,
    readonly least: CubicMetres,
    readonly most: CubicMetres,
  ) {
    this.#counts = parts.map(() => 0);
  }

  /** The best of every way that misses by no more than `within`; where none is said, of every way that could be as near as the nearest. */
  best(better: Better, within = this.#bound()): Recipe | null {
    this.#best = null;
    this.#eachOf((of) => this.#fill(0, of, within, 0, 0, better));
    const best = this.#best as (Found & { counts: number[] }) | null;
    return (
      best && {
        measures: this.parts.map((p, i) => ({ of: p.of, count: best.counts[i] ?? 0, by: p.by })),
        volume: best.volume,
        error: best.error < SAME ? 0 : best.error,
      }
    );
  }

  /** Every count of the part the rest goes by that still goes in alone. */
  #eachOf(look: (of: number) => void): void {
    const alone = this.makes[this.against] ?? 0;
    for (let n = 1; n <= Math.floor(MOST_MEASURES / this.step); n++) {
      const of = n * this.step;
      if (of * alone > this.most * (1 + SAME)) return;
      look(of);
    }
  }

  /** The least that the worst part misses by anywhere, or where nothing so near goes in, enough to look at every way. */
  #bound(): number {
    let bound = Infinity;
    this.#eachOf((of) => {
      let [volume, error] = [0, 0];
      // What misses least and makes least: of two as near, the smaller.
      this.ratios.forEach((ratio, i) => {
        const exact = of * ratio;
        const under = Math.max(1, Math.floor(exact / this.step + SAME)) * this.step;
        const near = Math.abs(under - exact) <= under + this.step - exact + SAME ? under : under + this.step;
        const count = i === this.against ? of : near;
        volume += count * (this.makes[i] ?? 0);
        error = Math.max(error, Math.abs(count / exact - 1));
      });
      if (volume <= this.most * (1 + SAME) && volume >= this.least * (1 - SAME))
        bound = Math.min(bound, error);
    });
    return bound === Infinity ? MOST_MEASURES : bound;
  }

  #fill(i: number, of: number, within: number, volume: CubicMetres, error: number, better: Better): void {
    if (volume > this.most * (1 + SAME)) return;
    const ratio = this.ratios[i];
    if (ratio === undefined) {
      if (volume < this.least * (1 - SAME)) return;
      const found = { volume, error };
      if (!this.#best || better(found, this.#best)) this.#best = { ...found, counts: [...this.#counts] };
      return;
    }
    const makes = this.makes[i] ?? 0;
    const exact = of * ratio;
    const from =
      i === this.against ? of : Math.max(1, Math.ceil((exact * (1 - within)) / this.step - SAME)) * this.step;
    const to = i === this.against ? of : exact * (1 + within) + SAME * this.step;
    for (let count = from; count <= to; count += this.step) {
      const made = volume + count * makes;
      // More of it makes no less.
      if (made > this.most * (1 + SAME)) return;
      this.#counts[i] = count;
      this.#fill(i + 1, of, within, made, Math.max(error, Math.abs(count / exact - 1)), better);
    }
  }
}

function searchOf(asks: RecipeAsks): Counts {
  const { mix, basis, sand, measure, most, least = 0, halves = false, bags = {} } = asks;
  const parts = partsPutIn(mix, basis, sand).map((p) => ({
    ...p,
    by: bags[p.of] === undefined ? ('measure' as const) : ('bag' as const),
  }));
  // The rest is measured against the sand, or where there is none against the largest part.
  const key = parts.findIndex((p) => p.of === 'sand');
  const against =
    key >= 0 ? key : parts.reduce((best, p, i) => (p.parts > (parts[best]?.parts ?? 0) ? i : best), 0);
  const base = parts[against]?.parts ?? 1;
  const holds = (p: Part): CubicMetres => bags[p.of] ?? measureHolds(measure);
  const whole = parts[against] ? holds(parts[against]) : 1;
  return new Counts(
    parts,
    against,
    parts.map((p) => ((p.parts / base) * whole) / holds(p)),
    parts.map((p) => madeOf(mix, basis, sand, { [p.of]: holds(p) })),
    halves ? 0.5 : 1,
    least,
    most,
  );
}
