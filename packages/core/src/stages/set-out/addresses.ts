import type { Mm } from '../../measure/length.js';
import { writeAddress, type Address } from '../../places/address.js';
import type { SetWall } from './wall.js';

type More = Omit<Address, 'wall' | 'run'>;

/** The address of something in a wall, on one of its runs where it is on one. */
export const placeIn = (wall: SetWall, run: number | null, more: More = {}): string =>
  writeAddress({
    wall: wall.id,
    ...(run === null ? {} : { run: wall.runs[run]?.called ?? `#${run}`, ...more }),
  });

/** A piece as its address tells it: where it begins on the face and how long it is there, whole mm. */
export const pieceOf = (p: { from: Mm; to: Mm }): { from: number; length: number } => ({
  from: Math.round(p.from),
  length: Math.round(p.to) - Math.round(p.from),
});
