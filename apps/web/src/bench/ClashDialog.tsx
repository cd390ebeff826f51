import { sayClash, type Said } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { DialogTitle } from '@headlessui/react';
import { useState, type ReactNode } from 'react';
import type { Stale } from '../state/carrying';
import { saidBy } from '../state/failure';
import { useJob, useOpenJob } from '../state/job';
import { useTell } from '../state/words';
import { Card } from '../ui/Card';

/** So many clashes are read one by one; the rest are counted. */
const SHOWN = 8;

function Clashes({ stale }: { stale: Stale }): ReactNode {
  const tell = useTell();
  const job = useOpenJob((s) => s.job);
  if (!job || stale.clashes.length === 0)
    return <p className="mt-2">{tell(BENCH.noWall({ why: stale.why ?? '' }))}</p>;
  const more = stale.clashes.length - SHOWN;
  return (
    <>
      <p className="mt-2">{tell(BENCH.everythingElseIsCarried)}</p>
      <table className="mt-3 w-full text-left text-small">
        <thead>
          <tr className="border-b border-ink">
            {[tell(BENCH.what), tell(BENCH.itWas), tell(BENCH.mine), tell(BENCH.theirs)].map((head) => (
              <th key={head} scope="col" className="py-1 pr-3 font-bold">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {stale.clashes.slice(0, SHOWN).map((clash) => {
            const said = sayClash(clash, job);
            return (
              <tr key={clash.at} className="border-b border-rule align-baseline">
                <th scope="row" className="py-1 pr-3 font-semibold">
                  {tell(said.where)}
                </th>
                {[said.was, said.mine, said.theirs].map((value, i) => (
                  <td key={i} className="figures py-1 pr-3 break-words">
                    {tell(value)}
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
      {more > 0 && <p className="mt-1 text-small text-soft">{tell(BENCH.andMore({ count: more }))}</p>}
    </>
  );
}

/** Two people have changed the same thing otherwise: it is shown, and nothing is lost until somebody says which stands. */
export function ClashDialog({ toYard }: { toYard: () => void }): ReactNode {
  const tell = useTell();
  const { settle } = useJob();
  const stale = useOpenJob((s) => s.stale);
  const [says, setSays] = useState<Said | null>(null);
  const choose = (how: 'mine' | 'theirs' | 'copy') => () => {
    settle(how).then(
      (copy) => copy && toYard(),
      (error: Error) => setSays(saidBy(error)),
    );
  };
  return (
    <Card open={stale !== null} onClose={() => undefined} size="max-h-full w-[620px] overflow-y-auto p-6">
      <DialogTitle className="heading text-lg">{tell(BENCH.somebodyElseChangedThe)}</DialogTitle>
      {stale && <Clashes stale={stale} />}
      <div className="mt-5 flex flex-wrap gap-3">
        <button className="press" onClick={choose('mine')}>
          {tell(BENCH.mineStands)}
        </button>
        <button className="press-plain" onClick={choose('theirs')}>
          {tell(BENCH.theirsStands)}
        </button>
        <button className="press-plain" onClick={choose('copy')}>
          {tell(BENCH.theirsStandsKeepMine)}
        </button>
      </div>
      <p role="alert" className="mt-3 font-semibold text-fault">
        {says && tell(says)}
      </p>
    </Card>
  );
}
