import type { Mm } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { EndSpec } from '../lines/ends.js';
import type { BondRule, CourseClass, Pattern, RevealOf } from './bondRule.js';

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

/** The bricks of a wall's header bond. */
export const bricksOf = (wall: SetWall): Bricks => ({
  stretcher: wall.unitLength,
  header: wall.unitWidth,
  half: wall.half,
  threeQuarter: 0.75 * (wall.unitLength + wall.head) - wall.head,
  closer: closerLength(wall),
});

/** A bond of stretchers and headers as courses are laid by: at corners by who turns them, elsewhere by turns. */
export const header = (bond: HeaderBond): BondRule => ({
  reveals: (wall, courses) => revealsOf(bond, bricksOf(wall), wall.head, courses),
  courseClass: (course, corner, turn) => {
    const long = corner === 'free' ? turn : corner === 'own';
    return { long, headers: !long && bond.headersIn(course) };
  },
  begins: (wall, end, { long, headers }, any) => {
    if (end.reveal) return [{ lead: [...end.reveal.lead], cycle: [...end.reveal.cycle] }];
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

/** A course without ends: its bond from 0 on, and where its first whole cycle begins. */
interface Endless {
  cycle: number[];
  from: Mm;
  period: Mm;
}

function endless({ lead, cycle }: Pattern, joint: number): Endless {
  const long = (list: number[]): number => list.reduce((sum, p) => sum + p + joint, 0);
  return { cycle, from: long(lead), period: long(cycle) };
}

const atReveal = (lead: number[], cycle: number[]): EndSpec => ({
  kind: 'own',
  legs: null,
  reveal: { lead, cycle },
});

/** What a course has either side of a perp that would stand at `x`, the left edge of the piece after it. */
function besidePerp({ cycle, from, period }: Endless, x: number, joint: number): RevealOf {
  let at = (((x - from) % period) + period) % period;
  let i = 0;
  while (at > (cycle[i] ?? 0) + joint - 1) at -= (cycle[i++] ?? 0) + joint;
  const turned = (by: number): number[] => cycle.map((_, k) => cycle[(by + k) % cycle.length] ?? 0);
  const back = (by: number): number[] => turned(by).reverse();
  // A perp stands there: the course goes on from it both ways.
  if (at < 1) return { before: atReveal([], back(i)), after: atReveal([], turned(i)), astride: null };
  const unit = cycle[i] ?? 0;
  return {
    before: atReveal([at - joint], back(i)),
    after: atReveal([unit - at], turned(i + 1)),
    astride: unit,
  };
}

/** A part under a half is a closer, and stands inside a header: it changes places with the one beside it. */
const isSound = ({ reveal }: EndSpec, b: Bricks): boolean =>
  (reveal?.lead[0] ?? b.header) >= b.header || Math.abs((reveal?.cycle[0] ?? 0) - b.header) < 1;

/** Every way its courses may come to a reveal: a perp of the long course, or of one that is not all of headers, at the jamb. */
function revealsOf(
  bond: HeaderBond,
  b: Bricks,
  joint: number,
  courses: readonly CourseClass[],
): RevealOf[][] {
  const rows = courses.map(({ long, headers }) =>
    endless(long ? bond.long(b) : bond.short(b, headers), joint),
  );
  const ways = new Map<string, RevealOf[]>();
  rows.forEach((base, r) => {
    // Next to a course of headers stands a long one: its perp is at the jamb, or the header's would stand over its half.
    if (courses[r]?.headers || (!courses[r]?.long && courses.some((c) => c.headers))) return;
    let x = base.from;
    for (const piece of base.cycle) {
      const at = x;
      const way = rows.map((row) => besidePerp(row, at, joint));
      if (way.every((w) => isSound(w.before, b) && isSound(w.after, b))) ways.set(JSON.stringify(way), way);
      x += piece + joint;
    }
  });
  return [...ways.values()];
}
