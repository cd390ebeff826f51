import type { BondedRun } from './bond.js';
import { onFace, type Behind } from '../leaves/behind.js';
import type { PerpLine } from '../lines/lines.js';
import type { Row, Rows } from './row.js';

const along =
  (by: number) =>
  <T extends { from: number; to: number }>(p: T): T => ({ ...p, from: p.from + by, to: p.to + by });

/** A length kept as it is, its middle where it stands on the face. */
const keepingLength =
  (at: Behind) =>
  <T extends { from: number; to: number }>(p: T): T => {
    const by = onFace(at, (p.from + p.to) / 2) - (p.from + p.to) / 2;
    return { ...p, from: p.from + by, to: p.to + by };
  };

/** Places, as they are on the face. */
const projected =
  (at: Behind) =>
  <T extends { from: number; to: number }>(p: T): T => ({
    ...p,
    from: onFace(at, p.from),
    to: onFace(at, p.to),
  });

/**
 * A row of a leaf behind the face, in places of the face. Round a curve the places are where it is seen from there, so that its
 * lengths are the face's too; `pieces` `as-long` keeps those of its pieces, about the place of their middle: what is read of them
 * by their length, their cells, is then what it is.
 */
export function rowOnFace(row: Row, at: Behind, pieces: 'seen' | 'as-long' = 'seen'): Row {
  if (at.scale === 1) return movedRow(row, at.inset);
  const project = projected(at);
  return {
    ...row,
    pieces: row.pieces.map(pieces === 'seen' ? project : keepingLength(at)),
    perps: row.perps.map((p) => ({ at: onFace(at, p.at), width: p.width / at.scale })),
    bedded: row.bedded.map(project),
    ...(row.shown ? { shown: row.shown.map(project) } : {}),
    ...(row.left ? { left: row.left.map(project) } : {}),
    ...(row.strips
      ? {
          strips: row.strips.map((s) => ({
            ...project(s),
            joints: s.joints / at.scale,
            counted: s.counted / at.scale,
          })),
        }
      : {}),
  };
}

/** A row moved along its run. */
export function movedRow(row: Row, by: number): Row {
  const move = along(by);
  return {
    ...row,
    pieces: row.pieces.map(move),
    perps: row.perps.map((p) => ({ ...p, at: p.at + by })),
    bedded: row.bedded.map(move),
    ...(row.shown ? { shown: row.shown.map(move) } : {}),
    ...(row.left ? { left: row.left.map(move) } : {}),
    ...(row.strips ? { strips: row.strips.map(move) } : {}),
  };
}

/** A line moved along its run, and how courses on it are laid beside openings. */
export const movedLine = (l: PerpLine, by: number): PerpLine => ({
  ...l,
  u: l.u.map((u) => u + by),
  ...(l.beside ? { beside: l.beside.map((b) => ({ ...along(by)(b), u: b.u.map((u) => u + by) })) } : {}),
});

function counted(rows: Row[]): Rows {
  const uses = new Map<Row, number>();
  for (const row of rows) uses.set(row, (uses.get(row) ?? 0) + 1);
  return { rows, uses };
}

/** Rows changed one by one, those alike still shared: each is asked for by the first course it serves. */
export function mapRows(rows: Row[], change: (row: Row, course: number) => Row): Rows {
  const made = new Map<Row, Row>();
  return counted(
    rows.map((row, i) => {
      const done = made.get(row) ?? change(row, i + 1);
      made.set(row, done);
      return done;
    }),
  );
}

/** A run's own lines, and what they were before openings asked anything of them, moved along it. */
const movedLines = (lines: readonly PerpLine[], by: number): PerpLine[] =>
  lines.map((l) => ({
    ...movedLine(l, by),
    ...(l.own ? { own: movedLine(l.own, by) } : {}),
    ...(l.beside ? { beside: l.beside.map((b) => ({ ...along(by)(b), u: b.u.map((u) => u + by) })) } : {}),
    ...(l.panels ? { panels: l.panels.map(along(by)) } : {}),
    ...(l.sections
      ? { sections: l.sections.map((s) => ({ ...along(by)(s), line: movedLine(s.line, by) })) }
      : {}),
  }));

/** A whole run of another leaf, brought onto the face places are measured on. */
export const runOnFace = (run: BondedRun, at: Behind): BondedRun => ({
  ...run,
  from: onFace(at, run.from),
  to: onFace(at, run.to),
  lines: at.scale === 1 ? movedLines(run.lines, at.inset) : movedLines(run.lines, 0).map(lineOnFace(at)),
  ...mapRows(run.rows, (row) => rowOnFace(row, at, 'as-long')),
});

/** The edges of a line round a curve, as they are on the face. */
const lineOnFace =
  (at: Behind) =>
  (l: PerpLine): PerpLine => ({
    ...l,
    u: l.u.map((x) => onFace(at, x)),
    ...(l.own ? { own: lineOnFace(at)(l.own) } : {}),
  });
