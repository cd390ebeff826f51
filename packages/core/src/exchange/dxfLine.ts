import { FOOT, INCH } from '../measure/length.js';
import type { LineItem, Stated } from '../job/types.js';

/** A stroke of a drawing, in the drawing's own units: from one end to the other, bowed by `bulge` (tan of a quarter of its sweep, left positive). */
export interface Stroke {
  layer: string;
  from: { x: number; y: number };
  to: { x: number; y: number };
  bulge: number;
}

/** Something a drawing holds that is no line of a wall. */
export interface Unread {
  layer: string;
  what: string;
}

export interface DrawnLine {
  items: LineItem[];
  /** Strokes it is made of. */
  strokes: number;
  closed: boolean;
  /** Length along it, mm. */
  length: number;
}

/** What a layer of a drawing came to: lines, longest first, and what was left out with the reason. */
export interface TakenLines {
  lines: DrawnLine[];
  left: string[];
}

/** What one unit of a drawing measures, mm. */
export const DRAWING_UNITS = { mm: 1, cm: 10, m: 1000, in: INCH, ft: FOOT } as const;
export type DrawingUnit = keyof typeof DRAWING_UNITS;

const degrees = (radians: number): number => (radians * 180) / Math.PI;
const wrap = (d: number): number => ((((d + 180) % 360) + 360) % 360) - 180;
const tidy = (n: number): number => Math.round(n * 1000) / 1000;

/** Ends nearer than this are one point, mm: drawings are snapped, but not always well. */
const SAME_POINT = 2;

const near = (a: Stroke['from'], b: Stroke['from']): boolean =>
  Math.hypot(a.x - b.x, a.y - b.y) <= SAME_POINT;
const turned = (s: Stroke): Stroke => ({ ...s, from: s.to, to: s.from, bulge: -s.bulge });

/** Strokes end to end, from whichever end is free; a ring from wherever it was drawn. */
function chained(strokes: readonly Stroke[]): Stroke[][] {
  const left = [...strokes];
  const chains: Stroke[][] = [];
  while (left.length > 0) {
    const chain = [left.shift() as Stroke];
    for (let grew = true; grew;) {
      grew = false;
      const [head, tail] = [chain[0] as Stroke, chain.at(-1) as Stroke];
      for (let i = 0; i < left.length && !grew; i++) {
        const s = left[i] as Stroke;
        if (near(s.from, tail.to)) chain.push(s);
        else if (near(s.to, tail.to)) chain.push(turned(s));
        else if (near(s.to, head.from)) chain.unshift(s);
        else if (near(s.from, head.from)) chain.unshift(turned(s));
        else continue;
        left.splice(i, 1);
        grew = true;
      }
    }
    chains.push(chain);
  }
  return chains;
}

const chordOf = (s: Stroke): number => Math.hypot(s.to.x - s.from.x, s.to.y - s.from.y);
const sweepOf = (s: Stroke): number => degrees(4 * Math.atan(s.bulge));
const isStraight = (s: Stroke): boolean => Math.abs(s.bulge) < 1e-6;
/** Headings where a stroke sets off and where it arrives. */
const headings = (s: Stroke): [number, number] => {
  const chord = degrees(Math.atan2(s.to.y - s.from.y, s.to.x - s.from.x));
  return [chord - sweepOf(s) / 2, chord + sweepOf(s) / 2];
};
const radiusOf = (s: Stroke): number => chordOf(s) / (2 * Math.abs(Math.sin(2 * Math.atan(s.bulge) || 1)));
const lengthOf = (s: Stroke): number =>
  isStraight(s) ? chordOf(s) : (radiusOf(s) * Math.abs(sweepOf(s)) * Math.PI) / 180;

/** The area a closed chain goes round, left positive: a wall is walked with its outside on the right. */
const turnsLeft = (chain: readonly Stroke[]): boolean =>
  chain.reduce((sum, s) => sum + (s.from.x * s.to.y - s.to.x * s.from.y), 0) > 0;

function itemsOf(chain: readonly Stroke[], closed: boolean, write: (mm: number) => Stated): LineItem[] {
  const items: LineItem[] = [];
  let number = 0;
  chain.forEach((s, i) => {
    const before = chain[i - 1];
    const turn = before ? tidy(wrap(headings(s)[0] - headings(before)[1])) : 0;
    const last = items.at(-1);
    if (Math.abs(turn) > 0.01) items.push({ turn });
    if (isStraight(s)) {
      const straightOn = before && isStraight(before) && Math.abs(turn) <= 0.01 && last && 'run' in last;
      if (straightOn) {
        const sum = chain.slice(chainStart(chain, i), i + 1).reduce((total, x) => total + chordOf(x), 0);
        last.run = write(tidy(sum));
        return;
      }
      number++;
      items.push({ run: write(tidy(chordOf(s))), id: `run-${number}`, name: `Run ${number}` });
    } else {
      number++;
      items.push({
        arc: write(tidy(radiusOf(s))),
        sweep: tidy(sweepOf(s)),
        id: `run-${number}`,
        name: `Curve ${number}`,
      });
    }
  });
  const [first, last] = [chain[0], chain.at(-1)];
  if (closed && first && last) {
    const turn = tidy(wrap(headings(first)[0] - headings(last)[1]));
    if (Math.abs(turn) > 0.01) items.push({ turn });
  }
  return items;
}

/** Where the straight length that stroke `i` ends began. */
function chainStart(chain: readonly Stroke[], i: number): number {
  let k = i;
  while (k > 0) {
    const [a, b] = [chain[k - 1] as Stroke, chain[k] as Stroke];
    if (!isStraight(a) || Math.abs(wrap(headings(b)[0] - headings(a)[1])) > 0.01) break;
    k--;
  }
  return k;
}

/** A wall shorter than this on the drawing is a tick or a symbol, mm. */
const SHORTEST = 100;

/**
 * The lines of walls on one layer of a drawing: strokes joined end to end, closed lines walked with the outside on
 * the right, longest first. `unit` says what one unit of the drawing measures. What is left out says why.
 */
export function linesFrom(
  strokes: readonly Stroke[],
  unread: readonly Unread[],
  layer: string,
  unit: DrawingUnit,
  write: (mm: number) => Stated,
): TakenLines {
  const scale = DRAWING_UNITS[unit];
  const at = (p: Stroke['from']): Stroke['from'] => ({ x: p.x * scale, y: p.y * scale });
  const here = strokes
    .filter((s) => s.layer === layer)
    .map((s) => ({ ...s, from: at(s.from), to: at(s.to) }));
  const points = here.filter((s) => near(s.from, s.to));
  const chains = chained(here.filter((s) => !near(s.from, s.to)));
  const lines: DrawnLine[] = [];
  let short = 0;
  for (const chain of chains) {
    const closed = chain.length > 1 && near((chain[0] as Stroke).from, (chain.at(-1) as Stroke).to);
    const walked = closed && !turnsLeft(chain) ? chain.map(turned).reverse() : chain;
    const length = walked.reduce((sum, s) => sum + lengthOf(s), 0);
    if (length < SHORTEST) short += 1;
    else lines.push({ items: itemsOf(walked, closed, write), strokes: walked.length, closed, length });
  }
  const others = new Map<string, number>();
  for (const u of unread.filter((x) => x.layer === layer)) others.set(u.what, (others.get(u.what) ?? 0) + 1);
  const left = [
    ...[...others].map(([what, n]) => `${n} ${what}: not a line of a wall`),
    ...(points.length > 0 ? [`${points.length} with no length`] : []),
    ...(short > 0 ? [`${short} shorter than ${SHORTEST} mm in all`] : []),
    ...(strokes.length > here.length ? [`${strokes.length - here.length} strokes on other layers`] : []),
  ];
  return { lines: lines.sort((a, b) => b.length - a.length), left };
}
