import { countedMeasures, type BatchInDay } from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import { drag as d3drag } from 'd3-drag';
import type { ScaleLinear } from 'd3-scale';
import { select } from 'd3-selection';
import { area } from 'd3-shape';
import { useEffect, useRef, type ReactNode } from 'react';
import { useInks } from '../../../state/scheme';
import { useTell } from '../../../state/words';
import { onThePage } from '../../onThePage';

interface Props {
  batch: BatchInDay;
  number: number;
  x: ScaleLinear<number, number>;
  top: number;
  high: number;
  /** What lives past here is cut off here. */
  until: number;
  /** Its end was pulled to another time. */
  onGone: (at: number) => void;
  /** It was taken to another time: its water goes in then. */
  onWater: (at: number) => void;
}

/** A batch as a wedge: full when it is mixed, used up as the courses go on, dead at the end of its life. */
export function Wedge({ batch, number, x, top, high, until, onGone, onWater }: Props): ReactNode {
  const tell = useTell();
  const inks = useInks();
  const foot = top + high;
  const y = (part: number): number => foot - part * high * Math.max(0.4, batch.part);
  const shape = area<{ at: number; part: number }>()
    .x((l) => x(l.at))
    .y0(foot)
    .y1((l) => y(l.part));
  const dead = Math.min(batch.expires, until);
  const last = batch.levels.at(-1)?.part ?? 0;
  const word = tell(
    batch.small
      ? AT_MUD.smallBatch({ n: number, part: countedMeasures(batch.part) })
      : AT_MUD.batchNo({ n: number }),
  );
  return (
    <g data-batch={number}>
      <path d={shape(batch.levels) ?? ''} fill={inks.grout} stroke={inks.ink} strokeWidth={1} opacity={0.9} />
      {last > 1e-6 && (
        <rect
          x={x(batch.last)}
          y={y(last)}
          width={Math.max(3, x(dead) - x(batch.last))}
          height={Math.max(2, foot - y(last))}
          fill="none"
          stroke={inks.fault}
          strokeWidth={1.5}
          strokeDasharray="3 2"
        />
      )}
      <line
        x1={x(batch.water)}
        x2={x(dead)}
        y1={foot}
        y2={foot}
        stroke={inks.fault}
        strokeWidth={1.5}
        strokeDasharray="2 3"
      />
      {batch.expires <= until && (
        <line x1={x(dead)} x2={x(dead)} y1={top} y2={foot} stroke={inks.fault} strokeWidth={3} />
      )}
      <Grip
        kind="move"
        x={x(batch.water)}
        from={x(batch.water)}
        wide={Math.max(0, x(batch.last) - x(batch.water) - 12)}
        top={top}
        high={high}
        moved={(px) => onWater(x.invert(px))}
      />
      <Grip
        kind="end"
        x={x(batch.last)}
        from={x(batch.last) - 12}
        wide={24}
        top={top}
        high={high}
        moved={(px) => onGone(x.invert(px))}
      />
      <text x={x(batch.water)} y={top - 4} fontSize={13} fontWeight={700} fill={inks.ink}>
        {word}
      </text>
    </g>
  );
}

/**
 * What a wedge is taken by: its end, and so much more or less is mixed; or itself, and it is mixed sooner or later. The keyboard’s twins
 * of both stand in the table.
 */
function Grip({
  kind,
  x,
  from: left,
  wide,
  top,
  high,
  moved,
}: {
  kind: 'end' | 'move';
  /** What is moved, and what it is taken by. */
  x: number;
  from: number;
  wide: number;
  top: number;
  high: number;
  moved: (px: number) => void;
}): ReactNode {
  const inks = useInks();
  const ref = useRef<SVGRectElement>(null);
  const latest = useRef({ x, moved });
  useEffect(() => {
    latest.current = { x, moved };
  });
  useEffect(() => {
    const node = ref.current;
    if (!node) return;
    let from = { px: 0, x: 0 };
    const behaviour = d3drag<SVGRectElement, unknown>()
      .container(onThePage)
      .on('start', (event: { x: number }) => {
        from = { px: event.x, x: latest.current.x };
      })
      .on('drag', (event: { x: number }) => latest.current.moved(from.x + event.x - from.px));
    select(node).call(behaviour);
    return () => void select(node).on('.drag', null);
  }, []);
  return (
    <>
      {kind === 'end' && (
        <rect x={x - 2} y={top + high * 0.45} width={4} height={high * 0.55} fill={inks.chalk} />
      )}
      <rect
        ref={ref}
        x={left}
        y={top}
        width={wide}
        height={high + 4}
        fill="transparent"
        className={`touch-none ${kind === 'end' ? 'cursor-ew-resize' : 'cursor-grab'}`}
        aria-hidden="true"
        data-grip={kind}
      />
    </>
  );
}
