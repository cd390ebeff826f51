import type { Message } from '@even-tally/core';
import { YARD } from '@even-tally/words';
import type { Role } from '../state/api';

/** What each role is, after “one who”: each with what stands before it. */
export const ROLE_SAYS: Record<Role, Message> = {
  reads: YARD.readsSays,
  logs: YARD.logsSays,
  plans: YARD.plansSays,
  owns: YARD.ownsSays,
};

/** What somebody will do with it, after “You will”. */
export const ROLE_WILL: Record<Role, Message> = {
  reads: YARD.readsWill,
  logs: YARD.logsWill,
  plans: YARD.plansWill,
  owns: YARD.ownsWill,
};

/** Each in a word, as a list says it. */
export const ROLE_NAMES: Record<Role, Message> = {
  reads: YARD.reads,
  logs: YARD.logs,
  plans: YARD.plans,
  owns: YARD.owns,
};
