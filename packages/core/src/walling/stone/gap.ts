import { stated } from '../../job/stated.js';
import type { JobDocument, Stated, Wall } from '../../job/types.js';
import { toMillimetres, type Kilograms, type Mm, type SquareMetres } from '../../measure/length.js';
import type { GaugeSolution } from '../../stages/gauge/solve.js';
import type { SetStone } from '../../stages/set-out/stone.js';
import type { SetWall } from '../../stages/set-out/wall.js';
import { GAP_PER_DAY, RUNNING } from '../../tables/stoneWalls.js';
import { sectionAlong, volumeBetween } from './section.js';
import { stockForecast, type StockForecast } from './stock.js';
import { stoneIn } from './stretches.js';
import { copesOn, throughsIn, type Throughs } from './throughs.js';
import { stoneVolumes } from './volumes.js';
import { stoneWork } from './work.js';

const mm = (l: Stated): Mm => toMillimetres(stated(l));

type StatedGap = NonNullable<Wall['gap']>;

/** What is done in the order it is done, from the ground up. */
export const GAP_STEPS = ['strip', 'footing', 'lift', 'throughs', 'copes'] as const;
export interface GapStep {
  step: (typeof GAP_STEPS)[number];
  /** To this height, where it comes to one; so many stones, where they are counted. */
  to: Mm | null;
  count: number | null;
}

/** A stretch of a dry wall to go up again: how far it is stripped, what it gives back, what is to be brought, and how long it takes. */
export interface GapWork {
  run: number;
  /** As it came down, and as it is stripped: to sound throughs at both ends. */
  from: Mm;
  to: Mm;
  stripped: { from: Mm; to: Mm; left: Mm; right: Mm; asUsual: boolean };
  /** Both faces of what is stripped, m²; what of it is stone, kg. */
  face: SquareMetres;
  mass: Kilograms;
  stock: StockForecast | null;
  /** Stone to bring, kg. */
  bring: Kilograms;
  throughs: number;
  /** How far the line kinks at each end, in mm to the metre; null where nobody measured. */
  kink: { left: number; right: number } | null;
  out: { left: Mm; right: Mm } | null;
  steps: GapStep[];
  days: number;
  /** Running joints that count for what the wall is judged as, and those that do not. */
  joints: { count: number; passed: number } | null;
}

/** Whether a running joint counts: a field wall may have two courses of it, and what stones behind lie across; a fair face shows it all. */
export function counts(
  { courses, covered }: { courses: number; covered?: boolean },
  purpose: keyof typeof RUNNING,
): boolean {
  const { most, depthCovers } = RUNNING[purpose];
  return courses > most && !(depthCovers && covered === true);
}

/** What a wall is judged as: it holds soil back, or stands in a field or before a garden. */
export const purposeOf = (wall: SetWall): keyof typeof RUNNING =>
  wall.retains || wall.held === 'soil' ? 'retaining' : stoneIn(wall).purpose;

/** What is done, level by level, between one end of what is stripped and the other. */
function stepsOf(stone: SetStone, long: Mm, high: Mm, rows: readonly Throughs[]): GapStep[] {
  const copes = stone.copes ? copesOn(long, stone.copes.each) : null;
  return [
    { step: 'strip', to: null, count: null },
    { step: 'footing', to: null, count: null },
    ...rows
      .filter((t) => t.at < high)
      .flatMap((t): GapStep[] => [
        { step: 'lift', to: t.at, count: null },
        { step: 'throughs', to: t.at, count: t.count },
      ]),
    { step: 'lift', to: high, count: null },
    ...(copes === null ? [] : [{ step: 'copes' as const, to: null, count: copes }]),
  ];
}

/** The gap a wall states; null where it states none, or is no dry wall. */
export function gapWork(job: JobDocument, wall: SetWall, gauge: GaugeSolution): GapWork | null {
  const gap: StatedGap | undefined = job.walls[wall.index]?.gap;
  if (!gap || wall.stone?.kind !== 'dry') return null;
  const stone = stoneIn(wall);
  const index = gap.run ?? 0;
  const run = stoneWork(wall, gauge).runs[index];
  if (!run) return null;
  const [from, to] = [Math.max(0, mm(gap.from)), Math.min(run.length, mm(gap.to))];
  const every = stone.throughs[0]?.every ?? 1000;
  const left = Math.min(from, gap.strip ? mm(gap.strip.left) : every);
  const right = Math.min(run.length - to, gap.strip ? mm(gap.strip.right) : every);
  const stripped = { from: from - left, to: to + right, left, right, asUsual: gap.strip === undefined };
  let [at, gross, area] = [0, 0, 0];
  for (const s of run.stretches) {
    const [a, b] = [Math.max(stripped.from, at) - at, Math.min(stripped.to, at + s.length) - at];
    if (b > a) {
      gross += volumeBetween(s, [a, b], [0, Infinity]);
      const [p, q] = [a, b].map((x) => sectionAlong([s], x).height);
      area += ((b - a) * ((p ?? 0) + (q ?? 0))) / 2;
    }
    at += s.length;
  }
  const face = (2 * area) / 1e6;
  const { mass } = stoneVolumes(gross, stone);
  const sample = (gap.sample ?? []).map((s) => ({
    shows: mm(s.shows),
    height: mm(s.height),
    goesIn: mm(s.goesIn),
    sound: s.sound ?? true,
  }));
  const stock = sample.length > 0 ? stockForecast(sample, face) : null;
  const long = stripped.to - stripped.from;
  const ends = [stripped.from, stripped.to].map((x) => sectionAlong(run.stretches, x));
  const middle = sectionAlong(run.stretches, (stripped.from + stripped.to) / 2);
  const rows = throughsIn([{ length: long, ends: [ends[0] ?? middle, ends[1] ?? middle] }], stone.throughs);
  const joints = gap.joints?.map((j) => counts(j, purposeOf(wall)));
  return {
    run: index,
    from,
    to,
    stripped,
    face,
    mass,
    stock,
    bring: stock && face > 0 ? mass * (stock.short / face) : 0,
    throughs: rows.reduce((n, t) => n + t.count, 0),
    kink:
      gap.out && long > 0
        ? { left: (1000 * mm(gap.out.left)) / (long / 2), right: (1000 * mm(gap.out.right)) / (long / 2) }
        : null,
    out: gap.out ? { left: mm(gap.out.left), right: mm(gap.out.right) } : null,
    steps: stepsOf(stone, long, middle.height, rows),
    days: gap.perDay === undefined ? area / 1e6 / GAP_PER_DAY : long / mm(gap.perDay),
    joints: joints ? { count: joints.filter(Boolean).length, passed: joints.filter((j) => !j).length } : null,
  };
}
