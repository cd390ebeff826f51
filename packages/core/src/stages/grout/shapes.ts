import { SAYS } from './messages.js';
import { line, rect, words, type SceneShape } from '../../shapes/shape.js';
import { middleOf } from '../steel/shafts.js';
import { cornerSeen } from '../steel/corner.js';
import type { ReinforcedWall } from '../steel/steel.js';
import type { RunFill } from './fill.js';
import type { Pour } from './pours.js';

type Grouted = ReinforcedWall & { fills: readonly RunFill[]; pours: readonly Pour[] };

/** How far past the wall's ends a pour's line is drawn, mm. */
const PAST = 90;

/** What a cell is called on a drawing, where it can be pressed. */
export const cellId = (shaft: { from: number; to: number; bottom: number }): string =>
  `${middleOf(shaft)}|${shaft.bottom}`;

/** What is filled with grout in one run, and what may be: cells, courses filled solid, beams; and where pours end. */
export function groutShapes({ wall, steel, gauge, fills, pours, runs }: Grouted, run: number): SceneShape[] {
  const k = runs.findIndex((r) => r.index === run);
  const { courses } = gauge;
  const corner = cornerSeen({ wall, runs }, run);
  const long = wall.runs[run]?.length ?? 0;
  const band = (from: number, to: number, bottom: number, top: number, id?: string): SceneShape =>
    rect('grout', from, bottom, to - from, top - bottom, id);
  const inCourse = (from: number, to: number, i: number): SceneShape =>
    band(from, to, courses[i]?.bottom ?? 0, courses[i]?.top ?? 0);
  const grouted = wall.grout !== null && wall.grout.fill !== 'none';
  return [
    ...[...(fills[k]?.solid ?? [])].map((i) => inCourse(0, long, i)),
    ...steel.beams
      .filter((b) => grouted && b.run === run)
      .flatMap((b) => b.stretches.map((s) => inCourse(s.from, s.to, b.course))),
    ...(fills[k]?.cells ?? []).map(({ shaft: c, filled }) =>
      filled
        ? band(c.from, c.to, c.bottom, c.top, cellId(c))
        : rect('cell-open', c.from, c.bottom, c.to - c.from, c.top - c.bottom, cellId(c)),
    ),
    ...(corner ? (fills.find((f) => f.run === corner.run)?.cells ?? []) : [])
      .filter(({ shaft, filled }) => filled && corner?.holds(shaft))
      .map(({ shaft: c }) => {
        const half = (c.to - c.from) / 2;
        return band((corner?.at ?? 0) - half, (corner?.at ?? 0) + half, c.bottom, c.top);
      }),
    ...pours.flatMap((p) => [
      line('pour-end', -PAST, p.top, long + PAST, p.top),
      words('pour-name', long + PAST, (p.bottom + p.top) / 2, SAYS.pour({ number: p.number })),
    ]),
  ];
}
