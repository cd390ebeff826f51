/** What this viewer set and finds again: a number kept under a name on this device. */
export function keptNumber(name: string, otherwise: number): number {
  const kept = typeof localStorage === 'undefined' ? null : localStorage.getItem(`even-tally/${name}`);
  const value = Number(kept);
  return kept === null || !Number.isFinite(value) ? otherwise : value;
}

export const keepNumber = (name: string, value: number): void =>
  localStorage.setItem(`even-tally/${name}`, String(Math.round(value)));
