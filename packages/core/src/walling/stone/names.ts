import type { Said } from '../../messages/message.js';
import type { SetStone } from '../../stages/set-out/stone.js';
import { STONE_NAMES, STONES_SAY as SAYS } from './messages.js';

type Named = (typeof STONE_NAMES)[number];

/** What a stone is called: of the library in words, a job’s own by its name. */
export const stoneName = (id: string): Said =>
  SAYS.stone({
    stone: STONE_NAMES.includes(id as Named) ? (id as Named) : 'own',
    name: id,
  });

type Way = 'ashlar' | 'dry' | NonNullable<SetStone['laid']>;
const wayOf = ({ kind, laid }: SetStone): Way =>
  kind === 'ashlar' || kind === 'dry' ? kind : (laid ?? 'random');

/** What a wall of stone is, in a few words. */
export const wallingName = (stone: SetStone): Said =>
  SAYS.walling({ laid: wayOf(stone), stone: stoneName(stone.stone.id) });

/** What its face is judged by while it goes up. */
export const laidSo = (stone: SetStone): Said => SAYS['laid-so']({ laid: wayOf(stone) });

/** How stone of its kind weathers: what a wall of it will look like, and what it does not bear. */
export const weathersAs = ({ stone }: SetStone): Said =>
  SAYS.weathers({
    stone: STONE_NAMES.includes(stone.id as Named) ? (stone.id as Named) : 'own',
    porous: stone.porous ? 'yes' : 'no',
  });
