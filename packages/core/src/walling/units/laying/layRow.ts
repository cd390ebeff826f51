import { firstThat } from '../../../measure/inOrder.js';
import { SAME_PLACE } from '../../../measure/length.js';
import type { SetOpening, SetWall } from '../../../stages/set-out/wall.js';
import type { Cover } from './cover.js';
import { isMadeCloser } from '../bonds/running.js';
import { kindOf, unitLengthsOf } from './kindOf.js';
import type { Kind } from './kinds.js';
import { headLimits, THINNEST_PIECE, type BesideLine, type PerpLine, type Span } from '../lines/lines.js';
import { pieceAt, type Piece, type Row, type Special } from './row.js';
import { lineFor } from '../lines/sections.js';
import type { RunToLay } from './besideJamb.js';
import { layStretch } from './fillStretch.js';
import { atFreeEnds, RUN_END, stretches, type Gap, type Laid, type Stretch } from './stretch.js';

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
  specialAtStart?: Special | null;
  specialAtEnd?: Special | null;
  /** How much of the course another run's work takes at its start and end, where it goes through: left out, a unit's width. */
  shownWidths?: readonly [number, number];
}

/** The line of a course, and those of the odd and even courses it stands among. */
export interface CourseLines {
  own: PerpLine;
  both: readonly [PerpLine, PerpLine];
  parity: 0 | 1;
  /** Whose first and last unit stays as it is, odd and even. */
  keepsFirst: readonly [boolean, boolean];
  keepsLast: readonly [boolean, boolean];
}

/** What a stretch of a course is laid from. Only the run's own ends are kept, not those at a movement joint. */
function runToLay(
  wall: SetWall,
  run: Span,
  lines: CourseLines,
  stretch: Stretch,
  gaps: readonly Gap[] | null,
): RunToLay {
  const { both, keepsFirst, keepsLast } = lines;
  const [first, last] = [stretch.from < run.from + 1, stretch.to > run.to - 1];
  return {
    wall,
    beside: gaps ? besideIn(lineFor(lines.own, stretch), stretch, gaps) : undefined,
    lines: [lineFor(both[0], stretch), lineFor(both[1], stretch)],
    keepsFirst: [first && keepsFirst[0], first && keepsFirst[1]],
    keepsLast: [last && keepsLast[0], last && keepsLast[1]],
  };
}

/**
 * A course's line with its edges as they were found beside openings in it; undefined where the course stops in this
 * stretch at what they were not found for: a step, or an opening that takes only part of its height.
 */
function besideIn(line: PerpLine, stretch: Stretch, gaps: readonly Gap[]): PerpLine | undefined {
  const here = (line.beside ?? []).filter((b) => b.to > stretch.from && b.from < stretch.to);
  if (here.length === 0) return undefined;
  let u = line.u;
  for (const among of new Set(here.map((b) => b.among))) {
    const own = here.find((b) => b.among === among) as BesideLine;
    const stops = gaps.filter((g) => g.to > own.from && g.from < own.to).map((g) => g.index);
    const found = here.find(
      (b) => b.among === among && b.stops.length === stops.length && stops.every((k) => b.stops.includes(k)),
    );
    if (!found && stops.length > 0) return undefined;
    if (found)
      u = [
        ...u.filter((x) => x < found.from - SAME_PLACE),
        ...found.u,
        ...u.filter((x) => x > found.to + SAME_PLACE),
      ];
  }
  return { ...line, u };
}

/** What is left of a stretch at its ends, or all of it, too short for a piece: wider than any joint may be. */
function unfilled(
  wall: SetWall,
  stretch: Stretch,
  own: readonly Laid[],
  [shownLeft, shownRight]: readonly [number | null, number | null],
): Span[] {
  const from = stretch.from + (shownLeft ?? 0);
  const to = stretch.to - (shownRight ?? 0);
  const [first, last] = [own[0], own.at(-1)];
  const { most } = headLimits(wall);
  // Beside another run's unit no more than a joint may be left; between two jambs a joint would have nothing to join.
  if (!first || !last)
    return to - from > (shownLeft !== null || shownRight !== null ? wall.head : 0) + 0.5
      ? [{ from, to }]
      : [];
  const ends = [
    { from, to: first.from, joint: shownLeft === null ? 0 : most },
    { from: last.to, to, joint: shownRight === null ? 0 : most },
  ];
  return ends.filter((e) => e.to - e.from > e.joint + 0.5);
}

/** The opening a cut in mid-panel is for: its reveals are sound because this is not. */
function panelOpening(line: PerpLine, piece: Laid): number {
  const middle = (piece.from + piece.to) / 2;
  const panels = lineFor(line, piece).panels ?? [];
  const panel = panels[firstThat(panels, (p) => p.to >= middle)];
  return panel && middle >= panel.from ? panel.opening : RUN_END;
}

/** Lays one course of one run: stretches between its openings, then the kinds of its pieces. */
export function layRow(
  wall: SetWall,
  run: { from: number; to: number },
  lines: CourseLines,
  ends: RowEnds,
  cover: Cover,
): Row {
  const { own: line } = lines;
  const sizes = unitLengthsOf(wall);
  const hollow = wall.unit.shells !== null;
  const row: Row = { pieces: [], perps: [], bedded: [] };
  const gaps: Gap[] = [...cover.through, ...cover.partly.map((p) => p.opening), ...(cover.missing ?? [])];
  for (const stretch of stretches(run, gaps)) {
    const laid = layStretch(runToLay(wall, run, lines, stretch, gaps), atFreeEnds(stretch), lines.parity);
    laid.forEach((piece, i) => {
      const next = laid[i + 1];
      if (next) row.perps.push({ at: (piece.to + next.from) / 2, width: next.from - piece.to });
    });
    const shownLeft = line.shownAtStart && stretch.left === RUN_END;
    const shownRight = line.shownAtEnd && stretch.right === RUN_END;
    const own = laid.slice(shownLeft ? 1 : 0, shownRight ? -1 : undefined);
    const first = own[0];
    const last = own.at(-1);
    const [atStart, atEnd] = ends.shownWidths ?? [wall.unitWidth, wall.unitWidth];
    const left = unfilled(wall, stretch, own, [shownLeft ? atStart : null, shownRight ? atEnd : null]);
    if (left.length > 0) row.left = [...(row.left ?? []), ...left];
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
      const atStart = i === 0 && stretch.left === RUN_END ? ends.specialAtStart : null;
      const atEnd = i === own.length - 1 && stretch.right === RUN_END ? ends.specialAtEnd : null;
      const special = atStart ?? atEnd ?? null;
      const atJamb =
        hollow && ((i === 0 && stretch.left >= 0) || (i === own.length - 1 && stretch.right >= 0));
      const called: Kind =
        kind === 'stretcher' && atCorner ? 'corner' : kind === 'stretcher' && atJamb ? 'jamb' : kind;
      const made = kind === 'closer' && isMadeCloser(wall, piece.to - piece.from);
      const sawn = !special && !made && (cut || (kind === 'half' && wall.unit.halves === 'sawn'));
      const opening =
        cut && !special ? (piece.opening === RUN_END ? panelOpening(line, piece) : piece.opening) : -1;
      const laidHere = pieceAt(
        special ? 'corner' : called,
        piece.from,
        piece.to,
        sawn ? 'stretcher' : null,
        opening,
      );
      if (special) laidHere.special = special;
      row.pieces.push(laidHere);
    });
  }
  for (const { opening, strips } of cover.partly) {
    for (const strip of strips) layStrip(wall, run, lines, opening, { ...strip, bed: cover.bed }, row);
  }
  row.pieces.sort((a, b) => a.from - b.from || (a.band?.from ?? 0) - (b.band?.from ?? 0));
  for (const opening of cover.over) bridge(row, opening, wall.unitLength);
  row.perps.sort((a, b) => a.at - b.at);
  row.bedded.sort((a, b) => a.from - b.from);
  return row;
}

/** Units sawn in height, over a head or under a sill that is off gauge. */
function layStrip(
  wall: SetWall,
  run: Span,
  lines: CourseLines,
  opening: SetOpening,
  strip: { from: number; to: number; bed: number },
  row: Row,
): void {
  const stretch: Stretch = {
    from: opening.from + lines.own.joint,
    to: opening.to - lines.own.joint,
    left: opening.index,
    right: opening.index,
  };
  if (!(stretch.to - stretch.from >= THINNEST_PIECE)) return;
  const laid = layStretch(runToLay(wall, run, lines, stretch, null), stretch, lines.parity);
  const band = { from: strip.from, to: strip.to };
  for (const piece of laid) row.pieces.push(pieceAt('cut', piece.from, piece.to, 'stretcher', -1, band));
  const { from, to } = opening;
  const stood = laid.reduce((sum, piece) => sum + piece.to - piece.from, 0);
  const [joints, high, counted] = [to - from - stood, strip.to - strip.from, stretch.to - stretch.from];
  row.strips = [...(row.strips ?? []), { from, to, joints, bed: strip.bed, high, counted }];
  row.bedded.push({ from: stretch.from, to: stretch.to });
}

/** The first course over a head: its pieces, in order along the run and none longer than its unit, carry, or hide what carries. */
function bridge(row: Row, opening: SetOpening, longest: number): void {
  const { pieces } = row;
  const first = firstThat(pieces, (p) => p.from >= opening.from - longest - 1);
  for (let i = first; i < pieces.length && (pieces[i] as Piece).from < opening.to; i++) {
    const piece = pieces[i] as Piece;
    const over = Math.min(piece.to, opening.to) - Math.max(piece.from, opening.from);
    if (over <= SAME_PLACE || piece.band !== null) continue;
    piece.kind = 'beam';
    if (!row.bridges?.includes(opening.index)) row.bridges = [...(row.bridges ?? []), opening.index];
  }
}
