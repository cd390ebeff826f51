import type { RecordEntry } from '../record/entries.js';
import { jobOf, sayFor } from '../test/jobs.js';
import { chanceOf } from '../test/anyEdit.js';
import { plan, type WallPlan } from './plan.js';
import { planJson } from './json.js';

/* 16 ft of 8 in block, nominal: the face is 4876.8 - 9.525 mm; twelve courses of 203.2 mm. */
const job = jobOf({ line: [{ run: "16'", id: 'n' }], height: "8'" });
const LENGTH = 4867.275;

let n = 0;
const entry = (own: Record<string, unknown>): RecordEntry =>
  ({ id: `e${n++}`, wall: 'w', happened: '2026-12-01T10:00:00Z', by: 'R. Alder', ...own }) as RecordEntry;
const laid = (own: Record<string, unknown>): RecordEntry => entry({ kind: 'course-laid', ...own });
const top = (own: Record<string, unknown>): RecordEntry =>
  entry({ kind: 'reading', of: 'course-top', ...own });
const planned = (record: RecordEntry[]): WallPlan => {
  const [p] = plan(job, record, { advise: false }).walls;
  if (!p) throw new Error('no wall');
  return p;
};

test('without a record there is no progress, and with one the plan is what it was', () => {
  const bare = planned([]);
  expect(bare.progress).toBeUndefined();
  const filed = (record: RecordEntry[]): Record<string, unknown> =>
    planJson(plan(job, record, { advise: false }), sayFor('mm'));
  const [without, within] = [filed([]), filed([laid({ run: 0, course: 1 })])];
  const [wall] = within.walls as Record<string, unknown>[];
  expect(wall?.progress).toBeDefined();
  delete wall?.progress;
  expect(within).toEqual(without);
});

test('a course laid is the whole run, or from and to; what touches is one', () => {
  const { progress } = planned([
    laid({ run: 0, course: 1 }),
    laid({ course: 2, from: 0, to: '1 m' }),
    laid({ place: 'w/n/leaf:0/course:2', from: 1000, to: 2000 }),
    laid({ run: 0, course: 2, from: 3000, to: 9000 }),
  ]);
  expect(progress?.laid).toEqual([
    { run: 0, leaf: 0, course: 1, from: 0, to: LENGTH },
    { run: 0, leaf: 0, course: 2, from: 0, to: 2000 },
    { run: 0, leaf: 0, course: 2, from: 3000, to: expect.closeTo(LENGTH, 9) as number },
  ]);
});

test('a course stands as high as the mean of the readings that stand', () => {
  const [a, b] = [top({ run: 0, course: 3, value: 608 }), top({ run: 0, course: 3, value: 612 })];
  expect(planned([a, b]).progress?.asBuilt).toEqual([
    { run: 0, leaf: 0, course: 3, top: 610, readings: [a.id, b.id] },
  ]);
  const wrong = entry({
    kind: 'correction',
    of: b.id,
    why: 'misread',
    entry: { kind: 'reading', of: 'course-top', run: 0, course: 3, value: 610 },
  });
  expect(planned([wrong, a, b]).progress?.asBuilt).toEqual([
    { run: 0, leaf: 0, course: 3, top: 609, readings: [a.id, b.id] },
  ]);
  const none = entry({ kind: 'correction', of: a.id, why: 'on the wrong block' });
  expect(planned([none, a, b]).progress?.asBuilt).toMatchObject([{ top: 612, readings: [b.id] }]);
  // Other readings say nothing of a course's height.
  expect(
    planned([entry({ kind: 'reading', of: 'plumb', run: 0, course: 3, value: 4 })]).progress?.asBuilt,
  ).toEqual([]);
});

test('what points nowhere is said and counted nowhere', () => {
  const lost = [
    laid({ run: 0, course: 13 }),
    laid({ run: 2, course: 1 }),
    laid({ run: 0, leaf: 1, course: 1 }),
    laid({ place: 'w/elsewhere/leaf:0/course:1' }),
    laid({ place: 'no address: at all' }),
    laid({ wall: 'gone', run: 0, course: 1 }),
  ];
  const p = planned([...lost, laid({ run: 0, course: 1 })]);
  expect(p.progress?.laid).toHaveLength(1);
  expect(p.findings.filter((f) => f.code === 'place-lost')).toHaveLength(lost.length);
});

test('the order of the file says nothing', () => {
  const chance = chanceOf(14);
  const all = Array.from({ length: 30 }, (_, i) =>
    i % 3 === 0
      ? top({ run: 0, course: 1 + (i % 5), value: 200 + i })
      : laid({ run: 0, course: 1 + (i % 5), from: i * 100, to: i * 100 + 250 }),
  );
  const as = (list: RecordEntry[]): string =>
    JSON.stringify(planned(list).progress, (_k, v: unknown) =>
      Array.isArray(v) ? [...(v as unknown[])].map((x) => JSON.stringify(x)).sort() : v,
    );
  const first = as(all);
  for (let i = 0; i < 20; i++) expect(as([...all].sort(() => chance() - 0.5))).toBe(first);
});
