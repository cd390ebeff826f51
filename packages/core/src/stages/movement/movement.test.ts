import { applyPatch } from '../../job/edits/patch.js';
import { plan } from '../../plan/plan.js';
import {
  closed,
  faultsOf,
  documentOf,
  jobOf,
  kinds,
  lengths,
  planOf,
  soundJob,
  straight,
  sayFor,
  type OneWall,
} from '../../test/jobs.js';
import { jointAmounts } from './amounts.js';
import { lawfulSpans, perpPlaces, proposedJoints } from './proposing.js';
import { isDue, panelsOfRun } from './spacing.js';

const LONG = { line: straight("40'"), height: "8'" };

test('a joint due is a choice with one press, and pressed it is settled', () => {
  const job = jobOf(LONG);
  const due = plan(job).walls[0]?.findings.find((f) => f.code === 'control-joint-due');
  expect(due?.severity).toBe('choice');
  // The rule and its number stand in what it says: 1½ × 8 ft.
  expect(sayFor('ft-in')(due?.says ?? '')).toContain('12′');
  expect(sayFor('ft-in')(due?.says ?? '')).toContain('1½');
  const after = applyPatch(job, due?.fixes[0]?.edit ?? []);
  expect(after.ok).toBe(true);
  if (!after.ok) return;
  const again = plan(soundJob(after.value), [], { advise: false }).walls[0];
  expect(again?.findings.some((f) => f.code === 'control-joint-due')).toBe(false);
  expect(again?.wall.joints.length).toBe(3);
  // Proposed on perps: nothing is sawn for them.
  expect(again?.findings.some((f) => f.code === 'joint-off-bond')).toBe(false);
});

test('both sides of a joint end on halves and wholes by turns, and no unit crosses it', () => {
  const p = planOf({
    line: straight("8'"),
    height: "2'",
    wall: { joints: [{ id: 'J1', run: 0, at: 1216.025 }] },
  });
  // 8 ft is six modules; the joint takes the perp in its middle, 47 13/16 in and a half perp on.
  expect(kinds(p, 1)).toEqual(['stretcher', 'stretcher', 'stretcher', 'stretcher', 'stretcher', 'stretcher']);
  expect(kinds(p, 2)).toEqual([
    'half',
    'stretcher',
    'stretcher',
    'half',
    'half',
    'stretcher',
    'stretcher',
    'half',
  ]);
  const [left, right] = [p.runs[0]?.rows[1]?.pieces[3], p.runs[0]?.rows[1]?.pieces[4]];
  expect(left?.to).toBeCloseTo(1216.025 - 4.7625, 3);
  expect(right?.from).toBeCloseTo(1216.025 + 4.7625, 3);
});

test('a joint on the half perp swaps which course has the halves', () => {
  const at = 1216.025 - 203.2;
  const p = planOf({ line: straight("8'"), height: "2'", wall: { joints: [{ id: 'J1', run: 0, at }] } });
  expect(kinds(p, 1)).toEqual([
    'stretcher',
    'stretcher',
    'half',
    'half',
    'stretcher',
    'stretcher',
    'stretcher',
  ]);
  expect(p.tally.sawn.size).toBe(0);
});

test('a joint off the perps says what it saws, and the perp to bring it to', () => {
  const job = jobOf({
    line: straight("8'"),
    height: "2'",
    wall: { joints: [{ id: 'J1', run: 0, at: '3\' 9"' }] },
  });
  const off = plan(job).walls[0]?.findings.find((f) => f.code === 'joint-off-bond');
  expect(off?.fixes.length).toBeGreaterThan(0);
  expect(lengths(planOf({ line: straight("8'"), height: "2'" }), 1).length).toBe(6);
});

test('a refused joint lays nothing, is not proposed again, and its reason stays', () => {
  const refused = { id: 'J1', run: 0, at: "10'", refused: 'the engineer has bars across' };
  const with3 = [refused, { ...refused, id: 'J2', at: "20'" }, { ...refused, id: 'J3', at: "30'" }];
  const p = planOf({ ...LONG, wall: { joints: with3 } }, true);
  expect(p.findings.some((f) => f.code === 'control-joint-due')).toBe(false);
  expect(p.findings.filter((f) => f.code === 'joint-refused').length).toBe(3);
  expect(sayFor('ft-in')(p.findings.find((f) => f.code === 'joint-refused')?.says ?? '')).toContain(
    'the engineer has bars across',
  );
  expect(p.tally.total).toBe(planOf(LONG).tally.total);
});

test('the drawing’s own spacing goes before the profile’s', () => {
  const of = (jointEvery: string): boolean =>
    panelsOfRun(planOf({ ...LONG, wall: { jointEvery } }).wall, 0).some(isDue);
  expect(of("60'")).toBe(false);
  expect(of("39'")).toBe(true);
});

test('round a corner both legs count: a short return lets the first joint stand further off', () => {
  const from = (leg: string): number =>
    panelsOfRun(planOf({ line: closed("40'", leg), height: "8'" }).wall, 0)[0]?.fromStart ?? 0;
  // 12 ft round the corner: 6 and 6, or 4 and 8.
  expect(from("20'") / 304.8).toBeCloseTo(6, 6);
  expect(from("4'") / 304.8).toBeCloseTo(8, 1);
});

test('every joint proposed on a long closed building leaves no panel over its limit', () => {
  let job = jobOf({
    line: closed("60'", "34'"),
    height: '8\' 8"',
    openings: [
      { at: "12'", width: "8'", sill: 0, head: '6\' 8"' },
      { at: "40'", width: "4'", sill: '2\' 8"', head: '6\' 8"' },
    ],
  });
  for (let i = 0; i < 4; i++) {
    const due = plan(job).walls[0]?.findings.find((f) => f.code === 'control-joint-due');
    if (!due) break;
    const after = applyPatch(job, due.fixes[0]?.edit ?? []);
    if (!after.ok) throw new Error(after.why);
    job = soundJob(after.value);
  }
  const p = plan(job, [], { advise: false }).walls[0];
  expect(p?.findings.some((f) => f.code === 'control-joint-due')).toBe(false);
  // None under a lintel's bearing.
  const clear = p?.wall.joints.every((j) =>
    p.wall.openings.every((o) => o.run !== j.run || j.to < o.from - 190 || j.from > o.to + 190),
  );
  expect(clear).toBe(true);
});

test('joints that leave no wall beside them are refused at the door', () => {
  const faults = (joints: unknown[]): string[] =>
    faultsOf({ ...documentOf(LONG), walls: [{ ...documentOf(LONG).walls[0], joints }] });
  expect(faults([{ id: 'J1', run: 0, at: '4"' }])[0]).toContain('at least');
  expect(faults([{ id: 'J1', run: 0, at: "41'" }])[0]).toContain('inside its run');
  expect(faults([{ id: 'J1', run: 3, at: "4'" }])[0]).toContain('a run from 0 to 0');
  expect(
    faults([
      { id: 'J1', run: 0, at: "4'" },
      { id: 'J1', run: 0, at: "9'" },
    ])[0],
  ).toContain('once');
});

describe('weak places', () => {
  const window = { at: "8'", width: "4'", sill: "4'", head: '6\' 8"' };
  const shed = (opening: object, wall: object = {}) =>
    jobOf({ line: straight("20'"), height: "16'", openings: [opening], wall });
  const said = (job: ReturnType<typeof shed>) =>
    plan(job).walls[0]?.findings.find((f) => f.code === 'joint-at-weak-place');
  const pressed = (job: ReturnType<typeof shed>, fix = 0) => {
    const after = applyPatch(job, said(job)?.fixes[fix]?.edit ?? []);
    if (!after.ok) throw new Error(after.why);
    return plan(soundJob(after.value), [], { advise: false }).walls[0];
  };

  test('an opening up to 6 ft wants a joint on one side, a wider one on both (TEK 10-2, from memory)', () => {
    expect(said(shed(window))?.severity).toBe('choice');
    expect(pressed(shed(window))?.wall.joints).toHaveLength(1);
    const wide = shed({ ...window, at: '6\' 8"', width: '6\' 8"' });
    expect(sayFor('ft-in')(said(wide)?.says ?? '')).toContain('both sides');
    const joints = pressed(wide)?.wall.joints ?? [];
    expect(joints).toHaveLength(2);
    // One each side, past what the lintel bears on.
    const [from, to] = [80 * 25.4, 160 * 25.4];
    expect(joints[0]?.to).toBeLessThan(from - 190);
    expect(joints[1]?.from).toBeGreaterThan(to + 190);
  });

  test('the joint stands where it leaves no narrow strip: on the side with the longer wall', () => {
    const nearLeft = pressed(shed({ ...window, at: "4'" }))?.wall.joints[0];
    expect(nearLeft?.from).toBeGreaterThan(8 * 304.8);
    const nearRight = pressed(shed({ ...window, at: "12'" }))?.wall.joints[0];
    expect(nearRight?.to).toBeLessThan(12 * 304.8);
  });

  test('pressed it is settled on a perp; refused it stays refused, with the reason', () => {
    const codes = (p: ReturnType<typeof pressed>) => p?.findings.map((f) => f.code) ?? [];
    expect(codes(pressed(shed(window)))).not.toContain('joint-at-weak-place');
    expect(codes(pressed(shed(window)))).not.toContain('joint-off-bond');
    const refused = pressed(shed(window), 1);
    expect(codes(refused)).toContain('joint-refused');
    expect(refused?.wall.joints[0]?.refused).toContain('steel');
  });

  test('bars beside the opening and a beam over it take the strain', () => {
    const steel = {
      vertical: { bar: '#4', every: '32"' },
      beams: [{ course: 'over-openings', bar: '#4', count: 2 }],
    };
    expect(said(shed(window, { steel }))).toBeUndefined();
  });

  test('a drawing that says how far joints stand apart says where they stand', () => {
    expect(said(shed(window, { jointEvery: "60'" }))).toBeUndefined();
  });

  test('a step of 24 in or more in the top or the footing is a weak place, a smaller one is not', () => {
    const stepped = (left: string) =>
      said(
        jobOf({
          line: straight("20'"),
          height: "16'",
          wall: {
            tops: [{ id: 'T', run: 0, kind: 'raked', from: 0, to: "10'", left, right: left }],
          },
        }),
      );
    expect(sayFor('ft-in')(stepped("13'")?.says ?? '')).toContain('change of height');
    expect(stepped("15'")).toBeUndefined();
  });

  test('a material with no rule of its own has no weak places here', () => {
    const adobe = jobOf({
      line: straight("20'"),
      height: "8'",
      unit: 'adobe-10x14x4',
      profile: 'earth',
      openings: [window],
    });
    expect(said(adobe)).toBeUndefined();
  });
});

describe('joints no mason would put', () => {
  const dueOf = (w: OneWall) =>
    plan(jobOf(w)).walls[0]?.findings.filter((f) => f.code === 'control-joint-due') ?? [];
  const US_BRICK = { unit: 'brick-modular-us', lengths: 'actual' } as const;
  const LOW = { line: straight("24'"), height: '2\' 8"' };

  test('none in a brick house of 24 by 16 ft: its runs are shorter than a spacing', () => {
    expect(dueOf({ ...US_BRICK, line: closed("24'", "16'"), height: "8'" })).toEqual([]);
    expect(dueOf({ ...US_BRICK, line: closed("26'", "16'"), height: "8'" })).toHaveLength(2);
  });

  test('none in a low wall that holds ground back, until it is longer than 25 ft', () => {
    const retains = { held: 'soil', retains: { height: "2'" } } as const;
    expect(dueOf({ ...LOW, wall: retains })).toEqual([]);
    expect(dueOf({ ...LOW, line: straight("26'"), wall: retains })).toHaveLength(1);
  });

  test('none in a cellar wall that floors hold against its backfill, nor in one the ground covers', () => {
    const long = { line: straight("60'"), height: "8'" };
    expect(dueOf({ ...long, wall: { held: 'floors', retains: { height: "6'" } } })).toEqual([]);
    expect(dueOf({ ...LOW, line: straight("60'"), build: { face: { hiddenTo: '2\' 8"' } } })).toEqual([]);
    expect(dueOf(long)).toHaveLength(1);
  });

  test('bars both ways: 60 ft where it stands free or is filled solid; with 0.2 % along it none', () => {
    const beams = (count: number) =>
      Array.from({ length: count }, (_, i) => ({ course: 2 * i + 2, bar: '#5' as const, count: 2 }));
    const wall = (line: string, count: number, fill: 'steel' | 'all', held?: 'free-standing'): OneWall => ({
      line: straight(line),
      height: "8'",
      wall: {
        steel: { vertical: { bar: '#4', every: '32"' }, beams: beams(count) },
        grout: { fill },
        ...(held ? { held } : {}),
      },
    });
    expect(dueOf(wall("59'", 1, 'steel', 'free-standing'))).toEqual([]);
    expect(dueOf(wall("59'", 1, 'all'))).toEqual([]);
    expect(dueOf(wall("59'", 1, 'steel'))).toHaveLength(1);
    expect(dueOf(wall("61'", 1, 'all'))).toHaveLength(1);
    // 10 bars of 0.31 in² in 7 5/8 by 96 in are 0.42 %; 2 are 0.085 %.
    expect(dueOf(wall("99'", 5, 'all'))).toEqual([]);
  });

  test('one in a run a little longer than a spacing, near its middle', () => {
    const job = jobOf({ line: closed("16'", "12'"), height: '8\' 8"' });
    const due = plan(job).walls[0]?.findings.find((f) => f.code === 'control-joint-due');
    const after = applyPatch(job, due?.fixes[0]?.edit ?? []);
    if (!after.ok) throw new Error(after.why);
    const joints = plan(soundJob(after.value), [], { advise: false }).walls[0]?.wall.joints ?? [];
    expect(joints).toHaveLength(1);
    expect(Math.abs((joints[0]?.from ?? 0) / 304.8 - 8)).toBeLessThan(8 / 12);
  });

  test('none within 600 mm of a corner, nor under what a lintel bears on, even where that asks for sawn units', () => {
    const window = { sill: "3'", head: '6\' 8"' };
    const p = planOf({
      line: closed("40'", "12'"),
      height: "8'",
      openings: [
        { ...window, at: "3'", width: "9'" },
        { ...window, at: "28'", width: "9'" },
      ],
    });
    const run = p.runs[0];
    const spans = lawfulSpans(p.wall, 0);
    expect(
      run && perpPlaces(p.wall, run).every((x) => x >= 600 && x <= (p.wall.runs[0]?.length ?? 0) - 600),
    ).toBe(true);
    expect(spans.every((s) => s.from >= 600)).toBe(true);
    for (const o of p.wall.openings)
      expect(spans.some((s) => s.from < o.to + 197 && s.to > o.from - 197)).toBe(false);
  });

  test('where no place is left that is said and asked, and nothing is put', () => {
    const [due] = dueOf({
      line: closed("16'", "8'"),
      height: '8\' 8"',
      openings: [{ at: '1\' 4"', width: '13\' 4"', sill: "0'", head: '6\' 8"' }],
    });
    expect(sayFor('ft-in')(due?.says ?? '')).toContain('Which gives way');
    expect(due?.fixes).toEqual([]);
  });

  test('a stated spacing stands for every figure of the rule, that for corners too', () => {
    const first = (jointEvery?: string): number =>
      panelsOfRun(
        planOf({
          ...US_BRICK,
          line: closed("90'", "90'"),
          height: "8'",
          wall: jointEvery ? { jointEvery } : {},
        }).wall,
        0,
      )[0]?.fromStart ?? 0;
    expect(first() / 304.8).toBeCloseTo(10, 6);
    expect(first("40'") / 304.8).toBeCloseTo(20, 6);
  });

  test('as few as any set of perps allows, each panel within its limit (every set tried, apart from the code)', () => {
    for (const at of ["4'", "7'", "11'", "16'"]) {
      const p = planOf({
        line: straight("30'"),
        height: "8'",
        openings: [{ at, width: "6'", sill: 0, head: '6\' 8"' }],
      });
      const run = p.runs[0];
      const panel = panelsOfRun(p.wall, 0)[0];
      if (!run || !panel) throw new Error('no run');
      const got = proposedJoints(p.wall, run, panel);
      const perps = perpPlaces(p.wall, run);
      const [length, every, half] = [p.wall.runs[0]?.length ?? 0, 12 * 304.8, 4.7625];
      const fits = (xs: number[]): boolean =>
        [0, ...xs].every((x, i) => {
          const next = xs[i] ?? length;
          return next - x - (i > 0 ? half : 0) - (i < xs.length ? half : 0) <= every + 0.5;
        });
      const sets = (n: number, from = 0): number[][] =>
        n === 0 ? [[]] : perps.flatMap((x, i) => (i < from ? [] : sets(n - 1, i + 1).map((s) => [x, ...s])));
      const fewest = [0, 1, 2, 3].find((n) => sets(n).some(fits));
      expect([at, got?.length, fits(got ?? [])]).toEqual([at, fewest, true]);
    }
  });

  test('a door near a corner moves the first joint and adds none: two in the 24 ft front of a garage', () => {
    const [due] = dueOf({
      line: closed("24'", "20'"),
      height: "8'",
      openings: [{ at: "4'", width: '9\' 4"', sill: 0, head: '7\' 4"' }],
      wall: {
        steel: {
          vertical: { bar: '#4', every: '48"' },
          beams: [{ course: 'over-openings', bar: '#4', count: 2 }],
        },
      },
    });
    const step = due?.fixes[0]?.edit[0];
    expect(step?.op === 'add' ? step.value : null).toHaveLength(2);
  });
});

describe('a joint begins at the dpc: under it the wall is laid through (PD 6697, from memory)', () => {
  const wall = (at: number, more: object = {}) =>
    planOf({
      line: straight(4490),
      height: 900,
      unit: 'brick-215x102.5x65',
      profile: 'uk',
      show: 'mm',
      build: { cavity: { inner: 'block-440x215x100', width: 100 } },
      wall: { jointEvery: 40_000, joints: [{ id: 'J1', run: 0, at, width: 10, ...more }] },
    });
  // Perps of course 1 of 20 bricks: 225 k − 5; those of course 2 a half, 112.5, on.
  const onPerp = 225 * 8 - 5;

  test('two courses to the dpc are whole: 20 bricks in the odd, 19 and two halves in the even', () => {
    const p = wall(onPerp);
    expect(p.runs[0]?.rows.slice(0, 2).map((r) => r.pieces.length)).toEqual([20, 21]);
    expect(kinds(p, 2).filter((k) => k === 'half')).toHaveLength(2);
    // Over it the joint parts the even course in two halves more.
    expect(p.runs[0]?.rows[3]?.pieces).toHaveLength(22);
    expect(kinds(p, 4).filter((k) => k === 'half')).toHaveLength(4);
    const across = (course: number): boolean =>
      p.runs[0]?.rows[course - 1]?.pieces.some((x) => x.from < onPerp && x.to > onPerp) ?? false;
    expect([1, 2, 3, 4].map(across)).toEqual([false, true, false, false]);
    // The bed runs through: one length of it, from end to end.
    expect(p.runs[0]?.rows.slice(0, 4).map((r) => r.bedded.length)).toEqual([1, 1, 2, 2]);
  });

  test('sealant, filler and slip ties are of what stands over the dpc: 750 of 900', () => {
    expect(jointAmounts(wall(onPerp).wall, wall(onPerp).gauge.courses, 12)).toEqual({
      count: 1,
      sealant: 1.5,
      filler: expect.closeTo((750 * (102.5 + 100)) / 1e6, 9) as number,
      ties: 3,
    });
  });

  test('what was sawn beside a joint that stands in a brick is whole again', () => {
    const sawn = (course: number): number =>
      wall(onPerp + 60).runs[0]?.rows[course - 1]?.pieces.filter(
        (x) => x.cutFrom !== null && x.kind === 'cut',
      ).length ?? -1;
    expect(sawn(1)).toBe(0);
    expect(sawn(3)).toBeGreaterThan(0);
  });
});
