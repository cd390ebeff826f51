import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { CHECKS, checksDocument } from './checks/all.js';
import { tolerance } from './checks/list.js';

describe.each(Object.entries(CHECKS))('%s', (_subject, list) => {
  test.each(list.map((c) => [`${c.id}: ${c.what} (${c.source})`, c] as const))('%s', (_name, c) => {
    const got = c.got();
    expect(Math.abs(got - c.wanted)).toBeLessThanOrEqual(tolerance(c));
  });
});

test('no two checks share a row', () => {
  const ids = Object.values(CHECKS).flatMap((list) => list.map((c) => c.id));
  expect(new Set(ids).size).toBe(ids.length);
});

test('docs/checks.md is this list', () => {
  const file = join(__dirname, '../../../../docs/checks.md');
  if (process.env.UPDATE_DOCS) writeFileSync(file, checksDocument());
  expect(readFileSync(file, 'utf8')).toBe(checksDocument());
});
