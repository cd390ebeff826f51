import { createWords } from '@even-tally/words';
import { checkJob, plan, sayFault, type JobDocument, type WallPlan } from '@even-tally/core';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { plan as printPlan } from './commands.js';

const FOLDER = join(__dirname, '../examples');
const documentOf = (name: string): JobDocument =>
  JSON.parse(readFileSync(join(FOLDER, `${name}.json`), 'utf8')) as JobDocument;

/** The wall of an example, planned and advised. */
function wallOf(name: string): WallPlan {
  const checked = checkJob(documentOf(name));
  if (!checked.ok) throw new Error(checked.faults.map(sayFault).join('\n'));
  const wall = plan(checked.job).walls[0];
  if (!wall) throw new Error('no wall');
  return wall;
}
/** What `./tally plan` writes. */
function run(...args: string[]): { out: string } {
  let out = '';
  const spy = jest.spyOn(process.stdout, 'write').mockImplementation((t) => ((out += String(t)), true));
  printPlan(args);
  spy.mockRestore();
  return { out };
}
const codes = (p: WallPlan): string[] => p.findings.map((f) => f.code);
const faults = (p: WallPlan): string[] => p.findings.filter((f) => f.severity === 'fault').map((f) => f.code);
const said = (p: WallPlan, code: string): string =>
  p.findings
    .filter((f) => f.code === code)
    .map((f) => createWords('en-uk', p.wall.show).say(f.says))
    .join(' ');
const pieces = (p: WallPlan) => p.runs.flatMap((r) => r.rows.flatMap((row) => row.pieces));

test('the page says what is expected of every wall there is', () => {
  const files = readdirSync(FOLDER).filter((f) => f.endsWith('.json'));
  const page = readFileSync(join(FOLDER, 'README.md'), 'utf8');
  expect(files.length).toBeGreaterThanOrEqual(12);
  for (const file of files) expect(page).toContain(`\`${file.replace('.json', '')}\``);
});

test('a low retaining wall asks for nothing: no joints, no engineer, its bars toward the soil', () => {
  const p = wallOf('low-retaining-wall');
  expect(codes(p)).toEqual([]);
  expect(p.wall.retains?.side).toBe('outside');
  expect(p.steel.place?.off).toBeGreaterThan(0);
});

test('a cellar is the engineer’s; it has no movement joints, and closers for its corners are bought', () => {
  const p = wallOf('cellar');
  expect(faults(p)).toEqual(['engineer-needed']);
  expect(said(p, 'engineer-needed')).toContain('Take along');
  expect(codes(p)).not.toContain('control-joint-due');
  expect(p.steel.place?.off).toBeLessThan(0);
  const closers = p.buy.find((l) => l.kind === 'closer');
  // One beside the return at each of four corners, in eleven courses: the twelfth is the beam.
  expect([closers?.net, closers?.toSaw]).toEqual([44, 0]);
});

test('a cottage has no movement joints, and its door is asked about once', () => {
  const p = wallOf('brick-cottage');
  expect(codes(p)).not.toContain('control-joint-due');
  expect(codes(p).filter((c) => c === 'keep-not-said')).toHaveLength(1);
  expect(codes(p)).toContain('lintel-not-designed');
  expect(faults(p)).toEqual([]);
});

test('a plinth closes with no piece under 4 in nominal', () => {
  const p = wallOf('plinth');
  expect(faults(p)).toEqual([]);
  expect(Math.min(...pieces(p).map((x) => x.to - x.from + p.wall.head))).toBeGreaterThan(101.5);
});

test('a bay takes squints and inside squints, with spares of each', () => {
  const p = wallOf('splash-course-with-bays');
  expect(p.buy.filter((l) => l.special).map((l) => [l.special, l.net, l.ordered])).toEqual([
    ['outside', 12, 14],
    ['inside', 12, 14],
  ]);
  expect(faults(p)).toEqual([]);
});

test('over a wide door both leaves want a lintel, and the made door stays as it is', () => {
  const p = wallOf('extension-with-a-wide-door');
  expect(said(p, 'lintel-not-designed')).toContain('3460 mm long at least');
  const off = p.findings.find((f) => f.code === 'opening-off-bond');
  // A way out that moves it is the last, and alone.
  expect(off?.fixes.length ?? 0).toBeLessThanOrEqual(1);
  expect(codes(p)).not.toContain('ties-few');
  const { out } = run(join(FOLDER, 'extension-with-a-wide-door.json'), '--json');
  const { tally } = JSON.parse(out) as { tally: { ties: { perM2: number } } };
  expect(tally.ties.perM2).toBeGreaterThanOrEqual(2.5);
});

test('scallops that spring from a half are said; nothing stands in line, and the quoins are sound', () => {
  const p = wallOf('scalloped-garden-wall');
  expect(said(p, 'top-starts-on-half')).toContain('stretcher');
  expect(faults(p)).toEqual([]);
  const ends = p.runs[0]?.rows.flatMap((r) => [r.pieces[0], r.pieces.at(-1)]) ?? [];
  for (const x of ends)
    expect([215, 102.5, 158.75].some((l) => Math.abs((x?.to ?? 0) - (x?.from ?? 0) - l) < 0.6)).toBe(true);
});

test('piers on a one-brick wall bond in, and the joint stands clear of both', () => {
  const p = wallOf('wall-with-piers');
  expect(codes(p)).not.toContain('pier-tied');
  expect(codes(p)).not.toContain('pier-off-bond');
  const due = p.findings.find((f) => f.code === 'control-joint-due');
  const edit = due?.fixes[0]?.edit[0];
  const joints = edit?.op === 'add' ? (edit.value as { at: number | string }[]) : [];
  expect(joints).toHaveLength(1);
  const at = Number.parseFloat(String(joints[0]?.at));
  expect(p.wall.piers.every((q) => at < q.from || at > q.to)).toBe(true);
});

test('whole bricks do not go round a tight curve, and from where on they do is said', () => {
  const p = wallOf('pavers-on-a-curve');
  expect(faults(p)).toHaveLength(1);
  expect(p.findings.flatMap((f) => [createWords('en-uk', 'mm').say(f.says)]).join(' ')).toMatch(
    /Whole units want a radius of \d+ mm, halves \d+ mm/,
  );
});

test('English bond with a window off it: reveals and quoins sound, the break in mid-panel', () => {
  const p = wallOf('boundary-with-a-window');
  expect(faults(p)).toEqual([]);
  for (const run of p.runs)
    for (const row of run.rows)
      row.pieces.forEach((x, i) => {
        const long = x.to - x.from;
        const beside = [row.pieces[i - 1], row.pieces[i + 1]].some((y) => y?.kind === 'header');
        // The end of the run round the corner shows a header's width, and the closer stands beside that.
        expect(long > 102 || (x.kind === 'closer' && (beside || i < 2 || i > row.pieces.length - 3))).toBe(
          true,
        );
      });
});

test('adobe laps 4 in, and a door on paper may come onto the bond', () => {
  const p = wallOf('adobe-room');
  expect(p.wall.profile.leastLap(p.wall.unit) / 24_000 / 25.4).toBeCloseTo(4, 6);
  expect(codes(p)).not.toContain('keep-not-said');
  const off = p.findings.find((f) => f.code === 'opening-off-bond');
  expect(off?.fixes.length).toBeGreaterThan(0);
});

test('earth in a frame bears nothing: units are notched round its posts, and ears too thin to last are found', () => {
  const p = wallOf('framed-hut');
  expect(codes(p).filter((c) => c.startsWith('earth-'))).toEqual([]);
  // 6 in of post and its room in 10 in of wall: 4 in left before one stood at the inside, two ears of 2 in round the other.
  const thin = p.findings.filter((f) => f.code === 'frame-thin-ears');
  expect(thin.map((f) => f.run)).toEqual([1]);
  expect(said(p, 'frame-thin-ears')).toContain('Thin post');
  expect(thin[0]?.fixes.length).toBeGreaterThan(0);
  expect(p.notches.length).toBeGreaterThanOrEqual(2 * p.gauge.count);
  expect(said(p, 'frame-leave-under-beam')).toContain('licensed');
});

test('one bad cell is filled as the wall goes up', () => {
  const p = wallOf('workshop-one-bad-cell');
  const tight = p.findings.find((f) => f.code === 'grout-space-tight');
  expect(createWords('en-us', 'ft-in').say(tight?.fixes[0]?.says ?? '')).toContain('course by course');
});
