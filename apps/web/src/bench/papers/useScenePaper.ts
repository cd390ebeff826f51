import type { Box } from '@even-tally/core';
import { useMemo, type RefObject } from 'react';
import { through, useLens } from '../lens';
import { useSize } from './useSize';

/** How a scene lies on its paper. */
export interface ScenePlacing {
  width: number;
  height: number;
  scale: number;
  left: number;
  base: number;
}

interface Room {
  top: number;
  side: number;
  /** At the left, where the key plan stands in the corner; left out, as at the right. */
  left?: number;
  bottom: number;
}

/** A paper with one scene on it, as large as it goes, seen near or far. `box` null while there is nothing to draw. */
export function useScenePaper(
  box: Box | null,
  room: Room,
): {
  ref: (node: HTMLElement | null) => void;
  inner: RefObject<HTMLDivElement | null>;
  at: ScenePlacing | null;
  /** Millimetres to a pixel where all of it fits, in steps, so that a hair more room asks nothing anew. */
  px: number;
} {
  const [node, ref, { width, height }] = useSize();
  const { x = 0, y = 0, w = 0, h = 0 } = box ?? {};
  const { top, side, bottom, left = side } = room;
  const fitted = useMemo((): ScenePlacing | null => {
    if (width === 0 || w <= 0) return null;
    const [wide, high] = [Math.max(40, width - left - side), Math.max(40, height - top - bottom)];
    const scale = Math.min(wide / Math.max(w, 1), high / Math.max(h, 1));
    return {
      width,
      height,
      scale,
      left: left + (wide - w * scale) / 2 - x * scale,
      base: top + (high + h * scale) / 2 + y * scale,
    };
  }, [width, height, x, y, w, h, top, side, left, bottom]);
  const { lens, inner } = useLens(node, fitted ?? { width, height, scale: 1 });
  const at = useMemo(() => fitted && through(fitted, lens), [fitted, lens]);
  const px = fitted ? Math.max(0.5, Math.round(2 / fitted.scale / lens.k) / 2) : 10;
  return { ref, inner, at, px };
}
