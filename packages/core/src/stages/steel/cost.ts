import type { SetWall } from '../set-out/wall.js';
import { judgeStarters } from './starters.js';
import type { SteelWork } from './steel.js';

/** What a bond costs the steel in it: bars that cannot go up, and starters that come up under a web. */
export interface SteelCost {
  total: number;
  broken: number;
  blocked: number;
}

export function steelCost(wall: SetWall, steel: SteelWork): SteelCost {
  const broken = steel.verticals.reduce((sum, v) => sum + v.broken.length + v.gaps.length, 0);
  const blocked = judgeStarters(wall, steel).filter((s) => s.verdict !== 'clear').length;
  const { barBroken, starterBlocked } = wall.weights.bond;
  return { broken, blocked, total: broken * barBroken + blocked * starterBlocked };
}
