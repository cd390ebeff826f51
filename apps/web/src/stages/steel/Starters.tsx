import { sayMm, showMm, writeAddress, type JudgedStarter } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { LengthField } from '../../ui/LengthField';
import { Listed } from '../../ui/Listed';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { written } from '../written';

const WORD: Record<JudgedStarter['verdict'], [string, string]> = {
  clear: ['clear in its cell', 'text-settled'],
  touching: ['touches the block', 'text-caution'],
  blocked: ['under a web or a perp', 'text-fault'],
};

/** Starters as they stand in the footing, each judged against the block that is to go over it. */
export function Starters({ job, view, show }: PanelProps): ReactNode {
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
      title="Starters as placed"
      one="starter"
      none={`None entered. ${dowels.length} are planned in this run; once the footing is poured, enter where they stand.`}
      items={starters}
      keyOf={(s) => s.id}
      onAdd={() => put([next])}
      onRemove={(s) => edit([{ op: 'remove', path: `${path}/${s.index}` }])}
      after={
        starters.length === 0 && dowels.length > 0 ? (
          <button className="press-plain" onClick={() => put(dowels.map((d) => d.at))}>
            Enter all {dowels.length} as planned, then correct them
          </button>
        ) : null
      }
    >
      {(s) => (
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          <LengthField
            label="From the start"
            value={s.at}
            {...measure}
            onChange={(v) => set(`/steel/starters/${s.index}/at`, v)}
          />
          <LengthField
            label="Off the middle, outward"
            value={s.off}
            {...measure}
            signed
            onChange={(v) => set(`/steel/starters/${s.index}/off`, v)}
          />
          <p className={`col-span-2 text-small font-semibold ${WORD[s.verdict][1]}`}>
            {WORD[s.verdict][0]}
            {s.need !== 0 &&
              `: ${sayMm(Math.abs(s.need), show)} ${s.need > 0 ? 'on' : 'back'} would clear it`}
            {s.bar !== null && `; its bar at ${showMm(s.bar, show)}`}
          </p>
        </div>
      )}
    </Listed>
  );
}
