/** What the keys and buttons do to the paper that is up. */
export interface PaperHold {
  nearer: () => void;
  farther: () => void;
  fit: () => void;
  actual: () => void;
  pan: (x: number, y: number) => void;
  /** Brings a place of the drawing, mm, to the middle, near enough to be read. */
  show: (box: { x: number; y: number; w: number; h: number }) => void;
}

let held: PaperHold | null = null;
/** The paper that is up, for keys, buttons and what is found by name. */
export const paperHold = (): PaperHold | null => held;

export const takeHold = (hold: PaperHold): void => {
  held = hold;
};
export const letGo = (hold: PaperHold): void => {
  if (held === hold) held = null;
};
