const NAME = 'even-tally/name';

/** The name this device signed with last, to be read over and not taken on trust. */
export const lastSigner = (): string => localStorage.getItem(NAME) ?? '';
export const signedBy = (name: string): void => localStorage.setItem(NAME, name);
