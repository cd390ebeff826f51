import type { BenchView, PatchStep, Stated } from '@even-tally/core';

/** A run as long as it was typed. The opposite side of a building of four goes with it, so that it closes still. */
export function runEdit(view: BenchView, run: number, value: Stated): PatchStep[] {
  const { runs, wall } = view;
  const opposite = wall.closed && runs.length === 4 ? runs[(run + 2) % 4] : undefined;
  return [runs[run], opposite].flatMap((one) =>
    one ? [{ op: 'replace' as const, path: `/walls/${wall.index}/line/${one.item}/run`, value }] : [],
  );
}
