import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { jobSchema } from '../job/schema.js';
import { recordSchema } from '../record/record.js';
import { FINDINGS } from '../findings/finding.js';

const docs = (name: string): string => join(__dirname, '../../../../docs', name);

test.each([
  ['job.schema.json', jobSchema],
  ['record.schema.json', recordSchema],
])('docs/%s is the statement that check walks', (name, schema) => {
  const text = `${JSON.stringify(schema(), null, 2)}\n`;
  if (process.env.UPDATE_DOCS) writeFileSync(docs(name), text);
  expect(readFileSync(docs(name), 'utf8')).toBe(text);
});

test('the registry in docs/format.md names every finding code, and no other, with its meaning', () => {
  const text = readFileSync(docs('format.md'), 'utf8');
  const table = Object.entries(FINDINGS).map(([code, meaning]) => `| \`${code}\` | ${meaning} |`);
  if (process.env.UPDATE_DOCS)
    writeFileSync(
      docs('format.md'),
      text.replace(/(\| --- \| --- \|\n)(\| `.+\n?)+/, `$1${table.join('\n')}\n`),
    );
  const rows = [...readFileSync(docs('format.md'), 'utf8').matchAll(/^\| `([a-z-]+)` \| (.+) \|$/gm)].map(
    (m) => [m[1], m[2]],
  );
  expect(Object.fromEntries(rows)).toEqual(FINDINGS);
});
