/** A length as stated: millimetres, or text that carries its unit. Kept and given back verbatim. */
export type Stated = number | string;

export interface RunItem {
  run: Stated;
  id?: string;
  name?: string;
}
export interface TurnItem {
  turn: number;
}
export interface ArcItem {
  arc: Stated;
  sweep: number;
  id?: string;
  name?: string;
}
export type LineItem = RunItem | TurnItem | ArcItem;

export const isRun = (item: LineItem): item is RunItem => 'run' in item;
export const isTurn = (item: LineItem): item is TurnItem => 'turn' in item;
export const isArc = (item: LineItem): item is ArcItem => 'arc' in item;
