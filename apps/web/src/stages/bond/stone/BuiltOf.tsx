import { builtOf, type Message, type StoneKind } from '@even-tally/core';
import { AT_STONE } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../../state/words';
import { Pick } from '../../../ui/Pick';
import type { PanelProps } from '../../panel';
import { useWallFields } from '../../useWallFields';

const KINDS: readonly (readonly ['units' | StoneKind, Message])[] = [
  ['units', AT_STONE.ofUnits],
  ['rubble', AT_STONE.ofRubble],
  ['squared', AT_STONE.ofSquared],
  ['ashlar', AT_STONE.ofAshlar],
  ['dry', AT_STONE.ofDry],
];

/** What the wall is built of. Another kind keeps what both know of; the rest is as such walls begin. */
export function BuiltOf({ job, view }: PanelProps): ReactNode {
  const tell = useTell();
  const { set } = useWallFields(job, view);
  return (
    <Pick
      label={tell(AT_STONE.builtOf)}
      value={job.walls[view.wall.index]?.build.kind ?? 'units'}
      options={KINDS}
      onChange={(kind) => {
        const build = builtOf(job, view.wall.index, kind);
        if (build) set('/build', build);
      }}
    />
  );
}
