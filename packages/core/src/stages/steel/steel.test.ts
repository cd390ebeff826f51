import { applyPatch } from '../../job/edits/patch.js';
import type { Steel, Wall } from '../../job/types.js';
import { plan, type WallPlan } from '../../plan/plan.js';
import { planJson } from '../../plan/json.js';
import { working } from '../../plan/working.js';
import {
  closed,
  corner,
  jobOf,
  planOf,
  soundJob,
  straight,
  type OneWall,
  lengths,
  sayFor,
} from '../../test/jobs.js';
import { insideWidth } from './cells.js';
import { middleOf } from './shafts.js';
import { bestShift, seenFrom } from './shift.js';
import { schedule } from './steel.js';

const INCH = 25.4;
const BARS: Steel = { vertical: { bar: '#4', every: '32"' } };
const wallWith = (steel: Steel, more: Partial<Wall> = {}): Partial<Wall> => ({
  steel,
  jointEvery: "900'",
  held: 'free-standing',
  ...more,
});
const north = (steel: Steel = BARS, more: Partial<Wall> = {}): OneWall => ({
  line: straight("24'"),
  height: '8\' 8"',
  openings: [{ at: "4'", width: '3\' 4"', sill: 0, head: '6\' 8"' }],
  wall: wallWith(steel, more),
});
const bars = (p: WallPlan, run = 0) => p.steel.verticals[run]?.bars ?? [];
const at = (p: WallPlan, run = 0): number[] => bars(p, run).map((b) => Math.round((b.at / INCH) * 1e4) / 1e4);
const codes = (p: WallPlan): string[] => p.findings.filter((f) => f.stage === 'steel').map((f) => f.code);

test('continuous cells of half bond stand half a module apart, from the middle of the end cell', () => {
  const p = planOf({ line: straight("8'"), height: "8'", wall: wallWith(BARS) });
  const middles = (p.steel.cells[0]?.shafts ?? []).map((c) => middleOf(c) / INCH);
  // Webs 1 in, half block 7 5/8 in: the end cell is clear from 1 in to 6 5/8.
  expect(middles[0]).toBeCloseTo(3.8125, 6);
  expect(middles).toHaveLength(12);
  middles.slice(1).forEach((m, i) => expect(m - (middles[i] ?? 0)).toBeCloseTo(8, 6));
});

test('bars stand at the spacing from the first cell, and always at ends and jambs', () => {
  const p = planOf(north());
  expect(at(p)).toEqual([
    3.8125, 35.8125, 43.8125, 67.8125, 91.8125, 99.8125, 131.8125, 163.8125, 195.8125, 227.8125, 259.8125,
    283.8125,
  ]);
  const why = Object.fromEntries(bars(p).map((b) => [Math.round(b.at / INCH), b.why]));
  expect([why[4], why[44], why[92], why[284], why[132]]).toEqual(['end', 'jamb', 'jamb', 'end', 'spacing']);
  // Over the door the bar begins on the first course the lintel carries.
  expect(bars(p).find((b) => b.shaft.low > 0)?.shaft.bottom).toBeCloseTo(80 * INCH, 6);
});

test('a corner’s cell is one cell: its bar is counted once, with the run that begins there', () => {
  const p = planOf({ line: closed("12'", '8\' 8"'), height: "8'", wall: wallWith(BARS) });
  const corners = p.steel.verticals.flatMap((v) => v.bars.filter((b) => b.why === 'corner'));
  expect(corners).toHaveLength(4);
  expect(corners.map((b) => b.run)).toEqual([0, 1, 2, 3]);
  corners.forEach((b) => expect(b.at / INCH).toBeCloseTo(3.8125, 6));
  // No two bars in one place round the corner: the last of a run stands clear of the next run's thickness.
  p.runs.forEach((run, i) =>
    bars(p, i).forEach((b) => expect(b.at).toBeLessThan((p.wall.runs[i]?.length ?? 0) - p.wall.unitWidth)),
  );
});

test('each side of a movement joint has its bar, and beams stop there with dowels or without', () => {
  const joint = { id: 'J', run: 0, at: '11\' 11 13/16"' };
  const of = (beams?: 'cut'): WallPlan =>
    planOf({
      line: straight("24'"),
      height: "8'",
      wall: wallWith(
        { ...BARS, beams: [{ course: 'top', bar: '#4', count: 2 }] },
        { joints: [{ ...joint, ...(beams ? { beams } : {}) }] },
      ),
    });
  const p = of();
  const beside = bars(p).filter((b) => b.why === 'joint');
  expect(beside.map((b) => b.at / INCH)).toEqual([
    expect.closeTo(143.8125 - 4, 4) as number,
    expect.closeTo(143.8125 + 4, 4) as number,
  ]);
  expect(p.steel.beams[0]?.stretches).toHaveLength(2);
  const dowels = (w: WallPlan): number =>
    schedule(w.wall, w.steel)
      .filter((l) => l.use === 'dowel')
      .reduce((s, l) => s + l.count, 0);
  expect(dowels(p)).toBe(2);
  expect(dowels(of('cut'))).toBe(0);
});

test.each([
  ['cmu-8x8x16', '36"', '32"'],
  ['cmu-6x6x18', '24"', '18"'],
])(
  '%s: bars at %s do not suit its cells; they stand at %s and the finding offers what fits',
  (unit, every, lower) => {
    const job = jobOf({
      line: straight("36'"),
      height: "6'",
      unit,
      wall: wallWith({ vertical: { bar: '#4', every } }),
    });
    const p = plan(job).walls[0] as WallPlan;
    const found = p.findings.find((f) => f.code === 'bar-spacing-off-module');
    expect(p.steel.spacing?.used ?? 0).toBeCloseTo(parseFloat(lower) * INCH, 6);
    expect(found?.fixes).toHaveLength(2);
    for (const fix of found?.fixes ?? []) {
      const after = applyPatch(job, fix.edit);
      if (!after.ok) throw new Error(after.why);
      expect(codes(plan(soundJob(after.value)).walls[0] as WallPlan)).not.toContain('bar-spacing-off-module');
    }
  },
);

test.each(['16"', '24"', '32"', '40"', '48"'])('%s suits 16 in block', (every) => {
  expect(codes(planOf(north({ vertical: { bar: '#4', every } })))).not.toContain('bar-spacing-off-module');
});

test('a unit turned across the wall breaks its cells: the bar goes to the next free one while that is near enough', () => {
  const pieces = [{ id: 'X', run: 0, course: 5, at: '139 13/16"', length: '15 5/8"', do: 'turn' as const }];
  const p = planOf({ ...north(), build: { start: 'whole', pieces } });
  expect(codes(p)).not.toContain('bar-not-in-cell');
  const places = at(p).filter((x) => x > 92);
  // 32 in asked, and the 2 % a joint may ease it.
  for (const [i, x] of places.slice(1).entries())
    expect(x - (places[i] as number)).toBeLessThanOrEqual(32 * 1.02);
});

test('where the turned unit leaves no free cell near enough it is a fault, and putting it back settles it', () => {
  const pieces = [{ id: 'X', run: 0, course: 5, at: '139 13/16"', length: '15 5/8"', do: 'turn' as const }];
  const job = jobOf({
    ...north({ vertical: { bar: '#4', every: '8"' } }),
    build: { start: 'whole', pieces },
  });
  const p = plan(job).walls[0] as WallPlan;
  const found = p.findings.find((f) => f.code === 'bar-not-in-cell');
  expect(sayFor('ft-in')(found?.says ?? '')).toMatch(/cannot go through: course 5 stands across it/);
  const back = found?.fixes.find((f) => f.edit[0]?.op === 'remove');
  const after = applyPatch(job, back?.edit ?? []);
  if (!after.ok) throw new Error(after.why);
  expect(codes(plan(soundJob(after.value)).walls[0] as WallPlan)).not.toContain('bar-not-in-cell');
});

test('a bar taken out of a jamb by hand is a fault with one press to put it back; one in mid-wall is not', () => {
  const out = (inch: number): Steel => ({
    ...BARS,
    cells: [{ id: 'K', run: 0, at: inch * INCH, bar: false }],
  });
  const jamb = plan(jobOf(north(out(43.8125)))).walls[0] as WallPlan;
  expect(at(jamb)).not.toContain(43.8125);
  expect(jamb.findings.find((f) => f.code === 'bar-left-out')?.fixes).toHaveLength(1);
  expect(codes(planOf(north(out(131.8125))))).toEqual(['starters-wait']);
  expect(
    at(planOf(north({ ...BARS, cells: [{ id: 'K', run: 0, at: 11.8125 * INCH, bar: true }] }))),
  ).toContain(11.8125);
  expect(codes(planOf(north({ ...BARS, cells: [{ id: 'K', run: 0, at: 8 * INCH, bar: true }] })))).toContain(
    'cell-change-lost',
  );
});

test('solid units take no uprights, and the wall says so', () => {
  const p = planOf({
    line: straight(4500),
    height: 2250,
    unit: 'block-440x215x215',
    profile: 'uk',
    wall: wallWith({ vertical: { bar: 'T12', every: 450 } }),
  });
  expect(codes(p)).toContain('bar-not-in-cell');
  expect(bars(p)).toEqual([]);
});

test('hollow metric block takes bars at 225, 450, 675 and 900', () => {
  for (const every of [225, 450, 675, 900]) {
    const p = planOf({
      line: straight(8990),
      height: 2250,
      unit: 'hollow-440x215x215',
      profile: 'uk',
      show: 'mm',
      wall: wallWith({ vertical: { bar: 'T12', every } }),
    });
    expect(p.steel.spacing?.fits).toBe(true);
    expect(codes(p)).not.toContain('bar-not-in-cell');
  }
});

test('how the wall is held decides the side of the cell; nobody having said, it asks', () => {
  const off = (held?: Wall['held']): number =>
    planOf({ ...north(), wall: { ...wallWith(BARS), held } }).steel.place?.off ?? NaN;
  // Half of 5 1/8 in, less 1/4 in clear, less half of 1/2 in.
  const reach = 5.125 / 2 - 0.25 - 0.25;
  expect(off('soil') / INCH).toBeCloseTo(reach, 6);
  expect(off('floors') / INCH).toBeCloseTo(-reach, 6);
  expect(off('free-standing')).toBe(0);
  const coarse = planOf(north(BARS, { held: 'soil', grout: { fill: 'steel', aggregate: 'coarse' } }));
  expect((coarse.steel.place?.off ?? NaN) / INCH).toBeCloseTo(reach - 0.25, 6);
  // From the bar's middle to the face that is pressed together.
  expect((coarse.steel.place?.depth ?? NaN) / INCH).toBeCloseTo(7.625 / 2 + reach - 0.25, 6);
  const { held: _held, ...unsaid } = wallWith(BARS);
  expect(codes(planOf({ ...north(), wall: unsaid }))).toContain('held-not-said');
  const drawn = planOf(north({ vertical: { bar: '#4', every: '32"', from: '2 1/2"' } }));
  expect((drawn.steel.place?.off ?? NaN) / INCH).toBeCloseTo(7.625 / 2 - 2.5, 6);
});

test('the schedule carries every upright, starter, beam and footing bar, and its masses add up', () => {
  const p = planOf(
    north(
      { ...BARS, beams: [{ course: 'top', bar: '#4', count: 2 }], footing: { bar: '#5', count: 2 } },
      { footing: { width: '1\' 4"', depth: '8"' } },
    ),
  );
  const lines = schedule(p.wall, p.steel);
  const count = (use: string): number => lines.filter((l) => l.use === use).reduce((s, l) => s + l.count, 0);
  expect(count('vertical')).toBe(bars(p).length);
  // The short one over the door stands on no footing.
  expect(count('starter')).toBe(bars(p).length - 1);
  expect(count('beam')).toBe(4);
  expect(lines.find((l) => l.use === 'starter')?.a ?? 0).toBeCloseTo((8 - 3 + 24) * INCH, 6);
  expect(lines.find((l) => l.use === 'starter')?.b ?? 0).toBeCloseTo(8 * INCH, 6);
  // Footing bars: 23 ft 11 5/8 in less 3 in at each end, in two pieces of at most 20 ft lapped 48 diameters.
  const footing = lines.filter((l) => l.use === 'footing').reduce((s, l) => s + l.count * l.a, 0);
  expect(footing / INCH).toBeCloseTo(2 * (287.625 - 6 + 30), 6);
  for (const l of lines) expect(l.length * l.count).toBeCloseTo(l.total, 6);
  const four = lines.filter((l) => l.size === '#4');
  const mass = four.reduce((s, l) => s + l.mass, 0);
  const feet = four.reduce((s, l) => s + l.total, 0) / 304.8;
  expect(mass).toBeCloseTo(feet * 0.668 * 0.45359237, 4);
});

test('an upright taller than a stock bar is lapped, and its length has the lap in it', () => {
  const p = planOf({ line: straight("8'"), height: '33\' 4"', wall: wallWith(BARS) });
  const json = planJson({ walls: [p] }, sayFor('mm')) as {
    walls: { bars: { length: number; bottom: number; top: number }[] }[];
  };
  const [bar] = json.walls[0]?.bars ?? [];
  // 33 ft 4 in less 2 in of cover, and one lap of 24 in.
  expect((bar?.length ?? 0) / INCH).toBeCloseTo(400 - 2 + 24, 4);
  expect((bar?.top ?? 0) / INCH).toBeCloseTo(400, 4);
});

test('48 diameters stop at No. 6: above that the lap is computed and said', () => {
  const p = planOf(north({ vertical: { bar: '#8', every: '32"' } }), true);
  expect(p.steel.lap?.rule).toBe('computed');
  expect(codes(p)).toContain('lap-rule-beyond');
  expect((p.steel.lap?.length ?? 0) / INCH).toBeCloseTo(79, 0);
});

test('beams: every piece of the course is a beam unit; a course that is not there is a fault with a fix', () => {
  const p = planOf(north({ beams: [{ course: 4, bar: '#4', count: 1 }] }));
  expect(p.runs[0]?.rows[3]?.pieces.every((x) => x.kind === 'beam')).toBe(true);
  expect(p.runs[0]?.rows[4]?.pieces.some((x) => x.kind === 'beam')).toBe(false);
  // The door parts it.
  expect(p.steel.beams[0]?.stretches).toHaveLength(2);
  const none = planOf(north({ beams: [{ course: 40, bar: '#4', count: 1 }] }), true);
  expect(none.findings.find((f) => f.code === 'beam-nowhere')?.fixes.length).toBeGreaterThan(0);
});

test('beams over openings bear a half block each side', () => {
  const p = planOf(north({ beams: [{ course: 'over-openings', bar: '#4', count: 2 }] }));
  const [s] = p.steel.beams[0]?.stretches ?? [];
  expect([s?.from, s?.to].map((x) => (x ?? 0) / INCH)).toEqual([
    expect.closeTo(47.625 - 8, 6) as number,
    expect.closeTo(88 + 8, 6) as number,
  ]);
  expect(p.steel.beams[0]?.course).toBe(10);
});

test('starts are ranked by the starters they leave clear, and by bars that can go up', () => {
  // Starters placed for a wall that begins on a half: 8 in on from where a whole would have the webs.
  const at = (n: number): string => `${(3.8125 + 8 * n).toFixed(4)}"`;
  const starters = [1, 5, 13].map((n) => ({ id: `S${n}`, run: 0, at: at(n) }));
  const clear = planOf(north({ ...BARS, starters }), true);
  expect(clear.findings.some((f) => f.code === 'starter-off')).toBe(false);
  // Four inches on, each comes up under the webs between two cells, whichever way the wall begins.
  const webs = [1, 5, 13].map((n) => ({ id: `S${n}`, run: 0, at: `${(3.8125 + 8 * n + 4).toFixed(4)}"` }));
  const blocked = planOf(north({ ...BARS, starters: webs }), true);
  const says = blocked.findings.find((f) => f.code === 'starter-off');
  expect(says?.severity).toBe('fault');
  expect(sayFor('mm')(says?.says ?? '')).toContain('3 of 3');
  expect(sayFor('mm')(says?.says ?? '')).toContain('1 in 6');
  const cost = (p: WallPlan): number => p.choices.find((c) => c.kind === 'start-whole')?.cost ?? NaN;
  expect(cost(blocked) - cost(clear)).toBeCloseTo(3 * 60, 6);
  expect(blocked.choices.find((c) => c.kind === 'start-whole')?.says).toContain('3 starters in the way');
});

test('a small shift that clears the starters is named; one beyond half an inch is not', () => {
  const off = (by: number): string | undefined =>
    planOf(
      north({
        ...BARS,
        starters: [2, 14].map((n) => ({ id: `S${n}`, run: 0, at: (3.8125 + 8 * n + by) * INCH })),
      }),
    ).findings.find((f) => f.code === 'starter-off')?.says;
  // 5 5/8 in clear, ½ in of bar and ¼ in of grout each side leave 2 5/16 in either way.
  expect(off(2.2)).toBeUndefined();
  expect(off(2.6)).toContain('laying the wall out');
  expect(off(3.2)).not.toContain('laying the wall out');
});

test('a starter under the web of a sawn block is cleared by turning that block end for end, in one press', () => {
  // A nominal 8 ft 5 in, begun on a whole: odd courses have a block sawn to 12 5/8 in from 80 in on, and a half at the end.
  const job = jobOf({
    line: straight('101"'),
    height: "4'",
    build: { start: 'whole' },
    wall: {
      ...wallWith({ ...BARS, starters: [{ id: 'S', run: 0, at: '80 13/16"' }] }),
      held: 'free-standing',
    },
  });
  const over = (p: WallPlan | undefined): { from: number; to: number } | undefined => {
    const cell = p?.steel.cells[0]?.shafts.find((c) => c.from < 82 * INCH && c.to > 82 * INCH);
    return cell && { from: cell.from / INCH, to: cell.to / INCH };
  };
  const before = plan(job).walls[0];
  expect(lengths(before as WallPlan, 1)[5]).toBeCloseTo(12.625 * INCH, 3);
  // Geometry A: shells and webs 1 in, cells 6 5/16 in. Its left end keeps its web, to 81 in; the whole block over it,
  // from 72 in on, has its second cell from 80 5/16 to 86 5/8.
  expect(over(before)?.from).toBeCloseTo(80 + 1, 6);
  expect(over(before)?.to).toBeCloseTo(72 + 1 + 6.3125 + 1 + 6.3125, 6);
  const off = before?.findings.find((f) => f.code === 'starter-off');
  const fix = off?.fixes.find((f) => sayFor('mm')(f.says).startsWith('Turn the sawn unit'));
  expect(sayFor('mm')(fix?.says ?? '')).toMatch(
    /^Turn the sawn unit over it end for end in the 3 courses it lies in/,
  );
  const after = applyPatch(job, fix?.edit ?? []);
  if (!after.ok) throw new Error(after.why);
  const again = plan(soundJob(after.value)).walls[0];
  // Turned, its web is at the other end: what is left of its second cell is open from the cut to 84 5/16.
  expect(over(again)?.from).toBeCloseTo(72 + 1 + 6.3125 + 1, 6);
  expect(over(again)?.to).toBeCloseTo(92.625 - 1 - 6.3125 - 1, 6);
  expect(again?.findings.some((f) => f.code === 'starter-off')).toBe(false);
});

test('whole blocks are the same either way round: turning one is not offered', () => {
  const starters = [{ id: 'S', run: 0, at: `${3.8125 + 16 + 4}"` }];
  const off = plan(jobOf(north({ ...BARS, starters }))).walls[0]?.findings.find(
    (f) => f.code === 'starter-off',
  );
  expect(sayFor('mm')(off?.says ?? '')).not.toContain('turning');
  expect(off?.fixes.filter((f) => sayFor('mm')(f.says).startsWith('Turn'))).toEqual([]);
});

test('the shift is one press: the starters stay where they are, and measure otherwise from the wall', () => {
  const [along, across] = [2.625, 1.75];
  const starters = [2, 14].map((n) => ({
    id: `S${n}`,
    run: 0,
    at: (3.8125 + 8 * n + along) * INCH,
    off: across * INCH,
  }));
  const job = jobOf(north({ ...BARS, starters }));
  const off = plan(job).walls[0]?.findings.find((f) => f.code === 'starter-off');
  const fix = off?.fixes.find((f) => sayFor('mm')(f.says).startsWith('Lay the wall out'));
  expect(sayFor('mm')(fix?.says ?? '')).toContain('2 of 2 starters come up clear');
  const after = applyPatch(job, fix?.edit ?? []);
  if (!after.ok) throw new Error(after.why);
  const again = plan(soundJob(after.value)).walls[0];
  expect(again?.findings.some((f) => f.code === 'starter-off')).toBe(false);
  again?.wall.steel?.starters.forEach((s, i) => {
    const was = starters[i] ?? { at: 0, off: 0 };
    expect(s.at).toBeLessThan(was.at);
    // Never more than half an inch, which is what a wall may be moved (common practice).
    expect(Math.hypot(s.at - was.at, s.off - was.off)).toBeLessThanOrEqual(12.7 + 1e-6);
  });
});

test('starters off across the wall and along it are cleared by one move both ways', () => {
  // 5 1/8 in clear through an 8 in block, less ½ in of bar and ¼ in of grout each side: 1 15/16 in either way.
  const room = insideWidth(planOf(north()).wall) / 2 - (0.25 + 0.25) * INCH;
  const starters = [{ id: 'S', run: 0, at: (3.8125 + 16 + 2.5) * INCH, off: room + 5 }];
  const p = planOf(north({ ...BARS, starters }));
  const shift = bestShift(p.wall, p.steel);
  const seen = seenFrom(p.wall, 0, shift ?? { x: 0, y: 0 });
  expect(shift?.clear).toBe(1);
  expect(seen.on).toBeGreaterThan(0);
  expect(seen.out).toBeGreaterThanOrEqual(5 - 1e-9);
});

test('round a corner a shift along one run is a shift across the other', () => {
  const p = planOf({ line: corner("16'", "12'"), height: "8'", wall: wallWith(BARS) });
  expect(seenFrom(p.wall, 0, { x: 10, y: 0 }).on).toBeCloseTo(10, 9);
  expect(seenFrom(p.wall, 0, { x: 10, y: 0 }).out).toBeCloseTo(0, 9);
  const other = seenFrom(p.wall, 1, { x: 10, y: 0 });
  // The line turns left and its outside is on its right: on along the first run is outward from the second.
  expect(other.on).toBeCloseTo(0, 9);
  expect(other.out).toBeCloseTo(10, 9);
});

test('figures of steel, grout and joints open into their working', () => {
  const job = jobOf(
    north(
      {
        ...BARS,
        beams: [{ course: 'top', bar: '#4', count: 2 }],
        bed: { every: 2, kind: 'ladder' },
        straps: { every: 4 },
      },
      { joints: [{ id: 'J', run: 0, at: '15\' 11 13/16"' }] },
    ),
  );
  for (const figure of [
    'grout.geometric',
    'grout.used',
    'steel.mass',
    'steel.bed',
    'joints.sealant',
    'joints.filler',
    'joints.ties',
  ]) {
    const made = working(job, [], `w/wall/${figure}`);
    expect(made?.result).toBeGreaterThan(0);
    expect(made?.inputs.length).toBeGreaterThan(0);
    expect(sayFor('mm')(made?.source ?? '').length).toBeGreaterThan(3);
  }
  // 8 ft 8 in, both faces.
  expect(working(job, [], 'w/wall/joints.sealant')?.result).toBeCloseTo(2 * 104 * INCH, 6);
  expect(working(job, [], 'w/wall/joints.ties')?.result).toBe(7);
});

test('starters drilled into old concrete are straight, counted, and wait for no footing', () => {
  const p = planOf(north({ ...BARS, drilled: true }));
  const line = schedule(p.wall, p.steel).find((l) => l.use === 'starter');
  // Ten diameters into the concrete and a lap of 48 above it.
  expect((line?.a ?? 0) / INCH).toBeCloseTo(5 + 24, 6);
  expect(line?.shape).toBe('straight');
  expect(line?.count).toBe(bars(p).length - 1);
  expect(codes(p)).not.toContain('starters-wait');
});

test('a pump’s hose is primed apart: what is ordered for the wall stays what it was', () => {
  const job = (hose?: object) =>
    jobOf(north(BARS, { grout: { fill: 'steel', ...(hose ? { hose } : {}) } as Wall['grout'] & object }));
  const ordered = (hose?: object): number => working(job(hose), [], 'w/wall/grout.used')?.result ?? NaN;
  const hose = { length: 30_000, bore: 50 };
  expect(ordered(hose)).toBe(ordered());
  // π/4 × 0.05² × 30: geometry.
  expect(working(job(hose), [], 'w/wall/grout.prime')?.result).toBeCloseTo(0.0589, 4);
});

test('straps: one a corner every so many courses', () => {
  const job = jobOf({
    line: closed("12'", '8\' 8"'),
    height: "8'",
    wall: wallWith({ straps: { every: 4 } }),
  });
  expect(working(job, [], 'w/wall/steel.straps')?.result).toBe(4 * 3);
});
