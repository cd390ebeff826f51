import type { BenchView } from '@even-tally/core';
import { memo, type ReactNode } from 'react';
import type { Layout } from './layout';

const INK = '#22272b';
const SHEET = '#f7f3e9';
const WET = '#1c5c8f';

/** A wall tie, end on. The same mark stands in the panel's words. */
export const TieMark = ({ x, y, edge }: { x: number; y: number; edge: boolean }): ReactNode => (
  <rect
    x={x - 3.5}
    y={y - 3.5}
    width="7"
    height="7"
    transform={`rotate(45 ${x} ${y})`}
    fill={edge ? SHEET : INK}
    stroke={edge ? INK : SHEET}
    strokeWidth={edge ? 2 : 1}
  />
);

/** A tray seen from outside: its stop ends turned up. */
export const trayPath = (from: number, to: number, y: number): string =>
  `M${from} ${y - 9}V${y}H${to}V${y - 9}`;

/** An open perp: water comes out of it. */
export const WeepMark = ({ x, y }: { x: number; y: number }): ReactNode => (
  <path d={`M${x} ${y - 11}v9m-3 -3l3 4l3 -4`} fill="none" stroke={WET} strokeWidth="2" />
);

/** What goes across the cavity and into it: the ties, trays, weeps, sleeves and the damp-proof course. */
export const CavityLayer = memo(function CavityLayer({
  view,
  layout,
}: {
  view: BenchView;
  layout: Layout;
}): ReactNode {
  const places = view.steel.cavity?.places;
  if (!places) return null;
  const x = (along: number): number => layout.left + along * layout.scale;
  const y = (up: number): number => layout.base - up * layout.scale;
  const length = view.runs[view.run]?.length ?? 0;
  return (
    <g pointerEvents="none" data-cavity={places.ties.length}>
      {places.dpc !== null && (
        <line
          x1={x(0) - 6}
          x2={x(length) + 6}
          y1={y(places.dpc)}
          y2={y(places.dpc)}
          stroke={INK}
          strokeWidth="3"
        />
      )}
      {places.sleeves.map((s) => (
        <rect
          key={`${s.from}|${s.bottom}`}
          x={x(s.from) - 3}
          y={y(s.top) - 3}
          width={(s.to - s.from) * layout.scale + 6}
          height={(s.top - s.bottom) * layout.scale + 6}
          fill="none"
          stroke={INK}
          strokeWidth="1.5"
          strokeDasharray="4 2"
        />
      ))}
      {places.ties.map((t) => (
        <TieMark key={`${t.at}|${t.level}`} x={x(t.at)} y={y(t.level)} edge={t.edge} />
      ))}
      {places.trays.map((t) => (
        <path
          key={`${t.from}|${t.level}`}
          d={trayPath(x(t.from), x(t.to), y(t.level))}
          fill="none"
          stroke={WET}
          strokeWidth="3"
        />
      ))}
      {places.weeps.map((w) => (
        <WeepMark key={`${w.at}|${w.level}`} x={x(w.at)} y={y(w.level)} />
      ))}
    </g>
  );
});
