import type { JobDocument } from '@even-tally/core';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Shapes } from '../bench/Shapes';
import { paintElevation } from '../bench/paint';
import { useInks } from '../state/scheme';
import type { CardView } from '../workers/card';
import type { Planner } from '../workers/planner';

const [WIDE, HIGH, FOOT] = [312, 128, 10];

/** A section beside the face takes so much of it. */
const BESIDE = 84;

const wideOf = (drawn: CardView | null): number => (drawn?.section ? WIDE - BESIDE : WIDE);
const scaleOf = (drawn: CardView): number => {
  const { w, h } = drawn.elevation.box;
  return Math.min(wideOf(drawn) / Math.max(w, 1), (HIGH - 2 * FOOT) / Math.max(h, 1));
};

/** A wall that is not kept yet, planned and drawn small: what is begun with is what is seen. */
export function Small({ document, planner }: { document: JobDocument; planner: Planner }): ReactNode {
  const canvas = useRef<HTMLCanvasElement>(null);
  const inks = useInks();
  const [drawn, setDrawn] = useState<CardView | null>(null);
  const wide = wideOf(drawn);
  useEffect(() => {
    let left = false;
    planner.ask('card', { document, wall: 0 }).then(
      (card) => left || setDrawn(card),
      () => undefined,
    );
    return () => {
      left = true;
    };
  }, [planner, document]);
  useEffect(() => {
    if (!canvas.current || !drawn) return;
    const { x, w } = drawn.elevation.box;
    const scale = scaleOf(drawn);
    paintElevation(
      canvas.current,
      drawn.elevation,
      {
        width: wide,
        height: HIGH,
        scale,
        left: (wide - w * scale) / 2 - x * scale,
        base: HIGH - FOOT,
      },
      { inks, lite: true },
    );
  }, [drawn, inks, wide]);
  const scale = drawn ? scaleOf(drawn) : 1;
  return (
    <span className="flex max-w-full overflow-hidden bg-paper" aria-hidden="true">
      <canvas ref={canvas} className="block shrink-0" style={{ width: wide, height: HIGH }} />
      {drawn?.section && (
        <svg width={BESIDE} height={HIGH} className="shrink-0">
          <Shapes
            shapes={drawn.section.shapes.filter((s) => s.type !== 'text' && s.role !== 'dimension')}
            layout={{ left: BESIDE * 0.36, base: HIGH - FOOT, scale }}
          />
        </svg>
      )}
    </span>
  );
}
