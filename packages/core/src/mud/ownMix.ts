import { setDeep, type Patch } from '../job/edits/patch.js';
import type { JobDocument, OwnMix } from '../job/types.js';
import type { CubicMetres } from '../measure/length.js';
import type { Basis } from '../tables/mixes/materials.js';
import { mixNamed, type Mix } from '../tables/mixes/mixes.js';
import { looseOf } from './making.js';
import { measureHolds } from './recipe.js';
import { mixOf, mudSettings } from './settings.js';

/** What was counted on site: so many measures of its sand, or of its largest part, laid so many pieces. */
export interface CountedMix {
  measures: number;
  pieces: number;
  /** Mud a piece takes, waste in it, as the wall is planned, m³. */
  perPiece: CubicMetres;
}

/** How much comes of a mix, as it is stated of one's own. */
function statedYield({ parts, yield: y }: Mix, basis: Basis): OwnMix['yield'] {
  switch (y.model) {
    case 'sand':
      return { model: 'sand', factor: y.factor[basis] };
    case 'dry':
      return { model: 'dry', factor: y.factor };
    case 'absolute':
      return { model: 'absolute', water: y.waterToBinder, air: y.air };
    case 'pack': {
      const [part] = parts;
      return {
        model: 'measured',
        put: part ? y.kg[basis] / looseOf(part, basis) : 1,
        made: y.makes[basis],
      };
    }
    case 'measured':
      return { model: 'measured', put: 1, made: y.made };
  }
}

const litres = (m3: CubicMetres): string => `${Number((m3 * 1000).toPrecision(6))} L`;

/**
 * Changes a mix for a job: one of the library becomes the job's own, like it but for what is changed, and takes its place where it was
 * chosen. `name`: what that is called.
 */
export function changedMix(
  job: JobDocument,
  wall: number,
  id: string,
  name: string,
  change: Partial<OwnMix>,
): Patch {
  const own = job.mixes ?? [];
  const at = own.findIndex((m) => m.id === id);
  if (at >= 0) return [{ op: 'replace', path: `/mixes/${at}`, value: { ...own[at], ...change } }];
  const mix = mixOf(job, id);
  if (!mix) return [];
  const taken = new Set(own.map((m) => m.id));
  let here = `${id}-here`;
  for (let n = 2; taken.has(here) || mixNamed(here); n++) here = `${id}-here-${n}`;
  const made: OwnMix = {
    id: here,
    name,
    like: id,
    parts: mix.parts.map(({ of, parts }) => ({ of, parts })),
    yield: statedYield(mix, mudSettings(job).basis),
    ...change,
  };
  const chosen =
    job.walls[wall]?.build.mix === id
      ? ({ op: 'replace', path: `/walls/${wall}/build/mix`, value: here } as const)
      : setDeep(job, '/mud/mix', here);
  return [setDeep(job, '/mixes', [...own, made]), chosen];
}

/** A yield that was counted here: from then on it rules. */
export const countedHere = (job: JobDocument, counted: CountedMix): Partial<OwnMix> => ({
  yield: {
    model: 'measured',
    put: litres(counted.measures * measureHolds(mudSettings(job).measure)),
    made: litres(counted.pieces * counted.perPiece),
  },
});

/** Keys under which a job names a mix. */
const NAMES_A_MIX = ['mix', 'behind', 'grout', 'concrete'];

/** Every place in a document that names a mix, by its path. */
function namesOf(value: unknown, id: string, path = ''): string[] {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, under]) => {
    const at = `${path}/${key}`;
    return under === id && NAMES_A_MIX.includes(key) ? [at] : namesOf(under, id, at);
  });
}

/** The mix of the library that one of the job's own is like, wherever that was laid in; the own one goes. Empty where it is like none. */
export function asTheLibraryHas(job: JobDocument, id: string): Patch {
  const at = job.mixes?.findIndex((m) => m.id === id) ?? -1;
  const like = job.mixes?.[at]?.like;
  if (like === undefined) return [];
  return [
    ...namesOf(job, id).map((path) => ({ op: 'replace' as const, path, value: like })),
    { op: 'remove', path: `/mixes/${at}` },
  ];
}
