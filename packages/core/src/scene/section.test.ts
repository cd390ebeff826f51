import { cavityPlaces } from '../stages/cavity/places.js';
import type { SceneShape } from '../shapes/shape.js';
import { planOf, straight, type OneWall } from '../test/jobs.js';
import { sectionOf, type Section } from './section.js';

const cut = (w: OneWall, at: number | null = null): Section => sectionOf(planOf(w), 0, 'mm', at);
const rects = ({ scene }: Section, role: SceneShape['role']) =>
  scene.shapes.flatMap((s) => (s.type === 'rect' && s.role === role ? [s] : []));
const role = ({ scene }: Section, name: SceneShape['role']): SceneShape[] =>
  scene.shapes.filter((s) => s.role === name);

const CAVITY: OneWall = {
  line: straight(4490),
  height: 2250,
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  show: 'mm',
  openings: [{ run: 0, at: 1800, width: 910, sill: 0, head: 2100 }],
  build: { cavity: { inner: 'block-440x215x100', width: 100, board: 50 } },
};

test('a cavity wall is cut course by course in both leaves, the clear width between them', () => {
  const units = rects(cut(CAVITY, 600), 'unit-cut');
  const [outer, inner] = [units.filter((u) => u.x === 0), units.filter((u) => u.x > 0)];
  // 2250 mm at 75 mm a brick, 225 mm a block.
  expect([outer.length, inner.length]).toEqual([30, 10]);
  expect(new Set(outer.map((u) => u.w))).toEqual(new Set([102.5]));
  expect(new Set(inner.map((u) => [u.x, u.w].join()))).toEqual(new Set(['202.5,100']));
  const stacked = [...outer].sort((a, b) => a.y - b.y);
  for (const [i, u] of stacked.entries()) expect(u.y).toBeCloseTo(i * 75 + 10, 6);
});

test('what crosses a cavity is where it is counted: ties in their beds, the dpc through both leaves, board as wide as stated', () => {
  const p = planOf(CAVITY);
  const s = sectionOf(p, 0, 'mm', 600);
  const levels = new Set(
    (cavityPlaces(p)?.ties ?? []).filter((t) => Math.abs(t.at - 600) <= 450).map((t) => Math.round(t.level)),
  );
  const ties = s.scene.shapes.flatMap((x) => (x.type === 'line' && x.role === 'tie-plan' ? [x] : []));
  expect(new Set(ties.map((t) => Math.round(t.y1)))).toEqual(levels);
  expect(ties.every((t) => t.x1 < 102.5 && t.x2 > 202.5)).toBe(true);
  expect(role(s, 'dpc')).toHaveLength(2);
  expect(rects(s, 'board').map((b) => [b.x, b.w])).toEqual([[152.5, 50]]);
});

test('cut through an opening there is nothing from sill to head, and a tray over it', () => {
  const s = cut(CAVITY, 2200);
  const low = rects(s, 'unit-cut').filter((u) => u.y < 2000);
  expect(low).toEqual([]);
  expect(role(s, 'tray')).toHaveLength(1);
  expect(role(cut(CAVITY, 600), 'tray')).toHaveLength(0);
});

test('left to itself the cut goes through an upright of the longest pier, its cell filled', () => {
  const w: OneWall = {
    line: straight("24'"),
    height: '8\' 8"',
    openings: [{ run: 0, at: "4'", width: '3\' 4"', sill: 0, head: '6\' 8"' }],
    wall: { steel: { vertical: { bar: '#4', every: '32"' } }, grout: { fill: 'steel' } },
  };
  const p = planOf(w);
  const s = sectionOf(p, 0, 'ft-in');
  expect(p.steel.verticals[0]?.bars.map((b) => b.at)).toContain(s.at);
  expect(s.at).toBeGreaterThan(p.wall.openings[0]?.to ?? 0);
  const [bar] = s.scene.shapes.flatMap((x) => (x.type === 'line' && x.role === 'bar' ? [x] : []));
  const [grout] = rects(s, 'grout');
  // The bar stands in its grout, between the shells of an 8 in block.
  expect(bar && grout && bar.x1 > grout.x && bar.x1 < grout.x + grout.w).toBe(true);
  expect(grout?.w).toBeLessThan(p.wall.thickness);
  // A quarter of a unit along is a web or another cell: no bar is cut there.
  expect(role(sectionOf(p, 0, 'ft-in', s.at + 203.2), 'bar')).toHaveLength(0);
});

test('it stands on its footing and its step, and says so only where there is something to say', () => {
  const plain: OneWall = { line: straight("12'"), height: "4'" };
  expect(cut(plain).tells).toBe(false);
  const footed: OneWall = {
    ...plain,
    wall: {
      footing: { width: '16"', depth: '8"' },
      steps: [{ id: 'S', run: 0, from: "8'", to: "12'", up: 1 }],
    },
  };
  const [low, high] = [cut(footed, 600), cut(footed, 3000)];
  expect(low.tells).toBe(true);
  const [a, b] = [rects(low, 'footing')[0], rects(high, 'footing')[0]];
  expect(a && [a.w, a.h]).toEqual([406.4, 203.2]);
  // One course of 8 in up.
  expect((b?.y ?? 0) - (a?.y ?? 0)).toBeCloseTo(203.2, 6);
  expect(rects(high, 'unit-cut').length).toBe(rects(low, 'unit-cut').length - 1);
});

test('in bonded brick nothing stands behind a header, wherever the cut falls, over its joint too', () => {
  for (const bond of ['flemish', 'english', 'english-garden'] as const) {
    const p = planOf({
      line: straight(4490),
      height: 900,
      unit: 'brick-215x102.5x65',
      profile: 'uk',
      show: 'mm',
      build: { bond, wythes: 2 },
    });
    for (let at = 300; at < 1500; at += 7) {
      const units = rects(sectionOf(p, 0, 'mm', at), 'unit-cut');
      // Every course is either one brick through or two with the joint between: they never lie in one another.
      for (const y of new Set(units.map((u) => u.y))) {
        const across = units.filter((u) => u.y === y).map((u) => [u.x, u.w]);
        expect([
          [[0, 215]],
          [
            [0, 102.5],
            [112.5, 102.5],
          ],
        ]).toContainEqual(across);
      }
    }
  }
});

test('over a leaning wall the section shows how it leans, how each course comes back, and the middle third', () => {
  const leaning: OneWall = {
    line: straight(2965),
    height: 1200,
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    show: 'mm',
    wall: { old: { gap: 30, over: 1200, wallHeight: 1500, fade: 4 } },
  };
  const { shapes } = cut(leaning).scene;
  const [old] = shapes.flatMap((s) => (s.type === 'shape' && s.role === 'old-wall' ? [s.points] : []));
  // 30 in 1200 over 1500 is 37.5 mm out at its top: the foot lies that far in from it.
  expect((old?.[0]?.[0] ?? 0) - (old?.[3]?.[0] ?? 0)).toBeCloseTo(37.5, 9);
  expect(old?.[0]?.[1]).toBe(-1500);
  const faces = shapes.flatMap((s) => (s.type === 'path' && s.role === 'fade-face' ? [s.points] : []));
  // Two faces of four courses; the last of them plumb under the wall.
  expect(faces.map((f) => f.length)).toEqual([8, 8]);
  expect(faces[0]?.at(-1)?.[0]).toBeCloseTo(0, 9);
  expect(cut(leaning).tells).toBe(true);
  expect(role(cut({ ...leaning, wall: {} }), 'old-wall')).toEqual([]);
});
