import { renameSync, rmSync, writeFileSync } from 'node:fs';
import { PAPER_SIZES, sayFault, type PaperSize } from '@even-tally/core';
import { EXPORTS, exportNamed } from '@even-tally/exports';
import { createWords, languageOf } from '@even-tally/words';
import { called, complain, readJobFile, readRecordFile } from './reading.js';

/** Writes all of a file or none of it: what was there before stays until the new one is whole. */
function write(file: string, bytes: Uint8Array): string | null {
  const part = `${file}.part`;
  try {
    writeFileSync(part, bytes);
    renameSync(part, file);
    return null;
  } catch (error) {
    rmSync(part, { force: true });
    return `Wanted to write ${file}, got ${(error as { code?: string }).code ?? 'an error'}.`;
  }
}

const isPaper = (name: string): name is PaperSize => Object.keys(PAPER_SIZES).includes(name);

/** `export FILE --as KIND [--wall ID] [--record RECORD] [--paper a4|a3|letter|tabloid] -o OUT`: exit 0 with the file written, 1 for a bad file, 2 for a wrong call. */
export async function exportFile(args: string[]): Promise<number> {
  const call = called(args, [], ['--as', '--wall', '--record', '--paper', '-o']);
  if (typeof call === 'string') return (complain([call]), 2);
  const [as, out] = [call.given.get('--as'), call.given.get('-o')];
  if (as === undefined || out === undefined)
    return (complain([`Wanted --as KIND and -o OUT, got no ${as === undefined ? '--as' : '-o'}.`]), 2);
  const kind = exportNamed(as);
  if (!kind)
    return (complain([`--as: wanted one of ${EXPORTS.map((e) => e.kind).join(', ')}; got "${as}".`]), 2);
  const paper = call.given.get('--paper');
  if (paper !== undefined && !isPaper(paper))
    return (complain([`--paper: wanted one of ${Object.keys(PAPER_SIZES).join(', ')}; got "${paper}".`]), 2);
  const read = readJobFile(call.file);
  if (!read.ok) return (complain(read.faults.map(sayFault)), 1);
  const recordFile = call.given.get('--record');
  const record = recordFile === undefined ? null : readRecordFile(recordFile);
  if (record && !record.ok) return (complain(record.faults.map(sayFault)), 1);
  const job = read.value;
  const id = call.given.get('--wall');
  const wall = id === undefined ? null : job.walls.findIndex((w) => w.id === id);
  if (wall === -1)
    return (complain([`--wall: wanted one of ${job.walls.map((w) => w.id).join(', ')}; got "${id}".`]), 1);
  // What draws pages is long in loading: only who asks for a file waits for it.
  const { exportBytes } = await import('@even-tally/exports/node');
  const bytes = await exportBytes(kind, {
    job,
    record: record?.value.entries ?? [],
    wall,
    run: null,
    show: job.show,
    paper: paper ?? null,
    say: createWords(languageOf(job.profile), job.show).say,
    now: new Date().toISOString(),
  });
  if (!bytes) return (complain(['There is nothing to draw: the job has no walls.']), 1);
  const trouble = write(out, bytes);
  return trouble === null ? 0 : (complain([trouble]), 1);
}
