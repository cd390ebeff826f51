import { BOND_WEIGHTS, GAUGE_WEIGHTS, WEIGHT_NAMES, type PatchStep } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useJob } from '../state/job';
import { Fold } from '../ui/Fold';
import { NumberField } from '../ui/NumberField';
import type { PanelProps } from './panel';

const TABLES = { bond: BOND_WEIGHTS, gauge: GAUGE_WEIGHTS } as const;

/** What each thing costs a choice: the one table the ranking goes by, and this job's own where it differs. */
export function Weights({ job, stage }: PanelProps & { stage: 'bond' | 'gauge' }): ReactNode {
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
    <Fold title="What a choice costs" aside={changed === 0 ? 'as usual' : `${changed} changed`}>
      <p className="text-small text-soft">
        Choices are ranked by these, added up over the whole wall. They are our rule, not a standard’s: change
        them and the ranking follows, in this job.
      </p>
      <div className="grid grid-cols-2 gap-x-3 gap-y-1">
        {Object.entries(TABLES[stage]).map(([name, usual]: [string, number]) => (
          <NumberField
            key={name}
            label={(WEIGHT_NAMES[stage] as Record<string, string>)[name] ?? name}
            value={own[name] ?? usual}
            least={0}
            most={1_000_000}
            onChange={(n) => set(name, n)}
          />
        ))}
      </div>
      {changed > 0 && (
        <button className="press-plain" onClick={() => edit([{ op: 'remove', path: `/weights/${stage}` }])}>
          As usual again
        </button>
      )}
    </Fold>
  );
}
