import { existsSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { exportFile } from './exportFile.js';

const DEMO = join(__dirname, '../../server/demo/1-sandpiper-boat-club.json');

const folder = (): string => mkdtempSync(join(tmpdir(), 'even-tally-export-'));

async function run(...args: string[]): Promise<{ code: number; err: string }> {
  let err = '';
  const spy = jest.spyOn(process.stderr, 'write').mockImplementation((t) => ((err += String(t)), true));
  const code = await exportFile(args);
  spy.mockRestore();
  return { code, err };
}

test.each([
  ['dxf', /^\s*0\r?\nSECTION/],
  ['ifc', /^ISO-10303-21;/],
  ['svg:plan', /^<\?xml/],
  ['pdf:bars', /^%PDF-/],
  ['png:bars', /^.PNG/],
  ['csv:tally', /^wall,run,/],
])('export --as %s writes the file and nothing beside it', async (kind, begins) => {
  const at = folder();
  expect(await run(DEMO, '--as', kind, '--wall', 'boat-store', '-o', join(at, 'out'))).toEqual({
    code: 0,
    err: '',
  });
  expect(readFileSync(join(at, 'out'), 'latin1')).toMatch(begins);
  expect(readdirSync(at)).toEqual(['out']);
});

test('a record is read for the holds', async () => {
  const at = folder();
  const record = join(at, 'record.json');
  writeFileSync(
    record,
    JSON.stringify({ format: 'even-tally/record', version: 1, job: 'Sandpiper', entries: [] }),
  );
  const holds = join(at, 'holds.csv');
  expect(await run(DEMO, '--as', 'csv:holds', '--record', record, '-o', holds)).toEqual({ code: 0, err: '' });
  expect(readFileSync(holds, 'utf8')).toContain('not signed');
});

test.each([
  ['no kind', ['-o', 'x'], 2, /Wanted --as KIND and -o OUT, got no --as/],
  ['a kind there is not', ['--as', 'docx', '-o', 'x'], 2, /--as: wanted one of job, record, .*; got "docx"/],
  [
    'a wall there is not',
    ['--as', 'dxf', '--wall', 'west', '-o', 'x'],
    1,
    /--wall: wanted one of boat-store, .*; got "west"/,
  ],
  [
    'a place that cannot be written',
    ['--as', 'dxf', '-o', '/nowhere/at/all'],
    1,
    /Wanted to write \/nowhere\/at\/all, got ENOENT/,
  ],
])('%s is one plain line', async (_name, args, code, says) => {
  const told = await run(DEMO, ...args);
  expect(told.code).toBe(code);
  expect(told.err).toMatch(says);
  expect(told.err.trim().split('\n')).toHaveLength(1);
  expect(existsSync('x')).toBe(false);
});
