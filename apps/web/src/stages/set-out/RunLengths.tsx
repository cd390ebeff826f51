import { type ReactNode } from 'react';
import { useJob } from '../../state/job';
import { LengthField } from '../../ui/LengthField';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

/** How long each run is. A closed rectangle's opposite sides go together. */
export function RunLengths({ job, view, show }: PanelProps): ReactNode {
  const { edit } = useJob();
  const { path } = useWallFields(job, view);
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  return (
    <div className="grid grid-cols-2 gap-x-3 gap-y-2">
      {view.runs.map((r) => (
        <LengthField
          key={r.id}
          label={r.name}
          counts="units"
          name={`run-${r.index}`}
          value={r.stated}
          {...measure}
          onChange={(v) => {
            const opposite =
              view.wall.closed && view.runs.length === 4 ? view.runs[(r.index + 2) % 4] : undefined;
            const steps = [r, ...(opposite ? [opposite] : [])].map((one) => ({
              op: 'replace' as const,
              path: `${path}/line/${one.item}/run`,
              value: v,
            }));
            return edit(steps);
          }}
        />
      ))}
    </div>
  );
}
