import { INCH, millimetres, writeLength, type BenchView, type Show } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { useRef, type ReactNode } from 'react';
import { useInks } from '../state/scheme';
import { useTell } from '../state/words';
import type { Layout } from './layout';
import { heightEdit, type Flag } from './poleEdits';
import { useGrip } from './useGrip';

interface Props {
  view: BenchView;
  layout: Pick<Layout, 'base' | 'scale'>;
  show: Show;
  flag: Flag;
  /** Where its flag hangs, pushed off its own height by its neighbours, px. */
  y: number;
  /** From the pole's edge to the flag's end, px, and how many letters of its name fit there. */
  from: number;
  to: number;
  letters: number;
}

/** Heights that would lie on one another are pushed apart, bottom up; none over `least`, or they are pushed down again. */
export function spacedFlags(
  flags: readonly Flag[],
  y: (mm: number) => number,
  apart: number,
  least = -Infinity,
): { flag: Flag; y: number }[] {
  const list = flags.map((flag) => ({ flag, y: y(flag.at) })).sort((a, b) => b.y - a.y);
  let last = Infinity;
  const up = list.map((f) => {
    last = Math.min(f.y, last - apart);
    return { flag: f.flag, y: last };
  });
  let floor = least;
  for (const f of [...up].reverse()) {
    f.y = Math.max(f.y, floor);
    floor = f.y + apart;
  }
  return up;
}

/** How near, in pixels, a dragged height must come to a mark to settle on it. */
const REACH = 7;

/** A fixed height: dragged up and down the pole, or nudged by the arrow keys. */
export function FlagMark({ flag, y, from, to, letters, ...props }: Props): ReactNode {
  const inks = useInks();
  const { layout, show, view } = props;
  const tell = useTell();
  const ref = useRef<SVGGElement>(null);
  const nudge = useGrip(ref, {
    now: { view, layout, show, flag },
    dragged: (was, _dx, dy) => {
      const { scale } = was.layout;
      return heightEdit(was.view, was.flag, was.flag.at - dy / scale, REACH / scale, was.show);
    },
    nudged: (is, way, event) => {
      if (way.y === 0) return null;
      const by = event.shiftKey ? is.view.wall.pitch : is.show === 'mm' ? 1 : INCH / 8;
      const at = Math.round(Math.max(0, is.flag.at + way.y * by) * 1000) / 1000;
      const value = writeLength(millimetres(at), is.show);
      return is.flag.paths.map((path) => ({ op: 'replace', path, value }));
    },
  });
  const name = tell(flag.name);
  const at = layout.base - flag.at * layout.scale;
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
        d={`M${from} ${at} L${from + 8} ${y - 12} H${to} V${y + 12} H${from + 8} Z`}
        fill={flag.onMark ? 'var(--color-chalk-pale)' : 'var(--color-fault-pale)'}
        stroke={flag.onMark ? inks.chalk : inks.fault}
        strokeDasharray={flag.must ? undefined : '4 3'}
      />
      <text
        x={from + 11}
        y={y + 4}
        className={`text-fine font-semibold ${flag.onMark ? 'fill-chalk' : 'fill-fault'}`}
      >
        {shorten(name, letters)}
      </text>
    </g>
  );
}

/** What fits on a flag: the name, else its last word ("Roof plate" is the plate), else its beginning. */
function shorten(name: string, letters: number): string {
  if (name.length <= letters) return name;
  const last = name.split(/\s+/u).at(-1) ?? '';
  return last.length <= letters ? last : `${name.slice(0, letters - 1)}…`;
}
