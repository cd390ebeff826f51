import fc from 'fast-check';
import { applyPatch } from '../job/edits/patch.js';
import { checkJob } from '../job/check.js';
import type { LineItem } from '../job/types.js';
import { toMillimetres } from '../measure/length.js';
import { gaugeSlack } from '../stages/gauge/courses.js';
import { KINDS } from '../walling/units/laying/kinds.js';
import { stated } from '../job/stated.js';
import { SHOWN } from '../walling/pieces.js';
import { pieceColumns } from '../walling/units/columns.js';
import { anySoundWall, HALF } from '../test/anyWall.js';
import { documentOf, jobOf, planOf, soundJob, straight, rowsBehind } from '../test/jobs.js';
import { behindCavity } from '../walling/units/leaves/leaf.js';
import { plan, type WallPlan } from './plan.js';

/** Walls planned, or planned and advised, in a plain run; ten times as many with --long. */
const LONG = process.env.LONG === '1';
const PLANNED = LONG ? 1500 : 30;
/** Of the rules that plan a wall two or three times over. */
const TWICE = LONG ? 500 : 40;
const ADVISED = LONG ? 300 : 10;
const ORDERED = LONG ? 150 : 8;

const near = (a: number, b: number, by = 1e-6): boolean => Math.abs(a - b) <= by;

function courseSums(p: WallPlan): boolean {
  const { courses } = p.gauge;
  return (
    courses.every(
      (c, i) => near(c.top, c.bottom + c.bed + c.unitHeight) && near(c.bottom, courses[i - 1]?.top ?? 0),
    ) && near((courses[p.gauge.count - 1]?.top ?? 0) + p.gauge.short, p.wall.height, 0.0011)
  );
}

/** In every row, stretch by stretch: pieces and the joints between them fill it, and nothing overlaps. */
function rowsFill(p: WallPlan): boolean {
  return p.runs.every((run) =>
    run.rows.every((row) => {
      const whole = row.pieces.filter((x) => x.band === null);
      const ordered = whole.every(
        (x, k) =>
          x.to > x.from &&
          x.from >= run.from - 1e-6 &&
          x.to <= run.to + 1e-6 &&
          (k === 0 || x.from > (whole[k - 1]?.to ?? 0) - 1e-6),
      );
      const pieces = row.pieces.reduce((s, x) => s + x.to - x.from, 0);
      const joints = row.perps.reduce((s, x) => s + x.width, 0);
      // Strips over a head or under a sill off gauge have joints of their own height.
      const strips = row.pieces.some((x) => x.band !== null);
      const bedded = row.bedded.reduce((s, b) => s + b.to - b.from, 0);
      // Beds lie under own pieces and every joint of the stretch, a shown end's included.
      return ordered && (strips || near(bedded, pieces + joints, 0.01));
    }),
  );
}

const overlapsOpening = (p: WallPlan): boolean =>
  p.wall.openings.some((o) =>
    pieceColumns(p, o.run).some((c) => {
      for (let i = 0; i < c.count; i++) {
        const across = Math.min(c.to[i] ?? 0, o.to) - Math.max(c.from[i] ?? 0, o.from);
        const up = Math.min(c.top[i] ?? 0, o.head) - Math.max(c.bottom[i] ?? 0, o.sill);
        // A bed's slack is taken up by bedding; the end of another run's unit is that run's own affair.
        if (c.kind[i] !== SHOWN && across > 1e-3 && up > gaugeSlack(p.wall) + 0.01) return true;
      }
      return false;
    }),
  );

test('courses and beds make the height; pieces and joints fill every course; nothing overlaps or stands in an opening', () => {
  fc.assert(
    fc.property(anySoundWall, (w) => {
      const p = planOf(w);
      return courseSums(p) && rowsFill(p) && !overlapsOpening(p);
    }),
    { numRuns: PLANNED },
  );
});

test('kinds sum to the number of pieces, and what is ordered is never less than what is laid', () => {
  fc.assert(
    fc.property(anySoundWall, (w) => {
      const { tally, buy, leaves } = planOf(w);
      const drawn = leaves
        .filter((l) => l.heldBy !== 'cavity')
        .flatMap((l) => l.runs.flatMap((r) => r.rows))
        .reduce((sum, row) => sum + row.pieces.length, 0);
      const kinds = Object.values(tally.pieces).reduce((a, b) => a + b, 0);
      return (
        kinds === tally.total && tally.total === drawn && buy.every((l) => l.ordered >= l.net && l.net > 0)
      );
    }),
    { numRuns: TWICE },
  );
});

/** Maps print as nothing of themselves: written out, or two that differ would read the same. */
const written = (value: unknown): string =>
  JSON.stringify(value, (_key, v: unknown) => (v instanceof Map ? [...(v as Map<unknown, unknown>)] : v));

test('what is written of a map is what is in it', () => {
  expect(written(new Map([['a', new Map([[1, 2]])]]))).toBe('[["a",[[1,2]]]]');
});

test('the same job plans the same, and the order of walls changes nothing', () => {
  let looked = 0;
  fc.assert(
    fc.property(anySoundWall, anySoundWall, (a, other) => {
      // Both stand in one job, which has one profile: the other is tried under this one's.
      const b = { ...other, profile: a.profile, show: a.show };
      const [da, db] = [documentOf(a).walls[0], documentOf(b).walls[0]];
      const job = (walls: unknown[]): unknown => ({ ...documentOf(a), walls });
      const [first, second] = [
        { ...da, id: 'a' },
        { ...db, id: 'b' },
      ];
      fc.pre(checkJob(job([first, second])).ok);
      looked++;
      const say = (walls: unknown[], i: number): string =>
        written(plan(soundJob(job(walls)), [], { advise: false }).walls[i]?.tally);
      return (
        say([first, second], 0) === say([second, first], 1) &&
        say([first, second], 0) === say([first, second], 0)
      );
    }),
    { numRuns: ORDERED },
  );
  expect(looked).toBeGreaterThanOrEqual(ORDERED);
});

test('a straight wall seen from the other side counts the same', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 8, max: 40 }),
      fc.integer({ min: 2, max: 10 }),
      fc.integer({ min: 2, max: 5 }),
      (n, at, width) => {
        if (at + width > n - 2) return true;
        const of = (from: number): WallPlan =>
          planOf({
            line: straight(n * 2 * HALF),
            height: 10 * HALF,
            openings: [{ at: from * 2 * HALF, width: width * 2 * HALF, sill: 2 * HALF, head: 8 * HALF }],
          });
        return JSON.stringify(of(at).tally.pieces) === JSON.stringify(of(n - at - width).tally.pieces);
      },
    ),
    { numRuns: 60 },
  );
});

test('two half walls with the same boundary add up: mortar and units of a wall grow by whole modules', () => {
  const of = (n: number) =>
    planOf({ line: straight(n * 225 - 10), height: 3000, unit: 'brick-215x102.5x65', profile: 'uk' }).tally;
  const [a, b, c] = [of(10), of(20), of(30)];
  expect(c.total - b.total).toBe(b.total - a.total);
  expect(c.mortar.geometric - b.mortar.geometric).toBeCloseTo(b.mortar.geometric - a.mortar.geometric, 9);
});

test('every fix, applied and planned again, leaves its finding gone; every choice applies', () => {
  let fixes = 0;
  fc.assert(
    fc.property(anySoundWall, (w) => {
      const job = jobOf(w);
      const p = plan(job).walls[0];
      if (!p) return false;
      const chosen = p.choices.every((c) => c.edit.length === 0 || applyPatch(job, c.edit).ok);
      return (
        chosen &&
        p.findings.every((f) =>
          f.fixes.every((fix) => {
            fixes++;
            const after = applyPatch(job, fix.edit);
            if (!after.ok || fix.edit.length === 0) return false;
            const again = plan(soundJob(after.value), [], { advise: false }).walls[0];
            return (
              again?.findings.every(
                (g) => !(g.code === f.code && g.run === f.run && g.opening === f.opening),
              ) ?? false
            );
          }),
        )
      );
    }),
    { numRuns: ADVISED },
  );
  expect(fixes).toBeGreaterThan(ADVISED / 3);
});

test('no two pieces of a wall’s two leaves stand in one place', () => {
  fc.assert(
    fc.property(anySoundWall, (w) => {
      const { cavity: _cavity, ...build } = w.build ?? {};
      const p = planOf({ ...w, build: { ...build, wythes: 2 } });
      return p.runs.every((run) =>
        rowsBehind(p, run.index).every((row) =>
          row.pieces
            .filter((x) => x.band === null)
            .every((x, k, all) => x.to > x.from && (k === 0 || x.from >= (all[k - 1]?.to ?? 0) - 1e-6)),
        ),
      );
    }),
    { numRuns: TWICE },
  );
});

test('perps of a course that claims its laps lap by the rule', () => {
  let claimed = 0;
  fc.assert(
    fc.property(anySoundWall, (w) => {
      const p = planOf(w);
      const without = ['straight-joint', 'lap-short', 'stack-bond'];
      if (p.findings.some((f) => without.includes(f.code))) return true;
      claimed++;
      const least = {
        us: toMillimetres(p.wall.unit.length) / 4,
        uk: Math.max(0.4 * toMillimetres(p.wall.unit.height), 40),
        earth: toMillimetres(p.wall.unit.length) / 4,
      }[w.profile ?? 'us'];
      return p.runs.every((run) =>
        run.rows.every((row, i) =>
          (run.rows[i + 1]?.perps ?? []).every((a) =>
            row.perps.every((b) => Math.abs(a.at - b.at) >= least - 0.01),
          ),
        ),
      );
    }),
    { numRuns: TWICE },
  );
  expect(claimed).toBeGreaterThan(10);
});

test('runs that meet at nothing are one wall: parted or not, the units and the mortar are the same', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 8, max: 40 }),
      fc.integer({ min: 4, max: 20 }),
      fc.constantFrom('whole' as const, 'half' as const),
      (modules, first, start) => {
        const module = 225;
        const at = Math.min(first, modules - 2) * module + 60;
        const of = (line: LineItem[]): WallPlan =>
          planOf({
            line,
            height: 900,
            unit: 'brick-215x102.5x65',
            profile: 'uk',
            show: 'mm',
            build: { start },
          });
        const one = of(straight(modules * module - 10));
        const two = of([{ run: at }, { run: modules * module - 10 - at }]);
        return (
          one.tally.total === two.tally.total &&
          near(one.tally.mortar.geometric, two.tally.mortar.geometric, 1e-7) &&
          two.runs.length === 2
        );
      },
    ),
    { numRuns: 60 },
  );
});

test('a wall parted at a control joint tallies as the two walls it is, and no perp or unit crosses the joint', () => {
  let parted = 0;
  fc.assert(
    fc.property(
      anySoundWall.filter((w) => w.line.length === 1 && 'run' in (w.line[0] ?? {}) && w.lengths === 'actual'),
      fc.double({ min: 0.2, max: 0.8, noNaN: true }),
      fc.integer({ min: 10, max: 20 }),
      (w, part, width) => {
        const length = toMillimetres(stated((w.line[0] as { run: number }).run));
        const at = Math.round(part * length);
        const [from, to] = [at - width / 2, at + width / 2];
        // With a cavity there is a dpc, and under it no joint.
        const { cavity: _, ...build } = w.build ?? {};
        const bare = { ...w, build, openings: [], wall: {} };
        const asked = { ...bare, wall: { joints: [{ id: 'J', run: 0, at, width }] } };
        if (!checkJob(documentOf(asked)).ok) return true;
        const one = planOf(asked);
        const left = planOf({ ...bare, line: straight(from) });
        const rights = (['whole', 'half'] as const).map((start) =>
          planOf({ ...bare, line: straight(length - to), build: { ...w.build, start } }),
        );
        const same = (right: WallPlan): boolean =>
          KINDS.every((k) => one.tally.pieces[k] === left.tally.pieces[k] + right.tally.pieces[k]) &&
          near(
            one.tally.mortar.geometric,
            left.tally.mortar.geometric + right.tally.mortar.geometric,
            1e-7,
          ) &&
          near(one.tally.area, left.tally.area + right.tally.area, 1e-7);
        const clear = one.runs.every((run) =>
          run.rows.every(
            (row) =>
              row.pieces.every((x) => x.to <= from + 1e-6 || x.from >= to - 1e-6) &&
              row.perps.every((x) => x.at < from || x.at > to),
          ),
        );
        parted++;
        return clear && rights.some(same);
      },
    ),
    { numRuns: TWICE },
  );
  expect(parted).toBeGreaterThan(TWICE / 2);
});

test('under its dpc a wall with a cavity is laid as if no joint parted it, both leaves', () => {
  let under = 0;
  fc.assert(
    fc.property(anySoundWall, fc.double({ min: 0.2, max: 0.8, noNaN: true }), (any, part) => {
      // Where the start is free a joint may be a reason to choose another.
      const w = { ...any, build: { ...any.build, start: 'whole' as const, corners: 'in-turn' as const } };
      const length = planOf(w).wall.runs[0]?.length ?? 0;
      const asked = {
        ...w,
        wall: { ...w.wall, joints: [{ id: 'J', run: 0, at: Math.round(part * length) }] },
      };
      if (!w.build?.cavity || !checkJob(documentOf(asked)).ok) return true;
      const [one, plain] = [planOf(asked), planOf({ ...w, wall: { ...w.wall, joints: [] } })];
      const low = (p: WallPlan): unknown =>
        [p.runs, behindCavity(p)?.runs ?? []].map((runs, k) => {
          const courses = (k === 0 ? p.gauge : behindCavity(p)?.gauge)?.courses ?? [];
          const dpc = courses.findIndex((c) => c.top >= 149);
          return runs.map((r) => r.rows.slice(0, dpc + 1).map((row) => [row.pieces, row.perps, row.bedded]));
        });
      under++;
      expect(low(one)).toEqual(low(plain));
      return true;
    }),
    { numRuns: TWICE },
  );
  expect(under).toBeGreaterThan(3);
});

test('an inner leaf fills its own courses, and none of it stands in an opening or past the outer leaf', () => {
  let leaves = 0;
  fc.assert(
    fc.property(anySoundWall, (w) => {
      const p = planOf(w);
      const inner = behindCavity(p);
      if (!inner) return true;
      leaves++;
      const { wall, gauge, runs } = inner;
      const slack = gaugeSlack(wall);
      return runs.every((run) =>
        run.rows.every((row, i) => {
          const course = gauge.courses[i];
          const openings = wall.openings.filter(
            (o) =>
              course && o.run === run.index && o.sill < course.top - slack && o.head > course.bottom + slack,
          );
          const whole = row.pieces.filter((x) => x.band === null);
          return whole.every(
            (x, k) =>
              x.to > x.from &&
              (k === 0 || x.from > (whole[k - 1]?.to ?? 0) - 1e-6) &&
              openings.every(
                (o) =>
                  o.sill > (course?.bottom ?? 0) + slack || x.to <= o.from + 1e-3 || x.from >= o.to - 1e-3,
              ),
          );
        }),
      );
    }),
    { numRuns: TWICE },
  );
  expect(leaves).toBeGreaterThan(10);
});
