import { JOB_FORM } from './form.js';
import { applyEdit } from './edit.js';
import { checkJob } from './check.js';
import { bareWall, sayLost, withLine, withoutItem } from './runEdits.js';
import type { JobDocument } from './types.js';
import type { Shape } from './shape.js';

/** Everything that can stand on a run, one of each on each of three runs. */
function full(): JobDocument {
  const on = <T>(of: (run: number) => T): T[] => [0, 1, 2].map(of);
  return {
    format: 'even-tally/job',
    version: 1,
    name: 'Three runs',
    show: 'mm',
    profile: 'us',
    walls: [
      {
        id: 'a',
        name: 'A',
        line: [{ run: 6000 }, { turn: 90 }, { run: 5000 }, { turn: 90 }, { run: 4000 }],
        height: 2400,
        build: {
          kind: 'units',
          unit: 'cmu-8x8x16',
          bond: 'half',
          pieces: on((run) => ({
            id: `p${run}`,
            run,
            course: 2,
            at: 1200,
            length: 396.9,
            do: 'split' as const,
          })),
        },
        openings: on((run) => ({
          id: `o${run}`,
          name: `Window ${run}`,
          run,
          at: 1600,
          width: 800,
          sill: 800,
          head: 1600,
        })),
        tops: on((run) => ({
          id: `t${run}`,
          run,
          kind: 'raked' as const,
          from: 0,
          to: 1000,
          left: 2000,
          right: 2400,
        })),
        steps: on((run) => ({ id: `s${run}`, run, from: 3000, to: 3600, up: 1 })),
        vents: on((run) => ({ id: `v${run}`, run, course: 1, what: 'vent' as const, every: 1800 })),
        piers: on((run) => ({ id: `x${run}`, run, at: 2600, width: 400 })),
        joints: on((run) => ({ id: `j${run}`, run, at: 3200 })),
        poured: on((run) => ({ run, at: 100, level: 2 })),
        steel: {
          cells: on((run) => ({ id: `c${run}`, run, at: 700, bar: true })),
          starters: on((run) => ({ id: `b${run}`, run, at: 100 })),
        },
      },
      {
        id: 'b',
        name: 'B',
        line: [{ run: 2000 }],
        height: 2400,
        build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half' },
        meets: { wall: 'a', run: 2, at: 2800 },
      },
    ],
  };
}

/** Every number called `run` in a document, by where it stands. */
function runsIn(value: unknown, path = ''): Map<string, number> {
  if (typeof value !== 'object' || value === null) return new Map();
  return new Map(
    Object.entries(value).flatMap(([key, inner]) =>
      key === 'run' && typeof inner === 'number' && !/\/line\/\d+$/.test(path)
        ? [[path, inner] as const]
        : [...runsIn(inner, `${path}/${key}`)],
    ),
  );
}

function edited(edit: Parameters<typeof applyEdit>[1]): JobDocument {
  const applied = applyEdit(full(), edit);
  if (!applied.ok) throw new Error(applied.why);
  return applied.value;
}

test('the middle run taken out: what stood on it goes, what stood on the next goes along, and other walls follow', () => {
  const out = withoutItem(full(), 0, 2);
  const after = edited(out.edit);
  const before = runsIn(full());
  // One of each kind is gone; those of the third run stand on the second now, and none on a third.
  expect(runsIn(after).size).toBe(before.size - 10);
  expect(Math.max(...runsIn(after).values())).toBe(1);
  expect(after.walls[0]?.openings?.map((o) => [o.id, o.run])).toEqual([
    ['o0', 0],
    ['o2', 1],
  ]);
  expect(after.walls[0]?.steel?.cells?.map((c) => [c.id, c.run])).toEqual([
    ['c0', 0],
    ['c2', 1],
  ]);
  expect(after.walls[1]?.meets?.run).toBe(1);
  expect(sayLost(out)).toBe(
    'Gone with it: an opening, a top, a step of the footing, a row of vents, a pier, a movement joint, a level of the footing, a changed piece, a cell set by hand and a starter. Undo brings all back.',
  );
});

test('the run another wall meets taken out: that wall meets none', () => {
  const out = withoutItem(full(), 0, 4);
  expect(edited(out.edit).walls[1]?.meets).toBeUndefined();
  expect(out.lost.at(-1)).toBe('where B meets it');
});

test('a turn taken out moves nothing', () => {
  expect(withoutItem(full(), 0, 1)).toEqual({ edit: [{ op: 'remove', path: '/walls/0/line/1' }], lost: [] });
});

test('a shorter line leaves nothing on runs it does not have', () => {
  const out = withLine(full(), 0, [{ run: 6000 }, { turn: 90 }, { run: 5000 }]);
  const after = edited(out.edit);
  expect(Math.max(...runsIn(after).values())).toBe(1);
  expect(checkJob(after).ok).toBe(true);
});

test('a wall like another has none of what stands on its runs', () => {
  const [wall] = full().walls;
  const bare = bareWall(wall as never);
  expect(runsIn(bare).size).toBe(0);
  expect(bare.build.unit).toBe('cmu-8x8x16');
});

/** Where the job file's form has a run's number. */
function runKeys(shape: Shape, path: string): string[] {
  if (shape.kind === 'list') return runKeys(shape.of, `${path}/*`);
  if (shape.kind === 'either') return shape.shapes.flatMap((s) => runKeys(s, path));
  if (shape.kind === 'byKey') return Object.values(shape.cases).flatMap((s) => runKeys(s, path));
  if (shape.kind !== 'object') return [];
  return Object.entries(shape.keys).flatMap(([key, { shape: inner }]) =>
    key === 'run' && inner.kind === 'number' ? [path] : runKeys(inner, `${path}/${key}`),
  );
}

test('everything the file lets stand on a run is among what these edits were tried on', () => {
  const tried = new Set([...runsIn(full()).keys()].map((p) => p.replace(/\/\d+/g, '/*')));
  expect(new Set(runKeys(JOB_FORM, ''))).toEqual(tried);
});
