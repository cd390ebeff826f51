import type { BenchView, Show } from '@even-tally/core';
import type { ReactNode } from 'react';
import { look, useViewing } from '../state/view';
import { useWords } from '../state/words';
import { Measure } from '../ui/Measure';
import { LanguagePick } from './LanguagePick';

/** The live course in figures, and what else there is to open. */
export function FootBar({ view, show }: { view: BenchView; show: Show }): ReactNode {
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
            Course <b>{course.number}</b> of {view.courses.length}
          </span>
          <span>
            top <Measure mm={course.top} show={show} />
          </span>
          <span>
            bed <Measure mm={course.bed} show={show} />
          </span>
          <span className="text-mist" lang={lang}>
            {say(view.picks[course.number - 1] ?? '')}
          </span>
        </p>
      )}
      <span className="ml-auto flex">
        <LanguagePick />
        <button className={button} onClick={() => look({ asList: !asList })}>
          {asList ? 'Back to the drawing' : 'Read as a list'}
        </button>
        <button className={button} onClick={() => look({ recordOpen: true })}>
          On record
        </button>
        <button className={button} onClick={() => look({ versionsOpen: true })}>
          Versions
        </button>
        <button className={button} onClick={() => look({ keysOpen: true })}>
          keys <b>?</b>
        </button>
      </span>
    </footer>
  );
}
