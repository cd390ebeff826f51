import { AT_STEEL } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { type LapRule, type Message } from '@even-tally/core';

const LAPS: readonly (readonly [LapRule, Message])[] = [
  ['48d', AT_STEEL.lap48],
  ['40d', AT_STEEL.lap40],
  ['computed', AT_STEEL.computedTms402Eq],
  ['drawing', AT_STEEL.asTheDrawingSays],
];

/** How upright bars lap, and by how much. */
export function UprightLaps({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { set } = useWallFields(job, view);
  const { steel, lap } = view.steel;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  return (
    <div className="grid grid-cols-2 gap-3">
      <Pick
        label={tell(AT_STEEL.lapsBy)}
        value={steel?.lap?.rule ?? lap?.rule ?? '48d'}
        options={LAPS}
        onChange={(v) =>
          set('/steel/lap', v === 'drawing' ? { rule: v, length: show === 'mm' ? 600 : '24"' } : { rule: v })
        }
      />
      {steel?.lap?.rule === 'drawing' ? (
        <LengthField
          label={tell(AT_STEEL.lap)}
          value={steel.lap.length ?? 0}
          {...measure}
          onChange={(v) => set('/steel/lap/length', v)}
        />
      ) : (
        lap && (
          <p className="pt-4 text-small">
            <Told said={AT_STEEL.lapSays({ length: lap.length, says: lap.says })} />
          </p>
        )
      )}
    </div>
  );
}
