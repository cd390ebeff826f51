import type { Mm } from '../../../measure/length.js';
import type { GaugeSolution } from '../../../stages/gauge/solve.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { BondedRun } from '../laying/bond.js';
import { mapRows, rowOnFace, runOnFace } from '../laying/moved.js';
import type { Rows } from '../laying/row.js';
import { ON_THE_FACE, type Behind } from './behind.js';

/**
 * What holds a leaf to the one before it: units that go through both; ties, the joint between them filled; ties across
 * a cavity.
 */
export type HeldBy = 'bond' | 'tie' | 'cavity';

/** One of the thicknesses of units a wall is made of, laid. */
export interface Leaf {
  /** 0 the outside one. */
  index: number;
  /** From the wall's outside face to this leaf's, and through it, mm. */
  offset: Mm;
  thickness: Mm;
  heldBy: HeldBy | null;
  /** Bars and grout are in this one. */
  carries: boolean;
  /** The leaf as a wall of its own: its unit, its line, and what hangs on it in its own places. */
  wall: SetWall;
  gauge: GaugeSolution;
  /** In its own places; what is bonded to the face is in places of the face. */
  runs: BondedRun[];
  /** How each run lies behind the outside face. */
  behind: Behind[];
}

/** A wall with the leaves it is made of, outside first. */
export interface Leaved {
  wall: SetWall;
  leaves: readonly Leaf[];
}

/** How a run of a leaf lies behind the outside face. */
export const behindOf = (leaf: Leaf, run: number): Behind => leaf.behind[run] ?? ON_THE_FACE;

/** The leaf behind a cavity, where there is one. */
export const behindCavity = ({ leaves }: Pick<Leaved, 'leaves'>): Leaf | null =>
  leaves.find((l) => l.heldBy === 'cavity') ?? null;

/** The leaf bars and grout are in. */
export const carryingLeaf = ({ leaves }: Pick<Leaved, 'leaves'>): Leaf =>
  leaves.find((l) => l.carries) ?? (leaves[0] as Leaf);

/** The leaves bars could go up in: laid each for itself, of units with cells. */
export const couldCarry = ({ leaves }: Pick<Leaved, 'leaves'>): Leaf[] =>
  leaves.filter((l) => l.heldBy !== 'bond' && l.wall.unit.shells !== null);

/** Leaves laid of the same units as the outside one and with it: bought, and counted by the run, together. */
export const withTheFace = ({ leaves }: Pick<Leaved, 'leaves'>): Leaf[] =>
  leaves.filter((l) => l.heldBy !== 'cavity');

const seen = new WeakMap<BondedRun, { at: Behind; rows: Rows }>();

/** The rows of a run as they are seen from the outside face: places there, lengths as they look from there. */
export function rowsSeen(leaf: Leaf, run: BondedRun): Rows {
  const at = behindOf(leaf, run.index);
  if (at.inset === 0 && at.scale === 1) return run;
  const known = seen.get(run);
  if (known && known.at.inset === at.inset && known.at.scale === at.scale) return known.rows;
  const rows = mapRows(run.rows, (row) => rowOnFace(row, at));
  seen.set(run, { at, rows });
  return rows;
}

const measured = new WeakMap<BondedRun, { at: Behind; run: BondedRun }>();

function runMeasured(run: BondedRun, at: Behind): BondedRun {
  const known = measured.get(run);
  if (known && known.at.inset === at.inset && known.at.scale === at.scale) return known.run;
  const made = runOnFace(run, at);
  measured.set(run, { at, run: made });
  return made;
}

const onFaceOf = new WeakMap<Leaf, Pick<Leaf, 'wall' | 'gauge' | 'runs'>>();

/**
 * A leaf in places of the wall's outside face, each piece as long as it is: what bars, grout and holds read. What hangs on
 * the wall (openings, joints, footing) is as the outer leaf has it, so that one tape serves all leaves.
 */
export function leafOnFace(leaf: Leaf, { wall }: Leaved): Pick<Leaf, 'wall' | 'gauge' | 'runs'> {
  if (leaf.index === 0) return leaf;
  const known = onFaceOf.get(leaf);
  if (known) return known;
  const { openings, joints, steps, tops, footing, branches } = wall;
  const made = {
    wall: {
      ...leaf.wall,
      runs: wall.runs,
      openings: openings.map((o) => ({ ...o, soldiers: false })),
      joints,
      steps,
      tops,
      footing,
      branches,
    },
    gauge: leaf.gauge,
    runs: leaf.runs.map((run) => runMeasured(run, behindOf(leaf, run.index))),
  };
  onFaceOf.set(leaf, made);
  return made;
}

/** A wall's work as steel and grout see it: the leaf that carries them in place of the outer one. */
export const carried = <T extends Leaved & Pick<Leaf, 'gauge' | 'runs'>>(work: T): T => {
  const leaf = carryingLeaf(work);
  const { wall, gauge, runs } = leafOnFace(leaf, work);
  return wall === work.wall ? work : { ...work, wall, gauge, runs };
};
