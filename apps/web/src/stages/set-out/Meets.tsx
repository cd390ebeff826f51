import { inFull, runsOf, stated, toMillimetres, type MeetHow } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const HOW: readonly (readonly [MeetHow, string])[] = [
  ['tied', 'butted and tied'],
  ['bonded', 'bonded in'],
  ['toothed', 'toothed in'],
];

/** Where this wall's last run ends on another wall, and how its end is held there. */
export function Meets({ job, view, show }: PanelProps): ReactNode {
  const { edit } = useJob();
  const { set, path } = useWallFields(job, view);
  const others = job.walls.filter((w) => w.id !== view.wall.id);
  const meets = inFull(job).walls[view.wall.index]?.meets;
  if (others.length === 0) return null;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  if (!meets)
    return (
      <Fold title="Ends on another wall" aside="no">
        <button
          className="press-plain"
          onClick={() =>
            edit([{ op: 'add', path: `${path}/meets`, value: { wall: others[0]?.id, run: 0, at: 0 } }])
          }
        >
          Its last run ends on {others[0]?.name}
        </button>
      </Fold>
    );
  const how = meets.how ?? 'tied';
  const line = others.find((w) => w.id === meets.wall)?.line ?? [];
  const runs = runsOf(line);
  return (
    <Fold title="Ends on another wall" aside={HOW.find(([h]) => h === how)?.[1]} open>
      <Pick
        label="Its last run ends on"
        value={meets.wall}
        options={others.map((w) => [w.id, w.name] as const)}
        onChange={(v) => set('/meets/wall', v)}
      />
      <div className="grid grid-cols-2 gap-x-3">
        <LengthField
          label="Its near side at"
          counts="units"
          value={toMillimetres(stated(meets.at))}
          {...measure}
          onChange={(v) => set('/meets/at', v)}
        />
        <NumberField
          label={`Run, 1 to ${runs}`}
          value={meets.run + 1}
          most={runs}
          onChange={(n) => set('/meets/run', n - 1)}
        />
        <Pick label="Its end is" value={how} options={HOW} onChange={(v) => set('/meets/how', v)} />
        {how !== 'tied' && (
          <Pick
            label="goes in on"
            value={meets.on ?? 'even'}
            options={[
              ['even', 'even courses'],
              ['odd', 'odd courses'],
            ]}
            onChange={(v) => set('/meets/on', v)}
          />
        )}
      </div>
      <button className="press-plain" onClick={() => edit([{ op: 'remove', path: `${path}/meets` }])}>
        It stands clear after all
      </button>
    </Fold>
  );
}
