import { expect, test } from '@jest/globals';
import type { Opening } from '../../job/types.js';
import { documentOf, faultsOf, planOf, soundJob, straight, type OneWall } from '../../test/jobs.js';
import { plan, type WallPlan } from '../../plan/plan.js';
import { lintelsPlaced } from './lintels.js';

const door = (more: Partial<Opening> = {}): OneWall => ({
  profile: 'uk',
  show: 'mm',
  unit: 'brick-215x102.5x65',
  line: straight(5615),
  height: 2700,
  // Four bricks in from the end, on the bond.
  openings: [{ at: 910, width: 910, sill: 0, head: 2100, ...more }],
});
const coded = (w: OneWall, code: string): string[] =>
  planOf(w)
    .findings.filter((f) => f.code === code)
    .map((f) => f.says);

test('M102: over 910 mm a lintel of 1210 at 150 mm bearings is asked for, and stays so until it is marked', () => {
  expect(coded(door(), 'lintel-not-designed')[0]).toContain('1210 mm long at least');
  const listed = door({ lintel: { kind: 'concrete', height: 140 } });
  expect(coded(listed, 'lintel-not-designed')[0]).toContain('who designed it');
  const marked = door({ lintel: { kind: 'concrete', height: 140, mark: 'L1' } });
  expect(coded(marked, 'lintel-not-designed')).toEqual([]);
  const [l] = lintelsPlaced(plan(soundJob(documentOf(marked))).walls[0] as WallPlan);
  expect([l?.length, l?.bearings]).toEqual([1210, [150, 150]]);
});

test('soldiers, and a band of them, carry nothing: the lintel is still asked for', () => {
  const [says] = coded(door({ over: 'soldiers' }), 'lintel-not-designed');
  expect(says).toContain('carry nothing');
});

test('up to the top of the wall there is nothing to carry', () => {
  expect(coded(door({ head: 2700 }), 'lintel-not-designed')).toEqual([]);
});

test('two leaves parted by a cavity are each carried', () => {
  const cavity = (lintel: Opening['lintel']): OneWall => ({
    ...door(lintel === undefined ? {} : { lintel }),
    build: { cavity: { inner: 'block-440x215x100', width: 100 } },
  });
  expect(coded(cavity(undefined), 'lintel-not-designed')[0]).toContain('1210 mm');
  expect(coded(cavity({ leaf: 0, mark: 'A' }), 'lintel-not-designed')[0]).toContain('the inner leaf');
  expect(
    coded(
      cavity([
        { leaf: 0, mark: 'A' },
        { leaf: 1, mark: 'B' },
      ]),
      'lintel-not-designed',
    ),
  ).toEqual([]);
  expect(coded(cavity({ mark: 'one over both' }), 'lintel-not-designed')).toEqual([]);
});

test('a lintel too short is found, and its fix settles it', () => {
  // 1050 − 910 leaves 70 mm at each end: BS EN 845-2 asks 100, from memory.
  const w = door({ lintel: { length: 1050, mark: 'L1' } });
  const [f] = planOf(w, true).findings.filter((one) => one.code === 'lintel-bearing-short');
  expect(f?.says).toContain('70 mm');
  expect(f?.fixes[0]?.edit).toEqual([
    { op: 'add', path: '/walls/0/openings/0/lintel/length', value: expect.anything() },
    { op: 'add', path: '/walls/0/openings/0/lintel/bearings', value: expect.anything() },
  ]);
  const odd = door({ lintel: { length: 1300, bearings: [100, 150], mark: 'L1' } });
  expect(coded(odd, 'lintel-bearing-short')[0]).toContain('does not come to');
});

test('adobe bears 12 in at each end (IBC 2109, from memory), block 8 in, and never less than 4', () => {
  const adobe: OneWall = {
    profile: 'earth',
    unit: 'adobe-10x14x4',
    line: straight("20'"),
    height: "8'",
    openings: [{ at: '75"', width: '45"', sill: 0, head: '80"' }],
  };
  expect(coded(adobe, 'lintel-not-designed')[0]).toContain('5′-9″');
  const block: OneWall = {
    line: straight("24'"),
    height: '8\' 8"',
    openings: [{ at: "4'", width: '3\' 4"', sill: 0, head: '6\' 8"', lintel: { bearings: '3"', mark: 'x' } }],
  };
  expect(coded(block, 'lintel-bearing-short')[0]).toContain('4″');
});

test('a bearing on a sliver, and one past the end of the wall, are found where they are', () => {
  // A brick and 50 mm in from the end: the row under the bearing holds a piece of 50.
  const sliver = door({ at: 275, lintel: { mark: 'L1' } });
  const found = planOf(sliver).findings.filter((f) => f.code === 'lintel-bears-on-nothing');
  const under = planOf(sliver).runs[0]?.rows[27]?.pieces.filter((p) => p.to <= 276 && p.to > 126) ?? [];
  const short = Math.min(...under.map((p) => p.to - p.from)) < 102.5 - 0.01;
  expect(found.length > 0).toBe(short);
  const past = coded(door({ at: 100, lintel: { mark: 'L1' } }), 'lintel-bears-on-nothing');
  expect(past[0]).toContain('50 mm past');
  // Two windows with a narrow pier between: one lintel over both would serve, two bear on air.
  const close: OneWall = {
    ...door(),
    openings: [
      { at: 910, width: 910, sill: 900, head: 2100, lintel: { mark: 'L1' } },
      { at: 1930, width: 910, sill: 900, head: 2100, lintel: { mark: 'L1' } },
    ],
  };
  expect(coded(close, 'lintel-bears-on-nothing')).toHaveLength(2);
});

test('one person does not lift what is over 20 kg, in kilograms or pounds', () => {
  expect(coded(door({ lintel: { weight: 62, mark: 'L1' } }), 'lintel-heavy')[0]).toContain('62');
  expect(coded(door({ lintel: { weight: '40 lb', mark: 'L1' } }), 'lintel-heavy')).toEqual([]);
});

test('a lintel is checked where it is filed', () => {
  expect(faultsOf(documentOf(door({ lintel: { bearings: [100], mark: 'L' } })))).toEqual([
    expect.stringContaining('/walls/0/openings/0/lintel'),
  ]);
});
