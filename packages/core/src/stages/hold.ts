/** One thing to be seen before a hold is signed. */
export interface HoldCheck {
  id: string;
  /** What it was called before: signatures for it still count. */
  was?: string;
  /** What is looked for in every line of a group, where there is one; then `says` only tells which. */
  of?: string;
  says: string;
}

/** A point that may not be passed until somebody signs. */
export interface Hold {
  id: string;
  title: string;
  /** The step it holds. */
  step: string;
  stepSays: string;
  checks: HoldCheck[];
  /** Steps that have to be done before it can be signed. */
  after: string[];
}

/** Whether a check is among what was seen, by the name it has now or had before. */
export const seenIn = (seen: readonly string[], c: HoldCheck): boolean =>
  seen.includes(c.id) || (c.was !== undefined && seen.includes(c.was));

export const check = (id: string, says: string): HoldCheck => ({ id, says });
