import type { Mm } from '../../measure/length.js';
import { carryingLeaf } from '../../walling/units/leaves/leaf.js';
import { placeIn } from '../set-out/addresses.js';
import { columnsOf } from '../steel/columns.js';
import type { GroutStageWork } from './work.js';

/** The addresses of continuous cells and the bars in them, by where they stand along a run. */
export function cellPlaces(
  work: Pick<GroutStageWork, 'wall' | 'leaves' | 'fills'>,
): (run: number, at: Mm, is: 'cell' | 'bar') => string {
  const carrying = carryingLeaf(work);
  const columns = new Map(
    work.fills.map((f) => [
      f.run,
      columnsOf(
        carrying.wall,
        f.cells.map((c) => c.shaft),
      ),
    ]),
  );
  return (run, at, is) =>
    placeIn(work.wall, run, { leaf: carrying.index, [is]: columns.get(run)?.(at) ?? '' });
}
