import type { PlanTape } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { taped } from '../../../stages/set-out/groundEdits';
import { useJob } from '../../../state/job';
import { useTell } from '../../../state/words';
import { LengthField } from '../../../ui/LengthField';
import type { PaperProps } from '../paper';
import type { ScenePlacing } from '../useScenePaper';
import { OnPlan } from './OnPlan';

/** A tape stands so far inside the face it was held along, px. */
const IN = 66;
const WIDE = 124;
/** A building drawn smaller than this has no room for six fields in it: they stand in a row over it, px. */
const ROOM = { wide: 3.3 * WIDE, high: 280 };

/** What the tape read, typed where it was held: along each side, and from corner to corner. */
export function TapesOnPlan({
  job,
  view,
  show,
  tapes,
  at,
}: Pick<PaperProps, 'job' | 'view' | 'show'> & {
  tapes: readonly PlanTape[];
  at: ScenePlacing;
}): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const called = (t: PlanTape): string =>
    tell(
      t.of === 'sides'
        ? AT_SET_OUT.sideOf({ name: t.between })
        : t.index === 0
          ? AT_SET_OUT.diagonalAc
          : AT_SET_OUT.diagonalBdToProve,
    );
  const field = (t: PlanTape): ReactNode => (
    <LengthField
      bare
      label={called(t)}
      name={`tape-${t.between}`}
      value={t.value}
      {...measure}
      onChange={(value) => edit(taped(job, view.wall.index, t.of, t.index, value))}
    />
  );
  const says = (t: PlanTape): string => (t.read ? t.between : `${t.between}?`);
  const spread = (one: (t: PlanTape) => number): number => {
    const all = tapes.map(one);
    return at.scale * (Math.max(...all) - Math.min(...all));
  };
  if (spread((t) => t.x) < ROOM.wide || spread((t) => t.y) < ROOM.high)
    return (
      <div className="absolute inset-x-4 top-14 grid grid-cols-6 gap-2">
        {tapes.map((t) => (
          <div key={t.between}>
            <span className="block text-center text-small font-bold" aria-hidden="true">
              {says(t)}
            </span>
            {field(t)}
          </div>
        ))}
      </div>
    );
  return tapes.map((t) => (
    <OnPlan
      key={t.between}
      at={at}
      x={t.x}
      y={t.y}
      right={t.inward[0] * (IN + 8)}
      down={-t.inward[1] * IN}
      wide={WIDE}
      says={says(t)}
    >
      {field(t)}
    </OnPlan>
  ));
}
