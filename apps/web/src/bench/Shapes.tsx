import {
  type Say,
  THEME,
  fillOf,
  wordsApart,
  type Ink,
  type Look,
  type Role,
  type SceneShape,
} from '@even-tally/core';
import { memo, useMemo, type ReactNode } from 'react';
import { useInks } from '../state/scheme';
import { useTell } from '../state/words';
import { TypesetInDrawing } from '../ui/Typeset';
import type { Layout } from './layout';

/** Words a role has in the measure face; the rest in the face for words. */
const faceOf = (look: Look): string => (look.figures ? 'figures' : 'font-sans');

type Inks = Record<Ink, string>;

const paintOf = (look: Look, inks: Inks, fill = look.fill): Record<string, string | number | undefined> => ({
  fill: fill ? inks[fill] : 'none',
  fillOpacity: look.cover,
  stroke: look.ink ? inks[look.ink] : undefined,
  strokeWidth: look.ink ? (look.weight ?? 1) : undefined,
  strokeDasharray: look.dash?.join(' '),
});

/** A mark by itself, as it stands on the drawing: for a key beside words. */
export function Mark({ role, x = 0, y = 0 }: { role: Role; x?: number; y?: number }): ReactNode {
  const inks = useInks();
  const look = THEME[role];
  return look?.glyph && <path d={look.glyph} transform={`translate(${x} ${y})`} {...paintOf(look, inks)} />;
}

interface Placed {
  x: (mm: number) => number;
  y: (mm: number) => number;
  scale: number;
}

/** Lines that stand for something thick are drawn so where there is room, and never thinner than can be seen. */
const BAR = 14;
const isBar = (role: Role): boolean => role === 'bar' || role === 'bar-inside' || role === 'beam-bar';

function drawn(s: SceneShape, at: Placed, inks: Inks, say: Say): ReactNode {
  const look = THEME[s.role];
  if (!look) return null;
  const points = (list: readonly (readonly [number, number])[]): string =>
    list.map(([x, y]) => `${at.x(x)},${at.y(y)}`).join(' ');
  switch (s.type) {
    case 'rect':
      return (
        <rect
          x={at.x(s.x)}
          y={at.y(s.y + s.h)}
          width={s.w * at.scale}
          height={s.h * at.scale}
          {...paintOf(look, inks, fillOf(s))}
        />
      );
    case 'shape':
      return <polygon points={points(s.points)} {...paintOf(look, inks, fillOf(s))} />;
    case 'path':
      return <polyline points={points(s.points)} {...paintOf(look, inks)} fill="none" />;
    case 'line':
      // Drawn together with those of its role.
      return null;
    case 'mark':
      return (
        <path d={look.glyph} transform={`translate(${at.x(s.x)} ${at.y(s.y)})`} {...paintOf(look, inks)} />
      );
    case 'text':
      return (
        <text
          x={at.x(s.x)}
          y={at.y(s.y) + (look.drop ?? 0)}
          textAnchor={s.anchor}
          fontSize={look.size}
          fontWeight={look.bold ? 700 : undefined}
          className={faceOf(look)}
          fill={inks[look.fill ?? 'ink']}
          {...(look.halo ? { stroke: inks[look.halo], strokeWidth: 5, paintOrder: 'stroke' } : {})}
        >
          <TypesetInDrawing words={say(s.text)} />
        </text>
      );
  }
}

type Line = Extract<SceneShape, { type: 'line' }>;

/** Lines of one role that follow one another, together: a wall off its bond has hundreds, and they move with every frame of a drag. */
function together(shapes: readonly SceneShape[]): (SceneShape | Line[])[] {
  const list: (SceneShape | Line[])[] = [];
  for (const s of shapes) {
    const last = list.at(-1);
    if (s.type !== 'line') list.push(s);
    else if (Array.isArray(last) && last[0]?.role === s.role) last.push(s);
    else list.push([s]);
  }
  return list;
}

function Lines({ lines, at, inks }: { lines: readonly Line[]; at: Placed; inks: Inks }): ReactNode {
  const role = lines[0]?.role;
  const look = role && THEME[role];
  if (!look) return null;
  const d = lines.map((l) => `M${at.x(l.x1)} ${at.y(l.y1)}L${at.x(l.x2)} ${at.y(l.y2)}`).join('');
  return (
    <path
      d={d}
      data-role={role}
      {...paintOf(look, inks)}
      fill="none"
      {...(isBar(role) ? { strokeWidth: Math.max(look.weight ?? 2, BAR * at.scale) } : {})}
    />
  );
}

/** Shapes of a scene over the canvas, as the theme has them. Nothing here can be pressed: what can lies over them. */
export const Shapes = memo(function Shapes({
  shapes,
  layout,
}: {
  shapes: readonly SceneShape[];
  layout: Pick<Layout, 'left' | 'base' | 'scale'>;
}): ReactNode {
  const inks = useInks();
  const say = useTell();
  const { scale } = layout;
  const at: Placed = {
    x: (mm) => layout.left + mm * layout.scale,
    y: (mm) => layout.base - mm * layout.scale,
    scale: layout.scale,
  };
  const apart = useMemo(() => wordsApart(shapes, 1 / scale, say), [shapes, scale, say]);
  return (
    <g pointerEvents="none">
      {together(apart).map((s, i) =>
        Array.isArray(s) ? (
          <Lines key={i} lines={s} at={at} inks={inks} />
        ) : (
          <g key={i} data-role={s.role}>
            {drawn(s, at, inks, say)}
          </g>
        ),
      )}
    </g>
  );
});
