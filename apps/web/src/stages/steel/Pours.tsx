import { sayMm, showVolume } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Typeset } from '../../ui/Typeset';
import type { PanelProps } from '../panel';

/** What is poured at once, from the footing up. */
export function Pours({ view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { pours } = view.steel;
  const say = (n: number): string => sayMm(n, show);
  return (
    <table className="w-full text-small">
      <caption className="sr-only">{tell(AT_STEEL.poursFromTheFooting)}</caption>
      <thead>
        <tr className="border-b border-ink text-left">
          <th className="py-1 pr-3 font-semibold">{tell(AT_STEEL.pour)}</th>
          <th className="font-semibold">{tell(AT_STEEL.courses)}</th>
          <th className="pl-3 text-right font-semibold">{tell(AT_STEEL.high)}</th>
          <th className="pl-3 text-right font-semibold">{tell(AT_STEEL.grout)}</th>
        </tr>
      </thead>
      <tbody>
        {pours.map((p) => (
          <tr key={p.number} className="border-b border-rule align-top">
            <td className="py-1 font-bold">{p.number}</td>
            <td>
              {tell(
                AT_STEEL.poursCourses({
                  from: p.from,
                  to: p.to,
                  lifts: p.lifts.length,
                  cleanouts: p.cleanouts,
                  stops: p.stopsUnder !== null ? 'yes' : 'no',
                }),
              )}
            </td>
            <td className="figures pl-3 text-right">
              <Typeset words={say(p.height)} />
            </td>
            <td className="figures pl-3 text-right">{showVolume(p.used, show)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
