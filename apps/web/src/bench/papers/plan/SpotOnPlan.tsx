import { INCH, type PlanSpot } from '@even-tally/core';
import { AT_SET_OUT, PAPER } from '@even-tally/words';
import { useRef, type ReactNode } from 'react';
import { asRead, readByStaff, spotRead } from '../../../stages/set-out/groundEdits';
import { useJob } from '../../../state/job';
import { useInks } from '../../../state/scheme';
import { useTell } from '../../../state/words';
import { LengthField } from '../../../ui/LengthField';
import { useGrip } from '../../useGrip';
import type { PaperProps } from '../paper';
import type { ScenePlacing } from '../useScenePaper';
import { OnPlan } from './OnPlan';

type Props = Pick<PaperProps, 'job' | 'view' | 'show'> & { spot: PlanSpot; at: ScenePlacing };

/** A level taken on the footing: pulled along its run, or moved by the arrows. */
export function SpotOnPlan({
  view,
  show,
  spot,
  at,
  choose,
}: Omit<Props, 'job'> & { choose: () => void }): ReactNode {
  const tell = useTell();
  const inks = useInks();
  const ref = useRef<SVGGElement>(null);
  const moved = (from: Omit<Props, 'job'>, along: number) => {
    const length = from.view.runs[from.spot.run]?.length ?? 0;
    const to = Math.min(length, Math.max(0, from.spot.at + along));
    return [
      {
        op: 'replace' as const,
        path: `/walls/${from.view.wall.index}/poured/${from.spot.index}/at`,
        value: asRead(to, from.show),
      },
    ];
  };
  const nudge = useGrip(ref, {
    now: { view, show, spot, at },
    taken: choose,
    dragged: (from, dx, dy) => {
      const [ux, uy] = from.spot.along;
      return moved(from, (dx * ux - dy * uy) / from.at.scale);
    },
    nudged: (is, way, event) => {
      const [ux, uy] = is.spot.along;
      const along = Math.sign(Math.round(way.x * ux + way.y * uy));
      if (along === 0) return null;
      const by = event.shiftKey ? is.view.wall.module / 2 : is.show === 'mm' ? 10 : INCH;
      return moved(is, along * by);
    },
  });
  const [x, y] = [at.left + spot.x * at.scale, at.base - spot.y * at.scale];
  return (
    <g
      ref={ref}
      role="button"
      tabIndex={0}
      transform={`translate(${x} ${y})`}
      data-spot={spot.index}
      className="cursor-move touch-none"
      aria-label={tell(
        PAPER.spotSays({ n: spot.index + 1, at: spot.at, run: view.runs[spot.run]?.name ?? '' }),
      )}
      onKeyDown={nudge}
      onFocus={choose}
    >
      <circle r="14" fill="transparent" />
      <path d="M-7 -6 H7 L0 7 Z" fill={inks.sheet} stroke={inks.caution} strokeWidth="2.5" />
    </g>
  );
}

/** Its level, or what the staff read on it, typed beside it. */
export function SpotTyped({ job, view, show, spot, at }: Props): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const staff = readByStaff(job, view, spot.index);
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const [ux, uy] = spot.along;
  return (
    <OnPlan
      at={at}
      x={spot.x}
      y={spot.y}
      right={-uy * 62}
      down={-ux * 40}
      says={tell(AT_SET_OUT.spotNo({ n: spot.index + 1 }))}
    >
      <LengthField
        bare
        signed
        label={tell(
          PAPER.readAtSpot({
            what: staff === null ? AT_SET_OUT.highOrLow : AT_SET_OUT.staffReadOnIt,
            n: spot.index + 1,
          }),
        )}
        name={`spot-${spot.index}`}
        value={staff === null ? spot.level : staff - view.wall.base - spot.level}
        {...measure}
        onChange={(value) =>
          edit(spotRead(job, view.wall.index, spot.index, staff === null ? 'level' : 'reading', value))
        }
      />
    </OnPlan>
  );
}
