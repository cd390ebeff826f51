import type { BenchChoice, Show } from '@even-tally/core';
import { UI } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../state/job';
import { useWords, useTell } from '../state/words';
import { Typeset } from '../ui/Typeset';

/** Ways to build it, best first, each with its reason; the one in force is marked. */
export function Choices({
  choices,
  weighed,
  show,
}: {
  choices: BenchChoice[];
  weighed: boolean;
  show: Show;
}): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const { say } = useWords(show);
  if (choices.length === 0)
    return (
      <p className="text-soft" {...(weighed ? {} : { 'data-weighing': true })}>
        {weighed ? tell(UI.thereIsOnlyOne) : tell(UI.weighingTheChoices)}
      </p>
    );
  // The one to press is the cheapest that beats what stands.
  const stands = Math.min(...choices.filter((c) => c.applied).map((c) => c.cost));
  const best = choices.reduce<BenchChoice | null>(
    (b, c) => (!c.applied && c.cost < (b?.cost ?? stands) ? c : b),
    null,
  );
  return (
    <ol className="-mx-4">
      {choices.map((c) => (
        <li
          key={`${c.kind}-${c.rank}`}
          className={`border-b border-rule px-4 py-2 ${c.applied ? 'bg-settled-pale' : ''}`}
        >
          <p className="flex gap-2">
            <span className="figures w-5 shrink-0 text-right font-semibold">{c.rank}</span>
            <span className="min-w-0 break-words">
              <Typeset words={say(c.says)} />
            </span>
          </p>
          <p className="mt-1 pl-7">
            {c.applied ? (
              <span className="text-small font-bold text-settled">{tell(UI.thisIsHowIt)}</span>
            ) : (
              <button
                className={c === best ? 'press' : 'press-plain'}
                onClick={() => edit(c.edit)}
                disabled={!weighed}
              >
                <Typeset words={say(c.name)} />
              </button>
            )}
          </p>
        </li>
      ))}
    </ol>
  );
}
