import { showMud, type Job, type Show, type WallDays } from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import { useState, type ReactNode } from 'react';
import { useDates } from '../../../state/dates';
import { useTell } from '../../../state/words';
import type { Planner } from '../../../workers/planner';
import { useAsked } from '../../../workers/useAsked';

/** The wall's mud from a day on, day by day until it is up: worked out when somebody wants it. */
export function DayByDay({
  planner,
  job,
  wall,
  asked,
  show,
}: {
  planner: Planner;
  job: Job;
  wall: number;
  asked: { date: string; course: number; practice: boolean };
  show: Show;
}): ReactNode {
  const tell = useTell();
  const [open, setOpen] = useState(false);
  const all = useAsked(planner, 'mudDays', open ? { wall, ...asked } : null, job);
  return (
    <div className="mt-6">
      <button
        className="press-plain max-[699px]:min-h-11"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {tell(AT_MUD.dayByDay)}
      </button>
      {open && all && <Days all={all} show={show} />}
    </div>
  );
}

function Days({ all: { days, up }, show }: { all: WallDays; show: Show }): ReactNode {
  const tell = useTell();
  const { weekday } = useDates();
  const heads = [
    AT_MUD.theDay,
    AT_MUD.headCourses,
    AT_MUD.headUnits,
    AT_MUD.headBatches,
    AT_MUD.headMud,
    AT_MUD.headLeft,
  ];
  return (
    <div
      className="relative mt-2 overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label={tell(AT_MUD.dayByDay)}
    >
      <table className="w-full max-w-3xl text-left text-small" data-days={days.length}>
        <thead>
          <tr className="border-b-2 border-ink">
            {heads.map((h) => (
              <th key={h.code} scope="col" className="py-1 pr-4 font-bold whitespace-nowrap">
                {tell(h)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {days.map((d) => (
            <tr key={d.date} className="border-b border-rule align-baseline">
              <th scope="row" className="py-1 pr-4 font-semibold whitespace-nowrap">
                {weekday(d.date)}
              </th>
              <td className="figures py-1 pr-4">
                {tell(AT_MUD.coursesOf({ from: d.from, to: d.to, part: d.whole ? 'no' : 'yes' }))}
              </td>
              <td className="figures py-1 pr-4">{d.units}</td>
              <td className="figures py-1 pr-4">{d.left === null ? '–' : d.batches}</td>
              <td className="figures py-1 pr-4">{showMud(d.mud, show)}</td>
              <td className="figures py-1">
                {d.left !== null && d.left > 1e-9 ? showMud(d.left, show) : '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-1 text-small text-soft">{tell(up ? AT_MUD.thenItIsUp : AT_MUD.notUpYet)}</p>
    </div>
  );
}
