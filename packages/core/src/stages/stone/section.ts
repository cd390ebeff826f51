import { drawn } from '../../measure/drawn.js';
import { sayMm } from '../../measure/format.js';
import type { Mm } from '../../measure/length.js';
import { line, rect, shape, words, type SceneShape } from '../../shapes/shape.js';
import { BONDER_LENGTH } from '../../tables/stoneWalls.js';
import { offsetsAt, sectionAlong, widthAt, type Section, type Stretch } from '../../walling/stone/section.js';
import { stoneIn } from '../../walling/stone/stretches.js';
import { stoneWork } from '../../walling/stone/work.js';
import type { Laid } from './lists.js';

/** As they are drawn: how high stones of a face are at the base and at the top, and what goes through, mm. */
const [LOW, HIGH, THROUGH] = [210, 120, 130];
const GAP = 8;
const BESIDE = 40;

type Strip = readonly [Mm, Mm];

/** A stone that holds the faces together, as it is cut: through all of the wall, or so much of it in from one face. */
interface Through {
  at: Mm;
  part: number;
  from: 'outer' | 'inner';
}

/** Stones of both faces row by row, by turns deep and shallow, and hearting between; a through where a row of them lies. */
function rowsCut(
  at: Section,
  hearting: number,
  rows: readonly Through[],
  batter: (h: Mm) => Mm,
): SceneShape[] {
  const chance = drawn(97);
  const shapes: SceneShape[] = [];
  const width = (h: Mm): Mm => widthAt(at, h);
  let low = 0;
  while (low < at.height - 1) {
    const row = rows.find((r) => r.at - THROUGH / 2 <= low + 1 && r.at + THROUGH / 2 > low + 1);
    const next = rows
      .map((r) => r.at)
      .filter((y) => y - THROUGH / 2 > low + 1)
      .sort((a, b) => a - b)[0];
    const wanted = row !== undefined ? THROUGH : LOW + ((HIGH - LOW) * low) / at.height;
    const stop = Math.min(at.height, next === undefined ? Infinity : next - THROUGH / 2);
    const high = stop - (low + wanted) < 50 ? stop : low + wanted;
    const quad = ([a, b]: Strip, to: Strip): SceneShape =>
      shape('unit-cut', [
        [a, low + GAP / 2],
        [b, low + GAP / 2],
        [to[1], high - GAP / 2],
        [to[0], high - GAP / 2],
      ]);
    const [from, till] = [batter(low), batter(high)];
    const [w, v] = [width(low), width(high)];
    if (row) {
      // A bonder that does not go through lies in from one face, the next one in from the other.
      const a = row.from === 'inner' ? 1 - row.part : 0;
      const b = row.from === 'inner' ? 1 : row.part;
      shapes.push(quad([from + w * a, from + w * b], [till + v * a, till + v * b]));
      if (row.part < 1) {
        const [c, d] = row.from === 'inner' ? [0, 0.92 - row.part] : [row.part + 0.08, 1];
        shapes.push(quad([from + w * c, from + w * d], [till + v * c, till + v * d]));
      }
    } else {
      // Each face takes its share of the thickness, one stone deeper than the next.
      const share = (1 - hearting) / 2;
      const deep = (): number => share * (0.75 + 0.5 * chance());
      const [outer, inner] = [Math.min(0.48, deep()), Math.min(0.48, deep())];
      shapes.push(
        quad([from, from + w * outer], [till, till + v * outer]),
        quad([from + w * (1 - inner), from + w], [till + v * (1 - inner), till + v]),
      );
    }
    low = high;
  }
  return shapes;
}

/** A stone wall cut through: its two faces as they lean, hearting between, what goes through, copes and footing, and how wide it is. */
export function stoneSection(work: Laid, run: number, at: Mm): SceneShape[] {
  const { wall, gauge } = work;
  if (!wall.stone || wall.stone.kind === 'ashlar') return [];
  const stone = stoneIn(wall);
  const done = stoneWork(wall, gauge).runs[run];
  if (!done) return [];
  const here = sectionAlong(done.stretches, at);
  const batter = (h: Mm): Mm => offsetsAt(here, h).outer;
  const rows = [
    ...done.throughs.map(({ at: y }): Through => ({ at: y, part: 1, from: 'outer' })),
    ...done.bonders.map(({ at: y }, i): Through => ({
      at: y,
      part: BONDER_LENGTH,
      from: i % 2 === 0 ? 'outer' : 'inner',
    })),
  ].filter((r) => r.at < here.height);
  const foot: SceneShape[] = stone.footing
    ? [
        rect(
          'footing',
          -stone.footing.past,
          -stone.footing.depth,
          here.base + 2 * stone.footing.past,
          stone.footing.depth,
        ),
      ]
    : [];
  const body = shape('core-cut', [
    [0, 0],
    [here.base, 0],
    [here.base - batter(here.height), here.height],
    [batter(here.height), here.height],
  ]);
  const copes: SceneShape[] = stone.copes
    ? [rect('unit-cut', batter(here.height), here.height + GAP / 2, here.top, stone.copes.height)]
    : [];
  const leans = here.base - here.top > 1;
  return [
    ...foot,
    body,
    ...rowsCut(here, stone.faces === 2 ? stone.hearting : 0, stone.faces === 2 ? rows : [], batter),
    ...copes,
    ...(leans
      ? [
          line('dimension', batter(here.height), here.height, batter(here.height), 0),
          line('dimension', 0, 0, here.base, 0),
          words('dimension-name', here.base / 2, -BESIDE - 40, sayMm(here.base, wall.show), 'middle'),
        ]
      : []),
  ];
}

/** Places along a run where one stretch of it goes over into the next. */
const turnsOf = (stretches: readonly Stretch[]): Mm[] =>
  stretches.slice(0, -1).map((_, i) => stretches.slice(0, i + 1).reduce((sum, s) => sum + s.length, 0));

/** What of a stone wall is seen from above at the foot of a level: its two faces, and the stones that go through in it. */
export function stoneAbove(work: Laid, run: number, course: number): SceneShape[] {
  const { wall, gauge } = work;
  const c = gauge.courses[course - 1];
  const done = wall.stone && wall.stone.kind !== 'ashlar' ? stoneWork(wall, gauge).runs[run] : undefined;
  if (!done || !c) return [];
  // What of it is wall at the foot of the level: holes part it.
  const holes = done.holes
    .filter((h) => h.low < c.bottom + 1 && h.high > c.bottom + 1)
    .sort((a, b) => a.from - b.from);
  const spans: Strip[] = [];
  let from = 0;
  for (const hole of [...holes, { from: done.length, to: done.length }]) {
    if (hole.from > from + 1) spans.push([from, hole.from]);
    from = Math.max(from, hole.to);
  }
  const band = ([a, b]: Strip): SceneShape => {
    const at = [a, ...turnsOf(done.stretches).filter((x) => x > a + 1 && x < b - 1), b];
    const edges = at.map((x) => ({ x, ...offsetsAt(sectionAlong(done.stretches, x), c.bottom) }));
    return shape(
      'unit-plan',
      [
        ...edges.map((e) => [e.x, e.outer] as const),
        ...[...edges].reverse().map((e) => [e.x, e.outer + e.width] as const),
      ],
      'stretcher',
    );
  };
  const through = [...done.throughs, ...done.bonders].filter((t) => t.at > c.bottom && t.at <= c.top);
  return [
    ...spans.map(band),
    ...through.flatMap((t) =>
      t.places.map((x) => {
        const { width, outer } = offsetsAt(sectionAlong(done.stretches, x), t.at);
        return rect('unit-plan', x - 120, outer, 240, width, 'beam');
      }),
    ),
  ];
}
