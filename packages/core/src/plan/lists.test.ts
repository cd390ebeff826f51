import { Folded } from '../record/fold.js';
import type { ListRow, WorkList } from '../stages/list.js';
import { coursesSaid } from '../stages/bond/lists.js';
import { closed, planOf, sayFor, type OneWall } from '../test/jobs.js';
import { listsOf } from './lists.js';
import type { WallPlan } from './plan.js';

const SHED: OneWall = {
  line: closed("16'", "12'"),
  height: '7\' 4"',
  openings: [
    { id: 'W', run: 0, at: '4\' 3"', width: '3\' 4"', sill: "2'", head: '6\' 8"' },
    { id: 'D', run: 2, at: "4'", width: '3\' 4"', sill: 0, head: '6\' 8"' },
  ],
  wall: {
    steel: {
      vertical: { bar: '#4', every: '32"' },
      beams: [{ course: 'over-openings', bar: '#4', count: 2 }],
    },
    grout: { fill: 'steel' },
  },
};
const NONE = new Folded([]);
const listed = (p: WallPlan, kind: string): WorkList => {
  const list = listsOf(p, NONE).find((l) => l.kind === kind);
  if (!list) throw new Error(`no list ${kind}`);
  return list;
};
const column = (list: WorkList, key: string): ListRow['cells'][number][] => {
  const at = list.columns.findIndex((c) => c.key === key);
  return list.rows.map((r) => r.cells[at] ?? null);
};
const sum = (list: WorkList, key: string): number =>
  column(list, key).reduce<number>((s, v) => s + (typeof v === 'number' ? v : 0), 0);

test('the lists come in the order of the work, every row with a cell for each column and a name of its own', () => {
  const lists = listsOf(planOf(SHED), NONE);
  expect(lists.map((l) => l.kind)).toEqual([
    'courses',
    'cuts',
    'openings',
    'bars',
    'holds',
    'tally',
    'record',
  ]);
  for (const l of lists) {
    expect(l.rows.every((r) => r.cells.length === l.columns.length)).toBe(true);
    expect(new Set(l.rows.map((r) => r.id)).size).toBe(l.rows.length);
  }
});

test('units by course, cuts by length and bars by mark come to what the wall comes to', () => {
  const p = planOf(SHED);
  expect(sum(listed(p, 'courses'), 'units')).toBe(p.tally.total);
  const sawn = p.runs.flatMap((r) => r.rows.flatMap((row) => row.pieces)).filter((x) => x.cutFrom !== null);
  expect(sum(listed(p, 'cuts'), 'pieces')).toBe(sawn.length);
  expect(sum(listed(p, 'courses'), 'sawn')).toBe(sawn.length);
  const bars = listed(p, 'bars');
  const uprights = p.steel.verticals.reduce((s, v) => s + v.bars.length, 0);
  const standing = bars.rows.filter((r) => r.id.startsWith('V')).flatMap((r) => r.spots);
  expect(standing.length).toBeGreaterThanOrEqual(uprights);
});

test('every cut is where its line says: a spot for each piece, as long as the line', () => {
  const p = planOf(SHED);
  for (const row of listed(p, 'cuts').rows) {
    const [length, count] = row.cells as [number, number];
    expect(row.spots).toHaveLength(count);
    for (const s of row.spots) {
      expect(s.w).toBeCloseTo(length, 1);
      const course = p.gauge.courses.find((c) => c.bottom + c.bed <= s.y + 1 && c.top >= s.y + s.h - 1);
      const own = p.runs.find((r) => r.index === s.run)?.rows[(course?.number ?? 0) - 1]?.pieces;
      expect(own?.some((x) => x.cutFrom !== null && Math.abs(x.from - s.x) < 1e-6)).toBe(true);
    }
  }
});

test('a line of the tally lights the units it counts', () => {
  const p = planOf(SHED);
  const tally = listed(p, 'tally');
  const halves = tally.rows.find((r) => r.id.endsWith('/pieces.half'));
  expect(halves?.spots).toHaveLength(p.tally.pieces.half);
  expect(halves?.cells[1]).toEqual({ value: p.tally.pieces.half, is: 'count' });
  expect(tally.rows.find((r) => r.id.endsWith('/mortar.used'))?.spots).toEqual([]);
});

test('a hold is to sign until it is signed', () => {
  const holds = listed(planOf(SHED), 'holds');
  expect(holds.rows.length).toBeGreaterThan(0);
  const say = sayFor('ft-in');
  expect(column(holds, 'state').map((s) => say(s as never))).toContain('to sign');
});

test('courses in a row are said as one: 2–4, 7 and 9', () => {
  expect(sayFor('mm')(coursesSaid([4, 2, 3, 9, 7, 7]))).toBe('2–4, 7 and 9');
});
