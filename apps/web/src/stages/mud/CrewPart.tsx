import { setDeep, weekdayOf, type BenchView, type Job, type Person } from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { useTell } from '../../state/words';
import { NameField } from '../../ui/NameField';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';

const DOES = [
  ['lays', AT_MUD.doesLay],
  ['tends', AT_MUD.tends],
  ['both', AT_MUD.doesBoth],
  ['learns', AT_MUD.learns],
] as const;

/** Who is there on a day, from when to when, and how fast they lay. */
export function CrewPart({
  job,
  view,
  date,
  pace,
}: {
  job: Job;
  view: BenchView;
  date: string;
  pace: number;
}): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const people = job.crew?.people ?? [];
  const put = (path: string, value: unknown): boolean => edit([setDeep(job, `/crew/${path}`, value)]);
  const set = (i: number, more: Partial<Person>): boolean =>
    put(
      'people',
      people.map((p, k) => (k === i ? { ...p, ...more } : p)),
    );
  const weekday = weekdayOf(date);
  const [from, to] = (weekday && job.crew?.hours?.[weekday]) || [];
  const [pause] = job.crew?.breaks ?? [];
  const unit = job.walls[view.wall.index]?.build.unit ?? '';
  const add = (): boolean =>
    put('people', [
      ...people,
      {
        id: newId('p', people).id,
        name: tell(AT_MUD.aMason),
        does: 'lays',
      },
    ]);
  return (
    <Section title={tell(AT_MUD.whoIsThere)}>
      <ul className="space-y-2" data-people={people.length}>
        {people.map((p, i) => (
          <li key={p.id} className="flex items-end gap-2">
            <div className="min-w-0 grow">
              <NameField label={tell(AT_MUD.person)} value={p.name} onChange={(name) => set(i, { name })} />
            </div>
            <div className="w-40">
              <Pick
                label={tell(AT_MUD.does)}
                value={p.does}
                options={DOES}
                onChange={(does) => set(i, { does })}
              />
            </div>
            <button
              className="flex min-h-8 min-w-8 items-center justify-center text-soft hover:text-fault max-[699px]:min-h-11 max-[699px]:min-w-11"
              aria-label={tell(AT_MUD.takeOutPerson({ who: p.name }))}
              onClick={() =>
                put(
                  'people',
                  people.filter((_, k) => k !== i),
                )
              }
            >
              <Trash2 size={15} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      <button className="press-plain inline-flex items-center gap-1" onClick={add}>
        <Plus size={16} aria-hidden="true" /> {tell(AT_MUD.addPerson)}
      </button>
      {people.length > 0 && (
        <>
          <div className="grid grid-cols-2 gap-x-3">
            <Clock
              label={tell(AT_MUD.fromWhen)}
              name="hours-from"
              value={from ?? ''}
              onChange={(v) =>
                put('hours', { ...job.crew?.hours, ...(weekday ? { [weekday]: [v, to ?? '16:00'] } : {}) })
              }
            />
            <Clock
              label={tell(AT_MUD.toWhen)}
              name="hours-to"
              value={to ?? ''}
              onChange={(v) =>
                put('hours', { ...job.crew?.hours, ...(weekday ? { [weekday]: [from ?? '07:30', v] } : {}) })
              }
            />
            <Clock
              label={tell(AT_MUD.pauseFrom)}
              name="pause-from"
              value={pause?.[0] ?? ''}
              onChange={(v) =>
                put('breaks', [[v, pause?.[1] ?? '12:30'], ...(job.crew?.breaks ?? []).slice(1)])
              }
            />
            <Clock
              label={tell(AT_MUD.pauseTo)}
              name="pause-to"
              value={pause?.[1] ?? ''}
              onChange={(v) =>
                put('breaks', [[pause?.[0] ?? '12:00', v], ...(job.crew?.breaks ?? []).slice(1)])
              }
            />
          </div>
          <NumberField
            label={tell(job.crew?.pace?.[unit] === undefined ? AT_MUD.paceUsual : AT_MUD.paceOwn)}
            value={Math.round(pace)}
            least={1}
            most={1000}
            onChange={(n) => put('pace', { ...job.crew?.pace, [unit]: n })}
          />
        </>
      )}
    </Section>
  );
}

function Clock({
  label,
  name,
  value,
  onChange,
}: {
  label: string;
  name: string;
  value: string;
  onChange: (value: string) => void;
}): ReactNode {
  return (
    <label className="block text-small text-soft">
      {label}
      <input
        type="time"
        name={name}
        className="entry"
        value={value}
        onChange={(e) => e.currentTarget.value !== '' && onChange(e.currentTarget.value)}
      />
    </label>
  );
}
