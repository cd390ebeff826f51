import type { FiledStone } from '../../../job/types.js';
import { STONE_USES } from '../../../job/forms/stoneUses.js';
import { LIMITS } from '../../../job/limits.js';
import { parseLength, type BareUnit } from '../../../measure/parse.js';
import { writeLength, type Show } from '../../../measure/format.js';

/** What is read of a line, in the order it stands where no head says otherwise. */
const KEYS = ['id', 'length', 'height', 'depth', 'count', 'use', 'face'] as const;
type Key = (typeof KEYS)[number];

/** A pile as it was typed or pasted, or the first thing in it that does not read: its line from 1, which part, and what stood there. */
export type PileRead =
  | { ok: true; pile: FiledStone[] }
  | { ok: false; line: number; key: Key | 'line'; got: string }
  | { ok: false; line: number; key: 'many'; got: string };

const isKey = (text: string): text is Key => KEYS.includes(text as Key);

/** A head names at least its lengths; else the first line is a stone. */
function headOf(row: readonly string[]): Key[] | null {
  const names = row.map((c) => c.trim().toLowerCase());
  return names.includes('length') && names.every((n) => isKey(n)) ? names : null;
}

/** Rows of a table as stones: name, three sizes, how many alike, what for, which face. Lengths without a unit are the measure’s own. */
export function pileFromRows(rows: readonly (readonly string[])[], show: Show): PileRead {
  const bare: BareUnit = show === 'mm' ? 'mm' : 'in';
  const lines = rows
    .map((row, i) => ({ row, line: i + 1 }))
    .filter(({ row }) => row.some((c) => c.trim() !== ''));
  const head = headOf(lines[0]?.row ?? []);
  const keys = head ?? KEYS;
  const pile: FiledStone[] = [];
  for (const { row, line } of head ? lines.slice(1) : lines) {
    const cell = (key: Key): string => row[keys.indexOf(key)]?.trim() ?? '';
    if (row.length < 4) return { ok: false, line, key: 'line', got: row.join(', ') };
    const sizes: Partial<Record<'length' | 'height' | 'depth', string | number>> = {};
    for (const key of ['length', 'height', 'depth'] as const) {
      const read = parseLength(cell(key), bare);
      if (!read.ok || !(read.length > 0)) return { ok: false, line, key, got: cell(key) };
      sizes[key] = writeLength(read.length, show);
    }
    const count = cell('count') === '' ? 1 : Number(cell('count'));
    if (!Number.isInteger(count) || count < 1 || count > LIMITS.pile)
      return { ok: false, line, key: 'count', got: cell('count') };
    const use = cell('use').toLowerCase();
    if (use !== '' && !STONE_USES.includes(use as never)) return { ok: false, line, key: 'use', got: use };
    const face = cell('face').toLowerCase();
    if (face !== '' && face !== 'fair' && face !== 'rough')
      return { ok: false, line, key: 'face', got: face };
    const id = cell('id') === '' ? String(pile.length + 1) : cell('id');
    if (pile.some((s) => s.id === id)) return { ok: false, line, key: 'id', got: id };
    if (pile.length >= LIMITS.pile) return { ok: false, line, key: 'many', got: String(LIMITS.pile) };
    pile.push({
      id,
      length: sizes.length ?? 0,
      height: sizes.height ?? 0,
      depth: sizes.depth ?? 0,
      ...(count > 1 ? { count } : {}),
      ...(use === '' ? {} : { use: use as NonNullable<FiledStone['use']> }),
      ...(face === '' ? {} : { face }),
    });
  }
  return { ok: true, pile };
}

/** The same the other way: a pile as it is typed, one stone a line. */
export const pileAsRows = (pile: readonly FiledStone[]): string[][] =>
  pile.map((s) => [
    s.id,
    String(s.length),
    String(s.height),
    String(s.depth),
    s.count === undefined ? '' : String(s.count),
    s.use ?? '',
    s.face ?? '',
  ]);
