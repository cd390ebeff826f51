import type { Kilograms, Mm, SquareMetres } from '../../measure/length.js';
import type { SetWall } from '../../stages/set-out/wall.js';
import type { GaugeSolution } from '../../stages/gauge/solve.js';
import { isTangent } from '../../stages/set-out/line.js';
import { QUOIN_HIGH } from '../../tables/stoneWalls.js';
import { stoneIn } from './stretches.js';
import { endOf, stoneWork } from './work.js';

/** Squared stones of ends and corners, and of jambs: one to each so much of height, long and short by turns. */
export interface Squared {
  quoins: number;
  jambs: number;
  /** How many ends and corners, and jambs, that is. */
  places: number;
  jambPlaces: number;
}

const stonesUp = (height: Mm): number => Math.ceil(height / QUOIN_HIGH - 1e-6);

/** What of a wall is picked out to be square: both faces of a free end, one stack at a corner, both jambs of an opening in both faces. */
export function squaredIn(wall: SetWall, gauge: GaugeSolution): Squared {
  const { runs } = stoneWork(wall, gauge);
  const stone = stoneIn(wall);
  const corners = wall.line.corners.filter((c) => !isTangent(c.turn));
  const meets = (run: number, end: 0 | 1): boolean =>
    wall.line.corners.some((c) => (end === 0 ? c.to === run : c.from === run));
  const heights: Mm[] = [];
  for (const c of corners) {
    const run = runs[c.from];
    if (run) heights.push(endOf(run, 1).height);
  }
  for (const run of runs)
    for (const end of [0, 1] as const)
      // An end left open is racked back to go on from: nothing is squared there.
      if (!meets(run.run, end) && stone.ends !== 'open')
        for (let face = 0; face < stone.faces; face++) heights.push(endOf(run, end).height);
  const jambs = wall.openings.flatMap((o) =>
    Array.from({ length: 2 * stone.faces }, () => Math.max(0, o.head - o.sill)),
  );
  const sum = (list: readonly Mm[]): number => list.reduce((n, h) => n + stonesUp(h), 0);
  return {
    quoins: sum(heights),
    jambs: sum(jambs),
    places: heights.length,
    jambPlaces: jambs.length,
  };
}

/** Joints of a face that are pointed: so many metres to a square metre. Rubble 6 to 12, squared fewer; common practice. */
export const jointsOnFace = (wall: SetWall): number => (stoneIn(wall).kind === 'squared' ? 6 : 8);

/** What goes into the face after the bedding mortar has been kept back, m³ of each face. */
export function pointingOf(wall: SetWall, area: SquareMetres): number {
  const { pointing, joint, faces } = stoneIn(wall);
  if (!pointing) return 0;
  return ((area * jointsOnFace(wall) * joint * pointing.depth) / 1e6) * faces;
}

/** What a through weighs: as wide as a hand and a half, as high as a brick and a half. Common practice, for lifting only. */
const THROUGH = { wide: 250, high: 150 } as const;
export const throughWeighs = (length: Mm, density: number): Kilograms =>
  ((length * THROUGH.wide * THROUGH.high) / 1e9) * density;

/** What one cope weighs. */
export const copeWeighs = (wall: SetWall): Kilograms => {
  const { copes, top, stone } = stoneIn(wall);
  return copes ? ((copes.height * copes.each * top) / 1e9) * stone.density : 0;
};
