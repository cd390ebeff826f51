import { calibrated, readVolume, type Job, type MudView, type Show } from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import { useState, type ReactNode } from 'react';
import { useTell } from '../../state/words';
import { AmountField } from '../../ui/AmountField';
import { Fold } from '../../ui/Fold';
import { NameField } from '../../ui/NameField';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import { writtenVolume } from './writtenVolume';

const LEVELS = [
  ['struck', AT_MUD.struck],
  ['heaped', AT_MUD.heaped],
] as const;

/** What is filled and tipped in: a bucket, a shovel that somebody has calibrated, and bags as they come. */
export function MeasurePart({
  job,
  mud,
  show,
  put,
}: {
  job: Job;
  mud: MudView;
  show: Show;
  /** Sets a key of the job's mud. */
  put: (path: string, value: unknown) => boolean;
}): ReactNode {
  const tell = useTell();
  const { measure, halves, bags } = mud.settings;
  const stated = { holds: writtenVolume(measure.holds, show), level: measure.level };
  const change = (more: Partial<typeof stated> & { name?: string }, half = halves): boolean => {
    const { halves: _, ...own } = { ...stated, ...job.mud?.measure, ...more };
    return put('measure', half ? { ...own, halves: true } : own);
  };
  return (
    <>
      <Section title={tell(AT_MUD.measure)}>
        <div className="grid grid-cols-3 gap-x-3">
          <NameField
            label={tell(AT_MUD.measureName)}
            value={tell(mud.measure)}
            onChange={(name) => change({ name })}
          />
          <AmountField
            label={tell(AT_MUD.itHolds)}
            name="measure-holds"
            value={String(job.mud?.measure?.holds ?? stated.holds)}
            onChange={(holds) => change({ holds })}
          />
          <Pick
            label={tell(AT_MUD.filled)}
            value={measure.level}
            options={LEVELS}
            onChange={(level) => change({ level })}
          />
        </div>
        <label className="flex min-h-7 items-center gap-2 max-[699px]:min-h-11">
          <input
            type="checkbox"
            name="halves"
            checked={halves}
            onChange={(e) => change({}, e.currentTarget.checked)}
          />
          {tell(AT_MUD.halvesToo)}
        </label>
        <label className="flex min-h-7 items-center gap-2 max-[699px]:min-h-11">
          <input
            type="checkbox"
            name="by-the-bag"
            checked={bags}
            onChange={(e) => put('bags', e.currentTarget.checked ? true : undefined)}
          />
          {tell(AT_MUD.byTheBag)}
        </label>
      </Section>
      <Shovel
        show={show}
        onShovel={(holds) => change({ name: tell(AT_MUD.shovel), holds, level: 'struck' })}
      />
    </>
  );
}

/** So many shovels as they are thrown fill a bucket: what one holds. */
function Shovel({ show, onShovel }: { show: Show; onShovel: (holds: string) => boolean }): ReactNode {
  const tell = useTell();
  const [vessel, setVessel] = useState(show === 'ft-in' ? '5 gal' : '14 L');
  const [count, setCount] = useState(0);
  const read = readVolume(vessel);
  const one = read.ok && count > 0 ? calibrated(read.value, count) : null;
  return (
    <Fold title={tell(AT_MUD.calibrate)}>
      <p className="text-small text-soft">{tell(AT_MUD.calibrateSays)}</p>
      <div className="grid grid-cols-2 gap-x-3">
        <AmountField
          label={tell(AT_MUD.vessel)}
          name="vessel-holds"
          value={vessel}
          onChange={(holds) => {
            setVessel(holds);
            return true;
          }}
        />
        <NumberField
          label={tell(AT_MUD.shovelsFill)}
          value={count}
          least={0}
          most={200}
          onChange={setCount}
        />
      </div>
      <button
        className="press-plain max-[699px]:min-h-11"
        disabled={one === null}
        onClick={() => one !== null && onShovel(writtenVolume(one, show))}
      >
        {tell(AT_MUD.takeShovel)}
        {one !== null && <span className="figures pl-2">{writtenVolume(one, show)}</span>}
      </button>
    </Fold>
  );
}
