import type { OwnUnit } from '@even-tally/core';
import { createStore } from 'zustand/vanilla';
import { useStore } from 'zustand';
import { keepYardUnit, listYardUnits } from './api';

/** The yard’s own units, read once and kept in step with what is added here. */
const store = createStore<{ units: readonly OwnUnit[]; asked: boolean }>(() => ({ units: [], asked: false }));

export const useYardUnits = (): readonly OwnUnit[] => useStore(store, (s) => s.units);

/** Reads them, the first time anybody asks. Without a line to the server there are none to offer, and nothing else is the worse for it. */
export function readYardUnits(): void {
  if (store.getState().asked) return;
  store.setState({ asked: true });
  listYardUnits().then(
    (units) => store.setState({ units }),
    () => store.setState({ asked: false }),
  );
}

/** Keeps one for all jobs of the yard. */
export async function keepForTheYard(unit: OwnUnit): Promise<void> {
  await keepYardUnit(unit);
  store.setState(({ units }) => ({ units: [...units.filter((u) => u.id !== unit.id), unit] }));
}
