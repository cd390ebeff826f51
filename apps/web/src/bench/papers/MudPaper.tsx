import { AT_MUD } from '@even-tally/words';
import type { ReactNode } from 'react';
import { BeginCrew } from '../../stages/mud/BeginCrew';
import { useDayAsked } from '../../stages/mud/useDayAsked';
import { look, useViewing } from '../../state/view';
import { useTell } from '../../state/words';
import { useAsked } from '../../workers/useAsked';
import { KeyPlan } from '../KeyPlan';
import { Batch, Order } from './mud/Batch';
import { Day } from './mud/Day';
import { DayByDay } from './mud/DayByDay';
import { PaperHead } from './PaperHead';
import { PrintOne } from './PrintOne';
import type { PaperProps } from './paper';

/** The day as wedges of mud against the courses that use it up, beside the batch it is made of. */
export function MudPaper({ job, view, show, planner, ...at }: PaperProps): ReactNode {
  const tell = useTell();
  const asked = useDayAsked();
  const { date, course } = asked;
  const most = useViewing((s) => s.mostMud);
  const mud = useAsked(planner, 'mud', { wall: view.wall.index }, job);
  const of = [view.wall.id, date, course].join('|');
  const pinned = useViewing((s) => s.pins);
  const pins = pinned?.of === of ? pinned.pins : [];
  const day = useAsked(
    planner,
    'mudDay',
    { wall: view.wall.index, ...asked, ...(most === null ? {} : { most }), pins: [...pins] },
    job,
  );
  const [own, ...others] = mud?.batches ?? [];
  return (
    <main
      className="relative min-h-0 min-w-0 grow overflow-y-auto bg-paper px-6 pt-16 pb-6 max-[699px]:px-4 max-[699px]:pt-28"
      data-mud={own?.mix ?? ''}
      tabIndex={0}
    >
      <PaperHead title={tell(AT_MUD.mudOf({ wall: view.wall.name }))}>
        <label className="flex items-center gap-2 text-small">
          {tell(AT_MUD.theDay)}
          <input
            type="date"
            name="mud-day"
            className="entry w-36"
            value={date}
            onChange={(e) => e.currentTarget.value !== '' && look({ day: e.currentTarget.value })}
          />
        </label>
        <label className="flex items-center gap-2 text-small">
          {tell(AT_MUD.fromCourse)}
          <input
            type="number"
            name="mud-from"
            className="entry w-16"
            min={1}
            max={view.courses.length}
            value={course}
            onChange={(e) => {
              const n = Math.floor(Number(e.currentTarget.value));
              if (n >= 1 && n <= view.courses.length) look({ course: n });
            }}
          />
        </label>
        {own && own.measures.length > 0 && (
          <PrintOne
            kind="pdf:mixer"
            says={AT_MUD.printMixer}
            job={job}
            view={view}
            show={show}
            planner={planner}
          />
        )}
      </PaperHead>
      {mud && !own && <p className="text-soft">{tell(AT_MUD.nothingToLay)}</p>}
      {mud && own && (
        <>
          <div className="flex flex-wrap gap-x-8 gap-y-6">
            <div className="max-w-sm min-w-60 grow basis-60">
              <Batch batch={own} show={show} />
              <KeyPlan job={job} view={view} {...at} among />
            </div>
            <div className="min-w-[min(100%,520px)] grow-[4] basis-[520px]">
              {day && (
                <Day
                  day={day}
                  pins={pins}
                  onPins={(next) => look({ pins: next.length > 0 ? { of, pins: next } : null })}
                  most={most}
                  onMost={(m3) => look({ mostMud: m3, pins: null })}
                  show={show}
                  begin={<BeginCrew job={job} date={date} />}
                />
              )}
            </div>
          </div>
          {day && !day.why && (
            <DayByDay planner={planner} job={job} wall={view.wall.index} asked={asked} show={show} />
          )}
          {own.measures.length > 0 && <Order batch={own} kind={mud.settings.mixer.kind} />}
          {others.map((b) => (
            <section key={b.mix} className="mt-8 border-t-2 border-ink pt-4" aria-label={tell(b.name)}>
              <div className="max-w-sm">
                <Batch batch={b} show={show} />
              </div>
            </section>
          ))}
        </>
      )}
    </main>
  );
}
