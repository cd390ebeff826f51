import { toMillimetres, type Mm } from '../../measure/length.js';
import type { Show } from '../../measure/format.js';
import { stated } from '../../job/stated.js';
import { unitOfBuild } from '../../job/units.js';
import {
  isArc,
  isRun,
  type Build,
  type CutsAt,
  type Gauge,
  type Held,
  type JobDocument,
  type Locked,
  type Wall,
} from '../../job/types.js';
import { rulesFor } from './ownRules.js';
import type { Profile } from '../../tables/profiles.js';
import { BOND_WEIGHTS, GAUGE_WEIGHTS, type BondWeights, type GaugeWeights } from '../../tables/weights.js';
import { movementRule, PLAIN_JOINT_WIDTH, type MovementRule } from '../../tables/movement.js';
import type { UnitShape } from '../../tables/units.js';
import { bondById, type Bond } from '../../tables/bonds.js';
import { branchesOf, footingMet, goesInto, type Branch, type GoesIn } from './tees.js';
import { lostPlaces } from '../../job/places.js';
import { runPart } from '../../places/address.js';
import { isTangent, walkLine, type PlanLine } from './line.js';
import type { Strip } from './footing.js';
import { cavityOf, dpcOver, tiesOf, tiesStated, type SetCavity, type SetTies } from './cavity.js';
import { carriesOf } from './carries.js';
import { hangingsOf, type Hangings } from './hangings.js';
import { stoneOfWall, type SetStone } from './stone.js';
import {
  groutOfWall,
  retainsOfWall,
  steelOfWall,
  type SetGrout,
  type SetRetains,
  type SetSteel,
} from './reinforcement.js';
import type { Spot } from './poured.js';
import { isNominal, laidSizes, measured, targetJoints } from './laid.js';
import type { Sampled } from './samples.js';
import { inFull } from '../../job/full.js';
import { wall as WALL } from '../../job/forms/wall.js';
import { heightsIn } from '../../statement/walk.js';

export { targetJoints } from './laid.js';
export * from './acting.js';
export * from './cavity.js';
export * from './hangings.js';
export * from './reinforcement.js';

export interface SetRun {
  id: string;
  /** What it is called in an address: its id, or its number where it has none. */
  called: string;
  name: string;
  /** Place in the document's `line`, for edits. */
  item: number;
  /** As stated, and as the tape reads on the outside face, mm. */
  stated: Mm;
  length: Mm;
  /** Radius of the outside face, positive where it bulges, negative where it hollows; null when straight. */
  radius: Mm | null;
  sweep: number;
  /** The perp to aim for on the outside face, where curves ask for another than the wall's, mm. */
  perp?: number;
}

/** A wall with every stated length read and every default filled in: what the later stages start from. */
export interface SetWall extends Hangings {
  id: string;
  name: string;
  /** Place in the document, for edits. */
  index: number;
  /** What it is of, where that is stone: no two alike. `unit` then stands for a thickness of it. */
  stone: SetStone | null;
  /** How its leaves are filled. */
  walling: Build['kind'];
  show: Show;
  profile: Profile;
  unit: UnitShape;
  /** Unit sizes and target joints, mm. */
  unitLength: Mm;
  unitHeight: Mm;
  unitWidth: Mm;
  half: Mm;
  bed: Mm;
  head: Mm;
  height: Mm;
  nominal: boolean;
  line: PlanLine;
  runs: SetRun[];
  /** Walls that end on this one and go into it, and how this one's end goes into another. */
  branches: Branch[];
  goesIn: GoesIn | null;
  /** The rule for its movement joints, and what the drawing says instead, mm. */
  movement: MovementRule | null;
  jointEvery: number | null;
  /** How it is held; null while nobody has said. */
  held: Held | null;
  retains: SetRetains | null;
  cavity: SetCavity | null;
  /** It stands behind another leaf: no weather comes to its outer face. */
  sheltered?: true;
  ties: SetTies;
  /** Where in its build their spacing is stated. */
  tiesStated: readonly string[];
  /** Which leaf bars and grout are in. */
  carries: 'outer' | 'inner';
  steel: SetSteel | null;
  grout: SetGrout | null;
  /** Where units are cut when a stretch does not divide. */
  cuts: CutsAt;
  locked: readonly Locked[];
  /** What a choice costs: the job's own weights over the table's. */
  weights: { bond: BondWeights; gauge: GaugeWeights };
  /** Entries whose address points at no run of it, with their paths in it. */
  lost: { path: string; place: string }[];
  /** Every height it states above its base, mm, by its path in the wall: they follow when the base is moved. */
  heightsStated: { path: string; height: Mm }[];
  /** Level of the base above the job's datum, mm. */
  base: Mm;
  /** The least height of its damp-proof course above its base, mm; null where nobody places one: walls with a cavity have it. */
  dpcOver: Mm | null;
  footing: Strip | null;
  /** How far the footing of the wall this one meets stands out from its face, mm; null where it meets none. */
  footingMet: number | null;
  poured: (Spot & { run: number })[];
  /** Up to here ground, skirting or render hides the face, mm; all of it when rendered. */
  hiddenTo: number;
  /** Height of the half-high unit, or null where none is made. */
  halfHigh: number | null;
  /** Leaves in the thickness, and the thickness over all, mm. */
  wythes: 1 | 2;
  thickness: Mm;
  bond: Bond;
  /** How frogged units are laid. */
  frogs: 'up' | 'down';
  closers: boolean;
  start: 'whole' | 'half';
  corners: 'in-turn' | 'in-pairs';
  /** Whether the file leaves those two open: they are then whichever costs least (`walling/units/laying/begin.ts`). */
  open: { start: boolean; corners: boolean };
  gauge: Gauge;
  /** What measuring real units gave, where they were measured. */
  samples: { length: Sampled | null; height: Sampled | null; width: Sampled | null };
}

/**
 * Where a wall wants its cuts: fair brick in mid-panel, so that its reveals are sound; reinforced block there too,
 * for a cut at a jamb spoils the cell that wants a bar; the rest at the jamb, where they are fewest. Common practice.
 */
function cutsFor(wall: Wall, unit: UnitShape): CutsAt {
  const fair = unit.family === 'brick' && wall.build.face?.finish !== 'rendered';
  const reinforced = unit.shells !== null && wall.steel?.vertical !== undefined;
  return fair || reinforced ? 'panel' : 'jamb';
}

/** Reads one wall of a checked document. Throws when its unit is unknown, which `check` refuses. */
export function setOutWall(filed: JobDocument, index: number): SetWall {
  const job = inFull(filed);
  const wall = job.walls[index];
  const unit = wall && unitOfBuild(job, wall.build);
  if (!wall || !unit) throw new TypeError(`wall ${index} is not in a checked document`);
  const profile = rulesFor(job, wall);
  const joints = targetJoints(wall, unit, profile);
  const real = measured(wall.build.samples);
  const laid = laidSizes(wall, unit, joints, real);
  const { head } = laid;
  const nominal = isNominal(wall, profile);
  const off = nominal ? head : 0;
  const length = (l: number | string): number => toMillimetres(stated(l));
  const line = walkLine(
    wall.line.map((item) =>
      isRun(item)
        ? { run: length(item.run) }
        : isArc(item)
          ? { arc: length(item.arc), sweep: item.sweep }
          : item,
    ),
    head,
  );
  const named = wall.line.map((item, i) => ({ item, i })).filter(({ item }) => isRun(item) || isArc(item));
  const movement = movementRule(job.profile, unit.family);
  const goesOn = (i: number): boolean => line.corners.some((c) => c.from === i && isTangent(c.turn));
  const runs = line.runs.map((run, i): SetRun => {
    const at = named[i];
    const own = at && !('turn' in at.item) ? at.item : undefined;
    return {
      id: own?.id ?? `run-${i + 1}`,
      called: runPart(own?.id, i),
      name: own?.name ?? (line.runs.length > 1 ? `Run ${i + 1}` : wall.name),
      item: at?.i ?? 0,
      stated: run.length,
      // A run that goes on into the next without a corner has no joint of its own to leave off.
      length: run.length - (goesOn(i) ? 0 : off),
      radius: run.radius,
      sweep: run.sweep,
    };
  });
  const thickness = wall.build.wythes === 2 ? 2 * laid.unitWidth + head : laid.unitWidth;
  return {
    id: wall.id,
    name: wall.name,
    index,
    stone: stoneOfWall(job, wall),
    walling: wall.build.kind,
    show: job.show,
    profile,
    unit,
    ...laid,
    half: (laid.unitLength - head) / 2,
    samples: real,
    height: length(wall.height),
    nominal,
    line,
    runs,
    ...hangingsOf(wall, runs, laid, off, movement?.width ?? PLAIN_JOINT_WIDTH),
    movement,
    jointEvery: wall.jointEvery === undefined ? null : length(wall.jointEvery),
    held: wall.held ?? null,
    retains: retainsOfWall(wall, job.profile === 'uk'),
    cavity: cavityOf(job, wall, thickness),
    ties: tiesOf(wall),
    tiesStated: tiesStated(wall),
    carries: carriesOf(job, wall, unit),
    steel: steelOfWall(wall),
    grout: groutOfWall(wall),
    branches: branchesOf(job, wall),
    goesIn: goesInto(job, wall, laid.unitLength),
    cuts: wall.build.cuts ?? cutsFor(wall, unit),
    locked: wall.build.locked ?? [],
    weights: {
      bond: { ...BOND_WEIGHTS, ...job.weights?.bond },
      gauge: { ...GAUGE_WEIGHTS, ...job.weights?.gauge },
    },
    hiddenTo: wall.build.face?.finish === 'rendered' ? Infinity : length(wall.build.face?.hiddenTo ?? 0),
    // What is filed by its address is another wall in full.
    lost: filed.walls[index] && filed.walls[index] !== wall ? lostPlaces(filed.walls[index]) : [],
    heightsStated: heightsIn(wall, WALL).map((h) => ({ path: h.path, height: length(h.value) })),
    base: length(wall.base ?? 0),
    dpcOver: dpcOver(job, wall),
    footing: wall.footing
      ? {
          width: length(wall.footing.width),
          depth: length(wall.footing.depth),
          past: length(wall.footing.past ?? 0),
          trench: length(wall.footing.trench ?? wall.footing.depth),
        }
      : null,
    footingMet: footingMet(job, wall),
    poured: (wall.poured ?? []).map((p) => ({
      run: p.run ?? 0,
      at: length(p.at),
      level:
        p.reading === undefined
          ? length(p.level ?? 0)
          : length(job.site?.instrument ?? 0) - length(p.reading) - length(wall.base ?? 0),
    })),
    halfHigh: unit.halfHigh === undefined ? null : toMillimetres(unit.halfHigh),
    wythes: wall.build.wythes ?? 1,
    thickness,
    bond: bondById(wall.build.bond ?? 'half'),
    frogs: wall.build.frogs ?? 'up',
    closers: wall.build.closers ?? false,
    start: wall.build.start ?? 'whole',
    corners: wall.build.corners ?? 'in-turn',
    open: { start: wall.build.start === undefined, corners: wall.build.corners === undefined },
    gauge: wall.build.gauge ?? {},
  };
}
