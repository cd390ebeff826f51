import { readMass, type Message, type StonePartView } from '@even-tally/core';
import { AT_STONE } from '@even-tally/words';
import type { ReactNode } from 'react';
import { look } from '../../../state/view';
import { useTell } from '../../../state/words';
import { AmountField } from '../../../ui/AmountField';
import { Section } from '../../../ui/Section';
import { Told } from '../../../ui/Told';
import { useWallFields } from '../../useWallFields';
import { Percent } from './Fields';
import type { StoneProps } from './StonePart';

const PARTS: Record<StonePartView['part'], readonly [Message, string, string]> = {
  face: [AT_STONE.face, 'bg-unit', 'stone.face'],
  back: [AT_STONE.back, 'bg-mortar', 'stone.back'],
  hearting: [AT_STONE.hearting, 'bg-half-unit', 'stone.hearting'],
  mortar: [AT_STONE.mortar, 'bg-concrete', 'mortar.geometric'],
  voids: [AT_STONE.voids, 'bg-sheet', 'stone.voids'],
};

/** What the wall is made of, part by part, each opening into how it comes about; and the parts that are stated. */
export function MadeOf({ job, view, stone }: StoneProps): ReactNode {
  const tell = useTell();
  const { set } = useWallFields(job, view);
  const build = job.walls[view.wall.index]?.build;
  const load = build && build.kind !== 'units' ? build.load : undefined;
  return (
    <Section title={tell(AT_STONE.whatItIsMadeOf)}>
      <div className="flex h-5 border border-ink" aria-hidden="true">
        {stone.parts.map((p) => (
          <span
            key={p.part}
            className={`${PARTS[p.part][1]} border-r border-ink last:border-r-0`}
            style={{ flexGrow: p.share }}
          />
        ))}
      </div>
      <ul className="text-small">
        {stone.parts.map((p) => (
          <li key={p.part}>
            <button
              className="min-h-7 text-left text-chalk underline decoration-dotted"
              aria-haspopup="dialog"
              onClick={() => look({ figure: `${view.wall.id}/wall/${PARTS[p.part][2]}` })}
            >
              <Told
                said={AT_STONE.partOf({
                  part: PARTS[p.part][0],
                  share: Math.round(p.share * 100),
                  volume: p.volume,
                })}
              />
            </button>
          </li>
        ))}
      </ul>
      <div className="grid grid-cols-3 items-end gap-x-3">
        {stone.kind === 'dry' ? (
          <Percent
            label={tell(AT_STONE.partOpen)}
            value={stone.voids}
            most={60}
            onChange={(n) => set('/build/voids', n)}
          />
        ) : (
          stone.kind !== 'ashlar' && (
            <Percent
              label={tell(AT_STONE.partStone)}
              value={stone.share}
              onChange={(n) => set('/build/share', n)}
            />
          )
        )}
        {stone.kind !== 'ashlar' && (
          <Percent
            label={tell(AT_STONE.partHearting)}
            value={stone.hearting}
            onChange={(n) => set('/build/hearting', n)}
          />
        )}
        <Percent
          label={tell(AT_STONE.waste)}
          value={stone.waste}
          most={100}
          onChange={(n) => set('/build/waste', n)}
        />
      </div>
      <div className="grid grid-cols-2 items-end gap-x-3">
        <AmountField
          label={tell(AT_STONE.aLoad)}
          name="stone-load"
          value={String(load ?? '10 t')}
          reads={readMass}
          bare="t"
          onChange={(said) => set('/build/load', said)}
        />
        <button
          className="min-h-7 text-left text-small text-chalk underline decoration-dotted"
          aria-haspopup="dialog"
          onClick={() => look({ figure: `${view.wall.id}/wall/stone.loads` })}
        >
          <Told said={AT_STONE.loadsCome({ loads: stone.loads })} />
        </button>
      </div>
    </Section>
  );
}
