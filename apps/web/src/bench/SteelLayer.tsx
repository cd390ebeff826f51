import { sayMm, type CellShown, type BenchView, type Show } from '@even-tally/core';
import { memo, type KeyboardEvent, type ReactNode } from 'react';
import { look, useViewing } from '../state/view';
import type { Layout } from './layout';

interface Props {
  view: BenchView;
  layout: Layout;
  show: Show;
}

const GROUT = '#5b7186';
const RUST = '#9a4318';

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

const boxOf = (layout: Layout, from: number, to: number, bottom: number, top: number): Box => ({
  x: layout.left + from * layout.scale,
  y: layout.base - top * layout.scale,
  width: (to - from) * layout.scale,
  height: (top - bottom) * layout.scale,
});

const isChosen = (cell: CellShown, at: { at: number; bottom: number } | null): boolean =>
  at !== null && Math.abs(cell.at - at.at) < 1 && Math.abs(cell.bottom - at.bottom) < 1;

/** The cell next along the wall, for the arrow keys. */
export function stepCell(
  cells: readonly CellShown[],
  at: { at: number; bottom: number } | null,
  by: 1 | -1,
): { at: number; bottom: number } | null {
  const here = cells.findIndex((c) => isChosen(c, at));
  const next = cells[here < 0 ? 0 : Math.min(cells.length - 1, Math.max(0, here + by))];
  return next ? { at: next.at, bottom: next.bottom } : null;
}

/** Cells that can be pressed, filled ones in slate blue: one stop for the keyboard, arrows go along. */
function Cells({ view, layout, show }: Props): ReactNode {
  const at = useViewing((s) => s.cell);
  const { cells } = view.steel;
  const step = (event: KeyboardEvent): void => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : null;
    if (by === null) return;
    event.preventDefault();
    event.stopPropagation();
    look({ cell: stepCell(cells, at, by) });
  };
  const chosen = cells.find((c) => isChosen(c, at));
  const says = chosen
    ? `Cell at ${sayMm(chosen.at, show)}, ${chosen.bar ? `bar ${chosen.bar}` : 'no bar'}, ${chosen.filled ? 'filled' : 'empty'}.`
    : `${cells.length} cells.`;
  return (
    <g
      role="application"
      tabIndex={0}
      aria-label={`Continuous cells. ${says} Arrow keys go along them.`}
      onKeyDown={step}
      // The cell in its ring is what has the focus; the whole face in one would hide it.
      style={{ outline: 'none' }}
      onFocus={() => at === null && look({ cell: stepCell(cells, null, 1) })}
      data-cells={cells.length}
    >
      {cells.map((c) => {
        const box = boxOf(layout, c.from, c.to, c.bottom, c.top);
        return (
          <rect
            key={`${c.at}|${c.bottom}`}
            {...box}
            data-cell={Math.round(c.at)}
            fill={c.filled ? GROUT : '#fbfaf5'}
            fillOpacity={c.filled ? 0.72 : 0.14}
            stroke={isChosen(c, at) ? '#22272b' : 'none'}
            strokeWidth="3"
            className="cursor-pointer"
            onClick={() => look({ cell: { at: c.at, bottom: c.bottom } })}
          />
        );
      })}
    </g>
  );
}

/** An upright of one cell, drawn broken where it stands toward the room, past the middle of its leaf. */
function Upright({
  view,
  layout,
  at,
  bottom,
  top,
}: Props & Pick<CellShown, 'at' | 'bottom' | 'top'>): ReactNode {
  const x = layout.left + at * layout.scale;
  const { place } = view.steel;
  return (
    <line
      x1={x}
      x2={x}
      y1={layout.base - bottom * layout.scale + (bottom === 0 ? 12 : 0)}
      y2={layout.base - top * layout.scale + 4}
      stroke={RUST}
      strokeWidth={Math.max(2, 14 * layout.scale)}
      strokeDasharray={place && place.off < 0 ? '8 3' : undefined}
    />
  );
}

/** Uprights and beams in rust, drawn no thinner than can be seen. */
function Bars({ view, layout, show }: Props): ReactNode {
  const { cells, beams } = view.steel;
  const wide = Math.max(2, 14 * layout.scale);
  return (
    <g pointerEvents="none">
      {cells.map(
        ({ at, bottom, top, bar }) =>
          bar !== null && <Upright key={`${at}|${bottom}`} {...{ view, layout, show, at, bottom, top }} />,
      )}
      {beams.flatMap((b, k) => {
        const rows = Math.min(b.count, 3);
        return Array.from({ length: rows }, (_, i) => {
          const y = layout.base - (b.bottom + ((i + 1) / (rows + 1)) * (b.top - b.bottom)) * layout.scale;
          return (
            <line
              key={`${k}|${i}`}
              x1={layout.left + (b.from + 50) * layout.scale}
              x2={layout.left + (b.to - 50) * layout.scale}
              y1={y}
              y2={y}
              stroke={RUST}
              strokeWidth={wide}
            />
          );
        });
      })}
    </g>
  );
}

/** Reinforcement laid in the beds: two wires of it, drawn as one broken line. */
function Beds({ view, layout }: Props): ReactNode {
  return (
    <g pointerEvents="none" data-beds={view.steel.beds.length}>
      {view.steel.beds.map((b) => (
        <line
          key={`${b.from}|${b.level}`}
          x1={layout.left + (b.from + 40) * layout.scale}
          x2={layout.left + (b.to - 40) * layout.scale}
          y1={layout.base - b.level * layout.scale}
          y2={layout.base - b.level * layout.scale}
          stroke={RUST}
          strokeWidth="2.4"
          strokeDasharray="9 3"
        />
      ))}
    </g>
  );
}

/** Grout that lies along the wall: beams, and courses filled solid. */
function Solid({ view, layout }: Props): ReactNode {
  const { beams, solid, volume } = view.steel;
  const length = view.runs[view.run]?.length ?? 0;
  if (volume.geometric === 0) return null;
  return (
    <g pointerEvents="none">
      {solid.map((s) => (
        <rect key={s.bottom} {...boxOf(layout, 0, length, s.bottom, s.top)} fill={GROUT} fillOpacity="0.72" />
      ))}
      {beams.map((b, i) => (
        <rect key={i} {...boxOf(layout, b.from, b.to, b.bottom, b.top)} fill={GROUT} fillOpacity="0.72" />
      ))}
    </g>
  );
}

/** The corner at the end of the run: the next run's bar, seen from this side too. */
function Corner({ view, layout, show }: Props): ReactNode {
  return (
    <g pointerEvents="none">
      {view.steel.corner.map((c) => {
        const { at, bottom, top } = c;
        return (
          <g key={bottom}>
            {c.filled && (
              <rect
                {...boxOf(layout, c.at - c.wide / 2, c.at + c.wide / 2, c.bottom, c.top)}
                fill={GROUT}
                fillOpacity="0.72"
              />
            )}
            {c.bar && <Upright {...{ view, layout, show, at, bottom, top }} />}
          </g>
        );
      })}
    </g>
  );
}

/** Where pours end, numbered at the wall's right end in the order they are placed. */
function Pours({ view, layout }: Props): ReactNode {
  const length = view.runs[view.run]?.length ?? 0;
  const x = layout.left + length * layout.scale;
  return (
    <g pointerEvents="none">
      {view.steel.pours.map((p) => (
        <g key={p.number}>
          <line
            x1={layout.left - 8}
            x2={x + 8}
            y1={layout.base - p.top * layout.scale}
            y2={layout.base - p.top * layout.scale}
            stroke="#22272b"
            strokeDasharray="10 4 2 4"
          />
          <text
            x={x + 5}
            y={layout.base - ((p.bottom + p.top) / 2) * layout.scale + 5}
            className="text-[12px] font-semibold"
            fill="#34485c"
          >
            pour {p.number}
          </text>
        </g>
      ))}
    </g>
  );
}

/** Starters as they were found, at the footing: a tick where one comes up clear, a cross where it does not. */
function Starters({ view, layout }: Props): ReactNode {
  return (
    <g pointerEvents="none">
      {view.steel.starters.map((s) => {
        const [x, y] = [layout.left + s.at * layout.scale, layout.base + 14];
        const ink = { clear: '#2e6b3a', touching: '#7d5400', blocked: '#ae2a1c' }[s.verdict];
        const mark =
          s.verdict === 'clear'
            ? `M${x - 4} ${y}l3 4l6 -8`
            : s.verdict === 'touching'
              ? `M${x - 5} ${y}h10`
              : `M${x - 4} ${y - 4}l8 8m0 -8l-8 8`;
        return <path key={s.id} d={mark} fill="none" stroke={ink} strokeWidth="2.4" />;
      })}
    </g>
  );
}

/** Movement joints, seen at every stage: a gap through the whole wall. */
export function MovementJoints({ view, layout }: Pick<Props, 'view' | 'layout'>): ReactNode {
  return (
    <g pointerEvents="none">
      {view.steel.joints.map((j) => {
        const x = layout.left + ((j.from + j.to) / 2) * layout.scale;
        const top = layout.base - view.wall.built * layout.scale;
        const ink = j.refused === null ? '#22272b' : '#7d5400';
        return (
          <g key={j.id}>
            <line
              x1={x}
              x2={x}
              y1={top - 8}
              y2={layout.base + 8}
              stroke={ink}
              strokeWidth={j.refused === null ? Math.max(2.5, (j.to - j.from) * layout.scale) : 1.5}
              strokeDasharray={j.refused === null ? undefined : '4 5'}
            />
            <path d={`M${x - 6} ${top - 8}h12l-6 8z`} fill={ink} />
          </g>
        );
      })}
    </g>
  );
}

/** What stands and is poured inside the wall, over its face. */
export const SteelLayer = memo(function SteelLayer(props: Props): ReactNode {
  return (
    <>
      <Solid {...props} />
      <Cells {...props} />
      <Corner {...props} />
      <Beds {...props} />
      <Bars {...props} />
      <Pours {...props} />
      <Starters {...props} />
    </>
  );
});
