import { INCH, showMm, type BenchView, type Show } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { useRef, type KeyboardEvent, type ReactNode } from 'react';
import { labelOf } from '../state/newId';
import { useInks } from '../state/scheme';
import { look, useViewing } from '../state/view';
import { useTell } from '../state/words';
import { TypesetInDrawing } from '../ui/Typeset';
import type { Layout } from './layout';
import { openingEdit, type BenchOpening, type Part } from './openingEdits';
import { useGrip } from './useGrip';

interface Props {
  view: BenchView;
  layout: Layout;
  show: Show;
}

/** How near, in pixels, a dragged jamb must come to a perp to settle on it. */
const REACH = 9;

function Handle({
  part,
  x,
  y,
  o,
  ...rest
}: Props & { part: Part; x: number; y: number; o: BenchOpening }): ReactNode {
  // Of a small opening the middle stays free, to take it by.
  const across = part === 'left' || part === 'right' ? o.to - o.from : o.head - o.sill;
  const inner = Math.min(12, (across * rest.layout.scale) / 4);
  const ref = useRef<SVGRectElement>(null);
  useOpeningGrip(ref, part, o, rest);
  return (
    <rect
      ref={ref}
      x={x - (part === 'right' ? inner : 12)}
      y={y - (part === 'sill' ? inner : 12)}
      width={12 + (part === 'left' || part === 'right' ? inner : 12)}
      height={12 + (part === 'head' || part === 'sill' ? inner : 12)}
      fill="transparent"
      className={part === 'left' || part === 'right' ? 'cursor-ew-resize' : 'cursor-ns-resize'}
      data-part={part}
      aria-hidden="true"
    />
  );
}

/** An opening by one of its parts: pulled to where the hand is, or moved as a whole by the arrows. */
function useOpeningGrip(
  ref: { current: SVGElement | null },
  part: Part,
  o: BenchOpening,
  { view, layout, show }: Props,
): (event: KeyboardEvent) => void {
  return useGrip(ref, {
    now: { view, layout, show, o },
    taken: (at) => look({ opening: at.o.id }),
    dragged: (from, dx, dy) => {
      const { scale } = from.layout;
      return openingEdit(from.view, from.o, part, dx / scale, -dy / scale, REACH / scale, from.show);
    },
    nudged: (at, way, event) => {
      if (part !== 'body' || way.x === 0) return null;
      const by = event.shiftKey ? at.view.wall.module / 2 : at.show === 'mm' ? 10 : INCH;
      return openingEdit(at.view, at.o, 'body', way.x * by, 0, 0, at.show);
    },
  });
}

export function OpeningMark({ o, ...props }: Props & { o: BenchOpening }): ReactNode {
  const { layout, show } = props;
  const tell = useTell();
  const body = useRef<SVGGElement>(null);
  const nudge = useOpeningGrip(body, 'body', o, props);
  const inks = useInks();
  const chosen = useViewing((s) => s.opening === o.id);
  const [x, y] = [layout.left + o.from * layout.scale, layout.base - o.head * layout.scale];
  const [w, h] = [(o.to - o.from) * layout.scale, (o.head - o.sill) * layout.scale];
  const size = `${showMm(o.to - o.from, show)} × ${showMm(o.head - o.sill, show)}`;
  const name = o.name.length * 8 < w ? o.name : labelOf(o.id);
  // Drawn from its own corner and carried as one: a drag then changes one attribute a frame, not one a part.
  return (
    <g transform={`translate(${x} ${y})`}>
      <g
        ref={body}
        role="button"
        tabIndex={0}
        data-opening={o.id}
        className="cursor-ew-resize touch-none"
        aria-label={tell(BENCH.openingSays({ name: o.name, size, from: o.from }))}
        onKeyDown={nudge}
        onFocus={() => look({ opening: o.id })}
      >
        <rect width={w} height={h} fill={inks.sheet} stroke={inks.ink} strokeWidth={chosen ? 3 : 1.6} />
        {w > 34 && h > 40 && (
          <>
            <text
              x={w / 2}
              y={h / 2 - 3}
              textAnchor="middle"
              className="fill-ink font-sans text-small font-bold"
            >
              {name}
            </text>{' '}
            {size.length * 7 < w && (
              <text x={w / 2} y={h / 2 + 15} textAnchor="middle" className="figures fill-ink text-fine">
                <TypesetInDrawing words={size} />
              </text>
            )}
          </>
        )}
      </g>
      <Handle {...props} o={o} part="left" x={0} y={h / 2} />
      <Handle {...props} o={o} part="right" x={w} y={h / 2} />
      <Handle {...props} o={o} part="head" x={w / 2} y={0} />
      {o.sill > 0 && <Handle {...props} o={o} part="sill" x={w / 2} y={h} />}
    </g>
  );
}
