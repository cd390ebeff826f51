import type { Mm } from '../../measure/length.js';
import type { SetPost, SetWall } from '../set-out/wall.js';
import type { Leaf } from '../../walling/units/leaves/leaf.js';
import { FRAME } from '../../tables/earthWalls.js';

/** One unit that meets a post: what is cut out of it, and what is left of it round the cut. */
export interface Notch {
  post: string;
  run: number;
  course: number;
  /** The unit, along the run. */
  from: Mm;
  to: Mm;
  /** What is cut out, along the unit and in from the outside face. */
  cut: { from: Mm; to: Mm; in: Mm; deep: Mm };
  /** Left of it beside the cut at its two ends, and before and behind it; nought where the cut comes out there. */
  left: Mm;
  right: Mm;
  outer: Mm;
  inner: Mm;
  /** Saw cuts that let the waste be knocked out. */
  relief: number;
  /** Something is left of it so thin that it breaks off. */
  ear: boolean;
  /** Nothing of it is left: it is not laid. */
  gone: boolean;
}

/** How far in from the outside face a post stands: as stated, else in the middle of the wall. */
export const postIn = (wall: SetWall, post: SetPost): Mm => post.in ?? (wall.thickness - post.depth) / 2;

const thin = (n: Mm): boolean => n > 1 && n < FRAME.ear - 0.5;

/** What a post takes of a unit that stands from one place to another along its run, the room round the post with it. */
export function notchOf(
  wall: SetWall,
  post: SetPost,
  unit: { from: Mm; to: Mm },
): Omit<Notch, 'post' | 'run' | 'course' | 'from' | 'to'> | null {
  const from = Math.max(unit.from, post.at - post.width / 2 - FRAME.room);
  const to = Math.min(unit.to, post.at + post.width / 2 + FRAME.room);
  if (to - from < 1) return null;
  const near = postIn(wall, post) - FRAME.room;
  const a = Math.max(0, near);
  const b = Math.min(wall.thickness, near + post.depth + 2 * FRAME.room);
  if (b - a < 1) return null;
  const [left, right, outer, inner] = [from - unit.from, unit.to - to, a, wall.thickness - b];
  const gone = outer < 1 && inner < 1 && left < 1 && right < 1;
  // Behind and before the cut a wing is left only where the unit goes on past the post that way.
  return {
    cut: { from, to, in: a, deep: b - a },
    left: left < 1 ? 0 : left,
    right: right < 1 ? 0 : right,
    outer: outer < 1 ? 0 : outer,
    inner: inner < 1 ? 0 : inner,
    relief: gone ? 0 : Math.max(2, Math.ceil((to - from) / FRAME.relief - 1e-9) + 1),
    ear: !gone && [left, right, outer, inner].some(thin),
    gone,
  };
}

/** Every unit of the face that meets a post, course by course from the lowest. */
export function notchesOf({ wall, gauge, runs }: Pick<Leaf, 'wall' | 'gauge' | 'runs'>): Notch[] {
  return wall.posts.flatMap((post) => {
    const run = runs.find((r) => r.index === post.run);
    return gauge.courses.flatMap((c, i) =>
      (run?.rows[i]?.pieces ?? []).flatMap((p): Notch[] => {
        const found = notchOf(wall, post, p);
        return found
          ? [{ post: post.id, run: post.run, course: c.number, from: p.from, to: p.to, ...found }]
          : [];
      }),
    );
  });
}

/**
 * Room left round the posts in the units they meet, m³: it is filled with mud from behind as the courses come up. The joints beside are
 * mortar already.
 */
export function fillRound({ wall, gauge }: Pick<Leaf, 'wall' | 'gauge'>, notches: readonly Notch[]): number {
  const shared = (a: Mm, b: Mm, c: Mm, d: Mm): Mm => Math.max(0, Math.min(b, d) - Math.max(a, c));
  return notches.reduce((sum, n) => {
    const post = wall.posts.find((p) => p.id === n.post);
    if (!post) return sum;
    const inwards = postIn(wall, post);
    const taken =
      shared(n.from, n.to, post.at - post.width / 2, post.at + post.width / 2) *
      shared(0, wall.thickness, inwards, inwards + post.depth);
    const open = (n.cut.to - n.cut.from) * n.cut.deep - taken;
    return sum + (Math.max(0, open) * (gauge.courses[n.course - 1]?.unitHeight ?? 0)) / 1e9;
  }, 0);
}

/** Beds a wall is tied to its posts in: every so many courses, the lowest of them over the first. */
export const tiedIn = (courses: number): number[] =>
  Array.from({ length: Math.floor(courses / FRAME.tieEvery) }, (_, i) => (i + 1) * FRAME.tieEvery);
