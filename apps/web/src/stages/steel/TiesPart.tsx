import { tieDensity, type Message } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import type { ReactNode } from 'react';
import { Mark } from '../../bench/Shapes';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { KeyMark } from '../../ui/KeyMark';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

type Kind = NonNullable<NonNullable<PanelProps['view']['steel']['ties']>['kind']>;
const KINDS: Record<Kind, Message> = {
  wire: AT_STEEL.tieWire,
  sheet: AT_STEEL.tieSheet,
  other: AT_STEEL.tieOther,
  'W1.7': AT_STEEL.tieW17,
  'W2.8': AT_STEEL.tieW28,
};

/** What holds two leaves together: how many, how far apart, and whether that is enough. */
export function TiesPart({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { set } = useWallFields(job, view);
  const { ties } = view.steel;
  if (!ties) return null;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const stated = job.walls[view.wall.index]?.build.cavity;
  // What was said with the cavity stays said there.
  const at = (key: 'across' | 'up'): string =>
    stated?.[key] === undefined ? `/build/ties/${key}` : `/build/cavity/${key}`;
  const [first = 'wire'] = ties.kinds;
  return (
    <Fold
      title={tell(AT_STEEL.tiesTitle)}
      aside={tell(ties.holds ? AT_STEEL.tiesEnough : AT_STEEL.tiesFew)}
      open={!ties.holds}
    >
      <p className={`text-small ${ties.holds ? 'text-settled' : 'font-semibold text-fault'}`}>
        <Told
          said={AT_STEEL.tieVerdict({
            holds: ties.holds ? 'yes' : 'no',
            tape: show,
            ...tieDensity(ties.perM2, 1 / ties.wants, show),
            along: ties.along,
            alongMost: ties.alongMost,
            up: ties.up,
            upMost: ties.upMost,
          })}
        />
      </p>
      {ties.kinds.length > 0 && (
        <Pick
          label={tell(AT_STEEL.tieKind)}
          value={ties.kind ?? first}
          options={ties.kinds.map((k) => [k, KINDS[k]] as const)}
          onChange={(v) => set('/build/ties/kind', v)}
        />
      )}
      <div className="grid grid-cols-2 gap-3">
        <LengthField
          label={tell(AT_STEEL.tieToTieAlong)}
          value={ties.across}
          {...measure}
          onChange={(v) => set(at('across'), v)}
        />
        <LengthField
          label={tell(AT_STEEL.tieToTieUp)}
          value={ties.upTo}
          {...measure}
          onChange={(v) => set(at('up'), v)}
        />
      </div>
      <ul className="grid gap-1 text-small">
        <li className="flex gap-2">
          <KeyMark>
            <Mark role="tie" x={12} y={8} />
          </KeyMark>
          <Told said={AT_STEEL.ties({ ties: ties.field, rows: ties.rows })} />
        </li>
        {ties.edges > 0 && (
          <li className="flex gap-2">
            <KeyMark>
              <Mark role="edge-tie" x={12} y={8} />
            </KeyMark>
            <Told said={AT_STEEL.edgeTies({ count: ties.edges })} />
          </li>
        )}
      </ul>
    </Fold>
  );
}
