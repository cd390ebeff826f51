import { SAYS } from './messages.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import type { Piece, Row } from '../../walling/units/laying/row.js';
import { toTheTape } from '../../walling/units/judging/toTheTape.js';
import type { PatchStep } from '../../job/edits/patch.js';
import type { PieceChange } from '../../job/types.js';
import type { Try } from '../../findings/issue.js';
import type { SetWall } from '../set-out/wall.js';
import { jointFollows } from './cells.js';
import type { JudgedStarter } from './starters.js';

/** A sawn unit that stands over a place. A whole one is the same either way round, and turning it moves no cell. */
const sawnOver = (row: Row, at: number): Piece | undefined =>
  row.pieces.find((p) => p.cutFrom !== null && p.band === null && !p.fitting && p.from <= at && p.to >= at);

/**
 * The sawn units over starters turned end for end, in every course they lie in, so that their cells come over the
 * starters; null where no sawn unit stands over any. Whether that clears them is for planning again to show.
 */
export function turnTry(wall: SetWall, run: BondedRun, off: readonly JudgedStarter[]): Try | null {
  const taken = new Set(wall.changes.map((c) => c.id));
  let n = 0;
  const nextId = (): string => {
    do n += 1;
    while (taken.has(`U${n}`));
    return `U${n}`;
  };
  let shows = false;
  const changes = run.rows.flatMap((row, i): PieceChange[] => {
    const units = new Set(off.flatMap((s) => sawnOver(row, s.at) ?? []));
    // Its own end was where it is seen; turned, the sawn one is.
    shows ||= [...units].some((p) => !p.turned && !jointFollows(p, row.perps));
    return [...units].map((p) => ({
      id: nextId(),
      run: run.index,
      course: i + 1,
      at: toTheTape(wall, (p.from + p.to) / 2),
      length: toTheTape(wall, p.to - p.from),
      do: 'end-for-end',
    }));
  });
  const [first] = changes;
  if (!first) return null;
  const path = `/walls/${wall.index}/build/pieces`;
  const edit: PatchStep[] =
    wall.changes.length > 0
      ? changes.map((value) => ({ op: 'add', path: `${path}/-`, value }))
      : [{ op: 'add', path, value: changes }];
  const courses = new Set(changes.map((c) => c.course)).size;
  return {
    says: SAYS['turn-unit']({ courses, course: first.course ?? 0, shows: shows ? 'yes' : 'no' }),
    edit,
  };
}
