import { planJson } from '../../../plan/json.js';
import { plan } from '../../../plan/plan.js';
import { jobOf, planOf, straight, type OneWall, sayFor } from '../../../test/jobs.js';
import { steelView } from '../../../scene/steelView.js';
import { carryingLeaf } from './leaf.js';

interface LeafSaid {
  leaf: number;
  offset: number;
  thickness: number;
  unit: string;
  carries: boolean;
  courses: { top: number }[];
  rows: { course: number; leaf: number; pieces: { kind: string; from: number; to: number }[] }[];
}

const said = (w: OneWall) =>
  (
    planJson(plan(jobOf(w), [], { advise: false }), sayFor('mm')) as {
      walls: {
        leaves: LeafSaid[];
        rows: LeafSaid['rows'];
        inner?: { rows: LeafSaid['rows'] };
        bars: { leaf: number }[];
        cells: { leaf: number }[];
        units: { total: number };
      }[];
    }
  ).walls[0];

const block: OneWall = { line: straight("16'"), height: "8'", unit: 'cmu-8x8x16' };
const twoWythes: OneWall = { ...block, unit: 'cmu-4x8x16', build: { wythes: 2, bond: 'half' } };
const reinforced: OneWall['wall'] = {
  held: 'floors',
  steel: { vertical: { bar: '#4', every: '32"' }, beams: [{ course: 'top', bar: '#4', count: 1 }] },
  grout: { fill: 'steel' },
};

test('a wall of one leaf is one leaf, which carries', () => {
  const p = said(block);
  expect(p?.leaves.map((l) => [l.leaf, l.offset, l.unit, l.carries])).toEqual([[0, 0, 'cmu-8x8x16', true]]);
  expect(p?.leaves[0]?.thickness).toBeCloseTo(7.625 * 25.4, 6);
});

test('leaves lie one behind the other: a wythe and its joint, or a leaf and its cavity', () => {
  const [, tied] = said(twoWythes)?.leaves ?? [];
  expect(tied?.offset).toBeCloseTo((3.625 + 0.375) * 25.4, 6);
  const cavity = said({
    line: [{ run: 4500 }],
    height: 2250,
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    show: 'mm',
    build: { cavity: { inner: 'block-440x215x100', width: 75 } },
  });
  expect(cavity?.leaves.map((l) => [l.offset, l.thickness, l.courses.length])).toEqual([
    [0, 102.5, 30],
    [177.5, 100, 10],
  ]);
});

test.each([
  ['one leaf', block],
  ['tied', twoWythes],
  [
    'bonded',
    { ...block, unit: 'brick-215x102.5x65', lengths: 'actual', build: { wythes: 2, bond: 'english' } },
  ],
  [
    'with piers',
    { ...block, unit: 'brick-215x102.5x65', wall: { piers: [{ id: 'P', run: 0, at: "8'", width: 440 }] } },
  ],
  [
    'across a cavity',
    { ...block, unit: 'brick-modular-us', build: { cavity: { inner: 'cmu-8x8x16', width: 50 } } },
  ],
] as [string, OneWall][])('rows and inner repeat the leaves, %s: every piece once, and no other', (_, w) => {
  const p = said(w);
  const rows = [...(p?.rows ?? []), ...(p?.inner?.rows ?? [])];
  expect(new Set(p?.leaves.flatMap((l) => l.rows))).toEqual(new Set(rows));
  expect(rows.reduce((sum, r) => sum + r.pieces.length, 0)).toBe(p?.units.total);
});

describe('which leaf carries', () => {
  const carriesIn = (carries: 'outer' | 'inner'): OneWall => ({
    ...twoWythes,
    unit: 'cmu-8x8x16',
    build: { wythes: 2, bond: 'half', carries },
    wall: reinforced,
  });

  test.each([
    ['outer', 0],
    ['inner', 1],
  ] as const)('%s: bars, cells and the beam stand in it and not in the other', (carries, index) => {
    const p = planOf(carriesIn(carries));
    expect(carryingLeaf(p).index).toBe(index);
    const top = p.leaves.map((l) => l.runs[0]?.rows[11]?.pieces.some((x) => x.kind === 'beam'));
    expect(top).toEqual([index === 0, index === 1]);
    const json = said(carriesIn(carries));
    expect(new Set(json?.bars.map((b) => b.leaf))).toEqual(new Set([index]));
    expect(new Set(json?.cells.map((c) => c.leaf))).toEqual(new Set([index]));
    expect(json?.leaves.map((l) => l.carries)).toEqual([index === 0, index === 1]);
  });

  test('the bench offers the choice where there is one', () => {
    const offered = (w: OneWall): unknown => steelView(planOf(w), 0).carries;
    expect(offered(carriesIn('inner'))).toBe('inner');
    expect(offered(twoWythes)).toBe('outer');
    expect(offered(block)).toBeNull();
    expect(
      offered({ ...block, unit: 'brick-modular-us', build: { cavity: { inner: 'cmu-8x8x16', width: 50 } } }),
    ).toBeNull();
  });

  test('behind a cavity too, where both have cells', () => {
    const both = { ...block, build: { cavity: { inner: 'cmu-8x8x16', width: 50 } }, wall: reinforced };
    expect(carryingLeaf(planOf(both)).index).toBe(0);
    expect(carryingLeaf(planOf({ ...both, build: { ...both.build, carries: 'inner' } })).index).toBe(1);
  });

  test('a leaf that is not there, or that alone has no cells, is said and put right', () => {
    const solid = {
      ...block,
      unit: 'brick-modular-us',
      build: { cavity: { inner: 'cmu-8x8x16', width: 50 }, carries: 'outer' },
      wall: reinforced,
    } as OneWall;
    const absent = { ...block, build: { carries: 'inner' }, wall: reinforced } as OneWall;
    for (const w of [solid, absent]) {
      const found = planOf(w, true).findings.find((f) => f.code === 'leaf-cannot-carry');
      expect(found?.fixes.length).toBeGreaterThan(0);
    }
    expect(planOf(carriesIn('inner')).findings.map((f) => f.code)).not.toContain('leaf-cannot-carry');
  });
});
