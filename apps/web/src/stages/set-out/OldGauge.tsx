import { UNSEEN_SLOPE } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { written } from '../written';

const ANSWERS = {
  keep: AT_SET_OUT.keepYourJoint,
  take: AT_SET_OUT.takeTheirs,
  share: AT_SET_OUT.goHalfWay,
} as const;

/** The old wall’s gauge against yours: keep your joint, take theirs, or go half way. */
export function OldGauge({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { set } = useWallFields(job, view);
  const [least, most] = view.wall.bedLimits;
  const { drifts, oneEnd } = view.survey;
  if (drifts.length === 0) return null;
  return (
    <>
      <table className="w-full text-small">
        <caption className="text-left font-bold">{tell(AT_SET_OUT.yourGaugeAgainstTheirs)}</caption>
        <tbody>
          {drifts.map((d) => (
            <tr key={d.answer} className="border-t border-rule">
              <td>
                <button
                  className="min-h-7 text-left font-semibold text-chalk underline"
                  aria-pressed={d.answer === 'keep'}
                  onClick={() => set('/build/bed', written(d.bed, show))}
                >
                  <Told said={AT_SET_OUT.answerBed({ answer: ANSWERS[d.answer], bed: d.bed })} />
                </button>
                {(d.bed < least - 0.05 || d.bed > most + 0.05) && (
                  <p className="text-fault">
                    <Told said={AT_SET_OUT.bedOutside({ least, most })} />
                  </p>
                )}
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
      {oneEnd && oneEnd.bedThere >= least && oneEnd.bedThere <= most && (
        <p className="text-small">
          <Told
            said={AT_SET_OUT.oneEnd({
              there: oneEnd.bedThere,
              by: Math.abs(oneEnd.off),
              slope: Math.round(oneEnd.oneIn),
              seen: oneEnd.oneIn < UNSEEN_SLOPE ? 'yes' : 'no',
            })}
          />
        </p>
      )}
    </>
  );
}
