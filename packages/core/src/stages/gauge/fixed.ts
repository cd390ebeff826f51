import type { Said } from '../../messages/message.js';
import { SAYS } from './messages.js';
import { SAME_PLACE } from '../../measure/length.js';
import type { SetWall } from '../set-out/wall.js';

/** A height some course should land on, and whose it is. */
export interface Fixed {
  at: number;
  tolerance: number;
  must: boolean;
  names: Said[];
}

/**
 * Every height of the wall that a course must or should land on, lowest first: sills, heads, fixed heights and
 * the top. Those at one place are one: it is a must if any is, and the tightest tolerance rules.
 */
export function fixedHeights(wall: SetWall): Fixed[] {
  const all: Fixed[] = [
    ...wall.openings.flatMap((o) => [
      { at: o.sill, tolerance: o.tolerance, must: o.must, names: [SAYS['sill-of']({ name: o.name })] },
      { at: o.head, tolerance: o.tolerance, must: o.must, names: [SAYS['head-of']({ name: o.name })] },
    ]),
    ...wall.heights.map((h) => ({ at: h.at, tolerance: h.tolerance, must: h.must, names: [h.name] })),
    { at: wall.height, tolerance: 0, must: true, names: [SAYS['the-top']()] },
  ];
  const list: Fixed[] = [];
  for (const one of all.sort((a, b) => a.at - b.at)) {
    if (!(one.at > SAME_PLACE)) continue;
    const last = list.at(-1);
    if (last && one.at - last.at <= SAME_PLACE) {
      last.must ||= one.must;
      last.tolerance = Math.min(last.tolerance, one.tolerance);
      last.names.push(...one.names);
    } else list.push({ ...one });
  }
  return list;
}
