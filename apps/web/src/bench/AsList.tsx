import { Typeset } from '../ui/Typeset';
import { sayMm, showMm, type BenchView, type Show } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useWords } from '../state/words';

const cell = 'border-t border-rule px-3 py-1';

/** The drawing in words: the same courses, openings and findings, for reading out or where a picture does not serve. */
export function AsList({ view, show }: { view: BenchView; show: Show }): ReactNode {
  const run = view.runs[view.run];
  const { say } = useWords(show);
  return (
    <div
      className="absolute inset-0 overflow-auto bg-sheet p-6"
      tabIndex={0}
      role="region"
      aria-label="The sheet as a list"
    >
      <h2 className="heading text-lg">
        {run?.name}: <Typeset words={sayMm(run?.length ?? 0, show)} /> long,{' '}
        <Typeset words={sayMm(view.wall.height, show)} /> high
      </h2>
      <h3 className="heading mt-4">Courses, from the top</h3>
      <table className="mt-1">
        <thead>
          <tr className="text-left text-small text-soft">
            <th className="px-3">course</th>
            <th className="px-3">top</th>
            <th className="px-3">bed</th>
            <th className="px-3">pieces</th>
          </tr>
        </thead>
        <tbody>
          {[...view.courses].reverse().map((c) => (
            <tr key={c.number}>
              <th scope="row" className={`${cell} figures text-left`}>
                {c.number}
              </th>
              <td className={`${cell} figures text-right`}>
                <Typeset words={showMm(c.top, show)} />
              </td>
              <td className={`${cell} figures text-right`}>
                <Typeset words={showMm(c.bed, show)} />
              </td>
              <td className={cell}>{say(view.picks[c.number - 1] ?? '')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <h3 className="heading mt-4">Openings</h3>
      <ul className="list-disc pl-6">
        {view.openings
          .filter((o) => o.run === view.run)
          .map((o) => (
            <li key={o.id}>
              {o.name}: from <Typeset words={sayMm(o.from, show)} /> to <Typeset words={sayMm(o.to, show)} />,
              sill <Typeset words={sayMm(o.sill, show)} />, head <Typeset words={sayMm(o.head, show)} />
            </li>
          ))}
      </ul>
      <h3 className="heading mt-4">The wall says</h3>
      <ul className="list-disc pl-6">
        {view.says.map((s) => (
          <li key={s.letter}>
            {s.letter}, {s.finding.severity}: <Typeset words={say(s.finding.says)} />
          </li>
        ))}
      </ul>
    </div>
  );
}
