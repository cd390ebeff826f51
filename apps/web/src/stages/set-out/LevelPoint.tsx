import { AT_SET_OUT } from '@even-tally/words';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { NameField } from '../../ui/NameField';
import { Pick } from '../../ui/Pick';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';

const KINDS = [
  ['ground', AT_SET_OUT.ground],
  ['support', AT_SET_OUT.carriesAFloor],
  ['mark', AT_SET_OUT.onlyRead],
] as const;

export function Point({ view, show, index }: PanelProps & { index: number }): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const point = view.site.points[index];
  if (!point) return null;
  const path = `/site/points/${index}`;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch, signed: true };
  const set = (key: string) => (value: unknown) => edit([{ op: 'add', path: `${path}/${key}`, value }]);
  return (
    <li className="border-b border-rule pb-2">
      <div className="grid grid-cols-[1fr_104px_28px] items-end gap-x-2">
        <NameField label={tell(AT_SET_OUT.point)} value={point.name} onChange={set('name')} />
        <Pick label={tell(AT_SET_OUT.is)} value={point.is} options={KINDS} onChange={set('is')} />
        <button
          className="flex min-h-8 min-w-7 items-center justify-center text-soft hover:text-fault"
          aria-label={tell(AT_SET_OUT.takeOut({ what: point.name }))}
          onClick={() => edit([{ op: 'remove', path }])}
        >
          <Trash2 size={15} aria-hidden="true" />
        </button>
      </div>
      <div className="grid grid-cols-2 gap-x-2">
        <LengthField
          label={tell(AT_SET_OUT.levelAboveTheDatum)}
          value={point.level}
          {...measure}
          onChange={set('level')}
        />
        {view.site.instrument !== null && (
          <LengthField
            label={point.reading === null ? tell(AT_SET_OUT.staffReadOnIt) : tell(AT_SET_OUT.staffReads)}
            value={point.reading ?? point.rod ?? 0}
            {...measure}
            onChange={set('reading')}
          />
        )}
      </div>
      {point.rod !== null && (
        <p className="text-small text-soft">
          <Told
            said={
              point.error === null
                ? AT_SET_OUT.staffShould({ rod: point.rod })
                : AT_SET_OUT.itStands({
                    rod: point.rod,
                    by: Math.abs(point.error),
                    way: point.error > 0 ? 'high' : 'low',
                  })
            }
          />
        </p>
      )}
    </li>
  );
}
