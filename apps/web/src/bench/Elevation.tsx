import {
  showMm,
  type BenchView,
  type Role,
  type SceneShape,
  type Show,
  type StageName,
} from '@even-tally/core';
import { BENCH, PAPER } from '@even-tally/words';
import { memo, useEffect, useMemo, useRef, type ReactNode } from 'react';
import { useInks } from '../state/scheme';
import { look, useViewing } from '../state/view';
import { useTell } from '../state/words';
import { Letters } from './Letters';
import { LevelLines } from './LevelLines';
import { OpeningMark } from './OpeningMark';
import { Shapes } from './Shapes';
import { MovementJoints, SteelLayer } from './SteelLayer';
import { ChosenRow } from './ChosenRow';
import { AirBricks, ChosenUnit } from './UnitMarks';
import { pieceIn } from './chosenPiece';
import type { Layout } from './layout';
import { paintElevation } from './paint';

interface Props {
  view: BenchView;
  layout: Layout;
  show: Show;
}

/** Roles drawn straight from the scene over the canvas. */
const SHORT: readonly Role[] = ['short', 'short-name'];
const NONE: readonly SceneShape[] = [];
const WRONG: readonly Role[] = ['bad-joint'];

/** Shapes of some roles, as the theme has them. */
function Of({ roles, view, layout }: Pick<Props, 'view' | 'layout'> & { roles: readonly Role[] }): ReactNode {
  const { shapes } = view.elevation;
  const some = useMemo(() => shapes.filter((s) => roles.includes(s.role)), [shapes, roles]);
  return <Shapes shapes={some} layout={layout} />;
}

/** The face of the wall: units on canvas, everything that can be touched over it. */
export const Elevation = memo(DrawnElevation);

/** A length as a canvas can write it: its fonts draw no fraction from two figures and a slash. */
const plainLength = (mm: number, show: Show): string => showMm(mm, show).replace('\u2044', '/');

function DrawnElevation({ stage, ...props }: Props & { stage: StageName }): ReactNode {
  const { view, layout, show } = props;
  const tell = useTell();
  const canvas = useRef<HTMLCanvasElement>(null);
  const live = useViewing((s) => s.course);
  const drawer = useViewing((s) => s.drawer);
  const inks = useInks();
  const lit = useViewing((s) => s.row?.spots.some((spot) => spot.run === view.run) ?? false);
  // Steel is looked at through the units, and what a line speaks of among them.
  const quiet = stage === 'steel' || lit;
  useEffect(() => {
    if (canvas.current)
      paintElevation(canvas.current, view.elevation, layout, {
        inks,
        quiet,
        lengths: (mm) => plainLength(mm, show),
      });
  }, [view, layout, inks, show, quiet]);
  const y = (mm: number): number => layout.base - mm * layout.scale;
  const course = view.courses[live - 1];
  const summary = tell(
    BENCH.runSays({
      run: view.runs[view.run]?.name ?? '',
      courses: view.courses.length,
      openings: view.openings.filter((o) => o.run === view.run).length,
      findings: view.says.length,
    }),
  );
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
        onClick={(e) => {
          // A press on an opening or a letter is meant for it, not for the course behind.
          if ((e.target as Element).closest('[role="button"], [data-part]')) return;
          const box = e.currentTarget.getBoundingClientRect();
          const mm = (layout.base - (e.clientY - box.top)) / layout.scale;
          const hit = view.courses.find((c) => mm >= c.bottom && mm < c.top);
          const along = (e.clientX - box.left - layout.left) / layout.scale;
          if (!hit) return;
          look({
            course: hit.number,
            piece: pieceIn(view, hit.number, along) ? along : null,
            pressed: { run: view.run, x: along, y: mm },
            // In the tally a unit shows the line it is counted in.
            ...(stage === 'tally' && drawer === null ? { drawer: 'tally' } : {}),
          });
        }}
      >
        <Of {...props} roles={SHORT} />
        <Shapes shapes={view.over.bond ?? NONE} layout={layout} />
        {stage === 'steel' && <SteelLayer {...props} />}
        <MovementJoints view={view} layout={layout} />
        {view.openings
          .filter((o) => o.run === view.run)
          .map((o) => (
            <OpeningMark key={o.id} {...props} o={o} />
          ))}
        {course && <LiveCourse number={course.number} y={y(course.top)} width={layout.width} />}
        {stage === 'set-out' && <LevelLines view={view} layout={layout} />}
        <AirBricks {...props} />
        <ChosenRow {...props} />
        {stage !== 'steel' && <ChosenUnit {...props} />}
        <Of {...props} roles={WRONG} />
        <Letters {...props} />
      </svg>
    </>
  );
}

/** The line of the live course, and its number at the right edge: pressed, the course is seen from above. */
function LiveCourse({ number, y, width }: { number: number; y: number; width: number }): ReactNode {
  const tell = useTell();
  const inks = useInks();
  const above = (): void => look({ course: number, paper: 'course' });
  return (
    <>
      <line x1="0" x2={width} y1={y} y2={y} stroke={inks.live} strokeWidth="2" pointerEvents="none" />
      <g
        role="button"
        tabIndex={0}
        aria-label={tell(PAPER.courseFromAbove({ course: number }))}
        className="cursor-pointer"
        onClick={above}
        onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && above()}
      >
        <rect x={width - 32} y={y - 12} width="32" height="24" fill={inks.live} />
        <text
          x={width - 16}
          y={y + 5}
          textAnchor="middle"
          className="figures fill-on-live text-small font-semibold"
        >
          {number}
        </text>
      </g>
    </>
  );
}
