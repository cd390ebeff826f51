import { sayMm, type Show } from '../../measure/format.js';
import type { Say } from '../../messages/message.js';
import { rect, words, type SceneShape } from '../../shapes/shape.js';
import { LIFT_MOST } from '../../tables/stoneWalls.js';
import { ashlarOf } from '../../walling/stone/ashlar/lay.js';
import { STONES_SAY as SAYS } from '../../walling/stone/messages.js';
import { laidSo, wallingName, weathersAs } from '../../walling/stone/names.js';
import { batterOf, offsetsAt } from '../../walling/stone/section.js';
import { stoneIn } from '../../walling/stone/stretches.js';
import { endOf, stoneWork } from '../../walling/stone/work.js';
import { sayQuantity, type Quantity } from '../figure.js';
import type { Cell, WorkList } from '../list.js';
import { CAUTION, type PaperSheet, type PaperTable } from '../paper.js';
import { cutStones, stoneList, type Laid } from './lists.js';

/** A cell as it is read. */
function read(cell: Cell, is: Quantity, show: Show, say: Say): string {
  if (cell === null) return '';
  if (typeof cell === 'number') return sayQuantity(cell, is, show);
  if (typeof cell === 'object' && 'is' in cell) return sayQuantity(cell.value, cell.is, show);
  return say(cell);
}

/** A list as a table on paper. */
const tableOf = (list: WorkList, show: Show, say: Say): PaperTable => ({
  name: say(list.name),
  head: list.columns.map((c) => say(c.name)),
  figures: list.columns.flatMap((c, i) => (c.is === 'text' ? [] : [i])),
  rows: list.rows.map((row) =>
    row.cells.map((cell, i) => read(cell, list.columns[i]?.is ?? 'text', show, say)),
  ),
});

/** Heights a frame is marked at: each so far up, and its top, mm. */
const EVERY = 150;

/** The frames of every end: how far in each line stands, height by height. What is printed full size besides is drawn from the same. */
export function framesSheet(
  job: string,
  { wall, gauge }: Laid,
  _run: number,
  show: Show,
  say: Say,
): PaperSheet {
  const stone = stoneIn(wall);
  const { runs, pillars } = stoneWork(wall, gauge);
  const byPillars = pillars.length > 0;
  const named = (run: number): string => wall.runs[run]?.name ?? '';
  const stands = byPillars
    ? pillars.map((p) => ({
        called: SAYS['pillar-at']({ run: named(p.run), at: p.at, high: p.section.height }),
        at: p.section,
      }))
    : runs.flatMap((r) =>
        ([0, 1] as const).map((end) => ({
          called: SAYS['frame-at']({
            run: named(r.run),
            end: end === 0 ? 'start' : 'end',
            high: endOf(r, end).height,
          }),
          at: endOf(r, end),
        })),
      );
  return {
    title: say(byPillars ? SAYS['pillars-of']({ wall: wall.name }) : SAYS['frames-of']({ wall: wall.name })),
    sub: say(SAYS['frames-sub']({ job, base: stone.base, top: stone.top })),
    says: [byPillars ? SAYS['pillars-says']() : SAYS['frames-says']()].map(say),
    drawing: null,
    tables: stands.map(({ called, at }): PaperTable => {
      const heights = [
        ...Array.from({ length: Math.floor((at.height - 1) / EVERY) + 1 }, (_, i) => i * EVERY),
        at.height,
      ];
      const batter = batterOf(at);
      const leans = Number.isFinite(batter) ? SAYS['frames-batter']({ batter }) : SAYS['frames-plumb']();
      return {
        name: `${say(called)}; ${say(leans)}`,
        head: [SAYS.height(), SAYS.width(), SAYS.outer(), SAYS.inner()].map(say),
        figures: [0, 1, 2, 3],
        rows: heights.map((h) => {
          const { width, outer, inner } = offsetsAt(at, h);
          return [h, width, outer, inner].map((x) => sayMm(x, show));
        }),
      };
    }),
    caution: say(CAUTION),
  };
}

/** Stone by use, to sort it by before the first is laid. */
export function sortSheet(job: string, work: Laid, _run: number, show: Show, say: Say): PaperSheet {
  const stone = stoneIn(work.wall);
  return {
    title: say(SAYS['sort-of']({ wall: work.wall.name })),
    sub: say(SAYS['sort-sub']({ job, stone: wallingName(stone) })),
    says: [
      SAYS['sort-says'](),
      laidSo(stone),
      ...(stone.kind === 'dry' ? [] : [stone.stone.porous ? SAYS['sort-wet']() : SAYS['sort-dry']()]),
      weathersAs(stone),
    ].map(say),
    drawing: null,
    tables: [tableOf(stoneList(work), show, say)],
    caution: say(CAUTION),
  };
}

/** Runs of a wall stand so far from one another on its setting-out drawing, mm. */
const APART = 600;

/** Every run with its stones where they lie, each with its number. */
function setOutDrawing(work: Laid): PaperSheet['drawing'] {
  const { stones } = ashlarOf(work.wall, work.gauge);
  const starts = work.wall.runs.map((_, i) =>
    work.wall.runs.slice(0, i).reduce((sum, r) => sum + r.length + APART, 0),
  );
  const shapes: SceneShape[] = stones.flatMap((s) => {
    const x = (starts[s.run] ?? 0) + s.from;
    return [
      rect('unit-cut', x, s.bottom, s.to - s.from, s.top - s.bottom),
      words('dimension-name', x + (s.to - s.from) / 2, (s.bottom + s.top) / 2, s.number, 'middle'),
    ];
  });
  const last = work.wall.runs.length - 1;
  return {
    box: {
      x: 0,
      y: 0,
      w: (starts[last] ?? 0) + (work.wall.runs[last]?.length ?? 0),
      h: Math.max(0, ...stones.map((s) => s.top)),
    },
    shapes,
  };
}

/** Every stone to be cut, by its number. */
export function cutSheet(job: string, work: Laid, _run: number, show: Show, say: Say): PaperSheet {
  const { stones } = ashlarOf(work.wall, work.gauge);
  const mass = stones.reduce((sum, s) => sum + s.mass, 0);
  const heavy = stones.some((s) => s.mass > LIFT_MOST);
  return {
    title: say(SAYS['cut-of']({ wall: work.wall.name })),
    sub: say(SAYS['cut-sub']({ job, count: stones.length, mass })),
    says: heavy ? [say(SAYS['cut-lift']({ most: LIFT_MOST }))] : [],
    drawing: setOutDrawing(work),
    tables: [tableOf(cutStones(work), show, say)],
    caution: say(CAUTION),
  };
}
