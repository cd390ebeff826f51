import type { CubicMetres, Kilograms, Mm } from '../../measure/length.js';
import type { Said } from '../../messages/message.js';
import { MUD } from './messages.js';
import { readAddress, runOf } from '../../places/address.js';
import type { JobDocument } from '../../job/types.js';
import { runIds } from '../../job/places.js';
import {
  helpsOf,
  lastRecipe,
  nearestRecipe,
  type Bags,
  type Helps,
  type Recipe,
  type RecipeAsks,
} from '../../mud/recipe.js';
import { spreadAhead } from '../../mud/habits.js';
import type { SetWall } from '../set-out/wall.js';
import { isBinder, looseOf, makingOf, type Making } from '../../mud/making.js';
import { stonesOfLevel } from '../../walling/stone/stones.js';
import { pointingOf } from '../../walling/stone/sorted.js';
import type { Tally } from '../../walling/units/counting/tally.js';
import { behindFace } from '../../job/units.js';
import { mixOf, mixOfLeaf, mudSettings, poundsOfBag, type MudSettings } from '../../mud/settings.js';
import { CUBIC_FOOT_MM3, CUBIC_METRE_MM3 } from '../../measure/length.js';
import type { MaterialId } from '../../tables/mixes/materials.js';
import type { Mix } from '../../tables/mixes/mixes.js';
import { packOf } from '../../tables/mixes/packs.js';
import type { LeafTally } from '../../walling/units/counting/ofWall.js';

/** The mud of one course of a run of a leaf, m³. */
export interface CourseMud {
  run: number;
  leaf: number;
  course: number;
  geometric: CubicMetres;
  used: CubicMetres;
  mix: string;
}

/** A wall's mud of one mix: how much, by which batch, and how many of them. */
export interface MixMud {
  mix: Mix;
  used: CubicMetres;
  making: Making;
  /** Null where not even one measure of each part goes into the mixer. */
  batch: Recipe | null;
  /** It keeps to the parts as nearly as the mix allows: else nobody should mix it. */
  keeps: boolean;
  /** What would let it, where it does not. */
  helps: Helps | null;
  /** Water to begin a batch with: what it takes less what its sand brings, m³. */
  water: CubicMetres;
  /** Pieces a batch lays. */
  lays: number;
  full: number;
  /** Smaller than the rest; null where the rest is none, or takes a whole one. */
  last: Recipe | null;
}

export interface WallMud {
  settings: MudSettings;
  courses: CourseMud[];
  /** Mud a piece takes of all that is laid here, waste in it, m³. */
  perPiece: CubicMetres;
  /** The wall's own mix first. */
  mixes: MixMud[];
}

/** How far ahead mud is spread here: as was learned, else as is usual for such units. */
export const spreadOf = ({ wall, mud: { settings } }: { wall: SetWall; mud: WallMud }): Mm =>
  settings.spread ?? spreadAhead(wall.unit.family, wall.unitLength, settings.basis);

/** A job's mud is the same for each of its walls. */
const known = new WeakMap<JobDocument, MudSettings>();
function settingsOf(job: JobDocument): MudSettings {
  const had = known.get(job);
  if (had) return had;
  const made = mudSettings(job);
  known.set(job, made);
  return made;
}

/** What is so little that nobody mixes it, as a part of a batch. */
const NOTHING = 1e-6;

/** What a wall takes course by course, its mixes, and their batches. */
export function wallMud(job: JobDocument, index: number, tallies: readonly LeafTally[]): WallMud {
  const settings = settingsOf(job);
  const build = job.walls[index]?.build;
  const [face] = tallies;
  const own = mixOfLeaf(job, settings, build?.mix, face?.wall.unit.family ?? 'block');
  const inner = mixOf(job, (build && behindFace(build))?.mix) ?? own;
  const placed = placedMixes(job, index);
  const pointing = mixOf(job, face?.wall.stone?.pointing?.mix ?? undefined);
  const courses = tallies.flatMap((t) => {
    const mix = t.name === 'inner' ? inner : own;
    const [{ index: leaf, gauge, runs }] = t.leaves;
    return runs.flatMap((run, i): CourseMud[] => {
      const mortar = t.runs[i]?.mortar;
      if (!mortar || mortar.geometric <= 0) return [];
      const factor = mortar.used / mortar.geometric;
      // Joints that are left open are pointed afterwards, and in a mud of their own where one is named.
      const pointed = t.name === 'face' ? pointedShare(t.wall, t.runs[i], pointing, own) : 0;
      return gauge.courses.slice(0, mortar.byCourse.length).flatMap(({ number: course }, k) => {
        const geometric = mortar.byCourse[k] ?? 0;
        if (geometric <= 0) return [];
        const at = { run: run.index, leaf, course };
        const all = (part: number, of: string): CourseMud => ({
          ...at,
          geometric: geometric * part,
          used: geometric * factor * part,
          mix: of,
        });
        const bedded = all(1 - pointed, placed(at) ?? mix.id);
        return pointed > 0 && pointing ? [bedded, all(pointed, pointing.id)] : [bedded];
      });
    });
  });
  const ids = [...new Set([own.id, ...courses.map((c) => c.mix)])];
  const pieces = tallies.reduce((sum, t) => sum + piecesOf(t), 0);
  const all = tallies.reduce((sum, t) => sum + t.tally.mortar.used, 0);
  return {
    settings,
    courses,
    perPiece: pieces > 0 ? all / pieces : 0,
    mixes: ids.flatMap((id): MixMud[] => {
      const mix = mixOf(job, id);
      const used = courses.reduce((sum, c) => (c.mix === id ? sum + c.used : sum), 0);
      return mix && used > 0 ? [batchesOf(mix, used, settings, all > 0 ? pieces / all : 0)] : [];
    }),
  };
}

/** Pieces a leaf is laid of: its units, or of rough stone about so many of its faces. */
function piecesOf({ leaves: [leaf], tally, runs }: LeafTally): number {
  if (!leaf.wall.stone || leaf.wall.stone.kind === 'ashlar') return tally.total;
  return leaf.gauge.courses.reduce(
    (sum, c) =>
      sum + runs.reduce((n, _, run) => n + (stonesOfLevel({ leaf, course: c.number }, run) ?? 0), 0),
    0,
  );
}

/** What of a run’s mortar goes into joints that are pointed afterwards, where that is of another mix. */
function pointedShare(wall: SetWall, run: Tally | undefined, pointing: Mix | null, own: Mix): number {
  if (!wall.stone?.pointing || !pointing || pointing.id === own.id || !run) return 0;
  return Math.min(0.9, pointingOf(wall, run.area) / Math.max(1e-9, run.mortar.geometric));
}

/** Mixes that places of a wall have of their own: of several that hold a course, the last named. */
function placedMixes(
  job: JobDocument,
  index: number,
): (at: { run: number; leaf: number; course: number }) => string | null {
  const wall = job.walls[index];
  const places = (job.mud?.places ?? []).flatMap(({ place, mix }) => {
    const address = readAddress(place);
    if (!wall || !address || address.wall !== wall.id) return [];
    return [{ mix, address, run: address.run === undefined ? null : runOf(address.run, runIds(wall)) }];
  });
  const lastFirst = [...places].reverse();
  return ({ run, leaf, course }) =>
    lastFirst.find(
      (p) =>
        (p.run === null || p.run === run) &&
        (p.address.leaf === undefined || p.address.leaf === leaf) &&
        (p.address.course === undefined || p.address.course === course),
    )?.mix ?? null;
}

/** What a bag of each part that comes in one holds, loose, m³. A tub of putty is no bag. */
function bagsOf(mix: Mix, { basis, packs }: MudSettings): Bags {
  const bags: Bags = {};
  for (const p of mix.parts) {
    const pack = p.of === 'lime-putty' ? null : packOf(p.of, packs, poundsOfBag(mix));
    if (pack) bags[p.of] = pack.kg / looseOf(p, basis);
  }
  return bags;
}

/** How a mix is measured out: by the bag where that keeps to its parts, the cement alone where that does, else by the measure. */
export function asksOf(mix: Mix, settings: MudSettings): Omit<RecipeAsks, 'least'> {
  const { basis, sand, measure, halves, most } = settings;
  const asks = { mix, basis, sand, measure, halves, most };
  if (!settings.bags) return asks;
  const all = bagsOf(mix, settings);
  const [first] = mix.parts;
  const cement = first && all[first.of];
  const ways = [all, ...(first && cement !== undefined ? [{ [first.of]: cement }] : [])];
  const bags = ways.find(
    (way) => (nearestRecipe({ ...asks, bags: way })?.error ?? 1) <= mix.allows + NOTHING,
  );
  return bags ? { ...asks, bags } : asks;
}

function batchesOf(mix: Mix, used: CubicMetres, settings: MudSettings, piecesPerM3: number): MixMud {
  const { basis, sand } = settings;
  const making = makingOf(mix, basis, sand);
  const asks = asksOf(mix, settings);
  const batch = nearestRecipe(asks);
  const keeps = batch !== null && batch.error <= mix.allows + NOTHING;
  const volume = batch?.volume ?? 0;
  let full = volume > 0 ? Math.floor(used / volume + NOTHING) : 0;
  const rest = used - full * volume;
  let last = batch && rest > volume * NOTHING ? lastRecipe(asks, rest) : null;
  if (batch && rest > volume * NOTHING && (!last || last.volume >= volume * (1 - NOTHING))) {
    full += 1;
    last = null;
  }
  return {
    mix,
    used,
    making,
    batch,
    keeps,
    helps: keeps ? null : helpsOf(asks),
    water: volume * (making.water - making.fromSand),
    lays: Math.floor(volume * piecesPerM3 + NOTHING),
    full,
    last,
  };
}

/** What is to be had in, of one material. */
export interface MaterialNeed {
  of: MaterialId | 'pigment' | 'admixture';
  /** What somebody calls it: pigment and admixture are never only that. */
  called?: string;
  /** Loose as it is measured out, m³; water as it is. */
  volume: CubicMetres;
  mass: Kilograms;
  /** By the pack or the load, as it is filed; and what that is called. Null where it is not ordered. */
  ordered: Record<string, number>;
  by: Said | null;
}

/** So much mud, grout or concrete of a mix. */
export interface MixNeed {
  mix: Mix;
  used: CubicMetres;
}

const YARD = (27 * CUBIC_FOOT_MM3) / CUBIC_METRE_MM3;

/** Everything that mud, grout and concrete are made of, each to be ordered once for all of them. */
export function materialsFor(needs: readonly MixNeed[], settings: MudSettings): MaterialNeed[] {
  const { basis, sand, packs } = settings;
  const sum = new Map<MaterialId, MaterialNeed & { of: MaterialId; pounds: number }>();
  const add = (of: MaterialId, volume: CubicMetres, mass: Kilograms, pounds: number): void => {
    const before = sum.get(of);
    sum.set(of, {
      of,
      volume: (before?.volume ?? 0) + volume,
      mass: (before?.mass ?? 0) + mass,
      ordered: {},
      by: null,
      pounds,
    });
  };
  for (const { mix, used } of needs) {
    const making = makingOf(mix, basis, sand);
    for (const p of mix.parts) {
      const volume = (making.loose[p.of] ?? 0) * used;
      add(p.of, volume, (making.mass[p.of] ?? 0) * used, poundsOfBag(mix));
    }
    const water = (making.water - making.fromSand) * used;
    if (water > 0) add('water', water, water * 1000, 0);
  }
  const byParts = [...sum.values()].map(({ pounds, ...need }): MaterialNeed => {
    const pack = packOf(need.of, packs, pounds);
    if (pack)
      return {
        ...need,
        ordered: { [pack.name]: Math.ceil(need.mass / pack.kg - NOTHING) },
        by: pack.says,
      };
    if (need.of === 'water' || need.of === 'soil') return need;
    // By the half load: a yard of it loose, or a tonne.
    const halves = (n: number): number => Math.ceil(n * 2 - NOTHING) / 2;
    return basis === 'us'
      ? { ...need, ordered: { yd3: halves(need.volume / YARD) }, by: MUD.yards() }
      : { ...need, ordered: { t: halves(need.mass / 1000) }, by: MUD.tonnes() };
  });
  return [...byParts, ...addedTo(needs, settings)];
}

/** What is weighed or measured against the binder of the mud: pigment and admixture. Neither goes into grout or concrete. */
function addedTo(needs: readonly MixNeed[], { basis, sand, colour, admixture }: MudSettings): MaterialNeed[] {
  const binder = needs
    .filter(({ mix }) => mix.for.includes('bed'))
    .reduce((sum, { mix, used }) => {
      const { mass } = makingOf(mix, basis, sand);
      return sum + mix.parts.filter(isBinder).reduce((s, p) => s + (mass[p.of] ?? 0), 0) * used;
    }, 0);
  const none = { ordered: {}, by: null };
  return [
    ...(colour && binder > 0
      ? [{ of: 'pigment' as const, called: colour.name, volume: 0, mass: binder * colour.share, ...none }]
      : []),
    ...(admixture && binder > 0
      ? [
          {
            of: 'admixture' as const,
            called: admixture.name,
            volume: binder * admixture.perKg,
            // As water weighs, near enough to carry it.
            mass: binder * admixture.perKg * 1000,
            ...none,
          },
        ]
      : []),
  ];
}
