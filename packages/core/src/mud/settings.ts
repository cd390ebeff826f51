import { readVolume, LITRE } from '../measure/amounts.js';
import { readDuration } from '../measure/times.js';
import {
  CUBIC_FOOT_MM3,
  CUBIC_METRE_MM3,
  toMillimetres,
  type CubicMetres,
  type Mm,
} from '../measure/length.js';
import { stated } from '../job/stated.js';
import type { JobDocument, OwnMix } from '../job/types.js';
import { BULKING, MATERIAL, type Basis } from '../tables/mixes/materials.js';
import type { UnitFamily } from '../tables/units.js';
import { MIXES, mixNamed, type Mix, type Part, type Yield } from '../tables/mixes/mixes.js';
import type { PackCountry } from '../tables/mixes/packs.js';
import { takenBack, type Sand } from './making.js';
import type { Measure } from './recipe.js';

export interface Mixer {
  kind: 'drum' | 'barrow' | 'bucket' | 'pan';
  /** Brimful, and how full it may be and still mix. */
  holds: CubicMetres;
  fill: number;
}

/** The job's mud with everything left out filled in. */
export interface MudSettings {
  basis: Basis;
  /** The mix of whoever does not say another. */
  mix: Mix;
  mixer: Mixer;
  measure: Measure;
  halves: boolean;
  sand: Sand;
  packs: PackCountry;
  /** Pigment by the weight of the binder; mud that has it is not wetted again. */
  colour: { name: string; share: number } | null;
  /** So much to a kilogram of binder, m³. */
  admixture: { name: string; perKg: CubicMetres } | null;
  /** How many mixers there are. */
  mixers: number;
  /** What comes in bags goes in by the bag. */
  bags: boolean;
  /** How far ahead mud is spread, as was learned here; null as is usual. */
  spread: Mm | null;
  grout: Mix | null;
  concrete: Mix | null;
  /** No more mud than this in one batch. */
  most: CubicMetres;
}

const GALLON = 3.785411784 * LITRE;
const FT3 = CUBIC_FOOT_MM3 / CUBIC_METRE_MM3;

/** Whose volumes and masses a job goes by: the United States', or metric; earth by how the job is shown. */
const basisOf = (job: Pick<JobDocument, 'profile' | 'show'>): Basis =>
  job.profile === 'us' || (job.profile === 'earth' && job.show === 'ft-in') ? 'us' : 'metric';

/** What a job mixes, and with what, where it does not say: common practice. */
const USUAL: Readonly<Record<JobDocument['profile'], string>> = {
  us: 'cement-lime-s',
  uk: 'cement-lime-n',
  earth: 'earth',
};
const WITH: Readonly<Record<Basis, { mixer: Mixer; measure: Measure }>> = {
  us: {
    mixer: { kind: 'drum', holds: 6 * FT3, fill: 0.75 },
    measure: { name: 'bucket', holds: 5 * GALLON, level: 'struck' },
  },
  metric: {
    mixer: { kind: 'drum', holds: 130 * LITRE, fill: 0.7 },
    measure: { name: 'bucket', holds: 14 * LITRE, level: 'struck' },
  },
};

const valueOf = (read: { ok: true; value: number } | { ok: false }): number => (read.ok ? read.value : 0);

/** One that the library has. */
function ofLibrary(id: string): Mix {
  const mix = mixNamed(id);
  if (!mix) throw new Error(`The library has no mix ${id}.`);
  return mix;
}

/** A mix by its id, the job's own first. The job was checked: there is one. */
export function mixOf(job: JobDocument, id: string | undefined): Mix | null {
  if (id === undefined) return null;
  const own = job.mixes?.find((m) => m.id === id);
  return own ? ownMix(job, own) : mixNamed(id);
}

/** All there are: the job's own, then the library. */
export const mixesOf = (job: JobDocument): readonly Mix[] => [
  ...(job.mixes ?? []).map((m) => ownMix(job, m)),
  ...MIXES,
];

/** One's own mix as the library has its own: what it leaves out is as the one it is like, else as cement mud has it. */
function ownMix(job: JobDocument, m: OwnMix): Mix {
  const model = m.like === undefined ? null : mixNamed(m.like);
  const like = model ?? ofLibrary('cement-lime-n');
  const life = m.life === undefined ? null : valueOf(readDuration(m.life));
  const lives = life === null ? null : { us: life, metric: life };
  return {
    ...like,
    id: m.id,
    name: m.name ?? m.id,
    for: m.for ?? model?.for ?? ['bed'],
    // Where its grade weighs otherwise than the material does, so does its own.
    parts: m.parts.map((p) => {
      const loose = model?.parts.find((q) => q.of === p.of)?.loose;
      return loose === undefined ? p : { ...p, loose };
    }),
    yield: ownYield(m, basisOf(job), sandOf(job)),
    ...(lives ? { life: lives, hotLife: lives } : {}),
    cautions: m.parts.flatMap((p) =>
      p.of === 'portland' || p.of === 'masonry-cement' || p.of === 'preblended'
        ? (['cement'] as const)
        : p.of === 'quicklime'
          ? (['lime', 'quicklime'] as const)
          : p.of === 'nhl' || p.of === 'lime-hydrated' || p.of === 'lime-putty'
            ? (['lime'] as const)
            : [],
    ),
    source: model?.source ?? m.name ?? m.id,
  };
}

function ownYield(m: OwnMix, basis: Basis, sand: Sand): Yield {
  const y = m.yield;
  switch (y.model) {
    case 'sand': {
      const factor = y.factor ?? (basis === 'us' ? 1 : 1.07);
      return { model: 'sand', factor: { us: factor, metric: factor } };
    }
    case 'dry':
      return { model: 'dry', factor: y.factor };
    case 'absolute':
      return { model: 'absolute', waterToBinder: y.water, air: y.air ?? 0.015 };
    case 'measured': {
      // So much sand, or of the largest part, made so much: of one part each it makes as many times that as there are parts of it.
      const of = largestOf(m.parts);
      // Put in as it lay in the heap: its parts are of it taken back.
      const put = valueOf(readVolume(y.put)) / (of.of === 'sand' ? takenBack(basis, sand) : 1);
      return { model: 'measured', made: put > 0 ? (valueOf(readVolume(y.made)) / put) * of.parts : 0 };
    }
  }
}

/** What a leaf is laid in where neither it nor the job says: earth in earth, stone in lime, else as the profile has it. */
export const mixOfLeaf = (
  job: JobDocument,
  settings: MudSettings,
  stated: string | undefined,
  family: UnitFamily,
): Mix =>
  mixOf(job, stated) ??
  (job.mud?.mix === undefined && (family === 'adobe' || family === 'stone')
    ? ofLibrary(family === 'adobe' ? 'earth' : 'nhl-3.5')
    : settings.mix);

/** The part a mix is spoken of by: its sand, or where it has none its largest. */
export const largestOf = <P extends Part>(parts: readonly P[]): P =>
  parts.find((p) => p.of === 'sand') ?? parts.reduce((most, p) => (p.parts > most.parts ? p : most));

/** Nobody has said how it lies: sand on a site is damp. */
const sandOf = ({ mud }: JobDocument): Sand => ({
  state: mud?.sand?.state ?? 'damp',
  bulking: mud?.sand?.bulking ?? BULKING,
});

/** The settings of a job. */
export function mudSettings(job: JobDocument): MudSettings {
  const basis = basisOf(job);
  const { mud = {} } = job;
  const usual = WITH[basis];
  const mixer: Mixer = mud.mixer
    ? {
        kind: mud.mixer.kind,
        holds: valueOf(readVolume(mud.mixer.holds)),
        fill: mud.mixer.fill ?? usual.mixer.fill,
      }
    : usual.mixer;
  const measure: Measure = mud.measure
    ? {
        name: mud.measure.name ?? usual.measure.name,
        holds: valueOf(readVolume(mud.measure.holds)),
        level: mud.measure.level ?? 'struck',
      }
    : usual.measure;
  return {
    basis,
    mix: mixOf(job, mud.mix) ?? ofLibrary(USUAL[job.profile]),
    mixer,
    measure,
    // A half bucket is what a mason pours by eye; whoever states a measure says whether it is halved.
    halves: mud.measure ? mud.measure.halves === true : true,
    sand: sandOf(job),
    bags: mud.bags === true,
    spread: mud.spread === undefined ? null : toMillimetres(stated(mud.spread)),
    colour: mud.colour ?? null,
    admixture: mud.admixture
      ? { name: mud.admixture.name, perKg: valueOf(readVolume(mud.admixture.perKg)) }
      : null,
    mixers: mud.mixer?.count ?? 1,
    packs: mud.packs ?? (job.profile === 'uk' || basis === 'metric' ? 'uk' : 'us'),
    grout: mixOf(job, mud.grout),
    concrete: mixOf(job, mud.concrete),
    most: mixer.holds * mixer.fill,
  };
}

/** A masonry cement's bag is a cubic foot: what it weighs, lb. */
export const poundsOfBag = (mix: Mix): number =>
  Math.round(
    ((mix.parts.find((p) => p.of === 'masonry-cement')?.loose ?? MATERIAL['masonry-cement'].loose.us) * FT3) /
      0.45359237,
  );
