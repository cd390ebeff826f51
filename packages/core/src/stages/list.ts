import type { Mm } from '../measure/length.js';
import type { Said } from '../messages/message.js';
import type { Quantity } from './figure.js';

/** A value of a list: words, a number as its column measures it, or one that brings its own measure; null where there is none. */
export type Cell = Said | number | { value: number; is: Quantity } | null;

/** A column: what stands in it, and whether its numbers make a sum worth saying. */
export interface Column {
  key: string;
  name: Said;
  is: Quantity;
  sums?: true;
}

/** Where on the elevation of a run a line of a list stands, mm along it and above its base. */
export interface Spot {
  run: number;
  x: Mm;
  y: Mm;
  w: Mm;
  h: Mm;
}

/** A line of a list, and everything on the wall it speaks of. */
export interface ListRow {
  id: string;
  cells: readonly Cell[];
  spots: readonly Spot[];
  /** The course it is about, where it is about one. */
  course?: number;
}

/** What a wall comes to in one respect, line by line: sorted, summed and pressed by whoever shows it. */
export interface WorkList {
  kind: string;
  name: Said;
  columns: readonly Column[];
  rows: readonly ListRow[];
  /** Said where it is empty: what would fill it. */
  empty: Said;
}

/** The line that speaks of a place on a run: of several the one that speaks of it most closely. Null where none does. */
export function rowAt({ rows }: WorkList, run: number, x: Mm, y: Mm): ListRow | null {
  let best: { row: ListRow; area: number } | null = null;
  for (const row of rows)
    for (const s of row.spots) {
      if (s.run !== run || x < s.x || x > s.x + s.w || y < s.y || y > s.y + s.h) continue;
      const area = s.w * s.h;
      if (!best || area < best.area) best = { row, area };
    }
  return best?.row ?? null;
}
