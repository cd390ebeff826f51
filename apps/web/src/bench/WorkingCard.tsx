import {
  sayMass,
  sayMm,
  showArea,
  showVolume,
  type Job,
  type Quantity,
  type Show,
  type Working,
} from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { DialogTitle } from '@headlessui/react';
import { useEffect, useState, type ReactNode } from 'react';
import { look, useViewing } from '../state/view';
import { useTell } from '../state/words';
import { Card } from '../ui/Card';
import { Typeset } from '../ui/Typeset';
import type { Planner } from '../workers/planner';

function say(value: number | string, quantity: Quantity, show: Show): string {
  if (typeof value === 'string') return value;
  if (quantity === 'length') return sayMm(value, show);
  if (quantity === 'area') return showArea(value, show);
  if (quantity === 'volume') return showVolume(value, show);
  if (quantity === 'mass') return sayMass(value, show);
  return quantity === 'count' ? String(value) : String(Number(value.toPrecision(6)));
}

/** How a figure comes about: formula, inputs with their sources, result. */
export function WorkingCard({ job, planner, show }: { job: Job; planner: Planner; show: Show }): ReactNode {
  const tell = useTell();
  const key = useViewing((s) => s.figure);
  const [made, setMade] = useState<Working | null>(null);
  const working = made?.key === key ? made : null;
  useEffect(() => {
    let gone = false;
    if (key !== null) void planner.ask('working', { key }, job).then((w) => !gone && setMade(w));
    return () => {
      gone = true;
    };
  }, [key, job, planner]);
  return (
    <Card
      open={key !== null && working !== null}
      onClose={() => look({ figure: null })}
      size="max-h-full w-[620px] overflow-auto p-6"
    >
      <div className="flex items-baseline justify-between gap-6">
        <DialogTitle className="heading text-lg">{working && tell(working.title)}</DialogTitle>
        <p className="figures text-lg font-semibold">
          {working && say(working.result, working.quantity, show)}
        </p>
      </div>
      <p className="mt-2 border-l-4 border-ink bg-paper px-3 py-2">{working && tell(working.formula)}</p>
      <table className="mt-3 w-full border-collapse">
        <thead>
          <tr className="text-left text-small text-soft">
            <th className="pr-3 font-normal">{tell(BENCH.from)}</th>
            <th className="pr-3 text-right font-normal">{tell(BENCH.value)}</th>
            <th className="font-normal">{tell(BENCH.source)}</th>
          </tr>
        </thead>
        <tbody>
          {working?.inputs.map((i, at) => (
            <tr key={at} className="border-t border-rule align-top">
              <td className="py-1 pr-3">{tell(i.name)}</td>
              <td className="figures py-1 pr-3 text-right">
                <Typeset words={say(i.value, i.quantity, show)} />
              </td>
              <td className="py-1 text-small text-soft">{tell(i.source)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-3 text-small text-soft">{tell(BENCH.sourceIs({ source: working?.source ?? '' }))}</p>
      <button className="press mt-4" onClick={() => look({ figure: null })}>
        {tell(BENCH.close)}
      </button>
    </Card>
  );
}
