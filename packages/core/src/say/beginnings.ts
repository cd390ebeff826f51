import { stated } from '../job/stated.js';
import type { JobDocument, Wall } from '../job/types.js';
import { writeLength, type Show } from '../measure/format.js';
import { millimetres, toMillimetres } from '../measure/length.js';
import { setOutWall } from '../stages/set-out/wall.js';
import { hear } from './hear.js';

/** What a job may be begun as. */
export const BEGINNINGS = ['garden', 'stone', 'retaining', 'building', 'gate', 'base', 'repair'] as const;
export type Beginning = (typeof BEGINNINGS)[number];

type Profile = JobDocument['profile'];

export interface BeginningAsk {
  what: Beginning;
  profile: Profile;
  show: Show;
  /** What the job and its wall are called, in whatever is spoken. */
  job: string;
  wall: string;
}

/** A job to begin with, and the line it was said in. */
export interface Begun {
  says: string;
  document: JobDocument;
}

/**
 * Each as it would be said, by rules and measure. Heights are counted in courses, so that each comes out whole; no wall stands
 * free higher than its rules let one without bars, and none holds back more ground than 2 ft or 600 mm. Sizes are common practice.
 */
const SAID: Record<Beginning, Record<Profile, Record<Show, string>>> = {
  garden: {
    us: {
      'ft-in': "16' by 6 courses of 8 inch block, free standing",
      mm: '4.8 m by 6 courses of 8 inch block, free standing',
    },
    uk: {
      'ft-in': "20' by 14 courses of one brick, free standing",
      mm: '6 m by 14 courses of one brick, free standing',
    },
    earth: {
      'ft-in': "16' by 5 courses of adobe, free standing",
      mm: '5 m by 5 courses of adobe, free standing',
    },
  },
  stone: {
    us: {
      'ft-in': "20' by 3'6\" of limestone rubble, free standing",
      mm: '6 m by 1.05 m of limestone rubble, free standing',
    },
    uk: {
      'ft-in': "20' by 4' of dry stone in sandstone, free standing",
      mm: '6 m by 1.2 m of dry stone in sandstone, free standing',
    },
    earth: {
      'ft-in': "20' by 3'6\" of limestone rubble, free standing",
      mm: '6 m by 1.05 m of limestone rubble, free standing',
    },
  },
  retaining: {
    us: {
      'ft-in': "16' by 6 courses of 8 inch block, retaining 2', number 4 at 32\", grouted solid",
      mm: '4.8 m by 6 courses of 8 inch block, retaining 600 mm, number 4 at 610 mm, grouted solid',
    },
    uk: {
      'ft-in': '20\' by 6 courses of 215 hollow block, retaining 23", T12 at 18", grouted solid',
      mm: '6 m by 6 courses of 215 hollow block, retaining 600, T12 at 450, grouted solid',
    },
    // Earth holds no ground back: the wall that does is of block, whatever stands on it.
    earth: {
      'ft-in': "16' by 5 courses of 8 inch block, retaining 2', number 4 at 25\", grouted solid",
      mm: '4.8 m by 5 courses of 8 inch block, retaining 600 mm, number 4 at 630 mm, grouted solid',
    },
  },
  building: {
    us: {
      'ft-in':
        "building 20' by 14', 12 courses high of 8 inch block, door 3'4\" at 4', window 4' x 3'4\" at 12', sill 3'4\", number 5 at 32\", held by floors",
      mm: 'building 6 m by 4.2 m, 12 courses high of 8 inch block, door 1 m at 1.2 m, window 1.2 m x 1 m at 3.6 m, sill 5 courses, number 5 at 813 mm, held by floors',
    },
    uk: {
      'ft-in':
        "building 16' by 13', 30 courses high brick and block cavity wall, door 3' at 3', window 4' x 4' at 9', sill 3', held by floors",
      mm: 'building 5 m by 4 m, 30 courses high brick and block cavity wall, door 910 at 900, window 1210 x 1200 at 2.7 m, sill 900, held by floors',
    },
    earth: {
      'ft-in':
        "building 24' by 16', 18 courses high of adobe, door 3'4\" at 4', window 3' x 3' at 14', sill 3', held by floors",
      mm: 'building 7.2 m by 4.8 m, 18 courses high of adobe, door 1 m at 1.2 m, window 900 x 900 at 4.2 m, sill 900, held by floors',
    },
  },
  gate: {
    us: {
      'ft-in': "24' by 6 courses of 8 inch block, gate 4' at 10', free standing",
      mm: '7315 mm by 6 courses of 8 inch block, gate 1219 at 3048, free standing',
    },
    uk: {
      'ft-in': "20' by 14 courses of one brick, gate 3'9\" at 7'6\", free standing",
      mm: '6 m by 14 courses of one brick, gate 1135 at 2240, free standing',
    },
    earth: {
      'ft-in': "24' by 5 courses of adobe, gate 4' at 10', free standing",
      mm: '7.2 m by 5 courses of adobe, gate 1.2 m at 3 m, free standing',
    },
  },
  base: {
    us: {
      'ft-in': "building 8' by 6', 3 courses high of 8 inch block",
      mm: 'building 2.4 m by 1.8 m, 3 courses high of 8 inch block',
    },
    uk: {
      'ft-in': "building 8' by 6', 3 courses high of 215 hollow block",
      mm: 'building 2.5 m by 2 m, 3 courses high of 215 hollow block',
    },
    earth: {
      'ft-in': "building 8' by 6', 5 courses high of adobe",
      mm: 'building 2.4 m by 1.8 m, 5 courses high of adobe',
    },
  },
  repair: {
    us: {
      'ft-in': "8' by 5 courses of 8 inch block, free standing",
      mm: '2.4 m by 5 courses of 8 inch block, free standing',
    },
    uk: {
      'ft-in': "8' by 14 courses of one brick, free standing",
      mm: '2.5 m by 14 courses of one brick, free standing',
    },
    earth: {
      'ft-in': "8' by 5 courses of adobe, free standing",
      mm: '2.5 m by 5 courses of adobe, free standing',
    },
  },
};

/** Courses of old work measured together, and by how much each of them is out of the new gauge, mm: something to see at Gauge. */
const OLD = { courses: 4, more: 3 };

/** A repair goes on from work that stands: its gauge is measured, and what is typed over is the mason's own. */
const besideOld = (pitch: number, show: Show): Wall['old'] => ({
  height: writeLength(millimetres(Math.round(OLD.courses * (pitch + OLD.more))), show),
  courses: OLD.courses,
});

/** A pier at either side of a gate, as wide as a unit is long: with a joint before it where lengths are nominal. */
function gatePiers({ openings = [] }: Wall, long: number, joint: number, show: Show): Wall['piers'] {
  const [gate] = openings;
  if (!gate) return [];
  const mm = (s: number | string): number => toMillimetres(stated(s));
  const [at, width] = [mm(gate.at), mm(gate.width)];
  const write = (n: number) => writeLength(millimetres(Math.round(n)), show);
  return [
    { id: 'P1', name: 'Pier', run: 0, at: write(at - long - joint), width: write(long) },
    { id: 'P2', name: 'Pier', run: 0, at: write(at + width), width: write(long) },
  ];
}

/** A job of its kind, by its rules and in its measure: a wall that makes sense there, to be changed from there. */
export function beginning({ what, profile, show, job, wall }: BeginningAsk): Begun {
  const says = SAID[what][profile][show];
  const heard = hear(says, { profile }).document;
  const [first] = heard?.walls ?? [];
  if (!heard || !first) throw new Error(`Wanted a wall that can be said, got "${says}".`);
  const own: Wall = { ...first, name: wall };
  const { unitHeight, bed, unitLength, head, nominal } = setOutWall(heard, 0);
  if (what === 'repair') own.old = besideOld(unitHeight + bed, show);
  if (what === 'gate') own.piers = gatePiers(own, unitLength, nominal ? head : 0, show);
  return { says, document: { ...heard, name: job, show, walls: [own] } };
}
