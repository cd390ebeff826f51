import { showMm, type SheetView, type Show } from '@even-tally/core';
import type { ReactNode } from 'react';
import { look, useViewing } from '../state/view';
import type { Layout } from './layout';

const WIDTH = 158;
const POLE = 66;
const STAFF = 28;
const BED_INK = { target: 'none', tight: '#9a6700', open: '#9a6700', out: '#ae2a1c' } as const;
const BED_SIGN = { target: '', tight: '−', open: '+', out: '!' } as const;

/** Heights that would lie on one another are pushed apart, bottom up. */
function spaced(
  flags: SheetView['flags'],
  y: (mm: number) => number,
): { name: string; y: number; at: number; onMark: boolean }[] {
  const list = flags.map((f) => ({ ...f, y: y(f.at) })).sort((a, b) => b.y - a.y);
  let last = Infinity;
  return list.map((f) => {
    last = Math.min(f.y, last - 17);
    return { name: f.name, at: f.at, onMark: f.onMark, y: last };
  });
}

/** The story pole at the wall's own scale: cumulative heights, numbers, fixed heights, and beds off their target. */
export function Pole({ view, layout, show }: { view: SheetView; layout: Layout; show: Show }): ReactNode {
  const live = useViewing((s) => s.course);
  const y = (mm: number): number => layout.base - mm * layout.scale;
  const top = Math.max(view.wall.height, view.wall.built);
  const every =
    [1, 2, 3, 4, 5, 6, 8, 10, 12, 20, 25, 50, 100].find((n) => n * view.wall.pitch * layout.scale >= 15) ??
    200;
  const roomy = view.wall.pitch * layout.scale >= 13;
  return (
    <svg width={WIDTH} height={layout.height} role="group" aria-label="Story pole">
      <text
        x={POLE + STAFF / 2}
        y="24"
        textAnchor="middle"
        className="fill-ink font-narrow text-[15px] font-bold"
      >
        Story pole
      </text>
      <rect
        x={POLE}
        y={y(top)}
        width={STAFF}
        height={Math.max(0, layout.base - y(top)) + 4}
        fill="#d9b47c"
        stroke="#5d431f"
      />
      {view.marks.map((m) => {
        const c = view.courses[m.course - 1];
        if (!c) return null;
        const isLive = m.course === live;
        const figured = m.course % every === 0 || m.course === view.marks.length || isLive;
        return (
          <g key={m.course} onPointerDown={() => look({ course: m.course })} style={{ cursor: 'pointer' }}>
            {isLive && (
              <rect
                x={POLE}
                y={y(c.top)}
                width={STAFF}
                height={(c.top - c.bottom) * layout.scale}
                fill="#f0641e"
              />
            )}
            {m.state !== 'target' && (
              <rect
                x={POLE}
                y={y(c.bottom + c.bed)}
                width={STAFF}
                height={Math.max(2.5, c.bed * layout.scale)}
                fill={BED_INK[m.state]}
              />
            )}
            <line
              x1={POLE}
              x2={POLE + STAFF}
              y1={y(m.top)}
              y2={y(m.top)}
              stroke="#22272b"
              strokeWidth="1.4"
            />
            {(roomy || figured) && (
              <text
                x={POLE + STAFF / 2}
                y={y((c.bottom + c.top) / 2) + 4.5}
                textAnchor="middle"
                className="figures fill-ink text-[12px] font-semibold"
              >
                {m.course}
                {roomy ? BED_SIGN[m.state] : ''}
              </text>
            )}
            {figured && (
              <text
                x={POLE - 6}
                y={y(m.top) + 4}
                textAnchor="end"
                className={`figures fill-ink text-[12px] ${isLive ? 'font-semibold' : ''}`}
              >
                {showMm(m.top, show)}
              </text>
            )}
          </g>
        );
      })}
      {spaced(view.flags, y).map((f) => (
        <g key={f.at}>
          <path
            d={`M${POLE + STAFF} ${y(f.at)} L${POLE + STAFF + 8} ${f.y - 8} H${WIDTH - 2} V${f.y + 8} H${POLE + STAFF + 8} Z`}
            fill={f.onMark ? '#e6eef8' : '#fbe9e6'}
            stroke={f.onMark ? '#1e5aa0' : '#ae2a1c'}
          />
          <text
            x={POLE + STAFF + 11}
            y={f.y + 4}
            className={`text-[12px] font-semibold ${f.onMark ? 'fill-chalk' : 'fill-fault'}`}
          >
            {shorten(f.name)}
          </text>
        </g>
      ))}
      <text x={POLE + STAFF / 2} y={layout.base + 24} textAnchor="middle" className="fill-soft text-[12px]">
        base 0
      </text>
    </svg>
  );
}

const shorten = (name: string): string => {
  const plain = name.replace(/\b(\p{L})[\p{L}\s]* (sill|head)$/u, (whole, _first: string, which: string) =>
    whole.length > 9 ? which : whole,
  );
  return plain.length > 9 ? `${plain.slice(0, 8)}…` : plain;
};
