import { SAME_PLACE } from '../measure/length.js';
import type { SetWall } from '../setout/wall.js';
import type { Pattern } from './endPatterns.js';
import { THINNEST_PIECE, type Span } from './lines.js';

/** Three odd pieces as parts of the length they take together: alike, or one of them shorter or longer. */
const PARTS = [
  [1 / 3, 1 / 3, 1 / 3],
  ...[0.28, 0.36].flatMap((odd) => {
    const two = (1 - odd) / 2;
    return [
      [odd, two, two],
      [two, odd, two],
      [two, two, odd],
    ];
  }),
];

/** So many units either way of the break are looked at. */
const REACH = 2;

/**
 * Left edges of a course of running bond that takes up what does not divide in three odd pieces side by side, about
 * `at`: where two bring a perp over another, three may not. None where the course is too short for it.
 */
export function thirdsEdges(wall: SetWall, run: Span, start: Pattern, end: Pattern, at: number): number[][] {
  const whole = wall.unitLength + wall.head;
  const slots = (lead: readonly number[]): number[] => lead.map((piece) => piece + wall.head);
  const [lead, tail] = [slots(start.lead), slots(end.lead).reverse()];
  const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
  const first = run.from + sum(lead);
  const room = run.to + wall.head - first - sum(tail);
  const wholes = Math.floor(room / whole + SAME_PLACE) - 2;
  const middle = Math.round((at - first) / whole);
  const found: number[][] = [];
  for (let before = Math.max(0, middle - REACH); before <= Math.min(wholes, middle + REACH); before++) {
    for (const parts of PARTS) {
      const odd = parts.map((part) => part * (room - wholes * whole));
      if (odd.some((s) => s - wall.head < THINNEST_PIECE || s > whole + SAME_PLACE)) continue;
      const units = (n: number): number[] => Array<number>(n).fill(whole);
      const course = [...lead, ...units(before), ...odd, ...units(wholes - before), ...tail];
      let x = run.from;
      found.push([x, ...course.map((s) => (x += s))]);
    }
  }
  return found;
}
