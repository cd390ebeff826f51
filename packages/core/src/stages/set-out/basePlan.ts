import type { Mm } from '../../measure/length.js';
/** What is to stand on the plinth, and what it must be kept clear of. mm. */
export interface Structure {
  length: Mm;
  width: Mm;
  /** Its own height, and the plinth's it stands on. */
  height: Mm;
  plinth: Mm;
  /** Plinth past the structure on every side. */
  past: Mm;
  /** Clear to be kept between the neighbour and everything of this: footing, plinth and structure, at its narrowest. */
  clear: Mm;
  /** What the neighbour leans into the gap, mm to a metre of height; negative away from it. */
  lean: number;
  /** Which side of the plinth faces the neighbour. */
  side: 'long' | 'short';
  /** From the neighbour's foot to what stands on the far side, and the clear to be kept there; null where nothing does. */
  room: Mm | null;
  farClear: Mm;
}

/** To begin with, until somebody says: invented. */
export const FIRST_STRUCTURE: Structure = {
  length: 2400,
  width: 1800,
  height: 2100,
  plinth: 150,
  past: 50,
  clear: 600,
  lean: 0,
  side: 'long',
  room: null,
  farClear: 0,
};

/** What of it comes nearest to what it must be kept clear of. */
export type Binds = 'footing' | 'plinth' | 'structure';

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
  /** From the neighbour's foot to the near face of the plinth, so that the gap is kept where it is narrowest, and what decides it. */
  fromNeighbour: number;
  binds: Binds;
  /** The neighbour's lean where that is decided, mm. */
  leans: Mm;
  /** Where both sides cannot be kept: the clear left on the far side with the near one kept, mm; null where they can. */
  farLeft: Mm | null;
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

/** How far the neighbour stands into the gap between two heights over its foot, at its furthest: below ground it is plumb. */
const leansIn = (lean: number, from: Mm, to: Mm): Mm =>
  (lean * (lean > 0 ? Math.max(0, to) : Math.max(0, from))) / 1000;

/** A plinth for a structure, from its outside size and the clearances it must keep. Common practice. */
export function basePlan(s: Structure, unit: Units, projection: number): BasePlan {
  const along = sideOf(s.length + 2 * s.past, unit);
  const across = sideOf(s.width + 2 * s.past, unit);
  const footing = { length: along.length + 2 * projection, width: across.length + 2 * projection };
  const deep = s.side === 'long' ? across.length : along.length;
  // The structure stands `past` in from the plinth's face, and half of what the units make it larger.
  const stands = (deep - (s.side === 'long' ? s.width : s.length)) / 2;
  const near: { binds: Binds; leans: Mm; out: Mm }[] = [
    { binds: 'footing', leans: 0, out: projection },
    { binds: 'plinth', leans: leansIn(s.lean, 0, s.plinth), out: 0 },
    { binds: 'structure', leans: leansIn(s.lean, s.plinth, s.plinth + s.height), out: -stands },
  ];
  const first = near.reduce((a, b) => (b.leans + b.out > a.leans + a.out ? b : a));
  const fromNeighbour = s.clear + first.leans + first.out;
  const farLeft = s.room === null ? null : s.room - fromNeighbour - deep - Math.max(projection, -stands);
  return {
    length: along.length,
    width: across.length,
    along: { modules: along.modules, joint: along.joint },
    across: { modules: across.modules, joint: across.joint },
    footing,
    diagonal: Math.hypot(along.length, across.length),
    footingDiagonal: Math.hypot(footing.length, footing.width),
    fromNeighbour,
    binds: first.binds,
    leans: first.leans,
    farLeft: farLeft !== null && farLeft < s.farClear - 0.5 ? farLeft : null,
  };
}
