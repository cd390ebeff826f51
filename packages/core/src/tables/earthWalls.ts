import type { Said } from '../messages/message.js';
import { FOOT, INCH, type Mm } from '../measure/length.js';
import { TABLE } from './messages.js';

/** What a wall of earth that bears a roof keeps to, where nobody has worked it out. */
export interface EarthRule {
  /** Thinner than this outside it bears nothing. */
  thin: Mm;
  /** Times its thickness: how high it stands between what holds it, and how long. */
  high: number;
  long: number | null;
  /** And how far apart what holds it may be. */
  apart: Mm | null;
  /** Long and high together: length to thickness and so many times height to thickness come to no more than this. */
  together: { times: number; most: number } | null;
  /** An opening stands in from an outside corner. */
  fromCorner: Mm | null;
  /** Openings are no more of a length than this part. */
  open: number | null;
  /** It is the code of the place: past it is a fault. Another country’s is something to look into. */
  own: boolean;
  source: Said;
}

/** IBC 2109: 10 times its thickness, held at 24 ft, 10 in outside; 14.7.4 NMAC: openings 28 in from a corner. From memory. */
const IBC: EarthRule = {
  thin: 10 * INCH,
  high: 10,
  long: null,
  apart: 24 * FOOT,
  together: null,
  fromCorner: 28 * INCH,
  open: null,
  own: true,
  source: TABLE['earth-ibc-nmac'](),
};

/** E.080 of 2017: 400 thick, 6 times as high and 10 times as long, L/e + 1¼ h/e no more than 17½; openings a third. From memory. */
const E080: EarthRule = {
  thin: 400,
  high: 6,
  long: 10,
  apart: null,
  together: { times: 1.25, most: 17.5 },
  fromCorner: null,
  open: 1 / 3,
  own: false,
  source: TABLE['earth-e080'](),
};

/** Whose rule a job goes by: where feet are laid out the United States', else Peru's, which is the nearest there is in metres. */
export const earthRule = (feet: boolean): EarthRule => (feet ? IBC : E080);

/**
 * Water off earth, mm: it begins so far over the ground at least, and is usually put at the second; eaves reach out so far at least, and are usually the
 * second (NZS 4299, E.080 and practice, from memory). A coat is so thick in all: common practice.
 */
export const RAIN = { base: [150, 200], eaves: [400, 600], coat: 20 } as const;

/**
 * Earth laid round the posts of a frame, mm. Room is left round a post; what is left of a unit thinner than an ear breaks off; saw cuts so far
 * apart let the waste be knocked out; a tie every so many courses; and the wall settles by such a part of its height. Common practice.
 */
export const FRAME = { room: 10, ear: 75, relief: 25, tieEvery: 3, tieIn: 300, settles: 0.01 } as const;

/**
 * Making bricks of earth. Adobe weighs 1700 kg/m³ dry and takes 1.30 of loose dry soil (1700 over 1300); pressed and stabilised 1850, its mix
 * wetted by 12 % of its mass. Five days flat, three weeks on edge; so many fillings of a mould a day; a hand between bricks, mm; a barrow of
 * soil at a time, m³. Common practice, from memory.
 */
export const EARTH_MAKING = {
  density: 1700,
  pressed: 1850,
  loose: 1.3,
  water: 0.12,
  loss: 0.1,
  fillings: 100,
  flat: 5,
  edge: 23,
  between: 80,
  batch: 0.08,
} as const;

/**
 * Soil for adobe: parts of clay, silt and sand at least and at most by mass, as a jar shows them by height; a roll breaks at least and at most so far
 * out, mm; a box has shrunk by no more. Common practice, from memory; E.080 asks for less clay and more sand.
 */
export const SOIL = {
  clay: [0.15, 0.3],
  silt: [0.1, 0.3],
  sand: [0.5, 0.7],
  roll: [50, 150],
  shrinks: 0.03,
} as const;

/** Slaking: water that quicklime takes up and hydrate that comes of it, by mass, and heat, MJ/kg of lime: stoichiometry. */
export const SLAKING = { water: 18.015 / 56.077, hydrate: 74.093 / 56.077, heat: 1.16 } as const;
