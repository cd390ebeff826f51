import type { Pier, Vents } from '@even-tally/core';
import type { ReactNode } from 'react';
import { LengthField } from '../../ui/LengthField';
import { Listed } from '../../ui/Listed';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';
import { useWallList } from '../useWallList';
import { written } from '../written';

const WHAT: readonly (readonly [Vents['what'], string])[] = [
  ['air-brick', 'air bricks'],
  ['vent', 'vents'],
];
const SIDES: readonly (readonly [NonNullable<Pier['side']>, string])[] = [
  ['inside', 'stands out inside'],
  ['outside', 'stands out outside'],
];

/** About so far from one air brick to the next: common practice, mm. */
const APART = 2000;

/** Air bricks and vents, on whole units. */
export function AirBricks({ job, view, show }: PanelProps): ReactNode {
  const list = useWallList(job, view, 'vents', 'V');
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const every = show === 'mm' ? APART : "6'";
  return (
    <Listed
      title="Air bricks"
      one="row"
      none="None in this run."
      items={view.vents}
      keyOf={(v) => v.id}
      onAdd={() =>
        list.add({ run: view.run, course: Math.min(3, view.courses.length), what: 'air-brick', every })
      }
      onRemove={(v) => list.remove(v.index)}
    >
      {(v) => (
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          <Pick label="Let in" value={v.what} options={WHAT} onChange={(w) => list.set(v.index, 'what', w)} />
          <NumberField
            label="Course"
            value={v.course}
            most={view.courses.length}
            onChange={(n) => list.set(v.index, 'course', n)}
          />
          <LengthField
            label="No further apart than"
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
      title="Piers"
      one="pier"
      none="None in this run. A pier stands one leaf proud and is bonded in by headers."
      items={view.piers}
      keyOf={(p) => p.id}
      onAdd={add}
      onRemove={(p) => list.remove(p.index)}
    >
      {(p) => (
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          <LengthField
            label="From the start"
            counts="units"
            value={p.from}
            {...measure}
            onChange={(v) => list.set(p.index, 'at', v)}
          />
          <LengthField
            label="Width"
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
