/** A dimension the drawing left out, as a number of modules a mason would take it for. */
export interface ModuleSize {
  modules: number;
  length: number;
  says: string;
}

export type ModuleForm = 'pier' | 'opening' | 'return';

/**
 * Lengths in half modules near a guess, in the brick table's three forms: a pier or free wall is a joint less than
 * its modules, an opening a joint more, a length with one return neither. Nearest first.
 */
export function moduleSizes(
  form: ModuleForm,
  near: number,
  module: number,
  joint: number,
  count = 5,
): ModuleSize[] {
  const off = form === 'pier' ? -joint : form === 'opening' ? joint : 0;
  const half = module / 2;
  const about = Math.round((near - off) / half);
  return Array.from({ length: 2 * count + 1 }, (_, i) => about - count + i)
    .filter((n) => n >= 1 && n * half + off > 0)
    .map((n) => ({
      modules: n / 2,
      length: n * half + off,
      says: `${n % 2 === 0 ? n / 2 : `${Math.floor(n / 2) || ''}½`} ${form === 'pier' ? 'less a joint' : form === 'opening' ? 'and a joint' : 'modules'}`,
    }))
    .sort((a, b) => Math.abs(a.length - near) - Math.abs(b.length - near) || a.length - b.length)
    .slice(0, count);
}

/**
 * The joints of a narrow pier: its two end units stand first, then what is left is shared evenly between the rest.
 * Null when no joint is left to share.
 */
export function pierPerps(width: number, units: readonly number[]): number | null {
  if (units.length < 2) return null;
  const left = width - units.reduce((a, b) => a + b, 0);
  return left > 0 ? left / (units.length - 1) : null;
}
