import { bond } from '../stages/bond/stage.js';
import { cavity } from '../stages/cavity/stage.js';
import { earth } from '../stages/earth/stage.js';
import { frame } from '../stages/frame/stage.js';
import { gauge } from '../stages/gauge/stage.js';
import { ground } from '../stages/ground/stage.js';
import { grout } from '../stages/grout/stage.js';
import { lintels } from '../stages/lintels/stage.js';
import { movement } from '../stages/movement/stage.js';
import { mending } from '../stages/mending/stage.js';
import { mud } from '../stages/mud/stage.js';
import { pairing } from '../stages/pairing/stage.js';
import { retain } from '../stages/retain/stage.js';
import { setOut } from '../stages/set-out/stage.js';
import type { AnyStage, Stage } from '../stages/stage.js';
import { stone } from '../stages/stone/stage.js';
import { standing } from '../stages/standing/stage.js';
import { steel } from '../stages/steel/stage.js';
import { tally } from '../stages/tally/stage.js';

/** The stages a wall is judged by: worked again for every edit that is tried. In the order of the work. */
const JUDGED = [
  setOut,
  gauge,
  bond,
  stone,
  mending,
  lintels,
  ground,
  standing,
  earth,
  frame,
  movement,
  pairing,
  cavity,
  steel,
  grout,
  retain,
] as const;

/** Those that only count what the others came to: worked when somebody asks for them, never under a moving finger. */
const COUNTED = [tally, mud] as const;

/** Every stage there is, in the order of the work: the one list. */
export const STAGES = [...JUDGED, ...COUNTED] as const;
export const JUDGED_STAGES: readonly AnyStage[] = JUDGED;

export type StageId = (typeof STAGES)[number]['id'];
export type JudgedId = (typeof JUDGED)[number]['id'];

type OwnOf<S> = S extends Stage<infer _Id, infer _Needs, infer Own> ? Own : never;
type All<U> = (U extends unknown ? (u: U) => void : never) extends (all: infer I) => void ? I : never;

/** The work of stages, together. */
export type WorkOf<Id extends StageId> = All<OwnOf<Extract<(typeof STAGES)[number], { id: Id }>>>;

/** The stages named and all they need, in the order of the work. */
export function withNeeds(stages: readonly AnyStage[], ids: readonly string[]): AnyStage[] {
  const wanted = new Set(ids);
  for (const s of [...stages].reverse()) if (wanted.has(s.id)) for (const need of s.needs) wanted.add(need);
  return stages.filter((s) => wanted.has(s.id));
}
