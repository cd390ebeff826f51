import type { CourseFile, PieceFile, PlanFile, RowFile } from './files.js';
import { mm } from './trade.js';
import { isHeaderBond, lengthOf, said, type Facts, type OpeningFacts } from './wall.js';

/**
 * A wall of one or two leaves course by course from above: every piece as a rectangle in the ground plan, against what the wall
 * stands on. Straight runs and square corners; bricks, which are solid.
 */

export interface Box {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** Along the outside face, and from it into the wall. */
interface Frame {
  x: number;
  y: number;
  dx: number;
  dy: number;
}

/** Where each run begins and which way it goes: a turn is to the left, and the wall stands left of its outside face. */
function framesOf(f: Facts): Frame[] {
  const frames: Frame[] = [];
  let at: Frame = { x: 0, y: 0, dx: 1, dy: 0 };
  for (const run of f.runs) {
    frames.push(at);
    const [x, y] = [at.x + at.dx * run.length, at.y + at.dy * run.length];
    const left = run.turnAfter === 90;
    at = { x, y, dx: left ? -at.dy : at.dy, dy: left ? at.dx : -at.dx };
  }
  return frames;
}

function boxOf(frame: Frame, from: number, to: number, front: number, back: number): Box {
  const x = (along: number, deep: number): number => frame.x + frame.dx * along - frame.dy * deep;
  const y = (along: number, deep: number): number => frame.y + frame.dy * along + frame.dx * deep;
  const [a, b] = [x(from, front), x(to, back)];
  const [c, d] = [y(from, front), y(to, back)];
  return { x0: Math.min(a, b), x1: Math.max(a, b), y0: Math.min(c, d), y1: Math.max(c, d) };
}

/** Whether a piece lies across a one-brick wall: headers, and the closers and snapped halves that do duty for them. */
function goesAcross(f: Facts, p: PieceFile): boolean {
  if (f.file.build.wythes !== 2 || !isHeaderBond(f)) return false;
  if (p.kind === 'header' || p.kind === 'closer') return true;
  return p.kind === 'half' && Math.abs(p.to - p.from - f.unit.width) < 0.05;
}

/** How deep in the wall a piece of a leaf stands: its front and its back, from the outside face. */
function depthOf(f: Facts, leaf: number, p: PieceFile): [number, number] {
  if (leaf > 0) return [f.thickness - f.unit.width, f.thickness];
  return [0, goesAcross(f, p) ? f.thickness : f.unit.width];
}

/** What the wall stands on: run by run, inside corners belonging to the run before them. */
function groundOf(f: Facts, frames: readonly Frame[]): Box[] {
  return f.runs.map((run, i) =>
    boxOf(frames[i] as Frame, 0, run.length + (run.turnAfter === -90 ? f.thickness : 0), 0, f.thickness),
  );
}

const meet = (a: Box, b: Box): { wide: number; deep: number } => ({
  wide: Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0),
  deep: Math.min(a.y1, b.y1) - Math.max(a.y0, b.y0),
});

const area = (b: Box): number => (b.x1 - b.x0) * (b.y1 - b.y0);

/** The area boxes cover together, by cutting them at one another's edges. */
function covered(boxes: readonly Box[]): number {
  const xs = [...new Set(boxes.flatMap((b) => [b.x0, b.x1]))].sort((a, b) => a - b);
  return xs.slice(1).reduce((sum, x1, i) => {
    const x0 = xs[i] as number;
    const here = boxes.filter((b) => b.x0 < x1 - 1e-9 && b.x1 > x0 + 1e-9).sort((a, b) => a.y0 - b.y0);
    let [deep, end] = [0, -Infinity];
    for (const b of here) {
      deep += Math.max(0, b.y1 - Math.max(b.y0, end));
      end = Math.max(end, b.y1);
    }
    return sum + (x1 - x0) * deep;
  }, 0);
}

/** Overlaps smaller than this are rounding. */
const HAIR = 0.5;

export interface Laid extends Box {
  name: string;
  /** Height above the course's bottom of its underside (of its bed) and its top, mm. */
  bottom: number;
  top: number;
}

function laidIn(f: Facts, frames: readonly Frame[], rows: readonly RowFile[], course: CourseFile): Laid[] {
  return rows.flatMap((row) =>
    row.pieces.map((p): Laid => {
      const frame = frames[p.run] as Frame;
      const [front, back] = depthOf(f, row.leaf, p);
      return {
        ...boxOf(frame, p.from, p.to, front, back),
        name: `leaf ${row.leaf} run ${p.run} ${p.kind} ${p.from.toFixed(0)} to ${p.to.toFixed(0)}`,
        bottom: p.bottom ?? course.bottom,
        top: p.top ?? course.top,
      };
    }),
  );
}

/** The corner of an empty square of so many mm in a course; null where none fits. Pushed left and down it stands against something. */
function emptySquare(
  ground: readonly Box[],
  laid: readonly Box[],
  side: number,
): { x: number; y: number } | null {
  const inGround = (x: number, y: number): boolean =>
    ground.some((g) => x > g.x0 - 1e-6 && x < g.x1 + 1e-6 && y > g.y0 - 1e-6 && y < g.y1 + 1e-6);
  const xs = [...new Set([...ground.map((g) => g.x0), ...laid.map((l) => l.x1)])];
  const ys = [...new Set([...ground.map((g) => g.y0), ...laid.map((l) => l.y1)])];
  for (const x of xs) {
    const near = laid.filter((l) => l.x0 < x + side - 1e-6 && l.x1 > x + 1e-6);
    for (const y of ys) {
      const corners = [
        [x, y],
        [x + side, y],
        [x, y + side],
        [x + side, y + side],
      ] as const;
      if (!corners.every(([a, b]) => inGround(a, b))) continue;
      if (!near.some((l) => l.y0 < y + side - 1e-6 && l.y1 > y + 1e-6)) return { x, y };
    }
  }
  return null;
}

/** Openings of a course: those that take all its height, where nothing stands. */
function withoutOpenings(
  f: Facts,
  frames: readonly Frame[],
  ground: readonly Box[],
  course: CourseFile,
): Box[] {
  const over = new Set((f.file.openings ?? []).filter((o) => o.over === 'soldiers').map((o) => o.id));
  const gone = f.openings
    // Soldiers stand in the row of their lowest course, and are not looked for in the others.
    .map((o) => ({ ...o, head: over.has(o.id) ? o.head + f.unit.length + 2 * f.head : o.head }))
    .filter((o) => o.sill < course.top - 1 && o.head > course.bottom + 1);
  return ground.flatMap((box, run) => {
    const own = gone.filter((o) => o.run === run).sort((a, b) => a.from - b.from);
    if (own.length === 0) return [box];
    const frame = frames[run] as Frame;
    const length = (f.runs[run]?.length ?? 0) + (f.runs[run]?.turnAfter === -90 ? f.thickness : 0);
    const edges = [0, ...own.flatMap((o) => [o.from, o.to]), length];
    return own
      .concat(own[0] as (typeof own)[number])
      .map((_, k) => boxOf(frame, edges[2 * k] as number, edges[2 * k + 1] as number, 0, f.thickness));
  });
}

/** A wall where it stands on the ground. */
interface Stood {
  f: Facts;
  frames: readonly Frame[];
}

const stood = (f: Facts): Stood => ({ f, frames: framesOf(f) });

/** A wall that ends on another from inside: its near side at so much along a run, its end at that run's back. */
function stoodOn(f: Facts, into: Facts): Stood {
  const on = framesOf(into)[f.file.meets?.run ?? 0] as Frame;
  const at = mm(f.file.meets?.at);
  const [inX, inY] = [-on.dy, on.dx];
  const far = into.thickness + (f.runs[0]?.length ?? 0);
  const begin = { x: on.x + on.dx * at + inX * far, y: on.y + on.dy * at + inY * far };
  return { f, frames: [{ ...begin, dx: -inX, dy: -inY }] };
}

/** Pieces in one another's place, and holes no joint fills. `widest`: as wide as a joint may be, mm. */
function fromAboveDefects(walls: readonly Stood[], widest: number): string[] {
  const [{ f }] = walls as [Stood];
  return f.plan.courses.flatMap((course) => {
    // Walls bonded together stand in the same courses.
    const here = walls.filter((w) => w.f.plan.courses.length >= course.number);
    const laid = here.flatMap((w) =>
      laidIn(
        w.f,
        w.frames,
        w.f.plan.rows.filter((r) => r.course === course.number),
        course,
      ),
    );
    const ground = here.flatMap((w) => withoutOpenings(w.f, w.frames, groundOf(w.f, w.frames), course));
    const out: string[] = [];
    laid.forEach((a, i) => {
      for (const b of laid.slice(i + 1)) {
        const { wide, deep } = meet(a, b);
        const level = Math.min(a.top, b.top) - Math.max(a.bottom, b.bottom) > HAIR;
        if (level && wide > HAIR && deep > HAIR)
          out.push(
            `course ${course.number}: ${a.name} and ${b.name} overlap by ${wide.toFixed(0)} × ${deep.toFixed(0)}`,
          );
      }
    });
    const hole = emptySquare(ground, laid, widest);
    if (hole) out.push(`course ${course.number}: a hole at ${hole.x.toFixed(0)}, ${hole.y.toFixed(0)}`);
    return out;
  });
}

/** How much of a course's height an opening leaves open: all of it where nothing sawn in height is laid, or nothing. */
function openIn(f: Facts, o: OpeningFacts, course: CourseFile): number {
  const row = f.plan.rows.find((r) => r.course === course.number && r.leaf === 0);
  const middle = (o.from + o.to) / 2;
  const own = (row?.pieces ?? []).filter((p) => p.run === o.run);
  const strips = own.filter((p) => p.bottom !== undefined && p.from > o.from - 1 && p.to < o.to + 1);
  const heights = new Map(strips.map((p) => [p.bottom, (p.top as number) - (p.bottom as number)]));
  const stood = [...heights.values()].reduce((a, b) => a + b, 0);
  if (stood > 0) return course.top - course.bottom - stood;
  const joint = f.head + 15;
  return own.some((p) => p.from < middle + joint && p.to > middle - joint) ? 0 : course.top - course.bottom;
}

/** Mortar of solid bricks: what the wall encloses, openings and units out, m³. */
function mortarByVolume({ f, frames }: Stood): number {
  const ground = groundOf(f, frames);
  const high = f.plan.courses.at(-1)?.top ?? 0;
  const open = f.openings.reduce(
    (sum, o) => sum + (o.to - o.from) * f.thickness * f.plan.courses.reduce((s, c) => s + openIn(f, o, c), 0),
    0,
  );
  const units = f.plan.rows.reduce((sum, row) => {
    const course = f.plan.courses[row.course - 1] as CourseFile;
    return (
      sum +
      laidIn(f, frames, [row], course).reduce((s, l) => s + area(l) * (l.top - l.bottom - course.bed), 0)
    );
  }, 0);
  return (covered(ground) * high - open - units) / 1e9;
}

/** Everything wrong with a plan of two-leaf walls, seen from above and by volume; nothing where it has others. */
export function twoLeafDefects(facts: readonly Facts[], plan: PlanFile): string[] {
  const [first, second] = facts;
  const tee = first && second?.file.meets?.how === 'bonded' ? [stood(first), stoodOn(second, first)] : null;
  if (facts.some((f) => !f.plain || said(f, ['run-not-planned']))) return [];
  if (!facts.every((f) => f.file.build.wythes === 2 || (tee && f === second))) return [];
  // A unit that is not two of its widths and a joint long makes no header bond.
  if (facts.some((f) => isHeaderBond(f) && Math.abs(f.unit.length - f.thickness) > 5)) return [];
  // In a course sawn to a height every piece is called a cut: which lie across is not told.
  if (facts.some((f) => isHeaderBond(f) && f.file.build.gauge !== undefined)) return [];
  const out = (tee ? [tee] : facts.map((f) => [stood(f)])).flatMap((walls) => {
    const [{ f }] = walls as [Stood];
    return fromAboveDefects(walls, Math.max(f.profile.headMost, f.head) + 10).map(
      (d) => `${f.file.id}: ${d}`,
    );
  });
  // Hollow units are bedded on their shells.
  if (facts.some((f) => f.unit.cores !== null)) return out;
  const mortar = (tee ?? facts.map(stood)).reduce((sum, w) => sum + mortarByVolume(w), 0);
  const walled = facts.reduce(
    (sum, f) => sum + covered(groundOf(f, framesOf(f))) * (f.plan.courses.at(-1)?.top ?? 0),
    0,
  );
  if (Math.abs(plan.tally.mortar.geometric - mortar) > (0.001 * walled) / 1e9)
    out.push(`mortar ${plan.tally.mortar.geometric}, by volume ${mortar.toFixed(6)}`);
  return out;
}

/** How much longer or shorter a run is in the middle of its thickness than on its face. */
const inMiddle = ({ radius }: Facts['runs'][number], thickness: number): number =>
  radius === null ? 1 : Math.abs((radius - thickness / 2) / radius);

/** Mortar of a line of runs and curves that goes on without a corner: its annulus, openings and bricks out, m³. */
function curvedMortar(f: Facts): number {
  const high = f.plan.courses.at(-1)?.top ?? 0;
  const walled = f.runs.reduce((sum, r) => sum + r.length * inMiddle(r, f.thickness), 0) * f.thickness * high;
  const open = f.openings.reduce((sum, o) => {
    const run = f.runs[o.run] as Facts['runs'][number];
    const stands = f.plan.courses.reduce((s, c) => s + openIn(f, o, c), 0);
    return sum + (o.to - o.from) * inMiddle(run, f.thickness) * f.thickness * stands;
  }, 0);
  const units = f.plan.rows.reduce((sum, row) => {
    const course = f.plan.courses[row.course - 1] as CourseFile;
    return (
      sum +
      row.pieces.reduce((s, p) => {
        const [front, back] = depthOf(f, row.leaf, p);
        const high = (p.top ?? course.top) - (p.bottom ?? course.bottom) - course.bed;
        return s + lengthOf(p) * (back - front) * high;
      }, 0)
    );
  }, 0);
  return (walled - open - units) / 1e9;
}

/** Everything wrong with a two-leaf wall on a curve: bricks in one another's place along each leaf, and its mortar by volume. */
export function curvedDefects(f: Facts, plan: PlanFile): string[] {
  const out: string[] = [];
  for (const row of f.plan.rows)
    f.runs.forEach((_, run) => {
      const list = row.pieces
        .filter((p) => p.run === run && p.bottom === undefined)
        .sort((a, b) => a.from - b.from);
      list.slice(1).forEach((p, i) => {
        const before = list[i] as PieceFile;
        if (p.from < before.to - HAIR)
          out.push(`course ${row.course} leaf ${row.leaf} run ${run}: overlap at ${p.from.toFixed(0)}`);
      });
    });
  const high = f.plan.courses.at(-1)?.top ?? 0;
  const walled = f.runs.reduce((sum, r) => sum + r.length * f.thickness, 0) * high;
  const mortar = curvedMortar(f);
  if (Math.abs(plan.tally.mortar.geometric - mortar) > (0.001 * walled) / 1e9)
    out.push(`mortar ${plan.tally.mortar.geometric}, by volume ${mortar.toFixed(6)}`);
  return out;
}
