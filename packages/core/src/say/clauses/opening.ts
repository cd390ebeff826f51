import { SAYING } from '../messages.js';
import { Wants, type Reader } from '../reader.js';
import type { OpeningSaid, OpeningWord, PlaceSaid, Saying, Side } from '../said.js';
import type { SaidLength } from '../tokens.js';
import { NTH, OPENINGS_SAID } from '../vocabulary.js';

/** "the second window", "window W2", a name in quotes. */
export function opening(r: Reader): OpeningSaid | null {
  return r.attempt(() => {
    r.words('the|a|an');
    const nth = r.oneOf(NTH);
    const word = r.oneOf(OPENINGS_SAID);
    const name = r.name() ?? (word ? (r.word(/^[a-z]{1,3}\d{1,3}$/)?.[0] ?? null) : null);
    return word === null && name === null ? null : { word, name, nth };
  });
}

const SIDES: readonly (readonly [string, Side])[] = [
  ['to the left', 'left'],
  ['to the right', 'right'],
  ['left', 'left'],
  ['right', 'right'],
  ['up', 'up'],
  ['down', 'down'],
];

/** Where along its run. */
export function place(r: Reader): PlaceSaid | null {
  return r.attempt(() => {
    if (
      r.words('in', 'the', 'middle') ||
      r.words('in', 'the', 'center|centre') ||
      r.words('centered|centred')
    )
      return { from: 'middle' };
    if (!r.words('at|starting')) return null;
    r.words('at');
    const length = r.length();
    if (!length) return null;
    const from = fromWhere(r);
    return { from, length };
  });
}

function fromWhere(r: Reader): 'start' | 'end' {
  if (!r.words('in', 'from') && !r.words('from')) return 'start';
  r.words('the');
  if (r.words('right|end') || r.words('far', 'end') || r.words('other', 'end')) {
    r.words('end|corner|hand');
    return 'end';
  }
  r.words('left|start|beginning|corner');
  r.words('end|corner|hand');
  return 'start';
}

/** "in run 2", "on the second run". */
function onRun(r: Reader): number | null {
  return r.attempt(() => {
    if (!r.words('in|on')) return null;
    r.words('the');
    const nth = r.oneOf(NTH);
    if (!r.words('run|side|leg')) return null;
    return nth ?? r.count();
  });
}

const calledWhen = (word: OpeningWord): string => word.replace('-', ' ');

interface Sizes {
  width: SaidLength;
  high: SaidLength | null;
  /** It was said to be the width, or the height. */
  named: boolean;
}

function sizes(r: Reader): Sizes | null {
  return r.attempt(() => {
    const width = r.length();
    if (!width) return null;
    const named = r.words('wide');
    if (!r.is('by')) return { width, high: null, named };
    const high = r.length();
    if (!high) return null;
    r.words('high|tall');
    return { width, high, named: true };
  });
}

/** What is said of an opening once it is named: how wide and high and where it is to be, or what of it is to change. */
export function ofOpening(r: Reader): Saying | null {
  return r.attempt(() => {
    r.words('add|put');
    const start = r.place;
    const move = r.words('move|shift|slide|bring');
    if (!move) r.words('make');
    const of = opening(r);
    if (!of) return null;
    if (r.words('sill')) return heightOf(r, 'sill', of);
    if (r.words('head')) return heightOf(r, 'opening-head', of);
    const shift = shifted(r, of);
    if (shift) return shift;
    const resized = resize(r, of);
    if (resized) return resized;
    const run = onRun(r);
    const at = place(r);
    if (move && at) return { is: 'place', of, at };
    if (move) throw new Wants(SAYING['wants-side'](), r.from);
    if (at) r.attempt(() => (r.is('stop') && r.next?.is === 'length' ? true : null));
    const size = sizes(r);
    if (!size) {
      if (at && (of.name !== null || of.nth !== null || r.place > start)) return { is: 'place', of, at };
      throw new Wants(SAYING['wants-width']({ name: calledWhen(of.word ?? 'opening') }), r.from);
    }
    const late = run ?? onRun(r);
    const there = at ?? place(r);
    if (!there) {
      if (size.named && size.high === null)
        return { is: 'resize', of, what: 'width', to: size.width, by: null, sign: 1 };
      throw new Wants(SAYING['wants-place']({ name: calledWhen(of.word ?? 'opening') }), r.from);
    }
    return {
      is: 'opening',
      word: of.word ?? 'opening',
      name: of.name,
      width: size.width,
      high: size.high,
      at: there,
      run: late ?? onRun(r),
    };
  });
}

/** "3 inches left", "left 3 inches", "up a course". */
function shifted(r: Reader, of: OpeningSaid): Saying | null {
  return r.attempt(() => {
    const before = r.oneOf(SIDES);
    r.words('by');
    if (r.next?.is === 'by') r.skip();
    const by = r.length();
    if (!by) {
      if (before) throw new Wants(SAYING['wants-amount'](), r.from);
      return null;
    }
    const side = before ?? r.oneOf(SIDES);
    return side && { is: 'shift', of, side, by };
  });
}

const GROWS: readonly (readonly [string, readonly ['width' | 'height', 1 | -1]])[] = [
  ['wider', ['width', 1]],
  ['narrower', ['width', -1]],
  ['taller', ['height', 1]],
  ['higher', ['height', 1]],
  ['shorter', ['height', -1]],
  ['lower', ['height', -1]],
];

/** "3 inches wider", "4 feet high", "width 4 feet". */
function resize(r: Reader, of: OpeningSaid): Saying | null {
  return r.attempt(() => {
    if (r.words('width')) {
      const to = r.length();
      return to && { is: 'resize', of, what: 'width', to, by: null, sign: 1 };
    }
    const by = r.length();
    if (!by) return null;
    const grows = r.oneOf(GROWS);
    if (grows) return { is: 'resize', of, what: grows[0], to: null, by, sign: grows[1] };
    if (r.words('high|tall')) return { is: 'resize', of, what: 'height', to: by, by: null, sign: 1 };
    return null;
  });
}

function heightOf(r: Reader, is: 'sill' | 'opening-head', of: OpeningSaid | null): Saying | null {
  r.words('at|of|to');
  const at = r.length();
  return at && { is, of, at };
}

/** A sill or head by itself: of the opening said last, or of one that is named. */
export function sillOrHead(r: Reader): Saying | null {
  return r.attempt(() => {
    r.words('the|its');
    const is = r.words('sill|sills') ? 'sill' : r.words('head|heads') ? 'opening-head' : null;
    if (!is) return null;
    const of = r.words('of') ? opening(r) : null;
    return heightOf(r, is, of);
  });
}

/** "raise the sill a course", "lower the window 4 inches", "raise the wall 2 courses". */
export function lift(r: Reader): Saying | null {
  return r.attempt(() => {
    const sign = r.words('raise|lift') ? 1 : r.words('lower|drop') ? -1 : null;
    if (!sign) return null;
    r.words('the');
    let of = opening(r);
    const part = r.words('sill')
      ? 'sill'
      : r.words('head')
        ? 'head'
        : r.words('wall|top') || r.words('whole', 'wall')
          ? 'wall'
          : null;
    if (!part && !of) return null;
    if (r.words('of')) of = opening(r);
    if (r.next?.is === 'by') r.skip();
    const by = r.length();
    if (!by) throw new Wants(SAYING['wants-amount'](), r.from);
    return part === null && of
      ? { is: 'shift', of, side: sign === 1 ? 'up' : 'down', by }
      : { is: 'lift', part: part ?? 'wall', of, by, sign };
  });
}

/** "2 feet longer", "the wall a course higher". */
export function grow(r: Reader): Saying | null {
  return r.attempt(() => {
    r.words('make');
    if (!r.words('it') && !r.words('the', 'wall|run')) r.words('wall|run');
    const by = r.length();
    if (!by) return null;
    if (r.words('longer')) return { is: 'grow', by, sign: 1 };
    if (r.words('shorter')) return { is: 'grow', by, sign: -1 };
    if (r.words('higher|taller')) return { is: 'lift', part: 'wall', of: null, by, sign: 1 };
    if (r.words('lower')) return { is: 'lift', part: 'wall', of: null, by, sign: -1 };
    return null;
  });
}

/** "no window", "remove the second door", "take out the gate". */
export function remove(r: Reader): Saying | null {
  return r.attempt(() => {
    if (!r.words('remove|delete|no|without') && !r.words('take', 'out') && !r.words('leave', 'out'))
      return null;
    const of = opening(r);
    return of && { is: 'remove', of };
  });
}
