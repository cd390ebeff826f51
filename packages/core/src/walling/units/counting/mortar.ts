import { toMillimetres, type Mm, type CubicMetres } from '../../../measure/length.js';
import { goesThrough } from '../leaves/bonded.js';
import { pierBonds } from '../let-in/piers.js';
import { frogsFilled } from './frogs.js';
import type { Leaf } from '../leaves/leaf.js';
import type { BondedRun } from '../laying/bond.js';
import type { Row, RowStrip } from '../laying/row.js';
import type { Course } from '../../../stages/gauge/courses.js';
import type { SetWall } from '../../../stages/set-out/wall.js';

export interface MortarGeometry {
  /** Beds and perps as they stand in the wall, m³. */
  beds: CubicMetres;
  perps: CubicMetres;
  /** What was added up: bed length m, perp count. */
  bedLength: number;
  perpCount: number;
  /** Thickness of wall that carries mortar, mm: the whole width, or the two face shells. */
  spread: Mm;
  /** Of the beds, what lies on webs and what fills frogs and holes, m³. */
  webs: CubicMetres;
  frogs: CubicMetres;
  /** Of them, what fills the joint between two tied leaves, m³. */
  collar: CubicMetres;
  /** All of it, course by course from the lowest, m³. */
  byCourse: Float64Array;
}

const nothing = (spread: Mm, courses: number): MortarGeometry => ({
  beds: 0,
  perps: 0,
  bedLength: 0,
  perpCount: 0,
  spread,
  collar: 0,
  webs: 0,
  frogs: 0,
  byCourse: new Float64Array(courses),
});

/** Adds what a course takes, mm³. */
function addTo(total: MortarGeometry, course: number, beds: number, perps: number): void {
  total.beds += beds / 1e9;
  total.perps += perps / 1e9;
  total.byCourse[course] = (total.byCourse[course] ?? 0) + (beds + perps) / 1e9;
}

/** Mortared width of a joint: two face shells of a hollow unit where the profile beds it so, else all of it. */
export function spreadWidth(wall: SetWall): Mm {
  const { shells } = wall.unit;
  const faceShell = shells !== null && wall.profile.bedding(wall.unit) === 'face-shell';
  return faceShell ? 2 * toMillimetres(shells.shell) : wall.unitWidth;
}

interface RowSums {
  /** Beds of the course's own height, mm along the wall. */
  bedLength: number;
  perpWidth: number;
  perpCount: number;
  /** Strips: their length along the wall, mm, and their face, that of their beds and of their joints, mm². */
  stripLength: number;
  stripFace: number;
  stripBeds: number;
  stripJoints: number;
}

function sums(row: Row): RowSums {
  const strips = row.strips ?? [];
  const add = (of: (s: RowStrip) => number): number => strips.reduce((sum, s) => sum + of(s), 0);
  return {
    bedLength: row.bedded.reduce((sum, b) => sum + b.to - b.from, 0) - add((s) => s.counted),
    perpWidth: row.perps.reduce((sum, p) => sum + p.width, 0),
    perpCount: row.perps.length,
    stripLength: add((s) => s.to - s.from),
    stripFace: add((s) => (s.to - s.from) * s.high),
    stripBeds: add((s) => (s.to - s.from) * s.bed),
    stripJoints: add((s) => s.joints * Math.max(0, s.high - s.bed)),
  };
}

/** Along-wall lengths of a row's pieces of the course's own height: those that go through the wall, and the rest. */
function unitLengths(wall: SetWall, row: Row | undefined): { through: number; single: number } {
  const sum = { through: 0, single: 0 };
  for (const p of row?.pieces ?? []) {
    if (p.band !== null) continue;
    sum[goesThrough(wall, p) ? 'through' : 'single'] += p.to - p.from;
  }
  return sum;
}

/** How much shorter a curve is in the middle of what is laid to it than on its face: 1 where it is straight. */
function inMiddle(radius: number | null, deep: number): number {
  return radius === null ? 1 : Math.abs((radius - deep / 2) / radius);
}

/**
 * Mortar of a bonded wall: what it encloses less its bricks. The bricks of the run round the corner stand in the inner half
 * of an outside corner this run owns.
 */
function bonded(
  wall: SetWall,
  run: BondedRun,
  behind: BondedRun | undefined,
  courses: readonly Course[],
): MortarGeometry {
  const { unitWidth: w, thickness, head } = wall;
  const middle = inMiddle(wall.runs[run.index]?.radius ?? null, thickness);
  const total = nothing(thickness, courses.length);
  courses.forEach((course, i) => {
    const row = run.rows[i];
    if (!row) return;
    const parity = course.number % 2 === 1 ? 'odd' : 'even';
    const owned = [run.ends.start, run.ends.end].filter((e) => e[parity] === 'own' && e.past === 0).length;
    const s = sums(row);
    const outer = unitLengths(wall, row);
    const inside = unitLengths(wall, behind?.rows[i]);
    const area = s.bedLength * middle * thickness - owned * thickness * (thickness - w);
    const units =
      (outer.through * thickness + (outer.single + inside.single + inside.through) * w) * course.unitHeight;
    // Behind every strip stands another, and the joint between them goes up with them.
    const stripJoints = 2 * w * s.stripJoints + head * (s.stripFace - s.stripBeds);
    addTo(
      total,
      i,
      area * course.bed + s.stripBeds * thickness,
      area * course.unitHeight - units + stripJoints,
    );
    total.bedLength += (s.bedLength + s.stripLength) / 1000;
    total.perpCount += s.perpCount;
  });
  return total;
}

/** Mortar in the beds and perps of one leaf of a course, mm³, bedded so wide. `middle`: as `inMiddle` says. */
function leafMortar(
  s: RowSums,
  course: Course,
  middle: number,
  spread: number,
): { beds: number; perps: number } {
  const perpWidth = s.perpWidth - s.bedLength * (1 - middle);
  return {
    beds: (s.bedLength * middle * course.bed + s.stripBeds) * spread,
    perps: (perpWidth * course.unitHeight + s.stripJoints) * spread,
  };
}

/** Mortar of two tied leaves: each bedded as its units are, and the joint between them filled. */
function tied(
  wall: SetWall,
  run: BondedRun,
  own: BondedRun | undefined,
  courses: readonly Course[],
): MortarGeometry {
  const { unitWidth: w, head } = wall;
  const spread = spreadWidth(wall);
  const radius = wall.runs[run.index]?.radius ?? null;
  const behind = radius === null ? null : radius - w - head;
  const total = nothing(2 * spread, courses.length);
  courses.forEach((course, i) => {
    const [row, back] = [run.rows[i], own?.rows[i]];
    if (!row || !back) return;
    const [outer, inner] = [sums(row), sums(back)];
    const face = leafMortar(outer, course, inMiddle(radius, w), spread);
    const inside = leafMortar(inner, course, inMiddle(behind, w), spread);
    // The joint between them is as long as the back of the one and the face of the other on the average.
    const shorter = radius === null ? 1 : (radius - w) / radius;
    const length = (outer.bedLength * shorter + inner.bedLength) / 2;
    const strips = (outer.stripFace * shorter + inner.stripFace) / 2;
    const stripBeds = (outer.stripBeds * shorter + inner.stripBeds) / 2;
    const collar = {
      beds: head * (length * course.bed + stripBeds),
      perps: head * (length * course.unitHeight + strips - stripBeds),
    };
    addTo(total, i, face.beds + inside.beds + collar.beds, face.perps + inside.perps + collar.perps);
    total.collar += (collar.beds + collar.perps) / 1e9;
    total.bedLength += (outer.bedLength + outer.stripLength) / 1000;
    total.perpCount += outer.perpCount + inner.perpCount;
  });
  return total;
}

/**
 * Mortar behind the wall in its bonded piers: what they enclose past the wall's own back, a joint included, less
 * their units: added to the rest.
 */
function pierMortar(
  wall: SetWall,
  run: BondedRun,
  piers: BondedRun,
  courses: readonly Course[],
  total: MortarGeometry,
): MortarGeometry {
  const { unitWidth: w, head } = wall;
  const width = wall.piers
    .filter((p) => p.run === run.index && (wall.wythes === 1 || pierBonds(wall, p)))
    .reduce((s, p) => s + p.to - p.from, 0);
  courses.forEach((course, i) => {
    const behind = (piers.rows[i]?.pieces ?? []).reduce((s, p) => s + p.to - p.from, 0);
    const across = (run.rows[i]?.pieces ?? [])
      .filter((p) => p.kind === 'header' && wall.piers.some((q) => p.from >= q.from - 1 && p.to <= q.to + 1))
      .reduce((s, p) => s + p.to - p.from, 0);
    const bed = width * (w + head) * course.bed;
    const joints =
      width * (w + head) * course.unitHeight - (behind * w + across * (w + head)) * course.unitHeight;
    addTo(total, i, bed, joints);
  });
  return total;
}

/**
 * Mortar in the joints of one run of the leaves that are laid together, outside first: a bed under every course, a perp
 * between pieces. Cells, webs and frogs left out.
 */
function jointsOf(leaves: readonly [Leaf, ...Leaf[]], index: number): MortarGeometry {
  const [{ wall, gauge, runs }, behind, third] = leaves;
  const { courses } = gauge;
  const run = runs.find((r) => r.index === index) as BondedRun;
  const back = behind?.runs.find((r) => r.index === index);
  if (wall.wythes === 2 && wall.bond.family === 'header') {
    const total = bonded(wall, run, back, courses);
    const piers = third?.runs.find((r) => r.index === index);
    return run.piers && back && piers ? pierMortar(wall, back, piers, courses, total) : total;
  }
  if (wall.wythes === 2) return tied(wall, run, back, courses);
  const spread = spreadWidth(wall);
  // Round a curve the joints are measured in the middle of the wall.
  const middle = inMiddle(wall.runs[run.index]?.radius ?? null, wall.thickness);
  const known = new Map<Row, RowSums>();
  const total = nothing(spread, courses.length);
  courses.forEach((course, i) => {
    const row = run.rows[i];
    if (!row) return;
    let s = known.get(row);
    if (!s) known.set(row, (s = sums(row)));
    const own = leafMortar(s, course, middle, spread);
    addTo(total, i, own.beds, own.perps);
    total.bedLength += (s.bedLength + s.stripLength) / 1000;
    total.perpCount += s.perpCount;
  });
  return run.piers && back ? pierMortar(wall, run, back, courses, total) : total;
}

/**
 * Mortar on the webs of a run of a leaf, m³, from whoever knows what is grouted; `follows` is one word for all it follows from, so that it
 * need not be worked out again.
 */
export interface OnWebs {
  /** Course by course from the lowest. */
  volume: (leaf: Leaf, run: BondedRun) => readonly CubicMetres[];
  follows: (leaf: Leaf, run: number) => string;
}
export const NO_WEBS: OnWebs = { volume: () => [], follows: () => '' };

/** The same with what lies on webs and in frogs. */
export function mortarOf(
  leaves: readonly [Leaf, ...Leaf[]],
  index: number,
  webs: OnWebs = NO_WEBS,
): MortarGeometry {
  const joints = jointsOf(leaves, index);
  for (const leaf of leaves) {
    const run = leaf.runs.find((r) => r.index === index);
    if (!run) continue;
    webs.volume(leaf, run).forEach((v, i) => {
      joints.webs += v;
      joints.byCourse[i] = (joints.byCourse[i] ?? 0) + v;
    });
    frogsFilled(leaf, run).forEach((v, i) => {
      joints.frogs += v;
      joints.byCourse[i] = (joints.byCourse[i] ?? 0) + v;
    });
  }
  joints.beds += joints.webs + joints.frogs;
  return joints;
}
