import { UNITS, type Job, type OwnUnit } from '@even-tally/core';
import { AT_BOND } from '@even-tally/words';
import {
  Combobox,
  ComboboxButton,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Label,
  Field,
} from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { found } from '../../bench/line/finding';
import { useTell } from '../../state/words';
import { readYardUnits, useYardUnits } from '../../state/yardUnits';
import { Typeset } from '../../ui/Typeset';

/** The units there are, found by typing: a size, a family, a name of one's own. */
export function UnitPick({
  job,
  value,
  onChange,
  lay,
}: {
  job: Job;
  value: string;
  onChange: (id: string) => void;
  /** Lays one of the yard’s, which the job has not had so far. */
  lay: (unit: OwnUnit) => void;
}): ReactNode {
  const tell = useTell();
  const yards = useYardUnits();
  useEffect(readYardUnits, []);
  const [typed, setTyped] = useState('');
  const all = useMemo(
    () => [
      ...(job.units ?? []).map((u) => ({ id: u.id, name: u.name ?? u.id, own: AT_BOND.ownUnit })),
      ...yards
        .filter((u) => !(job.units ?? []).some((own) => own.id === u.id))
        .map((u) => ({ id: u.id, name: u.name ?? u.id, own: AT_BOND.ofTheYard })),
      ...UNITS.map((u) => ({ id: u.id, name: tell(u.name), own: null })),
    ],
    [job.units, yards, tell],
  );
  const named = (id: string): string => all.find((u) => u.id === id)?.name ?? id;
  const shown = useMemo(() => {
    if (typed.trim() === '') return all;
    const lines = all.map((u) => ({
      id: u.id,
      kind: '',
      says: `${u.name} ${u.id.replaceAll('-', ' ')}`,
      act: () => undefined,
    }));
    const ids = found(lines, typed, all.length).map((f) => f.id);
    return all.filter((u) => ids.includes(u.id));
  }, [all, typed]);
  const choose = (id: string | null): void => {
    if (id === null) return;
    const fromYard = all.find((u) => u.id === id)?.own === AT_BOND.ofTheYard;
    const unit = fromYard ? yards.find((u) => u.id === id) : undefined;
    if (unit) lay(unit);
    else onChange(id);
  };
  return (
    <Field className="relative">
      <Label className="block text-small text-soft">{tell(AT_BOND.unit)}</Label>
      <Combobox value={value} onChange={choose} onClose={() => setTyped('')}>
        <div className="relative">
          <ComboboxInput
            name="unit"
            className="entry pr-8 font-sans"
            displayValue={named}
            autoComplete="off"
            spellCheck={false}
            onChange={(e) => setTyped(e.target.value)}
            onFocus={(e) => e.currentTarget.select()}
          />
          <ComboboxButton
            className="absolute inset-y-0 right-0 flex w-8 items-center justify-center"
            aria-label={tell(AT_BOND.allUnits)}
          >
            <ChevronDown size={16} aria-hidden="true" className="text-chalk" />
          </ComboboxButton>
        </div>
        <ComboboxOptions
          modal={false}
          className="absolute right-0 left-0 z-30 max-h-72 overflow-auto border border-ink bg-sheet"
        >
          {shown.map((u) => (
            <ComboboxOption
              key={u.id}
              value={u.id}
              data-unit={u.id}
              className="flex min-h-8 cursor-pointer items-center gap-2 px-3 py-1 data-focus:bg-chalk-pale data-selected:font-bold"
            >
              <Typeset words={u.name} />
              {u.own && <span className="ml-auto shrink-0 text-small text-soft">{tell(u.own)}</span>}
            </ComboboxOption>
          ))}
          {shown.length === 0 && <p className="px-3 py-2 text-small text-soft">{tell(AT_BOND.noSuchUnit)}</p>}
        </ComboboxOptions>
      </Combobox>
    </Field>
  );
}
