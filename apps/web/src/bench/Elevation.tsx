import { drag as d3drag } from 'd3-drag';
import { select } from 'd3-selection';
import {
  sayMm,
  showMm,
  THEME,
  type BenchView,
  type Role,
  type SceneShape,
  type Show,
  type StageName,
} from '@even-tally/core';
import { memo, useEffect, useMemo, useRef, type KeyboardEvent, type ReactNode } from 'react';
import { useJob } from '../state/job';
import { labelOf } from '../state/newId';
import { TypesetInDrawing } from '../ui/Typeset';
import { useInks } from '../state/scheme';
import { look, useViewing } from '../state/view';
import { LevelLines } from './LevelLines';
import { openingEdit, type Part, type BenchOpening } from './openingEdits';
import { pieceIn } from './chosenPiece';
import { onThePage } from './onThePage';
import { paintElevation } from './paint';
import type { Layout } from './layout';
import { Shapes } from './Shapes';
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

/** Roles drawn straight from the scene over the canvas. */
const SHORT: readonly Role[] = ['short', 'short-name'];
const WRONG: readonly Role[] = ['bad-joint'];

/** Shapes of some roles, as the theme has them. */
function Of({ roles, view, layout }: Pick<Props, 'view' | 'layout'> & { roles: readonly Role[] }): ReactNode {
  const { shapes } = view.elevation;
  const some = useMemo(() => shapes.filter((s) => roles.includes(s.role)), [shapes, roles]);
  return <Shapes shapes={some} layout={layout} />;
}

type Letter = Extract<SceneShape, { type: 'mark' }>;

/** Letters in the order they stand, those that would lie on one another set apart sideways. */
function lettersOf({ view, layout }: Props): { mark: Letter; x: number; y: number }[] {
  const placed: { mark: Letter; x: number; y: number }[] = [];
  for (const s of view.elevation.shapes) {
    if (s.type !== 'mark' || s.text === undefined) continue;
    let x = Math.min(layout.width - 16, Math.max(16, layout.left + s.x * layout.scale));
    const y = layout.base - s.y * layout.scale;
    while (placed.some((p) => Math.abs(p.x - x) < 27 && Math.abs(p.y - y) < 27)) x += 28;
    placed.push({ mark: s, x, y });
  }
  return placed;
}

/** Findings as chalk letters, each to be pressed. */
function Letters(props: Props): ReactNode {
  const inks = useInks();
  const chosen = useViewing((s) => s.letter);
  return lettersOf(props).map(({ mark, x, y }) => {
    const letter = mark.text ?? '';
    const theme = THEME[mark.role] ?? {};
    const ink = inks[theme.ink ?? 'ink'];
    return (
      <g
        key={letter}
        transform={`translate(${x} ${y})`}
        role="button"
        tabIndex={0}
        aria-label={`Finding ${letter}`}
        className="cursor-pointer"
        onClick={() => look({ letter })}
        onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && look({ letter })}
      >
        <path
          d={theme.glyph}
          fill={chosen === letter ? inks.tape : inks.sheet}
          stroke={ink}
          strokeWidth={theme.weight}
        />
        <text y="5" textAnchor="middle" fill={ink} className="text-[14px] font-bold">
          {letter}
        </text>
      </g>
    );
  });
}

/** Air bricks and vents: slots across the unit they stand in for. */
function AirBricks({ view, layout }: Props): ReactNode {
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
function ChosenUnit({ view, layout }: Props): ReactNode {
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

/** The face of the wall: units on canvas, everything that can be touched over it. */
export const Elevation = memo(DrawnElevation);

function DrawnElevation({ stage, ...props }: Props & { stage: StageName }): ReactNode {
  const { view, layout } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const live = useViewing((s) => s.course);
  const inks = useInks();
  useEffect(() => {
    if (canvas.current) paintElevation(canvas.current, view.elevation, layout, { inks });
  }, [view, layout, inks]);
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
        <Of {...props} roles={SHORT} />
        {stage === 'steel' && <SteelLayer {...props} />}
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
              stroke={inks.live}
              strokeWidth="2"
            />
            <rect x={layout.width - 30} y={y(course.top) - 11} width="30" height="22" fill={inks.live} />
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
        {stage === 'set-out' && <LevelLines view={view} layout={layout} />}
        <AirBricks {...props} />
        {stage !== 'steel' && <ChosenUnit {...props} />}
        <Of {...props} roles={WRONG} />
        <Letters {...props} />
      </svg>
    </>
  );
}
