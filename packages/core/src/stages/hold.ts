import type { Said } from '../messages/message.js';

/** One thing to be seen before a hold is signed. */
export interface HoldCheck {
  id: string;
  /** What it was called before: signatures for it still count. */
  was?: string;
  /** What is looked for in every line of a group, where there is one; then `says` only tells which. */
  of?: Said;
  says: Said;
}

/** A point that may not be passed until somebody signs. */
export interface Hold {
  id: string;
  title: Said;
  /** The step it holds. */
  step: string;
  stepSays: Said;
  checks: HoldCheck[];
  /** Steps that have to be done before it can be signed. */
  after: string[];
}

/** Whether a check is among what was seen, by the name it has now or had before. */
export const seenIn = (seen: readonly string[], c: HoldCheck): boolean =>
  seen.includes(c.id) || (c.was !== undefined && seen.includes(c.was));

export const check = (id: string, says: Said): HoldCheck => ({ id, says });

/** A line of a hold begins a group of them: what is looked for in each is said over the first. */
export const beginsGroup = (checks: readonly HoldCheck[], i: number): boolean => {
  const [here, before] = [checks[i]?.of, checks[i - 1]?.of];
  return here !== undefined && JSON.stringify(here) !== JSON.stringify(before);
};
