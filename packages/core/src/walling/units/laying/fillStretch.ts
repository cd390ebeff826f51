import { SAME_PLACE } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { edgesIn, searchedEdges, type RunToLay } from './besideJamb.js';
import { fillHeaderStretch } from './headerStretch.js';
import { near } from './kindOf.js';
import { slotRules } from '../lines/lineCost.js';
import { within, type PerpLine } from '../lines/lines.js';
import type { SlotRules } from '../lines/slots.js';
import { RUN_END, type Laid, type Stretch } from './stretch.js';

/**
 * A place to a millionth of a millimetre. Two ways to one perp differ in the last places of the sum: without this a
 * moved opening would seem to move, and have redrawn, every unit of the wall.
 */
const place = (mm: number): number => Math.round(mm * 1e6) / 1e6;

/**
 * Fills one stretch of a course from the run's perp lines, `parity` 0 for an odd course and 1 for an even one. A jamb
 * within a joint's tolerance of a perp is met by easing the joints of the stretch; further off, both courses are laid the
 * cheapest way there is from the jamb to where they stand on their lines again.
 */
export function layStretch(run: RunToLay, stretch: Stretch, parity: 0 | 1): Laid[] {
  const { wall, lines } = run;
  // Less than a joint is mortar.
  if (stretch.to - stretch.from < wall.head) return [];
  const laid =
    wall.bond.family === 'header'
      ? fillHeaderStretch(wall, lines[parity], stretch)
      : fillRunning(run, stretch, parity);
  const line = lines[parity];
  const shown = [
    line.shownAtStart && stretch.left === RUN_END,
    line.shownAtEnd && stretch.right === RUN_END,
  ] as const;
  return sound(wall, laid, stretch, shown).map(({ from, to, opening }) => ({
    from: place(from),
    to: place(to),
    opening,
  }));
}

function fillRunning(run: RunToLay, stretch: Stretch, parity: 0 | 1): Laid[] {
  const line = run.lines[parity];
  if (stretch.left === RUN_END && stretch.right === RUN_END)
    return piecesOf(run, edgesIn(line, stretch), stretch, parity);
  if (run.beside) return piecesOf(run, edgesIn(run.beside, stretch), stretch, parity);
  return (
    easedToJambs(run, stretch, parity) ?? piecesOf(run, searchedEdges(run, stretch)[parity], stretch, parity)
  );
}

/** The piece in a slot: a whole unit or a half where the joint can take the difference, else what fills it. */
function pieceIn(r: SlotRules, slot: number, joint: number, last: boolean): number {
  const raw = slot - joint;
  if (last || near(raw, r.whole) || near(raw, r.half)) return raw;
  for (const size of [r.whole, r.half])
    if (slot - size >= r.least - SAME_PLACE && slot - size <= r.most + SAME_PLACE) return size;
  return raw;
}

/** The length of the i-th of so many pieces where it is one that its line's end begins with: never eased, never sawn. */
function leadLength(line: PerpLine, stretch: Stretch, i: number, count: number): number | undefined {
  const { start = [], end = [] } = line.leads ?? {};
  if (stretch.left === RUN_END && i < start.length) return start[i];
  return stretch.right === RUN_END && count - 1 - i < end.length ? end[count - 1 - i] : undefined;
}

/** Pieces between edges. What only shows its end here is the other run's, and never eased. */
function piecesOf(run: RunToLay, edges: readonly number[], stretch: Stretch, parity: 0 | 1): Laid[] {
  const r = slotRules(run.wall);
  const line = run.lines[parity];
  const onLine = (x: number): boolean => within(line.u, x - 0.5, x + 0.5).length > 0;
  const middle = (stretch.from + stretch.to) / 2;
  return edges.slice(0, -1).map((from, i): Laid => {
    const to = edges[i + 1] as number;
    const last = i === edges.length - 2;
    const joint = last ? (edges.at(-1) as number) - stretch.to : line.joint;
    const lead = leadLength(line, stretch, i, edges.length - 1);
    // In a stretch too short for it a closer gives way; what shows of another run cannot.
    const shows =
      (i === 0 && stretch.left === RUN_END && line.shownAtStart) ||
      (last && stretch.right === RUN_END && line.shownAtEnd);
    const fits = lead !== undefined && (shows || Math.abs(to - from - joint - lead) <= r.most);
    const length = fits ? lead : pieceIn(r, to - from, joint, last);
    // The jamb it was sawn for: pieces that stand on the run's own perps were not.
    const own = onLine(from) && onLine(to);
    const [near, far] = from < middle ? [stretch.left, stretch.right] : [stretch.right, stretch.left];
    return {
      from,
      to: last ? stretch.to : from + length,
      opening: own ? RUN_END : near === RUN_END ? far : near,
    };
  });
}

/** The stretch with its joints all eased alike, where that brings every unit of it whole or half to the jambs. */
function easedToJambs(run: RunToLay, stretch: Stretch, parity: 0 | 1): Laid[] | null {
  const { wall } = run;
  const line = run.lines[parity];
  const r = slotRules(wall);
  const { joint } = line;
  const fits = (off: number): boolean =>
    off <= r.most - joint + SAME_PLACE && -off <= joint - r.least + SAME_PLACE;
  let bounds = edgesIn(line, stretch);
  const end = stretch.to + joint;
  // A perp that stands all but on the jamb is the jamb's own joint.
  if (stretch.left !== RUN_END && bounds.length > 2 && fits((bounds[1] ?? 0) - stretch.from))
    bounds = [stretch.from, ...bounds.slice(2)];
  if (stretch.right !== RUN_END && bounds.length > 2 && fits(end - (bounds.at(-2) ?? 0)))
    bounds = [...bounds.slice(0, -2), end];
  const count = bounds.length - 1;
  if (count < 2) return null;
  const lengths: number[] = [];
  for (let i = 0; i < count; i++) {
    const raw = (bounds[i + 1] ?? 0) - (bounds[i] ?? 0) - joint;
    const atJamb = (i === 0 && stretch.left !== RUN_END) || (i === count - 1 && stretch.right !== RUN_END);
    const size = [r.whole, r.half].find((s) => fits(raw - s));
    if (atJamb && size === undefined) return null;
    lengths.push(leadLength(line, stretch, i, count) ?? size ?? raw);
  }
  // Two halves sawn for a pier may be a whole unit less: that is weighed.
  const between = stretch.left !== RUN_END && stretch.right !== RUN_END;
  if (between && !r.halfBought && lengths.filter((l) => near(l, r.half)).length > 1) return null;
  const sum = lengths.reduce((a, b) => a + b, 0);
  const shared = (stretch.to - stretch.from - sum) / (count - 1);
  if (shared < r.least - SAME_PLACE || shared > r.most + SAME_PLACE) return null;
  let x = stretch.from;
  return lengths.map((length, i) => {
    const from = x;
    x += length + shared;
    return { from, to: i === count - 1 ? stretch.to : from + length, opening: RUN_END };
  });
}

/**
 * No piece longer than its unit and none of no length, whatever was asked: one too long is parted in equal ones, one
 * too thin is taken with its neighbour and both parted alike.
 */
function sound(
  wall: SetWall,
  laid: readonly Laid[],
  stretch: Stretch,
  [shownFirst, shownLast]: readonly [boolean, boolean],
): Laid[] {
  const longest = wall.unitLength + SAME_PLACE;
  const thinnest = 1;
  if (laid.every((p) => p.to - p.from <= longest && p.to - p.from >= thinnest)) return [...laid];
  const joined: Laid[] = [];
  for (const piece of laid) {
    const last = joined.at(-1);
    if (last && (piece.to - piece.from < thinnest || last.to - last.from < thinnest)) {
      last.to = piece.to;
      last.opening = Math.max(last.opening, piece.opening);
    } else joined.push({ ...piece });
  }
  return joined.flatMap((p, i): Laid[] => {
    const length = p.to - p.from;
    // What goes through at a corner is another run's, as long as it is.
    const others = (i === 0 && shownFirst) || (i === joined.length - 1 && shownLast);
    if (length <= longest || others) return [p];
    const n = Math.ceil((length + wall.head - SAME_PLACE) / (wall.unitLength + wall.head));
    const each = (length - (n - 1) * wall.head) / n;
    return Array.from({ length: n }, (_, k) => {
      const from = p.from + k * (each + wall.head);
      const opening = p.opening >= 0 ? p.opening : Math.max(stretch.left, stretch.right, RUN_END);
      return { from, to: k === n - 1 ? p.to : from + each, opening };
    });
  });
}
