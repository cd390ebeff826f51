import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { jobSchema } from '../job/schema.js';
import { FINDINGS } from '../findings/finding.js';

const docs = (name: string): string => join(__dirname, '../../../../docs', name);

test('docs/job.schema.json is the form that check walks', () => {
  const text = `${JSON.stringify(jobSchema(), null, 2)}\n`;
  if (process.env.UPDATE_DOCS) writeFileSync(docs('job.schema.json'), text);
  expect(readFileSync(docs('job.schema.json'), 'utf8')).toBe(text);
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
