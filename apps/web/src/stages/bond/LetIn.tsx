import type { Pier, Vents, Message } from '@even-tally/core';
import { AT_BOND } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { Listed } from '../../ui/Listed';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';
import { useWallList } from '../useWallList';
import { written } from '../written';

const WHAT: readonly (readonly [Vents['what'], Message])[] = [
  ['air-brick', AT_BOND.airBricks],
  ['vent', AT_BOND.vents],
];
const SIDES: readonly (readonly [NonNullable<Pier['side']>, Message])[] = [
  ['inside', AT_BOND.standsOutInside],
  ['outside', AT_BOND.standsOutOutside],
];

/** About so far from one air brick to the next: common practice, mm. */
const APART = 2000;

/** Air bricks and vents, on whole units. */
export function AirBricks({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const list = useWallList(job, view, 'vents', 'V');
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const every = show === 'mm' ? APART : "6'";
  return (
    <Listed
      title={tell(AT_BOND.airBrickRows)}
      one={AT_BOND.row}
      add={AT_BOND.addRow}
      none={tell(AT_BOND.noneInThisRun)}
      items={view.vents}
      keyOf={(v) => v.id}
      onAdd={() =>
        list.add({ run: view.run, course: Math.min(3, view.courses.length), what: 'air-brick', every })
      }
      onRemove={(v) => list.remove(v.index)}
    >
      {(v) => (
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          <Pick
            label={tell(AT_BOND.letIn)}
            value={v.what}
            options={WHAT}
            onChange={(w) => list.set(v.index, 'what', w)}
          />
          <NumberField
            label={tell(AT_BOND.course)}
            value={v.course}
            most={view.courses.length}
            onChange={(n) => list.set(v.index, 'course', n)}
          />
          <LengthField
            label={tell(AT_BOND.noFurtherApartThan)}
            counts="units"
            value={v.every}
            {...measure}
            onChange={(w) => list.set(v.index, 'every', w)}
          />
        </div>
      )}
    </Listed>
  );
}

/** Piers bonded into the wall. */
export function Piers({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const list = useWallList(job, view, 'piers', 'P');
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const length = view.runs[view.run]?.length ?? 0;
  const add = (): void => {
    const { module, head } = view.wall;
    const free = view.openings.filter((o) => o.run === view.run);
    const clear = (at: number): boolean =>
      free.every((o) => at + module < o.from || at > o.to) &&
      view.piers.every((p) => at > p.to || at + module < p.from);
    const count = Math.floor(length / module);
    const places = Array.from({ length: count }, (_, i) => i * module).filter(
      (at) => at > module && clear(at),
    );
    const at = places[Math.floor(places.length / 2)] ?? module;
    list.add({ run: view.run, at: written(at, show), width: written(module - head, show) });
  };
  return (
    <Listed
      title={tell(AT_BOND.piers)}
      one={AT_BOND.pier}
      add={AT_BOND.addPier}
      none={tell(AT_BOND.noPiers)}
      items={view.piers}
      keyOf={(p) => p.id}
      onAdd={add}
      onRemove={(p) => list.remove(p.index)}
    >
      {(p) => (
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          <LengthField
            label={tell(AT_BOND.fromTheStart)}
            counts="units"
            value={p.from}
            {...measure}
            onChange={(v) => list.set(p.index, 'at', v)}
          />
          <LengthField
            label={tell(AT_BOND.width)}
            counts="units"
            value={p.to - p.from}
            {...measure}
            onChange={(v) => list.set(p.index, 'width', v)}
          />
          <div className="col-span-2">
            <Pick
              label={p.name}
              value={p.side}
              options={SIDES}
              onChange={(s) => list.set(p.index, 'side', s)}
            />
          </div>
        </div>
      )}
    </Listed>
  );
}
