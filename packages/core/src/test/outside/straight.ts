import type { Rules } from './measure.js';
import type { Bonding, Steps } from './model.js';

/** Straight walls on a grid, as a job file and as the programme's model of it, side by side. */

const INCH = 25.4;

/** A unit of the library on a grid: the sizes the model lays, and what the rules of its profile come to. Lengths mm. */
export interface Family {
  unit: string;
  profile: string;
  grid: number;
  /** Height of a course. */
  pitch: number;
  steps: Steps;
  rules: Rules;
}

/** A brick by sixths of its length and joint, or by eighteenths. */
export const brick = (parts: 6 | 18): Family => ({
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  grid: 225 / parts,
  pitch: 75,
  steps: {
    whole: parts,
    half: parts / 2,
    shown: parts / 2,
    // 25 mm and its joint.
    thinnest: parts === 6 ? 1 : 3,
    least: parts / 2,
    // A perp within 40 mm laps too little.
    near: parts === 6 ? 2 : 4,
    halfBought: false,
  },
  rules: { joint: 10, least: 6, most: 15, leastPiece: 102.5, leastLap: 40 },
});

export const block = (parts: 6 | 18): Family => ({
  unit: 'block-440x215x215',
  profile: 'uk',
  grid: 450 / parts,
  pitch: 225,
  steps: {
    whole: parts,
    half: parts / 2,
    shown: parts / 2,
    thinnest: parts === 6 ? 1 : 2,
    least: parts === 6 ? 2 : 5,
    near: parts === 6 ? 2 : 4,
    halfBought: false,
  },
  rules: { joint: 10, least: 6, most: 15, leastPiece: 100, leastLap: 86 },
});

export const cmu = (parts: 8 | 16): Family => ({
  unit: 'cmu-8x8x16',
  profile: 'us',
  grid: (16 * INCH) / parts,
  pitch: 8 * INCH,
  steps: {
    whole: parts,
    half: parts / 2,
    shown: parts / 2,
    thinnest: parts === 8 ? 1 : 2,
    least: parts === 8 ? 3 : 5,
    near: parts === 8 ? 2 : 4,
    halfBought: true,
  },
  rules: {
    joint: 0.375 * INCH,
    least: 0.125 * INCH,
    most: 0.75 * INCH,
    leastPiece: 3.625 * INCH,
    leastLap: (15.625 / 4) * INCH,
  },
});

export const ADOBE: Family = {
  unit: 'adobe-10x14x4',
  profile: 'earth',
  grid: INCH,
  pitch: 5 * INCH,
  // A half is 7½ steps, so it is not on the grid: what is on it must still not be cheaper.
  steps: { whole: 15, half: 7.5, shown: 11, thinnest: 2, least: 8, near: 4, halfBought: false },
  rules: { joint: INCH, least: 0.5 * INCH, most: INCH, leastPiece: 6.5 * INCH, leastLap: 4 * INCH },
};

/** An opening in steps along the wall and courses up it. */
export interface GridOpening {
  from: number;
  to: number;
  under: number;
  beside: number;
}

export interface StraightWall {
  steps: number;
  courses: number;
  /** One of four round a yard, in turn, or standing free. */
  corners: boolean;
  cuts?: 'panel' | 'jamb';
  openings?: readonly GridOpening[];
}

/** The job and the model of one straight wall. */
export function straightWall(
  family: Family,
  { steps, courses, corners, cuts, openings = [] }: StraightWall,
): { document: unknown; model: Bonding } {
  const { grid, pitch, rules } = family;
  const length = steps * grid - rules.joint;
  const other = 9 * family.steps.whole * grid - rules.joint;
  const sides = corners ? [length, other, length, other] : [length];
  const line = sides.flatMap((run, i) => (i === 0 ? [{ run }] : [{ turn: 90 }, { run }]));
  const build = {
    kind: 'units',
    unit: family.unit,
    bond: 'half',
    start: 'whole',
    ...(cuts ? { cuts } : {}),
    ...(corners ? { corners: 'in-turn' } : {}),
  };
  const holes = openings.map((o, i) => ({
    id: `o${i}`,
    run: 0,
    at: o.from * grid - rules.joint,
    width: (o.to - o.from) * grid + rules.joint,
    sill: o.under * pitch,
    head: (o.under + o.beside) * pitch,
  }));
  return {
    document: {
      format: 'even-tally/job',
      version: 1,
      name: 'exact',
      show: 'mm',
      profile: family.profile,
      walls: [
        {
          id: 'a',
          name: 'A',
          lengths: 'actual',
          line,
          height: courses * pitch,
          ...(holes.length > 0 ? { openings: holes } : {}),
          build,
        },
      ],
    },
    model: {
      unit: family.steps,
      length: steps,
      ends: corners
        ? { odd: ['return', 'own'], even: ['own', 'return'] }
        : { odd: ['free', 'free'], even: ['free', 'free'] },
      courses,
      openings,
      soundReveals: cuts === 'panel',
      plumb: cuts === 'panel',
    },
  };
}

/** What was found, against the best there is. */
export interface Compared {
  name: string;
  cost: number;
  best: number;
}

/** Over the best by this part. */
export const over = ({ cost, best }: Compared): number => (best > 0 ? cost / best - 1 : Number(cost > 1e-6));

/** How the costs found lie about the best there are, the worst ten by name. */
export function distribution(what: string, found: readonly Compared[]): string {
  const worst = [...found].sort((a, b) => over(b) - over(a)).slice(0, 10);
  const even = found.filter((f) => over(f) <= 1e-6).length;
  return [
    `${found.length} ${what}: ${even} as cheap as the best or cheaper; the worst`,
    ...worst.map(
      (w) =>
        `  ${(100 * over(w)).toFixed(2)} %  ${w.name}: ${w.cost.toFixed(1)} against ${w.best.toFixed(1)}`,
    ),
  ].join('\n');
}
