/** Letters and figures that are not taken for one another. */
const SIGNS = 'abcdefghjkmnpqrstuvwxyz23456789';
const SIGNS_LONG = 5;

/** Something no other page makes up: two people may add a window at the same moment. */
const unlike = (): string =>
  [...crypto.getRandomValues(new Uint8Array(SIGNS_LONG))].map((n) => SIGNS[n % SIGNS.length]).join('');

/** What an id is called where there is no name: what no other page makes up is left off. */
export const labelOf = (id: string): string => id.replace(new RegExp(`-[${SIGNS}]{${SIGNS_LONG}}$`), '');

/** An id for one more in a list, and what it is called by: the next number behind its letter, "W3". */
export function newId(
  letter: string,
  list: readonly { id?: string }[] | undefined,
): { id: string; label: string } {
  const taken = new Set(list?.map((one) => (one.id === undefined ? '' : labelOf(one.id))));
  let n = 1;
  while (taken.has(`${letter}${n}`)) n += 1;
  return { id: `${letter}${n}-${unlike()}`, label: `${letter}${n}` };
}

/** An id for a copy of something. */
export const copyId = (like: string): string => `${labelOf(like).slice(0, 180)}-${unlike()}`;
