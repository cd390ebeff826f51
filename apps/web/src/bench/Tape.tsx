import { tapeShapes, type Scene, type BenchView, type Show } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { memo, useEffect, useMemo, useRef, type ReactNode } from 'react';
import { useInks } from '../state/scheme';
import { useTell } from '../state/words';
import { Shapes } from './Shapes';
import { isLaidInCourses, type Layout } from './layout';
import { paintCourse } from './paint';

/** The tape across, px. */
const HIGH = 26;

const Course = memo(DrawnCourse);

function DrawnCourse({
  scene,
  layout,
  top,
  name,
}: {
  scene: Scene;
  layout: Layout;
  top: number;
  name: string;
}): ReactNode {
  const canvas = useRef<HTMLCanvasElement>(null);
  const high = layout.planHigh + 2;
  const inks = useInks();
  useEffect(() => {
    const flat = layout.planHigh / Math.max(1, scene.box.h * layout.scale);
    if (!canvas.current) return;
    // A thick wall is drawn a little thinner than true, a thin one thicker, so that cells can be seen.
    const squeezed = {
      ...scene,
      shapes: scene.shapes.map((s) =>
        s.type === 'rect' ? { ...s, y: (s.y - scene.box.y) * flat, h: s.h * flat } : s,
      ),
    };
    paintCourse(
      canvas.current,
      squeezed,
      { width: layout.width, height: high, scale: layout.scale, left: layout.left, base: high - 1 },
      inks,
    );
  }, [scene, layout, high, inks]);
  return (
    <>
      <canvas
        ref={canvas}
        className="absolute left-0"
        style={{ top, width: layout.width, height: high }}
        aria-hidden="true"
      />
      <span
        className="absolute left-2 text-small font-bold"
        style={{ top: top + layout.planHigh / 2 - 9 }}
        aria-hidden="true"
      >
        {name}
      </span>
    </>
  );
}

/** The tape along the base, and the odd and even courses under it as they lie. */
export const Tape = memo(
  DrawnTape,
  (a, b) =>
    a.layout === b.layout &&
    a.show === b.show &&
    a.view.tape === b.view.tape &&
    a.view.odd === b.view.odd &&
    a.view.even === b.view.even &&
    isLaidInCourses(a.view) === isLaidInCourses(b.view),
);

function DrawnTape({ view, layout, show }: { view: BenchView; layout: Layout; show: Show }): ReactNode {
  const tell = useTell();
  const length = view.runs[view.run]?.length ?? 0;
  const { left, scale } = layout;
  const shapes = useMemo(
    () => tapeShapes(view.tape, length, { show, high: HIGH / scale, px: 1 / scale }),
    [view.tape, length, show, scale],
  );
  return (
    <>
      <svg
        className="pointer-events-none absolute left-0"
        style={{ top: layout.tapeTop }}
        width={layout.width}
        height={HIGH + 2}
        aria-hidden="true"
      >
        <Shapes shapes={shapes} layout={{ left, scale, base: HIGH + 0.5 }} />
      </svg>
      {isLaidInCourses(view) && (
        <>
          <Course scene={view.odd} layout={layout} top={layout.planTop} name={tell(BENCH.oddCourse)} />
          <Course
            scene={view.even}
            layout={layout}
            top={layout.planTop + layout.planHigh + 12}
            name={tell(BENCH.evenCourse)}
          />
        </>
      )}
    </>
  );
}
