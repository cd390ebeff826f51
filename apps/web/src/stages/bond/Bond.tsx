import { BONDS, sayMm, UNITS, type BondId } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useOpenJob } from '../../state/job';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import { Choices } from '../Choices';
import { Lock } from '../Lock';
import { ofSheet, TakeAway } from '../TakeAway';
import { Weights } from '../Weights';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { Closing } from './Closing';
import { AirBricks, Piers } from './LetIn';
import { Openings } from './Openings';
import { Tops } from './Tops';
import { UnitCard } from './UnitCard';

const throughBond = (id: BondId): boolean => BONDS.some((b) => b.id === id && b.family === 'header');

/** Unit, joints and start; openings; and the ways to bond it. */
export function Bond(props: PanelProps): ReactNode {
  const { job, view, show } = props;
  const { set } = useWallFields(job, view);
  const refusal = useOpenJob((s) => s.refusal);
  const own = (job.units ?? []).map((u) => [u.id, u.name ?? u.id] as const);
  const units = [...own, ...UNITS.map((u) => [u.id, u.name] as const)];
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  return (
    <>
      <Section title="Unit and joints">
        <Pick label="Unit" value={view.wall.unit} options={units} onChange={(v) => set('/build/unit', v)} />
        <Pick
          label="Bond"
          value={view.wall.bond}
          options={BONDS.map((b) => [b.id, b.name] as const)}
          onChange={(v: BondId) => set('/build/bond', v)}
        />
        <Pick
          label={`Thickness, now ${sayMm(view.wall.thickness, show)}`}
          value={String(view.wall.wythes) as '1' | '2'}
          options={[
            ['1', 'one unit'],
            ['2', throughBond(view.wall.bond) ? 'one brick long, bonded through' : 'two wythes, tied'],
          ]}
          onChange={(v) => set('/build/wythes', Number(v))}
        />
        <div className="grid grid-cols-2 gap-3">
          <LengthField
            label="Head joint"
            name="head"
            value={view.wall.head}
            {...measure}
            onChange={(v) => set('/build/head', v)}
          />
          <LengthField
            label="Bed, target"
            name="bed"
            value={view.wall.bed}
            {...measure}
            onChange={(v) => set('/build/bed', v)}
          />
        </div>
        {view.wall.freeStart && (
          <Pick
            label="Course 1 begins on"
            value={view.wall.start}
            options={[
              ['whole', `a whole ${view.wall.family}`],
              ['half', `a half ${view.wall.family}`],
            ]}
            onChange={(v) => set('/build/start', v)}
          />
        )}
        {view.wall.closersMatter && (
          <Pick
            label="Beside a corner"
            value={view.wall.closers ? 'closer' : 'none'}
            options={[
              ['none', 'run on from the corner'],
              ['closer', 'a closer, to bring the bond back'],
            ]}
            onChange={(v) => set('/build/closers', v === 'closer')}
          />
        )}
        {view.openings.length > 0 && view.wall.bond === 'half' && (
          <Pick
            label="Where it must be cut"
            value={view.wall.cuts}
            options={[
              ['panel', 'in mid-panel, reveals sound'],
              ['jamb', 'at the jambs'],
            ]}
            onChange={(v) => set('/build/cuts', v)}
          />
        )}
        <p role="alert" className="font-semibold text-fault">
          {refusal}
        </p>
      </Section>
      <UnitCard {...props} />
      <Openings {...props} />
      <Section title="Ways to bond it" aside={<Lock {...props} stage="bond" />}>
        <Choices
          choices={view.choices.filter((c) => c.stage === 'bond')}
          weighed={view.weighed}
          show={show}
        />
      </Section>
      <Weights {...props} stage="bond" />
      <Tops {...props} />
      <Piers {...props} />
      <AirBricks {...props} />
      <Closing {...props} />
      <TakeAway
        {...props}
        title="Take the tape"
        which={ofSheet('tape')}
        says="Running marks to every perp and jamb, odd and even courses, all from the start of the run."
      />
    </>
  );
}
