import type { Role } from '../state/api';

/** What each role is, after “one who”: each with what stands before it. */
export const ROLE_SAYS: Record<Role, string> = {
  reads: 'looks at the jobs and prints them',
  logs: 'signs holds and keeps the record as well',
  plans: 'changes the jobs and asks others in as well',
  owns: 'settles who is in the yard as well',
};

/** What somebody will do with it, after “You will”. */
export const ROLE_WILL: Record<Role, string> = {
  reads: 'look at the jobs and print them',
  logs: 'look at the jobs, print them, sign holds and keep the record',
  plans: 'plan: change the jobs, keep the record, ask others in',
  owns: 'own the yard with those who own it: plan, and settle who is in it',
};

/** Each in a word, as a list says it. */
export const ROLE_NAMES: Record<Role, string> = {
  reads: 'Reads',
  logs: 'Logs',
  plans: 'Plans',
  owns: 'Owns',
};
