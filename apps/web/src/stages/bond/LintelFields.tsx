import type { Message, Stated } from '@even-tally/core';
import { AT_BOND } from '@even-tally/words';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { NameField } from '../../ui/NameField';
import { Pick } from '../../ui/Pick';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { written } from '../written';

type Opening = PanelProps['view']['openings'][number];
type Lintel = Opening['lintels'][number];

const KINDS: readonly (readonly [NonNullable<Lintel['kind']> | 'unsaid', Message])[] = [
  ['unsaid', AT_BOND.lintelUnsaid],
  ['concrete', AT_BOND.lintelConcrete],
  ['steel', AT_BOND.lintelSteel],
  ['stone', AT_BOND.lintelStone],
  ['timber', AT_BOND.lintelTimber],
  ['beam', AT_BOND.lintelBeam],
  ['arch', AT_BOND.lintelArch],
];

function One({ l, path, view, show }: PanelProps & { l: Lintel; path: string }): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const set = (key: string) => (value: unknown) => edit([{ op: 'add', path: `${path}/${key}`, value }]);
  const [left, right] = l.bearings;
  return (
    <div className="mt-2 border-l-4 border-rule pl-3">
      <p className="flex items-center justify-between">
        <b>
          {l.leaf === null
            ? tell(AT_BOND.lintel)
            : tell(AT_BOND.lintelIn({ leaf: l.leaf === 0 ? 'outer' : 'inner' }))}
        </b>
        <button
          className="flex min-h-7 min-w-7 items-center justify-center text-soft hover:text-fault"
          aria-label={tell(AT_BOND.takeLintelOut)}
          onClick={() => edit([{ op: 'remove', path }])}
        >
          <Trash2 size={15} aria-hidden="true" />
        </button>
      </p>
      <div className="grid grid-cols-2 gap-x-3">
        <Pick
          label={tell(AT_BOND.lintelOf)}
          value={l.kind ?? 'unsaid'}
          options={KINDS}
          onChange={(v) => (v === 'unsaid' ? edit([{ op: 'remove', path: `${path}/kind` }]) : set('kind')(v))}
        />
        <LengthField
          label={tell(AT_BOND.lintelLong)}
          value={l.length}
          {...measure}
          onChange={set('length')}
        />
        <LengthField
          label={tell(left === right ? AT_BOND.bearsEachEnd : AT_BOND.bearsAtLeft)}
          value={left}
          {...measure}
          onChange={set('bearings')}
        />
        <LengthField
          label={tell(AT_BOND.lintelHigh)}
          value={l.height ?? 0}
          {...measure}
          onChange={set('height')}
        />
        <NameField label={tell(AT_BOND.lintelMark)} value={l.mark} onChange={set('mark')} />
        <NameField label={tell(AT_BOND.lintelBy)} value={l.by} onChange={set('by')} />
      </div>
    </div>
  );
}

/** What carries the wall over an opening, as its engineer or maker has it: listed here, never sized. */
export function LintelFields({ o, ...props }: PanelProps & { o: Opening }): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const { view, show } = props;
  if (!o.wants) return null;
  const path = `/walls/${view.wall.index}/openings/${o.index}`;
  const { length, bearing } = o.wants;
  const text = (mm: number): Stated => written(mm, show);
  const first = { length: text(length), bearings: text(bearing) };
  const list = (): boolean =>
    edit([
      {
        op: 'add',
        path: `${path}/lintel`,
        value: view.steel.cavity ? [0, 1].map((leaf) => ({ leaf, ...first })) : first,
      },
    ]);
  return o.lintels.length === 0 ? (
    <p className="flex flex-wrap items-center gap-x-3 text-small">
      <button className="press-plain" onClick={list}>
        {tell(AT_BOND.listItsLintel)}
      </button>
      <span className="text-soft">
        <Told said={AT_BOND.lintelWants({ length, bearing })} />
      </span>
    </p>
  ) : (
    o.lintels.map((l) => <One key={l.path} {...props} l={l} path={`${path}${l.path}`} />)
  );
}
