import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { check, plan } from './commands.js';
import { say } from './say.js';

const DEMO = join(__dirname, '../../server/demo/1-sandpiper-boat-club.json');

/** Runs a command and gives its exit code and what it wrote where. */
function run(
  command: (args: string[]) => number,
  ...args: string[]
): { code: number; out: string; err: string } {
  let [out, err] = ['', ''];
  const spies = [
    jest.spyOn(process.stdout, 'write').mockImplementation((t) => ((out += String(t)), true)),
    jest.spyOn(process.stderr, 'write').mockImplementation((t) => ((err += String(t)), true)),
  ];
  const code = command(args);
  spies.forEach((s) => s.mockRestore());
  return { code, out, err };
}

const file = (text: string | Uint8Array): string => {
  const name = join(mkdtempSync(join(tmpdir(), 'even-tally-cli-')), 'job.json');
  writeFileSync(name, text);
  return name;
};

test('check: a sound file is 0 and silent; faults are 1 and a line each', () => {
  expect(run(check, DEMO)).toEqual({ code: 0, out: '', err: '' });
  const bad = run(
    check,
    file('{"format":"even-tally/job","version":1,"name":"a","show":"yards","profile":"us","walls":[],"x":1}'),
  );
  expect(bad.code).toBe(1);
  expect(bad.out.trim().split('\n')).toEqual([
    '/x: wanted one of format, version, name, show, profile, units, stones, pile, mixes, earth, mud, crew, weather, site, assumed, rules, weights, walls, got an unknown key',
    '/show: wanted one of ft-in, mm, got "yards"',
  ]);
});

test.each([
  ['no file', () => '/nowhere/at/all.json', /wanted a job file, got no file at/],
  ['a folder', () => tmpdir(), /wanted a job file/],
  ['bytes that are no text', () => file(new Uint8Array([0xff, 0xfe, 0x00, 0xd8])), /wanted text in UTF-8/],
  ['deep nesting', () => file('['.repeat(50_000)), /wanted nesting of at most 64, got 50000/],
  ['6 MB', () => file(' '.repeat(6_000_000)), /wanted at most 5 MB, got 5.7 MB/],
])('%s is one line and no stack', (_name, make, says) => {
  const path = make();
  const checked = run(check, path);
  expect(checked.code).toBe(1);
  expect(checked.out).toMatch(says);
  expect(checked.out.trim().split('\n')).toHaveLength(1);
  const planned = run(plan, path, '--json');
  expect(planned).toMatchObject({ code: 1, out: '' });
  expect(planned.err).toBe(checked.out);
});

test('plan --json prints the plan and nothing else, in the contract’s shape', () => {
  const { code, out, err } = run(plan, DEMO, '--json');
  expect([code, err]).toEqual([0, '']);
  const p = JSON.parse(out) as {
    format: string;
    version: number;
    walls: Record<string, unknown>[];
    tally: Record<string, unknown>;
  };
  expect([p.format, p.version]).toEqual(['even-tally/plan', 1]);
  expect(Object.keys(p.walls[0] ?? {})).toEqual(
    expect.arrayContaining(['id', 'courses', 'rows', 'units', 'bars', 'cells', 'findings', 'choices']),
  );
  expect(Object.keys(p.tally)).toEqual([
    ...['units', 'mortar', 'grout', 'concrete', 'materials', 'steel'],
    ...['ties', 'dpc', 'trays', 'weeps'],
  ]);
  // Uprights have a place along the run, bars along the wall a course instead.
  const bars = p.walls[0]?.bars as { mark: string; at?: number; course?: number }[];
  expect(bars.length).toBeGreaterThan(0);
  expect(bars.every((b) => (b.at === undefined) !== (b.course === undefined))).toBe(true);
  expect(bars.filter((b) => b.at !== undefined).every((b) => b.mark.startsWith('V'))).toBe(true);
});

test('plan for reading shows a course table and the tally', () => {
  const { out } = run(plan, DEMO);
  expect(out).toMatch(/course\s+bed\s+top\s+pieces/);
  expect(out).toMatch(/13\s+3⁄8″\s+8′-8″/);
  expect(out).toMatch(/FAULT 13 courses/);
});

test('without advice the plan is the same but for its fixes and choices', () => {
  const of = (...flags: string[]): { walls: { findings: { fixes: unknown[] }[]; choices: unknown[] }[] } =>
    JSON.parse(run(plan, DEMO, '--json', ...flags).out) as ReturnType<typeof of>;
  const [full, bare] = [of(), of('--no-advice')];
  expect(full.walls.some((w) => w.choices.length > 0 && w.findings.some((f) => f.fixes.length > 0))).toBe(
    true,
  );
  for (const w of full.walls) {
    w.choices = [];
    for (const f of w.findings) f.fixes = [];
  }
  expect(bare).toEqual(full);
});

test('a wrong call is told what was wanted', () => {
  expect(run(plan, DEMO, '--yaml')).toMatchObject({
    code: 2,
    err: 'Wanted --json or --no-advice or --record, got "--yaml".\n',
  });
  expect(run(check)).toMatchObject({ code: 2, err: 'Wanted one job file, got 0.\n' });
});

const ENTRY = {
  id: '8f0d3a6e-2b1c-4a8e-9a57-000000000001',
  kind: 'course-laid',
  wall: 'north',
  run: 0,
  course: 1,
  happened: '2026-12-01T10:37:00-07:00',
  by: 'R. Alder',
};
const recordFile = (entries: unknown[]): string =>
  file(JSON.stringify({ entries, job: 'Boat store', version: 1, format: 'even-tally/record' }));
const firstWall = (JSON.parse(readFileSync(DEMO, 'utf8')) as { walls: { id: string }[] }).walls[0]?.id;

test('check: a record file is checked as one, with a line a fault', () => {
  expect(run(check, recordFile([ENTRY]))).toEqual({ code: 0, out: '', err: '' });
  const bad = run(check, recordFile([{ ...ENTRY, colour: 'red', happened: 'today' }]));
  expect(bad.code).toBe(1);
  expect(bad.out.trim().split('\n')).toEqual([
    expect.stringMatching(/^\/entries\/0\/colour: wanted one of .*, got an unknown key$/),
    expect.stringMatching(/^\/entries\/0\/happened: wanted an instant .*, got "today"$/),
  ]);
});

test('plan --record adds progress and leaves the rest as it is', () => {
  const record = recordFile([{ ...ENTRY, wall: firstWall }]);
  const { code, out } = run(plan, DEMO, '--json', '--no-advice', '--record', record);
  expect(code).toBe(0);
  const planned = JSON.parse(out) as { walls: { progress?: { laid: unknown[]; asBuilt: unknown[] } }[] };
  expect(planned.walls[0]?.progress?.laid).toHaveLength(1);
  for (const wall of planned.walls) delete wall.progress;
  expect(planned).toEqual(JSON.parse(run(plan, DEMO, '--json', '--no-advice').out));
});

test('plan with a record that is none says so on stderr and prints nothing', () => {
  const bad = run(plan, DEMO, '--json', '--record', file('{}'));
  expect(bad).toMatchObject({ code: 1, out: '' });
  expect(bad.err).toMatch(/^\/format: wanted "even-tally\/record", got nothing/);
  expect(run(plan, DEMO, '--record')).toMatchObject({
    code: 2,
    err: 'Wanted a file after --record, got nothing.\n',
  });
});

test('say: a sentence comes to a sound job file; what is not understood is named; a wrong call is 2', () => {
  const said = run(say, `24' by 8'8" of 8 inch block, door 3'4" at 4'`);
  expect(said.code).toBe(0);
  expect(run(check, file(said.out))).toEqual({ code: 0, out: '', err: '' });
  expect(JSON.parse(said.out)).toMatchObject({ profile: 'us', walls: [{ openings: [{ id: 'D1' }] }] });
  expect(run(say, '6 by 2.4 half brick', '--profile', 'uk').out).toContain('"run": "6 m"');
  expect(run(say, `24' by 8' of cheese`)).toEqual({ code: 1, out: '', err: 'Not understood: of cheese\n' });
  expect(run(say, 'a', 'b').code).toBe(2);
  expect(run(say, 'a', '--profile', 'moon').err).toContain('Wanted --profile us, uk or earth');
});
