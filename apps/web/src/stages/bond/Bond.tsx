import { BONDS, familyOf, type BondId, type OwnUnit } from '@even-tally/core';
import { AT_BOND } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob, useOpenJob } from '../../state/job';
import { useTell } from '../../state/words';
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
import { Holes } from './Holes';
import { Posts } from './Posts';
import { OwnUnitForm } from './OwnUnitForm';
import { UnitPick } from './UnitPick';
import { BuiltOf } from './stone/BuiltOf';
import { StoneBond } from './stone/StoneBond';
import { UnitCard } from './UnitCard';

const throughBond = (id: BondId): boolean => BONDS.some((b) => b.id === id && b.family === 'header');

/** Unit, joints and start; openings; and the ways to bond it. */
export function Bond(props: PanelProps): ReactNode {
  const tell = useTell();
  const { job, view, show } = props;
  const { set } = useWallFields(job, view);
  const refusal = useOpenJob((s) => s.refusal);
  const { edit } = useJob();
  /** A unit the job has not had so far, and the wall laid of it: one step to undo. */
  const lay = (unit: OwnUnit): boolean =>
    edit([
      job.units ? { op: 'add', path: '/units/-', value: unit } : { op: 'add', path: '/units', value: [unit] },
      { op: 'replace', path: `/walls/${view.wall.index}/build/unit`, value: unit.id },
    ]);
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  if (view.stone) return <StoneBond {...props} stone={view.stone} />;
  return (
    <>
      <Section title={tell(AT_BOND.unitAndJoints)}>
        <BuiltOf {...props} />
        <UnitPick job={job} value={view.wall.unit} onChange={(v) => set('/build/unit', v)} lay={lay} />
        <Pick
          label={tell(AT_BOND.bond)}
          value={view.wall.bond}
          options={BONDS.map((b) => [b.id, b.name] as const)}
          onChange={(v: BondId) => set('/build/bond', v)}
        />
        <Pick
          label={tell(AT_BOND.thicknessNow({ thickness: view.wall.thickness }))}
          value={String(view.wall.wythes) as '1' | '2'}
          options={[
            ['1', AT_BOND.oneUnit],
            ['2', throughBond(view.wall.bond) ? AT_BOND.bondedThrough : AT_BOND.twoTied],
          ]}
          onChange={(v) => set('/build/wythes', Number(v))}
        />
        <div className="grid grid-cols-2 gap-3">
          <LengthField
            label={tell(AT_BOND.headJoint)}
            name="head"
            value={view.wall.head}
            {...measure}
            onChange={(v) => set('/build/head', v)}
          />
          <LengthField
            label={tell(AT_BOND.bedTarget)}
            name="bed"
            value={view.wall.bed}
            {...measure}
            onChange={(v) => set('/build/bed', v)}
          />
        </div>
        {view.wall.freeStart && (
          <Pick
            label={tell(AT_BOND.course1BeginsOn)}
            value={view.wall.start}
            options={[
              ['whole', AT_BOND.aWhole({ family: familyOf(view.wall) })],
              ['half', AT_BOND.aHalf({ family: familyOf(view.wall) })],
            ]}
            onChange={(v) => set('/build/start', v)}
          />
        )}
        {view.wall.closersMatter && (
          <Pick
            label={tell(AT_BOND.besideACorner)}
            value={view.wall.closers ? 'closer' : 'none'}
            options={[
              ['none', AT_BOND.runOn],
              ['closer', AT_BOND.aCloser],
            ]}
            onChange={(v) => set('/build/closers', v === 'closer')}
          />
        )}
        {view.openings.length > 0 && view.wall.bond === 'half' && (
          <Pick
            label={tell(AT_BOND.whereItMustBe)}
            value={view.wall.cuts}
            options={[
              ['panel', AT_BOND.inMidPanel],
              ['jamb', AT_BOND.atJambs],
            ]}
            onChange={(v) => set('/build/cuts', v)}
          />
        )}
        <p role="alert" className="font-semibold text-fault">
          {refusal && tell(refusal)}
        </p>
      </Section>
      <OwnUnitForm {...props} lay={lay} />
      <UnitCard {...props} />
      <Openings {...props} />
      <Section title={tell(AT_BOND.waysToBondIt)} aside={<Lock {...props} stage="bond" />}>
        <Choices
          choices={view.choices.filter((c) => c.stage === 'bond')}
          weighed={view.weighed}
          show={show}
        />
      </Section>
      <Weights {...props} stage="bond" />
      <Tops {...props} />
      <Piers {...props} />
      {view.wall.family === 'adobe' && <Posts {...props} />}
      {view.oldWork && <Holes {...props} />}
      <AirBricks {...props} />
      <Closing {...props} />
      <TakeAway
        {...props}
        title={tell(AT_BOND.takeTheTape)}
        which={ofSheet('tape')}
        says={tell(AT_BOND.runningMarksToEvery)}
      />
      {view.openings.some((o) => o.lintels.length > 0) && (
        <TakeAway
          {...props}
          title={tell(AT_BOND.takeLintels)}
          which={ofSheet('lintels')}
          says={tell(AT_BOND.takeLintelsSays)}
        />
      )}
    </>
  );
}
