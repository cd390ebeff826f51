import fc from 'fast-check';
import {
  corner,
  faultsOf,
  documentOf,
  jobOf,
  kinds,
  lengths,
  planOf,
  soundJob,
  straight,
  sayFor,
} from '../../../test/jobs.js';
import { applyPatch } from '../../../job/edits/patch.js';
import { checkJob } from '../../../job/check.js';
import { plan, type WallPlan } from '../../../plan/plan.js';
import type { FootingStep, Top } from '../../../job/types.js';
import { footingAmounts, type Strip } from '../../../stages/set-out/footing.js';
import { topAt } from '../../../stages/set-out/outline.js';

const brick = { unit: 'brick-215x102.5x65', profile: 'uk' as const, show: 'mm' as const };
const top = (t: Partial<Top>): Top => ({
  id: 'T',
  run: 0,
  kind: 'raked',
  from: 0,
  to: 4490,
  left: 750,
  right: 750,
  ...t,
});
/** A wall of 20 bricks, 10 courses at 75. */
const wall = (over: { tops?: Top[]; steps?: FootingStep[] }): WallPlan =>
  planOf({ ...brick, line: straight(20 * 225 - 10), height: 750, build: { start: 'whole' }, wall: over });
const codes = (p: WallPlan): string[] => p.findings.map((f) => f.code);

describe('a footing that steps', () => {
  const steps: FootingStep[] = [{ id: 'S', run: 0, from: 2245, to: 4490, up: 3 }];

  test('courses under the step are not built there; those above go on through', () => {
    const p = wall({ steps });
    const reach = (course: number): number =>
      Math.max(...(p.runs[0]?.rows[course - 1]?.pieces ?? []).map((x) => x.to));
    expect([1, 2, 3].map(reach)).toEqual([2245, 2245, 2245]);
    expect([4, 10].map(reach)).toEqual([4490, 4490]);
    // 3 courses of 10 bricks stand short of the step, by hand; the even course has a half at each end.
    expect(lengths(p, 1)).toHaveLength(10);
    expect(lengths(p, 2)).toHaveLength(11);
    expect(kinds(p, 2).at(-1)).toBe('half');
  });

  test('face and mortar leave the footing out', () => {
    // 4.490 × 0.750 less 2.245 × 0.225, by hand.
    expect(wall({ steps }).tally.area).toBeCloseTo(4.49 * 0.75 - 2.245 * 0.225, 9);
  });

  test('the overlap is said, and a step that cuts units offers the perps', () => {
    const p = plan(
      jobOf({
        ...brick,
        line: straight(4490),
        height: 750,
        wall: { steps: [{ id: 'S', run: 0, from: 2170, to: 4490, up: 3 }] },
      }),
    ).walls[0] as WallPlan;
    // Twice a rise of 225 is 450: Approved Document A 2E2, from memory.
    expect(sayFor('mm')(p.findings.find((f) => f.code === 'footing-step')?.says ?? '')).toContain(
      'at least 450 mm',
    );
    expect(sayFor('mm')(p.findings.find((f) => f.code === 'step-off-bond')?.fixes[0]?.says ?? '')).toBe(
      'Move the step to the nearest perps',
    );
  });

  test('the upper concrete goes on over the lower, a riser closes the step, and both are counted', () => {
    const footing = { width: 450, depth: 150 };
    const amounts = (over: object) => {
      const p = planOf({ ...brick, line: straight(4490), height: 750, wall: { footing, ...over } });
      return footingAmounts(p.wall, p.wall.footing as Strip);
    };
    // One step of 225: an overlap of 450, by 450 wide and 150 deep, and 75 of riser under it, 150 thick. By hand.
    const byHand = 0.45 * 0.45 * 0.15 + 0.075 * 0.15 * 0.45;
    expect(amounts({ steps }).atSteps).toBeCloseTo(byHand, 9);
    expect(amounts({ steps }).concrete - amounts({}).concrete).toBeCloseTo(byHand, 9);
    // Deeper than the step is high, what the lower length fills already is not poured again: 450 over it, 225 high.
    const deep = { footing: { width: 450, depth: 300 } };
    expect(amounts({ steps, ...deep }).atSteps).toBeCloseTo(0.45 * 0.45 * 0.225, 9);
  });

  test('a step right at a corner is a fault that can be settled', () => {
    const job = jobOf({
      ...brick,
      line: corner(4490, 4490),
      height: 750,
      wall: { steps: [{ id: 'S', run: 1, from: 0, to: 4490, up: 2 }] },
    });
    const found = plan(job).walls[0]?.findings.find((f) => f.code === 'step-at-corner');
    expect(found?.severity).toBe('fault');
    expect(found?.fixes).toHaveLength(1);
  });
});

describe('tops', () => {
  test('a gable rises past the height: its courses are the gable’s alone, and read the same both ways', () => {
    const p = wall({
      tops: [
        top({ id: 'L', to: 2245, left: 750, right: 2250 }),
        top({ id: 'R', from: 2245, left: 2250, right: 750 }),
      ],
    });
    expect(p.gauge.count).toBe(10);
    expect(p.gauge.courses).toHaveLength(30);
    expect(p.gauge.courses.at(-1)?.top).toBe(2250);
    // Triangle of 4.49 × 1.5 over 4.49 × 0.75, by hand.
    expect(p.tally.area).toBeCloseTo(4.49 * 0.75 + (4.49 * 1.5) / 2, 9);
    for (const row of p.runs[0]?.rows ?? []) {
      const mirrored = [...row.pieces].reverse().map((x) => [4490 - x.to, 4490 - x.from]);
      mirrored.forEach(([from, to], i) => {
        expect(row.pieces[i]?.from).toBeCloseTo(from ?? NaN, 6);
        expect(row.pieces[i]?.to).toBeCloseTo(to ?? NaN, 6);
      });
    }
  });

  test('a raked course is sawn where the rake meets it, and its perps stay on the bond', () => {
    // Falling 1 in 6 from 750: course 10 (685 to 750) is met between 0 and 390 along.
    const p = wall({ tops: [top({ from: 0, to: 4490, left: 750, right: 750 - 4490 / 6 })] });
    const tenth = p.runs[0]?.rows[9]?.pieces ?? [];
    expect(tenth.every((x) => x.kind === 'cut' && x.rake !== undefined)).toBe(true);
    // 20 mm of brick is left where the piece ends: (750 − 685 − 20) × 6 = 270 along.
    expect(tenth.at(-1)?.to).toBeCloseTo(270, 6);
    expect(tenth.at(-1)?.rake?.right).toBeCloseTo(705, 3);
    const first = lengths(p, 1);
    expect(first.every((l) => l === 215)).toBe(false);
    expect(first[0]).toBe(215);
  });

  test('a stepped top stops plumb on the perps, each step whole courses', () => {
    const p = wall({
      tops: [top({ kind: 'stepped', step: 2, left: 750, right: 450, from: 1120, to: 4495 - 5 })],
    });
    // Three levels (750, 600, 450) over 3 370.
    const row = (n: number): number => Math.max(...(p.runs[0]?.rows[n - 1]?.pieces ?? []).map((x) => x.to));
    expect(row(10)).toBeCloseTo(1120 + 3370 / 3, 6);
    expect(row(8)).toBeCloseTo(1120 + (2 * 3370) / 3, 6);
    expect(row(6)).toBe(4490);
    expect(p.runs[0]?.rows.flatMap((r) => r.pieces).some((x) => x.rake)).toBe(false);
  });

  test('a scallop hangs by its dip in the middle and a ramp dies into the higher level', () => {
    const s = wall({ tops: [top({ kind: 'scallop', from: 1125, to: 3365, dip: 300 })] }).wall.tops[0];
    expect(topAt(s?.segments ?? [], 2245)).toBeCloseTo(450, 6);
    expect(topAt(s?.segments ?? [], 1125)).toBeCloseTo(750, 6);
    const r = wall({ tops: [top({ kind: 'ramp', from: 1125, to: 2125, left: 450, right: 750 })] }).wall
      .tops[0];
    expect(topAt(r?.segments ?? [], 1125)).toBeCloseTo(450, 6);
    // A quarter of an ellipse: half way along it has risen 1 − √0.75 of the rise.
    expect(topAt(r?.segments ?? [], 1625)).toBeCloseTo(450 + 300 * (1 - Math.sqrt(0.75)), 6);
    expect(topAt(r?.segments ?? [], 2125)).toBeCloseTo(750, 6);
  });

  test('a step that springs from a half is found, and moving it by half a brick settles it', () => {
    // Course 10 is even: its perps stand half a brick on, so at 1 115 (5 × 225 − 10) it ends on a half.
    const doc = documentOf({
      ...brick,
      line: straight(4490),
      height: 750,
      wall: {
        tops: [
          top({ id: 'A', kind: 'stepped', step: 4, from: 0, to: 2230, left: 750, right: 450 }),
          top({ id: 'B', from: 2230, to: 4490, left: 450, right: 450 }),
        ],
      },
    });
    const job = checkJob(doc);
    if (!job.ok) throw new Error('not sound');
    const p = plan(job.job).walls[0] as WallPlan;
    const found = p.findings.find((f) => f.code === 'top-starts-on-half');
    expect(found).toMatchObject({ course: 10, run: 0 });
    const fix = found?.fixes[0];
    const after = fix && applyPatch(doc, fix.edit);
    expect(after?.ok).toBe(true);
    if (!after?.ok) return;
    expect(codes(plan(soundJob(after.value)).walls[0] as WallPlan)).not.toContain('top-starts-on-half');
  });

  test('a level that no course reaches is brought to one', () => {
    const p = plan(
      jobOf({
        ...brick,
        line: straight(4490),
        height: 750,
        wall: { tops: [top({ kind: 'stepped', left: 480, right: 480 })] },
      }),
    ).walls[0] as WallPlan;
    const found = p.findings.find((f) => f.code === 'top-off-gauge');
    expect(sayFor('mm')(found?.fixes[0]?.says ?? '')).toBe('Bring it to the courses: 450 mm to 450 mm');
  });

  test('what could not stand is refused in one sentence', () => {
    const faults = (over: { tops?: Top[]; steps?: FootingStep[] }): string[] =>
      faultsOf(documentOf({ ...brick, line: straight(4490), height: 750, wall: over }));
    expect(faults({ tops: [top({ to: 9000 })] })[0]).toContain('/walls/0/tops/0/to');
    expect(faults({ tops: [top({}), top({ id: 'U' })] })[0]).toContain('U lies over T');
    expect(faults({ tops: [top({ kind: 'scallop' })] })[0]).toContain('how far the scallop hangs');
    expect(faults({ tops: [top({ kind: 'scallop', to: 400, dip: 300 })] })[0]).toContain('less than 200 mm');
    expect(faults({ steps: [{ id: 'S', run: 3, from: 0, to: 100, up: 1 }] })[0]).toContain(
      'a run from 0 to 0',
    );
  });
});

const anyTop = fc.record({
  kind: fc.constantFrom<Top['kind']>('raked', 'stepped', 'scallop', 'ramp'),
  from: fc.integer({ min: 0, max: 2000 }),
  left: fc.integer({ min: 300, max: 1500 }),
  right: fc.integer({ min: 300, max: 1500 }),
  step: fc.integer({ min: 1, max: 4 }),
  dip: fc.integer({ min: 20, max: 250 }),
});

test('nothing stands above the top or in the footing, and every course still fills what it covers', () => {
  fc.assert(
    fc.property(
      anyTop,
      fc.integer({ min: 600, max: 2400 }),
      fc.integer({ min: 0, max: 4 }),
      fc.integer({ min: 200, max: 3000 }),
      (t, wide, up, at) => {
        const p = wall({
          tops: [top({ ...t, to: t.from + wide })],
          steps: up === 0 ? [] : [{ id: 'S', run: 0, from: at, to: at + 900, up }],
        });
        const segments = p.wall.tops.flatMap((x) => x.segments);
        return (p.runs[0]?.rows ?? []).every((row, i) => {
          const course = p.gauge.courses[i];
          if (!course) return false;
          const past = course.number > p.gauge.count;
          const clear = row.pieces.every((x) => {
            if (course.number <= up && x.from < at + 899.9 && x.to > at + 0.1) return false;
            const middle = (x.from + x.to) / 2;
            const height = topAt(segments, middle) ?? (past ? 0 : Infinity);
            return height > course.bottom + course.bed;
          });
          const pieces = row.pieces.reduce((s, x) => s + x.to - x.from, 0);
          const joints = row.perps.reduce((s, x) => s + x.width, 0);
          const bedded = row.bedded.reduce((s, b) => s + b.to - b.from, 0);
          const apart = row.pieces.every((x, k) => k === 0 || x.from >= (row.pieces[k - 1]?.to ?? 0) - 1e-6);
          return clear && apart && Math.abs(bedded - pieces - joints) < 0.01;
        });
      },
    ),
    { numRuns: 300 },
  );
});
