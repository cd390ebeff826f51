import { TABLE } from '../../tables/messages.js';
import type { Message, Said } from '../../messages/message.js';
import { INCH, type Mm } from '../../measure/length.js';
import type { Held } from '../../job/types.js';
import type { SetWall } from '../set-out/wall.js';
import { barOf } from '../../tables/bars.js';
import { coverFor, type Cover } from '../../tables/cover.js';
import { coresOf, insideWidth } from './cells.js';

/** Least clear between a bar and the unit, mm: fine grout ¼ in, coarse ½ in (TMS 602 Art. 3.4 B, from memory). */
export const CLEARANCE = { fine: 6.35, coarse: 12.7 } as const;

/** Where a bar stands across the wall, mm. */
export interface PlaceInCell {
  /** From the middle of the wall, outward positive. */
  off: number;
  /** Its centre from the outside face of the leaf it stands in. */
  from: Mm;
  /** From the bar's centre to the face that the load presses together. */
  depth: Mm;
  /** How far off it may stand, across and along the wall. */
  across: Mm;
  along: number;
  /** Between the bar and each face, and the least it may be. */
  cover: { outside: FaceCover; inside: FaceCover };
  says: Said;
  source: Said;
}

/** What lies between a bar and a face, as the profile counts it, and what must, mm. */
export interface FaceCover extends Cover {
  has: Mm;
  exposed: boolean;
}

/** Which faces of the leaf earth or weather reach. */
function exposedFaces(wall: SetWall, soil: 'outside' | 'inside'): { outside: boolean; inside: boolean } {
  const outside = wall.sheltered !== true;
  const inside = wall.held === 'free-standing' || (wall.retains !== null && soil === 'inside');
  return { outside, inside };
}

/** Cover at each face for a bar so far off the middle of the leaf, outward positive. */
function coverAt(wall: SetWall, size: string, off: Mm, soil: 'outside' | 'inside'): PlaceInCell['cover'] {
  const { diameter } = barOf(size);
  const exposed = exposedFaces(wall, soil);
  const face = (outward: 1 | -1, is: boolean): FaceCover => {
    const rule = coverFor(wall.profile.id, size, is, wall.steel?.exposure ?? null);
    const from = (rule.counts === 'masonry' ? wall.unitWidth : insideWidth(wall)) / 2;
    return { ...rule, exposed: is, has: from - outward * off - diameter / 2 };
  };
  return { outside: face(1, exposed.outside), inside: face(-1, exposed.inside) };
}

/** Tolerance across the wall by effective depth: ½ in to 8 in, 1 in to 24 in, 1¼ in over. */
const acrossTolerance = (depth: number): number =>
  (depth <= 8 * INCH ? 0.5 : depth <= 24 * INCH ? 1 : 1.25) * INCH;

const SOURCE = TABLE['place-source']();

/**
 * Where a vertical bar stands in its cell. How the wall is held decides, and that is asked: free at the top with soil
 * behind, the soil's side; held at bottom and top by floors, the side away from the soil; free-standing or not yet
 * said, the middle. A place on the drawing goes before all of them. `soil` is the side the ground lies on.
 */
export function placeInCell(
  wall: SetWall,
  size: string,
  soil: 'outside' | 'inside' = 'outside',
): PlaceInCell {
  const { diameter } = barOf(size);
  const clear = CLEARANCE[wall.grout?.aggregate ?? 'fine'];
  const reach = Math.max(0, insideWidth(wall) / 2 - clear - diameter / 2);
  const outward = soil === 'outside' ? 1 : -1;
  const from = wall.steel?.vertical?.from ?? null;
  const offs: Record<Held | 'unsaid', number> = {
    soil: outward * reach,
    floors: -outward * reach,
    'free-standing': 0,
    drawing: 0,
    unsaid: 0,
  };
  const asked = from === null ? offs[wall.held ?? 'unsaid'] : wall.unitWidth / 2 - from;
  // Cover binds what clearance alone would let nearer the face. What a drawing says is not moved: it is judged.
  const middle = coverAt(wall, size, 0, soil);
  const most = Math.max(0, middle.outside.has - middle.outside.least);
  const least = Math.min(0, middle.inside.least - middle.inside.has);
  const off = from === null ? Math.min(most, Math.max(least, asked)) : asked;
  // The soil presses its own side: with the bar on that side the far face is pressed together.
  const depth = wall.unitWidth / 2 + Math.abs(off);
  const words: Record<Held | 'unsaid', Message> = {
    soil: TABLE['place-soil'](),
    floors: TABLE['place-floors'](),
    'free-standing': TABLE['place-free'](),
    drawing: TABLE['place-drawing'](),
    unsaid: TABLE['place-unsaid'](),
  };
  return {
    off,
    from: wall.unitWidth / 2 - off,
    depth,
    across: acrossTolerance(depth),
    along: 2 * INCH,
    cover: coverAt(wall, size, off, soil),
    says: from === null ? words[wall.held ?? 'unsaid'] : TABLE['place-drawn'](),
    source: SOURCE,
  };
}

/** How far a bar's centre may stand from the middle of its cell and still be clear of the unit, mm. */
export function roomInCell(
  wall: SetWall,
  size: string,
  clearAlong: number,
): { along: number; across: number } {
  const need = CLEARANCE[wall.grout?.aggregate ?? 'fine'] + barOf(size).diameter / 2;
  const width = coresOf(wall.unit) ? insideWidth(wall) : 0;
  return { along: clearAlong / 2 - need, across: width / 2 - need };
}
