import { begun, type Begun } from '../walling/units/laying/begin.js';
import type { BondedRun } from '../walling/units/laying/bond.js';
import { bondIssues } from '../walling/units/judging/issues.js';
import { carried, carryingLeaf, leafOnFace, type Leaf } from '../walling/units/leaves/leaf.js';
import { leavesOf } from '../walling/units/leaves/leavesOf.js';
import { cavityIssues } from '../stages/cavity/issues.js';
import { fillOf, type RunFill } from '../stages/grout/fill.js';
import { retainIssues } from '../stages/retain/issues.js';
import { groutIssues } from '../stages/grout/issues.js';
import { poursOf, type Pour } from '../stages/grout/pours.js';
import { steelCost } from '../stages/steel/cost.js';
import { carriesIssue } from '../stages/steel/carriesIssue.js';
import { steelIssues } from '../stages/steel/issues.js';
import { steelOf, type SteelWork } from '../stages/steel/steel.js';
import { movementIssues } from '../stages/movement/issues.js';
import { gaugeIssues } from '../stages/gauge/issues.js';
import { featureIssues } from '../walling/units/judging/featureIssues.js';
import { outlineIssues } from '../walling/units/judging/outlineIssues.js';
import { solveGauge, type GaugeSolution } from '../stages/gauge/solve.js';
import type { JobDocument } from '../job/types.js';
import { groundIssues } from '../stages/ground/issues.js';
import { teeIssues } from '../walling/units/judging/teeIssues.js';
import { siteLevels, type SiteLevels } from '../stages/set-out/site.js';
import { surveyOf, type FirstLaid, type Survey } from '../stages/ground/survey.js';
import { setOutIssues } from '../stages/set-out/issues.js';
import { setOutWall, type SetWall } from '../stages/set-out/wall.js';
import type { Issue } from '../findings/issue.js';

export interface WallWork {
  wall: SetWall;
  gauge: GaugeSolution;
  runs: BondedRun[];
  /** The wall laid in each way its file leaves open, what stands among them. */
  ways: Begun[];
  /** What it is made of, outside first: the face, and the wythe, the inner leaf or the backs of piers behind it. */
  leaves: Leaf[];
  steel: SteelWork;
  fills: RunFill[];
  pours: Pour[];
  survey: Survey;
  site: SiteLevels;
}

/** The units of a run that stand on its footing: course one, and the first course over each step. */
function firstLaid(
  wall: SetWall,
  gauge: GaugeSolution,
  runs: readonly BondedRun[],
  run: number,
): FirstLaid[] {
  const rows = runs.find((r) => r.index === run)?.rows;
  const on = (up: number, from: number, to: number): FirstLaid[] =>
    (rows?.[up]?.pieces ?? [])
      .filter((p) => p.from >= from - 1 && p.to <= to + 1)
      .map((p) => ({ from: p.from, to: p.to, rise: up === 0 ? 0 : (gauge.courses[up - 1]?.top ?? 0) }));
  const steps = wall.steps.filter((s) => s.run === run);
  return [...on(0, -Infinity, Infinity), ...steps.flatMap((s) => on(s.up, s.from, s.to))].sort(
    (a, b) => a.from - b.from,
  );
}

/** The wall as its face is laid: a beam's courses are of trough units in the leaf that carries it, not in this one. */
const asFace = (wall: SetWall): SetWall => (wall.carries === 'inner' ? { ...wall, steel: null } : wall);

/**
 * Set out, gauge, bond, steel and grout of one wall, without what it says about itself. `before`: the wall as it was
 * worked out before an edit, to leave alone what the edit did not touch. What comes out is the same without it.
 */
export function workWall(job: JobDocument, index: number, before: WallWork | null = null): WallWork {
  const stated = setOutWall(job, index);
  const gauge = solveGauge(stated);
  const steelIn = (leaf: Pick<Leaf, 'wall' | 'gauge' | 'runs'>): SteelWork => {
    const was = before && carried(before);
    return steelOf(
      leaf.wall,
      leaf.runs,
      leaf.gauge.courses,
      leaf.gauge.count,
      was && {
        wall: was.wall,
        runs: was.runs,
        courses: was.gauge.courses,
        cells: was.steel.cells,
        verticals: was.steel.verticals,
        beams: was.steel.beams,
      },
    );
  };
  const steels = new Map<Begun, SteelWork>();
  // Bars that cannot go up cost a beginning as much as they cost a mason: where this leaf has them.
  const barred = stated.steel?.vertical && stated.unit.shells !== null && stated.carries === 'outer';
  const { chosen, ways } = begun(
    asFace(stated),
    gauge.courses,
    gauge.count,
    barred
      ? (way) => {
          const found = steelIn({ ...way, gauge });
          steels.set(way, found);
          return steelCost(way.wall, found).total;
        }
      : undefined,
    before && { courses: before.gauge.courses, level: before.gauge.count, ways: before.ways },
  );
  const { start, corners } = chosen.wall;
  const wall = { ...stated, start, corners };
  const { runs } = chosen;
  const leaves = leavesOf(job, { wall, gauge, runs }, before?.leaves);
  const carrying = leafOnFace(carryingLeaf({ leaves }), { wall, leaves });
  const steel = steels.get(chosen) ?? steelIn(carrying);
  const fills = fillOf(
    carrying.wall,
    carrying.runs,
    carrying.gauge.courses,
    steel,
    before && carried(before),
  );
  return {
    wall,
    gauge,
    runs,
    ways,
    leaves,
    steel,
    fills,
    pours: poursOf(carrying.wall, carrying.gauge.courses, carrying.gauge.count, steel, fills),
    survey: surveyOf(job, wall, (run) => firstLaid(wall, gauge, runs, run)),
    site: siteLevels(job, wall.unitHeight + wall.bed),
  };
}

const ORDER = { fault: 0, choice: 1, note: 2 } as const;

export function issuesOf(job: JobDocument, work: WallWork): Issue[] {
  const inside = carried(work);
  return [
    ...setOutIssues(work.wall),
    ...groundIssues(job, work),
    ...teeIssues(job, work.wall, work.gauge),
    ...gaugeIssues(work.wall, work.gauge),
    ...bondIssues(work),
    ...featureIssues(work.wall, work.gauge, work.runs),
    ...outlineIssues(work.wall, work.gauge, work.runs),
    ...movementIssues(work.wall, work.runs),
    ...carriesIssue(job, work),
    ...steelIssues(inside),
    ...groutIssues(inside),
    ...retainIssues(work),
    ...cavityIssues(work),
  ].sort((a, b) => ORDER[a.severity] - ORDER[b.severity]);
}
