import type { EntryOf } from '../record/entries.js';
import type { Folded } from '../record/fold.js';
import type { Said } from '../messages/message.js';
import { seenIn, type Hold } from '../stages/hold.js';
import { SAYS } from '../stages/holdMessages.js';

/** What is to be signed or done, as it is asked about before it is sent. */
export type NewEntry =
  | (Pick<EntryOf<'hold-signed'>, 'kind' | 'hold' | 'seen' | 'by' | 'note' | 'as'> & { wall: string })
  | (Pick<EntryOf<'step-done'>, 'kind' | 'step' | 'by'> & { wall: string });

export interface HoldState {
  hold: Hold;
  signed: EntryOf<'hold-signed'> | null;
  done: EntryOf<'step-done'> | null;
  /** Steps before it that are not done yet. */
  waits: string[];
}

/** How far a wall is: each hold signed or not, the step behind it done or not. The last signature counts. */
export function holdStates(holds: readonly Hold[], record: Folded, wall: string): HoldState[] {
  const own = record.entries().filter((e) => e.wall === wall);
  const signings = own.filter((e) => e.kind === 'hold-signed');
  const steps = own.filter((e) => e.kind === 'step-done');
  const done = (step: string): HoldState['done'] => steps.filter((e) => e.step === step).at(-1) ?? null;
  return holds.map((hold): HoldState => {
    const signed = signings.filter((e) => e.hold === hold.id).at(-1) ?? null;
    return {
      hold,
      // What was added to a hold after it was signed has not been seen.
      signed: signed && hold.checks.every((c) => seenIn(signed.seen, c)) ? signed : null,
      done: done(hold.step),
      waits: hold.after.filter((step) => !done(step)),
    };
  });
}

const stepName = (holds: readonly Hold[], step: string): Said =>
  holds.find((h) => h.step === step)?.stepSays ?? step;

/** Why an entry may not be recorded, in one sentence; null where it may. The one rule for the screen and the server. */
export function refusalOf(holds: readonly Hold[], record: Folded, entry: NewEntry): Said | null {
  const states = holdStates(holds, record, entry.wall);
  if (entry.by.trim() === '') return SAYS['no-name']();
  if (entry.kind === 'hold-signed') {
    const state = states.find((s) => s.hold.id === entry.hold);
    if (!state) return SAYS['no-hold']({ got: entry.hold });
    const { title, checks } = state.hold;
    const unseen = checks.filter((c) => !seenIn(entry.seen, c));
    const [first] = unseen;
    return first
      ? SAYS.unseen({ hold: title, unseen: unseen.length, of: checks.length, first: first.says })
      : null;
  }
  const state = states.find((s) => s.hold.step === entry.step);
  if (!state) return SAYS['no-step']({ got: entry.step });
  const { title, stepSays: step } = state.hold;
  const [waits] = state.waits;
  if (waits !== undefined) return SAYS['not-before']({ step, before: stepName(holds, waits) });
  if (!state.signed) return SAYS.held({ step, hold: title });
  if (state.done) return SAYS.already({ step, by: state.done.by });
  return null;
}
