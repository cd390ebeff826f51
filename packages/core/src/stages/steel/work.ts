import type { BondWork } from '../bond/stage.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { SetOutWork } from '../set-out/stage.js';
import type { SteelWork } from './steel.js';

/** Bars: where each stands, how long, lapped and placed how. */
export interface Steeled {
  steel: SteelWork;
}

/** What bars are worked from. */
export type BeforeSteel = SetOutWork & GaugeWork & BondWork;
export type SteelStageWork = BeforeSteel & Steeled;
