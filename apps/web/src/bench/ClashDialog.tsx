import { DialogTitle } from '@headlessui/react';
import { Card } from '../ui/Card';
import { sayClash, type Show } from '@even-tally/core';
import { useState, type ReactNode } from 'react';
import { useJob, useOpenJob } from '../state/job';
import type { Stale } from '../state/carrying';

/** So many clashes are read one by one; the rest are counted. */
const SHOWN = 8;

function Clashes({ stale, show }: { stale: Stale; show: Show }): ReactNode {
  const job = useOpenJob((s) => s.job);
  if (!job || stale.clashes.length === 0)
    return <p className="mt-2">Put together the two do not make a wall. {stale.why}</p>;
  const more = stale.clashes.length - SHOWN;
  return (
    <>
      <p className="mt-2">
        Everything else is carried together. Nothing is thrown away until you say which is to stand here.
      </p>
      <table className="mt-3 w-full text-left text-small">
        <thead>
          <tr className="border-b border-ink">
            {['What', 'It was', 'Mine', 'Theirs'].map((head) => (
              <th key={head} scope="col" className="py-1 pr-3 font-bold">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {stale.clashes.slice(0, SHOWN).map((clash) => {
            const said = sayClash(clash, job, show);
            return (
              <tr key={clash.at} className="border-b border-rule align-baseline">
                <th scope="row" className="py-1 pr-3 font-semibold">
                  {said.where}
                </th>
                {[said.was, said.mine, said.theirs].map((value, i) => (
                  <td key={i} className="figures py-1 pr-3 break-words">
                    {value}
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
      {more > 0 && <p className="mt-1 text-small text-soft">And {more} more.</p>}
    </>
  );
}

/** Two people have changed the same thing otherwise: it is shown, and nothing is lost until somebody says which stands. */
export function ClashDialog({ show, toYard }: { show: Show; toYard: () => void }): ReactNode {
  const { settle } = useJob();
  const stale = useOpenJob((s) => s.stale);
  const [says, setSays] = useState<string | null>(null);
  const choose = (how: 'mine' | 'theirs' | 'copy') => () => {
    settle(how).then(
      (copy) => copy && toYard(),
      (error: Error) => setSays(error.message),
    );
  };
  return (
    <Card open={stale !== null} onClose={() => undefined} size="max-h-full w-[620px] overflow-y-auto p-6">
      <DialogTitle className="heading text-lg">Somebody else changed the same thing</DialogTitle>
      {stale && <Clashes stale={stale} show={show} />}
      <div className="mt-5 flex flex-wrap gap-3">
        <button className="press" onClick={choose('mine')}>
          Mine stands
        </button>
        <button className="press-plain" onClick={choose('theirs')}>
          Theirs stands
        </button>
        <button className="press-plain" onClick={choose('copy')}>
          Theirs stands, keep mine as a copy
        </button>
      </div>
      <p role="alert" className="mt-3 font-semibold text-fault">
        {says}
      </p>
    </Card>
  );
}
