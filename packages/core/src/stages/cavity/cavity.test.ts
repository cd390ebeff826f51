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
import { cavityPlaces, edgeBeds, type CavityPlaces } from './places.js';

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
  const a = amounts(cavityWall());
  expect(a.levels.levels.map(Math.round)).toEqual([450, 900, 1350, 1800]);
  expect(p.findings.some((f) => f.code === 'ties-not-level')).toBe(false);
});

test('leaves whose beds never come level are a fault', () => {
  // A unit 190 high is eased to 2 250 / 11 a course: 204.5 and 75 lie level nowhere near every 450.
  const odd = { id: 'odd', family: 'block' as const, actual: { length: 390, height: 190, width: 90 } };
  const p = planOf(cavityWall({ units: [odd] }, { inner: 'odd' }));
  expect(p.findings.some((f) => f.code === 'ties-not-level')).toBe(true);
});

test('ties 900 by 450 come to about 2.5 a square metre, and jambs and ends have more', () => {
  const big = amounts(cavityWall({ line: straight(90_000), height: 45_000 }));
  // 1 / (0.9 × 0.45) = 2.469 (published as 2.5; arithmetic).
  expect((big.ties - big.edgeTies) / (90 * 45)).toBeCloseTo(2.469, 1);
  const door = (openings: OneWall['openings']): CavityAmounts => amounts(cavityWall({ openings }));
  const without = door([]);
  const one = door([{ run: 0, at: 2000, width: 910, sill: 0, head: 2100 }]);
  // 2 100 mm of jamb in blockwork 225 high: a tie in each course, nine each side (M094, from memory).
  expect(one.edgeTies - without.edgeTies).toBe(18);
});

test('ties up an edge lie in level beds no more than 300 mm apart, from its foot to its top', () => {
  // Brick to brick every bed lies level: 2 100 mm of jamb takes seven (M094, from memory).
  const bricks = Array.from({ length: 30 }, (_, i) => (i + 1) * 75);
  expect(edgeBeds(bricks, 0, 2100)).toHaveLength(7);
  const steps = (beds: number[]): number[] => beds.map((b, i) => b - (beds[i - 1] ?? 0));
  expect(Math.max(...steps(edgeBeds(bricks, 0, 2100)))).toBeLessThanOrEqual(300);
  expect(edgeBeds([], 0, 2100)).toEqual([]);
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
  const [low, next] = [row(450), row(900)];
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
  expect(a.dpc).toBeCloseTo(2 * (8.99 + 5.39) + 2 * 0.1 + inner + 2 * 0.1, 6);
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
    rows?.some((r) => r.pieces.some((x) => x.from < at - 9 && x.to > at + 9)) ?? true;
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
