import { mark, line, type SceneShape } from '../../shapes/shape.js';
import { carried, carryingLeaf } from '../../walling/units/leaves/leaf.js';
import { reinforcedBeds } from './horizontal.js';
import { stretchesOf } from './spans.js';
import { END_COVER } from './steel.js';
import type { SteelStageWork } from './work.js';

/** Steel where a run is cut through `at`: the upright in the cell that is cut, bars of beams on end, wire in the beds. */
export function steelSection(work: SteelStageWork, run: number, at: number): SceneShape[] {
  const { offset, thickness } = carryingLeaf(work);
  const own = carried(work);
  const { courses } = own.gauge;
  const across = offset + (work.steel.place?.from ?? thickness / 2);
  const laid = own.runs.find((r) => r.index === run);
  const over = (s: { from: number; to: number }): boolean => s.from < at && s.to > at;
  const bars = work.steel.verticals.find((v) => v.run === run)?.bars ?? [];
  const beams = work.steel.beams.filter((b) => b.run === run && b.stretches.some(over));
  const wires = reinforcedBeds(own.wall, courses).filter(
    (i) => laid !== undefined && stretchesOf(own.wall, laid, i).some(over),
  );
  return [
    ...bars
      .filter((b) => over(b.shaft))
      .map((b) =>
        line(
          'bar',
          across,
          b.shaft.bottom === 0 ? -END_COVER : b.shaft.bottom,
          across,
          b.shaft.top - END_COVER,
        ),
      ),
    ...beams.flatMap((b) => {
      const { bottom = 0, top = 0 } = courses[b.course] ?? {};
      return Array.from({ length: b.count }, (_, i) =>
        mark('bar-plan', offset + ((i + 1) / (b.count + 1)) * thickness, (bottom + top) / 2),
      );
    }),
    ...wires.flatMap((i) =>
      [0.25, 0.75].map((part) => mark('wire-cut', offset + part * thickness, courses[i]?.top ?? 0)),
    ),
  ];
}
