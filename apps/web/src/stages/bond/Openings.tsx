import type { PatchStep, Stated, Said } from '@even-tally/core';
import { AT_BOND } from '@even-tally/words';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { look, useViewing } from '../../state/view';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { Section } from '../../ui/Section';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { written } from '../written';

type One = PanelProps['view']['openings'][number];

function OpeningFields({ o, view, show }: PanelProps & { o: One }): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const path = `/walls/${view.wall.index}/openings/${o.index}`;
  const off = view.wall.nominal ? view.wall.head : 0;
  const chosen = useViewing((s) => s.opening === o.id);
  const set = (key: string) => (value: Stated) => edit([{ op: 'replace', path: `${path}/${key}`, value }]);
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  return (
    <li
      className={`border-b border-rule px-4 py-2 ${chosen ? 'bg-chalk-pale' : ''}`}
      onFocus={() => look({ opening: o.id })}
    >
      <div className="flex items-center justify-between">
        <p className="min-w-0 font-semibold break-words">{o.name}</p>
        <button
          className="flex min-h-7 min-w-7 items-center justify-center text-soft hover:text-fault"
          aria-label={tell(AT_BOND.takeOut({ what: o.name }))}
          onClick={() => edit([{ op: 'remove', path }])}
        >
          <Trash2 size={15} aria-hidden="true" />
        </button>
      </div>
      <div className="grid grid-cols-2 gap-x-3">
        <LengthField
          label={tell(AT_BOND.fromTheStart)}
          counts="units"
          name={`${o.id}-at`}
          value={o.from + off}
          {...measure}
          onChange={set('at')}
        />
        <LengthField
          label={tell(AT_BOND.width)}
          counts="units"
          name={`${o.id}-width`}
          value={o.to - o.from - off}
          {...measure}
          onChange={set('width')}
        />
        <LengthField
          label={tell(AT_BOND.sill)}
          counts="courses"
          name={`${o.id}-sill`}
          value={o.sill}
          {...measure}
          onChange={set('sill')}
        />
        <LengthField
          label={tell(AT_BOND.head)}
          counts="courses"
          name={`${o.id}-head`}
          value={o.head}
          {...measure}
          onChange={set('head')}
        />
      </div>
      <p className="flex flex-wrap gap-x-4">
        <Tick
          label={tell(AT_BOND.soldiersOverIt)}
          on={o.soldiers}
          onChange={(on) => edit([flag(path, 'over', on ? 'soldiers' : null)])}
        />
        <Tick
          label={tell(AT_BOND.theSameBothSides)}
          on={o.symmetric}
          onChange={(on) => edit([flag(path, 'symmetric', on ? true : null)])}
        />
      </p>
      {matches(view, o).map((m) => (
        <button
          key={m.key}
          className="mr-3 min-h-7 text-small font-semibold text-chalk underline"
          onClick={() => edit([{ op: 'replace', path: `${path}/${m.key}`, value: written(m.to, show) }])}
        >
          {tell(m.says)}
        </button>
      ))}
    </li>
  );
}

const flag = (path: string, key: string, value: unknown): PatchStep =>
  value === null ? { op: 'remove', path: `${path}/${key}` } : { op: 'add', path: `${path}/${key}`, value };

function Tick({
  label,
  on,
  onChange,
}: {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}): ReactNode {
  return (
    <label className="inline-flex min-h-7 items-center gap-2 text-small">
      <input type="checkbox" checked={on} onChange={(e) => onChange(e.currentTarget.checked)} /> {label}
    </label>
  );
}

/** The nearest other opening of the run whose sill or head this one might be set to. */
function matches(view: PanelProps['view'], o: One): { says: Said; key: 'sill' | 'head'; to: number }[] {
  const other = view.openings
    .filter((n) => n.run === o.run && n.id !== o.id)
    .sort((a, b) => Math.abs(a.from - o.from) - Math.abs(b.from - o.from))[0];
  if (!other) return [];
  return (['sill', 'head'] as const)
    .filter(
      (key) => Math.abs(other[key] - o[key]) > 0.5 && (key === 'head' || (o.sill > 0 && other.sill > 0)),
    )
    .filter((key) => (key === 'head' ? other.head > o.sill : other.sill < o.head))
    .map((key) => ({ says: AT_BOND.matchOf({ key, name: other.name }), key, to: other[key] }));
}

/** Narrow piers between openings: which units stand first, and the perp between them. */
function Narrow({ view }: PanelProps): ReactNode {
  const tell = useTell();
  if (view.narrow.length === 0) return null;
  return (
    <div className="border-t border-rule pt-2">
      <p className="font-semibold">{tell(AT_BOND.narrowPiers)}</p>
      <ol className="list-decimal space-y-1 pl-5">
        {view.narrow.map((n) => (
          <li key={n.from}>
            <Told
              said={AT_BOND.narrowPier({
                width: n.to - n.from,
                at: n.from,
                more: Math.max(n.odd.length, n.even.length) - 2 > 0 ? 'rest' : 'perp',
                joint: n.joint,
                odd: n.odd.length,
                even: n.even.length,
              })}
            />
          </li>
        ))}
      </ol>
    </div>
  );
}

/** A new opening two units wide in the widest clear stretch of the run, on the bond when it can be. */
function newOpening({ job, view, show }: PanelProps, tell: (said: Said) => string): PatchStep[] | null {
  const { module, pitch, head, height, nominal, index } = view.wall;
  const off = nominal ? head : 0;
  const length = view.runs[view.run]?.length ?? 0;
  const here = view.openings.filter((o) => o.run === view.run).sort((a, b) => a.from - b.from);
  const edges = [0, ...here.flatMap((o) => [o.from, o.to]), length];
  let [from, to] = [0, 0];
  for (let i = 0; i + 1 < edges.length; i += 2) {
    const [a, b] = [edges[i] ?? 0, edges[i + 1] ?? 0];
    if (b - a > to - from) [from, to] = [a, b];
  }
  const left = view.jambs.find((j) => j > from + (to - from) / 2 - module * 1.2) ?? from + module;
  if (to - from < module * 3 || left + module * 2 > to) return null;
  const courses = Math.max(2, Math.floor(height / pitch));
  const list = job.walls[index]?.openings;
  const { id, label } = newId('W', list);
  const text = (mm: number): Stated => written(mm, show);
  const value = {
    id,
    name: tell(AT_BOND.openingNo({ label })),
    run: view.run,
    at: text(left + off),
    width: text(module * 2 + (nominal ? 0 : head)),
    sill: text(Math.round(courses * 0.35) * pitch),
    head: text(Math.max(Math.round(courses * 0.35) + 1, Math.round(courses * 0.8)) * pitch),
  };
  return list
    ? [{ op: 'add', path: `/walls/${index}/openings/-`, value }]
    : [{ op: 'add', path: `/walls/${index}/openings`, value: [value] }];
}

export function Openings(props: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const here = props.view.openings.filter((o) => o.run === props.view.run);
  const fresh = newOpening(props, tell);
  return (
    <Section
      title={tell(AT_BOND.openings)}
      aside={
        <button
          className="inline-flex min-h-7 items-center gap-1 font-semibold text-chalk disabled:text-soft"
          disabled={!fresh}
          onClick={() => fresh && edit(fresh)}
        >
          <Plus size={15} aria-hidden="true" /> {tell(AT_BOND.addOne)}
        </button>
      }
    >
      {here.length === 0 && <p className="text-soft">{tell(AT_BOND.noneInThisRun)}</p>}
      <ul className="-mx-4">
        {here.map((o) => (
          <OpeningFields key={o.id} {...props} o={o} />
        ))}
      </ul>
      <Narrow {...props} />
    </Section>
  );
}
