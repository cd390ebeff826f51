import { BAR_SIZES } from '../tables/bars.js';
import { LIMITS } from './limits.js';
import { optional, required, type Shape } from './shape.js';
import type { BondId } from './types.js';

const BOND_IDS: readonly BondId[] = [
  'half',
  'third',
  'quarter',
  'stack',
  'english',
  'english-garden',
  'flemish',
  'flemish-garden',
];

const text: Shape = { kind: 'text' };
const id: Shape = { kind: 'id' };
const length: Shape = { kind: 'length', least: 'above-zero' };
/** A height that may lie below what it is measured from. */
const level: Shape = { kind: 'length', least: 'any' };
const place: Shape = { kind: 'length', least: 'zero' };
const joint: Shape = { kind: 'length', least: 'above-zero', most: LIMITS.joint };
const bar: Shape = { kind: 'oneOf', values: BAR_SIZES };
const count = (most: number): Shape => ({ kind: 'number', least: 1, most, whole: true });

const keep: Shape = { kind: 'oneOf', values: ['must', 'wish'] };
const samples: Shape = { kind: 'list', of: length, least: 1, most: 500 };

const size: Shape = {
  kind: 'object',
  keys: { length: required(length), height: required(length), width: required(length) },
};

const ownUnit: Shape = {
  kind: 'object',
  keys: {
    id: required(id),
    name: optional(text),
    family: optional({ kind: 'oneOf', values: ['block', 'brick', 'adobe'] }),
    nominal: optional(size, 'co-ordinating size, joint included'),
    actual: required(size, 'the unit as it measures'),
    cells: optional({ kind: 'number', least: 0, most: 8, whole: true }),
    shell: optional(length, 'face shell thickness'),
    web: optional(length, 'web thickness'),
    weight: optional({ kind: 'number', least: 0.01, most: 1000 }, 'kg'),
    halfHigh: optional(length, 'height of the half-high unit that goes with it'),
  },
};

const lineItem: Shape = {
  kind: 'byKey',
  cases: {
    run: {
      kind: 'object',
      keys: {
        run: required({ kind: 'length', least: 'above-zero', most: LIMITS.run }, 'length of the run'),
        id: optional(id),
        name: optional(text),
      },
    },
    turn: {
      kind: 'object',
      keys: { turn: required({ kind: 'number', least: -180, most: 180 }, 'degrees, left positive') },
    },
    arc: {
      kind: 'object',
      keys: {
        arc: required({ kind: 'length', least: 'above-zero', most: LIMITS.run }, 'radius'),
        sweep: required({ kind: 'number', least: -360, most: 360 }, 'degrees, left positive'),
        id: optional(id),
        name: optional(text),
      },
    },
  },
};

const opening: Shape = {
  kind: 'object',
  keys: {
    id: required(id),
    name: optional(text),
    run: required({ kind: 'number', least: 0, most: 999, whole: true }, 'which run, from 0'),
    at: required(place, 'along the run'),
    width: required(length),
    sill: required(place, 'above the wall’s base; 0 for a door'),
    head: required(length, 'top of the last course below the lintel'),
    keep: optional(keep, 'must stand there, or may move to suit'),
    tolerance: optional(place, 'how far its sill and head may stand off'),
  },
};

const fixedHeight: Shape = {
  kind: 'object',
  keys: {
    id: required(id),
    name: optional(text),
    at: required(length, 'above the wall’s base'),
    keep: optional(keep, 'must land, or should'),
    tolerance: optional(place, 'how far off a course may land'),
  },
};

const build: Shape = {
  kind: 'object',
  keys: {
    kind: required({ kind: 'const', value: 'units' }),
    unit: required(id),
    bond: required({ kind: 'oneOf', values: BOND_IDS }),
    wythes: optional({ kind: 'oneOf', values: [1, 2] }, 'leaves in the wall’s thickness'),
    closers: optional(
      { kind: 'oneOf', values: [true, false] },
      'a closer beside returns that are not half a unit',
    ),
    start: optional({ kind: 'oneOf', values: ['whole', 'half'] }, 'first unit of course 1 in run 0'),
    corners: optional({ kind: 'oneOf', values: ['in-turn', 'in-pairs'] }, 'which run takes each corner'),
    bed: optional(joint),
    head: optional(joint),
    gauge: optional({
      kind: 'object',
      keys: {
        courses: optional(count(10_000), 'whole courses, chosen'),
        lowest: optional(count(10_000), 'beds that take the difference'),
        sawn: optional(count(10_000), 'the course sawn to what is left'),
        halfHigh: optional(count(10_000), 'the course of half-high units'),
        meet: optional({ kind: 'const', value: true }, 'a gauge for each stretch between fixed heights'),
        allow: optional(
          { kind: 'list', of: { kind: 'oneOf', values: ['half-high', 'sawn'] }, most: 2 },
          'what meet may use besides whole courses',
        ),
      },
    }),
    face: optional({
      kind: 'object',
      keys: {
        finish: optional({ kind: 'oneOf', values: ['fair', 'rendered'] }),
        hiddenTo: optional(place, 'height that ground or a skirting hides'),
      },
    }),
    samples: optional(
      {
        kind: 'object',
        keys: { length: optional(samples), height: optional(samples), width: optional(samples) },
      },
      'real units, measured',
    ),
  },
};

const footing: Shape = {
  kind: 'object',
  keys: {
    width: required(length),
    depth: required(length),
    past: optional(place, 'how far it goes on past a free end'),
    trench: optional(length, 'from the ground to the bottom of the trench'),
    from: optional({ kind: 'oneOf', values: ['bags', 'ready-mix'] }, 'how the concrete comes'),
  },
};

const poured: Shape = {
  kind: 'list',
  most: 2000,
  of: {
    kind: 'object',
    keys: {
      run: required({ kind: 'number', least: 0, most: 999, whole: true }),
      at: required(place),
      level: required(level, 'above or below the wall’s base'),
      simulated: optional({ kind: 'const', value: true }, 'shot with the simulated level, for practice'),
    },
  },
};

const square: Shape = {
  kind: 'object',
  keys: {
    sides: required({ kind: 'list', of: length, least: 4, most: 4 }, 'AB, BC, CD, DA as taped'),
    diagonals: required({ kind: 'list', of: length, least: 1, most: 2 }, 'AC, and BD to prove it'),
  },
};

const old: Shape = {
  kind: 'object',
  keys: {
    height: optional(length, 'over several of the old courses'),
    courses: optional(count(1000), 'how many'),
    gap: optional(level, 'between a plumb level and the old face; leaning outward positive'),
    over: optional(length, 'the length of the level'),
    wallHeight: optional(length, 'height of the old wall'),
    fade: optional(count(1000), 'courses that bring the face back to plumb'),
  },
};

const assumed: Shape = {
  kind: 'list',
  most: 200,
  of: {
    kind: 'object',
    keys: {
      id: required(id),
      says: required(text, 'what was taken, and for what'),
      confirmed: optional(text, 'by whom'),
    },
  },
};

const site: Shape = {
  kind: 'object',
  keys: {
    datum: optional(text, 'what every level is measured from'),
    clearance: optional(place, 'plinth above the highest ground'),
    cover: optional(place, 'ground above the footing’s top, at least'),
    slab: optional(level, 'underside of a slab that passes over the footing'),
    instrument: optional(level, 'height of the instrument above the datum'),
    layers: optional({
      kind: 'object',
      keys: {
        stated: optional(length, 'the total somebody gave'),
        list: required({
          kind: 'list',
          most: 50,
          of: { kind: 'object', keys: { name: required(text), thickness: required(length) } },
        }),
      },
    }),
    points: optional({
      kind: 'list',
      most: 500,
      of: {
        kind: 'object',
        keys: {
          id: required(id),
          name: required(text),
          is: required({ kind: 'oneOf', values: ['ground', 'support', 'mark'] }),
          level: required(level, 'above the datum'),
          reading: optional(level, 'what the staff read on it'),
        },
      },
    }),
  },
};

const steel: Shape = {
  kind: 'object',
  keys: {
    vertical: optional({
      kind: 'object',
      keys: { bar: required(bar), every: required(length), place: optional(text) },
    }),
    beams: optional({
      kind: 'list',
      most: 1000,
      of: {
        kind: 'object',
        keys: {
          course: required({
            kind: 'either',
            says: 'a course number or "top"',
            shapes: [{ kind: 'const', value: 'top' }, count(10_000)],
          }),
          bar: required(bar),
          count: required(count(20)),
        },
      },
    }),
    footing: optional({ kind: 'object', keys: { bar: required(bar), count: required(count(20)) } }),
  },
};

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
      },
    }),
    steel: optional(steel),
    grout: optional({
      kind: 'object',
      keys: {
        fill: required({
          kind: 'either',
          says: '"none", "steel", "all" or { "every": n cells }',
          shapes: [
            { kind: 'oneOf', values: ['none', 'steel', 'all'] },
            { kind: 'object', keys: { every: required(count(1000)) } },
          ],
        }),
      },
    }),
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
    walls: required({ kind: 'list', of: wall, most: 1000 }),
  },
};
