import { layersTotal, sayMm } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { NameField } from '../../ui/NameField';
import { Typeset } from '../../ui/Typeset';
import type { PanelProps } from '../panel';
import { siteStep } from './siteEdits';

export function Layers({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const layers = job.site?.layers;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const add = (): void => {
    const value = {
      name: tell(AT_SET_OUT.layerNo({ count: (layers?.list.length ?? 0) + 1 })),
      thickness: show === 'mm' ? 100 : '4"',
    };
    if (layers) edit([{ op: 'add', path: '/site/layers/list/-', value }]);
    else edit(siteStep(job, 'layers', { list: [value] }));
  };
  return (
    <>
      <p className="flex items-baseline justify-between">
        <b>{tell(AT_SET_OUT.layersOverTheSupport)}</b>
        <button className="inline-flex min-h-7 items-center gap-1 font-semibold text-chalk" onClick={add}>
          <Plus size={15} aria-hidden="true" /> {tell(AT_SET_OUT.addOne)}
        </button>
      </p>
      {view.site.buildUp.layers.map((l, i) => (
        <div key={`${l.name}${i}`} className="grid grid-cols-[1fr_92px_28px] items-end gap-x-2">
          <NameField
            label={tell(AT_SET_OUT.layer)}
            value={l.name}
            onChange={(v) => edit([{ op: 'replace', path: `/site/layers/list/${i}/name`, value: v }])}
          />
          <LengthField
            label={tell(AT_SET_OUT.thick)}
            value={l.thickness}
            {...measure}
            onChange={(v) => edit([{ op: 'replace', path: `/site/layers/list/${i}/thickness`, value: v }])}
          />
          <button
            className="mb-5 flex min-h-7 min-w-7 items-center justify-center text-soft hover:text-fault"
            aria-label={tell(AT_SET_OUT.takeOut({ what: l.name }))}
            onClick={() => edit([{ op: 'remove', path: `/site/layers/list/${i}` }])}
          >
            <Trash2 size={15} aria-hidden="true" />
          </button>
        </div>
      ))}
      {view.site.buildUp.layers.length > 0 && (
        <div className="grid grid-cols-2 items-end gap-3">
          <p className="pb-5">
            {tell(AT_SET_OUT.together)}{' '}
            <b className="figures">
              <Typeset words={sayMm(layersTotal(view.site.buildUp), show)} />
            </b>
          </p>
          <LengthField
            label={tell(AT_SET_OUT.totalThatWasStated)}
            value={view.site.buildUp.stated ?? layersTotal(view.site.buildUp)}
            {...measure}
            onChange={(v) => edit([{ op: 'add', path: '/site/layers/stated', value: v }])}
          />
        </div>
      )}
    </>
  );
}
