import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { mud } from './mud.js';

const folder = mkdtempSync(join(tmpdir(), 'even-tally-day-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function run(text: string, ...args: string[]): { code: number; out: string; err: string } {
  const file = join(folder, 'day.json');
  writeFileSync(file, text);
  let [out, err] = ['', ''];
  const spies = [
    jest.spyOn(process.stdout, 'write').mockImplementation((t) => ((out += String(t)), true)),
    jest.spyOn(process.stderr, 'write').mockImplementation((t) => ((err += String(t)), true)),
  ];
  const code = mud([file, ...args]);
  spies.forEach((s) => s.mockRestore());
  return { code, out, err };
}

const DAY = {
  from: '08:00',
  to: '12:00',
  breaks: [['10:00', '10:15']],
  demand: [{ from: '08:00', to: '12:00', perHour: '60 L' }],
  batch: '75 L',
  step: '5 L',
  before: '10 min',
  life: '120 min',
};

test('a day comes out as the contract has it, times with their seconds and volumes in m³', () => {
  const { code, out, err } = run(JSON.stringify(DAY), '--json');
  expect([code, err]).toEqual([0, '']);
  // 3 h 45 min at a litre a minute are three batches of 75; the second goes on over the break.
  expect(JSON.parse(out)).toMatchObject({
    batches: [
      { water: '07:50:00', first: '08:00:00', last: '09:15:00', expires: '09:50:00', made: 0.075, left: 0 },
      { water: '09:05:00', first: '09:15:00', last: '10:45:00', expires: '11:05:00' },
      { water: '10:35:00', first: '10:45:00', last: '12:00:00' },
    ],
    left: 0,
    waits: [],
    proof: { status: 'best', bound: 0 },
    next: { batches: expect.any(Array) as unknown },
  });
});

test('it is read aloud too; a bad file exits 1 with a line a fault, a wrong call 2', () => {
  expect(run(JSON.stringify(DAY)).out).toContain('no other plan is better');
  const bad = run(JSON.stringify({ ...DAY, to: '07:00', pace: 1 }), '--json');
  expect([bad.code, bad.out]).toEqual([1, '']);
  expect(bad.err).toMatch(/\/pace: wanted one of/);
  expect(run('{', '--json').code).toBe(1);
  expect(run(JSON.stringify(DAY), '--quick').code).toBe(2);
});
