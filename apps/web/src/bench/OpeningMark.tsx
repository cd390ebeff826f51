import { drag as d3drag } from 'd3-drag';
import { select } from 'd3-selection';
import { sayMm, showMm, type BenchView, type Show } from '@even-tally/core';
import { useEffect, useRef, type KeyboardEvent, type ReactNode } from 'react';
import { useJob } from '../state/job';
import { labelOf } from '../state/newId';
import { useInks } from '../state/scheme';
import { look, useViewing } from '../state/view';
import { TypesetInDrawing } from '../ui/Typeset';
import type { Layout } from './layout';
import { onThePage } from './onThePage';
import { openingEdit, type BenchOpening, type Part } from './openingEdits';

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
  const ref = useRef<SVGRectElement>(null);
  useDragRef(ref, part, o, rest);
  return (
    <rect
      ref={ref}
      x={x - 12}
      y={y - 12}
      width="24"
      height="24"
      fill="transparent"
      className={part === 'left' || part === 'right' ? 'cursor-ew-resize' : 'cursor-ns-resize'}
      data-part={part}
      aria-hidden="true"
    />
  );
}

function useDragRef(ref: { current: SVGElement | null }, part: Part, o: BenchOpening, props: Props): void {
  const { drag, drop } = useJob();
  const now = useRef({ ...props, o });
  useEffect(() => {
    now.current = { ...props, o };
  });
  useEffect(() => {
    const node = ref.current;
    if (!node) return;
    let from = { x: 0, y: 0 };
    let start = now.current;
    let steps: ReturnType<typeof openingEdit> = [];
    const behaviour = d3drag<SVGElement, unknown>()
      .container(onThePage)
      .on('start', (event: { x: number; y: number }) => {
        from = { x: event.x, y: event.y };
        start = now.current;
        steps = [];
        look({ opening: start.o.id });
      })
      .on('drag', (event: { x: number; y: number }) => {
        const { scale } = start.layout;
        const next = openingEdit(
          start.view,
          start.o,
          part,
          (event.x - from.x) / scale,
          (from.y - event.y) / scale,
          REACH / scale,
          start.show,
        );
        if (drag(next)) steps = next;
      })
      .on('end', () => drop(steps));
    select(node).call(behaviour);
    return () => void select(node).on('.drag', null);
  }, [ref, part, drag, drop]);
}

export function OpeningMark({ o, ...props }: Props & { o: BenchOpening }): ReactNode {
  const { edit } = useJob();
  const { layout, show, view } = props;
  const body = useRef<SVGGElement>(null);
  useDragRef(body, 'body', o, props);
  const inks = useInks();
  const chosen = useViewing((s) => s.opening === o.id);
  const [x, y] = [layout.left + o.from * layout.scale, layout.base - o.head * layout.scale];
  const [w, h] = [(o.to - o.from) * layout.scale, (o.head - o.sill) * layout.scale];
  const nudge = (event: KeyboardEvent): void => {
    const by = event.shiftKey ? view.wall.module / 2 : show === 'mm' ? 10 : 25.4;
    const moves: Record<string, [number, number]> = { ArrowLeft: [-by, 0], ArrowRight: [by, 0] };
    const move = moves[event.key];
    if (!move) return;
    event.preventDefault();
    event.stopPropagation();
    look({ opening: o.id });
    edit(openingEdit(view, o, 'body', move[0], move[1], 0, show));
  };
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
        aria-label={`${o.name}, ${size}, ${sayMm(o.from, show)} from the start. Arrow keys move it.`}
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
              className="fill-ink font-sans text-[13px] font-bold"
            >
              {name}
            </text>{' '}
            {size.length * 7 < w && (
              <text x={w / 2} y={h / 2 + 15} textAnchor="middle" className="figures fill-ink text-[12px]">
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
