import { stated, toMillimetres } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const BEARS = [
  ['unsaid', AT_SET_OUT.bearsUnsaid],
  ['roof', AT_SET_OUT.bearsRoof],
  ['none', AT_SET_OUT.bearsNone],
] as const;

const PLATES = [
  ['unsaid', AT_SET_OUT.plateUnsaid],
  ['timber', AT_SET_OUT.timberPlate],
  ['concrete', AT_SET_OUT.bondBeam],
] as const;

/** Whether a wall of earth bears the roof: asked, never inferred. */
export function BearsPick({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { set, clear } = useWallFields(job, view);
  if (view.wall.family !== 'adobe') return null;
  const plate = job.walls[view.wall.index]?.plate;
  const bears = job.walls[view.wall.index]?.bears;
  return (
    <>
      <Pick
        label={tell(AT_SET_OUT.whatEarthDoes)}
        value={job.walls[view.wall.index]?.bears ?? 'unsaid'}
        options={BEARS}
        onChange={(v) => (v === 'unsaid' ? clear('/bears') : set('/bears', v))}
      />
      {bears === 'roof' && (
        <div className="grid grid-cols-2 items-end gap-x-3">
          <Pick
            label={tell(AT_SET_OUT.roofSitsOn)}
            value={plate?.kind ?? 'unsaid'}
            options={PLATES}
            onChange={(kind) =>
              kind === 'unsaid'
                ? clear('/plate')
                : set('/plate', { height: show === 'mm' ? 150 : '6"', ...plate, kind })
            }
          />
          {plate && (
            <LengthField
              label={tell(AT_SET_OUT.plateDeep)}
              name="plate-height"
              value={toMillimetres(stated(plate.height))}
              show={show}
              module={view.wall.module}
              pitch={view.wall.pitch}
              onChange={(v) => set('/plate/height', v)}
            />
          )}
        </div>
      )}
    </>
  );
}
