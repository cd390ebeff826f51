import { endsOf, lineShapes, type BenchView } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { Fitted } from '../../bench/Fitted';
import { useTell } from '../../state/words';

/** The plan line from above, the run on the sheet heavy. Each run can be pressed. */
export function LinePlan({ view, go }: { view: BenchView; go: (run: number) => void }): ReactNode {
  const tell = useTell();
  return (
    <Fitted
      draws={(px) => lineShapes(view.runs, view.run, px)}
      wide={280}
      high={120}
      room={26}
      label={tell(AT_SET_OUT.planOfTheLine)}
    >
      {({ left, base, scale }) =>
        view.runs.map((r) => {
          const [a, b] = endsOf(r);
          return (
            <line
              key={r.id}
              role="button"
              tabIndex={0}
              aria-label={tell(AT_SET_OUT.showRun({ run: r.name }))}
              aria-pressed={r.index === view.run}
              className="cursor-pointer"
              onClick={() => go(r.index)}
              onKeyDown={(k) => (k.key === 'Enter' || k.key === ' ') && go(r.index)}
              x1={left + a.x * scale}
              y1={base - a.y * scale}
              x2={left + b.x * scale}
              y2={base - b.y * scale}
              stroke="transparent"
              strokeWidth="26"
            />
          );
        })
      }
    </Fitted>
  );
}
