import { millimetres, sayMm, writeLength, type SitePoint, type Stated } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { NameField } from '../../ui/NameField';
import { Told } from '../../ui/Told';
import { Typeset } from '../../ui/Typeset';
import type { PanelProps } from '../panel';
import { siteStep } from './siteEdits';
import { Point } from './LevelPoint';
import { Layers } from './Layers';

/** Ground, floors and the footing against one datum: what governs, and what the staff must read. */
export function Levels(props: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const { job, view, show } = props;
  const { site } = view;
  const say = (n: number): string => sayMm(n, show);
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const add = (): void => {
    const points = job.site?.points;
    const { id, label } = newId('L', points);
    const value: SitePoint = {
      id,
      name: tell(AT_SET_OUT.cornerNo({ label: label.slice(1) })),
      is: 'ground',
      level: 0,
    };
    if (points) edit([{ op: 'add', path: '/site/points/-', value }]);
    else edit(siteStep(job, 'points', [value]));
  };
  const length = (key: 'clearance' | 'cover' | 'slab' | 'instrument') => (v: Stated) =>
    edit(siteStep(job, key, v));
  const instrument = (): void => {
    edit(siteStep(job, 'instrument', writeLength(millimetres(1500), show)));
  };
  return (
    <Fold
      title={tell(AT_SET_OUT.levels)}
      aside={
        site.control ? tell(AT_SET_OUT.plinthAt({ at: site.control.wanted })) : tell(AT_SET_OUT.noneEntered)
      }
    >
      <NameField
        label={tell(AT_SET_OUT.everythingIsMeasuredFrom)}
        value={site.datum}
        onChange={(v) => edit(siteStep(job, 'datum', v))}
      />
      {site.control && (
        <p>
          <Told
            said={AT_SET_OUT.governs({
              name: site.control.name,
              rule: site.control.rule === 'ground' ? 'ground' : 'floor',
              at: site.control.wanted,
            })}
          />
        </p>
      )}
      <div className="grid grid-cols-2 gap-3">
        <LengthField
          label={tell(AT_SET_OUT.plinthOverGround)}
          value={site.clearance}
          {...measure}
          onChange={length('clearance')}
        />
        <LengthField
          label={tell(AT_SET_OUT.groundOverFooting)}
          value={site.cover}
          {...measure}
          onChange={length('cover')}
        />
        {site.instrument === null ? (
          <button className="press-plain self-center" onClick={instrument}>
            {tell(AT_SET_OUT.setUpALevel)}
          </button>
        ) : (
          <LengthField
            label={tell(AT_SET_OUT.heightOfInstrument)}
            value={site.instrument}
            {...measure}
            signed
            onChange={length('instrument')}
          />
        )}
        <LengthField
          label={tell(AT_SET_OUT.slabOverTheFooting)}
          value={site.slab ?? 0}
          {...measure}
          signed
          onChange={length('slab')}
        />
      </div>
      <p className="flex items-baseline justify-between">
        <b>{tell(AT_SET_OUT.points)}</b>
        <button className="inline-flex min-h-7 items-center gap-1 font-semibold text-chalk" onClick={add}>
          <Plus size={15} aria-hidden="true" /> {tell(AT_SET_OUT.addOne)}
        </button>
      </p>
      {site.points.length === 0 && <p className="text-soft">{tell(AT_SET_OUT.enterTheGroundAt)}</p>}
      <ul className="space-y-2">
        {site.points.map((p, i) => (
          <Point key={p.id} {...props} index={i} />
        ))}
      </ul>
      {site.finishRod !== null && (
        <p>
          <Told said={AT_SET_OUT.finishStaff({ at: site.finishRod })} />
        </p>
      )}
      {site.supports.length > 0 && (
        <table className="w-full text-small">
          <caption className="text-left font-bold">{tell(AT_SET_OUT.supportsUnder)}</caption>
          <tbody>
            {site.supports.map((s) => (
              <tr key={s.name} className="border-t border-rule">
                <td>{s.name}</td>
                <td className="text-right">
                  <Told said={AT_SET_OUT.supportGets({ all: s.toFinish, more: s.more })} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {site.footings.length > 0 && (
        <table className="w-full text-small">
          <caption className="text-left font-bold">{tell(AT_SET_OUT.topOfFootingIn)}</caption>
          <tbody>
            {site.footings.map((f) => (
              <tr key={f.name} className="border-t border-rule">
                <td>{f.name}</td>
                <td className="text-right">{tell(AT_SET_OUT.coursesUnder({ count: f.courses }))}</td>
                <td className="figures text-right">
                  <Typeset words={say(f.level)} />
                </td>
                {site.instrument !== null && (
                  <td className="figures text-right">
                    <Told said={AT_SET_OUT.staffAt({ at: site.instrument - f.level })} />
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Layers {...props} />
    </Fold>
  );
}
