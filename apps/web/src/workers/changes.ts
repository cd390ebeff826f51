import type { SheetView } from '@even-tally/core';

/** A view, or what of one has changed since the last that was sent: the rest is as it was. */
export type ViewChange = { whole: true; view: SheetView } | { whole: false; view: Partial<SheetView> };

/** Remembers what was sent, so that only what has changed crosses over and is drawn again. */
export function changeSender(): (view: SheetView) => ViewChange {
  let sheet = '';
  let sent = new Map<string, string>();
  return (view) => {
    const which = `${view.wall.id}|${view.run}`;
    const whole = which !== sheet;
    const now = new Map<string, string>();
    const changed: Record<string, unknown> = {};
    for (const [part, value] of Object.entries(view)) {
      // The drawing goes each time: its pieces are columns, which move over without being copied.
      const text = part === 'elevation' ? '' : JSON.stringify(value);
      now.set(part, text);
      if (part === 'elevation' || sent.get(part) !== text) changed[part] = value;
    }
    sheet = which;
    sent = now;
    return whole ? { whole, view } : { whole, view: changed };
  };
}

/** The view after a change: parts that were not sent are the very same objects as before. */
export const withChange = (was: SheetView | null, change: ViewChange): SheetView | null =>
  change.whole ? change.view : was && { ...was, ...change.view };
