import { LIST, showMm, type CourseAbove, type Show } from '@even-tally/core';
import { PAPER } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Typeset } from '../../ui/Typeset';

const cell = 'border-t border-rule px-3 py-1';

/** A course in words: its units run by run as they are laid, with what is sawn and what is new in it. */
export function CourseAsList({ above, show }: { above: CourseAbove; show: Show }): ReactNode {
  const tell = useTell();
  const title = tell(PAPER.courseFromAbove({ course: above.course }));
  return (
    <div
      className="absolute inset-0 z-20 overflow-auto bg-sheet p-6"
      tabIndex={0}
      role="region"
      aria-label={title}
    >
      <h2 className="heading text-lg">{title}</h2>
      {above.runs.map((run, nth) => (
        <table key={nth} className="mt-4 w-full max-w-[520px]">
          <caption className="heading text-left">
            {run.leaf === 'inner' ? tell(PAPER.innerOf({ run: run.name })) : run.name}
          </caption>
          <tbody>
            {run.units.map((u, i) => (
              <tr key={i}>
                <th scope="row" className={`${cell} figures w-10 text-left`}>
                  {i + 1}
                </th>
                <td className={cell}>{tell(LIST.kind({ kind: u.kind }))}</td>
                <td className={`${cell} figures text-right`}>
                  <Typeset words={showMm(u.length, show)} />
                </td>
                <td className={cell}>{u.sawn ? tell(LIST.sawn()) : ''}</td>
                <td className={`${cell} text-chalk`}>{u.fresh ? tell(PAPER.isNew) : ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ))}
    </div>
  );
}
