import { THEME, unitInk, type Ink, type Look, type Role, type SceneShape } from '@even-tally/core';
import { memo, type ReactNode } from 'react';
import { useInks } from '../state/scheme';
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

function drawn(s: SceneShape, at: Placed, inks: Inks): ReactNode {
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
          {...paintOf(look, inks, s.role === 'unit-plan' ? unitInk(s.id) : look.fill)}
        />
      );
    case 'shape':
      return <polygon points={points(s.points)} {...paintOf(look, inks)} />;
    case 'path':
      return <polyline points={points(s.points)} {...paintOf(look, inks)} fill="none" />;
    case 'line':
      return (
        <line
          x1={at.x(s.x1)}
          x2={at.x(s.x2)}
          y1={at.y(s.y1)}
          y2={at.y(s.y2)}
          {...paintOf(look, inks)}
          {...(isBar(s.role) ? { strokeWidth: Math.max(look.weight ?? 2, BAR * at.scale) } : {})}
        />
      );
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
          {s.text}
        </text>
      );
  }
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
  const at: Placed = {
    x: (mm) => layout.left + mm * layout.scale,
    y: (mm) => layout.base - mm * layout.scale,
    scale: layout.scale,
  };
  return (
    <g pointerEvents="none">
      {shapes.map((s, i) => (
        <g key={i} data-role={s.role}>
          {drawn(s, at, inks)}
        </g>
      ))}
    </g>
  );
});
