import type { Mm } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';

/** How a leaf behind the face lies to it: where its run begins on the face, and how much shorter it is than the face, round a curve. */
export interface Behind {
  inset: Mm;
  /** Its own length for one of the face: 1 where the run is straight. */
  scale: number;
}

export const ON_THE_FACE: Behind = { inset: 0, scale: 1 };

/** A place of the leaf behind, as it is on the face: radially out from it round a curve. */
export const onFace = ({ inset, scale }: Behind, x: Mm): Mm => x / scale + inset;

/** A place on the face, as it is on the leaf behind. */
export const fromFace = ({ inset, scale }: Behind, x: Mm): Mm => (x - inset) * scale;

/**
 * The inner wythe of a wall whose wythes are only tied, as a wall of its own: every run shorter at an outside corner, longer
 * at an inside one, by one wythe and the collar joint (or `by`, a leaf and a cavity) at a square corner and as geometry has it
 * at others; curves on their own radius; its openings where they were.
 */
export function innerWythe(
  wall: SetWall,
  by: number = wall.unitWidth + wall.head,
): { wall: SetWall; behind: Behind[] } {
  const starts = wall.runs.map(() => 0);
  const ends = wall.runs.map(() => 0);
  for (const { from, to, turn } of wall.line.corners) {
    const off = by * Math.tan((turn * Math.PI) / 360);
    [ends[from], starts[to]] = [off, off];
  }
  const behind = wall.runs.map(({ radius }, i): Behind => ({
    inset: starts[i] as number,
    scale: radius === null ? 1 : (radius - by) / radius,
  }));
  const movedIn = <T extends { run: number; from: number; to: number }>(o: T): T => {
    const at = behind[o.run] ?? ON_THE_FACE;
    return { ...o, from: fromFace(at, o.from), to: fromFace(at, o.to) };
  };
  return {
    behind,
    wall: {
      ...wall,
      wythes: 1,
      sheltered: true,
      thickness: wall.unitWidth,
      runs: wall.runs.map((r, i) => ({
        ...r,
        length: (r.length - (starts[i] as number) - (ends[i] as number)) * (behind[i] as Behind).scale,
        radius: r.radius === null ? null : r.radius - by,
      })),
      openings: wall.openings.map(movedIn),
      // What the mason changed, let in or built on was said of the face.
      changes: [],
      vents: [],
      piers: [],
      // A wall bonded in goes through every leaf it comes to.
      branches: wall.branches.map(movedIn),
      joints: wall.joints.map(movedIn),
      steps: wall.steps.map(movedIn),
      tops: wall.tops.map((t) => ({
        ...movedIn(t),
        segments: t.segments.map((s) => movedIn({ ...s, run: t.run })),
      })),
    },
  };
}
