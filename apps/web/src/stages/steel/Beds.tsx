import type { Message } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { barOptions } from './barOptions';

const KINDS: readonly (readonly ['none' | 'ladder' | 'wire' | 'bars', Message])[] = [
  ['none', AT_STEEL.nothingInTheBeds],
  ['ladder', AT_STEEL.ladder],
  ['wire', AT_STEEL.plainWire],
  ['bars', AT_STEEL.twoBars],
];

/** Reinforcement in the beds and straps at corners; bars in the footing. */
export function Beds({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { set, clear } = useWallFields(job, view);
  const { steel, bed } = view.steel;
  const now = steel?.bed ?? null;
  const bar = show === 'mm' ? 'T12' : '#4';
  return (
    <Fold
      title={tell(AT_STEEL.inTheBeds)}
      aside={now ? tell(AT_STEEL.everyCourses({ every: now.every })) : tell(AT_STEEL.none)}
    >
      <div className="grid grid-cols-2 gap-3">
        <Pick
          label={tell(AT_STEEL.laidInTheBed)}
          value={now?.kind ?? 'none'}
          options={KINDS}
          onChange={(k) =>
            k === 'none'
              ? clear('/steel/bed')
              : set('/steel/bed', {
                  every: now?.every ?? (view.wall.family === 'adobe' ? 3 : 2),
                  kind: k,
                  ...(k === 'bars' ? { bar } : {}),
                })
          }
        />
        {now && (
          <NumberField
            label={tell(AT_STEEL.coursesApart)}
            value={now.every}
            most={100}
            onChange={(n) => set('/steel/bed/every', n)}
          />
        )}
      </div>
      {bed && (
        <p className="text-small">
          <Told
            said={AT_STEEL.bedSays({
              courses: bed.courses,
              net: bed.net,
              laps: bed.withLaps,
              pieces: bed.pieces,
              corners: bed.corners,
            })}
          />
        </p>
      )}
      <Pick
        label={tell(AT_STEEL.strapsRoundCorners)}
        value={steel?.straps ? String(steel.straps) : '0'}
        options={[0, 1, 2, 3, 4, 6].map(
          (n) => [String(n), n === 0 ? AT_STEEL.none : AT_STEEL.everyCourses({ every: n })] as const,
        )}
        onChange={(n) => (n === '0' ? clear('/steel/straps') : set('/steel/straps', { every: Number(n) }))}
      />
      <Pick
        label={tell(AT_STEEL.inTheFooting)}
        value={steel?.footing ? String(steel.footing.count) : '0'}
        options={[0, 1, 2, 3, 4, 5, 6].map((n) => [String(n), AT_STEEL.barCount({ count: n })] as const)}
        onChange={(n) =>
          n === '0'
            ? clear('/steel/footing')
            : set('/steel/footing', { bar: steel?.footing?.bar ?? bar, count: Number(n) })
        }
      />
      {steel?.footing && (
        <Pick
          label={tell(AT_STEEL.barInTheFooting)}
          value={steel.footing.bar}
          options={barOptions(show)}
          onChange={(v) => set('/steel/footing/bar', v)}
        />
      )}
    </Fold>
  );
}
