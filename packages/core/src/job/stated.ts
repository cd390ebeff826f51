import type { Length } from '../measure/length.js';
import { readStated } from '../statement/check.js';
import type { Stated } from './types.js';

/** The length a checked document states. Throws TypeError when handed an unchecked one. */
export function stated(value: Stated): Length {
  const read = readStated(value);
  if (typeof read === 'object')
    throw new TypeError(`not a checked length: wanted ${read.wanted}, got ${read.got}`);
  return read;
}
