import { select } from 'd3-selection';
import { zoom as d3zoom, zoomIdentity, type D3ZoomEvent, type ZoomTransform } from 'd3-zoom';
import { letGo, takeHold, type PaperHold } from './paperHold';
import { useEffect, useLayoutEffect, useMemo, useRef, useState, type RefObject } from 'react';

/** How near the paper is held: what was at (px, py) when all of it fits stands at (k·px + x, k·py + y). */
export interface Lens {
  k: number;
  x: number;
  y: number;
}

export const FIT: Lens = { k: 1, x: 0, y: 0 };

/** What a drawing stands by, as it is seen near or far. */
export const through = <T extends { scale: number; left: number; base: number }>(
  at: T,
  { k, x, y }: Lens,
): T =>
  k === 1 && x === 0 && y === 0
    ? at
    : { ...at, scale: at.scale * k, left: at.left * k + x, base: at.base * k + y };

/** A CSS pixel is so many to the millimetre: an inch is 96 of them. */
export const PIXELS_A_MM = 96 / 25.4;
/** Nearer than this nothing more is seen, px to a millimetre of wall. */
const NEAREST = 1.2 * PIXELS_A_MM;
/** A hand that has been still so long rests, ms: then the drawing is made anew at the scale it came to. */
const REST = 110;
const STEP = 1.5;
/** How far an arrow pans, px. */
const PAN = 80;

const touched = (target: EventTarget | null): boolean =>
  target instanceof Element &&
  target.closest('[role="button"], [data-part], button, a, input, select, [role="application"]') !== null;

/**
 * Wheel, pinch and hand on a paper, whose drawing is in what `inner` is of. While the hand moves, what is drawn is carried as a picture; when it rests, the
 * drawing is made anew by the lens this returns.
 */
export function useLens(
  paper: HTMLElement | null,
  fitted: { width: number; height: number; scale: number; left?: number; base?: number },
): { lens: Lens; inner: RefObject<HTMLDivElement | null> } {
  const { width, height, scale } = fitted;
  const inner = useRef<HTMLDivElement>(null);
  const all = useRef(fitted);
  useEffect(() => {
    all.current = fitted;
  });
  const [lens, setLens] = useState<Lens>(FIT);
  const drawn = useRef<Lens>(FIT);
  const most = Math.max(1, NEAREST / Math.max(scale, 1e-6));
  const behaviour = useMemo(() => d3zoom<HTMLElement, unknown>(), []);
  const actualK = useRef(1);
  const mostK = useRef(1);
  useEffect(() => {
    actualK.current = PIXELS_A_MM / Math.max(scale, 1e-6);
    mostK.current = most;
    behaviour
      .scaleExtent([1, most])
      .extent([
        [0, 0],
        [width, height],
      ])
      .translateExtent([
        [0, 0],
        [width, height],
      ]);
  }, [behaviour, most, width, height, scale]);
  useEffect(() => {
    if (!paper) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const settle = (t: ZoomTransform): void => setLens({ k: t.k, x: t.x, y: t.y });
    behaviour
      .filter((e: Event & { button?: number; ctrlKey?: boolean }) =>
        e.type === 'wheel' ? true : (e.button ?? 0) === 0 && !touched(e.target),
      )
      .on('zoom', ({ transform }: D3ZoomEvent<HTMLElement, unknown>) => {
        const was = drawn.current;
        const k = transform.k / was.k;
        if (inner.current)
          inner.current.style.transform = `translate(${transform.x - k * was.x}px, ${transform.y - k * was.y}px) scale(${k})`;
        clearTimeout(timer);
        timer = setTimeout(() => settle(transform), REST);
      })
      .on('end', ({ transform }: D3ZoomEvent<HTMLElement, unknown>) => {
        clearTimeout(timer);
        timer = setTimeout(() => settle(transform), REST);
      });
    const on = select(paper).call(behaviour).on('dblclick.zoom', null);
    const to = (t: ZoomTransform): void => behaviour.transform(on, t);
    const hold: PaperHold = {
      nearer: () => behaviour.scaleBy(on, STEP),
      farther: () => behaviour.scaleBy(on, 1 / STEP),
      fit: () => to(zoomIdentity),
      actual: () => behaviour.scaleTo(on, actualK.current),
      pan: (x, y) => behaviour.translateBy(on, x * PAN, y * PAN),
      show: (mm) => {
        const { clientWidth, clientHeight } = paper;
        const at = all.current;
        const [x, y] = [(at.left ?? 0) + mm.x * at.scale, (at.base ?? 0) - (mm.y + mm.h) * at.scale];
        const [w, h] = [mm.w * at.scale, mm.h * at.scale];
        const k = Math.min(
          mostK.current,
          Math.max(
            1,
            Math.min((0.5 * clientWidth) / Math.max(w, 8), (0.4 * clientHeight) / Math.max(h, 8), 4),
          ),
        );
        to(
          zoomIdentity
            .translate(clientWidth / 2 - k * (x + w / 2), clientHeight / 2 - k * (y + h / 2))
            .scale(k),
        );
      },
    };
    takeHold(hold);
    return () => {
      clearTimeout(timer);
      select(paper).on('.zoom', null);
      letGo(hold);
    };
  }, [paper, behaviour]);
  useLayoutEffect(() => {
    drawn.current = lens;
    if (inner.current) inner.current.style.transform = '';
  }, [lens]);
  return { lens, inner };
}
