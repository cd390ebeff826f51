import type { Mm } from '../../measure/length.js';
import type { SetCellChange, SetWall } from '../set-out/wall.js';
import { middleOf, type Shaft } from './shafts.js';

/** Two cells whose middles are so near are one, broken by an opening, mm. */
const ONE = 1;

const LETTERS = 'bcdefghij';

/** A change by hand means the cell within this of where it was, mm. */
export const SAME_CELL = 30;

/** Which of a run's continuous cells a change by hand means: those of its column, or those near where it was. */
export function cellsMeant<S extends Shaft>(
  wall: Pick<SetWall, 'unitLength' | 'head'>,
  shafts: readonly S[],
  change: Pick<SetCellChange, 'at' | 'column'>,
): S[] {
  if (change.column === null) return shafts.filter((s) => Math.abs(middleOf(s) - change.at) <= SAME_CELL);
  const called = columnsOf(wall, shafts);
  return shafts.filter((s) => called(middleOf(s)) === change.column);
}

/**
 * What continuous cells of a run are called: by their column, half a unit and half a joint wide, counted from the run's start.
 * A second cell in one column has a letter behind it. What changes elsewhere in the run leaves a cell in its column.
 */
export function columnsOf(
  wall: Pick<SetWall, 'unitLength' | 'head'>,
  shafts: readonly Shaft[],
): (at: Mm) => string {
  const wide = (wall.unitLength + wall.head) / 2;
  const middles = [...new Set(shafts.map((s) => middleOf(s)))].sort((a, b) => a - b);
  const names = new Map<number, string>();
  const taken = new Map<number, number>();
  let last = NaN;
  for (const at of middles) {
    if (at - last < ONE) {
      names.set(at, names.get(last) ?? '');
      continue;
    }
    last = at;
    const column = Math.floor(at / wide) + 1;
    const before = taken.get(column) ?? 0;
    taken.set(column, before + 1);
    names.set(at, `${column}${before === 0 ? '' : (LETTERS[before - 1] ?? 'z')}`);
  }
  return (at) => {
    const near = middles.find((m) => Math.abs(m - at) < ONE);
    return near === undefined ? `${Math.floor(at / wide) + 1}` : (names.get(near) ?? '');
  };
}
