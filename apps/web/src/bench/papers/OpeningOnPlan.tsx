import { INCH, showMm, type PlanOpening } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { useRef, type ReactNode } from 'react';
import { useInks } from '../../state/scheme';
import { look, useViewing } from '../../state/view';
import { useTell } from '../../state/words';
import { openingEdit } from '../openingEdits';
import { useGrip } from '../useGrip';
import type { PaperProps } from './paper';
import type { ScenePlacing } from './useScenePaper';

/** How near, in pixels, a pulled jamb must come to a perp to settle on it. */
const REACH = 9;
const HIGH = 26;

/** An opening on the plan: pulled along its run, or moved by the arrows. */
export function OpeningOnPlan({
  place,
  at,
  view,
  show,
}: Pick<PaperProps, 'view' | 'show'> & { place: PlanOpening; at: ScenePlacing }): ReactNode {
  const tell = useTell();
  const inks = useInks();
  const ref = useRef<SVGGElement>(null);
  const chosen = useViewing((s) => s.opening === place.id);
  const o = view.openings.find((one) => one.id === place.id);
  const nudge = useGrip(ref, {
    now: { o, place, at, view, show },
    taken: () => look({ opening: place.id }),
    dragged: (was, dx, dy) => {
      const [ux, uy] = was.place.along;
      const along = (dx * ux - dy * uy) / was.at.scale;
      return was.o ? openingEdit(was.view, was.o, 'body', along, 0, REACH / was.at.scale, was.show) : [];
    },
    nudged: (is, way, event) => {
      const [ux, uy] = is.place.along;
      const along = Math.sign(Math.round(way.x * ux + way.y * uy));
      if (along === 0 || !is.o) return null;
      const by = event.shiftKey ? is.view.wall.module / 2 : is.show === 'mm' ? 10 : INCH;
      return openingEdit(is.view, is.o, 'body', along * by, 0, 0, is.show);
    },
  });
  if (!o) return null;
  const [x, y] = [at.left + place.x * at.scale, at.base - place.y * at.scale];
  const wide = 2 * place.half * at.scale;
  const turned = (-Math.atan2(place.along[1], place.along[0]) * 180) / Math.PI;
  const size = `${showMm(o.to - o.from, show)} × ${showMm(o.head - o.sill, show)}`;
  return (
    <g
      ref={ref}
      role="button"
      tabIndex={0}
      transform={`translate(${x} ${y}) rotate(${turned})`}
      className="cursor-move touch-none"
      data-plan-opening={o.id}
      aria-label={tell(BENCH.openingSays({ name: o.name, size, from: o.from }))}
      onKeyDown={nudge}
      onFocus={() => look({ opening: o.id })}
    >
      <rect
        x={-Math.max(wide, HIGH) / 2}
        y={-HIGH / 2}
        width={Math.max(wide, HIGH)}
        height={HIGH}
        fill="transparent"
        stroke={chosen ? inks.chalk : 'none'}
        strokeWidth="2"
      />
    </g>
  );
}
