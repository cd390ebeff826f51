import type { Said } from '../messages/message.js';
import type { CubicMetres, Mm } from '../measure/length.js';
import type { JobDocument } from '../job/types.js';
import { bricksMade, type BricksMade } from '../mud/earth/making.js';
import { soilJudged, type SoilJudged } from '../mud/earth/soilTests.js';
import { slaked, type Slaked } from '../mud/slaking.js';
import { spreadLess } from '../mud/habits.js';
import { mixName } from '../mud/mixName.js';
import type { Repointing } from '../mud/repointing.js';
import type { Recipe } from '../mud/recipe.js';
import { suitsOf, type Suits } from '../mud/strength.js';
import { largestOf, mixesOf, type MudSettings } from '../mud/settings.js';
import type { WallPlan } from '../plan/plan.js';
import { servesIn } from '../stages/pairing/stage.js';
import { spreadOf } from '../stages/mud/wallMud.js';
import { onePersonBatch } from '../stages/mud/onePerson.js';
import { materialName, MUD } from '../stages/mud/messages.js';
import type { MixMud } from '../stages/mud/wallMud.js';
import type { MaterialId } from '../tables/mixes/materials.js';
import type { Caution } from '../tables/mixes/mixes.js';

/** One part of a batch: so many measures of it. */
export interface MeasuredOut {
  of: MaterialId;
  name: Said;
  count: number;
  by: 'measure' | 'bag';
  /** What it is counted in. */
  measure: Said;
}

/** A wall's mud of one mix, as it is shown. */
export interface BatchView {
  mix: string;
  name: Said;
  used: CubicMetres;
  measures: MeasuredOut[];
  makes: CubicMetres;
  lays: number;
  /** What it lays is units, or of stone about so many of a face. */
  of: 'units' | 'stones';
  /** To begin with, and what of it the sand brings along. */
  water: CubicMetres;
  /** Minutes from the water, at about 20 °C and in the heat. */
  life: number;
  hotLife: number;
  full: number;
  last: { measures: MeasuredOut[]; makes: CubicMetres } | null;
  /** What one person lays out while it lives, in the heat too; null where a whole batch is no more than that. */
  one: { measures: MeasuredOut[]; makes: CubicMetres; lays: number; minutes: number } | null;
  /** What comes of it was counted here; and what would be counted: its sand, or its largest part. */
  counted: boolean;
  spokenOf: Said;
  error: number;
  /** Whole measures do not keep to the parts here, so that there is no batch; and what would let them. */
  tooFar: boolean;
  helps: { halves: boolean; measure: CubicMetres; mixer: CubicMetres } | null;
  retemper: boolean;
  suits: Suits;
  cautions: readonly Caution[];
  /** What the quicklime of a batch comes to, where it has any. */
  slaked: Slaked | null;
  source: Said;
}

export interface MudView {
  settings: Pick<
    MudSettings,
    'mixer' | 'measure' | 'halves' | 'sand' | 'most' | 'colour' | 'admixture' | 'bags' | 'mixers'
  >;
  /** What the measure is called: as the job has it, else by what it is. */
  measure: Said;
  /** The wall's own mix first. Empty where nothing is laid in mud. */
  batches: BatchView[];
  /** Mud a piece takes, waste in it, m³. */
  perPiece: CubicMetres;
  /** How far ahead it is spread, and how far where it dries too soon. */
  spread: { far: Mm; less: Mm };
  /** Joints of the face that are pointed again; null where nobody does. */
  repointing: (Repointing & { mix: Said; behindMix: Said }) | null;
  /** Bricks of earth made for it, and how the soil was judged; null for a wall that is not of earth. */
  earth: { made: BricksMade; tests: SoilJudged[] } | null;
  /** What may be chosen to point with. */
  pointing: { id: string; name: Said }[];
  /** What may be chosen to lay units in. */
  mixes: { id: string; name: Said; serves: 'yes' | 'no' }[];
}

const PARTS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

/** A count of measures as it is said: whole ones, and eighths behind them. */
export function countedMeasures(n: number): string {
  const eighths = Math.round(n * 8);
  const whole = Math.floor(eighths / 8);
  const part = PARTS[eighths % 8] ?? '';
  return whole === 0 && part !== '' ? part : `${whole}${part}`;
}

/** What so many of a measure are called: as the job has it, else by what it is; and a bag is a bag. */
function measureOf(job: JobDocument, { by, count }: Pick<MeasuredOut, 'by' | 'count'>): Said {
  const many = count > 1 ? 'yes' : 'no';
  return by === 'bag' ? MUD.bag({ many }) : (job.mud?.measure?.name ?? MUD.bucket({ many }));
}

export const measured = (job: JobDocument, measures: Recipe['measures']): MeasuredOut[] =>
  measures.map((m) => ({ ...m, name: materialName(m.of), measure: measureOf(job, m) }));

/** Quicklime in so much mud, kg. */
const limeIn = ({ making }: MixMud, volume: CubicMetres): number => (making.mass.quicklime ?? 0) * volume;

function batchView(job: JobDocument, work: Pick<WallPlan, 'mud' | 'wall'>, m: MixMud): BatchView {
  const { settings } = work.mud;
  const { basis, mixer } = settings;
  const one = onePersonBatch(job, work, m);
  const error = m.batch?.error ?? 0;
  const batch = m.keeps ? m.batch : null;
  return {
    mix: m.mix.id,
    name: mixName(m.mix, basis),
    used: m.used,
    measures: measured(job, batch?.measures ?? []),
    makes: batch?.volume ?? 0,
    lays: m.lays,
    of: work.wall.stone && work.wall.stone.kind !== 'ashlar' ? 'stones' : 'units',
    water: m.water,
    life: m.mix.life[basis],
    hotLife: m.mix.hotLife[basis],
    full: m.full,
    last: batch && m.last && { measures: measured(job, m.last.measures), makes: m.last.volume },
    one: one && {
      measures: measured(job, one.recipe.measures),
      makes: one.recipe.volume,
      lays: one.lays,
      minutes: one.minutes,
    },
    counted: m.mix.yield.model === 'measured',
    spokenOf: materialName(largestOf(m.mix.parts).of),
    error,
    tooFar: !m.keeps,
    helps: m.helps && {
      halves: m.helps.halves,
      measure: m.helps.measure,
      mixer: m.helps.mud / mixer.fill,
    },
    retemper: m.mix.retemper && settings.colour === null,
    suits: suitsOf(m.mix),
    cautions: m.mix.cautions,
    slaked: batch && limeIn(m, batch.volume) > 0 ? slaked(limeIn(m, batch.volume)) : null,
    source: m.mix.source,
  };
}

/** The mud of a wall: what is mixed, in which measures, how often. */
export function mudView(
  job: JobDocument,
  plan: Pick<WallPlan, 'mud' | 'wall' | 'repointing' | 'tally'>,
): MudView {
  const { wall, repointing: again } = plan;
  const { settings, mixes, perPiece } = plan.mud;
  const far = spreadOf(plan);
  const { mixer, measure, halves, sand, most, basis, colour, admixture, bags, mixers } = settings;
  return {
    settings: { mixer, measure, halves, sand, most, colour, admixture, bags, mixers },
    measure: measureOf(job, { by: 'measure', count: 1 }),
    batches: mixes.map((m) => batchView(job, plan, m)),
    perPiece,
    spread: { far, less: spreadLess(far) },
    repointing: again && {
      ...again,
      mix: mixName(again.mix, basis),
      behindMix: mixName(again.behindMix, basis),
    },
    earth:
      wall.unit.family === 'adobe'
        ? {
            made: bricksMade(job, wall.unit, plan.tally.total),
            tests: (job.earth?.tests ?? []).map(soilJudged),
          }
        : null,
    pointing: mixesOf(job)
      .filter((m) => m.for.includes('pointing'))
      .map((m) => ({ id: m.id, name: mixName(m, basis) })),
    mixes: mixesOf(job)
      .filter((m) => m.for.includes('bed') || m.for.includes('stove'))
      .map((m) => ({ id: m.id, name: mixName(m, basis), serves: servesIn(job, wall, m) ? 'yes' : 'no' })),
  };
}
