import type { Hold } from '../stages/hold.js';

/** What happened on site. Rows are never edited away: a correction is another row. */
export type RecordEntry = HoldSigned | StepDone;

interface Happened {
  id: string;
  /** When the server took it in, ISO 8601. */
  at: string;
  wall: string;
  /** By whom: a name as it is signed. */
  by: string;
}

export interface HoldSigned extends Happened {
  kind: 'hold-signed';
  hold: string;
  /** Ids of everything seen. */
  seen: string[];
  note?: string;
}

export interface StepDone extends Happened {
  kind: 'step-done';
  step: string;
}

export type NewEntry = Omit<HoldSigned, 'at' | 'id'> | Omit<StepDone, 'at' | 'id'>;

export interface HoldState {
  hold: Hold;
  signed: HoldSigned | null;
  done: StepDone | null;
  /** Steps before it that are not done yet. */
  waits: string[];
}

/** How far a wall is: each hold signed or not, the step behind it done or not. The last signature counts. */
export function holdStates(
  holds: readonly Hold[],
  record: readonly RecordEntry[],
  wall: string,
): HoldState[] {
  const own = record.filter((e) => e.wall === wall);
  const done = (step: string): StepDone | null =>
    own.filter((e): e is StepDone => e.kind === 'step-done' && e.step === step).at(-1) ?? null;
  return holds.map((hold): HoldState => {
    const signed =
      own.filter((e): e is HoldSigned => e.kind === 'hold-signed' && e.hold === hold.id).at(-1) ?? null;
    return {
      hold,
      // What was added to a hold after it was signed has not been seen.
      signed: signed && hold.checks.every((c) => signed.seen.includes(c.id)) ? signed : null,
      done: done(hold.step),
      waits: hold.after.filter((step) => !done(step)),
    };
  });
}

const stepName = (holds: readonly Hold[], step: string): string =>
  holds.find((h) => h.step === step)?.stepSays.toLowerCase() ?? step;

/** Why an entry may not be recorded, in one sentence; null where it may. The one rule for the screen and the server. */
export function refusalOf(
  holds: readonly Hold[],
  record: readonly RecordEntry[],
  entry: NewEntry,
): string | null {
  const states = holdStates(holds, record, entry.wall);
  if (entry.by.trim() === '') return 'Wanted the name of whoever saw it, got none.';
  if (entry.kind === 'hold-signed') {
    const state = states.find((s) => s.hold.id === entry.hold);
    if (!state) return `Wanted a hold of this wall, got “${entry.hold}”.`;
    const unseen = state.hold.checks.filter((c) => !entry.seen.includes(c.id));
    const [first] = unseen;
    if (first)
      return `${state.hold.title} cannot be signed: ${unseen.length} of ${state.hold.checks.length} not seen, the first “${first.says}”.`;
    return null;
  }
  const state = states.find((s) => s.hold.step === entry.step);
  if (!state) return `Wanted a step of this wall, got “${entry.step}”.`;
  if (state.waits[0] !== undefined)
    return `${state.hold.stepSays}: not before “${stepName(holds, state.waits[0])}” is done.`;
  if (!state.signed) return `${state.hold.stepSays} is held: “${state.hold.title}” has to be signed first.`;
  if (state.done) return `${state.hold.stepSays} is on the record already, by ${state.done.by}.`;
  return null;
}
