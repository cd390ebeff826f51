import type { PaperKind } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useOpenJob } from '../../state/job';
import { useRecord } from '../../state/record';
import { fileName } from '../../ui/download';
import { TakeAway } from '../TakeAway';
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
  const { job, view, show, planner } = props;
  const refusal = useOpenJob((s) => s.refusal);
  const record = useRecord((s) => s.entries);
  const run = view.runs[view.run]?.name ?? view.wall.name;
  const take = (what: PaperKind, title: string, name: string, says: string): ReactNode => (
    <TakeAway
      title={title}
      what={`papers/${what}`}
      name={name}
      asked={{ wall: view.wall.id, run: String(view.run), show }}
      rows={() => planner.paper(job, what, view.wall.index, view.run, show, record)}
      file={`${fileName(what === 'bars' ? view.wall.name : run)}-${what}`}
      says={says}
    />
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
          'Starters',
          'The plan to carry to the footing: every starter from the start of the run, and how far it may be off.',
        )}
      {view.steel.schedule.length > 0 &&
        take('bars', 'Take the bars', 'Bars', 'The schedule, and how to cut it from stock.')}
      {pours.length > 0 &&
        take(
          'pours',
          'Take the lifts',
          'Lifts',
          'The numbered lift drawing that goes to the pump, with every pour.',
        )}
      {holds.length > 0 &&
        take(
          'holds',
          'Take the record',
          'Holds',
          'Every hold with what was seen, by whom and when; boxes to tick for the rest.',
        )}
    </>
  );
}
