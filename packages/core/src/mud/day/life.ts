import type { Day, Minutes } from './day.js';
import { SAME_TIME } from './demand.js';

/** Water goes in on a second: the last one before a shorter life begins, minutes. */
const A_SECOND = 1 / 60;

/** How long mud is good, by when its water went in. A list is read at the water: it does not slide between its lines. */
export class Life {
  private readonly lives: Day['lives'];
  /** A longer life than the one after it ends so soon before that begins. */
  readonly drops: Minutes[];
  /** Where a longer one begins. */
  readonly rises: Minutes[];

  constructor(lives: Day['lives']) {
    this.lives = lives;
    this.drops = lives
      .filter((l, i) => i > 0 && l.life < (lives[i - 1]?.life ?? 0))
      .map((l) => l.at - A_SECOND);
    this.rises = lives.filter((l, i) => i > 0 && l.life > (lives[i - 1]?.life ?? 0)).map((l) => l.at);
  }

  of(water: Minutes): Minutes {
    let life = this.lives[0]?.life ?? 0;
    for (const l of this.lives) if (l.at <= water + SAME_TIME) ({ life } = l);
    return life;
  }

  expires(water: Minutes): Minutes {
    return water + this.of(water);
  }

  /** The earliest water from `from` to `to` whose mud is good until `until`; null where none is. */
  earliest(from: Minutes, to: Minutes, until: Minutes): Minutes | null {
    if (to < from - SAME_TIME) return null;
    const [first] = this.lives;
    // Between two lines the life is the same: the earliest is where they say it is, or where the next line begins.
    let best: Minutes | null = null;
    this.lives.forEach(({ at, life }, i) => {
      const low = Math.max(from, i === 0 ? -Infinity : at, until - life);
      const high = Math.min(
        to,
        (this.lives[i + 1]?.at ?? Infinity) - (i + 1 < this.lives.length ? A_SECOND : 0),
      );
      if (low <= high + SAME_TIME && best === null) best = Math.min(low, high);
    });
    return first ? best : null;
  }

  /** The latest such. */
  latest(from: Minutes, to: Minutes, until: Minutes): Minutes | null {
    for (const water of [to, ...this.drops.filter((d) => d < to).reverse()]) {
      if (water < from - SAME_TIME) return null;
      if (this.expires(water) >= until - SAME_TIME) return water;
    }
    return null;
  }

  /** The water from `from` to `to` whose mud is good the longest into the day; of several the latest. */
  longest(from: Minutes, to: Minutes): Minutes {
    return [...this.drops.filter((d) => d < to && d > from - SAME_TIME), to].reduce((best, water) =>
      this.expires(water) >= this.expires(best) - SAME_TIME ? water : best,
    );
  }
}
