import { SAME_PLACE } from '../measure/length.js';
import type { SetOpening, SetWall } from '../setout/wall.js';
import type { Cover } from './cover.js';
import { kindOf, sizesOf } from './kindOf.js';
import type { Kind } from './kinds.js';
import { THINNEST_PIECE, type PerpLine } from './lines.js';
import { pieceAt, type Row } from './row.js';
import { lineFor } from './sections.js';
import { atFreeEnds, layStretch, RUN_END, stretches, type Gap, type Laid, type Stretch } from './stretch.js';

/** The cut beside another run's unit, where the mason asked for closers there, is one. */
const isCornerCloser = (wall: SetWall, kind: Kind, first: boolean, last: boolean): Kind =>
  (first || last) && (wall.closers || wall.bond.step === 0) && (kind === 'cut' || kind === 'three-quarter')
    ? 'closer'
    : kind;

export interface RowEnds {
  /** The run's own unit turns the corner at its start or end. */
  cornerAtStart: boolean;
  cornerAtEnd: boolean;
  /** That corner is not square, so its unit is a special. */
  specialAtStart?: boolean;
  specialAtEnd?: boolean;
}

/** The opening a cut in mid-panel is for: its reveals are sound because this is not. */
function panelOpening(line: PerpLine, piece: Laid): number {
  const middle = (piece.from + piece.to) / 2;
  return lineFor(line, piece).panels?.find((p) => middle >= p.from && middle <= p.to)?.opening ?? RUN_END;
}

/** Lays one course of one run: stretches between its openings, then the kinds of its pieces. */
export function layRow(
  wall: SetWall,
  run: { from: number; to: number },
  line: PerpLine,
  ends: RowEnds,
  cover: Cover,
): Row {
  const sizes = sizesOf(wall);
  const hollow = wall.unit.shells !== null;
  const row: Row = { pieces: [], perps: [], bedded: [] };
  const gaps: Gap[] = [...cover.through, ...cover.partly.map((p) => p.opening), ...(cover.missing ?? [])];
  for (const stretch of stretches(run, gaps)) {
    const laid = layStretch(wall, lineFor(line, stretch), atFreeEnds(stretch));
    laid.forEach((piece, i) => {
      const next = laid[i + 1];
      if (next) row.perps.push({ at: (piece.to + next.from) / 2, width: next.from - piece.to });
    });
    const shownLeft = line.shownAtStart && stretch.left === RUN_END;
    const shownRight = line.shownAtEnd && stretch.right === RUN_END;
    const own = laid.slice(shownLeft ? 1 : 0, shownRight ? -1 : undefined);
    const first = own[0];
    const last = own.at(-1);
    if (!first || !last) continue;
    row.bedded.push({
      from: shownLeft ? (laid[0]?.to ?? first.from) : first.from,
      to: shownRight ? (laid.at(-1)?.from ?? last.to) : last.to,
    });
    own.forEach((piece, i) => {
      const named = kindOf(wall, piece.to - piece.from, sizes);
      const { cut } = named;
      const kind = isCornerCloser(wall, named.kind, shownLeft && i === 0, shownRight && i === own.length - 1);
      const atCorner =
        (i === 0 && stretch.left === RUN_END && ends.cornerAtStart) ||
        (i === own.length - 1 && stretch.right === RUN_END && ends.cornerAtEnd);
      const special =
        (i === 0 && stretch.left === RUN_END && ends.specialAtStart === true) ||
        (i === own.length - 1 && stretch.right === RUN_END && ends.specialAtEnd === true);
      const atJamb =
        hollow && ((i === 0 && stretch.left >= 0) || (i === own.length - 1 && stretch.right >= 0));
      const called: Kind =
        kind === 'stretcher' && atCorner ? 'corner' : kind === 'stretcher' && atJamb ? 'jamb' : kind;
      const sawn = !special && (cut || (kind === 'half' && wall.unit.halves === 'sawn'));
      const opening =
        cut && !special ? (piece.opening === RUN_END ? panelOpening(line, piece) : piece.opening) : -1;
      const laidHere = pieceAt(
        special ? 'corner' : called,
        piece.from,
        piece.to,
        sawn ? 'stretcher' : null,
        opening,
      );
      if (special) laidHere.special = true;
      row.pieces.push(laidHere);
    });
  }
  for (const { opening, strips } of cover.partly) {
    for (const strip of strips) layStrip(wall, line, opening, strip, row);
  }
  for (const opening of cover.over) bridge(row, opening);
  row.pieces.sort((a, b) => a.from - b.from || (a.band?.from ?? 0) - (b.band?.from ?? 0));
  row.perps.sort((a, b) => a.at - b.at);
  row.bedded.sort((a, b) => a.from - b.from);
  return row;
}

/** Units sawn in height, over a head or under a sill that is off gauge. */
function layStrip(
  wall: SetWall,
  line: PerpLine,
  opening: SetOpening,
  strip: { from: number; to: number },
  row: Row,
): void {
  const stretch: Stretch = {
    from: opening.from + line.joint,
    to: opening.to - line.joint,
    left: opening.index,
    right: opening.index,
  };
  if (!(stretch.to - stretch.from >= THINNEST_PIECE)) return;
  for (const piece of layStretch(wall, lineFor(line, stretch), stretch)) {
    row.pieces.push(pieceAt('cut', piece.from, piece.to, 'stretcher', -1, strip));
  }
  row.bedded.push({ from: stretch.from, to: stretch.to });
}

/** The first course over a head: its pieces carry, or hide what carries. */
function bridge(row: Row, opening: SetOpening): void {
  for (const piece of row.pieces) {
    const over = Math.min(piece.to, opening.to) - Math.max(piece.from, opening.from);
    if (over <= SAME_PLACE || piece.band !== null) continue;
    piece.kind = 'beam';
    if (!row.bridges?.includes(opening.index)) row.bridges = [...(row.bridges ?? []), opening.index];
  }
}
