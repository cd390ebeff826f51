import { millimetres, writeLength, type Keep, type Stated } from '@even-tally/core';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { LengthField } from '../../ui/LengthField';
import { NameField } from '../../ui/NameField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const KEEPS = [
  ['must', 'must land there'],
  ['wish', 'may move'],
] as const;

function Rule({
  name,
  must,
  tolerance,
  path,
  job,
  view,
  show,
}: PanelProps & { name: string; must: boolean; tolerance: number; path: string }): ReactNode {
  const { set } = useWallFields(job, view);
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  return (
    <div className="grid grid-cols-2 gap-x-3">
      <Pick
        label={`${name} ${must ? '' : '(a wish)'}`}
        value={must ? 'must' : 'wish'}
        options={KEEPS}
        onChange={(v: Keep) => set(`${path}/keep`, v)}
      />
      <LengthField
        label="give or take"
        value={tolerance}
        {...measure}
        onChange={(v) => set(`${path}/tolerance`, v)}
      />
    </div>
  );
}

/** Heights a course has to land on, and how firmly: the openings' and any others. */
export function FixedHeights(props: PanelProps): ReactNode {
  const { edit } = useJob();
  const { job, view, show } = props;
  const { set } = useWallFields(job, view);
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const list = job.walls[view.wall.index]?.heights;
  const path = `/walls/${view.wall.index}/heights`;
  const add = (): void => {
    const { id, label } = newId('H', list);
    const course = view.marks[Math.floor(view.marks.length / 2)]?.top ?? view.wall.height / 2;
    const at: Stated = writeLength(millimetres(Math.round(course * 1000) / 1000), show);
    const value = { id, name: `Height ${label.slice(1)}`, at };
    edit([list ? { op: 'add', path: `${path}/-`, value } : { op: 'add', path, value: [value] }]);
  };
  const openings = view.openings.filter((o) => o.run === view.run);
  return (
    <Section
      title="Fixed heights"
      aside={
        <button className="inline-flex min-h-7 items-center gap-1 font-semibold text-chalk" onClick={add}>
          <Plus size={15} aria-hidden="true" /> Add one
        </button>
      }
    >
      {openings.length + view.heights.length === 0 && (
        <p className="text-soft">Only the top. Add a bearing, a floor, a plate or an old course line.</p>
      )}
      {openings.map((o) => (
        <Rule
          key={o.id}
          {...props}
          name={`${o.name}, sill and head`}
          must={o.must}
          tolerance={o.tolerance}
          path={`/openings/${o.index}`}
        />
      ))}
      {view.heights.map((h) => (
        <div key={h.id} className="border-t border-rule pt-2">
          <div className="grid grid-cols-[1fr_110px_28px] items-end gap-x-2">
            <NameField
              label="Height of"
              value={h.name}
              onChange={(v) => set(`/heights/${h.index}/name`, v)}
            />
            <LengthField
              label="above the base"
              counts="courses"
              value={h.at}
              {...measure}
              onChange={(v) => set(`/heights/${h.index}/at`, v)}
            />
            <button
              className="mb-5 flex min-h-7 min-w-7 items-center justify-center text-soft hover:text-fault"
              aria-label={`Take out ${h.name}`}
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
