import { bagsState, sayMm, showArea, showVolume, tripsFor, type Stated } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { useState, type ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Told } from '../../ui/Told';
import { Typeset } from '../../ui/Typeset';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

/** What a barrow, a bucket and a skip carry, m³: common practice. */
const LOADS = [
  ['0.08', AT_SET_OUT.barrows],
  ['0.012', AT_SET_OUT.buckets],
  ['4', AT_SET_OUT.skipsOf4M],
] as const;

function Bags({ footing }: { footing: NonNullable<PanelProps['view']['footing']> }): ReactNode {
  const tell = useTell();
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
        {number(tell(AT_SET_OUT.bagsIn), into, setInto)}
        {number(tell(AT_SET_OUT.bagsAtHand), atHand, setAtHand)}
      </div>
      <p aria-live="polite">
        <Told said={AT_SET_OUT.bagsState({ depth: state.depth, left: state.left, needed: state.needed })} />
        {state.short > 0 && (
          <b className="text-fault"> {tell(AT_SET_OUT.bagsShort({ short: state.short }))}</b>
        )}
      </p>
    </>
  );
}

/** The strip under the wall: concrete, bags as they go in, soil and how it leaves. */
export function FootingPart({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
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
      <Fold title={tell(AT_SET_OUT.footing)} aside={tell(AT_SET_OUT.notDrawnYet)}>
        <button className="press" onClick={() => edit([{ op: 'add', path: `${path}/footing`, value }])}>
          {tell(AT_SET_OUT.putAStripUnder)}
        </button>
      </Fold>
    );
  }
  return (
    <Fold title={tell(AT_SET_OUT.footing)} aside={showVolume(footing.concrete, show)}>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        <LengthField
          label={tell(AT_SET_OUT.width)}
          value={footing.width}
          {...measure}
          onChange={length('width')}
        />
        <LengthField
          label={tell(AT_SET_OUT.depthOfConcrete)}
          value={footing.depth}
          {...measure}
          onChange={length('depth')}
        />
        <LengthField
          label={tell(AT_SET_OUT.pastAFreeEnd)}
          value={footing.past}
          {...measure}
          onChange={length('past')}
        />
        <LengthField
          label={tell(AT_SET_OUT.trenchFromTheGround)}
          value={footing.trench}
          {...measure}
          onChange={length('trench')}
        />
      </div>
      <dl className="grid grid-cols-[1fr_auto] gap-y-1">
        <dt>{tell(AT_SET_OUT.projectsEachSide)}</dt>
        <dd className="figures text-right">
          <Typeset words={sayMm(footing.projection, show)} />
        </dd>
        <dt>{tell(AT_SET_OUT.concreteInTheGround)}</dt>
        <dd className="figures text-right">{showVolume(footing.concrete, show)}</dd>
        {footing.atSteps > 0 && (
          <>
            <dt>{tell(AT_SET_OUT.ofItAtThe)}</dt>
            <dd className="figures text-right">{showVolume(footing.atSteps, show)}</dd>
          </>
        )}
        <dt>{tell(AT_SET_OUT.concreteToHaveReady)}</dt>
        <dd className="figures text-right">{showVolume(footing.used, show)}</dd>
        <dt>{tell(AT_SET_OUT.soilToDigAnd)}</dt>
        <dd className="figures text-right">
          {showVolume(footing.dug, show)}, {showVolume(footing.spoil, show)}
        </dd>
        <dt>{tell(AT_SET_OUT.shuttersBothSides)}</dt>
        <dd className="figures text-right">{showArea(footing.shutters, show)}</dd>
      </dl>
      <Pick label={tell(AT_SET_OUT.spoilLeavesIn)} value={load} options={LOADS} onChange={setLoad} />
      <p>{tell(AT_SET_OUT.tripsOf({ count: tripsFor(footing.spoil, Number(load)) }))}</p>
      <Pick
        label={tell(AT_SET_OUT.concreteComes)}
        value={from}
        options={[
          ['ready-mix', AT_SET_OUT.readyMixed],
          ['bags', AT_SET_OUT.inBags({ count: footing.bags.count, name: footing.bags.name })],
        ]}
        onChange={(v) => set('/footing/from', v)}
      />
      {from === 'bags' && <Bags footing={footing} />}
      <p className="text-small text-soft">{tell(AT_SET_OUT.widthDepthAndFrost)}</p>
    </Fold>
  );
}
