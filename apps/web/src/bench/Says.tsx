import type { BenchView, Said, Show, StageName } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { useEffect, useRef, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { STAGES } from '../stages/registry';
import { useJob } from '../state/job';
import { look, useViewing } from '../state/view';
import { useWords, useTell } from '../state/words';
import { Typeset } from '../ui/Typeset';

const INK = {
  fault: 'text-fault border-fault',
  choice: 'text-ink border-ink',
  note: 'text-caution border-caution',
} as const;

function courses(from: number | null, to: number | null): Said {
  if (from === null) return '';
  return to === null || to === from ? BENCH.inCourse({ course: from }) : BENCH.inCourses({ from, to });
}

type Lettered = BenchView['says'][number];

/** An earlier finding with the very same ways out, so that they are not shown twice. */
const twinOf = (said: Lettered, shown: readonly Lettered[]): string | null =>
  shown
    .slice(0, shown.indexOf(said))
    .find((s) => said.finding.fixes.length > 0 && fixesOf(s) === fixesOf(said))?.letter ?? null;
const fixesOf = (s: Lettered): string => JSON.stringify(s.finding.fixes.map((f) => f.edit));

function One({
  said,
  weighed,
  sameAs,
  show,
}: {
  said: Lettered;
  weighed: boolean;
  sameAs: string | null;
  show: Show;
}): ReactNode {
  const { edit } = useJob();
  const tell = useTell();
  const { say, lang } = useWords(show);
  const { letter, finding } = said;
  const chosen = useViewing((s) => s.letter === letter);
  const ref = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (chosen) ref.current?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  return (
    <li ref={ref} className={`flex gap-3 border-b border-rule px-4 py-3 ${chosen ? 'bg-chosen' : ''}`}>
      <button
        className={`h-[26px] w-[26px] shrink-0 rounded-full border-2 bg-field text-small font-bold ${INK[finding.severity]}`}
        onClick={() => look({ letter, ...(finding.course === null ? {} : { course: finding.course }) })}
        aria-label={tell(BENCH.showLetter({ letter }))}
      >
        {letter}
      </button>
      <div className="min-w-0">
        <p className={`text-small font-bold ${INK[finding.severity]}`}>
          {tell(BENCH.severity({ severity: finding.severity }))}
          <span className="font-semibold">{tell(courses(finding.course, finding.to))}</span>
        </p>
        <p className="break-words" lang={lang}>
          <Typeset words={say(finding.says)} />
        </p>
        {sameAs && <p className="mt-1 text-small text-soft">{tell(BENCH.settlesToo({ letter: sameAs }))}</p>}
        {finding.fixes.length > 0 && !sameAs && (
          <div className="mt-2 flex flex-wrap gap-2" lang={lang}>
            {finding.fixes.map((fix, i) => (
              <button
                key={i}
                className={i === 0 ? 'press' : 'press-plain'}
                onClick={() => edit(fix.edit)}
                disabled={!weighed}
              >
                <Typeset words={say(fix.says)} />
              </button>
            ))}
          </div>
        )}
      </div>
    </li>
  );
}

/** Findings of other stages: named here, so that none is overlooked, and read there. */
function Elsewhere({ view, stage, stem }: { view: BenchView; stage: StageName; stem: string }): ReactNode {
  const tell = useTell();
  const navigate = useNavigate();
  const others = STAGES.map((s) => ({
    ...s,
    said: view.says.filter((f) => f.finding.stage === s.key),
  })).filter((s) => s.key !== stage && s.said.length > 0);
  return others.map((s) => (
    <p key={s.key} className="border-b border-rule px-4 py-2 text-small">
      <button
        className="min-h-6 font-semibold text-chalk underline"
        onClick={() => void navigate(`${stem}/${s.key}`)}
      >
        {tell(s.name)}
      </button>
      :{' '}
      {s.said
        .map((f) => tell(BENCH.letterWord({ letter: f.letter, severity: f.finding.severity })))
        .join(', ')}
    </p>
  ));
}

/** What the wall says: each finding of this stage, where it is and what would settle it. */
export function Says({
  view,
  stage,
  stem,
  show,
}: {
  view: BenchView;
  stage: StageName;
  stem: string;
  show: Show;
}): ReactNode {
  const tell = useTell();
  const shown = view.says.filter((s) => s.finding.stage === stage);
  const of = (severity: string): number => view.says.filter((s) => s.finding.severity === severity).length;
  const [faults, choices, notes] = [of('fault'), of('choice'), of('note')];
  const summary = BENCH.tallyOf({
    faults,
    choices,
    notes,
    afterFaults: faults > 0 && choices + notes > 0 ? 'yes' : 'no',
    afterChoices: choices > 0 && notes > 0 ? 'yes' : 'no',
  });
  return (
    <section aria-label={tell(BENCH.theWallSays)} data-says>
      <div className="flex items-baseline justify-between border-b-2 border-ink px-4 pt-4 pb-1">
        <h2 className="heading">{tell(BENCH.theWallSays)}</h2>
        <p className="text-small" aria-live="polite">
          {view.says.length > 0 ? tell(summary) : tell(BENCH.nothingAgainstIt)}
        </p>
      </div>
      <ul>
        {shown.map((s) => (
          <One key={s.letter} said={s} weighed={view.weighed} sameAs={twinOf(s, shown)} show={show} />
        ))}
      </ul>
      <Elsewhere view={view} stage={stage} stem={stem} />
      {view.says.length === 0 && (
        <p className="px-4 py-3 text-settled">{tell(BENCH.coursesLandPerpsBreak)}</p>
      )}
    </section>
  );
}
