import { drag as d3drag } from 'd3-drag';
import { select } from 'd3-selection';
import { sayMm, showMm, type BenchView, type Show, type StageName } from '@even-tally/core';
import { memo, useEffect, useRef, type KeyboardEvent, type ReactNode } from 'react';
import { useJob } from '../state/job';
import { labelOf } from '../state/newId';
import { look, useViewing } from '../state/view';
import { LevelLines } from './LevelLines';
import { CavityLayer } from './CavityLayer';
import { openingEdit, type Part, type BenchOpening } from './openingEdits';
import { pieceIn } from './chosenPiece';
import { onThePage } from './onThePage';
import { paintElevation } from './paint';
import type { Layout } from './layout';
import { MovementJoints, SteelLayer } from './SteelLayer';

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

function OpeningMark({ o, ...props }: Props & { o: BenchOpening }): ReactNode {
  const { edit } = useJob();
  const { layout, show, view } = props;
  const body = useRef<SVGGElement>(null);
  useDragRef(body, 'body', o, props);
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
        <rect width={w} height={h} fill="#fbfaf5" stroke="#22272b" strokeWidth={chosen ? 3 : 1.6} />
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
                {size}
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

/** Perps in line and bars across a joint: one path, since a wall off its bond has hundreds. */
function BadJoints({ view, layout }: Props): ReactNode {
  const x = (mm: number): number => layout.left + mm * layout.scale;
  const y = (mm: number): number => layout.base - mm * layout.scale;
  let d = '';
  for (const s of view.elevation.shapes)
    if (s.type === 'line' && s.role === 'bad-joint') d += `M${x(s.x1)} ${y(s.y1)}L${x(s.x2)} ${y(s.y2)}`;
  return d === '' ? null : <path d={d} fill="none" stroke="#ae2a1c" strokeWidth="4" pointerEvents="none" />;
}

const LETTER_INK = { fault: '#ae2a1c', choice: '#22272b', note: '#7d5400' } as const;

/** Letters in the order they stand, those that would lie on one another set apart sideways. */
function lettersOf({
  view,
  layout,
}: Props): { letter: string; severity: keyof typeof LETTER_INK; x: number; y: number }[] {
  const placed: { letter: string; severity: keyof typeof LETTER_INK; x: number; y: number }[] = [];
  for (const s of view.elevation.shapes) {
    if (s.type !== 'text' || !s.role.startsWith('letter-')) continue;
    let x = Math.min(layout.width - 16, Math.max(16, layout.left + s.x * layout.scale));
    const y = layout.base - s.y * layout.scale;
    while (placed.some((p) => Math.abs(p.x - x) < 27 && Math.abs(p.y - y) < 27)) x += 28;
    placed.push({ letter: s.text, severity: s.role.slice(7) as keyof typeof LETTER_INK, x, y });
  }
  return placed;
}

/** Air bricks and vents: slots across the unit they stand in for. */
function AirBricks({ view, layout }: Props): ReactNode {
  return view.elevation.shapes.map((s, i) => {
    if (s.type !== 'rect' || s.role !== 'vent') return null;
    const [x, w, h] = [layout.left + s.x * layout.scale, s.w * layout.scale, s.h * layout.scale];
    const y = layout.base - (s.y + s.h) * layout.scale;
    return (
      <g key={i} pointerEvents="none">
        <rect x={x} y={y} width={w} height={h} fill="#f4f0e4" stroke="#22272b" />
        {[0.2, 0.4, 0.6, 0.8].map((part) => (
          <line
            key={part}
            x1={x + part * w}
            x2={x + part * w}
            y1={y + h * 0.2}
            y2={y + h * 0.8}
            stroke="#22272b"
            strokeWidth="2"
          />
        ))}
      </g>
    );
  });
}

/** The unit that was pressed, ringed in ink. */
function ChosenUnit({ view, layout }: Props): ReactNode {
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
      stroke="#22272b"
      strokeWidth="3"
      pointerEvents="none"
    />
  );
}

/** The face of the wall: units on canvas, everything that can be touched over it. */
export const Elevation = memo(DrawnElevation);

function DrawnElevation({ stage, ...props }: Props & { stage: StageName }): ReactNode {
  const { view, layout, show } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const live = useViewing((s) => s.course);
  const chosen = useViewing((s) => s.letter);
  useEffect(() => {
    if (canvas.current) paintElevation(canvas.current, view.elevation, layout, { live });
  }, [view, layout, live]);
  const y = (mm: number): number => layout.base - mm * layout.scale;
  const course = view.courses[live - 1];
  const summary = `${view.runs[view.run]?.name ?? ''} seen from outside: ${view.courses.length} courses, ${view.openings.filter((o) => o.run === view.run).length} openings, ${view.says.length} findings. The same as a list is under the button Read as a list.`;
  return (
    <>
      <canvas
        ref={canvas}
        role="img"
        aria-label={summary}
        className="absolute inset-0"
        style={{ width: layout.width, height: layout.height }}
      />
      <svg
        className="absolute inset-0"
        width={layout.width}
        height={layout.height}
        onPointerDown={(e) => {
          // A press on an opening or a letter is meant for it, not for the course behind.
          if ((e.target as Element).closest('[role="button"], [data-part]')) return;
          const box = e.currentTarget.getBoundingClientRect();
          const mm = (layout.base - (e.clientY - box.top)) / layout.scale;
          const hit = view.courses.find((c) => mm >= c.bottom && mm < c.top);
          const along = (e.clientX - box.left - layout.left) / layout.scale;
          if (hit) look({ course: hit.number, piece: pieceIn(view, hit.number, along) ? along : null });
        }}
      >
        {view.elevation.shapes.map((s, i) =>
          s.type === 'rect' && s.role === 'short' ? (
            <g key={i}>
              <rect
                x={layout.left + s.x * layout.scale}
                y={y(s.y + s.h)}
                width={s.w * layout.scale}
                height={s.h * layout.scale}
                fill="none"
                stroke="#ae2a1c"
                strokeDasharray="7 5"
              />
              <text
                x={layout.left + (s.x + s.w) * layout.scale - 6}
                y={y(s.y + s.h) - 6}
                textAnchor="end"
                className="fill-fault text-[12px] font-semibold"
              >
                {sayMm(s.h, show)} not built
              </text>
            </g>
          ) : null,
        )}
        {stage === 'steel' && <SteelLayer {...props} />}
        {stage === 'steel' && <CavityLayer view={view} layout={layout} />}
        <MovementJoints view={view} layout={layout} />
        {view.openings
          .filter((o) => o.run === view.run)
          .map((o) => (
            <OpeningMark key={o.id} {...props} o={o} />
          ))}
        {course && (
          <g pointerEvents="none">
            <line
              x1="0"
              x2={layout.width}
              y1={y(course.top)}
              y2={y(course.top)}
              stroke="#f0641e"
              strokeWidth="2"
            />
            <rect x={layout.width - 30} y={y(course.top) - 11} width="30" height="22" fill="#f0641e" />
            <text
              x={layout.width - 15}
              y={y(course.top) + 5}
              textAnchor="middle"
              className="figures fill-ink text-[13px] font-semibold"
            >
              {course.number}
            </text>
          </g>
        )}
        {stage === 'set-out' && <LevelLines {...props} />}
        <AirBricks {...props} />
        {stage !== 'steel' && <ChosenUnit {...props} />}
        <BadJoints {...props} />
        {lettersOf(props).map((l) => (
          <g
            key={l.letter}
            transform={`translate(${l.x} ${l.y})`}
            role="button"
            tabIndex={0}
            aria-label={`Finding ${l.letter}`}
            className="cursor-pointer"
            onClick={() => look({ letter: l.letter })}
            onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && look({ letter: l.letter })}
          >
            <circle
              r="13"
              fill={chosen === l.letter ? '#f4e07a' : '#fff'}
              stroke={LETTER_INK[l.severity]}
              strokeWidth="2.4"
            />
            <text y="5" textAnchor="middle" fill={LETTER_INK[l.severity]} className="text-[14px] font-bold">
              {l.letter}
            </text>
          </g>
        ))}
      </svg>
    </>
  );
}
