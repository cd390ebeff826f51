import type { Message } from '@even-tally/core';
import { AT_STEEL, AT_STONE } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useOpenJob } from '../../state/job';
import { useTell } from '../../state/words';
import { ofSheet, TakeAway } from '../TakeAway';
import type { PanelProps } from '../panel';
import { Beams } from './Beams';
import { Beds } from './Beds';
import { CavityPart } from './CavityPart';
import { CellCard } from './CellCard';
import { HowHeld } from './HowHeld';
import { GroundHeld } from './GroundHeld';
import { Grouting } from './Grouting';
import { Holds } from './Holds';
import { Joints } from './Joints';
import { Schedule } from './Schedule';
import { Starters } from './Starters';
import { TiesPart } from './TiesPart';
import { Uprights } from './Uprights';

/** Bars, beams, grout and the joints that let the wall move. */
export function Steel(props: PanelProps): ReactNode {
  const tell = useTell();
  const { view } = props;
  const refusal = useOpenJob((s) => s.refusal);
  const take = (sheet: string, title: Message, says: Message): ReactNode => (
    <TakeAway {...props} title={tell(title)} which={ofSheet(sheet)} says={tell(says)} />
  );
  const { steel, pours, holds } = view.steel;
  if (view.stone)
    return (
      <>
        <p className="px-4 py-3 text-soft">{tell(AT_STONE.noSteel)}</p>
        <p role="alert" className="px-4 font-semibold text-fault">
          {refusal && tell(refusal)}
        </p>
        <TiesPart {...props} />
        <HowHeld {...props} />
        <GroundHeld {...props} />
        <Holds {...props} />
      </>
    );
  return (
    <>
      <Uprights {...props} />
      <p role="alert" className="px-4 font-semibold text-fault">
        {refusal && tell(refusal)}
      </p>
      <CellCard {...props} />
      <Beams {...props} />
      <Beds {...props} />
      <Joints {...props} />
      <CavityPart {...props} />
      <TiesPart {...props} />
      <HowHeld {...props} />
      <GroundHeld {...props} />
      <Grouting {...props} />
      <Holds {...props} />
      <Starters {...props} />
      <Schedule {...props} />
      {steel?.vertical && take('starters', AT_STEEL.takeStarters, AT_STEEL.takeStartersSays)}
      {view.steel.schedule.length > 0 && take('bars', AT_STEEL.takeBars, AT_STEEL.takeBarsSays)}
      {pours.length > 0 && take('lifts', AT_STEEL.takeLifts, AT_STEEL.takeLiftsSays)}
      {holds.length > 0 && take('holds', AT_STEEL.takeRecord, AT_STEEL.takeRecordSays)}
    </>
  );
}
