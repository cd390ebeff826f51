/**
 * Where something is, so that it is still found when other things have changed: the wall's id, its run's (`#0` where it has
 * none), then what of it. A piece is told by where it begins and how long it is, in whole millimetres along its run: pieces
 * elsewhere in its row may come and go. A cell, and the bar in it, is told by its column: half a unit wide, counted from the
 * start of the run.
 */
export interface Address {
  wall: string;
  run?: string;
  leaf?: number;
  course?: number;
  /** Where a piece begins along its run and how long it is there, whole mm. */
  piece?: { from: number; length: number };
  /** Its column, from 1; a second and third cell in one column are `12b`, `12c`. */
  cell?: string;
  /** The column of an upright, or the size of a bar that lies along its course. */
  bar?: string;
  joint?: string;
  opening?: string;
}

const part = (text: string): string => encodeURIComponent(text);

/** What a run is called in an address: its id, or its number with a sign before it. */
export const runPart = (id: string | undefined, number: number): string => id ?? `#${number}`;

/** The address as it is filed. */
export function writeAddress(a: Address): string {
  const parts = [part(a.wall)];
  if (a.run !== undefined) parts.push(part(a.run).replace(/^%23/, '#'));
  if (a.leaf !== undefined) parts.push(`leaf:${a.leaf}`);
  if (a.course !== undefined) parts.push(`course:${a.course}`);
  if (a.piece) parts.push(`piece:${a.piece.from}+${a.piece.length}`);
  if (a.cell !== undefined) parts.push(`cell:${part(a.cell)}`);
  if (a.bar !== undefined) parts.push(`bar:${part(a.bar)}`);
  if (a.joint !== undefined) parts.push(`joint:${part(a.joint)}`);
  if (a.opening !== undefined) parts.push(`opening:${part(a.opening)}`);
  return parts.join('/');
}

const PIECE = /^(-?\d{1,8})\+(\d{1,8})$/;

/** Reads an address; null where the text is none. */
export function readAddress(text: string): Address | null {
  if (text.length === 0 || text.length > 1000) return null;
  try {
    const [wall = '', run, ...rest] = text.split('/');
    const a: Address = { wall: decodeURIComponent(wall) };
    if (a.wall === '') return null;
    if (run === undefined) return a;
    // A sign before a number is the number of a run; one in an id is encoded.
    a.run = run.startsWith('#') ? run : decodeURIComponent(run);
    if (a.run === '') return null;
    for (const one of rest) {
      const at = one.indexOf(':');
      const [key, value] = [one.slice(0, at), decodeURIComponent(one.slice(at + 1))];
      const number = /^\d{1,6}$/.test(value) ? Number(value) : null;
      const piece = PIECE.exec(value);
      if (key === 'leaf' && number !== null) a.leaf = number;
      else if (key === 'course' && number !== null) a.course = number;
      else if (key === 'piece' && piece) a.piece = { from: Number(piece[1]), length: Number(piece[2]) };
      else if (value !== '' && (key === 'cell' || key === 'bar' || key === 'joint' || key === 'opening'))
        a[key] = value;
      else return null;
    }
    return a;
  } catch {
    // Percent signs that encode nothing.
    return null;
  }
}

/** Which of a wall's runs an address means, by their ids in order; null where there is none such. */
export function runOf(run: string | undefined, ids: readonly (string | undefined)[]): number | null {
  if (run === undefined) return null;
  const byId = ids.indexOf(run);
  if (byId >= 0) return byId;
  const number = /^#(\d{1,4})$/.exec(run)?.[1];
  return number !== undefined && Number(number) < ids.length ? Number(number) : null;
}
