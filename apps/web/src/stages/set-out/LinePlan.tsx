import type { BenchView } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';

const WIDE = 280;
const HIGH = 120;
const ROOM = 26;

/** The plan line from above, the run on the sheet heavy. Each run can be pressed. */
export function LinePlan({ view, go }: { view: BenchView; go: (run: number) => void }): ReactNode {
  const tell = useTell();
  const ends = view.runs.map((r) => {
    const a = (r.heading * Math.PI) / 180;
    return { ...r, x2: r.x + r.stated * Math.cos(a), y2: r.y + r.stated * Math.sin(a) };
  });
  const xs = ends.flatMap((e) => [e.x, e.x2]);
  const ys = ends.flatMap((e) => [e.y, e.y2]);
  const [left, bottom] = [Math.min(...xs), Math.min(...ys)];
  const [w, h] = [Math.max(...xs) - left, Math.max(...ys) - bottom];
  const scale = Math.min((WIDE - 2 * ROOM) / Math.max(w, 1), (HIGH - 2 * ROOM) / Math.max(h, 1));
  const x = (v: number): number => (WIDE - w * scale) / 2 + (v - left) * scale;
  const y = (v: number): number => (HIGH + h * scale) / 2 - (v - bottom) * scale;
  return (
    <svg
      width={WIDE}
      height={HIGH}
      role="group"
      aria-label={tell(AT_SET_OUT.planOfTheLine)}
      className="bg-paper"
    >
      {ends.map((e) => {
        const here = e.index === view.run;
        const middle = { x: (x(e.x) + x(e.x2)) / 2, y: (y(e.y) + y(e.y2)) / 2 };
        // The outside is on the right of the way the line is walked: the name stands there.
        const a = (e.heading * Math.PI) / 180;
        const out = { x: Math.sin(a) * 13, y: Math.cos(a) * 13 };
        return (
          <g
            key={e.id}
            role="button"
            tabIndex={0}
            aria-label={tell(AT_SET_OUT.showRun({ run: e.name }))}
            aria-pressed={here}
            className="cursor-pointer"
            onClick={() => go(e.index)}
            onKeyDown={(k) => (k.key === 'Enter' || k.key === ' ') && go(e.index)}
          >
            <line x1={x(e.x)} y1={y(e.y)} x2={x(e.x2)} y2={y(e.y2)} stroke="transparent" strokeWidth="26" />
            <line
              x1={x(e.x)}
              y1={y(e.y)}
              x2={x(e.x2)}
              y2={y(e.y2)}
              stroke={here ? 'var(--color-ink)' : 'var(--color-quiet)'}
              strokeWidth={here ? 6 : 3}
            />
            <text
              x={middle.x + out.x}
              y={middle.y + out.y + 4}
              textAnchor={Math.abs(out.x) > 6 ? (out.x > 0 ? 'start' : 'end') : 'middle'}
              className={`text-fine ${here ? 'fill-ink font-bold' : 'fill-soft'}`}
            >
              {e.name}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
