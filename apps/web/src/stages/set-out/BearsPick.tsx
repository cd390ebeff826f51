import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const BEARS = [
  ['unsaid', AT_SET_OUT.bearsUnsaid],
  ['roof', AT_SET_OUT.bearsRoof],
  ['none', AT_SET_OUT.bearsNone],
] as const;

/** Whether a wall of earth bears the roof: asked, never inferred. */
export function BearsPick({ job, view }: PanelProps): ReactNode {
  const tell = useTell();
  const { set, clear } = useWallFields(job, view);
  if (view.wall.family !== 'adobe') return null;
  return (
    <Pick
      label={tell(AT_SET_OUT.whatEarthDoes)}
      value={job.walls[view.wall.index]?.bears ?? 'unsaid'}
      options={BEARS}
      onChange={(v) => (v === 'unsaid' ? clear('/bears') : set('/bears', v))}
    />
  );
}
