import type { CsvRow } from '@even-tally/core';
import Papa from 'papaparse';

/** Rows as a spreadsheet takes them; a cell that begins like a formula is not one. */
export const toCsv = (rows: readonly CsvRow[]): string =>
  `${Papa.unparse(rows as CsvRow[], { escapeFormulae: true })}\r\n`;

/** Rows of a table that was typed or pasted: parted by whatever parts them, a comma, a semicolon or a tab. */
export const fromCsv = (text: string): string[][] =>
  Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy', delimitersToGuess: [',', '\t', ';'] }).data;
