import {
  boardShapes,
  lineItems,
  millimetres,
  parseTyped,
  pointAt,
  settlePoint,
  toMillimetres,
  writeLength,
  type LineItem,
  type Point,
  type Show,
} from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { Shapes } from '../../bench/Shapes';
import { useTell } from '../../state/words';
import { sayUnread } from '../../ui/unread';
import { boardFor, HIGH, WIDE } from './board';
import { HEADINGS, SAYS, Ways } from './Ways';

interface Props {
  open: boolean;
  title: string;
  show: Show;
  /** Unit plus joint, and course, mm. */
  module: number;
  pitch: number;
  onDrawn: (line: LineItem[]) => boolean;
  onClose: () => void;
}

/** How near the first point closes the line, in pixels. */
const NEAR = 16;
/** A board to draw the plan line on, fresh each time it opens. */
export const DrawLine = (props: Props): ReactNode => (props.open ? <Board {...props} /> : null);

/** Strokes by mouse, or an arrow for the way and a length typed. */
function Board({ open, title, show, module, pitch, onDrawn, onClose }: Props): ReactNode {
  const tell = useTell();
  const [points, setPoints] = useState<Point[]>([{ x: 0, y: 0 }]);
  const [closed, setClosed] = useState(false);
  const [pointer, setPointer] = useState<Point | null>(null);
  const [heading, setHeading] = useState(0);
  const [length, setLength] = useState('');
  const [says, setSays] = useState('');
  const svg = useRef<SVGSVGElement>(null);
  const field = useRef<HTMLInputElement>(null);
  const last = points.at(-1) as Point;
  const first = points[0] as Point;
  const board = boardFor(points, null);
  const nearFirst = (p: Point): boolean =>
    points.length > 2 && Math.hypot(p.x - first.x, p.y - first.y) * board.scale < NEAR;

  const place = (e: PointerEvent): Point => {
    const box = (svg.current as SVGSVGElement).getBoundingClientRect();
    const raw = {
      x: ((e.clientX - box.left) / box.width) * (WIDE / board.scale) + board.x,
      y: ((box.bottom - e.clientY) / box.height) * (HIGH / board.scale) + board.y,
    };
    return nearFirst(raw) ? first : settlePoint(last, raw, module / 2);
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
    else if (points.length > 1) setPoints(points.slice(0, -1));
  };
  const add = (): void => {
    const read = parseTyped(length, show === 'mm' ? 'mm' : 'in', {
      length: millimetres(module),
      course: millimetres(pitch),
    });
    if (!read.ok) return setSays(tell(sayUnread(read)));
    if (!(read.length > 0)) return setSays(tell(AT_SET_OUT.aboveNothing));
    put(pointAt(last, heading, toMillimetres(read.length)));
    setLength('');
  };
  const finish = (): void => {
    const line = lineItems({ points, closed }, (mm) => writeLength(millimetres(mm), show));
    if (!line) return setSays(tell(AT_SET_OUT.drawOne));
    if (onDrawn(line)) onClose();
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
    }
  };
  return (
    <Dialog open={open} onClose={onClose} className="relative z-40" initialFocus={field}>
      <div className="fixed inset-0 bg-black/50" aria-hidden="true" />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel className="w-[960px] max-w-full bg-sheet p-5">
          <DialogTitle className="heading text-lg">{title}</DialogTitle>
          <p className="pb-2 text-small text-soft">{tell(AT_SET_OUT.walkItWithThe)}</p>
          <svg
            ref={svg}
            viewBox={`0 0 ${WIDE} ${HIGH}`}
            className="w-full cursor-crosshair border border-rule bg-paper"
            role="img"
            aria-label={tell(
              AT_SET_OUT.runsDrawn({ count: points.length - 1, closed: closed ? 'yes' : 'no' }),
            )}
            data-board
            onPointerMove={(e) => !closed && setPointer(place(e))}
            onPointerLeave={() => setPointer(null)}
            onPointerDown={(e) => put(place(e))}
          >
            <Shapes
              shapes={boardShapes({ points, closed, ahead: pointer }, show, 1 / board.scale)}
              layout={{
                left: -board.x * board.scale,
                base: HIGH + board.y * board.scale,
                scale: board.scale,
              }}
            />
          </svg>
          <div className="flex flex-wrap items-end gap-3 pt-3">
            <Ways
              heading={heading}
              go={(way) => {
                setHeading(way);
                field.current?.focus();
              }}
            />
            <label className="block text-small text-soft">
              {tell(AT_SET_OUT.lengthGoing({ way: SAYS[heading] ?? '' }))}
              <input
                ref={field}
                className="entry"
                value={length}
                autoComplete="off"
                spellCheck={false}
                onChange={(e) => setLength(e.currentTarget.value)}
                onKeyDown={onKey}
                data-autofocus
              />
            </label>
            <button className="press-plain" onClick={add}>
              {tell(AT_SET_OUT.addTheRun)}
            </button>
            <button className="press-plain" onClick={back} disabled={points.length < 2}>
              {tell(AT_SET_OUT.takeOneBack)}
            </button>
            <span className="ml-auto flex gap-2">
              <button className="press-plain" onClick={onClose}>
                {tell(AT_SET_OUT.leaveIt)}
              </button>
              <button className="press" onClick={finish} disabled={points.length < 2}>
                {tell(AT_SET_OUT.buildOnThisLine)}
              </button>
            </span>
          </div>
          <p role="alert" className="min-h-6 pt-1 font-semibold text-fault">
            {says}
          </p>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
