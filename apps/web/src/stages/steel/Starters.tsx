import { writeAddress, type JudgedStarter, type Message } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { Listed } from '../../ui/Listed';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { written } from '../written';

const WORD: Record<JudgedStarter['verdict'], [Message, string]> = {
  clear: [AT_STEEL.clearInItsCell, 'text-settled'],
  touching: [AT_STEEL.touchesTheBlock, 'text-caution'],
  blocked: [AT_STEEL.underWeb, 'text-fault'],
};

/** Starters as they stand in the footing, each judged against the block that is to go over it. */
export function Starters({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const { set } = useWallFields(job, view);
  const { starters, dowels, steel } = view.steel;
  if (!steel?.vertical) return null;
  const path = `/walls/${view.wall.index}/steel/starters`;
  const all = job.walls[view.wall.index]?.steel?.starters;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const put = (places: readonly number[]): void => {
    const entries: { id: string; place: string; at: string | number }[] = [];
    const place = writeAddress({ wall: view.wall.id, run: view.runs[view.run]?.called ?? `#${view.run}` });
    for (const at of places) {
      const { id } = newId('S', [...(all ?? []), ...entries]);
      entries.push({ id, place, at: written(at, show) });
    }
    if (all) edit(entries.map((value) => ({ op: 'add', path: `${path}/-`, value })));
    else set('/steel/starters', entries);
  };
  const next = dowels.find((d) => !starters.some((s) => Math.abs(s.at - d.at) < 100))?.at ?? 0;
  return (
    <Listed
      title={tell(AT_STEEL.startersAsPlaced)}
      one={AT_STEEL.starter}
      add={AT_STEEL.addStarter}
      none={tell(AT_STEEL.startersNone({ count: dowels.length }))}
      items={starters}
      keyOf={(s) => s.id}
      onAdd={() => put([next])}
      onRemove={(s) => edit([{ op: 'remove', path: `${path}/${s.index}` }])}
      after={
        starters.length === 0 && dowels.length > 0 ? (
          <button className="press-plain" onClick={() => put(dowels.map((d) => d.at))}>
            {tell(AT_STEEL.enterAll({ count: dowels.length }))}
          </button>
        ) : null
      }
    >
      {(s) => (
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          <LengthField
            label={tell(AT_STEEL.fromTheStart)}
            value={s.at}
            {...measure}
            onChange={(v) => set(`/steel/starters/${s.index}/at`, v)}
          />
          <LengthField
            label={tell(AT_STEEL.offTheMiddleOutward)}
            value={s.off}
            {...measure}
            signed
            onChange={(v) => set(`/steel/starters/${s.index}/off`, v)}
          />
          <p className={`col-span-2 text-small font-semibold ${WORD[s.verdict][1]}`}>
            <Told
              said={AT_STEEL.starterSays({
                verdict: WORD[s.verdict][0],
                shift: s.need === 0 ? 'none' : s.need > 0 ? 'on' : 'back',
                by: Math.abs(s.need),
                bars: s.bar === null ? 'no' : 'yes',
                bar: s.bar ?? 0,
              })}
            />
          </p>
        </div>
      )}
    </Listed>
  );
}
