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

/** What a wall of stone is, in a few words. */
export const wallingName = ({ kind, laid, stone }: SetStone): Said =>
  SAYS.walling({
    laid: kind === 'ashlar' || kind === 'dry' ? kind : (laid ?? 'random'),
    stone: stoneName(stone.id),
  });

/** How stone of its kind weathers: what a wall of it will look like, and what it does not bear. */
export const weathersAs = ({ stone }: SetStone): Said =>
  SAYS.weathers({
    stone: STONE_NAMES.includes(stone.id as Named) ? (stone.id as Named) : 'own',
    porous: stone.porous ? 'yes' : 'no',
  });
