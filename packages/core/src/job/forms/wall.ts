import type { Called } from '../edits/messages.js';
import { LIMITS } from '../limits.js';
import { lengthOf, list, object, oneOf, optional, required, type States } from '../../statement/statement.js';
import { along, id, lengthOfBase, text } from './basics.js';
import { build } from './build.js';
import { fit, gap, hole } from './stone.js';
import { footing, old, poured, square } from './ground.js';
import { repoint } from './mud.js';
import { lineItem } from './line.js';
import { fixedHeight, opening } from './openings.js';
import { ownRules } from './ownRules.js';
import {
  meets,
  movementJoint,
  onSite,
  pier,
  plate,
  post,
  rain,
  retains,
  step,
  top,
  vents,
} from './outline.js';
import { grout, held, steel } from './steel.js';

export const wall = object({
  id: required(id('wall')),
  name: required(text),
  line: required(list(lineItem, LIMITS.line, 1)),
  height: required(lengthOf('above-zero', { most: LIMITS.height, is: { up: 'height' } })),
  lengths: optional(oneOf('nominal', 'actual')),
  build: required(build),
  rules: optional(ownRules, 'figures this wall has otherwise than its job'),
  openings: optional(list(opening, LIMITS.openings), undefined, { called: 'opening' satisfies Called }),
  heights: optional(list(fixedHeight, LIMITS.heights), 'fixed heights', {
    called: 'fixed-height' satisfies Called,
  }),
  base: optional(lengthOfBase, 'the wall’s base above the job’s datum', { sites: true }),
  footing: optional(footing),
  poured: optional(poured, 'spot levels on the footing as it was poured', {
    called: 'footing-level' satisfies Called,
    sites: true,
  }),
  square: optional(square, undefined, { sites: true }),
  old: optional(old, 'the wall it meets or stands on', { sites: true }),
  meets: optional(meets),
  tops: optional(list(top, LIMITS.tops), 'tops that are not level', { called: 'top' satisfies Called }),
  steps: optional(list(step, LIMITS.tops), 'footing above the wall’s base', {
    called: 'footing-step' satisfies Called,
  }),
  vents: optional(list(vents, LIMITS.vents), 'air bricks and vents', {
    called: 'vents' satisfies Called,
  }),
  piers: optional(list(pier, LIMITS.piers), 'piers bonded in', { called: 'pier' satisfies Called }),
  joints: optional(list(movementJoint, LIMITS.joints), 'movement joints', {
    called: 'joint' satisfies Called,
  }),
  jointEvery: optional(along('pitch'), 'how far apart movement joints may stand, as the drawing says'),
  held: optional(held, 'how the wall is held'),
  bears: optional(oneOf('roof', 'none'), 'earth: the roof, or nothing between posts that do'),
  plate: optional(plate, 'what the roof sits on, all round its top'),
  rain: optional(rain, 'earth: what keeps water off it'),
  posts: optional(list(post, LIMITS.posts), 'posts of a frame it fills', {
    called: 'post' satisfies Called,
  }),
  gap: optional(gap, 'of a dry wall, a stretch to go up again', { called: 'gap' satisfies Called }),
  holes: optional(list(hole, LIMITS.openings), 'of an old wall, filled again', {
    called: 'hole' satisfies Called,
  }),
  fit: optional(fit, 'measured stones laid into it', { called: 'fit' satisfies Called }),
  retains: optional(retains, 'ground it holds back'),
  repoint: optional(repoint, 'joints of its face pointed again'),
  place: optional(onSite, 'where its line begins on the site', { sites: true }),
  steel: optional(steel),
  grout: optional(grout),
});
export type Wall = States<typeof wall>;
