import { SAME_PLACE } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { closerLength } from '../bonds/headerBond.js';
import { kindInHeaderBond, near, unitLengthsOf } from './kindOf.js';
import { headLimits, THINNEST_PIECE, type PerpLine } from '../lines/lines.js';
import { RUN_END, type Laid, type Stretch } from './stretch.js';

/**
 * Fills one stretch of a header bond from the run's perp line. A jamb within a joint's tolerance of a perp is met by
 * easing the joints of the stretch; further off, the unit against it is sawn.
 */
export function fillHeaderStretch(wall: SetWall, line: PerpLine, stretch: Stretch): Laid[] {
  const { joint } = line;
  const limits = headLimits(wall);
  const end = stretch.to + joint;
  const inner = line.u.filter((u) => u > stretch.from + SAME_PLACE && u < end - SAME_PLACE);
  let bounds = [stretch.from, ...inner, end];
  const { whole, half, threeQuarter } = unitLengthsOf(wall);
  const sizes = [whole, half, ...(line.panels ? [threeQuarter, wall.unitWidth, closerLength(wall)] : [])];
  const fits = (off: number): boolean =>
    off <= limits.most - joint + SAME_PLACE && -off <= joint - limits.least + SAME_PLACE;
  // A perp that stands all but on the jamb is the jamb's own joint.
  if (stretch.left !== RUN_END && bounds.length > 2 && fits((bounds[1] ?? 0) - stretch.from))
    bounds = [stretch.from, ...bounds.slice(2)];
  if (stretch.right !== RUN_END && bounds.length > 2 && fits(end - (bounds.at(-2) ?? 0)))
    bounds = [...bounds.slice(0, -2), end];
  bounds = thicken(closerInside(bounds, wall, stretch, line), wall, joint);
  const count = bounds.length - 1;
  const lengths: number[] = [];
  const openings: number[] = [];
  let exact = true;
  for (let i = 0; i < count; i++) {
    const slot = (bounds[i + 1] ?? 0) - (bounds[i] ?? 0);
    const opening =
      i === 0 && stretch.left !== RUN_END ? stretch.left : i === count - 1 ? stretch.right : RUN_END;
    const raw = slot - joint;
    const snap =
      opening === RUN_END && !line.panels
        ? undefined
        : sizes.find((s) => fits(raw - s) && !near(raw, s) && !sizes.some((own) => near(raw, own)));
    lengths.push(snap ?? raw);
    openings.push(opening);
    const sized =
      near(raw, whole) || near(raw, half) || snap !== undefined || kindInHeaderBond(wall, raw) !== null;
    if (!sized && opening !== RUN_END) exact = false;
  }
  const sum = lengths.reduce((a, b) => a + b, 0);
  const shared = count > 1 ? (stretch.to - stretch.from - sum) / (count - 1) : joint;
  // Laid panel by panel each keeps the joints it was laid with.
  if (
    !line.panels &&
    exact &&
    count > 1 &&
    shared >= limits.least - SAME_PLACE &&
    shared <= limits.most + SAME_PLACE
  ) {
    let x = stretch.from;
    return lengths.map((length, i) => {
      const from = x;
      x += length + shared;
      return { from, to: i === count - 1 ? stretch.to : from + length, opening: -1 };
    });
  }
  return lengths.map((length, i) => {
    const from = bounds[i] ?? 0;
    const to = (bounds[i + 1] ?? 0) - joint;
    // A snapped piece keeps its jamb; its other side takes the difference in one joint.
    const atRight = i === count - 1 && stretch.right !== RUN_END;
    if (near(length, to - from) || count === 1) return { from, to, opening: openings[i] ?? -1 };
    return atRight ? { from: to - length, to, opening: -1 } : { from, to: from + length, opening: -1 };
  });
}

/** How far a panel's own joint may bring a slot from its piece and the wall's joint, mm. */
const EASED = 6;

/** At a jamb of a header bond the header stands against the opening and the closer next to it. */
function closerInside(bounds: number[], wall: SetWall, stretch: Stretch, line: PerpLine): number[] {
  if (wall.bond.family !== 'header' || bounds.length < 3) return bounds;
  const { joint } = line;
  // The end of another run's brick is as wide as a header, and stays where it is.
  const lastOwn = bounds.length - 2 - Number(line.shownAtEnd && stretch.right === RUN_END);
  const [closer, header] = [closerLength(wall) + joint, wall.unitWidth + joint];
  const out = [...bounds];
  const slot = (i: number): number => (bounds[i + 1] ?? 0) - (bounds[i] ?? 0);
  if (
    stretch.left !== RUN_END &&
    lastOwn >= 1 &&
    near(slot(0), closer, EASED) &&
    near(slot(1), header, EASED)
  )
    out[1] = (out[0] ?? 0) + slot(1);
  const n = bounds.length - 2;
  if (stretch.right !== RUN_END && n > 1 && near(slot(n), closer, EASED) && near(slot(n - 1), header, EASED))
    out[n] = (out[n + 1] ?? 0) - slot(n - 1);
  return out;
}

/**
 * A leftover too thin to lay is taken with its neighbour: as one piece where a unit reaches, else as a
 * three-quarter and what remains.
 */
function thicken(bounds: number[], wall: SetWall, joint: number): number[] {
  const whole = wall.unitLength + joint;
  const thin = (a = 0, b = 0): boolean => b - a - joint < THINNEST_PIECE;
  const out = [...bounds];
  if (out.length > 2 && thin(out[0], out[1])) {
    if ((out[2] ?? 0) - (out[0] ?? 0) <= whole + SAME_PLACE) out.splice(1, 1);
    else out[1] = (out[2] ?? 0) - 0.75 * whole;
  }
  const n = out.length - 1;
  if (n > 1 && thin(out[n - 1], out[n])) {
    if ((out[n] ?? 0) - (out[n - 2] ?? 0) <= whole + SAME_PLACE) out.splice(n - 1, 1);
    else out[n - 1] = (out[n - 2] ?? 0) + 0.75 * whole;
  }
  return out;
}
