import { EDITS } from './messages.js';
import { SAME_PLACE, millimetres, toMillimetres } from '../../measure/length.js';
import { writeLength } from '../../measure/format.js';
import type { LengthIs, Stated, Statement } from '../../statement/statement.js';
import { rewrite } from '../../statement/walk.js';
import { setOutWall } from '../../stages/set-out/wall.js';
import type { JobDocument } from '../form.js';
import { wall as WALL } from '../forms/wall.js';
import { stated } from '../stated.js';
import { readAddress, writeAddress } from '../../places/address.js';
import { inFull } from '../full.js';
import { placedIn } from '../places.js';
import type { Wall } from '../types.js';
import type { Rehung } from './runs.js';

type Holder = Record<string, unknown>;

const isOf = (statement: Statement, what: 'along' | 'up', says: string): LengthIs | null => {
  const is = statement.kind === 'length' ? statement.is : undefined;
  return is && what in is && Object.values(is).includes(says) ? is : null;
};

/** The key of an object that states such a length, and whether it is stated as the run's own is. */
function keyOf(
  keys: Extract<Statement, { kind: 'object' }>['keys'],
  ...says: string[]
): [string, boolean] | null {
  for (const [name, { shape }] of Object.entries(keys)) {
    const is = says.map((s) => isOf(shape, 'along', s)).find(Boolean);
    if (is) return [name, 'as' in is && is.as === 'stated'];
  }
  return null;
}

/** An address on a run of this length, as it is read from the run's other end. */
function addressed(place: string, run: { length: number; column: number }): string {
  const a = readAddress(place);
  if (!a) return place;
  const piece = a.piece && { ...a.piece, from: Math.round(run.length - a.piece.from - a.piece.length) };
  // The middle of a column, from the other end.
  const other = (cell: string): string =>
    `${Math.floor((run.length - (Number.parseInt(cell, 10) - 0.5) * run.column) / run.column) + 1}`;
  const cell = a.cell === undefined ? {} : { cell: other(a.cell) };
  return writeAddress({ ...a, ...(piece ? { piece } : {}), ...cell });
}

/** Something on a run of this length, as it is read from the run's other end. */
function mirrored(
  filed: Holder,
  full: Holder,
  statement: Extract<Statement, { kind: 'object' }>,
  run: { stated: number; length: number; column: number },
  write: (mm: number) => Stated,
): Holder {
  const mm = (name: string): number => toMillimetres(stated(full[name] as Stated));
  const made = { ...filed };
  const start = keyOf(statement.keys, 'start');
  const size = keyOf(statement.keys, 'size', 'clear');
  const end = keyOf(statement.keys, 'end');
  const middle = keyOf(statement.keys, 'middle');
  if (start && size)
    made[start[0]] = write((start[1] ? run.stated : run.length) - mm(start[0]) - mm(size[0]));
  if (start && end) {
    // What is stated to the nominal end of a run ends with its face.
    made[start[0]] = write(run.length - Math.min(mm(end[0]), run.length));
    made[end[0]] = write(run.length - mm(start[0]));
  }
  for (const [name, { shape }] of Object.entries(statement.keys)) {
    const is = isOf(shape, 'up', 'mirrors');
    if (is && 'with' in is && is.with !== undefined) made[name] = filed[is.with];
  }
  // What an address does not say is stated beside it.
  if (middle && filed[middle[0]] !== undefined) made[middle[0]] = write(run.length - mm(middle[0]));
  if (typeof filed.place === 'string') made.place = addressed(filed.place, run);
  return made;
}

/** A change of two neighbours about has its other one on the other side, read from the other end. */
const SWAP = 'swap';

/**
 * A run read from its other end: everything that stands on it, in its own wall and walls that end on it, stands as far from
 * the run's end as it stood from its start. Which courses go on round its corners is left as it is.
 */
export function reversedRun(job: JobDocument, index: number, number: number): Rehung {
  const wall = job.walls[index];
  const set = wall && setOutWall(job, index);
  const found = set?.runs[number];
  if (!wall || !set || !found) return { job, lost: [] };
  const run = { ...found, column: (set.unitLength + set.head) / 2 };
  const fullJob = inFull(job);
  const write = (mm: number): Stated =>
    writeLength(millimetres(Math.abs(mm) < SAME_PLACE ? 0 : mm), job.show);
  const runIn = (h: Holder): number | undefined =>
    typeof h.place === 'string' ? placedIn(wall, h.place)?.run : ((h.run as number | undefined) ?? 0);
  let swaps = 0;
  const turned = (
    own: Wall,
    full: Wall,
    onIt: (holder: Holder, is: 'own' | { of: string }) => boolean,
    past: number,
  ): Wall => {
    // Parts of the same wall with every length in full, found by the same steps.
    const fulls = new Map<unknown, Holder>();
    pair(own, full, fulls);
    return rewrite(own, WALL, (part, statement) => {
      if (statement.kind !== 'object') return null;
      const holder = part as Holder;
      const [, is] =
        Object.entries(statement.keys)
          .map(([name, { shape }]) => [name, shape.kind === 'number' ? shape.is?.run : undefined] as const)
          .find(([, on]) => on !== undefined) ?? [];
      if (is === undefined || !onIt(holder, is)) return null;
      if (holder.do === SWAP) {
        swaps += 1;
        return 'gone';
      }
      const to = mirrored(holder, fulls.get(part) ?? holder, statement, run, write);
      if (is !== 'own')
        to.at = write(run.length - toMillimetres(stated((fulls.get(part) ?? holder).at as Stated)) - past);
      return { to };
    }) as Wall;
  };
  const walls = job.walls.map((one, k) => {
    const full = fullJob.walls[k] ?? one;
    if (k === index) return turned(one, full, (h, is) => is === 'own' && runIn(h) === number, 0);
    if (one.meets?.wall !== wall.id || one.meets.run !== number) return one;
    const { thickness } = setOutWall(job, k);
    return turned(one, full, (h, is) => is !== 'own' && h[is.of] === wall.id && h.run === number, thickness);
  });
  const lost = swaps === 0 ? [] : [EDITS.pairs({ count: swaps })];
  return { job: { ...job, walls }, lost };
}

/** What of one value stands where something of another does, object by object. */
function pair(a: unknown, b: unknown, into: Map<unknown, Holder>): void {
  if (typeof a !== 'object' || a === null || typeof b !== 'object' || b === null) return;
  into.set(a, b as Holder);
  for (const [key, inner] of Object.entries(a)) pair(inner, (b as Holder)[key], into);
}
