import { applyPatch } from '../../job/edits/patch.js';
import { checkJob } from '../../job/check.js';
import { plan, type WallPlan } from '../../plan/plan.js';
import { documentOf, planOf, straight, type OneWall } from '../../test/jobs.js';

/** A brick wall 2 m long whose sill and head do not divide: 905 and 2 110 under a top of 2 400. */
const WINDOW: OneWall = {
  line: straight(3000),
  height: 2400,
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  show: 'mm',
  openings: [{ at: 900, width: 910, sill: 912, head: 2108 }],
};

function applied(w: OneWall, edit: Parameters<typeof applyPatch>[1]): WallPlan {
  const after = applyPatch(documentOf(w), edit);
  const checked = after.ok ? checkJob(after.value) : null;
  if (!checked?.ok) throw new Error('the edit does not hold');
  return plan(checked.job).walls[0] as WallPlan;
}

test('each stretch its own gauge: sill, head and top all land, and nothing is sawn in height', () => {
  const before = planOf(WINDOW, true);
  expect(before.findings.map((f) => f.code)).toContain('opening-off-gauge');
  const way = before.choices.find((c) => c.kind === 'meet-heights');
  expect(way?.applied).toBe(false);
  const after = applied(WINDOW, way?.edit ?? []);
  const tops = after.gauge.courses.map((c) => c.top);
  for (const height of [912, 2108, 2400])
    expect(Math.min(...tops.map((t) => Math.abs(t - height)))).toBeLessThan(1e-6);
  expect(after.findings.map((f) => f.code)).not.toContain('opening-off-gauge');
  expect(after.choices.find((c) => c.kind === 'meet-heights')?.applied).toBe(true);
  // 912 in 12 courses is 11 mm beds; 1196 in 16 is 9.75; 292 in 4 is 8: by hand.
  expect(after.gauge.courses[0]?.bed).toBeCloseTo(11, 6);
  expect(after.gauge.courses[13]?.bed).toBeCloseTo(9.75, 6);
  expect(after.gauge.courses[28]?.bed).toBeCloseTo(8, 6);
});

test('every gauge choice that settles a finding is also its fix', () => {
  const p = planOf(WINDOW, true);
  const finding = p.findings.find((f) => f.code === 'opening-off-gauge');
  const settles = p.choices
    .filter((c) => c.stage === 'gauge' && c.edit.length > 0)
    .filter((c) => {
      const after = applied(WINDOW, c.edit);
      return !after.findings.some((f) => f.code === 'opening-off-gauge');
    });
  expect(settles.length).toBeGreaterThan(0);
  for (const c of settles) expect(finding?.fixes.map((f) => f.edit)).toContainEqual(c.edit);
});

test('an opening that may move is offered at the courses; one that must stand is not', () => {
  const wish = { ...WINDOW, openings: WINDOW.openings?.map((o) => ({ ...o, keep: 'wish' as const })) };
  const way = planOf(wish, true).choices.find((c) => c.kind === 'move-openings');
  expect(way?.edit).toEqual([
    { op: 'replace', path: '/walls/0/openings/0/sill', value: 900 },
    { op: 'replace', path: '/walls/0/openings/0/head', value: 2100 },
  ]);
  expect(planOf(WINDOW, true).choices.some((c) => c.kind === 'move-openings')).toBe(false);
});

describe('a fixed height', () => {
  const shelf = (at: number, keep: 'must' | 'wish', tolerance = 0): OneWall => ({
    ...WINDOW,
    openings: [],
    heights: [{ id: 'H1', name: 'Bearing', at, keep, tolerance }],
  });
  test.each([
    ['must, off the courses', shelf(1537, 'must'), 'fault'],
    ['wish, off the courses', shelf(1537, 'wish'), 'choice'],
    ['must, on a course', shelf(1500, 'must'), undefined],
    ['must, within its tolerance', shelf(1537, 'must', 40), undefined],
  ])('%s', (_name, w, severity) => {
    expect(planOf(w).findings.find((f) => f.code === 'fixed-height-missed')?.severity).toBe(severity);
  });
  test('is met by the ways offered as fixes', () => {
    const p = planOf(shelf(1537, 'must'), true);
    const fixes = p.findings.find((f) => f.code === 'fixed-height-missed')?.fixes ?? [];
    expect(fixes.length).toBeGreaterThan(0);
    for (const f of fixes)
      expect(applied(shelf(1537, 'must'), f.edit).findings.map((x) => x.code)).not.toContain(
        'fixed-height-missed',
      );
  });
  test('above the wall is refused, and the place is named', () => {
    expect(checkJob(documentOf(shelf(2500, 'must')))).toMatchObject({
      ok: false,
      faults: [{ path: '/walls/0/heights/0/at' }],
    });
  });
});

describe('half-high', () => {
  // 8 in block to 7' 8": eleven courses and a half-high one of 4 in, exact by the module.
  const block: OneWall = {
    line: straight("16'"),
    height: '7\' 4"',
    build: { gauge: { halfHigh: 1, courses: 12 } },
  };
  test('one course of 4 in units under whole ones reaches the half module', () => {
    const p = planOf({ ...block, height: '7\' 8"' });
    expect(p.gauge.courses.map((c) => c.kind)).toEqual(['half-high', ...Array<string>(11).fill('whole')]);
    expect(p.gauge.courses.every((c) => Math.abs(c.bed - 9.525) < 1e-6)).toBe(true);
    expect(p.gauge.courses[0]?.top).toBeCloseTo(101.6, 6);
  });
  test('it is another unit in the order, and the two make up the pieces of the wall', () => {
    const p = planOf({ ...block, height: '7\' 8"' });
    const lines = p.buy.filter((l) => l.halfHigh);
    expect(lines).toEqual([
      expect.objectContaining({ unit: 'cmu-8x8x16-half-high', kind: 'stretcher', net: 12 }),
    ]);
    expect(p.buy.reduce((sum, l) => sum + l.net, 0)).toBe(p.tally.total);
  });
});

describe('where the difference is lost', () => {
  const wall = (face: object): OneWall => ({
    line: straight(3000),
    height: 2430,
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    show: 'mm',
    build: { face },
  });
  const lowest = (w: OneWall): (number | undefined)[] => {
    const p = planOf(w, true);
    const asks = (edit: unknown): { value?: { lowest?: number } } | undefined => (edit as never[])[0];
    return p.choices
      .filter((c) => c.kind.startsWith('lowest'))
      .map((c) => (c.applied ? p.gauge.lowest : asks(c.edit)?.value?.lowest));
  };
  test('30 mm on a fair face: ten beds of 13 change by 3 mm; six of 15 are the fewest the limits allow', () => {
    expect(lowest(wall({}))).toEqual(expect.arrayContaining([10, 6]));
  });
  test('where a skirting hides the first 300 mm the beds may be fatter, so fewer will do', () => {
    // Hidden beds go to 20 mm, but three of 20 reach 255 and hold 30 between them: by hand.
    expect(lowest(wall({ hiddenTo: 300 }))).toContain(3);
  });
});

describe('real units', () => {
  const bricks = (samples: object, build: object = {}): OneWall => ({
    line: straight(3365),
    height: 1500,
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    show: 'mm',
    build: { samples, ...build },
  });
  test('a mean length 2 mm short widens the perp by 2 mm: the module stays', () => {
    const p = planOf(bricks({ length: [212, 213, 214] }));
    expect(p.wall.unitLength).toBeCloseTo(213, 9);
    expect(p.wall.head).toBeCloseTo(12, 9);
  });
  test('a joint that is stated stays', () => {
    expect(planOf(bricks({ height: [64, 66] }, { bed: 9 })).wall.bed).toBeCloseTo(9, 9);
  });
  test('least bed + (thickest − mean): 6 + (70 − 65) = 11 mm, so 10 mm will not do and 11 is offered', () => {
    const p = planOf(bricks({ height: [60, 65, 70] }), true);
    const finding = p.findings.find((f) => f.code === 'unit-varies');
    expect(finding?.severity).toBe('choice');
    expect(finding?.fixes[0]?.edit).toEqual([{ op: 'add', path: '/walls/0/build/bed', value: 11 }]);
  });
  test('units too uneven for any joint are a fault with no such fix', () => {
    const finding = planOf(bricks({ height: [53, 65, 77] }), true).findings.find(
      (f) => f.code === 'unit-varies',
    );
    expect(finding?.severity).toBe('fault');
    expect(finding?.fixes).toEqual([]);
  });
});
