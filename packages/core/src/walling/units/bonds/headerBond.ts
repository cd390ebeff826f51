import type { Mm } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { BondRule, Pattern } from './bondRule.js';

/** The bricks a header bond is made of, by their length along the face, mm. */
export interface Bricks {
  stretcher: number;
  header: number;
  half: number;
  threeQuarter: number;
  /** Split lengthwise: half a header less a joint. It brings the bond back beside a quoin header. */
  closer: number;
}

/** A bond of stretchers and headers: what its courses begin with, and which are all of headers. */
export interface HeaderBond {
  /** Whether a course is all of headers where it does not turn the corner itself: counted from 0, the bond's period over. */
  headersIn: (course: number) => boolean;
  /** A course that begins with a stretcher: it turns the corner, or takes its turn at a free end. */
  long: (b: Bricks) => Pattern;
  /** A course that begins beside the end of another run's quoin, or at a free end with a header. */
  short: (b: Bricks, headers: boolean) => Pattern;
  /**
   * A course that begins at an inside corner against one that goes through it, `through` mm wide: there is no quoin header of its
   * own, so other pieces bring it half over the bricks of the course below.
   */
  against: (b: Bricks, headers: boolean, through: number) => Pattern;
}

/** The brick cut lengthwise that brings a header bond back beside its quoin header: half a header less a joint. */
export const closerLength = (wall: SetWall): Mm => (wall.unitWidth - wall.head) / 2;

const bricksOf = (wall: SetWall): Bricks => ({
  stretcher: wall.unitLength,
  header: wall.unitWidth,
  half: wall.half,
  threeQuarter: 0.75 * (wall.unitLength + wall.head) - wall.head,
  closer: closerLength(wall),
});

/** A bond of stretchers and headers as courses are laid by: at corners by who turns them, elsewhere by turns. */
export const header = (bond: HeaderBond): BondRule => ({
  courseClass: (course, corner, turn) => {
    const long = corner === 'free' ? turn : corner === 'own';
    return { long, headers: !long && bond.headersIn(course) };
  },
  begins: (wall, end, { long, headers }, any) => {
    const bricks = bricksOf(wall);
    const [whole, short] = [bond.long(bricks), bond.short(bricks, headers)];
    if (end.kind === 'own') return [whole];
    if (end.kind === 'return')
      return [end.shows === undefined ? short : bond.against(bricks, headers, end.shows)];
    // A course of headers stops on one; the rest may stop either way, so that a length of half units closes.
    const both = long ? [whole, short] : [short, whole];
    return any && !headers ? both : both.slice(0, 1);
  },
  fixed: null,
});
