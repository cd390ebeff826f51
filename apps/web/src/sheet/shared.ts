import type { SheetView } from '@even-tally/core';

/** Parts of a view that most edits leave as they are, and that are cheap to compare. */
const PARTS = [
  'wall',
  'marks',
  'flags',
  'courses',
  'tape',
  'runs',
  'heights',
  'samples',
  'survey',
  'site',
  'says',
  'choices',
  'odd',
  'even',
] as const;

/** The new view with every part that has not changed taken from the old, so that it need not be drawn again. */
export function shared(was: SheetView, now: SheetView): SheetView {
  const kept: Partial<SheetView> = {};
  for (const part of PARTS)
    if (JSON.stringify(was[part]) === JSON.stringify(now[part])) Object.assign(kept, { [part]: was[part] });
  return { ...now, ...kept };
}
