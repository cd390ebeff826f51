import { showMm, type BenchView, type Show } from '@even-tally/core';
import type { ReactNode } from 'react';
import type { Layout } from './layout';

interface Line {
  says: string;
  level: number;
  ink: string;
  dash?: string;
}

/** What hangs from the datum: ground, plinth and slab, over this wall's base; the highest first. */
function linesOf({ site, wall }: BenchView): Line[] {
  const lines: Line[] = [];
  const ground = site.points.filter((p) => p.is === 'ground').map((p) => p.level);
  if (ground.length > 0)
    lines.push({ says: 'ground', level: Math.max(...ground), ink: '#6b5a33', dash: '2 4' });
  if (site.control) lines.push({ says: 'plinth', level: site.control.wanted, ink: '#2e6b3a', dash: '9 5' });
  if (site.slab !== null) lines.push({ says: 'slab', level: site.slab, ink: '#22272b', dash: '9 5' });
  if (site.datum !== '') lines.push({ says: 'datum', level: 0, ink: '#1e5aa0' });
  return lines.map((l) => ({ ...l, level: l.level - wall.base })).sort((a, b) => b.level - a.level);
}

interface Placed extends Line {
  /** Where its line lies, null when it is off the drawing; and where its name stands clear of the others. */
  y: number | null;
  name: number;
}

function placed(lines: readonly Line[], layout: Layout): Placed[] {
  const low = layout.tapeTop - 6;
  return lines.reduce<Placed[]>((list, l) => {
    const at = layout.base - l.level * layout.scale;
    const y = Math.min(low, Math.max(60, at));
    const name = Math.max(y - 4, (list.at(-1)?.name ?? -Infinity) + 18);
    return [...list, { ...l, y: y === at ? y : null, name }];
  }, []);
}

/** Levels over the drawing at Set out: the lines across it, their names at its right edge. */
export function LevelLines({
  view,
  layout,
  show,
}: {
  view: BenchView;
  layout: Layout;
  show: Show;
}): ReactNode {
  return (
    <g pointerEvents="none" aria-hidden="true">
      {placed(linesOf(view), layout).map((l) => (
        <g key={l.says}>
          {l.y !== null && (
            <line
              x1="0"
              x2={layout.width}
              y1={l.y}
              y2={l.y}
              stroke={l.ink}
              strokeWidth="1.6"
              strokeDasharray={l.dash}
            />
          )}
          <text
            x={layout.width - 36}
            y={l.name}
            textAnchor="end"
            className="text-[12px] font-semibold"
            fill={l.ink}
            stroke="#efebe1"
            strokeWidth="5"
            paintOrder="stroke"
          >
            {l.says} {l.level < -0.5 ? '−' : ''}
            {showMm(Math.abs(l.level), show)}
          </text>
        </g>
      ))}
    </g>
  );
}
