import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';

const ANSWERS = {
  keep: AT_SET_OUT.keepYourJoint,
  take: AT_SET_OUT.takeTheirs,
  share: AT_SET_OUT.goHalfWay,
} as const;

/** The old wall’s gauge against yours: keep your joint, take theirs, or go half way. */
export function OldGauge({ view }: PanelProps): ReactNode {
  const tell = useTell();
  const { drifts } = view.survey;
  return (
    drifts.length > 0 && (
      <table className="w-full text-small">
        <caption className="text-left font-bold">{tell(AT_SET_OUT.yourGaugeAgainstTheirs)}</caption>
        <tbody>
          {drifts.map((d) => (
            <tr key={d.answer} className="border-t border-rule">
              <td>
                <Told said={AT_SET_OUT.answerBed({ answer: ANSWERS[d.answer], bed: d.bed })} />
              </td>
              <td className="figures text-right">
                {Math.abs(d.perCourse) < 0.05
                  ? tell(AT_SET_OUT.runsLevel)
                  : tell(AT_SET_OUT.driftAt({ by: Math.abs(d.atTop), way: d.atTop > 0 ? 'over' : 'under' }))}
              </td>
              <td className="text-right">
                {d.meets !== null && Math.abs(d.perCourse) >= 0.05
                  ? tell(AT_SET_OUT.meetsAfter({ count: d.meets }))
                  : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    )
  );
}
