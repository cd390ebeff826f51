import { line, path, rect, type SceneShape } from '../../shapes/shape.js';
import { BEDDED } from './above.js';
import { cavityPlaces, type CavityWall } from './places.js';
import { wallTies } from './ties.js';

/** A tray comes up so far from its lintel to the inner leaf, mm: 150 at least (PD 6697, from memory). */
const UPSTAND = 150;
/** Ties of the field stand so far apart at most, so that half of it to either side holds one of every row, mm. */
const REACH = 450;

/** What crosses a cavity where a run is cut through `at`: ties, board, the damp-proof course, a tray over an opening. */
export function cavitySection(work: CavityWall, run: number, at: number): SceneShape[] {
  const behind = work.leaves[1];
  if (!behind) return [];
  const places = cavityPlaces(work);
  const ties = (places?.ties ?? wallTies(work)?.ties ?? []).filter(
    (t) => t.run === run && Math.abs(t.at - at) <= REACH,
  );
  const face = work.wall.unitWidth;
  const rows = new Map(ties.map((t) => [Math.round(t.level), t.level]));
  const crossing = [...rows.values()].map((level) =>
    line('tie-plan', face - BEDDED, level, behind.offset + BEDDED, level),
  );
  if (!places) return crossing;
  const board = work.wall.cavity?.board ?? 0;
  const top = work.gauge.courses.at(-1)?.top ?? 0;
  const open = work.wall.openings.find((o) => o.run === run && o.from < at && o.to > at);
  const boards = open
    ? [
        [0, open.sill],
        [open.head, top],
      ]
    : [[0, top]];
  const trays = places.trays.filter((t) => t.run === run && t.from < at && t.to > at);
  return [
    ...(board > 0
      ? boards
          .filter(([from = 0, to = 0]) => to > from)
          .map(([from = 0, to = 0]) => rect('board', behind.offset - board, from, board, to - from))
      : []),
    ...crossing,
    ...(places.dpc === null
      ? []
      : [
          line('dpc', 0, places.dpc, face, places.dpc),
          line('dpc', behind.offset, places.dpc, behind.offset + behind.thickness, places.dpc),
        ]),
    ...trays.map((t) =>
      path('tray', [
        [0, t.level],
        [face, t.level],
        [behind.offset, t.level + UPSTAND],
      ]),
    ),
  ];
}
