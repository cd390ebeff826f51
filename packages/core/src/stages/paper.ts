import { SHEET } from './paperMessages.js';
import type { SceneShape } from '../shapes/shape.js';

/** A table on a printed sheet. Cells are words as they are read; columns of figures stand to the right. */
export interface PaperTable {
  name: string;
  head: readonly string[];
  /** Places in `head` whose cells stand to the right. */
  figures: readonly number[];
  rows: readonly (readonly string[])[];
}

/** A sheet to carry to the wall: what it is, a drawing where one helps, tables, and the caution that goes with it. */
export interface PaperSheet {
  title: string;
  sub: string;
  says: readonly string[];
  drawing: { box: { x: number; y: number; w: number; h: number }; shapes: readonly SceneShape[] } | null;
  tables: readonly PaperTable[];
  caution: string;
}

export type CsvRow = (string | number)[];

/** Said wherever a wall is drawn or printed. */
export const CAUTION = SHEET.caution();

/** The tables of a sheet as rows for a spreadsheet, each under its name. */
export const paperRows = (sheet: PaperSheet): CsvRow[] =>
  sheet.tables.flatMap((t, i): CsvRow[] => [
    ...(i > 0 ? [['']] : []),
    ...(sheet.tables.length > 1 ? [[t.name]] : []),
    [...t.head],
    ...t.rows.map((r) => [...r]),
  ]);
