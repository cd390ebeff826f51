import { lineLength, pointsOf, sayMm } from '@even-tally/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';

const WIDE = 288;
const HIGH = 64;

/** The job's walls, each as its line from above: press one to stand before it. */
export function Walls({ job, view, show, stem }: PanelProps): ReactNode {
  const base = stem.slice(0, stem.lastIndexOf('/'));
  const jobStem = base.slice(0, base.lastIndexOf('/'));
  return (
    <Section title="Walls of the job" aside={<span className="text-[13px]">{job.walls.length}</span>}>
      <ul className="-mx-4">
        {job.walls.map((w, i) => {
          const points = pointsOf(w.line);
          const xs = points.map((p) => p.x);
          const ys = points.map((p) => p.y);
          const [left, low] = [Math.min(...xs), Math.min(...ys)];
          const [wide, high] = [Math.max(...xs) - left, Math.max(...ys) - low];
          const scale = Math.min(90 / Math.max(wide, 1), (HIGH - 16) / Math.max(high, 1));
          const here = i === view.wall.index;
          return (
            <li key={w.id} className={`border-b border-rule ${here ? 'bg-[#e9f0e6]' : ''}`}>
              <Link
                to={`${jobStem}/${encodeURIComponent(w.id)}/0/set-out`}
                className="flex items-center gap-3 px-4 py-1 hover:bg-chalk-pale"
                aria-current={here ? 'page' : undefined}
              >
                <svg width="106" height={HIGH} aria-hidden="true" viewBox={`0 0 106 ${HIGH}`}>
                  <polyline
                    points={points
                      .map((p) => `${8 + (p.x - left) * scale},${HIGH - 8 - (p.y - low) * scale}`)
                      .join(' ')}
                    fill="none"
                    stroke={here ? '#22272b' : '#77726a'}
                    strokeWidth="4"
                  />
                </svg>
                <span className="min-w-0" style={{ maxWidth: WIDE - 130 }}>
                  <b className="block break-words">{w.name}</b>
                  <span className="figures text-[13px] text-soft">{sayMm(lineLength(w.line), show)}</span>
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
