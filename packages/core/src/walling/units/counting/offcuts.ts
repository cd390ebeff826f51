import type { Mm } from '../../../measure/length.js';
/** Width of a saw cut, mm: common practice. */
export const KERF = 3;

/**
 * Whole units needed for the sawn pieces, offcuts used again: longest first, each from the smallest
 * leftover that holds it. Deterministic; within one unit in twenty of the least possible for two or three sizes.
 */
export function unitsToSaw(lengths: ReadonlyMap<number, number>, whole: Mm, kerf = KERF): number {
  const left = new Map<number, number>();
  let opened = 0;
  const put = (size: number, count: number): void => {
    if (count > 0 && size > kerf) left.set(size, (left.get(size) ?? 0) + count);
  };
  for (const [length, wanted] of [...lengths].sort((a, b) => b[0] - a[0])) {
    let still = wanted;
    for (const [size, count] of [...left].sort((a, b) => a[0] - b[0])) {
      if (still === 0) break;
      if (size < length - 1e-6) continue;
      const used = Math.min(count, still);
      left.set(size, count - used);
      put(Math.round((size - length - kerf) * 1e3) / 1e3, used);
      still -= used;
    }
    while (still > 0) {
      // As many from each fresh unit as it yields, so that a thousand alike are one step.
      const each = Math.max(1, Math.floor((whole + kerf + 1e-6) / (length + kerf)));
      const units = Math.floor(still / each) || 1;
      const taken = Math.min(still, units * each);
      opened += units;
      const perUnit = Math.min(each, taken);
      put(Math.round((whole - perUnit * (length + kerf)) * 1e3) / 1e3, units);
      still -= taken;
    }
  }
  return opened;
}
