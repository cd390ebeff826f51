import {
  checkUnit,
  sayFault,
  stated,
  toMillimetres,
  type OwnUnit,
  type Said,
  type Stated,
} from '@even-tally/core';
import { AT_BOND } from '@even-tally/words';
import { useState, type ReactNode } from 'react';
import { saidBy } from '../../state/failure';
import { newId } from '../../state/newId';
import { useTell } from '../../state/words';
import { keepForTheYard } from '../../state/yardUnits';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { NameField } from '../../ui/NameField';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';

type Family = NonNullable<OwnUnit['family']>;

/** What a unit of one’s own begins as: the one the wall is of now is nearest to hand. */
interface Size {
  length: Stated;
  height: Stated;
  width: Stated;
}

/** A unit that is in no list: measured, named, laid in this wall and kept for every job of the yard. */
export function OwnUnitForm({
  job,
  view,
  show,
  lay,
}: Pick<PanelProps, 'job' | 'view' | 'show'> & { lay: (unit: OwnUnit) => boolean }): ReactNode {
  const tell = useTell();
  const { module, pitch, head, bed, thickness, wythes, family } = view.wall;
  const [name, setName] = useState('');
  const [of, setOf] = useState<Family>(family === 'block' || family === 'adobe' ? family : 'brick');
  const [size, setSize] = useState<Partial<Size>>({});
  const [says, setSays] = useState<Said | null>(null);
  const measure = { show, module, pitch };
  const now: Record<keyof Size, number> = {
    length: module - head,
    height: pitch - bed,
    width: wythes === 2 ? (thickness - head) / 2 : thickness,
  };
  const mm = (key: keyof Size): number => {
    const typed = size[key];
    return typed === undefined ? now[key] : toMillimetres(stated(typed));
  };
  const field = (key: keyof Size, label: string): ReactNode => (
    <LengthField
      label={label}
      name={`own-${key}`}
      value={mm(key)}
      {...measure}
      onChange={(value) => {
        setSize({ ...size, [key]: value });
        return true;
      }}
    />
  );
  const keep = async (): Promise<void> => {
    setSays(null);
    const { id } = newId('own-', job.units ?? []);
    const sized = (key: keyof Size): Stated => size[key] ?? Math.round(now[key] * 1000) / 1000;
    const unit: OwnUnit = {
      id,
      ...(name.trim() === '' ? {} : { name: name.trim() }),
      family: of,
      actual: { length: sized('length'), height: sized('height'), width: sized('width') },
    };
    const checked = checkUnit(unit);
    if (!checked.ok) return setSays(checked.faults[0] ? sayFault(checked.faults[0]) : null);
    if (!lay(checked.unit)) return;
    await keepForTheYard(checked.unit).catch((error: unknown) => setSays(saidBy(error)));
  };
  return (
    <Fold title={tell(AT_BOND.unitOfYourOwn)}>
      <NameField label={tell(AT_BOND.itsName)} value={name} onChange={(to) => (setName(to), true)} />
      <Pick
        label={tell(AT_BOND.whatItIs)}
        value={of}
        options={[
          ['brick', AT_BOND.aBrick],
          ['block', AT_BOND.aBlock],
          ['adobe', AT_BOND.anAdobe],
        ]}
        onChange={setOf}
      />
      <div className="grid grid-cols-3 gap-2">
        {field('length', tell(AT_BOND.long))}
        {field('height', tell(AT_BOND.high))}
        {field('width', tell(AT_BOND.thick))}
      </div>
      <button className="press" onClick={() => void keep()}>
        {tell(AT_BOND.layItAndKeepIt)}
      </button>
      <p className="text-small text-soft">{tell(AT_BOND.ownIsSolid)}</p>
      <p role="alert" className="font-semibold text-fault">
        {says && tell(says)}
      </p>
    </Fold>
  );
}
