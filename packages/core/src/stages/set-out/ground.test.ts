import fc from 'fast-check';
import { plan } from '../../plan/plan.js';
import { planJson } from '../../plan/json.js';
import type { JobDocument, Wall } from '../../job/types.js';
import { closed, corner, documentOf, faultsOf, planOf, soundJob, straight, sayFor } from '../../test/jobs.js';
import { bagsState, footingAmounts, tripsFor } from './footing.js';
import { fadePlan } from './lean.js';
import { siteLevels } from './site.js';
import { controllingPoint, footingTops, layersOff, rodReading, instrumentHeight } from './levels.js';
import { moduleSizes, pierPerps } from './missing.js';
import { oneEnd, drifts } from './oldGauge.js';
import { levelAt, pouredBeds } from './poured.js';
import { checkSquare } from './square.js';
import { simulatedLevel } from './simulatedLevel.js';

const document = (wall: Partial<Wall>, job: Partial<JobDocument> = {}): JobDocument => {
  const d = documentOf({
    line: straight(4490),
    height: 2250,
    unit: 'block-440x215x140',
    profile: 'uk',
    show: 'mm',
  });
  return { ...d, ...job, walls: [{ ...(d.walls[0] as Wall), ...wall }] };
};
const findings = (d: JobDocument) => plan(soundJob(d), [], { advise: false }).walls[0]?.findings ?? [];
const codes = (d: JobDocument): string[] => findings(d).map((f) => f.code);

describe('levels', () => {
  test('the highest ground governs, unless a floor and its layers ask for more', () => {
    const ground = [
      { name: 'gate', level: 40 },
      { name: 'hedge', level: 120 },
    ];
    expect(controllingPoint(ground, 150, [], 0)).toMatchObject({ name: 'hedge', wanted: 270 });
    expect(controllingPoint(ground, 150, [{ name: 'beam', level: 100 }], 200)).toMatchObject({
      rule: 'support',
      wanted: 300,
    });
    expect(controllingPoint([], 150, [], 0)).toBeNull();
  });
  test('footings step in whole courses, each at least its cover under the ground', () => {
    // Plinth 300: ground 120 less 150 of cover is −30, so 330 down is two courses of 225; ground −200 asks for three.
    const tops = footingTops(
      [
        { name: 'a', level: 120 },
        { name: 'b', level: -200 },
      ],
      300,
      225,
      150,
      null,
    );
    expect(tops.map((t) => [t.courses, t.level])).toEqual([
      [2, -150],
      [3, -375],
    ]);
    for (const t of tops) expect(t.ground - t.level).toBeGreaterThanOrEqual(150);
  });
  test('a slab that passes over the footing keeps it down', () => {
    expect(footingTops([{ name: 'a', level: 120 }], 300, 225, 0, -160)[0]).toMatchObject({
      courses: 3,
      level: -375,
    });
  });
  test('a rod reads the instrument’s height less the level, whatever the datum', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -3000, max: 3000 }),
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: -3000, max: 3000 }),
        (known, read, level) => {
          const instrument = instrumentHeight(known, read);
          return (
            rodReading(instrument, known) === read &&
            rodReading(instrument + 7, level + 7) === rodReading(instrument, level)
          );
        },
      ),
    );
  });
  test('layers that do not add up are said, and on the wall', () => {
    const layers = {
      stated: 250,
      list: [
        { name: 'screed', thickness: 65 },
        { name: 'board', thickness: 100 },
        { name: 'slab', thickness: 100 },
      ],
    };
    expect(layersOff({ stated: 250, layers: layers.list })).toBe(15);
    expect(codes(document({}, { site: { layers } }))).toContain('layers-do-not-add');
    expect(codes(document({}, { site: { layers: { ...layers, stated: 265 } } }))).not.toContain(
      'layers-do-not-add',
    );
  });
  test('a finish has its staff reading, and every support its own figure: the highest the layers alone', () => {
    const job = soundJob(
      document(
        {},
        {
          site: {
            instrument: 1650,
            layers: {
              list: [
                { name: 'slab', thickness: 100 },
                { name: 'screed', thickness: 65 },
              ],
            },
            points: [
              { id: 'a', name: 'beam', is: 'support', level: 120 },
              { id: 'b', name: 'old sill', is: 'support', level: 97 },
            ],
          },
        },
      ),
    );
    const site = siteLevels(job, 75);
    // 120 and 165 of layers: the finish at 285, 1 365 on the staff. The lower support gets 23 more. By hand.
    expect(site.control?.wanted).toBe(285);
    expect(site.finishRod).toBe(1365);
    expect(site.supports.map((s) => [s.name, s.toFinish, s.more])).toEqual([
      ['beam', 165, 0],
      ['old sill', 188, 23],
    ]);
  });
  test('a level may lie below the datum, and only a level may', () => {
    const points = [{ id: 'a', name: 'ditch', is: 'ground' as const, level: '-120 mm' }];
    expect(faultsOf(document({}, { site: { points } }))).toEqual([]);
    expect(faultsOf(document({ height: '-120 mm' }))[0]).toContain('/walls/0/height');
  });
  test('a reading that is out is said by how much and which way', () => {
    const site = {
      instrument: 1500,
      points: [{ id: 'a', name: 'Peg', is: 'mark' as const, level: 0, reading: 1488 }],
    };
    expect(
      sayFor('mm')(findings(document({}, { site })).find((f) => f.code === 'reading-out')?.says ?? ''),
    ).toContain('Peg stands 12 mm high');
  });
});

describe('the simulated level', () => {
  test('reads what is there within its noise, and the same each time it is asked', () => {
    const level = simulatedLevel({ instrument: 1500, ground: (x) => x / 100, noise: 2, seed: 5 });
    for (let x = 0; x <= 3000; x += 250) {
      expect(Math.abs(level.read(x) - (1500 - x / 100))).toBeLessThanOrEqual(2);
      expect(level.read(x)).toBe(level.read(x));
    }
    expect(level.simulated).toBe(true);
  });
});

describe('the footing as poured', () => {
  const units = [
    { from: 0, to: 440 },
    { from: 450, to: 890 },
    { from: 900, to: 1340 },
  ];
  test('a hump is ground, a hollow is packed, and how much is said', () => {
    // Bed 10, limits 6 to 25: a hump of 7 leaves 3, so 3 comes off; a hollow of 20 leaves 30, so 5 goes under.
    const beds = pouredBeds(
      units,
      [
        { at: 0, level: 0 },
        { at: 445, level: 0 },
        { at: 660, level: 7 },
        { at: 900, level: 0 },
        { at: 1340, level: -20 },
      ],
      10,
      { least: 6, most: 25 },
    );
    expect(beds.map((b) => b.verdict)).toEqual(['sound', 'grind', 'pack']);
    expect(beds[1]?.by).toBeCloseTo(3, 9);
    expect(beds[2]?.by).toBeCloseTo(5, 9);
  });
  test('straight between spots, level beyond them, in any order', () => {
    const spots = [
      { at: 1000, level: 10 },
      { at: 0, level: 0 },
    ];
    expect([levelAt(spots, 500), levelAt(spots, 5000), levelAt(spots, 0)]).toEqual([5, 10, 0]);
    expect(levelAt([], 10)).toBe(0);
  });
  test('is a fault on course one of its run before a unit is laid', () => {
    const bad = findings(
      document({
        poured: [
          { run: 0, at: 0, level: 0 },
          { run: 0, at: 2000, level: 12 },
        ],
      }),
    ).find((f) => f.code === 'footing-uneven');
    expect(bad).toMatchObject({ severity: 'fault', run: 0, course: 1 });
    expect(codes(document({ poured: [{ run: 0, at: 0, level: 2 }] }))).not.toContain('footing-uneven');
  });
});

describe('square', () => {
  test('a true rectangle moves nothing, whatever its size', () => {
    fc.assert(
      fc.property(fc.integer({ min: 500, max: 50_000 }), fc.integer({ min: 500, max: 50_000 }), (a, b) => {
        const d = Math.hypot(a, b);
        const got = checkSquare({ ab: a, bc: b, cd: a, da: b, ac: d, bd: d }, a, b);
        return (
          got !== null &&
          got.corners.every((c) => Math.hypot(c.moveX, c.moveY) < 1e-3) &&
          Math.abs(got.disagrees ?? 1) < 1e-3
        );
      }),
    );
  });
  test('tapes that make no figure are nobody’s rectangle', () => {
    expect(
      checkSquare({ ab: 1000, bc: 1000, cd: 1000, da: 1000, ac: 5000, bd: null }, 1000, 1000),
    ).toBeNull();
  });
  test('equal diagonals prove nothing when opposite sides differ: the wall says so', () => {
    const line = closed(8000, 6000);
    const trapezium = { sides: [8000, 6000, 7900, 6000], diagonals: [Math.sqrt(6000 ** 2 + 8000 * 7900)] };
    expect(codes(document({ line, square: trapezium }))).toContain('not-square');
  });
});

describe('footings', () => {
  test('concrete round a building counts each corner once: outer box less inner box', () => {
    const { wall } = planOf({
      line: closed(6000, 4000),
      height: 1000,
      unit: 'block-440x215x215',
      profile: 'uk',
    });
    const got = footingAmounts(wall, { width: 600, depth: 200, past: 0, trench: 900 });
    const box = (grow: number): number => (6000 + grow) * (4000 + grow);
    expect(got.concrete * 1e9).toBeCloseTo((box(385) - box(-815)) * 200, 0);
    expect(got.projection).toBeCloseTo(192.5, 6);
  });
  test('an inside corner gives back what an outside one takes', () => {
    const length = (turn: number): number =>
      footingAmounts(
        planOf({ line: corner(3000, 3000, turn), height: 600, unit: 'block-440x215x215', profile: 'uk' })
          .wall,
        { width: 600, depth: 200, past: 0, trench: 200 },
      ).length;
    expect(length(90) + length(-90)).toBeCloseTo(12, 9);
  });
  test('round a curve the concrete is what lies between its two radii', () => {
    const { wall } = planOf({
      line: [{ arc: 4000, sweep: 90 }],
      height: 600,
      unit: 'brick-215x102.5x65',
      profile: 'uk',
    });
    const got = footingAmounts(wall, { width: 400, depth: 200, past: 0, trench: 200 });
    const [out, into] = [4000 + (400 - 102.5) / 2, 4000 - 102.5 - (400 - 102.5) / 2];
    expect(got.concrete * 1e9).toBeCloseTo(((Math.PI * (out ** 2 - into ** 2)) / 4) * 200, 0);
  });
  test('a corner that is not square takes off the thickness by the tangent of half its turn', () => {
    const { wall } = planOf({
      line: corner(3000, 3000, 45),
      height: 600,
      unit: 'block-440x215x215',
      profile: 'uk',
    });
    const got = footingAmounts(wall, { width: 600, depth: 200, past: 0, trench: 200 });
    expect(got.length * 1000).toBeCloseTo(6000 - 215 * Math.tan(Math.PI / 8), 6);
  });
  test('where a wall meets another what their footings share is poured once', () => {
    const footing = { width: 600, depth: 200 };
    const build = { kind: 'units', unit: 'block-440x215x215', bond: 'half' } as const;
    const base = { height: 600, lengths: 'actual', build, footing } as const;
    const job = soundJob({
      format: 'even-tally/job',
      version: 1,
      name: 'Tee',
      show: 'mm',
      profile: 'uk',
      walls: [
        { id: 'a', name: 'A', line: [{ run: 6000 }], ...base },
        { id: 'b', name: 'B', line: [{ run: 3000 }], ...base, meets: { wall: 'a', run: 0, at: 3000 } },
      ],
    });
    const { concrete } = (
      planJson(plan(job, [], { advise: false }), sayFor('mm')) as never as {
        tally: { concrete: { geometric: number } };
      }
    ).tally;
    // A 6 m by 600; B 3 m less the 192.5 that A's stands out: no square metre twice.
    expect(concrete.geometric).toBeCloseTo((6 + 3 - 0.1925) * 0.6 * 0.2, 9);
  });
  test('the bags as they go in: what is needed, how deep, what is left, what is short', () => {
    expect(bagsState(0.24, 1.2, 0.012, 5, 18)).toEqual({ needed: 20, depth: 50, left: 15, short: 2 });
    expect(tripsFor(1.25, 0.09)).toBe(14);
  });
  test('concrete stands in the plan, in the ground and to order', () => {
    const job = soundJob(document({ footing: { width: 450, depth: 150 } }));
    const { concrete } = (
      planJson(plan(job, [], { advise: false }), sayFor('mm')) as {
        tally: { concrete: { geometric: number; used: number; ordered: Record<string, number> } };
      }
    ).tally;
    // 4.49 × 0.45 × 0.15 by hand, 5 % over, 12 litres a bag.
    expect(concrete.geometric).toBeCloseTo(0.303075, 6);
    expect(concrete.used).toBeCloseTo(0.31822875, 6);
    expect(concrete.ordered).toEqual({ '25 kg bag of concrete': 27 });
  });
  test('one too thin for its projection, or narrower than its wall, is said', () => {
    expect(codes(document({ footing: { width: 600, depth: 100 } }))).toContain('footing-thin');
    expect(codes(document({ footing: { width: 120, depth: 300 } }))).toContain('footing-thin');
    expect(codes(document({ footing: { width: 440, depth: 150 } }))).not.toContain('footing-thin');
  });
});

describe('old walls', () => {
  test('three answers: yours drifts, theirs does not, half way drifts half', () => {
    // Their courses are 71, yours 75: over twenty of them 80, in 9 m of wall 1 in 112.5.
    expect(oneEnd({ height: 284, courses: 4 }, 65, 10, 20, 9000)).toEqual({
      bedThere: 6,
      off: 80,
      oneIn: 112.5,
    });
    expect(oneEnd({ height: 300, courses: 4 }, 65, 10, 20, 9000)).toBe(null);
    const [keep, take, share] = drifts({ height: 284, courses: 4 }, 65, 10, 20);
    expect([keep?.perCourse, take?.perCourse, share?.perCourse]).toEqual([4, 0, 2]);
    expect([keep?.atTop, take?.bed]).toEqual([80, 6]);
  });
  test('a fade comes back to plumb and stays there; a plumb wall needs none', () => {
    const fade = fadePlan({
      lean: { gap: 10, over: 1000 },
      oldHeight: 1000,
      thickness: 215,
      courses: 12,
      pitch: 75,
      over: 6,
    });
    const offsets = fade.courses.map((c) => c.offset);
    expect(offsets[0]).toBeGreaterThan(10);
    expect(offsets.slice(5).every((o) => Math.abs(o - (offsets[5] ?? 0)) < 1e-9)).toBe(true);
    expect(fade.outside).toBe(false);
    const plumb = fadePlan({
      lean: { gap: 0, over: 1000 },
      oldHeight: 1000,
      thickness: 215,
      courses: 5,
      pitch: 75,
      over: 3,
    });
    expect(plumb.courses.every((c) => c.offset === 0 && c.eccentricity === 0)).toBe(true);
  });
  test('past the limit, or out of the middle third, the wall stops at an engineer and gives no approval', () => {
    const leaning = findings(document({ old: { gap: 30, over: 1200, wallHeight: 1500 } })).find(
      (f) => f.code === 'engineer-needed',
    );
    expect(leaning?.severity).toBe('fault');
    expect(leaning?.fixes).toEqual([]);
    expect(codes(document({ old: { gap: 3, over: 1200, wallHeight: 1000 } }))).not.toContain(
      'engineer-needed',
    );
  });
});

describe('missing dimensions', () => {
  test('the brick table’s three forms, halves too', () => {
    expect(moduleSizes('pier', 1000, 225, 10).map((m) => m.length)).toContain(1002.5);
    expect(moduleSizes('opening', 900, 225, 10)[0]?.length).toBe(910);
    expect(moduleSizes('return', 680, 225, 10)[0]?.length).toBe(675);
  });
  test('a narrow pier shares what is left between its units', () => {
    expect(pierPerps(665, [215, 215, 215])).toBeCloseTo(10, 9);
    expect(pierPerps(600, [215, 215, 215])).toBeNull();
  });
  test('an assumption stays on the wall until somebody confirms it', () => {
    const open = { id: 'a', says: 'Door taken as 910 wide' };
    expect(codes(document({}, { assumed: [open] }))).toContain('assumed');
    expect(codes(document({}, { assumed: [{ ...open, confirmed: 'the owner' }] }))).not.toContain('assumed');
  });
});
