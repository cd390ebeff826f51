import { readMass } from '../../measure/amounts.js';
import { toMillimetres, type Kilograms, type Mm } from '../../measure/length.js';
import { stated } from '../../job/stated.js';
import type { JobDocument, Stated, StoneBuild, StoneKind, Wall } from '../../job/types.js';
import { findUnit, STONE_JOINTS } from '../../job/units.js';
import { stoneOf, type Stone } from '../../tables/stones.js';
import {
  BONDERS,
  BROUGHT_TO,
  DRY_VOIDS,
  FLINT_SHARE,
  HEARTING,
  LORRY,
  PILLARS_APART,
  RUBBLE_SHARE,
  STONE_WASTE,
  throughsBy,
} from '../../tables/stoneWalls.js';

/** A row of stones that go through from face to face: its height, and from one to the next along it. */
export interface ThroughRow {
  at: Mm;
  every: Mm;
}

/** A stone wall with everything that is stated of its build read, and what is not as is usual. */
export interface SetStone {
  kind: StoneKind;
  stone: Stone;
  /** How it is laid, where there is more than one way. */
  laid: 'random' | 'polygonal' | 'flint' | 'coursed' | 'snecked' | null;
  /** From face to face at its base, and at its top under the copes. */
  base: Mm;
  top: Mm;
  faces: 1 | 2;
  joint: Mm;
  /** Levelled up each so high; null where nothing asks for it. */
  broughtTo: Mm | null;
  /** Ashlar: heights of its courses from the lowest up, the longest stone, and the least lap. */
  courses: readonly Mm[];
  longest: Mm;
  lap: Mm;
  bonders: { along: Mm; up: Mm } | null;
  throughs: readonly ThroughRow[];
  /** Whether that holds it together was said, or is as is usual. */
  boundAsUsual: boolean;
  /** What throughs stand out of each face. */
  past: Mm;
  /** Part of the wall that is stone; of the stone, what lies between the faces; of the wall, what is left open. */
  share: number;
  hearting: number;
  voids: number;
  waste: number;
  /** What a lorry brings, kg. */
  load: Kilograms;
  copes: { height: Mm; each: Mm; kind: 'upright' | 'slanting' | 'flat' | 'turf' } | null;
  footing: { depth: Mm; past: Mm } | null;
  pointing: { depth: Mm; mix: string | null } | null;
  lacing: { every: Mm; unit: string; courses: number; length: Mm; height: Mm; width: Mm } | null;
  stiles: readonly { run: number; at: Mm; treads: number | null }[];
  by: 'frames' | 'pillars';
  /** Pillars at most so far apart. */
  pillars: Mm;
  purpose: 'field' | 'garden';
  ends: 'cheek' | 'open';
}

const mm = (l: Stated): Mm => toMillimetres(stated(l));
const rows = (list: readonly { at: Stated; every: Stated }[] | undefined): ThroughRow[] =>
  (list ?? []).map((r) => ({ at: mm(r.at), every: mm(r.every) }));

/** What nobody states of a kind that has none of it. */
const NONE = {
  laid: null,
  broughtTo: null,
  courses: [],
  longest: 0,
  lap: 0,
  bonders: null,
  throughs: [],
  boundAsUsual: false,
  past: 0,
  voids: 0,
  footing: null,
  pointing: null,
  lacing: null,
  stiles: [],
  by: 'frames',
  pillars: PILLARS_APART,
  purpose: 'field',
  ends: 'cheek',
} as const;

type Common = Pick<SetStone, 'kind' | 'stone' | 'waste' | 'load' | 'copes' | 'joint'>;

function loadOf(said: Stated | undefined): Kilograms {
  const read = said === undefined ? null : readMass(said);
  return read?.ok ? read.value : LORRY;
}

function commonOf(job: JobDocument, build: StoneBuild): Common {
  const joint = build.kind === 'dry' ? undefined : build.joint;
  return {
    kind: build.kind,
    stone: stoneOf(job.stones ?? [], build.stone),
    joint: joint === undefined ? toMillimetres(STONE_JOINTS[build.kind]) : mm(joint),
    waste: build.waste ?? STONE_WASTE,
    load: loadOf(build.load),
    copes: build.copes
      ? { height: mm(build.copes.height), each: mm(build.copes.each), kind: build.copes.kind ?? 'upright' }
      : null,
  };
}

function dryOf(common: Common, build: Extract<StoneBuild, { kind: 'dry' }>, height: Mm): SetStone {
  return {
    ...NONE,
    ...common,
    base: mm(build.base),
    top: mm(build.top),
    faces: 2,
    throughs: build.throughs ? rows(build.throughs) : throughsBy(height),
    boundAsUsual: build.throughs === undefined,
    past: mm(build.past ?? 0),
    share: 1 - (build.voids ?? DRY_VOIDS),
    hearting: build.hearting ?? HEARTING,
    voids: build.voids ?? DRY_VOIDS,
    footing: build.footing
      ? { depth: mm(build.footing.depth), past: mm(build.footing.past ?? '100 mm') }
      : null,
    stiles: (build.stiles ?? []).map((s) => ({ run: s.run ?? 0, at: mm(s.at), treads: s.treads ?? null })),
    by: build.by ?? 'frames',
    pillars: build.pillars === undefined ? PILLARS_APART : mm(build.pillars),
    purpose: build.purpose ?? 'field',
    ends: build.ends ?? 'cheek',
  };
}

/** The least lap of ashlar where nobody says: a quarter of the longest, never under 40 mm. EN 1996-1-1 8.1.4.1, from memory. */
const lapOf = (longest: Mm): Mm => Math.max(40, longest / 4);

function ashlarOf(common: Common, build: Extract<StoneBuild, { kind: 'ashlar' }>): SetStone {
  const longest = mm(build.longest);
  return {
    ...NONE,
    ...common,
    base: mm(build.bed),
    top: mm(build.bed),
    faces: 1,
    courses: build.courses.map(mm),
    longest,
    lap: build.lap === undefined ? lapOf(longest) : mm(build.lap),
    // What of it is stone follows from its joints.
    share: 1,
    hearting: 0,
    pointing: pointingOf(build),
  };
}

const pointingOf = (build: Exclude<StoneBuild, { kind: 'dry' }>): SetStone['pointing'] =>
  build.pointing ? { depth: mm(build.pointing.depth), mix: build.pointing.mix ?? null } : null;

function lacingOf(job: JobDocument, { lacing }: Extract<StoneBuild, { kind: 'rubble' }>): SetStone['lacing'] {
  const unit = lacing && findUnit(job, lacing.unit);
  if (!lacing || !unit) return null;
  return {
    every: mm(lacing.every),
    unit: unit.id,
    courses: lacing.courses ?? 1,
    length: toMillimetres(unit.length),
    height: toMillimetres(unit.height),
    width: toMillimetres(unit.width),
  };
}

function rubbleOf(
  job: JobDocument,
  common: Common,
  build: Extract<StoneBuild, { kind: 'rubble' | 'squared' }>,
): SetStone {
  const faces = build.faces ?? 2;
  const base = mm(build.thickness);
  const laid = build.laid ?? (build.kind === 'rubble' ? 'random' : 'coursed');
  const said = build.bonders !== undefined || build.throughs !== undefined;
  return {
    ...NONE,
    ...common,
    laid,
    base,
    top: build.top === undefined ? base : mm(build.top),
    faces,
    broughtTo: build.broughtTo === undefined ? toMillimetres(BROUGHT_TO[build.kind]) : mm(build.broughtTo),
    bonders: build.bonders
      ? { along: mm(build.bonders.along), up: mm(build.bonders.up) }
      : // A facing is held by its ties.
        said || faces === 1
        ? null
        : BONDERS,
    throughs: rows(build.throughs),
    boundAsUsual: !said && faces === 2,
    share: build.share ?? (laid === 'flint' ? FLINT_SHARE : RUBBLE_SHARE),
    hearting: build.hearting ?? (faces === 2 ? HEARTING : 0),
    pointing: pointingOf(build),
    lacing: build.kind === 'rubble' ? lacingOf(job, build) : null,
  };
}

/** What a wall of stone is stated as; null for a wall of units. Lengths mm. */
export function stoneOfWall(job: JobDocument, wall: Wall): SetStone | null {
  const { build } = wall;
  if (build.kind === 'units') return null;
  const common = commonOf(job, build);
  switch (build.kind) {
    case 'dry':
      return dryOf(common, build, mm(wall.height));
    case 'ashlar':
      return ashlarOf(common, build);
    default:
      return rubbleOf(job, common, build);
  }
}
