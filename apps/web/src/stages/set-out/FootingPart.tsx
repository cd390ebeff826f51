import { Typeset } from '../../ui/Typeset';
import { bagsState, sayMm, showArea, showVolume, tripsFor, type Stated } from '@even-tally/core';
import { useState, type ReactNode } from 'react';
import { useJob } from '../../state/job';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

/** What a barrow, a bucket and a skip carry, m³: common practice. */
const LOADS = [
  ['0.08', 'barrows'],
  ['0.012', 'buckets'],
  ['4', 'skips of 4 m³'],
] as const;

function Bags({
  footing,
  show,
}: {
  footing: NonNullable<PanelProps['view']['footing']>;
  show: PanelProps['show'];
}): ReactNode {
  const [into, setInto] = useState(0);
  const [atHand, setAtHand] = useState(footing.bags.count);
  const area = (footing.length * footing.width) / 1000;
  const state = bagsState(footing.used, area, footing.bags.m3, into, atHand);
  const number = (label: string, value: number, set: (n: number) => void): ReactNode => (
    <label className="block text-small text-soft">
      {label}
      <input
        className="entry"
        type="number"
        min={0}
        max={99999}
        value={value}
        onChange={(e) => set(Math.max(0, Math.floor(Number(e.currentTarget.value) || 0)))}
      />
    </label>
  );
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        {number('Bags in so far', into, setInto)}
        {number('Bags at hand', atHand, setAtHand)}
      </div>
      <p aria-live="polite">
        It stands{' '}
        <b className="figures">
          <Typeset words={sayMm(state.depth, show)} />
        </b>{' '}
        deep; <b className="figures">{state.left}</b> of {state.needed} still to go.
        {state.short > 0 && (
          <b className="text-fault">
            {' '}
            {state.short} short: fetch them before you start a pour you cannot finish.
          </b>
        )}
      </p>
    </>
  );
}

/** The strip under the wall: concrete, bags as they go in, soil and how it leaves. */
export function FootingPart({ job, view, show }: PanelProps): ReactNode {
  const { edit } = useJob();
  const { set, path } = useWallFields(job, view);
  const [load, setLoad] = useState<(typeof LOADS)[number][0]>('0.08');
  const { footing } = view;
  const from = job.walls[view.wall.index]?.footing?.from ?? 'ready-mix';
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const length = (key: string) => (v: Stated) => set(`/footing/${key}`, v);
  if (!footing) {
    const value =
      show === 'mm' ? { width: 450, depth: 150, trench: 600 } : { width: '16"', depth: '8"', trench: "2'" };
    return (
      <Fold title="Footing" aside="not drawn yet">
        <button className="press" onClick={() => edit([{ op: 'add', path: `${path}/footing`, value }])}>
          Put a strip under this wall
        </button>
      </Fold>
    );
  }
  return (
    <Fold title="Footing" aside={showVolume(footing.concrete, show)}>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        <LengthField label="Width" value={footing.width} {...measure} onChange={length('width')} />
        <LengthField
          label="Depth of concrete"
          value={footing.depth}
          {...measure}
          onChange={length('depth')}
        />
        <LengthField label="Past a free end" value={footing.past} {...measure} onChange={length('past')} />
        <LengthField
          label="Trench, from the ground"
          value={footing.trench}
          {...measure}
          onChange={length('trench')}
        />
      </div>
      <dl className="grid grid-cols-[1fr_auto] gap-y-1">
        <dt>Projects each side</dt>
        <dd className="figures text-right">
          <Typeset words={sayMm(footing.projection, show)} />
        </dd>
        <dt>Concrete in the ground</dt>
        <dd className="figures text-right">{showVolume(footing.concrete, show)}</dd>
        {footing.atSteps > 0 && (
          <>
            <dt>of it, at the steps</dt>
            <dd className="figures text-right">{showVolume(footing.atSteps, show)}</dd>
          </>
        )}
        <dt>Concrete to have ready</dt>
        <dd className="figures text-right">{showVolume(footing.used, show)}</dd>
        <dt>Soil to dig, and heaped</dt>
        <dd className="figures text-right">
          {showVolume(footing.dug, show)}, {showVolume(footing.spoil, show)}
        </dd>
        <dt>Shutters, both sides</dt>
        <dd className="figures text-right">{showArea(footing.shutters, show)}</dd>
      </dl>
      <Pick label="Spoil leaves in" value={load} options={LOADS} onChange={setLoad} />
      <p>
        <b className="figures">{tripsFor(footing.spoil, Number(load))}</b> trips.
      </p>
      <Pick
        label="Concrete comes"
        value={from}
        options={[
          ['ready-mix', 'ready-mixed'],
          ['bags', `in bags: ${footing.bags.count} × ${footing.bags.name}`],
        ]}
        onChange={(v) => set('/footing/from', v)}
      />
      {from === 'bags' && <Bags footing={footing} show={show} />}
      <p className="text-small text-soft">
        Width, depth and frost are for local code and the ground. Shore or slope a trench before anybody
        stands in it.
      </p>
    </Fold>
  );
}
