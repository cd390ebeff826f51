import { CUBIC_METRE_MM3, type CubicMetres, type Kilograms, type Mm } from '../../measure/length.js';
import type { GaugeSolution } from '../../stages/gauge/solve.js';
import type { SetWall } from '../../stages/set-out/wall.js';
import { BONDER_LENGTH } from '../../tables/stoneWalls.js';
import { ashlarOf, stoneOfAshlar } from './ashlar/lay.js';
import { bridgesOf, type Bridge } from './bridges.js';
import { peaksOf, type PeakStone } from './peaks.js';
import { pillarsOf, type Pillar } from './pillars.js';
import { lengthOf, offsetsAt, sectionAlong, widthAt, type Offsets, type Section } from './section.js';
import { middleLength, runVolume, stoneIn, stoneRuns, type StoneRun } from './stretches.js';
import { treadsOf, type Tread } from './stiles.js';
import { copesOn, rowsUp, throughsIn, type Throughs } from './throughs.js';
import { copesWeigh, stoneVolumes, type StoneVolumes } from './volumes.js';

/** One run of a stone wall, and what it comes to. */
export interface RunOfStone extends StoneRun {
  volumes: StoneVolumes;
  /** Gross of each level, from the lowest, m³. */
  levels: CubicMetres[];
  throughs: Throughs[];
  bonders: Throughs[];
  /** Where its top is coped. */
  coped: { from: Mm; to: Mm }[];
}

/** Where the lines of both faces stand at a height, at one end of a run. */
export interface LineAt extends Offsets {
  run: number;
  end: 0 | 1;
}

/** What a stone wall comes to. */
export interface StoneWork {
  volumes: StoneVolumes;
  runs: RunOfStone[];
  /** Rows of throughs of all runs, from the lowest up. */
  throughs: { at: Mm; count: number; length: Mm }[];
  bonders: { count: number; length: Mm };
  copes: { count: number; mass: Kilograms; width: Mm } | null;
  footing: { volume: CubicMetres; mass: Kilograms } | null;
  lines: { height: Mm; offset: LineAt[] }[];
  /** Courses of units laid level through it: their heights, and how many units in all. */
  lacing: { heights: Mm[]; units: number } | null;
  /** Treads of its stiles. */
  treads: Tread[];
  /** Pillars that go up first, of a wall that is built so. */
  pillars: Pillar[];
  /** What lies over smoots and culverts, and the last stones of gables. */
  bridges: Bridge[];
  peaks: PeakStone[];
}

/** The section at one end of a run. */
export function endOf(run: StoneRun, end: 0 | 1): Section {
  const stretch = end === 0 ? run.stretches[0] : run.stretches.at(-1);
  return stretch?.ends[end] ?? { base: 0, top: 0, height: 0 };
}

/** Stretches of a run’s top that no hole comes up to: what is coped. */
function copedOf({ stretches, holes, length }: StoneRun): { from: Mm; to: Mm }[] {
  const gaps = holes
    .filter((h) => h.high >= sectionAlong(stretches, (h.from + h.to) / 2).height - 1)
    .sort((a, b) => a.from - b.from);
  const coped: { from: Mm; to: Mm }[] = [];
  let from = 0;
  for (const gap of [...gaps, { from: length, to: length }]) {
    if (gap.from > from + 1) coped.push({ from, to: gap.from });
    from = Math.max(from, gap.to);
  }
  return coped;
}

/** How long a coped stretch is: as it lies where copes stand upright, along its slope where they lean or lie. */
function alongTop(run: StoneRun, { from, to }: { from: Mm; to: Mm }, sloped: boolean): Mm {
  if (!sloped) return to - from;
  let [at, sum] = [0, 0];
  for (const s of run.stretches) {
    const [a, b] = [Math.max(from, at), Math.min(to, at + s.length)];
    if (b > a) sum += (b - a) * Math.hypot(1, (s.ends[1].height - s.ends[0].height) / s.length);
    at += s.length;
  }
  return sum;
}

/** Of ashlar the stone is what its joints leave. */
function ashlarShare(wall: SetWall, gauge: GaugeSolution, run: number, gross: CubicMetres): number {
  const stones = ashlarOf(wall, gauge).stones.filter((s) => s.run === run);
  return gross > 0 ? Math.min(1, stoneOfAshlar({ stones }) / gross) : 1;
}

function runOfStone(wall: SetWall, run: StoneRun, gauge: GaugeSolution): RunOfStone {
  const stone = stoneIn(wall);
  const { bonders } = stone;
  const gross = runVolume(run, [0, Infinity]);
  const share = stone.kind === 'ashlar' ? ashlarShare(wall, gauge, run.run, gross) : stone.share;
  return {
    ...run,
    volumes: stoneVolumes(gross, { ...stone, share }),
    levels: gauge.courses.map((c) => runVolume(run, [c.bottom, c.top])),
    throughs: throughsIn(run.stretches, stone.throughs, run.holes),
    bonders: bonders
      ? throughsIn(run.stretches, rowsUp(run.stretches, bonders.along, bonders.up), run.holes)
      : [],
    coped: stone.copes ? copedOf(run) : [],
  };
}

/** Heights a line is set at: base, every row of throughs, half of each end’s height, and its top. */
function heightsOf(wall: SetWall, runs: readonly StoneRun[]): Mm[] {
  const ends = runs.flatMap((r) => [endOf(r, 0).height, endOf(r, 1).height]);
  const high = Math.max(...ends);
  const rows = stoneIn(wall)
    .throughs.map((t) => t.at)
    .filter((at) => at < high);
  const all = [0, ...rows, ...ends.flatMap((h) => [h / 2, h])].sort((a, b) => a - b);
  return all.filter((h, i) => i === 0 || h - (all[i - 1] ?? 0) > 0.5);
}

const linesOf = (wall: SetWall, runs: readonly StoneRun[]): StoneWork['lines'] =>
  heightsOf(wall, runs).map((height) => ({
    height,
    offset: runs.flatMap((r) =>
      ([0, 1] as const).flatMap((end): LineAt[] => {
        const section = endOf(r, end);
        return height > section.height + 0.5 ? [] : [{ run: r.run, end, ...offsetsAt(section, height) }];
      }),
    ),
  }));

/** The rows of all runs at one height together. */
function rowsOfAll(runs: readonly RunOfStone[]): StoneWork['throughs'] {
  const rows = new Map<Mm, { at: Mm; count: number; length: Mm }>();
  for (const { at, count, length } of runs.flatMap((r) => r.throughs)) {
    const row = rows.get(at) ?? { at, count: 0, length: 0 };
    rows.set(at, { at, count: row.count + count, length: Math.max(row.length, length) });
  }
  return [...rows.values()].sort((a, b) => a.at - b.at);
}

function copesOf(wall: SetWall, runs: readonly RunOfStone[]): StoneWork['copes'] {
  const { copes, stone, top: width } = stoneIn(wall);
  if (!copes) return null;
  const sloped = copes.kind !== 'upright';
  const lengths = runs.flatMap((r) => r.coped.map((c) => alongTop(r, c, sloped)));
  return {
    count: lengths.reduce((sum, l) => sum + copesOn(l, copes.each), 0),
    mass: lengths.reduce(
      (sum, length) =>
        sum +
        copesWeigh(
          { length, width, height: copes.height },
          stone.density,
          // Flat ones lie joint to joint; those on edge have gaps between them.
          copes.kind === 'flat' ? 0 : undefined,
        ),
      0,
    ),
    width,
  };
}

function footingOf(wall: SetWall, runs: readonly StoneRun[]): StoneWork['footing'] {
  const { footing, base, stone, voids } = stoneIn(wall);
  if (!footing) return null;
  const length = runs.reduce((sum, r) => sum + middleLength(r), 0);
  const volume = (length * (base + 2 * footing.past) * footing.depth) / CUBIC_METRE_MM3;
  return { volume, mass: volume * (1 - voids) * stone.density };
}

/** Lacing courses: as many as there are whole heights of them under the top, each as long as the wall is there and through all of it. */
function lacingOf(wall: SetWall, runs: readonly StoneRun[]): StoneWork['lacing'] {
  const { lacing, joint } = stoneIn(wall);
  if (!lacing) return null;
  const high = Math.max(...runs.flatMap((r) => r.stretches.flatMap((s) => s.ends.map((e) => e.height))));
  const heights = Array.from(
    { length: Math.max(0, Math.ceil(high / lacing.every - 1e-9) - 1) },
    (_, k) => (k + 1) * lacing.every,
  );
  const units = heights.reduce((sum, up) => {
    const ofRun = (run: StoneRun): number => {
      const section = sectionAlong(run.stretches, run.length / 2);
      const across = Math.max(1, Math.round((widthAt(section, up) + joint) / (lacing.width + joint)));
      const along = lengthAt(run, up);
      return along > 0 ? Math.ceil((along + joint) / (lacing.length + joint) - 1e-9) * across : 0;
    };
    return sum + lacing.courses * runs.reduce((n, r) => n + ofRun(r), 0);
  }, 0);
  return { heights, units };
}

/** How long a run is at a height: where its top is over it, and no hole is. */
function lengthAt(run: StoneRun, up: Mm): Mm {
  let [from, sum] = [0, 0];
  for (const s of run.stretches) {
    const [a, b] = s.ends;
    const part =
      a.height === b.height
        ? a.height > up
          ? 1
          : 0
        : Math.abs(Math.max(a.height, b.height) - up) / Math.abs(b.height - a.height);
    if (Math.max(a.height, b.height) > up) sum += s.length * Math.min(1, part);
    from += s.length;
  }
  const holes = run.holes
    .filter((h) => h.low < up && h.high > up)
    .reduce((n, h) => n + Math.min(h.to, from) - Math.max(0, h.from), 0);
  return Math.max(0, sum - holes - run.trims[0] - run.trims[1]);
}

/** Everything a stone wall comes to, summed over its runs. */
function workOut(wall: SetWall, gauge: GaugeSolution): StoneWork {
  const runs = stoneRuns(wall, gauge).map((r) => runOfStone(wall, r, gauge));
  const sum = (of: keyof StoneVolumes): number => runs.reduce((n, r) => n + r.volumes[of], 0);
  return {
    volumes: {
      gross: sum('gross'),
      face: sum('face'),
      back: sum('back'),
      hearting: sum('hearting'),
      mortar: sum('mortar'),
      voids: sum('voids'),
      mass: sum('mass'),
      ordered: sum('ordered'),
    },
    runs,
    throughs: rowsOfAll(runs),
    bonders: {
      count: runs.reduce((sum, r) => sum + r.bonders.reduce((s, row) => s + row.count, 0), 0),
      length: stoneIn(wall).base * BONDER_LENGTH,
    },
    copes: copesOf(wall, runs),
    footing: footingOf(wall, runs),
    lines: linesOf(wall, runs),
    lacing: lacingOf(wall, runs),
    treads: treadsOf(wall, runs),
    pillars: pillarsOf(wall, runs),
    bridges: bridgesOf(wall, runs),
    peaks: peaksOf(wall, runs),
  };
}

const known = new WeakMap<SetWall, StoneWork>();

/** What a stone wall comes to, worked out once for each wall as it is set out. */
export function stoneWork(wall: SetWall, gauge: GaugeSolution): StoneWork {
  const had = known.get(wall);
  if (had) return had;
  const made = workOut(wall, gauge);
  known.set(wall, made);
  return made;
}

/** Everything that comes by lorry, kg: stone with its waste, copes and what the footing takes. */
export const toBring = ({ volumes, copes, footing }: StoneWork): Kilograms =>
  volumes.ordered + (copes?.mass ?? 0) + (footing?.mass ?? 0);

/** How long all its runs are on their outside faces, mm. */
export const runsLength = (work: StoneWork): Mm =>
  work.runs.reduce((sum, r) => sum + lengthOf(r.stretches), 0);
