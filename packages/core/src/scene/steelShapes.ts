import { carried } from '../walling/units/leaves/leaf.js';
import { cavityPlaces } from '../stages/cavity/places.js';
import type { WallWork } from '../plan/work.js';
import { middleOf } from '../stages/steel/columns.js';
import { reinforcedBeds } from '../stages/steel/horizontal.js';
import { stretchesOf } from '../stages/steel/spans.js';
import { END_COVER } from '../stages/steel/steel.js';
import { line, rect, shape, type SceneShape } from './scene.js';

/** Half the width a tie is drawn, mm. */
const TIE = 18;

/** Grout and steel inside one run: filled cells, courses filled solid, beams, uprights, wire in the beds. */
function inside({ wall, steel, gauge, fills, runs }: WallWork, run: number): SceneShape[] {
  const k = runs.findIndex((r) => r.index === run);
  const bonded = runs[k];
  const { courses } = gauge;
  const length = wall.runs[run]?.length ?? 0;
  const beams = steel.beams.filter((b) => b.run === run);
  const level = (i: number): [number, number] => [courses[i]?.bottom ?? 0, courses[i]?.top ?? 0];
  const band = (from: number, to: number, [bottom, top]: [number, number]): SceneShape =>
    rect('grout', from, bottom, to - from, top - bottom);
  const grouted = wall.grout !== null && wall.grout.fill !== 'none';
  return [
    ...(fills[k]?.cells ?? [])
      .filter((c) => c.filled)
      .map(({ column: c }) => band(c.from, c.to, [c.bottom, c.top])),
    ...[...(fills[k]?.solid ?? [])].map((i) => band(0, length, level(i))),
    ...beams.flatMap((b) => (grouted ? b.stretches.map((s) => band(s.from, s.to, level(b.course))) : [])),
    ...(steel.verticals[k]?.bars ?? []).map(({ column: c }) => {
      const x = middleOf(c);
      return line('bar', x, c.bottom === 0 ? -END_COVER : c.bottom, x, c.top - END_COVER);
    }),
    ...beams.flatMap((b) => {
      const [bottom, top] = level(b.course);
      const rows = Math.min(b.count, 3);
      return b.stretches.flatMap((s) =>
        Array.from({ length: rows }, (_, i) => {
          const y = bottom + ((i + 1) / (rows + 1)) * (top - bottom);
          return line('bar', s.from + END_COVER, y, s.to - END_COVER, y);
        }),
      );
    }),
    ...reinforcedBeds(wall, courses).flatMap((i) =>
      (bonded ? stretchesOf(wall, bonded, i) : []).map((s) =>
        line('bed-steel', s.from, courses[i]?.top ?? 0, s.to, courses[i]?.top ?? 0),
      ),
    ),
  ];
}

/** What goes across a cavity behind one run. */
function across(work: WallWork, run: number): SceneShape[] {
  const places = cavityPlaces(work);
  if (!places) return [];
  const here = <T extends { run: number }>(list: readonly T[]): T[] => list.filter((x) => x.run === run);
  const length = work.wall.runs[run]?.length ?? 0;
  return [
    ...(places.dpc === null ? [] : [line('dpc', 0, places.dpc, length, places.dpc)]),
    ...here(places.ties).map(({ at, level, edge }) =>
      shape(edge ? 'edge-tie' : 'tie', [
        [at - TIE, level],
        [at, level + TIE],
        [at + TIE, level],
        [at, level - TIE],
      ]),
    ),
    ...here(places.trays).flatMap((t) => [
      line('tray', t.from, t.level, t.to, t.level),
      line('tray', t.from, t.level, t.from, t.level + 2 * TIE),
      line('tray', t.to, t.level, t.to, t.level + 2 * TIE),
    ]),
    ...here(places.weeps).map((w) => line('weep', w.at, w.level, w.at, w.level + 2.5 * TIE)),
  ];
}

/** What stands in a run and behind it, for paper: under openings and letters, over the units. */
export function steelShapes(work: WallWork, run: number): SceneShape[] {
  const top = work.gauge.courses[work.gauge.count - 1]?.top ?? 0;
  return [
    ...inside(carried(work), run),
    ...across(work, run),
    ...work.wall.joints
      .filter((j) => j.run === run && j.refused === null)
      .map((j) => line('movement-joint', (j.from + j.to) / 2, -60, (j.from + j.to) / 2, top + 60)),
  ];
}
