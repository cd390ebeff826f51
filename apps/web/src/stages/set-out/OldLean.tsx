import { sayMm } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Told } from '../../ui/Told';
import { Typeset } from '../../ui/Typeset';
import type { PanelProps } from '../panel';

/** How it leans, and the way back to plumb a course at a time, with what taking it down would cost. */
export function OldLean({ view, show, fade: over }: PanelProps & { fade: number }): ReactNode {
  const tell = useTell();
  const { lean, fade } = view.survey;
  const say = (n: number): string => sayMm(n, show);
  return (
    <>
      {lean && (
        <p>
          {tell(
            AT_SET_OUT.leansBy({
              metre: Number(lean.perMetre.toFixed(1)),
              foot: Number(((lean.perMetre / 1000) * 12).toFixed(3)),
              degrees: Number(lean.degrees.toFixed(2)),
            }),
          )}
        </p>
      )}
      {fade && (
        <>
          <table className="w-full text-small">
            <caption className="text-left font-bold">{tell(AT_SET_OUT.fadeToPlumbHow)}</caption>
            <tbody>
              {fade.courses.slice(0, over + 1).map((c) => (
                <tr
                  key={c.course}
                  className={`border-t border-rule ${c.inMiddleThird ? '' : 'font-semibold text-fault'}`}
                >
                  <td>{tell(AT_SET_OUT.courseNo({ course: c.course }))}</td>
                  <td className="figures text-right">
                    <Typeset words={say(c.offset)} />
                  </td>
                  <td className="figures text-right">
                    <Told said={AT_SET_OUT.backBy({ by: c.back })} />
                  </td>
                  <td className="text-right">{c.inMiddleThird ? '' : tell(AT_SET_OUT.outside)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="text-small text-soft">
            {tell(AT_SET_OUT.rival({ m3: Number(fade.takeDown.toFixed(2)) }))}
          </p>
        </>
      )}
    </>
  );
}
