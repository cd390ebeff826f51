import { sayQuantity, type Cell, type Column, type Say, type Show } from '@even-tally/core';

/** What a cell says, in the measure it has or its column gives it. */
export function cellSays(cell: Cell, { is }: Column, show: Show, say: Say): string {
  if (cell === null) return '';
  if (typeof cell === 'number') return sayQuantity(cell, is, show);
  if (typeof cell === 'object' && 'is' in cell) return sayQuantity(cell.value, cell.is, show);
  return say(cell);
}

/** What a cell is sorted by: numbers by their size, words as they are read. */
export function cellOrder(cell: Cell, say: Say): number | string {
  if (cell === null) return '';
  if (typeof cell === 'number') return cell;
  return typeof cell === 'object' && 'is' in cell ? cell.value : say(cell);
}

/** Whether what stands in a column stands to the right. */
export const isFigures = ({ is, key }: Column): boolean => is !== 'text' || key === 'amount';
