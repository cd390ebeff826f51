import { applyPatch } from '../../job/edits/patch.js';
import type { Job, JobDocument, Wall } from '../../job/types.js';
import { plan, type WallPlan } from '../../plan/plan.js';
import { sectionOf } from '../../scene/section.js';
import { ADOBE_HUT, SQUARE } from '../../test/adobeHut.js';
import { documentOf, soundJob, type OneWall } from '../../test/jobs.js';
import { RAIN_WORKINGS } from './rain.js';

/** The hut with a door in its front. */
const document = (rain?: Wall['rain'], more: Partial<OneWall> = {}): JobDocument => ({
  ...documentOf({
    ...ADOBE_HUT,
    openings: [{ id: 'D', run: 0, at: 1680, width: 860, sill: 0, head: 2040 }],
    wall: { bears: 'none', ...(rain ? { rain } : {}) },
    ...more,
  }),
  units: SQUARE,
});
const ABOUT_WATER = /^earth-(rain-unsaid|base-low|no-dpc|bare)$/;

function hut(job: Job, advise = false): WallPlan {
  const [p] = plan(job, [], { advise }).walls;
  if (!p) throw new Error('no wall');
  return p;
}
const of = (rain?: Wall['rain'], earth?: JobDocument['earth']): [Job, WallPlan] => {
  const job = soundJob({ ...document(rain), ...(earth ? { earth } : {}) });
  return [job, hut(job, rain === undefined || water(hut(job)).length > 0)];
};
const water = (p: WallPlan): string[] => p.findings.map((f) => f.code).filter((c) => ABOUT_WATER.test(c));

test('what keeps water off earth is asked for, what is too little is said, and every answer settles it', () => {
  const walls: [Wall['rain'], string[]][] = [
    [undefined, ['earth-rain-unsaid']],
    [{ base: 200, dpc: true, eaves: 600 }, []],
    [{ base: 100, dpc: true, eaves: 600 }, ['earth-base-low']],
    [{ base: 200, eaves: 600 }, ['earth-no-dpc']],
    [{ base: 200, dpc: true, eaves: 300 }, ['earth-bare']],
    [{ base: 200, dpc: true, coat: 'bare' }, ['earth-bare']],
    [{ base: 200, dpc: true, eaves: 300, coat: 'lime' }, []],
    [{ coat: 'earth' }, ['earth-no-dpc']],
  ];
  for (const [rain, wanted] of walls) {
    const [job, p] = of(rain);
    expect({ rain, found: water(p) }).toEqual({ rain, found: wanted });
    for (const finding of p.findings.filter((f) => ABOUT_WATER.test(f.code))) {
      expect(finding.severity).toBe('choice');
      expect(finding.fixes.length).toBeGreaterThan(0);
      for (const fix of finding.fixes) {
        const after = applyPatch(job, fix.edit);
        if (!after.ok) throw new Error(finding.code);
        expect(water(hut(soundJob(after.value)))).not.toContain(finding.code);
      }
    }
  }
});

test('stabilised earth may stand in the rain; ground that was measured goes before what is meant', () => {
  expect(water(of({ base: 200, dpc: true }, { making: { stabilised: 0.06 } })[1])).toEqual([]);
  const measured = {
    ...document({ base: 200, dpc: true, eaves: 600 }),
    site: { points: [{ id: 'L', name: 'Yard', is: 'ground' as const, level: -100 }] },
  };
  expect(water(hut(soundJob(measured)))).toEqual(['earth-base-low']);
});

test('a wall of other units asks for none of it', () => {
  const block = documentOf({
    profile: 'uk',
    unit: 'block-440x215x100',
    line: [{ run: 4490 }],
    height: 1350,
    wall: { rain: { base: 100 } },
  });
  const p = hut(soundJob(block));
  expect([water(p), p.rain]).toEqual([[], null]);
});

test('its foot, its damp-proof course and its coat are as counted by hand', () => {
  const [, p] = of({ base: 200, dpc: true, coat: 'lime' });
  const made = (key: string): number => RAIN_WORKINGS[key]?.(p).result ?? NaN;
  // Corners once: 2 × (4.6 + 3.76) − 4 × 0.4 = 15.12 m, by 0.4 by 0.2.
  expect(made('earth.base')).toBeCloseTo(15.12 * 0.4 * 0.2, 9);
  // 16.72 m outside, less a door of 0.86; no length is longer than a roll.
  expect(made('earth.dpc')).toBeCloseTo(15_860, 6);
  expect(made('earth.coat')).toBeCloseTo(16.72 * 2.4 - 0.86 * 2.04, 9);
  expect(made('earth.coatMud')).toBeCloseTo((16.72 * 2.4 - 0.86 * 2.04) * 0.02, 9);
  const bare = of({ base: 200, eaves: 600 })[1];
  expect(['earth.dpc', 'earth.coat'].map((k) => RAIN_WORKINGS[k]?.(bare).result)).toEqual([0, 0]);
});

test('cut through, it stands on its foot over the ground, and the eaves reach past its face', () => {
  const [, p] = of({ base: 200, dpc: true, eaves: 600 });
  const { scene, tells } = sectionOf(p, 1, 'mm');
  expect(tells).toBe(true);
  const lowest = (role: string): number =>
    Math.min(
      ...scene.shapes
        .filter((s) => s.role === role)
        .map((s) => (s.type === 'rect' ? s.y : s.type === 'line' ? s.y1 : NaN)),
    );
  expect([lowest('footing'), lowest('ground-line'), lowest('dpc')]).toEqual([-200, -200, 0]);
  expect(scene.box.x).toBeLessThanOrEqual(-600);
});
