import { SAYS } from './messages.js';
import type { Said } from '../../messages/message.js';
import { feet, inches, toMillimetres, type Mm } from '../../measure/length.js';
import { topAt } from '../set-out/outline.js';
import { ruleOf } from './spacing.js';
import type { SetOpening, SetWall } from '../set-out/wall.js';

/** Masonry kept each side of an opening for its lintel to bear on, mm: 8 in nominal, a half block and half its joint; common practice. */
export const BEARING = 198;
/** Openings wider than this want a joint on both sides, others on one, mm (NCMA TEK 10-2 series, from memory). */
const WIDE_OPENING = toMillimetres(feet(6));
/** A wall that goes up or down by so much at once moves apart there, mm: 24 in, common practice. */
const HEIGHT_CHANGE = toMillimetres(inches(24));

export interface Span {
  from: Mm;
  to: Mm;
}

/** A place where a wall cracks first. A joint in any of its spans settles it. */
export interface WeakPlace {
  spans: Span[];
  what: Said;
}

const clampedTo = ({ from, to }: Span, length: number): Span[] =>
  from > 0 && to < length ? [{ from, to }] : [];

/** Where a joint beside an opening may stand: past what the lintel bears on, within a unit of it. */
function sidesOf(wall: SetWall, o: SetOpening, length: number): [Span[], Span[]] {
  const reach = BEARING + wall.unitLength + wall.head;
  return [
    clampedTo({ from: o.from - reach, to: o.from - BEARING }, length),
    clampedTo({ from: o.to + BEARING, to: o.to + reach }, length),
  ];
}

/** Openings whose corners a joint beside them relieves; steel beside them and a beam over them do so as well. */
function openingPlaces(wall: SetWall, run: number, length: number): WeakPlace[] {
  const { steel } = wall;
  const reinforced =
    steel !== null && steel.vertical !== null && steel.beams.some((b) => b.course === 'over-openings');
  // A drawing that says how far joints stand apart says where they stand.
  const drawn = wall.jointEvery !== null;
  if (wall.movement?.besideOpenings !== true || reinforced || drawn || ruleOf(wall, run) === null) return [];
  return wall.openings
    .filter((o) => o.run === run)
    .flatMap((o): WeakPlace[] => {
      const sides = sidesOf(wall, o, length);
      const name = o.name || o.id;
      return o.to - o.from > WIDE_OPENING
        ? sides.map((spans) => ({ spans, what: SAYS['both-sides']({ opening: name }) }))
        : [{ spans: sides.flat(), what: name }];
    });
}

/** Steps in the top or the footing of a run. */
function heightPlaces(wall: SetWall, run: number, length: number): WeakPlace[] {
  const segments = wall.tops.filter((t) => t.run === run).flatMap((t) => t.segments);
  const top = (x: number): number => topAt(segments, x) ?? wall.height;
  const steps = wall.steps.filter((s) => s.run === run);
  const pitch = wall.unitHeight + wall.bed;
  const foot = (x: number): number =>
    Math.max(0, ...steps.filter((s) => x > s.from && x < s.to).map((s) => s.up * pitch));
  const reach = (wall.unitLength + wall.head) / 2;
  const edges = [...segments, ...steps].flatMap((s) => [s.from, s.to]);
  const jump = (x: number): number =>
    Math.max(Math.abs(top(x + 1) - top(x - 1)), Math.abs(foot(x + 1) - foot(x - 1)));
  return [...new Set(edges)]
    .filter((x) => jump(x) >= HEIGHT_CHANGE)
    .map((x) => ({
      spans: clampedTo({ from: x - reach, to: x + reach }, length),
      what: SAYS['height-change'](),
    }));
}

/** Weak places of a run where a joint can stand: beside openings where the rule asks for it, and at changes of height. */
export function weakPlaces(wall: SetWall, run: number): WeakPlace[] {
  const length = wall.runs[run]?.length ?? 0;
  if (!wall.movement) return [];
  return [...openingPlaces(wall, run, length), ...heightPlaces(wall, run, length)].filter(
    (p) => p.spans.length > 0,
  );
}

export const isIn = (spans: readonly Span[], x: number): boolean => spans.some((s) => x > s.from && x < s.to);

/** Where a joint may as well stand when one is wanted somewhere near: beside any opening, pier or change of height. */
export function kindPlaces(wall: SetWall, run: number): Span[] {
  const length = wall.runs[run]?.length ?? 0;
  const reach = wall.unitLength + wall.head;
  return [
    ...wall.openings.filter((o) => o.run === run).flatMap((o) => sidesOf(wall, o, length).flat()),
    // A pier stands whole on one side of the joint.
    ...wall.piers
      .filter((p) => p.run === run)
      .flatMap((p) => [
        { from: p.from - reach, to: p.from },
        { from: p.to, to: p.to + reach },
      ]),
    ...heightPlaces(wall, run, length).flatMap((p) => p.spans),
  ];
}
