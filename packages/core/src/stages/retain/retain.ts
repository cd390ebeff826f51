import { SAYS } from './messages.js';
import type { Said } from '../../messages/message.js';
import { FOOT, type Mm } from '../../measure/length.js';
import { thicknessActing, type SetWall } from '../set-out/wall.js';

/** How high a wall may hold ground before its engineer decides, mm, and how that height is measured. */
interface RetainLimit {
  most: number;
  /** Measured from the underside of the footing to the top, or the ground held alone. */
  from: 'footing' | 'ground';
  source: string;
}

export const retainLimit = (profile: SetWall['profile']['id']): RetainLimit =>
  profile === 'uk'
    ? {
        most: 600,
        from: 'ground',
        source: 'warranty standard, from memory',
      }
    : {
        most: 4 * FOOT,
        from: 'footing',
        source: 'US building codes’ permit limit, from memory',
      };

/** Wall thinner than this in one leaf, with no bars in it, is a single skin, mm: common practice. */
const SINGLE_SKIN = 150;

/** Unit weights and pressure taken for the check that only ever stops, kN/m³: Rankine at φ 30°, level dry ground. */
const SOIL = 18;
const ACTIVE = 1 / 3;
const MASONRY = 20;

/**
 * How high level dry ground may stand behind an unreinforced wall before its weight and the push leave the middle
 * third of its base, mm: overturning Ka γ H³ / 6 against masonry × thickness² × H / 6. Statics; never an approval.
 */
export const middleThirdHeight = (thickness: Mm): Mm =>
  1000 * Math.sqrt((MASONRY * (thickness / 1000) ** 2) / (ACTIVE * SOIL));

/** Why an engineer decides about this wall; empty where the profile leaves it to the mason. */
export function engineerReasons(wall: SetWall): Said[] {
  const held = wall.retains;
  if (!held) return [];
  const limit = retainLimit(wall.profile.id);
  const high = limit.from === 'ground' ? held.height : wall.height + (wall.footing?.depth ?? 0);
  const thick = thicknessActing(wall);
  const barred = wall.steel?.vertical !== undefined && wall.steel?.vertical !== null;
  return [
    ...(high > limit.most + 0.5
      ? [SAYS['over-limit']({ high, limit: SAYS[`limit-${limit.from}`]({ most: limit.most }) })]
      : []),
    ...held.more,
    ...(!barred && thick < SINGLE_SKIN ? [SAYS['single-skin']({ thick })] : []),
    ...(!barred && held.height > middleThirdHeight(thick)
      ? [SAYS['middle-third']({ thick, ground: middleThirdHeight(thick) })]
      : []),
  ];
}

export interface RetainAmounts {
  /** Drainage stone m³, pipe m, fabric m², face to waterproof m², weeps. */
  stone: number;
  pipe: number;
  fabric: number;
  waterproofing: number;
  weeps: number;
  /** How far the top stands back from the foot, mm. */
  lean: number;
}

/** What goes behind a wall that holds ground, over its whole length. */
export function retainAmounts(wall: SetWall, courses: number): RetainAmounts | null {
  const held = wall.retains;
  if (!held) return null;
  const length = wall.runs.reduce((sum, r) => sum + r.length, 0);
  const perRun = wall.runs.map((r) => Math.max(1, Math.floor(r.length / held.weepsEvery)));
  return {
    stone: (length * held.height * held.stone) / 1e9,
    pipe: length / 1000,
    // Up the back of the stone, over its top and a turn under it.
    fabric: (length * (held.height + 2 * held.stone)) / 1e6,
    waterproofing: (length * held.height) / 1e6,
    weeps: perRun.reduce((a, b) => a + b, 0),
    lean: held.stepBack * Math.max(0, courses - 1),
  };
}
