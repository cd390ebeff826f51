import type { BenchView } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useInks } from '../state/scheme';
import { useViewing } from '../state/view';
import { pieceIn } from './chosenPiece';
import type { Layout } from './layout';

interface Props {
  view: BenchView;
  layout: Layout;
}

/** Air bricks and vents: slots across the unit they stand in for. */
export function AirBricks({ view, layout }: Props): ReactNode {
  const inks = useInks();
  return view.elevation.shapes.map((s, i) => {
    if (s.type !== 'rect' || s.role !== 'vent') return null;
    const [x, w, h] = [layout.left + s.x * layout.scale, s.w * layout.scale, s.h * layout.scale];
    const y = layout.base - (s.y + s.h) * layout.scale;
    return (
      <g key={i} pointerEvents="none">
        <rect x={x} y={y} width={w} height={h} fill={inks.glass} stroke={inks.ink} />
        {[0.2, 0.4, 0.6, 0.8].map((part) => (
          <line
            key={part}
            x1={x + part * w}
            x2={x + part * w}
            y1={y + h * 0.2}
            y2={y + h * 0.8}
            stroke={inks.ink}
            strokeWidth="2"
          />
        ))}
      </g>
    );
  });
}

/** The unit that was pressed, ringed in ink. */
export function ChosenUnit({ view, layout }: Props): ReactNode {
  const inks = useInks();
  const at = useViewing((s) => s.piece);
  const course = useViewing((s) => s.course);
  const piece = at === null ? null : pieceIn(view, course, at);
  if (!piece) return null;
  return (
    <rect
      x={layout.left + piece.from * layout.scale}
      y={layout.base - piece.top * layout.scale}
      width={(piece.to - piece.from) * layout.scale}
      height={(piece.top - piece.bottom) * layout.scale}
      fill="none"
      stroke={inks.ink}
      strokeWidth="3"
      pointerEvents="none"
    />
  );
}
