import { Typeset } from '../../ui/Typeset';
import {
  basePlan,
  millimetres,
  sayMm,
  stated,
  toMillimetres,
  writeLength,
  type LineItem,
  type Stated,
} from '@even-tally/core';
import { useState, type ReactNode } from 'react';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import type { PanelProps } from '../panel';

const FIELDS = [
  ['length', 'Structure, long way'],
  ['width', 'Structure, short way'],
  ['past', 'Plinth past it, each side'],
  ['clear', 'Gap to the neighbour'],
] as const;

/** A plinth for something that stands on it: from its outside size and the gap it must keep, unit by unit. */
export function BasePlanPart({
  view,
  show,
  onTaken,
}: PanelProps & { onTaken: (line: LineItem[]) => boolean }): ReactNode {
  const [s, setS] = useState({ length: 2400, width: 1800, past: 50, clear: 600, height: 2100 });
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const set = (key: keyof typeof s) => (v: Stated) => {
    setS({ ...s, [key]: toMillimetres(stated(v)) });
    return true;
  };
  const leans = view.survey.lean?.perMetre ?? 0;
  const lean = (leans * s.height) / 1000;
  const joint = view.wall.head;
  const [least, most] = view.wall.headLimits;
  const unit = { length: view.wall.module - joint, joint, least, most };
  const projection = view.footing?.projection ?? 100;
  const plan = basePlan({ ...s, lean }, unit, projection);
  const say = (mm: number): string => sayMm(mm, show);
  const side = (name: string, of: { modules: number; joint: number }, length: number): ReactNode => (
    <tr className="border-t border-rule">
      <td>{name}</td>
      <td className="figures text-right">
        <Typeset words={say(length)} />
      </td>
      <td className="figures text-right">
        {Math.floor(of.modules)}
        {of.modules % 1 ? ' and a half' : ''} at <Typeset words={say(of.joint)} />
      </td>
    </tr>
  );
  const take = (): boolean => {
    const off = view.wall.nominal ? joint : 0;
    const run = (mm: number, name: string): LineItem => ({
      run: writeLength(millimetres(Math.round((mm + off) * 1000) / 1000), show),
      name,
    });
    const turn = { turn: 90 };
    return onTaken([
      run(plan.length, 'Front'),
      turn,
      run(plan.width, 'Left side'),
      turn,
      run(plan.length, 'Back'),
      turn,
      run(plan.width, 'Right side'),
    ]);
  };
  return (
    <Fold title="A plinth to stand on" aside="from what stands on it">
      <div className="grid grid-cols-2 gap-x-3 gap-y-1">
        {FIELDS.map(([key, label]) => (
          <LengthField key={key} label={label} value={s[key]} {...measure} onChange={set(key)} />
        ))}
        <LengthField label="Height of the structure" value={s.height} {...measure} onChange={set('height')} />
      </div>
      <table className="w-full text-small">
        <tbody>
          {side('Long side', plan.along, plan.length)}
          {side('Short side', plan.across, plan.width)}
          <tr className="border-t border-rule">
            <td>Diagonal</td>
            <td className="figures text-right">
              <Typeset words={say(plan.diagonal)} />
            </td>
            <td />
          </tr>
          <tr className="border-t border-rule">
            <td>Footing</td>
            <td className="figures text-right" colSpan={2}>
              <Typeset words={say(plan.footing.length)} /> × <Typeset words={say(plan.footing.width)} />,
              diagonal <Typeset words={say(plan.footingDiagonal)} />
            </td>
          </tr>
        </tbody>
      </table>
      <p>
        Set its near face{' '}
        <b className="figures">
          <Typeset words={say(plan.fromNeighbour)} />
        </b>{' '}
        from the neighbour’s foot
        {lean > 0.5 ? `: it leans ${say(lean)} into the gap at the height of the structure` : ''}.
        {view.survey.lean === null && ' If the neighbour leans, take its lean under The old wall.'}
      </p>
      <button className="press-plain" onClick={take}>
        Build this wall as the plinth
      </button>
    </Fold>
  );
}
