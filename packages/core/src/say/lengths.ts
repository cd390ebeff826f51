import { parseLength } from '../measure/parse.js';
import { INCH, millimetres, toMillimetres, type Mm } from '../measure/length.js';
import { writeLength, type Show } from '../measure/format.js';
import type { Message } from '../messages/message.js';
import type { Stated } from '../job/types.js';
import { SAYING } from './messages.js';
import type { SaidLength } from './tokens.js';

/** What a length is of: a number nobody gave a unit is read by it. */
export type LengthOf = 'run' | 'height' | 'place' | 'size' | 'spacing' | 'joint' | 'amount';

/** A unit and a course of the wall with their joints, mm. */
export interface Modules {
  unit: Mm;
  course: Mm;
}

/** Feet up to here, inches past it: nobody makes a window 40 feet wide, or a door 4 inches. */
const MOST_FEET = 12;
/** Metres under this, millimetres from it on. */
const LEAST_MM = 30;

/**
 * Lengths of a sentence as the job file has them. A bare number: where feet and inches are said, the length and height
 * of a wall and a place along it are feet, the size of an opening feet up to 12 and inches past it, spacings, joints and
 * amounts inches. Where millimetres are, a number under 30 is metres, but for spacings, joints and amounts.
 */
export class Lengths {
  constructor(
    readonly show: Show,
    private readonly modules: Modules,
  ) {}

  /** As the file states it. */
  stated(said: SaidLength, of: LengthOf): Stated {
    if (said.unit !== 'bare') return said.text;
    const small = of === 'spacing' || of === 'joint' || of === 'amount';
    if (this.show === 'mm') return !small && said.n < LEAST_MM ? `${said.n} m` : said.n;
    const feet = !small && (of !== 'size' || said.n <= MOST_FEET);
    return feet ? `${said.n}'` : `${said.n}"`;
  }

  mm(said: SaidLength, of: LengthOf): Mm {
    if (said.unit === 'units') return said.n * this.modules.unit;
    if (said.unit === 'courses') return said.n * this.modules.course;
    const stated = this.stated(said, of);
    if (typeof stated === 'number') return stated;
    const read = parseLength(stated);
    if (!read.ok) throw new TypeError(`a length that was read is none: ${stated}`);
    return toMillimetres(read.length);
  }

  /** As it is read back, its unit with it. */
  said(said: SaidLength, of: LengthOf): Message {
    if (said.unit === 'units' || said.unit === 'courses') return SAYING.counted({ n: said.n, of: said.unit });
    return this.back(this.mm(said, of));
  }

  back = (mm: Mm): Message => SAYING.measure({ length: mm });

  /** A length that was worked out, as the file states it: to the sixteenth, or to the millimetre, where it is one. */
  written(mm: Mm): Stated {
    const step = this.show === 'mm' ? 1 : INCH / 16;
    const whole = Math.round(mm / step) * step;
    return writeLength(millimetres(Math.abs(whole - mm) < 1e-6 ? whole : mm), this.show);
  }
}
