import type { ReactNode } from 'react';
import { useOpenJob } from '../../state/job';
import { ofSheet, TakeAway } from '../TakeAway';
import type { PanelProps } from '../panel';
import { Beams, Beds } from './Beams';
import { CavityPart } from './CavityPart';
import { CellCard } from './CellCard';
import { GroundHeld } from './GroundHeld';
import { Grouting } from './Grouting';
import { Holds } from './Holds';
import { Joints } from './Joints';
import { Schedule } from './Schedule';
import { Starters } from './Starters';
import { Uprights } from './Uprights';

/** Bars, beams, grout and the joints that let the wall move. */
export function Steel(props: PanelProps): ReactNode {
  const { view } = props;
  const refusal = useOpenJob((s) => s.refusal);
  const take = (sheet: string, title: string, says: string): ReactNode => (
    <TakeAway {...props} title={title} which={ofSheet(sheet)} says={says} />
  );
  const { steel, pours, holds } = view.steel;
  return (
    <>
      <Uprights {...props} />
      <p role="alert" className="px-4 font-semibold text-fault">
        {refusal}
      </p>
      <CellCard {...props} />
      <Beams {...props} />
      <Beds {...props} />
      <Joints {...props} />
      <CavityPart {...props} />
      <GroundHeld {...props} />
      <Grouting {...props} />
      <Holds {...props} />
      <Starters {...props} />
      <Schedule {...props} />
      {steel?.vertical &&
        take(
          'starters',
          'Take the starters',
          'The plan to carry to the footing: every starter from the start of the run, and how far it may be off.',
        )}
      {view.steel.schedule.length > 0 &&
        take('bars', 'Take the bars', 'The schedule, and how to cut it from stock.')}
      {pours.length > 0 &&
        take('lifts', 'Take the lifts', 'The numbered lift drawing that goes to the pump, with every pour.')}
      {holds.length > 0 &&
        take(
          'holds',
          'Take the record',
          'Every hold with what was seen, by whom and when; boxes to tick for the rest.',
        )}
    </>
  );
}
