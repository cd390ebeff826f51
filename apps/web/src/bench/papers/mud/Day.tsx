import {
  countedMeasures,
  showMinutes,
  showMm,
  showMud,
  type Message,
  type MudDayView,
  type NoDay,
  type Pin,
  type Show,
} from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../../state/words';
import { BatchTable } from './BatchTable';
import { today } from './clock';
import type { OnPins } from './pins';
import { DayChart } from './DayChart';
import { useMinute } from './useMinute';

const NO_DAY: Record<NoDay, Message> = {
  nobody: AT_MUD.nobody,
  'nobody-lays': AT_MUD.nobodyLays,
  'no-work': AT_MUD.noWork,
  'nothing-to-lay': AT_MUD.nothingLeft,
  'no-batch': AT_MUD.noBatchForDay,
};
const WHY = { break: AT_MUD.leftByBreak, end: AT_MUD.leftAtEnd, life: AT_MUD.leftByLife } as const;
const TONE = { fault: 'border-fault', choice: 'border-caution', note: 'border-rule' } as const;
const WORD = { fault: AT_MUD.stopWord, choice: AT_MUD.doWord, note: AT_MUD.noteWord } as const;

/** A day of the wall: drawn, said, and line by line. */
export function Day({
  day,
  show,
  begin,
  pins,
  onPins,
  onMost,
  most,
}: {
  day: MudDayView;
  pins: readonly Pin[];
  onPins: OnPins;
  onMost: (m3: number | null) => void;
  most: number | null;
  show: Show;
  /** What is offered where nobody is there yet. */
  begin: ReactNode;
}): ReactNode {
  const tell = useTell();
  const minute = useMinute();
  const now = day.date === today() ? minute : null;
  return (
    <section aria-label={tell(AT_MUD.throughTheDay)} className="min-w-0 space-y-3">
      <h2 className="heading text-lg">{tell(AT_MUD.throughTheDay)}</h2>
      {day.why && (
        <div className="border-l-4 border-caution bg-sheet px-4 py-3" data-no-day={day.why}>
          <p className="font-semibold">{tell(NO_DAY[day.why])}</p>
          {day.why === 'nobody' && begin}
        </div>
      )}
      {!day.why && (
        <>
          <p className="text-small text-soft">{tell(AT_MUD.wedges)}</p>
          <Sizes day={day} most={most} onMost={onMost} pinned={pins.length > 0} onPins={onPins} />
          <DayChart day={day} show={show} now={now} pins={pins} onPins={onPins} />
          <Sums day={day} show={show} />
          <BatchTable day={day} show={show} pins={pins} onPins={onPins} />
        </>
      )}
      {day.weather === null && !day.why && <p className="text-caution">{tell(AT_MUD.weatherNotSaid)}</p>}
      {day.simulated && <p className="font-semibold text-caution">{tell(AT_MUD.simulatedWeather)}</p>}
      {day.advice.length > 0 && (
        <ul className="space-y-2" aria-label={tell(AT_MUD.weatherAsks)} data-advice={day.advice.length}>
          {day.advice.map((a) => (
            <li key={a.says.code} className={`border-l-4 ${TONE[a.severity]} bg-sheet px-3 py-2`}>
              <strong>{tell(WORD[a.severity])}</strong> {tell(a.says)}{' '}
              <span className="text-small text-soft">({tell(a.source)})</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** The largest batch that is mixed, and the way back from what a hand has put elsewhere. */
function Sizes({
  day,
  most,
  onMost,
  pinned,
  onPins,
}: {
  day: MudDayView;
  most: number | null;
  onMost: (m3: number | null) => void;
  pinned: boolean;
  onPins: OnPins;
}): ReactNode {
  const tell = useTell();
  const now = most ?? day.batch;
  return (
    <div className="flex flex-wrap items-center gap-2 text-small">
      <span>{tell(AT_MUD.largestBatch)}</span>
      <div role="group" aria-label={tell(AT_MUD.largestBatch)} className="flex">
        {day.sizes.map((s) => (
          <button
            key={s.part}
            aria-pressed={Math.abs(now - s.m3) < 1e-9}
            onClick={() => onMost(s.part === 1 ? null : s.m3)}
            className={`figures h-8 min-w-11 border border-ink px-2 font-bold max-[699px]:h-11 ${Math.abs(now - s.m3) < 1e-9 ? 'bg-live text-on-live' : 'bg-sheet hover:bg-chalk-pale'}`}
          >
            {countedMeasures(s.part)}
          </button>
        ))}
      </div>
      {pinned && (
        <button className="press-plain max-[699px]:min-h-11" onClick={() => onPins([])}>
          {tell(AT_MUD.asPlanned)}
        </button>
      )}
    </div>
  );
}

/** What the day comes to, and what else was tried. */
function Sums({ day, show }: { day: MudDayView; show: Show }): ReactNode {
  const tell = useTell();
  const { next } = day;
  const waited = day.waits.reduce((sum, w) => sum + w.to - w.from, 0);
  return (
    <div className="space-y-1" aria-live="polite">
      <p data-day-sums>
        {tell(
          AT_MUD.dayComesTo({
            courses: day.courses.filter((c) => c.whole).length,
            part: day.courses.some((c) => !c.whole) ? 'yes' : 'no',
            units: day.units,
            batches: day.batches.length,
            mud: showMud(day.used, show),
          }),
        )}{' '}
        {tell(day.left > 1e-9 ? AT_MUD.thrownAway({ left: showMud(day.left, show) }) : AT_MUD.nothingThrown)}
      </p>
      <p>
        {tell(AT_MUD.spreadAhead({ far: showMm(day.spread, show) + (show === 'mm' ? ' mm' : '') }))}{' '}
        {day.strike &&
          tell(AT_MUD.strikeAt({ least: showMinutes(day.strike.least), most: showMinutes(day.strike.most) }))}
      </p>
      {day.left > 1e-9 && <p>{tell(AT_MUD.leftOver)}</p>}
      {day.mixesInstead !== null && <p>{tell(AT_MUD.mixesInstead({ who: day.mixesInstead }))}</p>}
      {day.whyLeft && day.left > 1e-9 && (
        <p className="text-caution">{tell(WHY[day.whyLeft.why]({ n: day.whyLeft.batch }))}</p>
      )}
      {waited > 0.5 && (
        <p className="font-semibold text-fault">{tell(AT_MUD.somebodyWaits({ how: showMinutes(waited) }))}</p>
      )}
      {!day.proved && <p className="text-soft">{tell(AT_MUD.notProved)}</p>}
      {next && (
        <p className="text-soft">
          {tell(
            AT_MUD.smallerBatches({
              batches: next.batches,
              left: showMud(next.left, show),
              waits: next.waited > 0.5 ? 'yes' : 'no',
            }),
          )}
        </p>
      )}
    </div>
  );
}
