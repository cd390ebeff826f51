import { INCH, millimetres, showMm, writeLength, type BenchView, type Show } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { memo, useRef, type ReactNode } from 'react';
import { useInks } from '../state/scheme';
import { look, useViewing } from '../state/view';
import { useTell } from '../state/words';
import { TypesetInDrawing } from '../ui/Typeset';
import type { Layout } from './layout';
import { heightEdit, type Flag } from './poleEdits';
import { useGrip } from './useGrip';

const WIDTH = 184;
const POLE = 88;
const STAFF = 28;
const BED_INK = { target: 'timber', tight: 'caution', open: 'caution', out: 'fault' } as const;
const BED_SIGN = { target: '', tight: '−', open: '+', out: '!' } as const;

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
    a.view.flags === b.view.flags,
);

function DrawnPole({ view, layout, show }: Props): ReactNode {
  const tell = useTell();
  const inks = useInks();
  const live = useViewing((s) => s.course);
  const y = (mm: number): number => layout.base - mm * layout.scale;
  const top = Math.max(view.wall.height, view.wall.built);
  const every =
    [1, 2, 3, 4, 5, 6, 8, 10, 12, 20, 25, 50, 100].find((n) => n * view.wall.pitch * layout.scale >= 15) ??
    200;
  // Marks closer than this run into one another: then only the figured ones are drawn.
  const fine = view.wall.pitch * layout.scale >= 4;
  const roomy = view.wall.pitch * layout.scale >= 13;
  return (
    <svg width={WIDTH} height={layout.height} role="group" aria-label={tell(BENCH.storyPole)}>
      <text x="14" y="24" className="fill-ink font-narrow text-lead font-bold">
        {tell(BENCH.storyPole)}
      </text>
      <rect
        x={POLE}
        y={y(top)}
        width={STAFF}
        height={Math.max(0, layout.base - y(top)) + 4}
        fill={inks.timber}
        stroke={inks['timber-edge']}
      />
      {view.marks.map((m) => {
        const c = view.courses[m.course - 1];
        if (!c) return null;
        const isLive = m.course === live;
        const clear = (other: number | undefined): boolean =>
          other === undefined || Math.abs(y(other) - y(m.top)) >= 14;
        const last = m.course === view.marks.length;
        const liveTop = view.courses[live - 1]?.top;
        // A figure that would lie on the live one's, or on the top's, stands back.
        const figured =
          isLive ||
          (last && clear(liveTop)) ||
          (m.course % every === 0 && clear(liveTop) && clear(view.marks.at(-1)?.top));
        const marked = fine || m.course % every === 0 || last || isLive;
        return (
          <g key={m.course} onPointerDown={() => look({ course: m.course })} className="cursor-pointer">
            {isLive && (
              <rect
                x={POLE}
                y={y(c.top)}
                width={STAFF}
                height={(c.top - c.bottom) * layout.scale}
                fill={inks.live}
              />
            )}
            {m.state !== 'target' && (
              <rect
                x={POLE}
                y={y(c.bottom + c.bed)}
                width={STAFF}
                height={Math.max(2.5, c.bed * layout.scale)}
                fill={inks[BED_INK[m.state]]}
              />
            )}
            {marked && (
              <line
                x1={POLE}
                x2={POLE + STAFF}
                y1={y(m.top)}
                y2={y(m.top)}
                stroke={inks.ink}
                strokeWidth="1.4"
              />
            )}
            {(roomy || figured) && (
              <text
                x={POLE + STAFF / 2}
                y={y((c.bottom + c.top) / 2) + 4.5}
                textAnchor="middle"
                className="figures fill-ink text-fine font-semibold"
                // In a course lower than its figure the marks stop short of it.
                {...(roomy
                  ? {}
                  : { stroke: isLive ? inks.live : inks.timber, strokeWidth: 4, paintOrder: 'stroke' })}
              >
                {m.course}
                {roomy ? BED_SIGN[m.state] : ''}
              </text>
            )}
            {figured && (
              <text
                x={POLE - 6}
                y={y(m.top) + 4}
                textAnchor="end"
                className={`figures fill-ink text-fine ${isLive ? 'font-semibold' : ''}`}
                // Feet, inches and sixteenths of a tall wall just fit, drawn closer.
                letterSpacing={showMm(m.top, show).length > 10 ? -0.7 : undefined}
              >
                <TypesetInDrawing words={showMm(m.top, show)} />
              </text>
            )}
          </g>
        );
      })}
      {spaced(view.flags, y).map((f) => (
        <FlagMark key={f.flag.paths[0]} view={view} layout={layout} show={show} flag={f.flag} y={f.y} />
      ))}
      <text x={POLE + STAFF / 2} y={layout.base + 24} textAnchor="middle" className="fill-soft text-fine">
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
