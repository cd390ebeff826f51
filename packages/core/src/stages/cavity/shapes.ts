import { line, mark, path, rect, type SceneShape } from '../../shapes/shape.js';
import { cavityPlaces, type CavityWall } from './places.js';
import { wallTies, type Tie } from './ties.js';

/** Ends of a tray turned up, and how far a sleeve is drawn about its vent, mm. */
const UPSTAND = 60;
const SLEEVE = 20;

/** What goes across a cavity behind one run, and into it. */
export function cavityShapes(work: CavityWall, run: number): SceneShape[] {
  const places = cavityPlaces(work);
  const here = <T extends { run: number }>(list: readonly T[]): T[] => list.filter((x) => x.run === run);
  const tied = (ties: readonly Tie[]): SceneShape[] =>
    here(ties).map(({ at, level, edge }) => mark(edge ? 'edge-tie' : 'tie', at, level));
  // Two wythes laid side by side are tied, and have nothing else between them.
  if (!places) return tied(wallTies(work)?.ties ?? []);
  const length = work.wall.runs[run]?.length ?? 0;
  return [
    ...(places.dpc === null ? [] : [line('dpc', -UPSTAND, places.dpc, length + UPSTAND, places.dpc)]),
    ...here(places.sleeves).map((s) =>
      rect(
        'sleeve',
        s.from - SLEEVE,
        s.bottom - SLEEVE,
        s.to - s.from + 2 * SLEEVE,
        s.top - s.bottom + 2 * SLEEVE,
      ),
    ),
    ...tied(places.ties),
    ...here(places.trays).map((t) =>
      path('tray', [
        [t.from, t.level + UPSTAND],
        [t.from, t.level],
        [t.to, t.level],
        [t.to, t.level + UPSTAND],
      ]),
    ),
    ...here(places.weeps).map((w) => mark('weep', w.at, w.level)),
  ];
}
