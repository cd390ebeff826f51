import type { CubicMetres, Kilograms } from '../measure/length.js';
import {
  MATERIAL,
  MOISTURE,
  type Basis,
  type MaterialId,
  type SandState,
} from '../tables/mixes/materials.js';
import type { Mix, Part } from '../tables/mixes/mixes.js';

/** The sand as it lies in the heap. `bulking`: by how much it takes up more room than dry, as a part. */
export interface Sand {
  state: SandState;
  bulking: number;
}

/** What is put in, loose as it is measured out, m³. */
export type Loose = Partial<Record<MaterialId, CubicMetres>>;

/** What a cubic metre of a part of a mix weighs, poured loose, kg. */
export const looseOf = (part: Part, basis: Basis): number => part.loose ?? MATERIAL[part.of].loose[basis];

/** Where the parts are of damp loose sand, as C270 has them, it goes in as it lies; elsewhere it is taken back to dry. */
export const takenBack = (basis: Basis, sand: Sand): number =>
  basis === 'us' || sand.state !== 'damp' ? 1 : 1 + sand.bulking;

/** Parts as they are put in: of sand as much more as it is bulked. */
export function partsPutIn(mix: Mix, basis: Basis, sand: Sand): Part[] {
  const back = takenBack(basis, sand);
  return mix.parts.map((p) => (p.of === 'sand' ? { ...p, parts: p.parts * back } : p));
}

/** What mud of a mix takes: a cubic metre of it, as the yield has it. */
export interface Making {
  /** Put in, loose, m³, sand as it lies. */
  loose: Loose;
  /** Weights, kg, of sand without its water. */
  mass: Partial<Record<MaterialId, Kilograms>>;
  /** All its water, and what of it the sand brings, m³. */
  water: CubicMetres;
  fromSand: CubicMetres;
}

/** How much mud comes of so many loose cubic metres of one part, sand taken back: what a yield says of one. */
export function madeOfOnePart(mix: Mix, basis: Basis): CubicMetres {
  const y = mix.yield;
  const all = mix.parts.reduce((sum, p) => sum + p.parts, 0);
  switch (y.model) {
    case 'sand': {
      const sand = mix.parts.find((p) => p.of === 'sand')?.parts ?? all;
      return sand / y.factor[basis];
    }
    case 'dry':
      return all / y.factor;
    case 'absolute': {
      const solid = mix.parts.reduce(
        (sum, p) => sum + (p.parts * looseOf(p, basis)) / MATERIAL[p.of].solid,
        0,
      );
      return (solid + absoluteWater(mix, basis, y.waterToBinder)) / (1 - y.air);
    }
    case 'pack': {
      const [part] = mix.parts;
      return part ? (part.parts * looseOf(part, basis) * y.makes[basis]) / y.kg[basis] : 0;
    }
    case 'measured':
      return y.made;
  }
}

/** Water for one part each, by weight to the binder, m³. */
const absoluteWater = (mix: Mix, basis: Basis, waterToBinder: number): CubicMetres =>
  (mix.parts.filter(isBinder).reduce((sum, p) => sum + p.parts * looseOf(p, basis), 0) * waterToBinder) /
  MATERIAL.water.solid;

const FILLS: readonly MaterialId[] = ['sand', 'gravel', 'ballast', 'water'];
export const isBinder = (part: Part): boolean => !FILLS.includes(part.of);

/** What a cubic metre of a mix takes, by the parts themselves. */
export function makingOf(mix: Mix, basis: Basis, sand: Sand): Making {
  const made = madeOfOnePart(mix, basis);
  const back = takenBack(basis, sand);
  const loose: Loose = {};
  const mass: Making['mass'] = {};
  for (const p of mix.parts) {
    const volume = p.parts / made;
    loose[p.of] = volume * (p.of === 'sand' ? back : 1);
    mass[p.of] = volume * looseOf(p, basis);
  }
  const water =
    mix.yield.model === 'absolute'
      ? absoluteWater(mix, basis, mix.yield.waterToBinder) / made
      : (mix.water?.[basis] ?? 0);
  const fromSand = Math.min(water, ((mass.sand ?? 0) * MOISTURE[sand.state]) / MATERIAL.water.solid);
  return { loose, mass, water, fromSand };
}

/** How much mud comes of what was put in, m³: the parts need not be met. `put`: loose, sand as it lies. */
export function madeOf(mix: Mix, basis: Basis, sand: Sand, put: Loose): CubicMetres {
  const back = takenBack(basis, sand);
  const parts = mix.parts.map((p) => ({
    ...p,
    parts: (put[p.of] ?? 0) / (p.of === 'sand' ? back : 1),
  }));
  if (mix.yield.model !== 'measured') return madeOfOnePart({ ...mix, parts }, basis);
  // What was counted on site was counted of the mix: more of its parts make as much more.
  const all = (of: readonly Part[]): number => of.reduce((sum, p) => sum + p.parts, 0);
  return (mix.yield.made * all(parts)) / all(mix.parts);
}
