import type { Message, Show, Stated } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useTell } from '../../../state/words';
import { LengthField } from '../../../ui/LengthField';
import { NumberField } from '../../../ui/NumberField';

/** A length of the build: its key under it, what it is called, and what it is now, mm. */
export type LengthOf = readonly [key: string, label: Message, value: number];

interface Props {
  show: Show;
  fields: readonly LengthOf[];
  set: (key: string, value: Stated) => boolean;
  /** What they are fields of, where several parts have fields of one name. */
  of?: string;
  /** They may lie on the other side of what they are measured from. */
  signed?: boolean;
}

/** Lengths two by two. */
export function Lengths({ show, fields, set, of = 'stone', signed = false }: Props): ReactNode {
  const tell = useTell();
  return (
    <div className="grid grid-cols-2 items-end gap-x-3 gap-y-1">
      {fields.map(([key, label, value]) => (
        <LengthField
          key={key}
          name={`${of}-${key}`}
          label={tell(label)}
          value={value}
          show={show}
          module={0}
          pitch={0}
          signed={signed}
          onChange={(v) => set(key, v)}
        />
      ))}
    </div>
  );
}

/** A part of something, said in hundredths. */
export function Percent({
  label,
  value,
  most = 95,
  onChange,
}: {
  label: string;
  value: number;
  most?: number;
  onChange: (part: number) => void;
}): ReactNode {
  return (
    <NumberField
      label={label}
      value={Math.round(value * 100)}
      least={0}
      most={most}
      onChange={(n) => onChange(n / 100)}
    />
  );
}
