import type { CubicMetres } from '../../measure/length.js';
import type { Day, Minutes } from './day.js';
import { Demand } from './demand.js';
import { Life } from './life.js';
import { placed, planDay, type DayPlan } from './planDay.js';
import { DaySearch, type Tried } from './search.js';

/** A batch as somebody wants it: so large, or gone by then; or so large and mixed then. */
export type Pin = { made: CubicMetres; water?: Minutes } | { gone: Minutes };

/** The first batches as they are wanted, to whole steps and no larger than may be. */
function pinned(day: Day, demand: Demand, life: Life, pins: readonly Pin[]): Tried[] {
  const batches: Tried[] = [];
  let at = day.from;
  for (const pin of pins) {
    const asked = 'made' in pin ? pin.water : undefined;
    const first = demand.next(Math.max(at, (asked ?? -Infinity) + day.before));
    if (first === null) break;
    const before = demand.by(first);
    const wanted = 'made' in pin ? pin.made : demand.by(pin.gone) - before;
    const steps = Math.round(wanted / day.step);
    const made = day.step * Math.max(1, Math.min(Math.floor(day.batch / day.step + 1e-9), steps));
    const gone = demand.when(before + made);
    const poured = Math.min(asked ?? Infinity, first - day.before);
    const last = Math.min(gone, life.expires(poured), demand.end);
    // What dies says by its water when.
    const water = asked !== undefined || last < gone - 1e-6 ? poured : null;
    // Dead before it is first used: that is no batch.
    if (last <= first) break;
    batches.push({ water, first, last, made, used: Math.min(made, demand.by(last) - before) });
    at = last;
  }
  return batches;
}

/**
 * A day whose first batches are as somebody wants them, and the rest planned after them as well as can be. What does not go (mud would be
 * dead, or no mixer free) is not kept to: then it is the day as it is planned without. Nothing is proved of a day somebody has a hand in.
 */
export function planPinned(day: Day, pins: readonly Pin[]): DayPlan {
  if (pins.length === 0) return planDay(day);
  const [demand, life] = [new Demand(day), new Life(day.lives)];
  const first = pinned(day, demand, life, pins);
  const from = first.at(-1)?.last ?? day.from;
  const rest = { ...day, from };
  const search = new DaySearch(rest, new Demand(rest), life);
  const plan = placed(day, demand, life, [...first, ...(search.best() ?? search.plainly())]);
  const keeps = plan.batches.every((b) => b.expires >= b.last - 1e-6);
  return keeps ? { ...plan, proof: { status: 'open', bound: 0 }, next: null } : planDay(day);
}
