import type { CubicMetres } from '../../measure/length.js';
import type { Day, PlacedBatch, PlacedDay, Spell } from './day.js';
import { Demand, SAME_TIME } from './demand.js';
import { Life } from './life.js';
import { DaySearch, type Tried } from './search.js';

export interface DayPlan extends PlacedDay {
  /** `bound`: the least that any plan of the day leaves, m³. `open`: it was not proved that none is better. */
  proof: { status: 'best' | 'open'; bound: CubicMetres };
  /** The best with batches no larger than a step less than the largest of these; null where there is none smaller. */
  next: PlacedDay | null;
}

/**
 * The batches of a day: when each is mixed, first used, gone and dead, and what is thrown away. In order: least waiting, least left,
 * fewest batches, larger first; water as late as serves. Exact, by the rules of the contract.
 */
export function planDay(day: Day): DayPlan {
  const demand = new Demand(day);
  const life = new Life(day.lives);
  const search = new DaySearch(day, demand, life);
  const first = search.best();
  const straight = placed(day, demand, life, first ?? search.plainly());
  // Where somebody waits, waiting sooner or longer may be better: looked for, but not proved to be the best of all.
  const waiting = first !== null && straight.waits.length > 0 && straight.batches.length > 0;
  const later = waiting ? new DaySearch(day, demand, life, { delays: true }).best() : null;
  const plan = later ? placed(day, demand, life, later) : straight;
  const least = Math.max(0, Math.ceil(demand.total / day.step - 1e-9) * day.step - demand.total);
  const largest = Math.max(0, ...plan.batches.map((b) => Math.round(b.made / day.step)));
  const smaller = largest > 1 ? new DaySearch(day, demand, life, { most: largest - 1 }).best() : null;
  return {
    ...plan,
    proof: first && !waiting ? { status: 'best', bound: plan.left } : { status: 'open', bound: least },
    next: smaller && placed(day, demand, life, smaller),
  };
}

/** What a day comes to when the next batch is mixed, as large as it may be, when the last one is gone. */
export function plainDay(day: Day): PlacedDay {
  const demand = new Demand(day);
  const life = new Life(day.lives);
  return placed(day, demand, life, new DaySearch(day, demand, life).plainly());
}

/** Batches with their water as late as serves: from the last back, each when a mixer is free for it. */
export function placed(day: Day, demand: Demand, life: Life, tried: readonly Tried[]): PlacedDay {
  const waters: number[] = [];
  for (let i = tried.length - 1; i >= 0; i--) {
    const t = tried[i] as Tried;
    const behind = waters[i + day.mixers];
    const latest = Math.min(t.first - day.before, behind === undefined ? Infinity : behind - day.before);
    waters[i] =
      t.water === null ? (life.latest(-Infinity, latest, t.last) ?? latest) : Math.min(t.water, latest);
  }
  const batches = tried.map(({ first, last, made, used }, i): PlacedBatch => {
    const water = waters[i] as number;
    const over = made - used;
    // What is left of sums of parts is nothing.
    const left = over < day.step * 1e-9 ? 0 : over;
    return { water, first, last, expires: life.expires(water), made, used: made - left, left };
  });
  const sum = (of: (b: PlacedBatch) => number): number => batches.reduce((s, b) => s + of(b), 0);
  return {
    batches,
    made: sum((b) => b.made),
    used: sum((b) => b.used),
    left: sum((b) => b.left),
    waits: waitsOf(demand, batches),
  };
}

/** Where mud is wanted and no batch is being used. */
function waitsOf(demand: Demand, batches: readonly PlacedBatch[]): Spell[] {
  const ends = [-Infinity, ...batches.map((b) => b.last)];
  const begins = [...batches.map((b) => b.first), Infinity];
  return ends.flatMap((from, i) => {
    const to = begins[i] as number;
    return to - from > SAME_TIME ? demand.wantedIn({ from, to }) : [];
  });
}
