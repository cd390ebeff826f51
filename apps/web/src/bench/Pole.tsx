import { poleShapes, type BenchView, type PoleOf, type Show } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { memo, useMemo, type PointerEvent, type ReactNode } from 'react';
import { look, useViewing } from '../state/view';
import { useTell } from '../state/words';
import { FlagMark, spacedFlags } from './FlagMark';
import { Shapes } from './Shapes';
import type { Layout } from './layout';

const WIDTH = 192;
const POLE = 96;
const STAFF = 28;
/** Flags stand so far from one another, px. */
const APART = 25;

interface Props {
  view: BenchView;
  layout: Layout;
  show: Show;
}

/** The story pole at the wall's own scale: cumulative heights, numbers, fixed heights, and beds off their target. */
export const Pole = memo(
  DrawnPole,
  (a, b) =>
    a.layout === b.layout &&
    a.show === b.show &&
    a.view.wall === b.view.wall &&
    a.view.marks === b.view.marks &&
    a.view.courses === b.view.courses &&
    a.view.flags === b.view.flags &&
    a.view.survey.oldPitch === b.view.survey.oldPitch,
);

/** What a pole is drawn from, the same object while nothing of it has changed. */
export function usePole(view: BenchView): PoleOf {
  const { marks, courses, wall } = view;
  const { oldPitch } = view.survey;
  const { height, pitch, bed, bedLimits } = wall;
  const [least, most] = bedLimits;
  return useMemo(
    () => ({ marks, courses, height, pitch, bed, bedLimits: [least, most], oldPitch }),
    [marks, courses, height, pitch, bed, least, most, oldPitch],
  );
}

function DrawnPole({ view, layout, show }: Props): ReactNode {
  const tell = useTell();
  const live = useViewing((s) => s.course);
  const { courses } = view;
  const { scale, base } = layout;
  const pole = usePole(view);
  const shapes = useMemo(
    () => poleShapes(pole, { show, wide: STAFF / scale, px: 1 / scale, live }),
    [pole, show, scale, live],
  );
  const press = (e: PointerEvent<SVGRectElement>): void => {
    const up = (e.currentTarget.getBoundingClientRect().bottom - e.clientY) / scale;
    const course = courses.find((c) => up < c.top);
    if (course) look({ course: course.number });
  };
  const high = (courses.at(-1)?.top ?? 0) * scale;
  return (
    <svg width={WIDTH} height={layout.height} role="group" aria-label={tell(BENCH.storyPole)}>
      <text x="14" y="24" className="fill-ink font-narrow text-lead font-bold">
        {tell(BENCH.storyPole)}
      </text>
      <Shapes shapes={shapes} layout={{ left: POLE, base, scale }} />
      <rect
        y={base - high}
        width={POLE + STAFF}
        height={high}
        className="cursor-pointer fill-transparent"
        onPointerDown={press}
      />
      {spacedFlags(view.flags, (mm) => base - mm * scale, APART).map((f) => (
        <FlagMark
          key={f.flag.paths[0]}
          {...{ view, layout, show }}
          flag={f.flag}
          y={f.y}
          from={POLE + STAFF}
          to={WIDTH - 2}
          letters={8}
        />
      ))}
      <text x={POLE + STAFF / 2} y={base + 24} textAnchor="middle" className="fill-soft text-fine">
        {tell(BENCH.base0)}
      </text>
    </svg>
  );
}
