import type { SaidLength } from '../tokens.js';
import type { Reader } from '../reader.js';
import type { Saying } from '../said.js';
import { SAYING } from '../messages.js';
import { Wants } from '../reader.js';

const BUILDING = 'building|room|shed|box|house|hut|garage|enclosure';

const article = (r: Reader): boolean => r.words('a|an|the');

/** A building by its two sides: four runs that close. */
export function building(r: Reader): Saying | null {
  return r.attempt(() => {
    article(r);
    const first = r.words(BUILDING);
    if (first) r.words('of');
    const long = r.length();
    if (!long) return null;
    r.words('long');
    if (!r.is('by')) return null;
    const wide = r.length();
    if (!wide) return null;
    r.words('wide');
    if (!first && !r.words(BUILDING)) return null;
    return { is: 'building', long, wide };
  });
}

/** How long a wall is, and how high: one by the other, or each for itself. */
export function size(r: Reader): Saying | null {
  return r.attempt(() => {
    article(r);
    if (r.words('wall|run')) r.words('of');
    const long = r.length();
    if (!long) return null;
    const saidLong = r.words('long');
    if (!r.is('by')) return null;
    const high = r.length();
    if (!high) {
      if (saidLong) throw new Wants(SAYING['wants-height'](), r.from);
      return null;
    }
    r.words('high|tall');
    r.words('wall');
    return { is: 'size', long, high };
  });
}

const HIGH = 'high|tall';

/** "24 feet long", "make it 8 feet high", "height 2.4 m", "13 courses high". */
export function oneSize(r: Reader): Saying | null {
  return r.attempt(() => {
    r.words('make');
    if (!r.words('it|wall') && !r.words('the', 'wall|run')) r.words('wall', 'is');
    if (r.words('length|long')) {
      const long = r.length();
      return long && { is: 'long', long };
    }
    if (r.words('height') || r.words(HIGH)) {
      const high = r.length();
      return high && { is: 'high', high };
    }
    const said: SaidLength | null = r.length();
    if (!said) return null;
    if (r.words('long')) return { is: 'long', long: said };
    if (r.words(HIGH)) return { is: 'high', high: said };
    return null;
  });
}

/** "then left 12 feet", "turn right 3 m": another run after a square corner. */
export function turn(r: Reader): Saying | null {
  return r.attempt(() => {
    r.words('turn|turning|corner|return');
    const way = r.words('left') ? 'left' : r.words('right') ? 'right' : null;
    if (!way) return null;
    r.words('for');
    const then = r.length();
    return then && { is: 'turn', way, then };
  });
}
