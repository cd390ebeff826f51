import type { BenchView, Show } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import type { ReactNode } from 'react';
import { look, useViewing } from '../state/view';
import { useWords, useTell } from '../state/words';
import { LanguagePick } from '../ui/LanguagePick';
import { SchemePick } from '../ui/SchemePick';
import { Told } from '../ui/Told';

/** The live course in figures, and what else there is to open. */
export function FootBar({ view, show }: { view: BenchView; show: Show }): ReactNode {
  const tell = useTell();
  const live = useViewing((s) => s.course);
  const { say, lang } = useWords(show);
  const asList = useViewing((s) => s.asList);
  const course = view.courses[Math.min(live, view.courses.length) - 1];
  const button = 'min-h-[26px] px-2 underline underline-offset-4 hover:bg-slate-high';
  return (
    <footer className="on-slate no-print flex min-h-[36px] flex-wrap items-center gap-x-5 bg-slate px-4 text-white">
      {course && (
        <p className="flex flex-wrap gap-x-5" aria-live="polite">
          <span>
            <Told said={BENCH.courseOf({ course: course.number, courses: view.courses.length })} />
          </span>
          <span>
            <Told said={BENCH.topAt({ top: course.top })} />
          </span>
          <span>
            <Told said={BENCH.bedOf({ bed: course.bed })} />
          </span>
          <span className="text-mist" lang={lang}>
            {say(view.picks[course.number - 1] ?? '')}
          </span>
        </p>
      )}
      <span className="ml-auto flex">
        <LanguagePick className="bg-slate hover:bg-slate-high" />
        <SchemePick className="bg-slate hover:bg-slate-high" />
        <button className={button} onClick={() => look({ asList: !asList })}>
          {asList ? tell(BENCH.backToTheDrawing) : tell(BENCH.readAsAList)}
        </button>
        <button className={button} onClick={() => look({ recordOpen: true })}>
          {tell(BENCH.onRecord)}
        </button>
        <button className={button} onClick={() => look({ versionsOpen: true })}>
          {tell(BENCH.versions)}
        </button>
        <button className={button} onClick={() => look({ keysOpen: true })}>
          {tell(BENCH.keysShown)}
        </button>
      </span>
    </footer>
  );
}
