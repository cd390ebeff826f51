/**
 * How a course goes on from one of its ends, as piece lengths: `lead` once, then `cycle` over and over. The first of a lead may
 * be what another run shows there.
 */
export interface Pattern {
  lead: number[];
  cycle: number[];
}

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
