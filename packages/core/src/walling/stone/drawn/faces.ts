import { drawn } from '../../../measure/drawn.js';
import type { Mm } from '../../../measure/length.js';
import type { GaugeSolution } from '../../../stages/gauge/solve.js';
import type { SetStone } from '../../../stages/set-out/stone.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { STILE } from '../../../tables/stoneWalls.js';
import { columnsOn, COPE, QUOIN, STONE, THROUGH, type CourseColumns } from '../../pieces.js';
import { sectionAlong } from '../section.js';
import { stoneIn } from '../stretches.js';
import { stoneWork, type RunOfStone } from '../work.js';

/** A stone as it is drawn: where no one knows what will be picked up, one that could be. */
interface Drawn {
  from: Mm;
  to: Mm;
  bottom: Mm;
  top: Mm;
  kind: number;
  corners: number[] | null;
}

/** How a way of laying looks: stones so long for their height, rows so high at the base and at the top, and how far off square. */
interface Look {
  long: readonly [number, number];
  high: readonly [Mm, Mm];
  off: number;
  joint: Mm;
}

/** From the look of such walls; no quantity is taken from it. */
function lookOf({ kind, laid, joint }: SetStone): Look {
  if (kind === 'dry') return { long: [1, 2.6], high: [230, 110], off: 0.16, joint: 10 };
  if (laid === 'flint') return { long: [0.9, 1.5], high: [110, 90], off: 0.3, joint: Math.max(joint, 14) };
  if (laid === 'polygonal') return { long: [0.9, 1.6], high: [300, 240], off: 0.28, joint };
  if (kind === 'squared') return { long: [1.2, 2.8], high: [220, 180], off: 0, joint };
  return { long: [1, 2.4], high: [260, 150], off: 0.14, joint };
}

/** A quoin is so high and so long by turns at most: common practice. */
const QUOIN_HIGH = 300;
const QUOIN_LONG = [500, 300] as const;

type Chance = () => number;
const between = (chance: Chance, [a, b]: readonly [number, number]): number => a + (b - a) * chance();

/** The corners of a rectangle, which way inwards lies from each, and which side of a corner that is cut off is come to first. */
const CORNERS = [
  [0, 0, 1, 1, false],
  [1, 0, -1, 1, true],
  [1, 1, -1, -1, false],
  [0, 1, 1, -1, true],
] as const;

/** A rectangle with its corners pulled in or cut off: none reaches out of its place. Thousands are made at each edit: one list, filled as it goes. */
function pulled(chance: Chance, left: Mm, right: Mm, bottom: Mm, top: Mm, off: number): number[] {
  const most = off * Math.min(right - left, top - bottom);
  const list: number[] = [];
  for (const [atRight, atTop, dx, dy, alongFirst] of CORNERS) {
    const [x, y] = [atRight ? right : left, atTop ? top : bottom];
    const ox = dx * most * chance();
    const oy = dy * most * chance();
    if (chance() >= 0.5) list.push(x + ox / 2, y + oy / 2);
    else if (alongFirst) list.push(x + ox, y, x, y + oy);
    else list.push(x, y + oy, x + ox, y);
  }
  return list;
}

/** Rows between two levels, lower ones higher: big stones lie low. */
function rowsBetween(look: Look, low: Mm, high: Mm, all: Mm, chance: Chance): [Mm, Mm][] {
  const rows: [Mm, Mm][] = [];
  let at = low;
  while (high - at > 1) {
    const part = all > 0 ? at / all : 0;
    const wanted = (look.high[0] + (look.high[1] - look.high[0]) * part) * (0.8 + 0.4 * chance());
    const left = high - at;
    const row = left < wanted * 1.5 ? left : wanted;
    rows.push([at, at + row]);
    at += row;
  }
  return rows;
}

/** Stones from one place to another in a row. */
function stonesAlong(look: Look, from: Mm, to: Mm, [low, high]: readonly [Mm, Mm], chance: Chance): Drawn[] {
  const stones: Drawn[] = [];
  const tall = high - low;
  const half = look.joint / 2;
  const [bottom, top] = [low + half, high - half];
  let at = from;
  while (to - at > 1) {
    const wanted = tall * between(chance, look.long);
    const long = to - at < wanted * 1.4 ? to - at : wanted;
    const left = at + half;
    const right = at + long - half;
    if (right > left && top > bottom)
      stones.push({
        from: left,
        to: right,
        bottom,
        top,
        kind: STONE,
        corners: look.off > 0 ? pulled(chance, left, right, bottom, top, look.off) : null,
      });
    at += long;
  }
  return stones;
}

/** A stone under a top that is not level: no corner of it stands over the wall. */
function clipped(run: RunOfStone, s: Drawn): Drawn {
  const over = (x: Mm): Mm => sectionAlong(run.stretches, x).height;
  const [left, right] = [over(s.from), over(s.to)];
  if (s.top <= Math.min(left, right) + 1) return s;
  const own = s.corners ?? [s.from, s.bottom, s.to, s.bottom, s.to, s.top, s.from, s.top];
  const corners = own.map((v, i) => (i % 2 === 0 ? v : Math.min(v, over(own[i - 1] ?? 0))));
  return { ...s, top: Math.min(s.top, Math.max(left, right)), corners };
}

/** What of a row is wall. */
function opened(run: RunOfStone, low: Mm, high: Mm): { from: Mm; to: Mm }[] {
  const middle = (low + high) / 2;
  const holes = run.holes.filter((h) => h.low < middle && h.high > middle).sort((a, b) => a.from - b.from);
  const spans: { from: Mm; to: Mm }[] = [];
  let from = 0;
  for (const hole of [...holes, { from: run.length, to: run.length }]) {
    if (hole.from > from + 1) spans.push({ from, to: hole.from });
    from = Math.max(from, hole.to);
  }
  return spans;
}

/** Parts of a span that the wall is as high as the middle of a row: under a falling top it stops there. */
function under(run: RunOfStone, span: { from: Mm; to: Mm }, low: Mm): { from: Mm; to: Mm } | null {
  // A wall that is level all along is as high everywhere.
  if (run.stretches.length === 1 && run.stretches.every((r) => r.ends[0].height === r.ends[1].height))
    return (run.stretches[0]?.ends[0].height ?? 0) > low + 1 ? span : null;
  const high = (x: Mm): boolean => sectionAlong(run.stretches, x).height > low + 1;
  const steps = 40;
  const places = Array.from({ length: steps + 1 }, (_, i) => span.from + ((span.to - span.from) * i) / steps);
  const inside = places.filter(high);
  const [first, last] = [inside[0], inside.at(-1)];
  if (first === undefined || last === undefined) return null;
  return { from: first, to: last };
}

/** A squared stone at an end or a jamb, long and short by turns. */
function quoins(
  look: Look,
  span: { from: Mm; to: Mm },
  [low, high]: readonly [Mm, Mm],
  turn: number,
): Drawn[] {
  const long = QUOIN_LONG[turn % 2] ?? QUOIN_LONG[0];
  if (span.to - span.from < 2 * long) return [];
  const [bottom, top] = [low + look.joint / 2, high - look.joint / 2];
  const at = (from: Mm, to: Mm): Drawn => ({ from, to, bottom, top, kind: QUOIN, corners: null });
  return [at(span.from, span.from + long - look.joint / 2), at(span.to - long + look.joint / 2, span.to)];
}

/** The face of a run: row by row between its levels, what goes through it drawn as it is set out. */
function faceRows(
  wall: SetWall,
  gauge: GaugeSolution,
  run: RunOfStone,
  chance: Chance,
): { course: number; stones: Drawn[] }[] {
  const stone = stoneIn(wall);
  const look = lookOf(stone);
  const high = gauge.courses.at(-1)?.top ?? 0;
  const rows: { course: number; stones: Drawn[] }[] = [];
  let turn = 0;
  const level = run.stretches.every((r) => r.ends.every((e) => e.height === wall.height));
  for (const c of gauge.courses) {
    // Where a hole begins or ends stones are laid level.
    const edges = run.holes
      .flatMap((h) => [h.low, h.high])
      .filter((y) => y > c.bottom + 20 && y < c.top - 20);
    const levels = [...new Set([c.bottom, ...edges, c.top])].sort((a, b) => a - b);
    const between = levels
      .slice(1)
      .flatMap((to, i) =>
        stone.laid === 'coursed'
          ? ([[levels[i] ?? 0, to]] as [Mm, Mm][])
          : rowsBetween(look, levels[i] ?? 0, to, high, chance),
      );
    for (const row of between) {
      const drawnRow: Drawn[] = [];
      for (const open of opened(run, row[0], row[1])) {
        const span = under(run, open, row[0]);
        if (!span) continue;
        const ends = quoins(look, span, [row[0], Math.min(row[1], row[0] + QUOIN_HIGH)], turn);
        const [left, right] = ends;
        drawnRow.push(
          ...ends,
          ...stonesAlong(
            look,
            left ? left.to + look.joint / 2 : span.from,
            right ? right.from - look.joint / 2 : span.to,
            row,
            chance,
          ),
        );
      }
      turn++;
      rows.push({ course: c.number, stones: level ? drawnRow : drawnRow.map((d) => clipped(run, d)) });
    }
  }
  return rows;
}

/** Ends of throughs and bonders as they show, mm: about so large. */
const SHOWS = { wide: 240, high: 130 };

const endsShown = (run: RunOfStone): Drawn[] =>
  [...run.throughs, ...run.bonders].flatMap((row) =>
    row.places.map((x) => ({
      from: x - SHOWS.wide / 2,
      to: x + SHOWS.wide / 2,
      bottom: row.at - SHOWS.high / 2,
      top: row.at + SHOWS.high / 2,
      kind: THROUGH,
      corners: null,
    })),
  );

/** Treads of a stile as they stand in the face. */
const treadsShown = (wall: SetWall, gauge: GaugeSolution, index: number): Drawn[] =>
  stoneWork(wall, gauge)
    .treads.filter((t) => t.run === index)
    .map((t) => ({
      from: t.at - STILE.going / 2,
      to: t.at + STILE.going / 2,
      bottom: t.top - STILE.thick,
      top: t.top,
      kind: THROUGH,
      corners: null,
    }));

/** Lacing courses as they lie in the face, unit by unit. */
function lacingShown(wall: SetWall, gauge: GaugeSolution, run: RunOfStone): Drawn[] {
  const { lacing, joint } = stoneIn(wall);
  const heights = stoneWork(wall, gauge).lacing?.heights ?? [];
  if (!lacing) return [];
  const pitch = lacing.length + joint;
  return heights.flatMap((up) =>
    Array.from(
      { length: lacing.courses },
      (_, k) => up - (lacing.courses - k) * (lacing.height + 10),
    ).flatMap((bottom, k) =>
      opened(run, bottom, bottom + lacing.height).flatMap((span) => {
        const lap = k % 2 === 0 ? 0 : pitch / 2;
        const count = Math.ceil((span.to - span.from + lap) / pitch);
        return Array.from({ length: count }, (_, i): Drawn => {
          const from = Math.max(span.from, span.from - lap + i * pitch);
          const to = Math.min(span.to, span.from - lap + (i + 1) * pitch - joint);
          return { from, to, bottom, top: bottom + lacing.height, kind: QUOIN, corners: null };
        }).filter((s) => s.to - s.from > 1);
      }),
    ),
  );
}

/** Copes from the low end up, each as thick as they are stated. */
function copesShown(stone: SetStone, run: RunOfStone): Drawn[] {
  const { copes } = stone;
  if (!copes) return [];
  const gap = copes.kind === 'flat' ? 4 : Math.min(6, copes.each / 8);
  return run.coped.flatMap(({ from, to }) => {
    const count = Math.max(1, Math.ceil((to - from) / copes.each - 1e-6));
    const rises = sectionAlong(run.stretches, to).height >= sectionAlong(run.stretches, from).height;
    return Array.from({ length: count }, (_, k) => k).flatMap((k): Drawn[] => {
      const a = rises ? from + k * copes.each : to - (k + 1) * copes.each;
      const [left, right] = [Math.max(from, a) + gap / 2, Math.min(to, a + copes.each) - gap / 2];
      // The last of them may be no more than a joint.
      if (right - left < 1) return [];
      const foot = sectionAlong(run.stretches, (left + right) / 2).height;
      const top = foot + copes.height;
      const lean = copes.kind === 'slanting' ? Math.min(copes.each, copes.height / 3) : 0;
      return [
        {
          from: left,
          to: right,
          bottom: foot,
          top,
          kind: COPE,
          corners: lean > 0 ? [left, foot, right, foot, right + lean, top, left + lean, top] : null,
        },
      ];
    });
  });
}

function columnsOf(course: number, stones: readonly Drawn[]): CourseColumns {
  const corners = stones.reduce((sum, s) => sum + (s.corners?.length ?? 0) / 2, 0);
  const c = columnsOn(course, stones.length, corners);
  let at = 0;
  stones.forEach((s, i) => {
    c.from[i] = s.from;
    c.to[i] = s.to;
    c.bottom[i] = s.bottom;
    c.top[i] = s.top;
    c.kind[i] = s.kind;
    if (corners === 0) return;
    if (s.corners) c.points.set(s.corners, 2 * at);
    at += (s.corners?.length ?? 0) / 2;
    c.offsets[i + 1] = at;
  });
  return c;
}

/** Where a seed is taken from a name: the same wall is drawn the same. */
const seedOf = (text: string): number => [...text].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) | 0, 7);

/**
 * A run of rough stone as it may come to look: what is set out (throughs, bonders, copes, ends, levels) where it is, and stones between that
 * nobody has picked up yet. Drawn to be seen, never counted.
 */
export function stoneFace(wall: SetWall, gauge: GaugeSolution, index: number): CourseColumns[] {
  const run = stoneWork(wall, gauge).runs[index];
  if (!run) return [];
  const chance = drawn(seedOf(`${wall.id}/${index}`));
  const rows = faceRows(wall, gauge, run, chance);
  const last = gauge.courses.length;
  const through = [...lacingShown(wall, gauge, run), ...endsShown(run), ...treadsShown(wall, gauge, index)];
  return gauge.courses.map((c) =>
    columnsOf(c.number, [
      ...rows.filter((r) => r.course === c.number).flatMap((r) => r.stones),
      ...through.filter((s) => (s.bottom + s.top) / 2 > c.bottom && (s.bottom + s.top) / 2 <= c.top),
      ...(c.number === last ? copesShown(stoneIn(wall), run) : []),
    ]),
  );
}

/** A run whose stones are known, its copes with the last course. */
export function withCopes(
  wall: SetWall,
  gauge: GaugeSolution,
  index: number,
  courses: CourseColumns[],
): CourseColumns[] {
  const run = stoneWork(wall, gauge).runs[index];
  const copes = run ? copesShown(stoneIn(wall), run) : [];
  const last = courses.at(-1);
  if (copes.length === 0 || !last) return courses;
  const known = Array.from(last.from, (from, i): Drawn => ({
    from,
    to: last.to[i] ?? from,
    bottom: last.bottom[i] ?? 0,
    top: last.top[i] ?? 0,
    kind: last.kind[i] ?? 0,
    corners: null,
  }));
  return [...courses.slice(0, -1), columnsOf(last.course, [...known, ...copes])];
}
