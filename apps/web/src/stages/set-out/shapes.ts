import type { LineItem, BenchView, Stated } from '@even-tally/core';

export type LineShape = 'straight' | 'corner' | 'closed' | 'other';

export function shapeOf(view: BenchView): LineShape {
  if (view.runs.length === 1) return 'straight';
  if (view.wall.closed && view.runs.length === 4) return 'closed';
  return view.runs.length === 2 ? 'corner' : 'other';
}

/** The line redrawn in another shape: run 0 keeps its length; new runs take the second's, or the same. */
export function lineFor(shape: LineShape, line: readonly LineItem[]): LineItem[] {
  const runs = line.filter((item) => 'run' in item);
  const first = runs[0] ?? { run: 5000 as Stated };
  const second = runs[1]?.run ?? first.run;
  const turn: LineItem = { turn: 90 };
  if (shape === 'straight') return [first];
  const side = (i: number, run: Stated, name: string): LineItem => ({ run, id: `side-${i}`, name });
  if (shape === 'corner') return [first, turn, side(2, second, 'Return')];
  return [
    first,
    turn,
    side(2, second, 'Left side'),
    turn,
    side(3, first.run, 'Back'),
    turn,
    side(4, second, 'Right side'),
    turn,
  ];
}
