import { inFull, runsOf, stated, toMillimetres, type MeetHow, type Message } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const HOW: readonly (readonly [MeetHow, Message])[] = [
  ['tied', AT_SET_OUT.buttedAndTied],
  ['bonded', AT_SET_OUT.bondedIn],
  ['toothed', AT_SET_OUT.toothedIn],
];

/** Where this wall's last run ends on another wall, and how its end is held there. */
export function Meets({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const { set, path } = useWallFields(job, view);
  const others = job.walls.filter((w) => w.id !== view.wall.id);
  const meets = inFull(job).walls[view.wall.index]?.meets;
  if (others.length === 0) return null;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  if (!meets)
    return (
      <Fold title={tell(AT_SET_OUT.endsOnAnotherWall)} aside={tell(AT_SET_OUT.no)}>
        <button
          className="press-plain"
          onClick={() =>
            edit([{ op: 'add', path: `${path}/meets`, value: { wall: others[0]?.id, run: 0, at: 0 } }])
          }
        >
          {tell(AT_SET_OUT.endsOn({ wall: others[0]?.name ?? '' }))}
        </button>
      </Fold>
    );
  const how = meets.how ?? 'tied';
  const line = others.find((w) => w.id === meets.wall)?.line ?? [];
  const runs = runsOf(line);
  return (
    <Fold
      title={tell(AT_SET_OUT.endsOnAnotherWall)}
      aside={tell(HOW.find(([h]) => h === how)?.[1] ?? '')}
      open
    >
      <Pick
        label={tell(AT_SET_OUT.itsLastRunEnds)}
        value={meets.wall}
        options={others.map((w) => [w.id, w.name] as const)}
        onChange={(v) => set('/meets/wall', v)}
      />
      <div className="grid grid-cols-2 gap-x-3">
        <LengthField
          label={tell(AT_SET_OUT.itsNearSideAt)}
          counts="units"
          value={toMillimetres(stated(meets.at))}
          {...measure}
          onChange={(v) => set('/meets/at', v)}
        />
        <NumberField
          label={tell(AT_SET_OUT.runOneTo({ runs }))}
          value={meets.run + 1}
          most={runs}
          onChange={(n) => set('/meets/run', n - 1)}
        />
        <Pick
          label={tell(AT_SET_OUT.itsEndIs)}
          value={how}
          options={HOW}
          onChange={(v) => set('/meets/how', v)}
        />
        {how !== 'tied' && (
          <Pick
            label={tell(AT_SET_OUT.goesInOn)}
            value={meets.on ?? 'even'}
            options={[
              ['even', AT_SET_OUT.even],
              ['odd', AT_SET_OUT.odd],
            ]}
            onChange={(v) => set('/meets/on', v)}
          />
        )}
      </div>
      <button className="press-plain" onClick={() => edit([{ op: 'remove', path: `${path}/meets` }])}>
        {tell(AT_SET_OUT.itStandsClearAfter)}
      </button>
    </Fold>
  );
}
