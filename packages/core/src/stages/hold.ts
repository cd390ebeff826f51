/** One thing to be seen before a hold is signed. */
export interface HoldCheck {
  id: string;
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

export const check = (id: string, says: string): HoldCheck => ({ id, says });
