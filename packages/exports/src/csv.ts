import type { CsvRow } from '@even-tally/core';
import Papa from 'papaparse';

/** Rows as a spreadsheet takes them; a cell that begins like a formula is not one. */
export const toCsv = (rows: readonly CsvRow[]): string =>
  `${Papa.unparse(rows as CsvRow[], { escapeFormulae: true })}\r\n`;
