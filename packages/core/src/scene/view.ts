import { isOldWork, type FilledHole } from '../stages/mending/holes.js';
import type { UnitFamily } from '../tables/units.js';
import { toMillimetres, type Length, type Mm } from '../measure/length.js';
import {
  CONCRETE_FACTOR,
  footingAmounts,
  type FootingAmounts,
  type Strip,
} from '../stages/set-out/footing.js';
import type { Spot } from '../stages/set-out/poured.js';
import type { SiteLevels } from '../stages/set-out/site.js';
import {
  lintelsPlaced,
  openingsUnderWall,
  wantedOver,
  type PlacedLintel,
} from '../stages/lintels/lintels.js';
import type { Survey } from '../stages/ground/survey.js';
import { leastJointFor, type Sampled } from '../stages/set-out/samples.js';
import type {
  SetChange,
  SetHeight,
  SetPier,
  SetPost,
  SetStep,
  SetTop,
  SetVents,
  SetWall,
} from '../stages/set-out/wall.js';
import type { CutsAt, Held, JobDocument, Locked } from '../job/types.js';
import type { BondId } from '../tables/bonds.js';
import { closersMatter } from '../walling/units/judging/ways.js';
import type { Show } from '../measure/format.js';
import { cornersTaken, runEnds } from '../walling/units/lines/ends.js';
import { narrowPiers, type NarrowPier } from '../walling/units/judging/narrow.js';
import { rulesInForce, type RulesInForce } from '../stages/set-out/ownRules.js';
import { jambPlaces } from '../walling/units/judging/snap.js';
import { bedLimits } from '../stages/gauge/courses.js';
import type { Choice, Finding, StageName } from '../findings/finding.js';
import { applyPatch, type Patch } from '../job/edits/patch.js';
import { editOf, type Edit } from '../job/edits/edit.js';
import type { WallPlan } from '../plan/plan.js';
import { packsOf } from '../walling/units/counting/tally.js';
import { elevationScene, letterFindings, type Lettered } from './elevation.js';
import { poleFlags, poleMarks, type PoleFlag, type PoleMark } from './pole.js';
import { rakedCuts, type RakedCut } from './outline.js';
import type { Figure } from '../stages/figure.js';
import { keyedFigures } from './figures.js';
import { coursePicks } from './picks.js';
import { shapesOver } from '../plan/says.js';
import { STAGES } from '../plan/registry.js';
import type { Said } from '../messages/message.js';
import type { SceneShape } from '../shapes/shape.js';
import type { Scene } from './scene.js';
import { steelView, type SteelView } from './steelView.js';
import { stoneView, type StoneView } from './stoneView.js';
import { coursePlanScene, tapeMarks, type TapeMark } from './tape.js';

export interface CourseLine {
  number: number;
  bottom: Mm;
  top: Mm;
  bed: Mm;
}

/** What measuring real units says about one joint. */
export interface SampleView extends Sampled {
  size: 'length' | 'height';
  joint: Mm;
  /** Least joint that hides the largest of them. */
  leastJoint: number;
}

function sampleViews(wall: SetWall): SampleView[] {
  const { samples, profile } = wall;
  const of = (size: SampleView['size'], joint: number, least: Length): SampleView[] => {
    const units = samples[size];
    return units ? [{ ...units, size, joint, leastJoint: leastJointFor(units, toMillimetres(least)) }] : [];
  };
  return [...of('height', wall.bed, profile.bed.least), ...of('length', wall.head, profile.head.least)];
}

function footingView(wall: SetWall): BenchView['footing'] {
  if (!wall.footing) return null;
  const amounts = footingAmounts(wall, wall.footing);
  const used = amounts.concrete * CONCRETE_FACTOR;
  const { name, m3 } = wall.profile.concretePack;
  return { ...wall.footing, ...amounts, used, bags: { name, count: packsOf(used, { m3 }), m3 } };
}

/** Everything one sheet shows, as plain data and columns: what the worker hands to the screen. */
export interface BenchView {
  wall: {
    id: string;
    index: number;
    name: string;
    unit: string;
    family: UnitFamily;
    height: Mm;
    /** Its base over the job's datum, mm. */
    base: Mm;
    built: number;
    /** Courses up to the wall's height; more stand under a gable. */
    count: number;
    bed: Mm;
    head: Mm;
    module: number;
    pitch: Mm;
    nominal: boolean;
    start: 'whole' | 'half';
    bedLimits: [number, number];
    headLimits: [number, number];
    /** The figures a job or a wall may state otherwise, as they are in force, mm and parts. */
    rules: RulesInForce;
    closed: boolean;
    bond: BondId;
    bondName: Said;
    wythes: 1 | 2;
    thickness: Mm;
    closers: boolean;
    /** Whether a closer beside a return would change anything: there are corners, and their returns are no half. */
    closersMatter: boolean;
    /** Whether `start` matters: run 0 begins at a free end. */
    freeStart: boolean;
    corners: 'in-turn' | 'in-pairs';
    /** Up to here ground, a skirting or a finish hides the face, mm; Infinity when all of it is. */
    hiddenTo: number;
    cuts: CutsAt;
    locked: readonly Locked[];
    /** How it is held, as somebody said; null while nobody has. */
    held: Held | null;
  };
  /** What it is of, where that is stone; null for units. */
  stone: StoneView | null;
  survey: Survey;
  /** Spot levels of this run on the footing as poured, in the document's order. */
  poured: Spot[];
  site: SiteLevels;
  footing:
    (Strip & FootingAmounts & { used: number; bags: { name: Said; count: number; m3: number } }) | null;
  heights: SetHeight[];
  tops: SetTop[];
  steps: SetStep[];
  vents: SetVents[];
  piers: SetPier[];
  /** Posts of this run. */
  posts: SetPost[];
  /** Holes of this run that are filled again. */
  holes: FilledHole[];
  /** It is an old wall: it is pointed again, is of old lime work or damp, or has a hole to fill. */
  oldWork: boolean;
  changes: SetChange[];
  narrow: NarrowPier[];
  /** Pieces of this run sawn to a top, for the cut list. */
  raked: RakedCut[];
  steel: SteelView;
  samples: SampleView[];
  runs: {
    index: number;
    id: string;
    /** What it is called in an address. */
    called: string;
    name: string;
    item: number;
    stated: Mm;
    length: Mm;
    x: number;
    y: number;
    heading: number;
  }[];
  run: number;
  openings: {
    id: string;
    name: string;
    index: number;
    run: number;
    from: Mm;
    to: Mm;
    sill: Mm;
    head: Mm;
    must: boolean;
    tolerance: number;
    soldiers: boolean;
    symmetric: boolean;
    /** Of a wall of stone: stones are laid across it. */
    bridged: boolean;
    /** Something is laid over it, and what it asks for of a lintel at least, mm. */
    wants: { length: Mm; bearing: Mm } | null;
    lintels: Omit<PlacedLintel, 'opening' | 'rule'>[];
  }[];
  /** Where jambs stand on the bond, for a drag to settle on. */
  jambs: number[];
  courses: CourseLine[];
  /** What the mason picks up for each course: "16 stretchers, 1 half". Apart from the heights, which a drag along leaves alone. */
  picks: Said[];
  marks: PoleMark[];
  flags: PoleFlag[];
  tape: TapeMark[];
  elevation: Scene;
  /** What a stage draws over the units, where it draws anything. */
  over: Partial<Record<StageName, SceneShape[]>>;
  odd: Scene;
  even: Scene;
  runFigures: Figure[];
  wallFigures: Figure[];
  says: BenchFinding[];
  choices: BenchChoice[];
  /** False while fixes and choices are still being worked out. */
  advised: boolean;
  /** Its choices, and the fixes there are so far, are of this wall as it stands: they can be pressed. */
  weighed: boolean;
}

/** A finding with its letter, its ways out as edits that name ids. */
export type BenchFinding = Omit<Lettered, 'finding'> & {
  finding: Omit<Finding, 'fixes'> & { fixes: { says: Said; edit: Edit }[] };
};
export type BenchChoice = Omit<Choice, 'edit'> & { edit: Edit };

type Over = Pick<BenchView['openings'][number], 'wants' | 'lintels'>;

/** Levels of the site, drawn right across at Set out, with their words. */
const isLevel = (s: SceneShape): boolean => s.role.startsWith('level-');

/** What is listed over each opening, and what it asks for; found once for all of them. */
function lintelsOver(p: WallPlan): (id: string) => Over {
  const over = new Map<string, Over>(
    openingsUnderWall(p).map((o) => [o.id, { wants: wantedOver(p, o), lintels: [] }]),
  );
  for (const { opening, rule: _r, ...l } of lintelsPlaced(p)) over.get(opening.id)?.lintels.push(l);
  return (id) => over.get(id) ?? { wants: null, lintels: [] };
}

/** The sheet of one run of a job as it was planned. `advised` says whether the plan came with choices and fixes. */
export function benchView(
  job: JobDocument,
  p: WallPlan,
  run: number,
  show: Show,
  advised: boolean,
): BenchView {
  const { wall } = p;
  const limits = bedLimits(wall);
  const bonded = p.runs.find((r) => r.index === run);
  // A patch counts places in lists; by the time it is pressed they may be others'.
  const pressed = (patch: Patch): Edit => {
    const applied = applyPatch(job, patch);
    return applied.ok ? editOf(job, applied.value) : { changes: [] };
  };
  const over = lintelsOver(p);
  const says = letterFindings(p.findings.filter((f) => f.run === null || f.run === run));
  const setOut = shapesOver(p, run, STAGES, 'set-out');
  return {
    wall: {
      id: wall.id,
      index: wall.index,
      name: wall.name,
      unit: wall.unit.id,
      family: wall.unit.family,
      height: wall.height,
      base: wall.base,
      built: p.gauge.courses[p.gauge.count - 1]?.top ?? 0,
      count: p.gauge.count,
      bed: wall.bed,
      head: wall.head,
      module: wall.unitLength + wall.head,
      pitch: wall.unitHeight + wall.bed,
      nominal: wall.nominal,
      start: wall.start,
      bedLimits: [limits.least, limits.most],
      headLimits: [toMillimetres(wall.profile.head.least), toMillimetres(wall.profile.head.most)],
      rules: rulesInForce(wall),
      closed: wall.line.closed,
      bond: wall.bond.id,
      bondName: wall.bond.name,
      wythes: wall.wythes,
      thickness: wall.thickness,
      closers: wall.closers,
      closersMatter: closersMatter(wall),
      freeStart: runEnds(wall)[0]?.start.other === null,
      corners: cornersTaken(wall),
      hiddenTo: wall.hiddenTo,
      cuts: wall.cuts,
      locked: wall.locked,
      held: wall.held,
    },
    stone: stoneView(job, p),
    survey: p.survey,
    poured: wall.poured.filter((s) => s.run === run),
    site: p.site,
    footing: footingView(wall),
    heights: wall.heights,
    tops: wall.tops.filter((t) => t.run === run),
    steps: wall.steps.filter((s) => s.run === run),
    vents: wall.vents.filter((v) => v.run === run),
    piers: wall.piers.filter((v) => v.run === run),
    posts: wall.posts.filter((v) => v.run === run),
    holes: p.filled.filter((h) => h.run === run),
    oldWork: isOldWork(job, p.wall.index),
    changes: wall.changes.filter((c) => c.run === run),
    narrow: bonded ? narrowPiers(wall, p.gauge, bonded) : [],
    raked: bonded ? rakedCuts(p.gauge, bonded) : [],
    steel: steelView(p, run),
    samples: sampleViews(wall),
    runs: wall.runs.map((r, index) => ({
      called: r.called,
      index,
      id: r.id,
      name: r.name,
      item: r.item,
      stated: r.stated,
      length: r.length,
      x: wall.line.runs[index]?.x ?? 0,
      y: wall.line.runs[index]?.y ?? 0,
      heading: wall.line.runs[index]?.heading ?? 0,
    })),
    run,
    openings: wall.openings.map(
      ({ id, name, index, run: r, from, to, sill, head, must, tolerance, soldiers, symmetric, bridged }) => ({
        id,
        name,
        index,
        run: r,
        from,
        to,
        sill,
        head,
        must,
        tolerance,
        soldiers,
        symmetric,
        bridged: bridged !== null,
        ...over(id),
      }),
    ),
    jambs: bonded ? jambPlaces(bonded).left : [],
    courses: p.gauge.courses.map(({ number, bottom, top, bed }) => ({ number, bottom, top, bed })),
    picks: coursePicks(p, run),
    marks: poleMarks(p),
    flags: poleFlags(p, run),
    tape: tapeMarks(p, run, show),
    elevation: elevationScene(p, run, says, show),
    over: {
      'set-out': setOut.filter(isLevel),
      // What stands on the wall or lies under it belongs to the face, whichever stage asks for it.
      bond: [...setOut.filter((s) => !isLevel(s)), ...shapesOver(p, run, STAGES, 'bond')],
      steel: shapesOver(p, run, STAGES, 'steel'),
    },
    odd: coursePlanScene(p, run, 1),
    even: coursePlanScene(p, run, 2),
    runFigures: keyedFigures(p, run),
    wallFigures: keyedFigures(p, null),
    says: says.map((s) => ({
      ...s,
      finding: {
        ...s.finding,
        fixes: s.finding.fixes.map((f) => ({ says: f.says, edit: pressed(f.edit) })),
      },
    })),
    choices: p.choices.map((c) => ({ ...c, edit: pressed(c.edit) })),
    advised,
    weighed: advised || p.choices.length > 0,
  };
}
