import { exactSolver, type ExactSolver } from '../test/exactSolver.js';
import { costOf, type Rules } from '../test/outside/measure.js';
import { programme, type Bonding, type Steps } from '../test/outside/model.js';
import { Chance } from '../test/outside/random.js';
import { plannedJson } from '../test/outside/run.js';

/**
 * The plan of a straight wall with a window in it against the cheapest bond there is, by HiGHS over a model of its own
 * (`outside/model.ts`): what lies under and over the window and what stands beside it, all at once. With cuts in the
 * panel the rules are decision 0011's: perps plumb throughout, whole units and halves against the reveals. With cuts at
 * the jamb a perp beside the window may leave its line for its price.
 */

let solver: ExactSolver;
beforeAll(async () => {
  solver = await exactSolver();
});

const LONG = process.env.LONG === '1';
const HEAD = 0.375 * 25.4;

interface Family {
  unit: string;
  profile: string;
  grid: number;
  pitch: number;
  steps: Steps;
  rules: Rules;
}

const BRICK: Family = {
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  grid: 37.5,
  pitch: 75,
  steps: { whole: 6, half: 3, shown: 3, thinnest: 1, least: 3, near: 2, halfBought: false },
  rules: { joint: 10, least: 6, most: 15, leastPiece: 102.5, leastLap: 40 },
};
const BLOCK: Family = {
  unit: 'block-440x215x215',
  profile: 'uk',
  grid: 75,
  pitch: 225,
  steps: { whole: 6, half: 3, shown: 3, thinnest: 1, least: 2, near: 2, halfBought: false },
  rules: { joint: 10, least: 6, most: 15, leastPiece: 100, leastLap: 86 },
};
const CMU: Family = {
  unit: 'cmu-8x8x16',
  profile: 'us',
  grid: 50.8,
  pitch: 203.2,
  steps: { whole: 8, half: 4, shown: 4, thinnest: 1, least: 3, near: 2, halfBought: true },
  rules: { joint: HEAD, least: HEAD / 3, most: 2 * HEAD, leastPiece: 101.6, leastLap: 99.2 },
};

interface Case {
  name: string;
  document: unknown;
  model: Bonding;
}

/** A wall with a window somewhere in it, standing free or one of four round a yard. */
function someCase(
  { unit, profile, grid, pitch, steps, rules }: Family,
  cuts: 'panel' | 'jamb',
  seed: number,
): Case {
  const c = new Chance(seed);
  const { whole } = steps;
  const [left, right] = [c.int(1.5 * whole, 3 * whole), c.int(1.5 * whole, 3 * whole)];
  const wide = c.int(2 * whole, 5 * whole);
  const [under, beside, over] = [c.int(2, 4), c.int(3, 8), c.int(1, 3)];
  const courses = under + beside + over;
  const corners = c.odds(0.3);
  const length = (left + wide + right) * grid - rules.joint;
  const other = 9 * whole * grid - rules.joint;
  const line = corners
    ? [
        { run: length },
        { turn: 90 },
        { run: other },
        { turn: 90 },
        { run: length },
        { turn: 90 },
        { run: other },
      ]
    : [{ run: length }];
  const window = {
    id: 'o',
    run: 0,
    at: left * grid - rules.joint,
    width: wide * grid + rules.joint,
    sill: under * pitch,
    head: (under + beside) * pitch,
  };
  const build = {
    kind: 'units',
    unit,
    bond: 'half',
    start: 'whole',
    cuts,
    ...(corners ? { corners: 'in-turn' } : {}),
  };
  return {
    name: `${left} + ${wide} + ${right} steps, ${under} courses under, ${beside} beside, ${corners ? 'between corners' : 'free'}`,
    document: {
      format: 'even-tally/job',
      version: 1,
      name: 'exact',
      show: 'mm',
      profile,
      walls: [
        { id: 'a', name: 'A', lengths: 'actual', line, height: courses * pitch, openings: [window], build },
      ],
    },
    model: {
      unit: steps,
      length: left + wide + right,
      ends: corners
        ? { odd: ['return', 'own'], even: ['own', 'return'] }
        : { odd: ['free', 'free'], even: ['free', 'free'] },
      courses,
      opening: { from: left, to: left + wide, under, beside },
      soundReveals: cuts === 'panel',
      plumb: cuts === 'panel',
    },
  };
}

const HOW_MANY = LONG ? 60 : 10;
/** One size of cut more or less is what the search may miss. */
const ONE_SIZE = 2;

/**
 * Nine windows in ten are to be within a hundredth, and none a quarter over. What is missed: with cuts in the panel, a
 * reveal that would be sound with both courses on halves, and a run's own leftover that came to stand at a reveal; at the
 * jamb, what only all four courses searched at once would find. Far below nought the plan has given up sound reveals
 * that would cost short laps (decision 0018): what is compared there is not the same bond.
 */
const WITHIN = 0.9;
const WORST = 1 / 4;

const CASES: [string, Family, 'panel' | 'jamb'][] = [
  ['brick, cuts in the panel', BRICK, 'panel'],
  ['block, cuts in the panel', BLOCK, 'panel'],
  ['8 in block, cuts in the panel', CMU, 'panel'],
  ['brick, cuts at the jamb', BRICK, 'jamb'],
  ['block, cuts at the jamb', BLOCK, 'jamb'],
];

test.each(CASES)(
  '%s: what a window costs is what it must (HiGHS)',
  (_name, family, cuts) => {
    const found: { name: string; over: number; near: boolean }[] = [];
    for (let k = 0; found.length < HOW_MANY && k < 2 * HOW_MANY; k++) {
      const one = someCase(family, cuts, 1000 + k);
      const planned = plannedJson(one.document)?.walls[0];
      if (!planned) throw new Error('not let in');
      const cost = costOf(planned, family.rules);
      const solved = solver.solve(programme(one.model), { time_limit: 30 });
      // What is not solved in time proves nothing.
      if (solved.Status !== 'Optimal') continue;
      const best = solved.ObjectiveValue;
      const near = cost <= 1.01 * best + ONE_SIZE + 1e-6;
      found.push({
        name: `${one.name}: ${cost.toFixed(1)} against ${best.toFixed(1)}`,
        over: best > 0 ? cost / best - 1 : Number(cost > 0),
        near,
      });
    }
    found.sort((a, b) => b.over - a.over);
    const even = found.filter((f) => f.over <= 1e-6).length;
    // The distribution is the point of the test: it is read in the run's output.
    // eslint-disable-next-line no-console
    console.log(
      [
        `${found.length} windows: ${even} as cheap as the best or cheaper; the worst`,
        ...found.slice(0, 10).map((w) => `  ${(100 * w.over).toFixed(2)} %  ${w.name}`),
      ].join('\n'),
    );
    expect(found.length).toBeGreaterThanOrEqual(0.7 * HOW_MANY);
    expect(found.filter((f) => f.near).length).toBeGreaterThanOrEqual(WITHIN * found.length);
    expect(found.every((f) => f.near || f.over <= WORST)).toBe(true);
  },
  1_800_000,
);
