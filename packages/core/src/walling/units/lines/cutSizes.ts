/** A list of cut sizes in use: a way along the wall has few. */
export interface CutSizes {
  size: number;
  next: CutSizes | null;
}

export const has = (list: CutSizes | null, size: number): boolean => {
  for (let s = list; s; s = s.next) if (s.size === size) return true;
  return false;
};

/** Whether `other` has no size that would have to be paid for again, beyond what it already costs more. */
export function serves(list: CutSizes | null, other: CutSizes | null, price: number, more: number): boolean {
  let missing = 0;
  for (let s = other; s; s = s.next) if (!has(list, s.size)) missing++;
  return missing * price <= more + 1e-9;
}
