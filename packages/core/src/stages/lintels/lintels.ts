import { SAME_PLACE, toMillimetres, type Mm } from '../../measure/length.js';
import { BRIDGE } from '../../tables/stoneWalls.js';
import { bearingFor, type Bearing } from '../../tables/bearings.js';
import { leafOnFace, type Leaf, type Leaved } from '../../walling/units/leaves/leaf.js';
import { topAt } from '../set-out/outline.js';
import type { SetLintel, SetOpening, SetWall } from '../set-out/wall.js';

/** A wall as laid: its leaves, its face and its courses. */
export type Laid = Leaved & Pick<Leaf, 'gauge' | 'runs'>;

/** A lintel as it lies: places on the outside face of its run, mm. */
export interface PlacedLintel extends Omit<SetLintel, 'length' | 'bearings'> {
  opening: SetOpening;
  length: Mm;
  /** What its ends bear, left and right; what is left of its length is shared between them. */
  bearings: [Mm, Mm];
  /** Both were stated, and do not make up its length with the opening. */
  addsUp: boolean;
  from: Mm;
  to: Mm;
  rule: Bearing;
}

/** Whether wall stands over the middle of an opening. */
const overHead = (wall: SetWall, o: SetOpening): boolean => {
  const tops = wall.tops.filter((t) => t.run === o.run).flatMap((t) => t.segments);
  return (topAt(tops, (o.from + o.to) / 2) ?? wall.height) > o.head + 1;
};

/** Openings with anything laid over them, soldiers too: those want something that carries it. */
export const openingsUnderWall = ({ wall, gauge, runs }: Laid): SetOpening[] =>
  wall.openings.filter((o) => {
    // No stone of it is known by its place: what stands over the head does.
    if (wall.stone) return overHead(wall, o);
    const row = runs.find((r) => r.index === o.run)?.rows[gauge.courses.findIndex((c) => c.top > o.head + 1)];
    return row?.pieces.some((p) => p.to > o.from + 1 && p.from < o.to - 1) ?? false;
  });

function placed({ wall }: Leaved, o: SetOpening, l: SetLintel): PlacedLintel {
  const clear = o.to - o.from;
  const rule = bearingFor(wall.profile.id, wall.unit, clear);
  const given = l.bearings;
  const each = l.length === null ? rule.usual : (l.length - clear) / 2;
  const bearings: [Mm, Mm] = given ?? [each, each];
  const length = l.length ?? clear + bearings[0] + bearings[1];
  return {
    ...l,
    opening: o,
    length,
    bearings,
    addsUp: Math.abs(length - clear - bearings[0] - bearings[1]) <= 1,
    from: o.from - bearings[0],
    to: o.to + bearings[1],
    rule,
  };
}

/** Every lintel that is listed over an opening. */
export const lintelsPlaced = (work: Laid): PlacedLintel[] =>
  // Most walls that are weighed list none: then nothing is looked for.
  work.wall.openings.every((o) => o.lintels.length === 0)
    ? []
    : openingsUnderWall(work).flatMap((o) => o.lintels.map((l) => placed(work, o, l)));

/** How long a lintel over an opening is at least, by the profile's usual bearing. */
export function wantedOver({ wall }: Leaved, o: SetOpening): { length: Mm; clear: Mm; bearing: Mm } {
  const clear = o.to - o.from;
  const { usual } = bearingFor(wall.profile.id, wall.unit, clear);
  return { length: clear + 2 * usual, clear, bearing: usual };
}

/** Leaves that are laid each for itself, and so must each be carried: those a cavity parts. */
export const leavesToCarry = ({ leaves }: Leaved): readonly Leaf[] =>
  leaves.filter((l) => l.index === 0 || l.heldBy === 'cavity');

/** A smoot or a culvert of a stone wall is no wider than a stone that is seen to be sound bridges. */
const isBridged = ({ wall }: Laid, o: SetOpening): boolean =>
  wall.stone !== null && o.bridged !== null && o.to - o.from <= BRIDGE.most + SAME_PLACE;

/** Leaves over an opening that nothing marked carries. */
export const uncarried = (work: Laid, o: SetOpening): readonly Leaf[] =>
  leavesToCarry(work).filter(
    (leaf) =>
      !isBridged(work, o) &&
      !o.lintels.some((l) => (l.leaf === null || l.leaf === leaf.index) && (l.mark !== '' || l.by !== '')),
  );

export interface BadBearing {
  lintel: PlacedLintel;
  end: 'left' | 'right';
  /** The shortest piece under it, or how far it reaches past the wall. */
  sliver: { piece: Mm; least: Mm } | null;
  past: Mm | null;
}

/** How far one end of a lintel reaches past the run, or over the next opening, mm; none where there is wall under all of it. */
function reachesPast(work: Laid, { opening: o }: PlacedLintel, from: Mm, to: Mm): Mm {
  const whole = work.wall.runs[o.run]?.length ?? 0;
  const under = work.wall.openings
    .filter((n) => n.run === o.run && n.id !== o.id && n.sill < o.head - 1 && n.head > o.head - 1)
    .map((n) => Math.min(to, n.to) - Math.max(from, n.from));
  return Math.max(-from, to - whole, ...under);
}

/** What lies under one end of a lintel in a leaf: a piece too short to bear on, or no wall. */
function under(work: Laid, leaf: Leaf, l: PlacedLintel, end: 'left' | 'right'): BadBearing | null {
  const { opening: o } = l;
  const [from, to] = end === 'left' ? [l.from, o.from] : [o.to, l.to];
  const past = reachesPast(work, l, from, to);
  if (past > 1) return { lintel: l, end, sliver: null, past };
  const { wall, gauge, runs } = leafOnFace(leaf, work);
  const row = runs.find((r) => r.index === o.run)?.rows[gauge.courses.findIndex((c) => c.top >= o.head - 1)];
  const least = toMillimetres(wall.profile.leastPiece(wall.unit));
  const pieces = (row?.pieces ?? []).filter(
    // The closer inside a header is the bond's own.
    (p) => p.to > from + 1 && p.from < to - 1 && p.kind !== 'closer',
  );
  const piece = Math.min(...pieces.map((p) => p.to - p.from));
  return piece < least - SAME_PLACE ? { lintel: l, end, sliver: { piece, least }, past: null } : null;
}

/** Ends of lintels that bear on slivers or on nothing, in the leaves each is in. */
export const badBearings = (work: Laid): BadBearing[] =>
  lintelsPlaced(work).flatMap((l) =>
    (['left', 'right'] as const).flatMap((end) => {
      const bad = leavesToCarry(work)
        .filter((leaf) => l.leaf === null || l.leaf === leaf.index)
        .map((leaf) => under(work, leaf, l, end))
        .find((b) => b !== null);
      return bad ? [bad] : [];
    }),
  );
