import type { Recipe } from '../../mud/recipe.js';
import { materialsFor, type MaterialNeed, type MixMud, type MixNeed, type WallMud } from './wallMud.js';

const tidyVolume = (n: number): number => Math.round(n * 1e9) / 1e9 + 0;

function recipeJson(recipe: Recipe, measure: string): Record<string, unknown> {
  return {
    measures: recipe.measures.map((m) => ({
      of: m.of,
      count: m.count,
      measure: m.by === 'bag' ? 'bag' : measure,
    })),
    volume: tidyVolume(recipe.volume),
    error: Math.round(recipe.error * 1e9) / 1e9,
  };
}

function batchJson(m: MixMud, measure: string): Record<string, unknown> {
  return {
    batch: m.batch && {
      ...recipeJson(m.batch, measure),
      water: tidyVolume(m.water),
      lays: m.lays,
    },
    batches: { full: m.full, last: m.last && recipeJson(m.last, measure) },
  };
}

/** A wall's mud as it goes out: its own mix first, and each other it has beside. */
export function wallMudJson(wall: string, { settings, courses, mixes }: WallMud): Record<string, unknown> {
  const [own] = mixes;
  const measure = settings.measure.name;
  return {
    wall,
    mix: own?.mix.id ?? settings.mix.id,
    courses: courses.map(({ run, leaf, course, geometric, used, mix }) => ({
      run,
      leaf,
      course,
      geometric: tidyVolume(geometric),
      used: tidyVolume(used),
      ...(mix === own?.mix.id ? {} : { mix }),
    })),
    ...(own ? batchJson(own, measure) : { batch: null, batches: { full: 0, last: null } }),
    ...(mixes.length > 1
      ? { others: mixes.slice(1).map((m) => ({ mix: m.mix.id, ...batchJson(m, measure) })) }
      : {}),
  };
}

const materialJson = ({ of, called, volume, mass, ordered }: MaterialNeed): Record<string, unknown> => ({
  of,
  ...(called === undefined ? {} : { called }),
  volume: tidyVolume(volume),
  mass: Math.round(mass * 1e6) / 1e6,
  ordered,
});

/** What the whole job's mud, grout and concrete are made of. */
export const materialsJson = (
  needs: readonly MixNeed[],
  of: WallMud | undefined,
): Record<string, unknown>[] => (of ? materialsFor(needs, of.settings).map(materialJson) : []);
