import type { Mm } from '../../measure/length.js';
import type { Show } from '../../measure/format.js';
import type { Scene } from '../../scene/scene.js';
import type { SceneShape } from '../../shapes/shape.js';

/** A scene set down on paper: where its own nothing lies, mm from the page's left and top, and how large it is drawn. */
export interface Placed {
  /** What it says is in words by now: a page is one language’s. */
  scene: Scene<string>;
  /** Millimetres of paper to one of the scene. */
  scale: number;
  x: Mm;
  y: Mm;
}

/** A page as whoever draws it gets it: nothing is left to be decided but the inks. */
export interface Page {
  w: Mm;
  h: Mm;
  parts: Placed[];
  /** What it is called in a set. */
  sheet?: string;
}

export interface Paper {
  w: Mm;
  h: Mm;
  margin: Mm;
}

/** Room a printer cannot reach, and a thumb to hold the sheet by, mm. */
const MARGIN = 14;

/** Papers that are printed on, mm: ISO 216, and ANSI/ASME Y14.1 A and B. */
export const PAPER_SIZES = {
  a4: [210, 297],
  a3: [297, 420],
  letter: [215.9, 279.4],
  tabloid: [279.4, 431.8],
} as const satisfies Record<string, readonly [Mm, Mm]>;
export type PaperSize = keyof typeof PAPER_SIZES;

/** Letter goes with feet and inches, A4 with millimetres, where none is asked for; `across` lies on its side. */
export function paperFor(show: Show, across = false, size: PaperSize | null = null): Paper {
  const [short, long] = PAPER_SIZES[size ?? (show === 'mm' ? 'a4' : 'letter')];
  return across ? { w: long, h: short, margin: MARGIN } : { w: short, h: long, margin: MARGIN };
}

/** Shapes that lie on the page itself: mm from its left, and upward from its top, so that downward is negative. */
export const onPage = (shapes: SceneShape<string>[]): Placed => ({
  scene: { box: { x: 0, y: 0, w: 0, h: 0 }, pieces: null, shapes },
  scale: 1,
  x: 0,
  y: 0,
});
