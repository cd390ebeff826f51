import { type Message, BOND_WEIGHTS, GAUGE_WEIGHTS, WEIGHT_NAMES, type PatchStep } from '@even-tally/core';
import { UI } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../state/job';
import { useTell } from '../state/words';
import { Fold } from '../ui/Fold';
import { NumberField } from '../ui/NumberField';
import type { PanelProps } from './panel';

const TABLES = { bond: BOND_WEIGHTS, gauge: GAUGE_WEIGHTS } as const;

/** What each thing costs a choice: the one table the ranking goes by, and this job's own where it differs. */
export function Weights({ job, stage }: PanelProps & { stage: 'bond' | 'gauge' }): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const own: Partial<Record<string, number>> = job.weights?.[stage] ?? {};
  const changed = Object.keys(own).length;
  const set = (name: string, value: number): void => {
    const step: PatchStep = !job.weights
      ? { op: 'add', path: '/weights', value: { [stage]: { [name]: value } } }
      : !job.weights[stage]
        ? { op: 'add', path: `/weights/${stage}`, value: { [name]: value } }
        : { op: 'add', path: `/weights/${stage}/${name}`, value };
    edit([step]);
  };
  return (
    <Fold
      title={tell(UI.whatAChoiceCosts)}
      aside={changed === 0 ? tell(UI.asUsual) : tell(UI.changed({ count: changed }))}
    >
      <p className="text-small text-soft">{tell(UI.choicesAreRankedBy)}</p>
      <div className="grid grid-cols-2 gap-x-3 gap-y-1">
        {Object.entries(TABLES[stage]).map(([name, usual]: [string, number]) => (
          <NumberField
            key={name}
            label={tell((WEIGHT_NAMES[stage] as Record<string, Message>)[name] ?? name)}
            value={own[name] ?? usual}
            least={0}
            most={1_000_000}
            onChange={(n) => set(name, n)}
          />
        ))}
      </div>
      {changed > 0 && (
        <button className="press-plain" onClick={() => edit([{ op: 'remove', path: `/weights/${stage}` }])}>
          {tell(UI.asUsualAgain)}
        </button>
      )}
    </Fold>
  );
}
