import { INCH, millimetres, poleShapes, writeLength, type BenchView, type Show } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { memo, useMemo, useRef, type PointerEvent, type ReactNode } from 'react';
import { useInks } from '../state/scheme';
import { look, useViewing } from '../state/view';
import { useTell } from '../state/words';
import { Shapes } from './Shapes';
import type { Layout } from './layout';
import { heightEdit, type Flag } from './poleEdits';
import { useGrip } from './useGrip';

const WIDTH = 192;
const POLE = 96;
const STAFF = 28;

/** Heights that would lie on one another are pushed apart, bottom up. */
function spaced(flags: readonly Flag[], y: (mm: number) => number): { flag: Flag; y: number }[] {
  const list = flags.map((flag) => ({ flag, y: y(flag.at) })).sort((a, b) => b.y - a.y);
  let last = Infinity;
  return list.map((f) => {
    last = Math.min(f.y, last - 25);
    return { flag: f.flag, y: last };
  });
}

interface Props {
  view: BenchView;
  layout: Layout;
  show: Show;
}

/** How near, in pixels, a dragged height must come to a mark to settle on it. */
const REACH = 7;

/** A fixed height: dragged up and down the pole, or nudged by the arrow keys. */
function FlagMark({ flag, y, ...props }: Props & { flag: Flag; y: number }): ReactNode {
  const inks = useInks();
  const { layout, show, view } = props;
  const tell = useTell();
  const ref = useRef<SVGGElement>(null);
  const nudge = useGrip(ref, {
    now: { view, layout, show, flag },
    dragged: (from, _dx, dy) => {
      const { scale } = from.layout;
      return heightEdit(from.view, from.flag, from.flag.at - dy / scale, REACH / scale, from.show);
    },
    nudged: (is, way, event) => {
      if (way.y === 0) return null;
      const by = event.shiftKey ? is.view.wall.pitch : is.show === 'mm' ? 1 : INCH / 8;
      const to = Math.round(Math.max(0, is.flag.at + way.y * by) * 1000) / 1000;
      const value = writeLength(millimetres(to), is.show);
      return is.flag.paths.map((path) => ({ op: 'replace', path, value }));
    },
  });
  const name = tell(flag.name);
  const at = layout.base - flag.at * layout.scale;
  const edge = POLE + STAFF;
  return (
    <g
      ref={ref}
      role="button"
      tabIndex={0}
      data-height={name}
      className="cursor-ns-resize touch-none"
      aria-label={tell(
        BENCH.flagSays({
          name,
          at: flag.at,
          must: flag.must ? 'must' : 'may',
          on: flag.onMark ? 'on' : 'off',
        }),
      )}
      onKeyDown={nudge}
    >
      <title>{name}</title>
      <path
        d={`M${edge} ${at} L${edge + 8} ${y - 12} H${WIDTH - 2} V${y + 12} H${edge + 8} Z`}
        fill={flag.onMark ? 'var(--color-chalk-pale)' : 'var(--color-fault-pale)'}
        stroke={flag.onMark ? inks.chalk : inks.fault}
        strokeDasharray={flag.must ? undefined : '4 3'}
      />
      <text
        x={edge + 11}
        y={y + 4}
        className={`text-fine font-semibold ${flag.onMark ? 'fill-chalk' : 'fill-fault'}`}
      >
        {shorten(name)}
      </text>
    </g>
  );
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

function DrawnPole({ view, layout, show }: Props): ReactNode {
  const tell = useTell();
  const live = useViewing((s) => s.course);
  const { marks, courses, wall } = view;
  const { oldPitch } = view.survey;
  const { scale, base } = layout;
  const shapes = useMemo(() => {
    const drawn = { show, wide: STAFF / scale, px: 1 / scale, live };
    return poleShapes({ marks, courses, height: wall.height, pitch: wall.pitch, oldPitch }, drawn);
  }, [marks, courses, wall.height, wall.pitch, oldPitch, show, scale, live]);
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
      {spaced(view.flags, (mm) => base - mm * scale).map((f) => (
        <FlagMark key={f.flag.paths[0]} view={view} layout={layout} show={show} flag={f.flag} y={f.y} />
      ))}
      <text x={POLE + STAFF / 2} y={base + 24} textAnchor="middle" className="fill-soft text-fine">
        {tell(BENCH.base0)}
      </text>
    </svg>
  );
}

/** What fits on a flag: the name, else its last word ("Roof plate" is the plate), else its beginning. */
function shorten(name: string): string {
  if (name.length <= 8) return name;
  const last = name.split(/\s+/u).at(-1) ?? '';
  return last.length <= 8 ? last : `${name.slice(0, 7)}…`;
}
