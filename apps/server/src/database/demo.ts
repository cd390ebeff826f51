import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { readJob, sayFault } from '@even-tally/core';
import type { Knex } from 'knex';

/** Loads the demo jobs once: what is there already is left as it is. Throws when a file is not a sound job. */
export async function loadDemo(db: Knex, folder: string): Promise<number> {
  const files = (await readdir(folder)).filter((f) => f.endsWith('.json')).sort();
  let loaded = 0;
  for (const [place, file] of files.entries()) {
    const read = readJob(await readFile(join(folder, file), 'utf8'));
    if (!read.ok) throw new Error(`${file}: ${read.faults.map(sayFault).join('; ')}`);
    const rows = await db('demo_jobs')
      .insert({ name: file, place, document: JSON.stringify(read.job) })
      .onConflict('name')
      .ignore()
      .returning('name');
    loaded += rows.length;
  }
  return loaded;
}
