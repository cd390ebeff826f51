import { sayFault } from './fault.js';
import { checkJob } from '../job/check.js';
import { documentOf, straight } from '../test/jobs.js';
import type { Migration } from './migrate.js';

/** For the test alone: a version 0 that never was, in which a wall's line was called its runs and a height its top. */
const ZERO: Migration[] = [
  {
    from: -1,
    step: ({ title, ...rest }) => ({ ...rest, name: title }),
  },
  {
    from: 0,
    step: (job) => ({
      ...job,
      walls: (job.walls as Record<string, unknown>[]).map(({ runs, top, ...wall }) => ({
        ...wall,
        line: (runs as unknown[]).map((run) => ({ run })),
        height: top,
      })),
    }),
  },
];

const now = documentOf({ line: straight("24'"), height: '8\' 8"' });
const [wall] = now.walls;
if (!wall) throw new Error('no wall');
const { line: _line, height: _height, ...rest } = wall;
const zero = { ...now, version: 0, walls: [{ ...rest, runs: ["24'"], top: '8\' 8"' }] };

test('an older file is read as what it says in the version read now, step by step', () => {
  const checked = checkJob(zero, { steps: ZERO });
  expect(checked.ok && checked.job).toEqual(now);
  const { name, ...older } = zero;
  expect(checkJob({ ...older, version: -1, title: name }, { steps: ZERO })).toEqual(checked);
  // It is not changed itself.
  expect(zero.version).toBe(0);
});

test('what no step leads from is refused, older and newer', () => {
  for (const [document, got] of [
    [zero, 0],
    [{ ...now, version: 2 }, 2],
    [{ ...now, version: 0.5 }, 0.5],
  ] as const) {
    const checked = checkJob(document, { steps: [] });
    expect(checked.ok ? [] : checked.faults.map(sayFault)).toEqual([
      `/version: wanted version 1, got version ${got}`,
    ]);
  }
});

test('a file of the version read now is the very same', () => {
  const checked = checkJob(now, { steps: ZERO });
  expect(checked.ok && checked.job).toBe(now);
});
