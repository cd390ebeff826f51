import { line, shape, type SceneShape } from '../../shapes/shape.js';
import { cavityPlaces, type CavityWall } from './places.js';

/** Half the width a tie is drawn, mm. */
const TIE = 18;

/** What goes across a cavity behind one run. */
export function cavityShapes(work: CavityWall, run: number): SceneShape[] {
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
