import type { Stated, Wall } from '../../job/types.js';
import { writeLength, type Show } from '../../measure/format.js';
import { parseLength } from '../../measure/parse.js';

type Gap = NonNullable<Wall['gap']>;
type Looked = NonNullable<Gap['sample']>[number];
type Running = NonNullable<Gap['joints']>[number];

/** Lines as they read, or the first that does not: its number from 1, and what stood there. */
export type LinesRead<T> = { ok: true; list: T[] } | { ok: false; line: number; got: string };

/** What is said of a stone that is not sound, or of a joint that is covered behind. */
const MARK = /^(x|no|rotten|broken|covered|mala|rota|cubierta)$/i;

function eachLine<T>(
  rows: readonly (readonly string[])[],
  read: (cells: string[]) => T | null,
): LinesRead<T> {
  const list: T[] = [];
  for (const [i, row] of rows.entries()) {
    const cells = row.map((c) => c.trim());
    if (cells.every((c) => c === '')) continue;
    const one = read(cells);
    if (one === null) return { ok: false, line: i + 1, got: cells.join(', ') };
    list.push(one);
  }
  return { ok: true, list };
}

/** Stones looked at in an old wall, one a line: what shows, how high, how far in, and a mark where it is not sound. */
export const lookedFromRows = (rows: readonly (readonly string[])[], show: Show): LinesRead<Looked> =>
  eachLine(rows, (cells): Looked | null => {
    const sizes = cells.slice(0, 3).map((c) => parseLength(c, show === 'mm' ? 'mm' : 'in'));
    const [shows, height, goesIn] = sizes.map((s): Stated | null =>
      s.ok && s.length > 0 ? writeLength(s.length, show) : null,
    );
    if (!shows || !height || !goesIn || ((cells[3] ?? '') !== '') !== MARK.test(cells[3] ?? '')) return null;
    return { shows, height, goesIn, ...(MARK.test(cells[3] ?? '') ? { sound: false } : {}) };
  });

/** Running joints of a face, one a line: through how many courses, and a mark where stones behind lie across. */
export const runningFromRows = (rows: readonly (readonly string[])[]): LinesRead<Running> =>
  eachLine(rows, (cells): Running | null => {
    const courses = Number(cells[0]);
    const marked = MARK.test(cells[1] ?? '');
    if (!Number.isInteger(courses) || courses < 1 || courses > 50) return null;
    if ((cells[1] ?? '') !== '' && !marked) return null;
    return { courses, ...(marked ? { covered: true as const } : {}) };
  });
