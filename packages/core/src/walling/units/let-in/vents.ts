import { SAME_PLACE } from '../../../measure/length.js';
import type { SetVents, SetWall } from '../../../stages/set-out/wall.js';
import type { Piece, Row } from '../laying/row.js';

/** How many vents a run takes so that none is further from the next than asked, and where their middles want to be. */
export function ventPlaces(length: number, every: number): number[] {
  const count = Math.max(1, Math.ceil(length / every - 1e-9));
  return Array.from({ length: count }, (_, i) => ((i + 0.5) * length) / count);
}

/** Units that may give way to a vent: whole ones, and none that stands at a corner or a jamb. */
const givesWay = (wall: SetWall, p: Piece): boolean =>
  p.kind === 'stretcher' &&
  p.fitting === undefined &&
  p.band === null &&
  p.cutFrom === null &&
  Math.abs(p.to - p.from - wall.unitLength) < 1;

/** A row with vents in the whole units nearest where they are wanted; places with no such unit near are left. */
export function ventedRow(
  wall: SetWall,
  run: number,
  row: Row,
  vents: SetVents,
): { row: Row; missed: number[] } {
  const places = ventPlaces(wall.runs[run]?.length ?? 0, vents.every);
  const taken = new Set<Piece>();
  const missed: number[] = [];
  const most = 2 * (wall.unitLength + wall.head) + SAME_PLACE;
  const middle = (p: Piece | undefined): number => (p ? (p.from + p.to) / 2 : Infinity);
  const whole = row.pieces.filter((p) => givesWay(wall, p)).sort((a, b) => middle(a) - middle(b));
  let first = 0;
  for (const at of places) {
    while (middle(whole[first]) < at - most) first++;
    let near: Piece | null = null;
    for (let k = first; middle(whole[k]) <= at + most; k++) {
      const p = whole[k];
      if (p && !taken.has(p) && (near === null || Math.abs(middle(p) - at) < Math.abs(middle(near) - at)))
        near = p;
    }
    if (near) taken.add(near);
    else missed.push(at);
  }
  return {
    row: { ...row, pieces: row.pieces.map((p) => (taken.has(p) ? { ...p, fitting: vents.what } : p)) },
    missed,
  };
}
