import { PROFILES, type Held, type Message, type Site } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';
import { siteStep } from '../set-out/siteEdits';
import { useWallFields } from '../useWallFields';

const HELD: readonly (readonly [Held | 'unsaid', Message])[] = [
  ['unsaid', AT_STEEL.unsaid],
  ['soil', AT_STEEL.freeAtTheTop],
  ['floors', AT_STEEL.byFloors],
  ['free-standing', AT_STEEL.standsFree],
  ['drawing', AT_STEEL.asTheDrawingSays],
];

type Exposure = '0' | '1' | '2' | '3' | '4';
const EXPOSED: readonly (readonly [Exposure, Message])[] = [
  ['0', AT_STEEL.unsaid],
  ['1', AT_STEEL.sheltered],
  ['2', AT_STEEL.someShelter],
  ['3', AT_STEEL.littleShelter],
  ['4', AT_STEEL.open],
];
type Seismic = NonNullable<Site['seismic']> | 'unsaid';
const SEISMIC: readonly (readonly [Seismic, Message | string])[] = [
  ['unsaid', AT_STEEL.unsaid],
  ...(['A', 'B', 'C', 'D', 'E', 'F'] as const).map((c) => [c, c] as const),
];

/** How the wall is held, which decides where its bars stand and how high it may: asked, never inferred. */
export function HowHeld({ job, view }: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const { set, clear } = useWallFields(job, view);
  const site = job.site ?? {};
  const forget = (key: string): boolean => edit([{ op: 'remove', path: `/site/${key}` }]);
  return (
    <Section title={tell(AT_STEEL.howItStands)}>
      <Pick
        label={tell(AT_STEEL.howTheWallIs)}
        value={view.wall.held ?? 'unsaid'}
        options={HELD}
        onChange={(v) => (v === 'unsaid' ? clear('/held') : set('/held', v))}
      />
      {view.wall.held === 'free-standing' && (
        <div className="grid grid-cols-2 gap-3">
          {/* Only the UK’s figures are by zone. */}
          {job.profile === 'uk' && (
            <Pick
              label={tell(AT_STEEL.howExposed)}
              value={String(site.exposure ?? 0) as Exposure}
              options={EXPOSED}
              onChange={(v) =>
                v === '0' ? forget('exposure') : edit(siteStep(job, 'exposure', Number(v) as 1 | 2 | 3 | 4))
              }
            />
          )}
          {PROFILES[job.profile].lengths === 'nominal' && (
            <Pick
              label={tell(AT_STEEL.seismicCategory)}
              value={site.seismic ?? 'unsaid'}
              options={SEISMIC}
              onChange={(v) => (v === 'unsaid' ? forget('seismic') : edit(siteStep(job, 'seismic', v)))}
            />
          )}
        </div>
      )}
    </Section>
  );
}
