import { millimetres, writeLength, type Keep, type Stated, type Said } from '@even-tally/core';
import { AT_GAUGE } from '@even-tally/words';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { NameField } from '../../ui/NameField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const KEEPS = [
  ['must', AT_GAUGE.mustLand],
  ['wish', AT_GAUGE.mayMove],
] as const;

function Rule({
  name,
  must,
  tolerance,
  path,
  job,
  view,
  show,
}: PanelProps & { name: Said; must: boolean; tolerance: number; path: string }): ReactNode {
  const tell = useTell();
  const { set } = useWallFields(job, view);
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  return (
    <div className="grid grid-cols-2 gap-x-3">
      <Pick
        label={tell(AT_GAUGE.keepOf({ name, keep: must ? 'must' : 'wish' }))}
        value={must ? 'must' : 'wish'}
        options={KEEPS}
        onChange={(v: Keep) => set(`${path}/keep`, v)}
      />
      <LengthField
        label={tell(AT_GAUGE.giveOrTake)}
        value={tolerance}
        {...measure}
        onChange={(v) => set(`${path}/tolerance`, v)}
      />
    </div>
  );
}

/** Heights a course has to land on, and how firmly: the openings' and any others. */
export function FixedHeights(props: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const { job, view, show } = props;
  const { set } = useWallFields(job, view);
  const list = job.walls[view.wall.index]?.heights;
  const path = `/walls/${view.wall.index}/heights`;
  const add = (): void => {
    const { id, label } = newId('H', list);
    const course = view.marks[Math.floor(view.marks.length / 2)]?.top ?? view.wall.height / 2;
    const at: Stated = writeLength(millimetres(Math.round(course * 1000) / 1000), show);
    const value = { id, name: tell(AT_GAUGE.heightNo({ label: label.slice(1) })), at };
    edit([list ? { op: 'add', path: `${path}/-`, value } : { op: 'add', path, value: [value] }]);
  };
  const openings = view.openings.filter((o) => o.run === view.run);
  return (
    <Section
      title={tell(AT_GAUGE.fixedHeights)}
      aside={
        <button className="inline-flex min-h-7 items-center gap-1 font-semibold text-chalk" onClick={add}>
          <Plus size={15} aria-hidden="true" /> {tell(AT_GAUGE.addOne)}
        </button>
      }
    >
      {openings.length + view.heights.length === 0 && (
        <p className="text-soft">{tell(AT_GAUGE.onlyTheTopAdd)}</p>
      )}
      {openings.map((o) => (
        <Rule
          key={o.id}
          {...props}
          name={AT_GAUGE.sillAndHead({ name: o.name })}
          must={o.must}
          tolerance={o.tolerance}
          path={`/openings/${o.index}`}
        />
      ))}
      {view.heights.map((h) => (
        <div key={h.id} className="border-t border-rule pt-2">
          <div className="grid grid-cols-[1fr_28px] items-end gap-x-2">
            <NameField
              label={tell(AT_GAUGE.heightOf)}
              value={h.name}
              onChange={(v) => set(`/heights/${h.index}/name`, v)}
            />
            <button
              className="mb-1 flex min-h-7 min-w-7 items-center justify-center text-soft hover:text-fault"
              aria-label={tell(AT_GAUGE.takeOut({ what: h.name }))}
              onClick={() => edit([{ op: 'remove', path: `${path}/${h.index}` }])}
            >
              <Trash2 size={15} aria-hidden="true" />
            </button>
          </div>
          <Rule {...props} name={h.name} must={h.must} tolerance={h.tolerance} path={`/heights/${h.index}`} />
        </div>
      ))}
    </Section>
  );
}
