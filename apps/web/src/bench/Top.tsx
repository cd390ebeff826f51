import type { Show } from '@even-tally/core';
import { BENCH, PAPER } from '@even-tally/words';
import { Redo2, Undo2 } from 'lucide-react';
import { useEffect, useRef, type ReactNode } from 'react';
import { Link, NavLink, useLocation } from 'react-router';
import { STAGES } from '../stages/registry';
import type { BenchStage } from '../stages/stage';
import { useDates } from '../state/dates';
import { useJob, useOpenJob } from '../state/job';
import { chooseShow, look } from '../state/view';
import { useTell } from '../state/words';
import { Mark } from '../ui/Mark';
import { StepsBack } from './StepsBack';

const WORDS = {
  kept: BENCH.kept,
  keeping: BENCH.keeping,
  held: BENCH.noServerHeldOn,
  stale: BENCH.somebodyElseSaved,
  refused: BENCH.notKept,
} as const;

/** The stages hung on the mason's line. All are always open. */
export function Line({ stem, stages = STAGES }: { stem: string; stages?: readonly BenchStage[] }): ReactNode {
  const tell = useTell();
  const { pathname } = useLocation();
  const line = useRef<HTMLElement>(null);
  // On a phone the stages scroll along the line: the one that is up is brought into sight.
  useEffect(() => {
    const here = line.current?.querySelector<HTMLElement>('[aria-current="page"]');
    if (line.current && here)
      line.current.scrollLeft = here.offsetLeft - (line.current.clientWidth - here.offsetWidth) / 2;
  }, [pathname]);
  return (
    <nav
      ref={line}
      aria-label={tell(BENCH.stages)}
      className="mx-2 max-[699px]:order-last max-[699px]:mx-0 max-[699px]:w-full max-[699px]:overflow-x-auto"
    >
      {/* The line is as long as its stages, and goes along when they are scrolled. */}
      <div className="relative flex w-max items-end max-[699px]:mx-2">
        <span className="absolute top-[14px] right-0 left-0 h-[2px] bg-live" aria-hidden="true" />
        <span className="absolute top-[7px] -left-2 h-[16px] w-[12px] bg-peg" aria-hidden="true" />
        <span className="absolute top-[7px] -right-2 h-[16px] w-[12px] bg-peg" aria-hidden="true" />
        {stages.map((s) => (
          <NavLink
            key={s.key}
            to={`${stem}/${s.key}`}
            className="group relative flex w-[104px] shrink-0 flex-col max-[1180px]:w-[84px] items-center"
          >
            {({ isActive }) => (
              <>
                <span
                  className={`z-10 mt-[6px] h-[18px] ${isActive ? 'w-[4px]' : 'w-[2px]'} bg-white`}
                  aria-hidden="true"
                />
                <span
                  className={`mt-[4px] w-full px-2 py-[7px] text-center font-narrow text-stage font-bold ${isActive ? 'bg-sheet text-ink' : 'text-white group-hover:bg-slate-high'}`}
                >
                  {tell(s.name)}
                </span>
              </>
            )}
          </NavLink>
        ))}
      </div>
    </nav>
  );
}

export function Top({
  title,
  sub,
  stem,
  show,
}: {
  title: string;
  sub: string;
  stem: string;
  show: Show;
}): ReactNode {
  const tell = useTell();
  const { redo, undo } = useJob();
  const keeping = useOpenJob((s) => s.keeping);
  const dates = useDates();
  const keptAt = useOpenJob((s) => s.keptAt);
  const back = useOpenJob((s) => s.done.at(-1)?.says ?? null);
  const again = useOpenJob((s) => s.undone.at(-1)?.says ?? null);
  const press =
    'inline-flex h-[30px] w-[30px] items-center justify-center hover:bg-slate-high disabled:text-slate-edge';
  return (
    <header className="on-slate no-print flex min-h-[84px] shrink-0 items-center justify-between gap-x-4 max-[699px]:flex-wrap bg-slate px-4 text-white">
      <div className="w-[300px] min-w-0 max-[1180px]:w-[200px] max-[699px]:w-auto max-[699px]:max-w-[60%]">
        <Link to="/yard" className="inline-flex items-center" aria-label={tell(BENCH.evenTallyBackTo)}>
          <Mark />
        </Link>
        <p className="truncate text-small text-mist" title={`${title} · ${sub}`}>
          {title} · <strong className="text-white">{sub}</strong>
        </p>
      </div>
      <Line stem={stem} />
      <div className="flex w-[270px] flex-wrap items-center justify-end gap-x-2 max-[1180px]:w-[190px] max-[699px]:w-auto">
        <p
          role="status"
          className={`w-full text-right text-small ${keeping === 'kept' || keeping === 'keeping' ? 'text-mist' : 'font-semibold text-caution-slate'}`}
        >
          {tell(
            keeping === 'kept' && keptAt !== null
              ? BENCH.keptAt({ when: dates.hour(keptAt) })
              : WORDS[keeping],
          )}
        </p>
        <button
          className="mr-1 min-h-[30px] px-2 text-small hover:bg-slate-high"
          onClick={() => look({ finding: true, saying: false })}
        >
          {tell(PAPER.findSlash)}
        </button>
        <button
          className={press}
          onClick={undo}
          disabled={back === null}
          aria-label={back === null ? tell(BENCH.undo) : tell(BENCH.undoStep({ step: back }))}
          title={back === null ? tell(BENCH.nothingToUndo) : tell(BENCH.undoKeys({ step: back }))}
        >
          <Undo2 size={18} aria-hidden="true" />
        </button>
        <button
          className={press}
          onClick={redo}
          disabled={again === null}
          aria-label={again === null ? tell(BENCH.redo) : tell(BENCH.redoStep({ step: again }))}
          title={again === null ? tell(BENCH.nothingToRedo) : tell(BENCH.redoKeys({ step: again }))}
        >
          <Redo2 size={18} aria-hidden="true" />
        </button>
        <StepsBack className={press} />
        <div role="group" aria-label={tell(BENCH.unitsShown)} className="ml-2 flex">
          {(['ft-in', 'mm'] as const).map((s) => (
            <button
              key={s}
              aria-pressed={show === s}
              onClick={() => chooseShow(s)}
              className={`min-h-[28px] px-2 font-semibold ${show === s ? 'bg-sheet text-ink' : 'hover:bg-slate-high'}`}
            >
              {tell(s === 'mm' ? BENCH.mm : BENCH.ftIn)}
            </button>
          ))}
        </div>
      </div>
    </header>
  );
}
