import type { Role } from '../state/api';

/** What each role is, after “one who”. */
export const ROLE_SAYS: Record<Role, string> = {
  reads: 'looks at the jobs and prints them',
  logs: 'signs holds and keeps the record as well',
  plans: 'changes the jobs and asks others in as well',
  owns: 'settles who is in the yard as well',
};

/** Each in a word, as a list says it. */
export const ROLE_NAMES: Record<Role, string> = {
  reads: 'Reads',
  logs: 'Logs',
  plans: 'Plans',
  owns: 'Owns',
};
