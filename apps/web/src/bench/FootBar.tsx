import type { BenchView, Show } from '@even-tally/core';
import { BENCH, PAPER } from '@even-tally/words';
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { MoreHorizontal } from 'lucide-react';
import type { ReactNode } from 'react';
import { look, useViewing } from '../state/view';
import { useWords, useTell } from '../state/words';
import { LanguagePick } from '../ui/LanguagePick';
import { SchemePick } from '../ui/SchemePick';
import { Told } from '../ui/Told';
import { useNarrow } from '../ui/useNarrow';
import { isLaidInCourses } from './layout';

/** The live course in figures, and what else there is to open. */
export function FootBar({ view, show }: { view: BenchView; show: Show }): ReactNode {
  const tell = useTell();
  const live = useViewing((s) => s.course);
  const { say, lang } = useWords(show);
  const asList = useViewing((s) => s.asList);
  const course = view.courses[Math.min(live, view.courses.length) - 1];
  const rough = !isLaidInCourses(view);
  const button = 'min-h-[26px] px-2 underline underline-offset-4 hover:bg-slate-high';
  return (
    <footer className="on-slate no-print flex min-h-[36px] shrink-0 items-center gap-x-5 bg-slate px-4 text-white">
      {course && (
        <p className="flex min-w-0 gap-x-5 whitespace-nowrap" aria-live="polite">
          <span>
            <Told
              said={BENCH.courseOf({
                of: rough ? 'level' : 'course',
                course: course.number,
                courses: view.courses.length,
              })}
            />
          </span>
          <span>
            <Told said={BENCH.topAt({ top: course.top })} />
          </span>
          {!rough && (
            <span>
              <Told said={BENCH.bedOf({ bed: course.bed })} />
            </span>
          )}
          <span className="truncate text-mist max-[699px]:hidden" lang={lang}>
            {say(view.picks[course.number - 1] ?? '')}
          </span>
        </p>
      )}
      <More>
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
      </More>
    </footer>
  );
}

/** Side by side where there is room for them; else under one button. */
function More({ children }: { children: ReactNode }): ReactNode {
  const tell = useTell();
  const narrow = useNarrow(1180);
  if (!narrow) return <span className="ml-auto flex shrink-0">{children}</span>;
  return (
    <Popover className="relative ml-auto">
      <PopoverButton className="inline-flex min-h-[30px] items-center gap-2 px-2 hover:bg-slate-high">
        {tell(PAPER.more)} <MoreHorizontal size={18} aria-hidden="true" />
      </PopoverButton>
      <PopoverPanel className="on-slate absolute right-0 bottom-full z-50 flex min-w-52 flex-col items-start gap-1 border border-slate-edge bg-slate p-3 text-white">
        {children}
      </PopoverPanel>
    </Popover>
  );
}
