import { boxOf, type SceneShape } from '@even-tally/core';
import type { ReactNode } from 'react';
import { Shapes } from './Shapes';
import type { Layout } from './layout';

type At = Pick<Layout, 'left' | 'base' | 'scale'>;

interface Props {
  /** What is drawn, made anew for the scale it comes to: `px` is millimetres to a pixel. */
  draws: (px: number) => readonly SceneShape[];
  wide: number;
  high: number;
  /** Left clear all round, px. */
  room: number;
  label: string;
  /** What lies over it to be pressed; without it, it is a picture. */
  children?: (at: At) => ReactNode;
}

/** A small drawing as large as its frame lets it be. */
export function Fitted({ draws, wide, high, room, label, children }: Props): ReactNode {
  // Words are as large at any scale: only lines say how much room the drawing needs.
  const box = boxOf(draws(0).filter((s) => s.type !== 'text'));
  const scale = Math.min((wide - 2 * room) / Math.max(box.w, 1), (high - 2 * room) / Math.max(box.h, 1));
  const at = {
    left: (wide - box.w * scale) / 2 - box.x * scale,
    base: (high + box.h * scale) / 2 + box.y * scale,
    scale,
  };
  return (
    <svg width={wide} height={high} role={children ? 'group' : 'img'} aria-label={label} className="bg-paper">
      <Shapes shapes={draws(1 / scale)} layout={at} />
      {children?.(at)}
    </svg>
  );
}
