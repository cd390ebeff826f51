import type { FitStone, LayView } from '@even-tally/core';
import { AT_STONE } from '@even-tally/words';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { useTell } from '../../../state/words';

/** Stones as they are laid, numbered. One that is taken hold of goes to the place it is dropped on, and stays there. */
export function FitDrawing({
  lay,
  pins,
  onMove,
}: {
  lay: LayView;
  pins: readonly number[];
  /** A stone is put where another lies; null while nothing can be moved. */
  onMove: ((from: number, to: number) => void) | null;
}): ReactNode {
  const tell = useTell();
  const [held, setHeld] = useState<number | null>(null);
  const high = Math.max(lay.height, ...lay.stones.map((s) => s.y + s.h));
  const fill = (s: FitStone): string =>
    s.place === held ? 'fill-live' : pins.includes(s.place) ? 'fill-half-unit' : 'fill-unit';
  const step = (e: KeyboardEvent, s: FitStone): void => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[e.key];
    const to = s.place + (by ?? 0);
    if (by === undefined || to < 0 || to >= lay.stones.length) return;
    e.preventDefault();
    onMove?.(s.place, to);
  };
  const drop = (s: FitStone): void => {
    if (held !== null && held !== s.place) onMove?.(held, s.place);
    setHeld(null);
  };
  return (
    <svg
      viewBox={`0 0 ${lay.length} ${high}`}
      className="block max-h-72 w-full touch-none border border-rule bg-sheet"
      role="group"
      aria-label={tell(AT_STONE.layDrawn({ stones: lay.stones.length, courses: lay.courses }))}
      onPointerUp={() => setHeld(null)}
      data-lay={lay.stones.length}
    >
      {lay.around.map((o) => (
        <rect
          key={`${o.x} ${o.y}`}
          x={o.x}
          y={high - o.y - o.h}
          width={o.w}
          height={o.h}
          className="fill-paper stroke-ink"
          strokeWidth={lay.length / 300}
          data-around
        />
      ))}
      {lay.stones.map((s) => (
        <g
          key={s.place}
          role="button"
          tabIndex={0}
          className="cursor-grab focus-visible:outline-2"
          aria-label={tell(
            AT_STONE.stoneLies({
              number: s.number,
              stone: s.stone,
              long: s.w,
              high: s.h,
              pinned: pins.includes(s.place) ? 'yes' : 'no',
            }),
          )}
          onPointerDown={(e) => {
            (e.target as Element).releasePointerCapture?.(e.pointerId);
            if (onMove) setHeld(s.place);
          }}
          onPointerUp={() => drop(s)}
          onKeyDown={(e) => step(e, s)}
          data-stone={s.number}
        >
          <rect
            x={s.x}
            y={high - s.y - s.h}
            width={s.w}
            height={s.h}
            className={`${fill(s)} stroke-ink`}
            strokeWidth={lay.length / 500}
          />
          <text
            x={s.x + s.w / 2}
            y={high - s.y - s.h / 2}
            textAnchor="middle"
            dominantBaseline="central"
            className="pointer-events-none fill-ink figures"
            fontSize={Math.min(s.h * 0.5, s.w * 0.32)}
          >
            {s.number}
          </text>
        </g>
      ))}
    </svg>
  );
}
