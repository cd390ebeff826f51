import type { Mm } from '../../measure/length.js';
import type { PaperTable } from '../../stages/paper.js';
import { leadingOf, sizeOf, type Flow } from './flow.js';
import { textWidth, wrapped } from './textWidth.js';

/** Air on either side of a cell, and under its words, mm. */
const SIDE = 1;
const UNDER = 1;
const NARROWEST = 8;

/** Widths that share the page by the longest line of each column: all as long as they are where there is room. */
function widths(table: PaperTable, wide: Mm): Mm[] {
  const longest = table.head.map((h, i) =>
    table.rows.reduce(
      (most, row) => Math.max(most, textWidth(row[i] ?? '', sizeOf('table-cell')) + 2 * SIDE),
      Math.max(NARROWEST, textWidth(h, sizeOf('table-head'), true) + 2 * SIDE),
    ),
  );
  const sum = longest.reduce((a, b) => a + b, 0);
  if (sum <= wide) return longest.map((l) => l + (wide - sum) / longest.length);
  // Narrow columns keep what they need; the wide ones share what is left.
  const fair = wide / longest.length;
  const kept = longest.reduce((a, l) => a + (l <= fair ? l : 0), 0);
  const rest = sum - kept;
  return longest.map((l) => (l <= fair ? l : (l * (wide - kept)) / rest));
}

/** A table, its head again on every page it goes over. */
export function flowTable(flow: Flow, table: PaperTable): void {
  const cols = widths(table, flow.wide);
  const starts = cols.map((_, i) => flow.left + cols.slice(0, i).reduce((a, b) => a + b, 0));
  const cell = (role: 'table-head' | 'table-cell', text: string, i: number, down: Mm): void => {
    const right = table.figures.includes(i);
    const x = (starts[i] ?? 0) + (right ? (cols[i] ?? 0) - SIDE : SIDE);
    flow.text(role, text, x, down, right ? 'end' : 'start');
  };
  const linesOf = (text: string, i: number): string[] =>
    wrapped(text, (cols[i] ?? 0) - 2 * SIDE, sizeOf('table-cell'));
  const head = (): void => {
    flow.y += leadingOf('table-head');
    table.head.forEach((h, i) => cell('table-head', h, i, flow.y - UNDER));
    flow.rule('table-rule', flow.left, flow.y, flow.left + flow.wide, flow.y);
  };
  if (flow.room < 4 * leadingOf('table-head')) flow.newPage();
  flow.say('says-strong', table.name);
  head();
  const line = leadingOf('table-cell');
  for (const row of table.rows) {
    const cells = row.map((text, i) => linesOf(text, i));
    const high = Math.max(1, ...cells.map((c) => c.length)) * line + UNDER;
    if (flow.room < high) {
      flow.newPage();
      head();
    }
    cells.forEach((lines, i) =>
      lines.forEach((text, k) => cell('table-cell', text, i, flow.y + (k + 0.8) * line + UNDER / 2)),
    );
    flow.y += high;
    flow.rule('table-rule', flow.left, flow.y, flow.left + flow.wide, flow.y);
  }
  flow.y += 3;
}
