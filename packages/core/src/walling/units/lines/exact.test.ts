import { exactSolver, type ExactSolver } from '../../../test/exactSolver.js';
import { costOf } from '../../../test/outside/measure.js';
import { programme } from '../../../test/outside/model.js';
import { plannedJson } from '../../../test/outside/run.js';
import {
  ADOBE,
  block,
  brick,
  cmu,
  distribution,
  straightWall,
  type Compared,
  type Family,
} from '../../../test/outside/straight.js';

/**
 * The plan of a straight wall against the cheapest bond there is, by HiGHS over a model of its own (`outside/model.ts`):
 * any sizes anywhere, course upon course, costs by the contract's table. Lengths lie on a grid, so that joints keep their
 * target in the model; the plan may ease them too, and may so cost less.
 */

let solver: ExactSolver;
beforeAll(async () => {
  solver = await exactSolver();
});

const LONG = process.env.LONG === '1';

/** Lengths in steps: a whole period, from one that divides to the next. */
interface Lengths {
  family: Family;
  from: number;
  to: number;
}

const BRICK: Lengths = { family: brick(18), from: 63, to: 80 };
const BLOCK: Lengths = { family: block(18), from: 58, to: 75 };
const CMU: Lengths = { family: cmu(16), from: 50, to: 65 };
const EARTH: Lengths = { family: ADOBE, from: 62, to: 76 };

const COURSES = 10;

/** Every third length in a plain run, every one with --long. */
const STEP = LONG ? 1 : 5;
const CASES: [string, Lengths, boolean][] = [
  ['brick, free ends', BRICK, false],
  ['brick between corners', BRICK, true],
  ['block, free ends', BLOCK, false],
  ['block between corners', BLOCK, true],
  ['8 in block, free ends', CMU, false],
  ['adobe, free ends', EARTH, false],
];

test.each(CASES)(
  '%s: no bond costs a hundredth less than the plan’s (HiGHS)',
  (name, { family, from, to }, corners) => {
    const found: Compared[] = [];
    for (let steps = from; steps <= to; steps += STEP) {
      const { document, model } = straightWall(family, { steps, courses: COURSES, corners });
      const planned = plannedJson(document)?.walls[0];
      if (!planned) throw new Error('not let in');
      const cost = costOf(planned, family.rules);
      // Nothing sawn, nothing short: no bond can cost less.
      if (cost < 1e-6) continue;
      const solved = solver.solve(programme(model), { time_limit: 60 });
      expect(solved.Status).toBe('Optimal');
      found.push({ name: `${steps} steps`, cost, best: solved.ObjectiveValue });
    }
    // The distribution is the point of the test: it is read in the run's output.
    // eslint-disable-next-line no-console
    console.log(distribution(name, found));
    expect(found.length).toBeGreaterThan(2);
    expect(found.filter((f) => f.cost > 1.01 * f.best + 1e-6)).toEqual([]);
  },
  900_000,
);

test('the model does find a bond where the plan has one, and none for less than the best', () => {
  const one = straightWall(brick(18), { steps: 69, courses: COURSES, corners: false });
  const best = solver.solve(programme(one.model)).ObjectiveValue;
  expect(solver.solve(programme(one.model, best - 1)).Status).toBe('Infeasible');
  expect(solver.solve(programme(one.model, best + 1e-3)).Status).toBe('Optimal');
});
