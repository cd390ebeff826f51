import { rect, type SceneShape } from '../../shapes/shape.js';
import { carried, carryingLeaf } from '../../walling/units/leaves/leaf.js';
import { insideWidth } from '../steel/cells.js';
import type { Grouted } from './work.js';
import type { SteelStageWork } from '../steel/work.js';

/** Grout where a run is cut through `at`: the cell that is cut where it is filled, courses filled solid, beams. */
export function groutSection(work: SteelStageWork & Grouted, run: number, at: number): SceneShape[] {
  const { offset, thickness } = carryingLeaf(work);
  const { wall, gauge, runs, steel, fills } = carried(work);
  const fill = fills[runs.findIndex((r) => r.index === run)];
  const inside = insideWidth(wall);
  const band = (bottom: number, top: number): SceneShape =>
    rect('grout', offset + (thickness - inside) / 2, bottom, inside, top - bottom);
  const course = (i: number): SceneShape => band(gauge.courses[i]?.bottom ?? 0, gauge.courses[i]?.top ?? 0);
  const over = (s: { from: number; to: number }): boolean => s.from < at && s.to > at;
  const grouted = wall.grout !== null && wall.grout.fill !== 'none';
  return [
    ...[...(fill?.solid ?? [])].map(course),
    ...steel.beams
      .filter((b) => grouted && b.run === run && b.stretches.some(over))
      .map((b) => course(b.course)),
    ...(fill?.cells ?? [])
      .filter((c) => c.filled && over(c.shaft))
      .map(({ shaft }) => band(shaft.bottom, shaft.top)),
  ];
}
