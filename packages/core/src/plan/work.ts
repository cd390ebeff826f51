import { begun, type Begun } from '../walling/units/laying/begin.js';
import type { BondedRun } from '../walling/units/laying/bond.js';
import { bondIssues } from '../walling/units/judging/issues.js';
import { carried, carrierOf, type Carrier } from '../cavity/carrier.js';
import { innerLeaf, type InnerLeaf } from '../cavity/inner.js';
import { cavityIssues } from '../cavity/issues.js';
import { fillOf, type RunFill } from '../grout/fill.js';
import { retainIssues } from '../retain/issues.js';
import { groutIssues } from '../grout/issues.js';
import { poursOf, type Pour } from '../grout/pours.js';
import { steelCost } from '../steel/cost.js';
import { steelIssues } from '../steel/issues.js';
import { steelOf, type SteelWork } from '../steel/steel.js';
import { movementIssues } from '../movement/issues.js';
import { gaugeIssues } from '../gauge/issues.js';
import { featureIssues } from '../walling/units/judging/featureIssues.js';
import { outlineIssues } from '../walling/units/judging/outlineIssues.js';
import { solveGauge, type GaugeSolution } from '../gauge/solve.js';
import type { JobDocument } from '../job/types.js';
import { groundIssues } from '../setout/groundIssues.js';
import { teeIssues } from '../walling/units/judging/teeIssues.js';
import { siteLevels, type SiteLevels } from '../setout/site.js';
import { surveyOf, type FirstLaid, type Survey } from '../setout/survey.js';
import { setOutIssues } from '../setout/issues.js';
import { setOutWall, type SetWall } from '../setout/wall.js';
import type { Issue } from '../findings/issue.js';

export interface WallWork {
  wall: SetWall;
  gauge: GaugeSolution;
  runs: BondedRun[];
  /** The wall laid in each way its file leaves open, what stands among them. */
  ways: Begun[];
  /** The leaf behind the cavity, where there is one. */
  inner: InnerLeaf | null;
  /** The leaf that bars and grout are in. */
  carrier: Carrier;
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
const faceOf = (wall: SetWall, inner: InnerLeaf | null): SetWall =>
  inner?.carries ? { ...wall, steel: null } : wall;

/**
 * Set out, gauge, bond, steel and grout of one wall, without what it says about itself. `before`: the wall as it was
 * worked out before an edit, to leave alone what the edit did not touch. What comes out is the same without it.
 */
export function workWall(job: JobDocument, index: number, before: WallWork | null = null): WallWork {
  const stated = setOutWall(job, index);
  const gauge = solveGauge(stated);
  const inner = innerLeaf(job, stated);
  const steelIn = (carrier: Carrier, was: WallWork | null): SteelWork =>
    steelOf(
      carrier.wall,
      carrier.runs,
      carrier.gauge.courses,
      carrier.gauge.count,
      was && {
        wall: was.carrier.wall,
        runs: was.carrier.runs,
        courses: was.carrier.gauge.courses,
        cells: was.steel.cells,
        verticals: was.steel.verticals,
        beams: was.steel.beams,
      },
    );
  const steels = new Map<Begun, SteelWork>();
  // Bars that cannot go up cost a beginning as much as they cost a mason: where this leaf has them.
  const barred = stated.steel?.vertical && stated.unit.shells !== null && !inner?.carries;
  const { chosen, ways } = begun(
    faceOf(stated, inner),
    gauge.courses,
    gauge.count,
    barred
      ? (way) => {
          const carrier = carrierOf(way.wall, gauge, way.runs, inner);
          const found = steelIn(carrier, before);
          steels.set(way, found);
          return steelCost(carrier.wall, found).total;
        }
      : undefined,
    before && { courses: before.gauge.courses, level: before.gauge.count, ways: before.ways },
  );
  const { start, corners } = chosen.wall;
  const wall = { ...stated, start, corners };
  const { runs } = chosen;
  const carrier = carrierOf(wall, gauge, runs, inner);
  const { courses, count } = carrier.gauge;
  const steel = steels.get(chosen) ?? steelIn(carrier, before);
  const fills = fillOf(carrier.wall, carrier.runs, courses, steel, before && carried(before));
  return {
    wall,
    gauge,
    runs,
    ways,
    inner,
    carrier,
    steel,
    fills,
    pours: poursOf(carrier.wall, courses, count, steel, fills),
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
    ...bondIssues(work.wall, work.runs, work.inner),
    ...featureIssues(work.wall, work.gauge, work.runs),
    ...outlineIssues(work.wall, work.gauge, work.runs),
    ...movementIssues(work.wall, work.runs),
    ...steelIssues(inside),
    ...groutIssues(inside),
    ...retainIssues(work),
    ...cavityIssues(work),
  ].sort((a, b) => ORDER[a.severity] - ORDER[b.severity]);
}
