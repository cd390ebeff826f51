import { stated } from '../../job/stated.js';
import type { JobDocument, Stated } from '../../job/types.js';
import {
  CUBIC_METRE_MM3,
  toMillimetres,
  type CubicMetres,
  type Kilograms,
  type Mm,
  type SquareMetres,
} from '../../measure/length.js';
import { FILLING, PROP } from '../../tables/mending.js';
import { stoneOf, type Stone } from '../../tables/stones.js';
import { RUBBLE_SHARE } from '../../tables/stoneWalls.js';
import type { SetWall } from '../set-out/wall.js';

/** A hole in an old wall, and what fills it. */
export interface FilledHole {
  id: string;
  name: string;
  /** Its place in the document's list, for edits. */
  index: number;
  run: number;
  from: Mm;
  to: Mm;
  bottom: Mm;
  top: Mm;
  depth: Mm;
  /** How far in its stones go; limecrete is behind them. */
  facing: Mm;
  apart: Mm;
  stone: Stone;
  face: SquareMetres;
  /** Wider behind than before: all of it, what stones and their mortar take, and what is behind them. */
  volume: CubicMetres;
  front: CubicMetres;
  behind: CubicMetres;
  /** Stone in it, solid. */
  solid: CubicMetres;
  mass: Kilograms;
  /** Stones that go into the old work, and fixings drilled into it. */
  ties: number;
  fixings: number;
  /** What stands over it is propped first. */
  prop: boolean;
}

const mm = (l: Stated): Mm => toMillimetres(stated(l));

/** Whether a wall was there before: it is pointed again, is old lime work, damp, or has a hole to fill. */
export function isOldWork(job: JobDocument, index: number): boolean {
  const { holes, repoint, build } = job.walls[index] ?? {};
  const stands = build && build.kind !== 'dry' ? (build.stands ?? []) : [];
  return (
    (holes?.length ?? 0) > 0 || repoint !== undefined || stands.some((s) => s === 'old-lime' || s === 'damp')
  );
}

/** What of a hole lies between two depths, m³: its sides go out evenly, so that a slice of it is as wide as it is deep there. */
export function volumeIn(width: Mm, height: Mm, [near, far]: readonly [Mm, Mm]): CubicMetres {
  const upTo = (d: Mm): number => width * d + (d * d) / FILLING.wedge;
  return (height * (upTo(far) - upTo(near))) / CUBIC_METRE_MM3;
}

/** One to so much of a length, at least one. */
const every = (length: Mm, apart: Mm): number => Math.max(1, Math.ceil(length / apart - 1e-9));

/** The holes of a wall as they are stated, each with what fills it. */
export function holesIn(job: JobDocument, wall: SetWall): FilledHole[] {
  return (job.walls[wall.index]?.holes ?? []).map((h, index): FilledHole => {
    const [from, width, bottom, height, depth] = [
      mm(h.at),
      mm(h.width),
      mm(h.bottom),
      mm(h.height),
      mm(h.depth),
    ];
    // Dry, nothing is poured behind, and nothing is drilled: stones reach in as far as it goes.
    const dry = wall.stone?.kind === 'dry';
    const facing = dry
      ? depth
      : Math.min(depth, h.facing === undefined ? depth * FILLING.facing : mm(h.facing));
    const apart = h.fixings === undefined ? FILLING.fixings : mm(h.fixings);
    const stone =
      h.stone === undefined && wall.stone
        ? wall.stone.stone
        : stoneOf(job.stones ?? [], h.stone ?? 'limestone');
    const front = volumeIn(width, height, [0, facing]);
    const solid = front * RUBBLE_SHARE;
    return {
      id: h.id,
      name: h.name ?? h.id,
      index,
      run: h.run ?? 0,
      from,
      to: from + width,
      bottom,
      top: bottom + height,
      depth,
      facing,
      apart,
      stone,
      face: (width * height) / 1e6,
      volume: volumeIn(width, height, [0, depth]),
      front,
      behind: volumeIn(width, height, [facing, depth]),
      solid,
      mass: solid * stone.density,
      // At both sides of it, by turns with stones that stop at its edge.
      ties: 2 * every(height, FILLING.tieEvery),
      fixings: dry ? 0 : every(width, apart) * every(height, apart),
      prop: width > PROP.wide + 0.5 || depth > PROP.deep * wall.thickness + 0.5,
    };
  });
}
