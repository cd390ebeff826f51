/**
 * What the outside checker knows of the trade: sizes read from a unit's id, joints and limits by profile, all from the
 * contract's tables. Nothing here is taken from the code under test.
 */

const INCH = 25.4;

/** A stated length in mm: a number, or feet and inches, inches, mm, cm or m. */
export function mm(stated: unknown): number {
  if (typeof stated === 'number') return stated;
  if (typeof stated !== 'string') return NaN;
  const metric = /^([\d.]+)\s*(mm|cm|m)$/.exec(stated.trim());
  if (metric) return Number(metric[1]) * { mm: 1, cm: 10, m: 1000 }[metric[2] as 'mm' | 'cm' | 'm'];
  const feet = /^(?:(\d+(?:\.\d+)?)')?[-\s]*(?:(\d+(?:\.\d+)?)?(?:\s*(\d+)\/(\d+))?")?$/.exec(stated.trim());
  if (!feet) return NaN;
  const [, ft = '0', inch = '0', over = '0', under = '1'] = feet;
  return (Number(ft) * 12 + Number(inch) + Number(over) / Number(under)) * INCH;
}

export interface UnitFacts {
  length: number;
  height: number;
  width: number;
  family: 'block' | 'brick' | 'adobe';
  /** Shell and web of a two-core unit, null when solid. */
  cores: { shell: number; web: number; cells: number } | null;
  halfBought: boolean;
}

/** Least face shells and webs by nominal width, inches (contract: figures-us section 8, geometry A). */
const CMU: Record<number, [number, number]> = {
  4: [0.75, 0.75],
  6: [1, 1],
  8: [1.25, 1],
  10: [1.25, 1.125],
  12: [1.25, 1.125],
};

export function unitFacts(id: string): UnitFacts {
  const numbers = (id.match(/[\d.]+/g) ?? []).map(Number);
  const [a = 0, b = 0, c = 0] = numbers;
  if (id.startsWith('cmu-')) {
    const [shell, web] = CMU[a] ?? [1.25, 1];
    const off = (n: number): number => (n - 3 / 8) * INCH;
    return {
      width: off(a),
      height: off(b),
      length: off(c),
      family: 'block',
      cores: { shell: shell * INCH, web: web * INCH, cells: 2 },
      halfBought: true,
    };
  }
  if (id.startsWith('block-'))
    return { length: a, height: b, width: c, family: 'block', cores: null, halfBought: false };
  if (id === 'brick-modular-us')
    return {
      length: 7.625 * INCH,
      height: 2.25 * INCH,
      width: 3.625 * INCH,
      family: 'brick',
      cores: null,
      halfBought: false,
    };
  if (id.startsWith('brick-'))
    return { length: a, width: b, height: c, family: 'brick', cores: null, halfBought: false };
  if (id.startsWith('adobe-'))
    return {
      width: a * INCH,
      length: b * INCH,
      height: c * INCH,
      family: 'adobe',
      cores: null,
      halfBought: false,
    };
  throw new Error(`no facts of ${id}`);
}

export interface ProfileFacts {
  joint: number;
  headLeast: number;
  headMost: number;
  nominal: boolean;
  /** Less the joint beside it, where lengths are nominal: a piece is then judged as it is said. */
  leastPiece: (u: UnitFacts, joint: number) => number;
  leastLap: (u: UnitFacts) => number;
  /** Bedded on the two face shells only. */
  faceShell: (u: UnitFacts) => boolean;
}

/** Profiles as the contract lists them. */
export const PROFILE_FACTS: Record<'us' | 'uk' | 'earth', ProfileFacts> = {
  us: {
    joint: 0.375 * INCH,
    headLeast: 0.125 * INCH,
    headMost: 0.75 * INCH,
    nominal: true,
    leastPiece: (u, joint) => (u.family === 'block' ? 4 * INCH - joint : (u.length - 0.375 * INCH) / 2),
    leastLap: (u) => u.length / 4,
    faceShell: (u) => u.cores !== null,
  },
  uk: {
    joint: 10,
    headLeast: 6,
    headMost: 15,
    nominal: false,
    leastPiece: (u) => (u.family === 'block' ? 100 : (u.length - 10) / 2),
    leastLap: (u) => Math.max(0.4 * u.height, 40),
    faceShell: () => false,
  },
  earth: {
    joint: INCH,
    headLeast: 0.5 * INCH,
    headMost: INCH,
    nominal: false,
    leastPiece: (u) => (u.length - INCH) / 2,
    leastLap: (u) => Math.max(u.length / 4, 4 * INCH),
    faceShell: () => false,
  },
};
