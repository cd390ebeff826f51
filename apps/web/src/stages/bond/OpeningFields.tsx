import type { PatchStep, Stated, Said } from '@even-tally/core';
import { AT_BOND, AT_STONE } from '@even-tally/words';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { look, useViewing } from '../../state/view';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import type { PanelProps } from '../panel';
import { LintelFields } from './LintelFields';
import { written } from '../written';

type One = PanelProps['view']['openings'][number];

export function OpeningFields({ o, ...props }: PanelProps & { o: One }): ReactNode {
  const { view, show } = props;
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
        {view.stone && (
          <Tick
            label={tell(AT_STONE.stonesAcross)}
            on={o.bridged}
            onChange={(on) => edit([flag(path, 'bridged', on ? {} : null)])}
          />
        )}
      </p>
      <LintelFields {...props} o={o} />
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
