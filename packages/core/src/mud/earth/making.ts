import type { JobDocument } from '../../job/types.js';
import { readVolume } from '../../measure/amounts.js';
import { toMillimetres, type CubicMetres, type Kilograms, type SquareMetres } from '../../measure/length.js';
import { EARTH_MAKING as USUAL } from '../../tables/earthWalls.js';
import type { UnitShape } from '../../tables/units.js';

/** Bricks of earth to be made: soil, batches, moulds, room to dry in, and days. */
export interface BricksMade {
  /** Laid, and made for them: what cracks and breaks is made too. */
  laid: number;
  made: number;
  /** One of them, and all. */
  each: Kilograms;
  mass: Kilograms;
  /** Loose dry soil they take, and how many batches that is. */
  soil: CubicMetres;
  batches: number;
  /** Fillings of all moulds together. */
  fillings: number;
  perDay: number;
  days: number;
  flat: number;
  edge: number;
  /** From the first brick made to the last that may be laid, days. */
  ready: number;
  /** The most room that lies under bricks at once, flat ones with a hand between them and those on edge. */
  bed: SquareMetres;
  /** Where cement is worked in: kilograms of it, of dry soil, and of water. */
  stabilised: { cement: Kilograms; soil: Kilograms; water: Kilograms } | null;
}

/** What making so many bricks of a unit takes. `laid`: as the wall has them. */
export function bricksMade(job: JobDocument, unit: UnitShape, laid: number): BricksMade {
  const m = job.earth?.making ?? {};
  const size = [unit.length, unit.height, unit.width].map(toMillimetres);
  const [length = 0, height = 0, width = 0] = size;
  const loss = m.loss ?? USUAL.loss;
  const made = Math.ceil(laid * (1 + loss) - 1e-9);
  const volume = (length * height * width) / 1e9;
  const stable = m.stabilised ?? 0;
  const each = volume * (stable > 0 ? USUAL.pressed : USUAL.density);
  const perFilling = (m.moulds ?? 1) * (m.perMould ?? 1);
  const perDay = m.perDay ?? perFilling * USUAL.fillings;
  const flat = m.flat ?? USUAL.flat;
  const edge = m.edge ?? USUAL.edge;
  const soil = made * volume * USUAL.loose;
  const stated = m.batch === undefined ? null : readVolume(m.batch);
  const batch = stated?.ok ? stated.value : USUAL.batch;
  const days = Math.ceil(made / perDay - 1e-9);
  const area = (a: number, b: number): number => ((a + USUAL.between) * (b + USUAL.between)) / 1e6;
  // Each day's bricks lie flat, then stand on edge; no more of either than there are.
  const lying = Math.min(made, perDay * flat);
  const standing = Math.min(made, perDay * edge);
  const dry = (made * each) / (1 + stable);
  return {
    laid,
    made,
    each,
    mass: made * each,
    soil,
    batches: Math.ceil(soil / Math.max(batch, 1e-9) - 1e-9),
    fillings: Math.ceil(made / perFilling - 1e-9),
    perDay,
    days,
    flat,
    edge,
    ready: days + flat + edge,
    bed: lying * area(length, width) + standing * area(length, height),
    stabilised: stable > 0 ? { cement: dry * stable, soil: dry, water: made * each * USUAL.water } : null,
  };
}
