import {
  boardShapes,
  lineItems,
  millimetres,
  parseTyped,
  pointAt,
  settlePoint,
  toMillimetres,
  walked,
  writeLength,
  type Point,
  type SetOutPlan,
} from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { look } from '../../state/view';
import { useTell } from '../../state/words';
import { sayUnread } from '../../ui/unread';
import { Shapes } from '../Shapes';
import { useDrawnLine } from '../useDrawnLine';
import { boardFor } from './board';
import type { PaperProps } from './paper';
import { useSize } from './useSize';
import { HEADINGS, SAYS, Ways } from './Ways';

/** How near the first point closes the line, and a corner that stands there is met, px. */
const NEAR = 16;

type Props = PaperProps & { drawing: 'line' | 'wall'; plan: SetOutPlan | null };

/** A line drawn on the plan itself: corners pressed, or an arrow for the way and a length typed. */
export function DrawOnPlan({ drawing, plan, ...props }: Props): ReactNode {
  const { view, show, job } = props;
  const tell = useTell();
  const [node, ref, size] = useSize();
  const { lay, layAnother } = useDrawnLine(props);
  // A line drawn anew begins where the old one does; another wall begins wherever its first corner is pressed.
  const [points, setPoints] = useState<Point[]>(drawing === 'line' ? [{ x: 0, y: 0 }] : []);
  const [closed, setClosed] = useState(false);
  const [pointer, setPointer] = useState<Point | null>(null);
  const [heading, setHeading] = useState(0);
  const [length, setLength] = useState('');
  const [says, setSays] = useState('');
  const svg = useRef<SVGSVGElement>(null);
  const field = useRef<HTMLInputElement>(null);
  const { module, pitch } = view.wall;
  const first = points[0];
  const last = points.at(-1);
  const there = drawing === 'wall' ? (plan?.scene.box ?? null) : null;
  const at = boardFor(points, there, size.width > 0 ? size : { width: 900, height: 600 });
  useEffect(() => field.current?.focus(), []);

  const near = (p: Point, q: Point | undefined): boolean =>
    q !== undefined && Math.hypot(p.x - q.x, p.y - q.y) * at.scale < NEAR;
  const nearFirst = (p: Point): boolean => points.length > 2 && near(p, first);
  const place = (e: PointerEvent): Point => {
    const box = (svg.current as SVGSVGElement).getBoundingClientRect();
    const raw = {
      x: (e.clientX - box.left - at.left) / at.scale,
      y: (at.base - (e.clientY - box.top)) / at.scale,
    };
    if (first && nearFirst(raw)) return first;
    const met = drawing === 'wall' ? plan?.corners.find((c) => near(raw, c)) : undefined;
    if (!last)
      return met ?? { x: Math.round(raw.x / module) * module, y: Math.round(raw.y / module) * module };
    return settlePoint(last, raw, module / 2);
  };
  const put = (p: Point): void => {
    if (closed) return;
    setSays('');
    if (nearFirst(p)) setClosed(true);
    else setPoints([...points, p]);
    setPointer(null);
  };
  const back = (): void => {
    if (closed) setClosed(false);
    else if (points.length > (drawing === 'line' ? 1 : 0)) setPoints(points.slice(0, -1));
  };
  const add = (): void => {
    const read = parseTyped(length, show === 'mm' ? 'mm' : 'in', {
      length: millimetres(module),
      course: millimetres(pitch),
    });
    if (!read.ok) return setSays(tell(sayUnread(read)));
    if (!(read.length > 0)) return setSays(tell(AT_SET_OUT.aboveNothing));
    const from = last ?? { x: 0, y: 0 };
    const to = pointAt(from, heading, toMillimetres(read.length));
    if (last) put(to);
    else setPoints([from, to]);
    setLength('');
  };
  const leave = (): void => look({ drawing: null });
  const finish = (): void => {
    const drawn = { points, closed };
    const line = lineItems(drawn, (mm) => writeLength(millimetres(mm), show));
    const [from, to] = walked(drawn);
    if (!line || !from || !to) return setSays(tell(AT_SET_OUT.drawOne));
    if (drawing === 'line' ? lay(line, [from, to]) : layAnother(line, [from, to])) leave();
    else setSays(tell(AT_SET_OUT.noLongerFits));
  };
  const onKey = (e: KeyboardEvent): void => {
    const way = HEADINGS[e.key];
    if (way !== undefined && (length === '' || e.altKey)) {
      e.preventDefault();
      setHeading(way);
    } else if (e.key === 'Enter') {
      e.preventDefault();
      if (length === '' && (closed || points.length > 1)) finish();
      else add();
    } else if (e.key === 'Backspace' && length === '') {
      e.preventDefault();
      back();
    } else if (e.key === 'Escape') leave();
  };
  const runs = Math.max(0, points.length - 1);
  return (
    <main ref={ref} className="relative min-h-0 min-w-0 grow overflow-hidden" data-job={job.name}>
      {node && (
        <svg
          ref={svg}
          width={size.width}
          height={size.height}
          className="absolute inset-0 cursor-crosshair touch-none select-none"
          role="img"
          aria-label={tell(AT_SET_OUT.runsDrawn({ count: runs, closed: closed ? 'yes' : 'no' }))}
          data-board
          onPointerMove={(e) => !closed && setPointer(place(e))}
          onPointerLeave={() => setPointer(null)}
          onPointerDown={(e) => put(place(e))}
        >
          {drawing === 'wall' && plan && (
            <g opacity="0.45">
              <Shapes shapes={plan.scene.shapes} layout={at} />
            </g>
          )}
          <Shapes shapes={boardShapes({ points, closed, ahead: pointer }, show, 1 / at.scale)} layout={at} />
        </svg>
      )}
      <div className="pointer-events-none absolute top-0 right-0 left-0 bg-paper/90 px-4 py-2">
        <h1 className="font-narrow text-xl font-bold">
          {drawing === 'wall'
            ? tell(AT_SET_OUT.drawAnotherWall)
            : tell(AT_SET_OUT.drawLineOf({ wall: view.wall.name }))}
        </h1>
        <p className="text-small text-soft max-[699px]:hidden">{tell(AT_SET_OUT.walkItWithThe)}</p>
      </div>
      <div
        role="group"
        aria-label={tell(AT_SET_OUT.drawing)}
        className="absolute right-0 bottom-0 left-0 border-t-2 border-ink bg-sheet px-4 py-2"
      >
        <p role="alert" className="font-semibold text-fault">
          {says}
        </p>
        <div className="flex flex-wrap items-end gap-2">
          <Ways
            heading={heading}
            go={(way) => {
              setHeading(way);
              field.current?.focus();
            }}
          />
          <label className="flex w-40 flex-col text-small text-soft">
            {tell(AT_SET_OUT.lengthGoing({ way: SAYS[heading] ?? '' }))}
            <input
              ref={field}
              className="entry"
              value={length}
              autoComplete="off"
              spellCheck={false}
              onChange={(e) => setLength(e.currentTarget.value)}
              onKeyDown={onKey}
            />
          </label>
          <button className="press-plain" onClick={add}>
            {tell(AT_SET_OUT.addTheRun)}
          </button>
          <button className="press-plain" onClick={back} disabled={points.length < 2}>
            {tell(AT_SET_OUT.takeOneBack)}
          </button>
          <span className="ml-auto flex gap-2">
            <button className="press-plain" onClick={leave}>
              {tell(AT_SET_OUT.leaveIt)}
            </button>
            <button className="press" onClick={finish} disabled={points.length < 2}>
              {tell(AT_SET_OUT.buildOnThisLine)}
            </button>
          </span>
        </div>
      </div>
    </main>
  );
}
