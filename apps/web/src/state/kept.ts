/** What this viewer set and finds again, kept under a name on this device. */
const kept = (name: string): string | null =>
  typeof localStorage === 'undefined' ? null : localStorage.getItem(`even-tally/${name}`);
const keep = (name: string, value: string): void => localStorage.setItem(`even-tally/${name}`, value);

export function keptNumber(name: string, otherwise: number): number {
  const text = kept(name);
  const value = Number(text);
  return text === null || !Number.isFinite(value) ? otherwise : value;
}

export const keepNumber = (name: string, value: number): void => keep(name, String(Math.round(value)));

export function keptFlag(name: string, otherwise: boolean): boolean {
  const text = kept(name);
  return text === 'yes' ? true : text === 'no' ? false : otherwise;
}

export const keepFlag = (name: string, value: boolean): void => keep(name, value ? 'yes' : 'no');
