import type { Mm } from '../../measure/length.js';
/** What is to stand on the plinth, and what it must be kept clear of. mm. */
export interface Structure {
  length: Mm;
  width: Mm;
  /** Plinth past the structure on every side. */
  past: Mm;
  /** Clear ground to be kept between the structure and the neighbour, at its narrowest. */
  clear: Mm;
  /** How far the neighbour leans over the gap at the height of the structure: what it takes out of it. */
  lean: number;
}

export interface BasePlan {
  /** Outside of the plinth as the units make it, never less than wanted. */
  length: Mm;
  width: Mm;
  /** Whole and half units along each side, perps between them alike. */
  along: { modules: number; joint: number };
  across: { modules: number; joint: number };
  /** Footing outline, past the plinth all round. */
  footing: { length: number; width: number };
  /** Corner to corner of the plinth and of the footing. */
  diagonal: number;
  footingDiagonal: number;
  /** From the neighbour's foot to the near face of the plinth, so that the gap is kept where it is narrowest. */
  fromNeighbour: number;
}

interface Units {
  length: Mm;
  joint: Mm;
  /** Least and most a perp may be. */
  least: Mm;
  most: Mm;
}

/**
 * A side of a closed plinth in half modules: its corners take one joint fewer than its units, so a side of n units is
 * n modules less a joint. The smallest that is not less than wanted, joints tightened before a half unit is added.
 */
function sideOf(wanted: number, unit: Units): { length: number; modules: number; joint: number } {
  const half = (unit.length + unit.joint) / 2;
  const fewest = Math.max(2, Math.ceil((wanted + unit.joint) / half - 1e-9));
  // One half unit fewer will do where opened perps reach.
  const tight = fewest - 1;
  const perps = Math.max(1, Math.ceil(tight / 2) - 1);
  const opened = unit.joint + (wanted - (tight * half - unit.joint)) / perps;
  if (tight >= 2 && opened <= unit.most + 1e-9) return { length: wanted, modules: tight / 2, joint: opened };
  return { length: fewest * half - unit.joint, modules: fewest / 2, joint: unit.joint };
}

/** A plinth for a structure, from its outside size and the clearances it must keep. Common practice. */
export function basePlan(s: Structure, unit: Units, projection: number): BasePlan {
  const along = sideOf(s.length + 2 * s.past, unit);
  const across = sideOf(s.width + 2 * s.past, unit);
  const footing = { length: along.length + 2 * projection, width: across.length + 2 * projection };
  return {
    length: along.length,
    width: across.length,
    along: { modules: along.modules, joint: along.joint },
    across: { modules: across.modules, joint: across.joint },
    footing,
    diagonal: Math.hypot(along.length, across.length),
    footingDiagonal: Math.hypot(footing.length, footing.width),
    // The structure stands `past` in from the plinth's face, as far as the units make it larger, half on each side.
    fromNeighbour: s.clear + Math.max(0, s.lean) - s.past - (across.length - s.width - 2 * s.past) / 2,
  };
}
