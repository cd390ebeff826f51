import {
  basePlan,
  FIRST_STRUCTURE,
  millimetres,
  sayMm,
  stated,
  toMillimetres,
  writeLength,
  type LineItem,
  type Structure,
  type Stated,
} from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { useState, type ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Told } from '../../ui/Told';
import { Typeset } from '../../ui/Typeset';
import type { PanelProps } from '../panel';

const FIELDS = [
  ['length', AT_SET_OUT.structureLongWay],
  ['width', AT_SET_OUT.structureShortWay],
  ['past', AT_SET_OUT.plinthPastItEach],
  ['height', AT_SET_OUT.heightOfTheStructure],
  ['plinth', AT_SET_OUT.heightOfThePlinth],
  ['clear', AT_SET_OUT.gapToTheNeighbour],
  ['farClear', AT_SET_OUT.gapOnTheFarSide],
] as const;

/** A plinth for something that stands on it: from its outside size and the gap it must keep, unit by unit. */
export function BasePlanPart({
  view,
  show,
  onTaken,
}: PanelProps & { onTaken: (line: LineItem[]) => boolean }): ReactNode {
  const tell = useTell();
  const [s, setS] = useState<Structure>(FIRST_STRUCTURE);
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const set = (key: (typeof FIELDS)[number][0]) => (v: Stated) => {
    setS({ ...s, [key]: toMillimetres(stated(v)) });
    return true;
  };
  const leans = view.survey.lean?.perMetre ?? 0;
  const joint = view.wall.head;
  const [least, most] = view.wall.headLimits;
  const unit = { length: view.wall.module - joint, joint, least, most };
  const projection = view.footing?.projection ?? 100;
  const plan = basePlan({ ...s, lean: leans }, unit, projection);
  const say = (mm: number): string => sayMm(mm, show);
  const side = (name: string, of: { modules: number; joint: number }, length: number): ReactNode => (
    <tr className="border-t border-rule">
      <td>{name}</td>
      <td className="figures text-right">
        <Typeset words={say(length)} />
      </td>
      <td className="pl-2 text-right">
        <Told
          said={AT_SET_OUT.modulesAt({
            whole: Math.floor(of.modules),
            half: of.modules % 1 ? 'yes' : 'no',
            joint: of.joint,
          })}
        />
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
      run(plan.length, tell(AT_SET_OUT.front)),
      turn,
      run(plan.width, tell(AT_SET_OUT.leftSide)),
      turn,
      run(plan.length, tell(AT_SET_OUT.backSide)),
      turn,
      run(plan.width, tell(AT_SET_OUT.rightSide)),
    ]);
  };
  return (
    <Fold title={tell(AT_SET_OUT.aPlinthToStand)} aside={tell(AT_SET_OUT.fromWhatStandsOn)}>
      <div className="grid grid-cols-2 gap-x-3 gap-y-1">
        {FIELDS.map(([key, label]) => (
          <LengthField key={key} label={tell(label)} value={s[key]} {...measure} onChange={set(key)} />
        ))}
        <Pick
          label={tell(AT_SET_OUT.sideOnTheNeighbour)}
          value={s.side}
          options={[
            ['long', AT_SET_OUT.longSide],
            ['short', AT_SET_OUT.shortSide],
          ]}
          onChange={(side) => setS({ ...s, side })}
        />
        <LengthField
          label={tell(AT_SET_OUT.roomInAll)}
          value={s.room ?? 0}
          {...measure}
          onChange={(v) => {
            const room = toMillimetres(stated(v));
            setS({ ...s, room: room > 0 ? room : null });
            return true;
          }}
        />
      </div>
      <table className="w-full text-small">
        <tbody>
          {side(tell(AT_SET_OUT.longSide), plan.along, plan.length)}
          {side(tell(AT_SET_OUT.shortSide), plan.across, plan.width)}
          <tr className="border-t border-rule">
            <td>{tell(AT_SET_OUT.diagonal)}</td>
            <td className="figures text-right">
              <Typeset words={say(plan.diagonal)} />
            </td>
            <td />
          </tr>
          <tr className="border-t border-rule">
            <td>{tell(AT_SET_OUT.footing)}</td>
            <td className="text-right" colSpan={2}>
              <Told said={AT_SET_OUT.footingSize({ ...plan.footing, diagonal: plan.footingDiagonal })} />
            </td>
          </tr>
        </tbody>
      </table>
      <p>
        <Told
          said={AT_SET_OUT.setFace({
            from: plan.fromNeighbour,
            binds: plan.binds,
            leans: plan.leans > 0.5 ? 'yes' : 'no',
            lean: plan.leans,
          })}
        />{' '}
        {view.survey.lean === null && tell(AT_SET_OUT.ifTheNeighbourLeans)}
      </p>
      {plan.farLeft !== null && (
        <p className="font-semibold text-fault">
          <Told
            said={AT_SET_OUT.bothSides({
              near: s.clear,
              way: plan.farLeft < 0 ? 'past' : 'short',
              left: Math.abs(plan.farLeft),
              far: s.farClear,
            })}
          />
        </p>
      )}
      <button className="press-plain" onClick={take}>
        {tell(AT_SET_OUT.buildThisWallAs)}
      </button>
    </Fold>
  );
}
