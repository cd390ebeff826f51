import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { check, plan } from './commands.js';

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
    '/x: wanted one of format, version, name, show, profile, units, site, assumed, weights, walls, got an unknown key',
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
  expect(Object.keys(p.tally)).toEqual(['units', 'mortar', 'grout', 'concrete', 'steel']);
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
    err: 'Wanted --json or --no-advice, got "--yaml".\n',
  });
  expect(run(check)).toMatchObject({ code: 2, err: 'Wanted one job file, got 0.\n' });
});
