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
 * Earth laid round the posts of a frame, mm. Room is left round a post; what is left of a unit thinner than an ear breaks off; saw cuts so far
 * apart let the waste be knocked out; a tie every so many courses; and the wall settles by such a part of its height. Common practice.
 */
export const FRAME = { room: 10, ear: 75, relief: 25, tieEvery: 3, tieIn: 300, settles: 0.01 } as const;
