import { SAME_PLACE } from '../measure/length.js';
import type { SetOpening, SetWall } from '../setout/wall.js';
import type { Kind } from './kinds.js';
import { closerLength } from './endPatterns.js';
import type { Missing } from './outline.js';
import { JOINT, lineFor } from './sections.js';
import { headLimits, THINNEST_PIECE, type PerpLine } from './lines.js';

export interface Piece {
  kind: Kind;
  from: number;
  to: number;
  /** What it was sawn from, when it was. */
  cutFrom: Kind | null;
  /** The opening whose jamb made it a cut, by place in the wall's list; −1 otherwise. */
  opening: number;
  /** The special of a corner that is not square: cut or bought at its angle. */
  special?: true;
  /** Height of a piece over a sill or under a head that is off gauge; null for the whole course. */
  band: { from: number; to: number } | null;
  /** A sawn piece turned end for end from how the bond lays it: its sawn end is where its own was. */
  turned?: true;
  /** Heights of its top at its two ends, where a top that is not level cuts it. */
  rake?: { left: number; right: number };
  /** It is not a unit of the wall's own kind, or stands on end. */
  fitting?: Fitting;
}

/**
 * A piece. Every row's are made here, so that they are all of one make: a wall's thousands are gone through many times
 * at each edit, and the engine reads them quickest so.
 */
export const pieceAt = (
  kind: Kind,
  from: number,
  to: number,
  cutFrom: Kind | null,
  opening = -1,
  band: Piece['band'] = null,
): Piece => ({ kind, from, to, cutFrom, opening, band });

export type Fitting = 'air-brick' | 'vent' | 'soldier';

/** A joint between two pieces of a row: its middle and its width, mm. */
export interface Perp {
  at: number;
  width: number;
}

export interface Row {
  pieces: Piece[];
  /** The end of another run's unit that would show at its start or end is not there: footing, or above the top. */
  bareStart?: true;
  bareEnd?: true;
  /** Ends of other walls' units that show in this face: walls bonded into it. */
  shown?: { from: number; to: number }[];
  /** Openings this is the first course over, by place in the wall's list. */
  bridges?: number[];
  perps: Perp[];
  /** Along-wall stretches that carry a bed, shown ends of other runs left out. */
  bedded: { from: number; to: number }[];
}

/** What the openings do to one course. */
export interface Cover {
  /** Places in the wall's opening list that break the course through its whole height. */
  through: SetOpening[];
  /** Openings that take only part of its height, and the strips of masonry left above and below. */
  partly: { opening: SetOpening; strips: { from: number; to: number }[] }[];
  /** Openings whose head this course is the first to bridge. */
  over: SetOpening[];
  /** Lengths with plumb ends that are not built. */
  missing?: readonly Missing[];
}

interface Stretch {
  from: number;
  to: number;
  /** Opening at its left and right end, STEP at a step, JOINT at a movement joint, RUN_END at the end of the run. */
  left: number;
  right: number;
}

const RUN_END = -1;

type Gap = Pick<SetOpening, 'from' | 'to' | 'index'>;

function stretches(run: { from: number; to: number }, gaps: readonly Gap[]): Stretch[] {
  const list: Stretch[] = [];
  let at = { from: run.from, left: RUN_END };
  for (const gap of [...gaps].sort((a, b) => a.from - b.from)) {
    if (gap.from - at.from > SAME_PLACE)
      list.push({ from: at.from, to: gap.from, left: at.left, right: gap.index });
    at = { from: Math.max(at.from, gap.to), left: gap.index };
  }
  if (run.to - at.from > SAME_PLACE) list.push({ from: at.from, to: run.to, left: at.left, right: RUN_END });
  return list;
}

/** At a movement joint a course ends as at a free end: its section's line was laid to it. */
const atFreeEnds = (s: Stretch): Stretch => ({
  ...s,
  left: s.left === JOINT ? RUN_END : s.left,
  right: s.right === JOINT ? RUN_END : s.right,
});

interface Laid {
  from: number;
  to: number;
  /** Opening that made it a cut, or −1. */
  opening: number;
}

/** Whole, half and three-quarter lengths of the wall's unit. */
export interface Sizes {
  whole: number;
  half: number;
  threeQuarter: number;
}

export const sizesOf = (wall: SetWall): Sizes => ({
  whole: wall.unitLength,
  half: wall.half,
  threeQuarter: 0.75 * (wall.unitLength + wall.head) - wall.head,
});

const near = (a: number, b: number, by = SAME_PLACE): boolean => Math.abs(a - b) <= by;

/**
 * A place to a millionth of a millimetre. Two ways to one perp differ in the last places of the sum: without this a
 * moved opening would seem to move, and have redrawn, every unit of the wall.
 */
const place = (mm: number): number => Math.round(mm * 1e6) / 1e6;

/**
 * Fills one stretch from the run's perp line. A jamb within a joint's tolerance of a perp is met by easing the
 * joints of the stretch; further off, the unit against it is sawn.
 */
function layStretch(wall: SetWall, line: PerpLine, stretch: Stretch): Laid[] {
  return fillStretch(wall, line, stretch).map(({ from, to, opening }) => ({
    from: place(from),
    to: place(to),
    opening,
  }));
}

function fillStretch(wall: SetWall, line: PerpLine, stretch: Stretch): Laid[] {
  const { joint } = line;
  const limits = headLimits(wall);
  const end = stretch.to + joint;
  const inner = line.u.filter((u) => u > stretch.from + SAME_PLACE && u < end - SAME_PLACE);
  let bounds = [stretch.from, ...inner, end];
  const sizes = sizesOf(wall);
  const fits = (off: number): boolean =>
    off <= limits.most - joint + SAME_PLACE && -off <= joint - limits.least + SAME_PLACE;
  // A perp that stands all but on the jamb is the jamb's own joint.
  if (stretch.left !== RUN_END && bounds.length > 2 && fits((bounds[1] ?? 0) - stretch.from))
    bounds = [stretch.from, ...bounds.slice(2)];
  if (stretch.right !== RUN_END && bounds.length > 2 && fits(end - (bounds.at(-2) ?? 0)))
    bounds = [...bounds.slice(0, -2), end];
  bounds = thicken(closerInside(bounds, wall, stretch, joint), wall, joint);
  const count = bounds.length - 1;
  const lengths: number[] = [];
  const openings: number[] = [];
  let exact = true;
  for (let i = 0; i < count; i++) {
    const slot = (bounds[i + 1] ?? 0) - (bounds[i] ?? 0);
    const opening =
      i === 0 && stretch.left !== RUN_END ? stretch.left : i === count - 1 ? stretch.right : RUN_END;
    const raw = slot - joint;
    const snap =
      opening === RUN_END && !line.panels
        ? undefined
        : [sizes.whole, sizes.half].find((s) => fits(raw - s) && !near(raw, s));
    lengths.push(snap ?? raw);
    openings.push(opening);
    const sized =
      near(raw, sizes.whole) ||
      near(raw, sizes.half) ||
      snap !== undefined ||
      kindInHeaderBond(wall, raw) !== null;
    if (!sized && opening !== RUN_END) exact = false;
  }
  const sum = lengths.reduce((a, b) => a + b, 0);
  const shared = count > 1 ? (stretch.to - stretch.from - sum) / (count - 1) : joint;
  if (exact && count > 1 && shared >= limits.least - SAME_PLACE && shared <= limits.most + SAME_PLACE) {
    let x = stretch.from;
    return lengths.map((length, i) => {
      const from = x;
      x += length + shared;
      return { from, to: i === count - 1 ? stretch.to : from + length, opening: -1 };
    });
  }
  return lengths.map((length, i) => {
    const from = bounds[i] ?? 0;
    const to = (bounds[i + 1] ?? 0) - joint;
    // A snapped piece keeps its jamb; its other side takes the difference in one joint.
    const atRight = i === count - 1 && stretch.right !== RUN_END;
    if (near(length, to - from) || count === 1) return { from, to, opening: openings[i] ?? -1 };
    return atRight ? { from: to - length, to, opening: -1 } : { from, to: from + length, opening: -1 };
  });
}

/** At a jamb of a header bond the header stands against the opening and the closer next to it. */
function closerInside(bounds: number[], wall: SetWall, stretch: Stretch, joint: number): number[] {
  if (wall.bond.family !== 'header' || bounds.length < 3) return bounds;
  const [closer, header] = [closerLength(wall) + joint, wall.unitWidth + joint];
  const out = [...bounds];
  const slot = (i: number): number => (bounds[i + 1] ?? 0) - (bounds[i] ?? 0);
  if (stretch.left !== RUN_END && near(slot(0), closer, 1) && near(slot(1), header, 1))
    out[1] = (out[0] ?? 0) + slot(1);
  const n = bounds.length - 2;
  if (stretch.right !== RUN_END && n > 1 && near(slot(n), closer, 1) && near(slot(n - 1), header, 1))
    out[n] = (out[n + 1] ?? 0) - slot(n - 1);
  return out;
}

/**
 * A leftover too thin to lay is taken with its neighbour: as one piece where a unit reaches, else as a
 * three-quarter and what remains.
 */
function thicken(bounds: number[], wall: SetWall, joint: number): number[] {
  const whole = wall.unitLength + joint;
  const thin = (a = 0, b = 0): boolean => b - a - joint < THINNEST_PIECE;
  const out = [...bounds];
  if (out.length > 2 && thin(out[0], out[1])) {
    if ((out[2] ?? 0) - (out[0] ?? 0) <= whole + SAME_PLACE) out.splice(1, 1);
    else out[1] = (out[2] ?? 0) - 0.75 * whole;
  }
  const n = out.length - 1;
  if (n > 1 && thin(out[n - 1], out[n])) {
    if ((out[n] ?? 0) - (out[n - 2] ?? 0) <= whole + SAME_PLACE) out.splice(n - 1, 1);
    else out[n - 1] = (out[n - 2] ?? 0) + 0.75 * whole;
  }
  return out;
}

/** Header bonds name their own pieces; in a half-brick wall the headers are snapped, and so halves. */
function kindInHeaderBond(wall: SetWall, length: number): { kind: Kind; cut: boolean } | null {
  if (wall.bond.family !== 'header') return null;
  if (near(length, closerLength(wall), 0.01)) return { kind: 'closer', cut: true };
  if (wall.wythes === 2 && near(length, wall.unitWidth, 0.01)) return { kind: 'header', cut: false };
  return null;
}

/** What a piece is by its length, and whether it is sawn. */
export function kindOf(wall: SetWall, length: number, sizes: Sizes): { kind: Kind; cut: boolean } {
  const own = kindInHeaderBond(wall, length);
  if (own) return own;
  if (near(length, sizes.whole, 0.01)) return { kind: 'stretcher', cut: false };
  if (near(length, sizes.half, 0.01)) return { kind: 'half', cut: false };
  if (near(length, sizes.threeQuarter, 0.01)) return { kind: 'three-quarter', cut: true };
  return { kind: 'cut', cut: true };
}

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

/** What the openings of a run do to a course between `bottom` and `top`. `slack`: what a bed can take up. */
export function coverOf(
  openings: SetOpening[],
  course: { bottom: number; top: number; bed: number },
  slack: number,
  thinnest = 20,
): Cover {
  const cover: Cover = { through: [], partly: [], over: [] };
  for (const o of openings) {
    const lo = Math.max(o.sill, course.bottom);
    const hi = Math.min(o.head, course.top);
    if (course.bottom >= o.head - slack && course.bottom - o.head < course.top - course.bottom - slack)
      cover.over.push(o);
    if (hi - lo <= slack) continue;
    // Masonry between this opening and one right over or under it in the same course is laid once, as the upper strip.
    const beside = openings.filter((other) => other !== o && other.from < o.to && other.to > o.from);
    const over = Math.min(course.top, ...beside.filter((b) => b.sill >= o.head).map((b) => b.sill));
    const under = beside.some((b) => b.head <= o.sill && b.head > course.bottom) ? lo : course.bottom;
    const strips = [
      { from: under, to: lo },
      { from: hi, to: over },
    ].filter((s) => s.to - s.from > slack + SAME_PLACE && s.to - s.from - course.bed >= thinnest);
    if (strips.length === 0) cover.through.push(o);
    else cover.partly.push({ opening: o, strips });
  }
  return cover;
}
