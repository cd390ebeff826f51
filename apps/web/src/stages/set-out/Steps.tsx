import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { Listed } from '../../ui/Listed';
import { NumberField } from '../../ui/NumberField';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallList } from '../useWallList';
import { written } from '../written';

/** Where this run's footing stands higher than the base, in whole courses. */
export function Steps({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const list = useWallList(job, view, 'steps', 'S');
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const length = view.runs[view.run]?.length ?? 0;
  const { module } = view.wall;
  const add = (): void => {
    const half = Math.max(module, Math.round(length / 2 / module) * module);
    list.add({ run: view.run, from: written(half, show), to: written(length, show), up: 1 });
  };
  return (
    <Listed
      title={tell(AT_SET_OUT.stepsInTheFooting)}
      one={AT_SET_OUT.step}
      add={AT_SET_OUT.addStep}
      none={tell(AT_SET_OUT.theFootingIsLevel)}
      items={view.steps}
      keyOf={(s) => s.id}
      onAdd={add}
      onRemove={(s) => list.remove(s.index)}
    >
      {(s) => (
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          <LengthField
            label={tell(AT_SET_OUT.from)}
            value={s.from}
            {...measure}
            onChange={(v) => list.set(s.index, 'from', v)}
          />
          <LengthField
            label={tell(AT_SET_OUT.to)}
            value={s.to}
            {...measure}
            onChange={(v) => list.set(s.index, 'to', v)}
          />
          <NumberField
            label={tell(AT_SET_OUT.coursesUp)}
            value={s.up}
            most={Math.max(1, view.courses.length - 1)}
            onChange={(n) => list.set(s.index, 'up', n)}
          />
          <p className="self-end pb-2 text-small text-soft">
            <Told said={AT_SET_OUT.itsTop({ top: view.courses[s.up - 1]?.top ?? 0 })} />
          </p>
        </div>
      )}
    </Listed>
  );
}
