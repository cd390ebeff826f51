import { Typeset } from '../../ui/Typeset';
import { sayMm } from '@even-tally/core';
import type { ReactNode } from 'react';
import { LengthField } from '../../ui/LengthField';
import { Listed } from '../../ui/Listed';
import { NumberField } from '../../ui/NumberField';
import type { PanelProps } from '../panel';
import { useWallList } from '../useWallList';
import { written } from '../written';

/** Where this run's footing stands higher than the base, in whole courses. */
export function Steps({ job, view, show }: PanelProps): ReactNode {
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
      title="Steps in the footing"
      one="step"
      none="The footing is level under this run. On a slope it steps up from the base in whole courses."
      items={view.steps}
      keyOf={(s) => s.id}
      onAdd={add}
      onRemove={(s) => list.remove(s.index)}
    >
      {(s) => (
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          <LengthField
            label="From"
            value={s.from}
            {...measure}
            onChange={(v) => list.set(s.index, 'from', v)}
          />
          <LengthField label="To" value={s.to} {...measure} onChange={(v) => list.set(s.index, 'to', v)} />
          <NumberField
            label="Courses up"
            value={s.up}
            most={Math.max(1, view.courses.length - 1)}
            onChange={(n) => list.set(s.index, 'up', n)}
          />
          <p className="self-end pb-2 text-small text-soft">
            its top{' '}
            <span className="figures text-ink">
              <Typeset words={sayMm(view.courses[s.up - 1]?.top ?? 0, show)} />
            </span>{' '}
            over the base
          </p>
        </div>
      )}
    </Listed>
  );
}
