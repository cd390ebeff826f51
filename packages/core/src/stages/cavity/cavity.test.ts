import { plan, type WallPlan } from '../../plan/plan.js';
import { planJson } from '../../plan/json.js';
import { working } from '../../plan/working.js';
import { applyPatch } from '../../job/edits/patch.js';
import {
  closed,
  documentOf,
  faultsOf,
  jobOf,
  planOf,
  soundJob,
  straight,
  type OneWall,
  sayFor,
} from '../../test/jobs.js';
import { behindCavity, carryingLeaf } from '../../walling/units/leaves/leaf.js';
import { startersSheet } from '../steel/startersSheet.js';
import type { LineItem, Wall } from '../../job/types.js';
import { sayMm } from '../../measure/format.js';
import { holdsOf } from '../../plan/says.js';
import { cavityAmounts, type CavityAmounts } from './amounts.js';
import { levelBeds } from './levels.js';
import { cavityPlaces, type CavityPlaces } from './places.js';
import { edgeBeds, wallTies, type TiesPlaced } from './ties.js';

const cavityWall = (more: Partial<OneWall> = {}, cavity: object = {}): OneWall => ({
  line: closed(8990, 5390),
  height: 2250,
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  show: 'mm',
  ...more,
  build: { cavity: { inner: 'block-440x215x100', width: 100, board: 50, ...cavity } },
  wall: { jointEvery: 40_000, ...more.wall },
});
const amounts = (w: OneWall): CavityAmounts => {
  const a = cavityAmounts(planOf(w));
  if (!a) throw new Error('no cavity');
  return a;
};

const tied = (w: OneWall): TiesPlaced => {
  const t = wallTies(planOf(w));
  if (!t) throw new Error('nothing is tied');
  return t;
};
const count = (t: TiesPlaced, edge: boolean): number => t.ties.filter((one) => one.edge === edge).length;

test('the inner leaf stands in by the outer leaf and the cavity at every corner, in courses of its own', () => {
  const p = planOf(cavityWall());
  const by = 102.5 + 100;
  expect(behindCavity(p)?.wall.runs.map((r) => r.length)).toEqual(
    [8990, 5390, 8990, 5390].map((l) => l - 2 * by),
  );
  expect(p.gauge.count).toBe(30);
  expect(behindCavity(p)?.gauge.count).toBe(10);
  expect(behindCavity(p)?.gauge.short).toBe(0);
});

test('three brick courses are one block course: beds come level every 225, ties lie every 450', () => {
  const p = planOf(cavityWall());
  expect(levelBeds(p.gauge.courses, behindCavity(p)?.gauge.courses ?? []).map(Math.round)).toEqual(
    Array.from({ length: 10 }, (_, i) => (i + 1) * 225),
  );
  // Five rows for 2 250: each serves 450, so half of that is left under the first and over the last.
  expect(tied(cavityWall()).levels.levels.map(Math.round)).toEqual([225, 675, 1125, 1575, 2025]);
  expect(p.findings.some((f) => f.code === 'ties-not-level')).toBe(false);
});

test('leaves whose beds never come level are a fault', () => {
  // A unit 190 high is eased to 2 250 / 11 a course: 204.5 and 75 lie level nowhere near every 450.
  const odd = { id: 'odd', family: 'block' as const, actual: { length: 390, height: 190, width: 90 } };
  const p = planOf(cavityWall({ units: [odd] }, { inner: 'odd' }));
  expect(p.findings.some((f) => f.code === 'ties-not-level')).toBe(true);
});

test('M094: jambs have ties of their own, one in each course of block', () => {
  const without = tied(cavityWall({ openings: [] }));
  const one = tied(cavityWall({ openings: [{ run: 0, at: 2000, width: 910, sill: 0, head: 2100 }] }));
  // 2 100 mm of jamb in blockwork 225 high: nine each side (from memory).
  expect(count(one, true) - count(without, true)).toBe(18);
});

test('2.5 to a square metre holds however high the wall, up to its top row', () => {
  // 900 × 450 is 2.469 (published as 2.5; arithmetic). A row less, and 2.7 m would have 2.06.
  for (const height of [1350, 2250, 2700, 3150, 4500])
    for (const length of [2690, 5390, 8990, 44_990]) {
      const t = tied(cavityWall({ line: straight(length), height, wall: { jointEvery: 90_000 } }));
      expect(count(t, false) / ((length * height) / 1e6)).toBeGreaterThanOrEqual(1 / (0.9 * 0.45) - 1e-9);
      expect(t.perM2).toBeCloseTo(count(t, false) / ((length * height) / 1e6), 9);
      expect(t.up).toBeLessThanOrEqual(451);
      expect(t.along).toBeLessThanOrEqual(900);
      expect(t.holds).toBe(true);
    }
});

test('ties too far apart are a fault with a way out; each rule is its own', () => {
  const far = planOf(cavityWall({}, { across: 1200 }), true).findings.find((f) => f.code === 'ties-few');
  expect(far?.says).toContain('1200 mm');
  expect(far?.fixes[0]?.edit).toEqual([{ op: 'remove', path: '/walls/0/build/cavity/across' }]);
  const brick = (ties: object, more: Partial<OneWall['build']> = {}): OneWall => ({
    line: straight("20'"),
    height: "8'",
    unit: 'brick-modular-us',
    build: { cavity: { inner: 'cmu-8x8x16', width: '2"' }, ties, ...more },
    wall: { jointEvery: "60'" },
  });
  const square = (t: TiesPlaced): number =>
    (0.3048 * 0.3048 * t.area) / (0.3048 * 0.3048) / count(t, false) / 0.09290304;
  // VJ-20: wire and sheet 2.67 ft², others 3.5 ft² to an anchor; 32 in along and 25 in up (TMS 402 12.2, from memory).
  expect(square(tied(brick({})))).toBeLessThanOrEqual(2.67);
  expect(square(tied(brick({ kind: 'other' })))).toBeLessThanOrEqual(3.5);
  expect(square(tied(brick({ kind: 'other' })))).toBeGreaterThan(2.67);
  expect(tied(brick({})).along / 25.4).toBeLessThanOrEqual(32);
  expect(tied(brick({})).up / 25.4).toBeLessThanOrEqual(25);
  expect(tied(brick({ across: '34"', up: '16"' })).holds).toBe(false);
  // TMS 402 5.1.4: W1.7 wire between wythes 2.67 ft², W2.8 4.5 ft², 36 by 24 in (VJ-37, VJ-38; from memory).
  const two = (ties: object): TiesPlaced => tied({ ...brick(ties), build: { ties, wythes: 2 } });
  expect(square(two({}))).toBeLessThanOrEqual(2.67);
  expect(square(two({ kind: 'W2.8' }))).toBeLessThanOrEqual(4.5);
  expect(square(two({ kind: 'W2.8' }))).toBeGreaterThan(2.67);
});

test('wythes that are only tied have their ties counted; bonded ones have none', () => {
  const garden = (bond: 'half' | 'flemish'): OneWall => ({
    line: straight(4490),
    height: 1350,
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    show: 'mm',
    build: { bond, wythes: 2 },
  });
  expect(wallTies(planOf(garden('flemish')))).toBe(null);
  const t = tied(garden('half'));
  expect(t.holds).toBe(true);
  // 4.49 × 1.35 m² at 2.5: fifteen and more, three rows of them.
  expect(count(t, false)).toBeGreaterThanOrEqual(15);
  expect(working(jobOf(garden('half')), [], 'w/wall/cavity.ties')?.result).toBe(t.ties.length);
});

test('ties up an edge lie in level beds no more than 300 mm apart, from its foot to its top', () => {
  // Brick to brick every bed lies level: 2 100 mm of jamb takes seven (M094, from memory).
  const bricks = Array.from({ length: 30 }, (_, i) => (i + 1) * 75);
  expect(edgeBeds(bricks, 0, 2100, 300)).toHaveLength(7);
  const steps = (beds: number[]): number[] => beds.map((b, i) => b - (beds[i - 1] ?? 0));
  expect(Math.max(...steps(edgeBeds(bricks, 0, 2100, 300)))).toBeLessThanOrEqual(300);
  expect(edgeBeds([], 0, 2100, 300)).toEqual([]);
});

const places = (w: OneWall): CavityPlaces => {
  const found = cavityPlaces(planOf(w));
  if (!found) throw new Error('no cavity');
  return found;
};

test('ties stand clear of openings, staggered row on row, and edge ties within 225 mm of their edge', () => {
  const door = { run: 0, at: 2000, width: 910, sill: 0, head: 2100 };
  const { ties } = places(cavityWall({ openings: [door] }));
  expect(ties.filter((t) => t.run === 0 && t.at > 2000 && t.at < 2910 && t.level < 2100)).toEqual([]);
  const row = (level: number): number[] =>
    ties.filter((t) => t.run === 1 && !t.edge && Math.round(t.level) === level).map((t) => t.at);
  const [low, next] = [row(225), row(675)];
  expect(low.length).toBeGreaterThan(3);
  // Half way between the ties under them: each as far from its neighbours below.
  next.slice(0, -1).forEach((x, i) => expect(x).toBeCloseTo(((low[i] ?? 0) + (low[i + 1] ?? 0)) / 2, 6));
  const beside = ties.filter((t) => t.run === 0 && t.edge);
  // AD A 2C8, from memory.
  for (const t of beside)
    expect(Math.min(Math.abs(t.at - 2000), Math.abs(t.at - 2910))).toBeLessThanOrEqual(225);
});

test('weeps stand in perps over the opening; the dpc lies in the first bed 150 mm over the ground', () => {
  const p = planOf(cavityWall({ openings: [{ run: 0, at: 2000, width: 910, sill: 0, head: 2100 }] }));
  const found = cavityPlaces(p);
  const perps = p.runs[0]?.rows[28]?.perps.map((x) => x.at) ?? [];
  for (const weep of found?.weeps ?? [])
    expect(Math.min(...perps.map((x) => Math.abs(x - weep.at)))).toBeLessThan(1e-6);
  // Bricks at 75: two courses are 150 (PD 6697, from memory).
  expect(found?.dpc).toBeCloseTo(150, 6);
  const site = { points: [{ id: 'G', name: 'path', is: 'ground' as const, level: 100 }] };
  const raised = cavityPlaces(plan(soundJob({ ...documentOf(cavityWall()), site })).walls[0] as WallPlan);
  // 250 over the base: the fourth course.
  expect(raised?.dpc).toBeCloseTo(300, 6);
});

test('an air brick goes through both leaves in a sleeve, and says what is cut round it', () => {
  const vents = [{ id: 'V', run: 0, course: 2, what: 'air-brick' as const, every: 2000 }];
  const w = cavityWall({ wall: { vents } });
  const { sleeves } = places(w);
  expect(sleeves).toHaveLength(5);
  // Course 2 of brick lies inside course 1 of block: one block each, two where a perp comes behind.
  for (const s of sleeves) expect([1, 2]).toContain(s.cut);
  expect(amounts(w).sleeves).toBe(5);
  expect(working(jobOf(w), [], 'w/wall/cavity.sleeves')?.result).toBe(5);
});

test('trays, stop ends and weeps over openings; dpc and board by the metre', () => {
  const a = amounts(cavityWall({ openings: [{ run: 0, at: 2000, width: 910, sill: 0, head: 2100 }] }));
  expect([a.trays, a.stopEnds, a.weeps]).toEqual([1, 2, 3]);
  expect(a.trayLength).toBeCloseTo(1.21, 6);
  expect(a.clear).toBe(50);
  const face = 2 * (8.99 + 5.39) * 2.25 - 0.91 * 2.1;
  expect(a.board).toBeCloseTo(face, 6);
  // Outer runs of 8 990 are longer than a roll of 8 m: one lap of 100 each.
  const inner = 2 * (8.99 + 5.39) - 8 * 0.2025;
  // A door stops it: two lengths of each leaf in that run, none of them longer than a roll.
  expect(a.dpc).toBeCloseTo(2 * (8.99 + 5.39) + 0.1 - 0.91 + inner + 0.1 - 0.91, 6);
  // Two jambs of 2 100 with a lap, and no sill.
  expect(a.dpcUp).toBeCloseTo(2 * 2.2, 6);
  const window = amounts(cavityWall({ openings: [{ run: 0, at: 2000, width: 910, sill: 900, head: 2100 }] }));
  expect(window.dpc).toBeCloseTo(2 * (8.99 + 5.39) + 2 * 0.1 + inner + 2 * 0.1, 6);
  expect(window.dpcUp).toBeCloseTo(2 * 1.3 + 0.91 + 0.2, 6);
});

test('both leaves are ordered, each of its own unit, and the pieces of both are counted', () => {
  const p = planOf(cavityWall());
  const json = planJson({ walls: [p] }, sayFor('mm')) as {
    walls: { units: { total: number }; inner: { rows: { leaf: number; pieces: unknown[] }[] } }[];
    tally: { units: Record<string, Record<string, { net: number; ordered: number }>> };
  };
  expect(Object.keys(json.tally.units).sort()).toEqual(['block-440x215x100', 'brick-215x102.5x65']);
  const [wall] = json.walls;
  const inner = wall?.inner.rows.reduce((s, r) => s + r.pieces.length, 0) ?? 0;
  expect(wall?.units.total).toBe(p.tally.total + inner);
  expect(wall?.inner.rows.every((r) => r.leaf === 1)).toBe(true);
  // About 9.9 blocks a square metre of inner face, halves and cuts counted as pieces.
  const face = 2 * (8.585 + 4.985) * 2.25;
  expect(inner / face).toBeGreaterThan(9.8);
  expect(inner / face).toBeLessThan(11);
});

test('a cavity too narrow is a fault with a fix; nonsense is refused at the door', () => {
  const job = jobOf(cavityWall({}, { width: 40, board: 30 }));
  const narrow = (plan(job).walls[0] as WallPlan).findings.find((f) => f.code === 'cavity-narrow');
  const after = applyPatch(job, narrow?.fixes[0]?.edit ?? []);
  if (!after.ok) throw new Error(after.why);
  expect(plan(soundJob(after.value)).walls[0]?.findings.some((f) => f.code === 'cavity-narrow')).toBe(false);
  const faults = (cavity: object, build: object = {}): string[] => {
    const d = documentOf(cavityWall({}, cavity));
    return faultsOf({ ...d, walls: d.walls.map((w) => ({ ...w, build: { ...w.build, ...build } })) });
  };
  expect(faults({ inner: 'nothing' })[0]).toContain('a unit of the library');
  expect(faults({ board: 150 })[0]).toContain('no wider than the cavity');
  expect(faults({}, { bond: 'english' })[0]).toContain('running bond');
  expect(faults({}, { wythes: 2 })[0]).toContain('one outer leaf');
});

test('a movement joint parts both leaves', () => {
  const p = planOf(cavityWall({ wall: { joints: [{ id: 'J', run: 0, at: 4505 }] } }));
  const crosses = (rows: { pieces: { from: number; to: number }[] }[] | undefined, at: number): boolean =>
    rows?.slice(2).some((r) => r.pieces.some((x) => x.from < at - 9 && x.to > at + 9)) ?? true;
  // Over the dpc, two courses of brick up and one of block.
  expect(crosses(p.runs[0]?.rows, 4505)).toBe(false);
  expect(crosses(behindCavity(p)?.runs[0]?.rows, 4505 - (behindCavity(p)?.behind[0]?.inset ?? 0))).toBe(
    false,
  );
});

test('figures of the cavity and the inner leaf open into their working', () => {
  const job = jobOf(cavityWall({ openings: [{ run: 0, at: 2000, width: 910, sill: 0, head: 2100 }] }));
  for (const figure of [
    'cavity.ties',
    'cavity.trays',
    'cavity.weeps',
    'cavity.dpc',
    'cavity.board',
    'inner.mortar.used',
    'inner.buy.stretcher',
  ])
    expect(working(job, [], `w/wall/${figure}`)?.result).toBeGreaterThan(0);
  expect(working(job, [], 'w/wall/cavity.trays')?.result).toBeCloseTo(1210, 6);
});

describe('brick before reinforced block', () => {
  const reinforced: Partial<Wall> = {
    held: 'floors',
    footing: { width: "2'", depth: '10"' },
    jointEvery: "200'",
    steel: {
      vertical: { bar: '#5', every: '32"' },
      beams: [{ course: 'top', bar: '#5', count: 2 }],
      bed: { every: 2, kind: 'ladder' },
    },
    grout: { fill: 'steel' },
  };
  const opening = { run: 0, at: "8'", width: "4'", sill: '2\' 8"', head: '6\' 8"' };
  const skinned = (line: LineItem[], openings: OneWall['openings'] = [opening]): OneWall => ({
    line,
    height: "8'",
    unit: 'brick-modular-us',
    build: { cavity: { inner: 'cmu-8x8x16', width: '2"' } },
    openings,
    wall: reinforced,
  });
  const steelIn = (w: OneWall) => {
    const p = planOf(w);
    const json = planJson({ walls: [p] }, sayFor('mm')) as {
      walls: { bars: { leaf: number; place?: string }[]; cells: { leaf: number; place?: string }[] }[];
      tally: { steel: unknown[]; grout: { geometric: number } };
    };
    const { bars = [], cells = [] } = json.walls[0] ?? {};
    const leaves = new Set([...bars, ...cells].map((x) => x.leaf));
    for (const x of [...bars, ...cells]) {
      x.leaf = 0;
      // Its place says its leaf too.
      delete x.place;
    }
    return { leaves: [...leaves], bars, cells, steel: json.tally.steel, grout: json.tally.grout };
  };

  test('a straight wall of block carries the same bars and grout with a brick skin as without', () => {
    const alone = steelIn({ line: straight("24'"), height: "8'", openings: [opening], wall: reinforced });
    const behind = steelIn(skinned(straight("24'")));
    expect(alone.bars?.length).toBeGreaterThan(10);
    expect(behind).toEqual({ ...alone, leaves: [1] });
  });

  test('round a corner its bars are measured on the brick: leaf, cavity and half a cell in', () => {
    const p = planOf(skinned(closed("24'", "16'"), []));
    // 3 5/8 of brick, 2 of cavity, and 3 13/16 to the middle of the corner's cell.
    expect((p.steel.verticals[0]?.bars[0]?.at ?? 0) / 25.4).toBeCloseTo(3.625 + 2 + 3.8125, 6);
    expect(carryingLeaf(p).offset / 25.4).toBeCloseTo(5.625, 6);
    expect(p.steel.verticals.flatMap((v) => v.broken)).toEqual([]);
    // The beam lies in course 12 of block; no brick is a trough.
    expect(p.steel.beams.map((b) => carryingLeaf(p).gauge.courses[b.course]?.number)).toEqual([
      12, 12, 12, 12,
    ]);
    expect(behindCavity(p)?.runs[0]?.rows[11]?.pieces.every((x) => x.kind === 'beam')).toBe(true);
    expect(p.runs[0]?.rows[35]?.pieces.some((x) => x.kind === 'beam')).toBe(false);
  });

  test('its starters are told from the outside face, and it is held before grout like any other', () => {
    const p = planOf(skinned(closed("24'", "16'"), []));
    const says = startersSheet('Job', p, 0, 'ft-in', sayFor('ft-in')).says.join(' ');
    // Held by floors the bar stands toward the room: past the middle of the block.
    const from = (p.steel.place?.from ?? 0) / 25.4;
    expect(from).toBeGreaterThan(7.625 / 2);
    expect(says).toContain(`Across the wall: ${sayMm((5.625 + from) * 25.4, 'ft-in')} from the outside face`);
    expect(holdsOf(p).some((h) => h.id === 'before-grout-1')).toBe(true);
    const { walls, tally } = planJson({ walls: [p] }, sayFor('mm')) as {
      walls: { findings: { code: string }[] }[];
      tally: { grout: { geometric: number } };
    };
    expect(walls[0]?.findings.map((f) => f.code)).not.toContain('bar-not-in-cell');
    expect(tally.grout.geometric).toBeGreaterThan(0);
  });

  test('where both leaves have cells the outer one carries', () => {
    const p = planOf({ ...skinned(straight("24'")), unit: 'cmu-8x8x16' });
    expect(behindCavity(p)?.carries).toBe(false);
    expect(carryingLeaf(p).offset).toBe(0);
  });
});
