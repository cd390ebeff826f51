import { GAUGE_WEIGHTS } from '../../tables/weights.js';
import { exactSolver, type ExactSolver } from '../../test/exactSolver.js';
import type { Fixed } from './fixed.js';
import { meetHeights, type MeetProblem } from './meet.js';

let solver: ExactSolver;
beforeAll(async () => {
  solver = await exactSolver();
});

/** A small generator of its own, so that the problems are the same on every machine. */
function numbers(seed: number): () => number {
  let s = seed;
  return () => {
    s = (Math.imul(s, 1664525) + 1013904223) >>> 0;
    return s / 2 ** 32;
  };
}

function problem(seed: number): MeetProblem {
  const next = numbers(seed * 7919 + 13);
  const within = (a: number, b: number): number => a + (b - a) * next();
  const unitHeight = next() < 0.5 ? 65 : 215;
  const bed = 10;
  const limits = { least: 6, most: 15, firstLeast: 6, firstMost: 25 };
  const count = 1 + Math.floor(next() * 3);
  let at = 0;
  const heights: Fixed[] = Array.from({ length: count }, (_, i) => {
    at += within(2, 5) * (unitHeight + bed);
    const last = i === count - 1;
    return {
      at: Math.round(at),
      tolerance: !last && next() < 0.5 ? Math.round(within(0, 8)) : 0,
      must: last || next() < 0.6,
      names: [`height ${i + 1}`],
    };
  });
  const change = next() < 0.7 ? Math.round(within(1, 5)) : Infinity;
  return {
    weights: GAUGE_WEIGHTS,
    unitHeight,
    halfHigh: next() < 0.4 ? (unitHeight - bed) / 2 : null,
    sawn: next() < 0.3 ? { least: 50, most: unitHeight - 10 } : null,
    bed,
    limits,
    outer: limits,
    hiddenTo: 0,
    change: () => change,
    heights,
  };
}

interface Try {
  kinds: ('whole' | 'half-high' | 'sawn')[];
  marks: { course: number; height: Fixed }[];
  missed: number;
}

/** Every way of dividing the height that can possibly do, counted out without any thought of cost. */
function everyWay(p: MeetProblem): Try[] {
  const done: Try[] = [];
  const go = (t: Try, from: number, half: number, sawn: number): void => {
    if (from === p.heights.length) {
      done.push(t);
      return;
    }
    for (let to = from; to < p.heights.length; to++) {
      const height = p.heights[to] as Fixed;
      const low = from === 0 ? undefined : t.marks.at(-1)?.height;
      const span = height.at - (low?.at ?? 0);
      const loose = height.tolerance + (low?.tolerance ?? 0) + 20;
      for (let h = 0; h <= (p.halfHigh !== null && half === 0 ? 1 : 0); h++) {
        for (let s = 0; s <= (p.sawn !== null && sawn === 0 ? 1 : 0); s++) {
          for (let whole = 0; whole <= 12; whole++) {
            const n = whole + h + s;
            const least = whole * p.unitHeight + h * (p.halfHigh ?? 0) + s * 50 + n * 6;
            const most = whole * p.unitHeight + h * (p.halfHigh ?? 0) + s * p.unitHeight + n * 15;
            if (n === 0 || least > span + loose || most < span - loose) continue;
            const kinds = [
              ...Array<'sawn'>(s).fill('sawn'),
              ...Array<'half-high'>(h).fill('half-high'),
              ...Array<'whole'>(whole).fill('whole'),
            ];
            const all = [...t.kinds, ...kinds];
            go(
              {
                kinds: all,
                marks: [...t.marks, { course: all.length, height }],
                missed: t.missed + to - from,
              },
              to + 1,
              half + h,
              sawn + s,
            );
          }
        }
      }
      if (height.must) break;
    }
  };
  go({ kinds: [], marks: [], missed: 0 }, 0, 0, 0);
  return done;
}

/** One way's beds by HiGHS, as a quadratic programme in its LP text. */
function exact(p: MeetProblem, t: Try): number {
  const n = t.kinds.length;
  const heightOf = (k: Try['kinds'][number]): number =>
    k === 'whole' ? p.unitHeight : k === 'half-high' ? (p.halfHigh ?? 0) : 0;
  const rows: string[] = [];
  for (const { course, height } of t.marks) {
    const units = t.kinds.slice(0, course).reduce((sum, k) => sum + heightOf(k), 0);
    const sum = t.kinds
      .slice(0, course)
      .map((k, i) => (k === 'sawn' ? `b${i} + c` : `b${i}`))
      .join(' + ');
    rows.push(
      `${sum} >= ${height.at - height.tolerance - units}`,
      `${sum} <= ${height.at + height.tolerance - units}`,
    );
  }
  const change = p.change(0);
  for (let k = 2; k < n && change < Infinity; k++)
    rows.push(`b${k} - b${k - 1} <= ${change}`, `b${k - 1} - b${k} <= ${change}`);
  const bounds = t.kinds.map((_, i) =>
    i === 0
      ? `${p.limits.firstLeast} <= b0 <= ${p.limits.firstMost}`
      : `${p.limits.least} <= b${i} <= ${p.limits.most}`,
  );
  if (t.kinds.includes('sawn')) bounds.push(`${p.sawn?.least} <= c <= ${p.sawn?.most}`);
  const linear = t.kinds.map((_, i) => `- ${2 * p.bed} b${i}`).join(' ');
  const square = t.kinds.map((_, i) => `2 b${i} ^2`).join(' + ');
  const found = solver.solve(
    `Minimize\n obj: ${linear} + [ ${square} ] / 2\nSubject To\n ${rows.map((r, i) => `r${i}: ${r}`).join('\n ')}\nBounds\n ${bounds.join('\n ')}\nEnd`,
  );
  if (found.Status !== 'Optimal') return Infinity;
  return (
    found.ObjectiveValue +
    n * p.bed ** 2 +
    t.missed * GAUGE_WEIGHTS.openingOffCourse +
    t.kinds.filter((k) => k === 'half-high').length * GAUGE_WEIGHTS.halfHighCourse +
    t.kinds.filter((k) => k === 'sawn').length * GAUGE_WEIGHTS.cutCourse
  );
}

test('two hundred random problems cost what an exact solver says they must (HiGHS, every way tried)', () => {
  let solved = 0;
  for (let seed = 0; solved < 200; seed++) {
    const p = problem(seed);
    const least = Math.min(Infinity, ...everyWay(p).map((t) => exact(p, t)));
    const got = meetHeights(p);
    if (least === Infinity) {
      expect({ seed, status: got.status }).toEqual({ seed, status: 'none' });
      continue;
    }
    solved++;
    expect({ seed, status: got.status }).toEqual({ seed, status: 'best' });
    expect(Math.abs(got.cost - least)).toBeLessThan(1e-3 * Math.max(1, least / 1000));
  }
});

describe('what a mason would mark', () => {
  const brick = (heights: Fixed[], more: Partial<MeetProblem> = {}): MeetProblem => {
    const limits = { least: 6, most: 15, firstLeast: 6, firstMost: 25 };
    return {
      weights: GAUGE_WEIGHTS,
      unitHeight: 65,
      halfHigh: null,
      sawn: null,
      bed: 10,
      limits,
      outer: limits,
      hiddenTo: 0,
      change: () => 3,
      heights,
      ...more,
    };
  };
  const must = (at: number, tolerance = 0): Fixed => ({ at, tolerance, must: true, names: ['sill'] });

  test('a sill at 12 courses and a head 1 210 above it: each stretch its own gauge', () => {
    const got = meetHeights(brick([must(900), must(2110)]));
    // 900 / 12 = 75; 1210 / 16 = 75.625, so 10.625 a bed: by hand.
    expect(got.courses).toHaveLength(28);
    expect(got.courses.slice(0, 12).every((c) => Math.abs(c.bed - 10) < 1e-6)).toBe(true);
    expect(got.courses.slice(12).every((c) => Math.abs(c.bed - 10.625) < 1e-6)).toBe(true);
    expect(got.cost).toBeCloseTo(16 * 0.625 ** 2, 6);
  });

  test('a tolerance is used only as far as it helps', () => {
    const got = meetHeights(brick([must(905, 5), must(1800)]));
    // 24 courses of 75 reach 1800 and 12 of them 900, which the tolerance allows: no bed is changed.
    expect(got.cost).toBeCloseTo(0, 6);
  });

  test('beds climb to a change they may not jump: 6 mm courses under, 14 over, 3 mm a bed', () => {
    const got = meetHeights(brick([must(6 * 72), must(6 * 72 + 6 * 78)]));
    const beds = got.courses.map((c) => c.bed);
    expect(beds.slice(0, 6).reduce((a, b) => a + b, 0)).toBeCloseTo(6 * 7, 6);
    expect(beds.slice(6).reduce((a, b) => a + b, 0)).toBeCloseTo(6 * 13, 6);
    for (let k = 2; k < beds.length; k++)
      expect(Math.abs((beds[k] ?? 0) - (beds[k - 1] ?? 0))).toBeLessThanOrEqual(3 + 1e-9);
  });

  test('a half-high block only where whole ones cannot do', () => {
    const block = brick([must(1125 + 112.5)], { unitHeight: 215, halfHigh: 102.5 });
    expect(meetHeights({ ...block, halfHigh: null }).status).toBe('none');
    const got = meetHeights(block);
    expect(got.courses.map((c) => c.kind)).toEqual(['half-high', ...Array<string>(5).fill('whole')]);
    expect(got.cost).toBeCloseTo(GAUGE_WEIGHTS.halfHighCourse, 3);
  });
});
