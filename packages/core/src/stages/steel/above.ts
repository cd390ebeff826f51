import { mark, path, type SceneShape } from '../../shapes/shape.js';
import { carried, carryingLeaf } from '../../walling/units/leaves/leaf.js';
import { reinforcedBeds } from './horizontal.js';
import { stretchesOf } from './spans.js';
import type { SteelStageWork } from './work.js';

/**
 * Steel in one course of a run from above: the uprights that pass through it where they stand in their cells, and what
 * lies in the bed on it. The course is one of the outside leaf.
 */
export function steelAbove(work: SteelStageWork, run: number, course: number): SceneShape[] {
  const height = work.gauge.courses[course - 1];
  if (!height) return [];
  const { offset, thickness } = carryingLeaf(work);
  const across = offset + (work.steel.place?.from ?? thickness / 2);
  const bars = work.steel.verticals.find((v) => v.run === run)?.bars ?? [];
  const own = carried(work);
  const index = own.gauge.courses.findIndex((c) => c.top > height.bottom + 1);
  const laid = own.runs.find((r) => r.index === run);
  const bed =
    laid && reinforcedBeds(own.wall, own.gauge.courses).includes(index)
      ? stretchesOf(own.wall, laid, index)
      : [];
  return [
    ...bed.flatMap((s) =>
      [0.25, 0.75].map((part) =>
        path('bed-steel', [
          [s.from, offset + part * thickness],
          [s.to, offset + part * thickness],
        ]),
      ),
    ),
    ...bars
      .filter((b) => b.shaft.bottom < height.top - 1 && b.shaft.top > height.bottom + 1)
      .map((b) => mark('bar-plan', b.at, across)),
  ];
}
