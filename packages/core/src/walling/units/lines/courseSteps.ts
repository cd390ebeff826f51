import { HINT, SAME, stepsOf, type CourseToFill, type PriceOf, type SlotRules } from './slots.js';

/** What a course that is laid together with others may be laid of. Lengths mm. */

/** A course's places one after another, whether a perp stands there, and the steps between them. */
export interface CourseSteps {
  places: Float64Array;
  perp: Uint8Array;
  /** Place i's steps are those from `first[i]` to `first[i + 1]`: where they lead, what they cost, the sizes sawn for them. */
  first: Int32Array;
  to: Int32Array;
  cost: Float64Array;
  cuts: readonly (readonly number[])[];
}

/** Where a course stops: the edge after the joint at an opening's left jamb, the edge where its right jamb's unit begins. */
export interface Jambs {
  from: number;
  to: number;
}

const NONE: readonly number[] = [];

/** A course in one part or, where openings stop it, in several. */
export function partedSteps(r: SlotRules, parts: readonly CourseToFill[], priceOf: PriceOf): CourseSteps {
  const places: number[] = [];
  const perp: number[] = [];
  const first = [0];
  const [to, cost, cuts]: [number[], number[], (readonly number[])[]] = [[], [], []];
  for (const part of parts) {
    const before = places.length;
    if (before > 0) {
      // Across the opening.
      to.push(before);
      cost.push(0);
      cuts.push(NONE);
      first[before] = to.length;
    }
    const own = stepsOf(r, part, priceOf);
    const last = part.places.length - 1;
    part.places.forEach((x, k) => {
      places.push(x);
      perp.push(Number(k === 0 ? part.perpAtStart : k === last ? part.perpAtEnd : true));
      for (let s = own.first[k] as number; s < (own.first[k + 1] as number); s++) {
        const cut = own.cut[s] as number;
        to.push(before + (own.to[s] as number));
        cost.push(own.cost[s] as number);
        cuts.push(cut < 0 ? NONE : [cut]);
      }
      first.push(to.length);
    });
  }
  return {
    places: Float64Array.from(places),
    perp: Uint8Array.from(perp),
    first: Int32Array.from(first),
    to: Int32Array.from(to),
    cost: Float64Array.from(cost),
    cuts,
  };
}

/** Courses on one line, so many of a kind, each stopped by some openings. */
export interface Member {
  count: number;
  stops: readonly Jambs[];
}

/** What is left of a slot between openings, and whether it stands against a reveal. */
function leftOf(
  from: number,
  to: number,
  stops: readonly Jambs[],
): { slot: number; ends: boolean; reveal: boolean }[] {
  const list: { slot: number; ends: boolean; reveal: boolean }[] = [];
  let at = from;
  let reveal = stops.some((s) => Math.abs(s.to - from) < SAME);
  for (const s of stops) {
    if (s.to < at + SAME || s.from > to + SAME) continue;
    if (s.from > at + SAME) list.push({ slot: s.from - at, ends: true, reveal: true });
    at = Math.max(at, s.to);
    reveal = true;
  }
  if (to > at + SAME) list.push({ slot: to - at, ends: false, reveal });
  return list;
}

/** Courses on one line with every perp plumb, and where that is asked for every reveal sound: whole units and halves against it. */
export function plumbSteps(
  r: SlotRules,
  course: CourseToFill,
  members: readonly Member[],
  sound: boolean,
  priceOf: PriceOf,
): CourseSteps {
  const { places } = course;
  const last = places.length - 1;
  const first = new Int32Array(places.length + 1);
  const [to, cost, cuts]: [number[], number[], (readonly number[])[]] = [[], [], []];
  const laid = members.filter((m) => m.count > 0);
  places.forEach((from, i) => {
    for (let k = i + 1; k <= last; k++) {
      const slot = (places[k] as number) - from;
      if (slot > r.whole + r.most + SAME) break;
      const sizes = new Set<number>();
      let sum = 0;
      for (const { count, stops } of laid)
        for (const part of leftOf(from, places[k] as number, stops)) {
          const price = priceOf(part.slot, part.ends || (k === last && !course.perpAtEnd));
          const odd = price.cut >= 0 && Math.abs(price.cut - r.half) > 1;
          sum += sound && part.reveal && odd ? Infinity : count * price.cost + price.hint;
          if (price.cut >= 0) sizes.add(price.cut);
        }
      if (sum === Infinity) continue;
      if (sizes.size > 0) {
        if ((i === 0 && course.shyStart) || (k === last && course.shyEnd)) sum += HINT.shy;
        sum += (HINT.apart * Math.abs(from + slot / 2 - course.gather)) / r.whole;
      }
      to.push(k);
      cost.push(sum);
      cuts.push(sizes.size > 0 ? [...sizes] : NONE);
    }
    first[i + 1] = to.length;
  });
  return {
    places: Float64Array.from(places),
    perp: Uint8Array.from(places, (_, k) =>
      Number(k === 0 ? course.perpAtStart : k === last ? course.perpAtEnd : true),
    ),
    first,
    to: Int32Array.from(to),
    cost: Float64Array.from(cost),
    cuts,
  };
}

/** The course to go on in: the one that is furthest behind, the first of those; −1 where all are at their ends. */
export function behind(rows: readonly CourseSteps[], at: ArrayLike<number>): number {
  let which = -1;
  let least = Infinity;
  for (let k = 0; k < rows.length; k++) {
    const { places } = rows[k] as CourseSteps;
    const i = at[k] as number;
    const x = places[i] as number;
    if (i < places.length - 1 && x < least) {
      which = k;
      least = x;
    }
  }
  return which;
}
