import { BAR_SIZES } from '../../tables/bars.js';
import { LIMITS } from '../limits.js';
import {
  constant,
  lengthOf,
  list,
  number,
  oneOf,
  words,
  type Stated,
  type States,
  type Stating,
} from '../../statement/statement.js';

/** What every part of the form is made of. */
export const text = words();
/** The id of what it stands in: `of` says what that is, as it is spoken of. */
export const id = (of: string): Stating<string> => words({ is: { id: of } });
export const wallId = words({ is: { refers: 'wall' } });
export const unitId = words({ is: { refers: 'unit' } });
/** A run of its own wall, counted from 0. */
export const run = number(0, 999, { whole: true, is: { run: 'own' } });

/** The address of a place in its own wall, instead of run, course and where along it. */
export const address = words({ is: { place: true }, most: 1000 });

export const length = lengthOf('above-zero');
/** A height or a distance that may lie below or behind what it is measured from. */
export const level = lengthOf('any');
export const place = lengthOf('zero');
export const siteLevel = lengthOf('any', { is: { of: 'site' } });
export const joint = lengthOf('above-zero', { most: LIMITS.joint });

/** The wall's base over the datum: what stands on the wall is measured from it. */
export const lengthOfBase = lengthOf('any', { is: { of: 'base' } });

/** Along a run, as the tape reads. */
export const along = (is: 'start' | 'end' | 'middle' | 'size' | 'pitch'): Stating<Stated> =>
  lengthOf(is === 'start' || is === 'middle' ? 'zero' : 'above-zero', { is: { along: is } });
/** A height above the wall's base. */
export const height = (least: 'zero' | 'above-zero' = 'above-zero'): Stating<Stated> =>
  lengthOf(least, { is: { up: 'height' } });

export const bar: Stating<string> = oneOf(...BAR_SIZES);
export const count = (most: number): Stating<number> => number(1, most, { whole: true });
export const yes = constant(true);
export const yesOrNo = oneOf(true, false);

/** `wish`: what is not bought or agreed yet may move to suit. Left out: it stands where it is stated. */
export const keep = oneOf('must', 'wish');
export type Keep = States<typeof keep>;
export const samples = list(length, 500, 1);
