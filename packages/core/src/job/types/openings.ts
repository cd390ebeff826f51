import type { Stated } from './line.js';

export interface Opening {
  id: string;
  name?: string;
  /** Which run of the line, counted from 0 over runs only. */
  run: number;
  at: Stated;
  width: Stated;
  sill: Stated;
  head: Stated;
  /** `wish`: the frame is not bought, so it may move to suit. Left out: it must stand where it is stated. */
  keep?: Keep;
  /** How far its sill and head may stand off and still be taken. Left out: none. */
  tolerance?: Stated;
  /** What carries its face: bricks on end with equal joints. Left out: the courses go on over it. */
  over?: 'soldiers';
  /** The bond is to read the same both ways from its middle. */
  symmetric?: true;
}

export type Keep = 'must' | 'wish';

/** A height some course must, or should, land on: a bearing, a floor, a plate, a dpc, an old course line. */
export interface FixedHeight {
  id: string;
  name?: string;
  at: Stated;
  keep?: Keep;
  tolerance?: Stated;
}
