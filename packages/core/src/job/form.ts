import { assumed, footing, old, poured, site, square } from './forms/ground.js';
import { id, length, level, place, text } from './forms/basics.js';
import { build, ownUnit } from './forms/build.js';
import { lineItem } from './forms/line.js';
import { movementJoint, onSite, pier, retains, step, top, vents } from './forms/outline.js';
import { fixedHeight, opening } from './forms/openings.js';
import { grout, steel } from './forms/steel.js';
import { weights } from './forms/weights.js';
import { LIMITS } from './limits.js';
import { optional, required, type Shape } from './shape.js';

const wall: Shape = {
  kind: 'object',
  keys: {
    id: required(id),
    name: required(text),
    line: required({ kind: 'list', of: lineItem, least: 1, most: 2000 }),
    height: required({ kind: 'length', least: 'above-zero', most: LIMITS.height }),
    lengths: optional({ kind: 'oneOf', values: ['nominal', 'actual'] }),
    build: required(build),
    openings: optional({ kind: 'list', of: opening, most: 5000 }),
    heights: optional({ kind: 'list', of: fixedHeight, most: 1000 }, 'fixed heights'),
    base: optional(level, 'the wall’s base above the job’s datum'),
    footing: optional(footing),
    poured: optional(poured, 'spot levels on the footing as it was poured'),
    square: optional(square),
    old: optional(old, 'the wall it meets or stands on'),
    meets: optional({
      kind: 'object',
      keys: {
        wall: required(id),
        run: required({ kind: 'number', least: 0, most: 999, whole: true }),
        at: required(place),
        how: optional({ kind: 'oneOf', values: ['tied', 'bonded', 'toothed'] }, 'how its end is held'),
        on: optional({ kind: 'oneOf', values: ['odd', 'even'] }, 'courses in which it goes in'),
      },
    }),
    tops: optional({ kind: 'list', of: top, most: 1000 }, 'tops that are not level'),
    steps: optional({ kind: 'list', of: step, most: 1000 }, 'footing above the wall’s base'),
    vents: optional({ kind: 'list', of: vents, most: 1000 }, 'air bricks and vents'),
    piers: optional({ kind: 'list', of: pier, most: 1000 }, 'piers bonded in'),
    joints: optional({ kind: 'list', of: movementJoint, most: 1000 }, 'movement joints'),
    jointEvery: optional(length, 'how far apart movement joints may stand, as the drawing says'),
    held: optional(
      { kind: 'oneOf', values: ['soil', 'floors', 'free-standing', 'drawing'] },
      'how the wall is held',
    ),
    retains: optional(retains, 'ground it holds back'),
    place: optional(onSite, 'where its line begins on the site'),
    steel: optional(steel),
    grout: optional(grout),
  },
};

export const JOB_FORM: Shape = {
  kind: 'object',
  keys: {
    format: required({ kind: 'const', value: 'even-tally/job' }),
    version: required({ kind: 'const', value: 1 }),
    name: required(text),
    show: required({ kind: 'oneOf', values: ['ft-in', 'mm'] }),
    profile: required({ kind: 'oneOf', values: ['us', 'uk', 'earth'] }),
    units: optional({ kind: 'list', of: ownUnit, most: 500 }, 'the job’s own units'),
    site: optional(site, 'levels'),
    assumed: optional(assumed, 'what was taken because nobody could say'),
    weights: optional(weights, 'what a choice costs, where this job weighs it otherwise'),
    walls: required({ kind: 'list', of: wall, most: 1000 }),
  },
};
