import type { Retains, Wall } from '../../job/types.js';
import { planOf, straight, type OneWall } from '../../test/jobs.js';
import { retainAmounts } from './retain.js';

const uk = (retains: Retains, more: Partial<Wall> = {}, unit = 'block-440x215x215'): OneWall => ({
  line: straight(8990),
  height: 900,
  unit,
  profile: 'uk',
  show: 'mm',
  wall: { retains, jointEvery: 20_000, ...more },
});
const engineer = (w: OneWall): string | undefined =>
  planOf(w).findings.find((f) => f.code === 'engineer-needed')?.says;

test('low, level, dry ground behind a thick wall is left to the mason; anything more is not', () => {
  expect(engineer(uk({ height: 350 }))).toBeUndefined();
  expect(engineer(uk({ height: 650 }))).toContain('600 mm of ground held');
  // Between the two a wall without bars has left its middle third: statics, 0.393 m for 215 mm.
  expect(engineer(uk({ height: 450 }))).toContain('about 393 mm');
  for (const key of ['surcharge', 'slope', 'water', 'building'] as const)
    expect(engineer(uk({ height: 300, [key]: true }))).toBeDefined();
  expect(engineer(uk({ height: 150 }, {}, 'block-440x215x100'))).toContain('single skin');
});

test('in the US the height is from the underside of the footing, and with bars the rest is the drawing’s', () => {
  const us = (height: string): OneWall => ({
    line: straight("24'"),
    height,
    wall: {
      retains: { height: "2'" },
      jointEvery: "60'",
      footing: { width: "2'", depth: '12"' },
      steel: { vertical: { bar: '#4', every: '32"' } },
      held: 'soil',
    },
  });
  expect(engineer(us('3\' 4"'))).toContain('4′-0″ from the underside');
  expect(engineer(us('2\' 8"'))).toBeUndefined();
});

test('no finding about ground ever says that a wall will stand', () => {
  const says = engineer(uk({ height: 650 })) ?? '';
  expect(says).toContain('Nothing here says that it will stand');
  expect(says).toContain('Take along');
});

test('what goes behind it: stone, pipe, fabric, weeps, and how far the top stands back', () => {
  const p = planOf(uk({ height: 550, stone: 300, weepsEvery: 900, stepBack: 5 }));
  const a = retainAmounts(p.wall, p.gauge.count);
  expect(a?.stone).toBeCloseTo(8.99 * 0.55 * 0.3, 6);
  expect(a?.pipe).toBeCloseTo(8.99, 6);
  expect(a?.waterproofing).toBeCloseTo(8.99 * 0.55, 6);
  expect(a?.weeps).toBe(9);
  // Four courses: three steps back.
  expect(a?.lean).toBe(15);
});
