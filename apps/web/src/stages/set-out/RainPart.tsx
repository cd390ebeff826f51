import { stated, toMillimetres, type Stated } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const COATS = [
  ['unsaid', AT_SET_OUT.coatUnsaid],
  ['bare', AT_SET_OUT.coatBare],
  ['earth', AT_SET_OUT.coatEarth],
  ['lime', AT_SET_OUT.coatLime],
] as const;

const mm = (length: Stated | undefined): number => (length === undefined ? 0 : toMillimetres(stated(length)));

/** What keeps water off a wall of earth: what it stands on, what reaches out over it, what is on its face. */
export function RainPart({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { set, clear } = useWallFields(job, view);
  if (view.wall.family !== 'adobe') return null;
  const rain = job.walls[view.wall.index]?.rain;
  const { module, pitch } = view.wall;
  const lengths = { show, module, pitch };
  return (
    <Section title={tell(AT_SET_OUT.waterOffIt)}>
      <div className="grid grid-cols-2 items-end gap-x-3">
        <LengthField
          {...lengths}
          label={tell(AT_SET_OUT.footOver)}
          name="rain-base"
          value={mm(rain?.base)}
          onChange={(v) => set('/rain/base', v)}
        />
        <LengthField
          {...lengths}
          label={tell(AT_SET_OUT.eavesReach)}
          name="rain-eaves"
          value={mm(rain?.eaves)}
          onChange={(v) => set('/rain/eaves', v)}
        />
      </div>
      <Pick
        label={tell(AT_SET_OUT.onItsFace)}
        value={rain?.coat ?? 'unsaid'}
        options={COATS}
        onChange={(v) => (v === 'unsaid' ? clear('/rain/coat') : set('/rain/coat', v))}
      />
      <label className="flex min-h-[26px] items-center gap-2">
        <input
          type="checkbox"
          checked={rain?.dpc === true}
          onChange={(e) => (e.currentTarget.checked ? set('/rain/dpc', true) : clear('/rain/dpc'))}
        />
        {tell(AT_SET_OUT.dampCourse)}
      </label>
    </Section>
  );
}
