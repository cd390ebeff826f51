import type { Mm } from '../measure/length.js';
import type { KeptLay } from '../walling/stone/fitter/kept.js';
import type { FitAsk, Lay } from '../walling/stone/fitter/pile.js';

/** A stone as it is shown: its number, and its place in the order it is laid in. */
export interface FitStone {
  number: string;
  place: number;
  stone: string;
  x: Mm;
  y: Mm;
  w: Mm;
  h: Mm;
  longIn: boolean;
  dressed: boolean;
}

/** A lay as it is shown, and what is to be said for it. */
export interface LayView {
  length: Mm;
  height: Mm;
  /** Openings it goes round. */
  around: { x: Mm; y: Mm; w: Mm; h: Mm }[];
  stones: FitStone[];
  courses: number;
  uncrossed: number;
  slivers: number;
  traced: number;
  /** m². */
  dressed: number;
  open: number;
  over: string[];
}

export function layView(ask: FitAsk, lay: Lay): LayView {
  let place = 0;
  return {
    length: ask.length,
    height: ask.height,
    around: (ask.around ?? []).map((o) => ({
      x: o.from,
      y: o.bottom,
      w: o.to - o.from,
      h: Math.min(o.top, ask.height) - o.bottom,
    })),
    stones: lay.courses.flatMap((c, k) =>
      c.stones.map((s, i) => ({
        number: `${k + 1}.${i + 1}`,
        place: place++,
        stone: s.stone,
        x: s.at,
        y: c.bottom,
        w: s.length,
        h: s.height,
        longIn: s.longIn,
        dressed: s.offEnd > 0 || s.offTop > 0,
      })),
    ),
    courses: lay.courses.length,
    uncrossed: lay.uncrossed,
    slivers: lay.slivers,
    traced: lay.traced,
    dressed: lay.dressed / 1e6,
    open: lay.open / 1e6,
    over: lay.unused,
  };
}

/** The lay a wall keeps, and what is laid without looking ahead, for whoever compares. */
export interface FitView {
  lay: LayView;
  greedy: LayView;
  pins: readonly number[];
}

export const fitView = (kept: KeptLay | null): FitView | null =>
  kept && { lay: layView(kept.ask, kept.lay), greedy: layView(kept.ask, kept.greedy), pins: kept.pins };
