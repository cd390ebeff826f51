import { showMm, type BenchView, type Show } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useWords, useTell } from '../state/words';
import { Typeset } from '../ui/Typeset';

const cell = 'border-t border-rule px-3 py-1';

/** The drawing in words: the same courses, openings and findings, for reading out or where a picture does not serve. */
export function AsList({ view, show }: { view: BenchView; show: Show }): ReactNode {
  const tell = useTell();
  const run = view.runs[view.run];
  const { say } = useWords(show);
  return (
    <div
      className="absolute inset-0 z-20 overflow-auto bg-sheet p-6"
      tabIndex={0}
      role="region"
      aria-label={tell(BENCH.theSheetAsA)}
    >
      <h2 className="heading text-lg">
        <Typeset
          words={tell(
            BENCH.listTitle({ run: run?.name ?? '', length: run?.length ?? 0, height: view.wall.height }),
          )}
        />
      </h2>
      <h3 className="heading mt-4">{tell(BENCH.coursesFromTheTop)}</h3>
      <table className="mt-1">
        <thead>
          <tr className="text-left text-small text-soft">
            <th className="px-3">{tell(BENCH.course)}</th>
            <th className="px-3">{tell(BENCH.top)}</th>
            <th className="px-3">{tell(BENCH.bed)}</th>
            <th className="px-3">{tell(BENCH.pieces)}</th>
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
      <h3 className="heading mt-4">{tell(BENCH.openings)}</h3>
      <ul className="list-disc pl-6">
        {view.openings
          .filter((o) => o.run === view.run)
          .map((o) => (
            <li key={o.id}>
              <Typeset words={tell(BENCH.listOpening(o))} />
            </li>
          ))}
      </ul>
      <h3 className="heading mt-4">{tell(BENCH.theWallSays)}</h3>
      <ul className="list-disc pl-6">
        {view.says.map((s) => (
          <li key={s.letter}>
            <Typeset
              words={tell(
                BENCH.listFinding({ letter: s.letter, severity: s.finding.severity, says: s.finding.says }),
              )}
            />
          </li>
        ))}
      </ul>
    </div>
  );
}
