import type { Reader } from '../reader.js';
import type { Saying } from '../said.js';
import { grow, lift, ofOpening, remove, sillOrHead } from './opening.js';
import { building, oneSize, size, turn } from './size.js';
import { bars, beam, grout, held, noBars } from './steel.js';
import { bond, cavity, laying, ofStone, ofUnit } from './unit.js';

/** "called Boat store": a name in quotes, or the words up to the next stop. */
function called(r: Reader): Saying | null {
  return r.attempt(() => {
    if (!r.words('called|named')) return null;
    const quoted = r.name();
    if (quoted !== null) return { is: 'called', name: quoted };
    const words: string[] = [];
    for (let w = r.word(/^.+$/); w; w = r.word(/^.+$/)) words.push(w[0]);
    const name = words.join(' ');
    return name === '' ? null : { is: 'called', name: name.charAt(0).toUpperCase() + name.slice(1) };
  });
}

/** Every clause there is, those that begin alike with the longer first. */
export const CLAUSES: readonly ((r: Reader) => Saying | null)[] = [
  called,
  building,
  bars,
  beam,
  noBars,
  grout,
  lift,
  remove,
  ofOpening,
  sillOrHead,
  cavity,
  size,
  oneSize,
  grow,
  laying,
  held,
  turn,
  bond,
  ofStone,
  ofUnit,
];
