import { SAYING } from '../messages.js';
import { Wants, type Reader } from '../reader.js';
import type { Saying } from '../said.js';

const BARS = 'bar|bars|rebar|rebars|vertical|verticals|uprights|steel';
const COUNTS: readonly (readonly [string, number])[] = [
  ['one', 1],
  ['a', 1],
  ['two', 2],
  ['three', 3],
  ['four', 4],
];

/** A bar's size: number 5, #5, no. 5, T12, 12 mm bars. */
export function barSize(r: Reader): string | null {
  return r.attempt(() => {
    const metric = r.word(/^[thy](\d{1,2})$/)?.[1];
    if (metric !== undefined) return `T${metric}`;
    if (r.is('number-sign') || r.words('number|no|nr')) {
      r.is('stop');
      const n = r.count();
      return n === null ? null : `#${n}`;
    }
    const said = r.length();
    if (said?.unit === 'metric' && said.text.endsWith(' mm') && r.words(BARS)) return `T${said.n}`;
    return null;
  });
}

/** Uprights: which, and how far apart. */
export function bars(r: Reader): Saying | null {
  return r.attempt(() => {
    const led = r.words(BARS);
    const bar = barSize(r);
    if (bar === null) {
      if (led && r.words('at|every')) throw new Wants(SAYING['wants-bar'](), r.from);
      return null;
    }
    r.words(BARS);
    if (!r.words('at|every')) {
      if (r.done || r.next?.is === 'stop') throw new Wants(SAYING['wants-spacing'](), r.from);
      return null;
    }
    const every = r.length();
    if (!every) throw new Wants(SAYING['wants-spacing'](), r.from);
    r.words('on', 'center|centre|centers|centres');
    r.words('centers|centres|oc|apart|c-c');
    return { is: 'bars', bar, every };
  });
}

/** A bond beam: where, and what lies in it. */
export function beam(r: Reader): Saying | null {
  return r.attempt(() => {
    r.words('a|the');
    if (!r.words('bond', 'beam|beams') && !r.words('beam|beams')) return null;
    const course = whereBeam(r);
    if (course === null) return null;
    r.words('with|of');
    const counted = r.oneOf(COUNTS) ?? r.attempt(() => (r.next?.is === 'number-sign' ? null : r.count()));
    const bar = barSize(r);
    if (bar !== null) r.words(BARS);
    return { is: 'beam', course, bar, count: counted ?? 1 };
  });
}

function whereBeam(r: Reader): 'top' | 'over-openings' | number | null {
  if (r.words('over')) {
    r.words('the|all');
    return r.words('openings|doors|windows|heads') ? 'over-openings' : null;
  }
  r.words('at|in|on');
  r.words('the');
  if (r.words('top')) {
    r.words('course');
    return 'top';
  }
  return r.words('course') ? r.count() : null;
}

export function grout(r: Reader): Saying | null {
  return r.attempt(() => {
    if (r.words('ungrouted') || r.words('no', 'grout')) return { is: 'grout', fill: 'none' };
    if (
      r.words('grouted|grout|filled', 'solid') ||
      r.words('fully|solid', 'grouted') ||
      r.words('grout', 'all', 'cells') ||
      r.words('all', 'cells', 'grouted|filled')
    )
      return { is: 'grout', fill: 'all' };
    if (
      r.words('grout', 'the', 'steel|bars') ||
      r.words('grout', 'steel|bars', 'only') ||
      r.words('grout', 'with', 'steel|bars')
    )
      return { is: 'grout', fill: 'steel' };
    return null;
  });
}

export function noBars(r: Reader): Saying | null {
  return r.attempt(() =>
    r.words('no|without', 'bars|steel|rebar') || r.words('unreinforced') ? { is: 'no-bars' } : null,
  );
}

/** How the wall is held, the ground it holds, and how far its movement joints stand apart. */
export function held(r: Reader): Saying | null {
  return r.attempt(() => {
    if (r.words('free-standing|freestanding') || r.words('free', 'standing') || r.words('standing', 'free'))
      return { is: 'held', held: 'free-standing' };
    if (r.words('held') && r.is('by')) {
      r.words('the');
      if (r.words('floors|floor|roof')) {
        if (r.words('and')) r.words('roof|floor');
        return { is: 'held', held: 'floors' };
      }
      if (r.words('drawing|steel')) return { is: 'held', held: 'drawing' };
      return null;
    }
    if (r.words('retaining|retains') || r.words('holding|holds', 'back')) {
      const high = r.length();
      if (!high) return null;
      if (r.words('of')) r.words('soil|earth|ground|fill');
      return { is: 'retains', high };
    }
    r.words('movement|control|expansion');
    if (!r.words('joint|joints')) return null;
    if (!r.words('at|every')) return null;
    const every = r.length();
    if (every) r.words('apart|centres|centers');
    return every && { is: 'joints', every };
  });
}
