import {
  readSpeed,
  readTemperature,
  simulatedWeather,
  type DayWeather,
  type Job,
  type Show,
} from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useSession } from '../../state/session';
import { useTell } from '../../state/words';
import { today } from '../../bench/papers/mud/clock';
import { useOpenJob } from '../../state/job';
import { logEntry, useRecord } from '../../state/record';
import { lastSigner } from '../steel/Signer';
import { AmountField } from '../../ui/AmountField';
import { Section } from '../../ui/Section';

/** How warm, windy and wet a day will be, as somebody says. Made-up weather is offered in the demo yard alone. */
export function WeatherPart({
  job,
  wall,
  date,
  show,
}: {
  job: Job;
  /** Where a thermometer is read. */
  wall: string;
  date: string;
  show: Show;
}): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const demo = useSession().session?.yard?.demo === true;
  const all = job.weather ?? [];
  const at = all.findIndex((w) => w.date === date);
  const known = all[at];
  const put = (value: DayWeather): boolean =>
    edit([
      job.weather === undefined
        ? { op: 'add', path: '/weather', value: [value] }
        : at < 0
          ? { op: 'add', path: '/weather/-', value }
          : { op: 'replace', path: `/weather/${at}`, value },
    ]);
  // What is typed over something made up is no longer made up.
  const set = (more: Partial<DayWeather>): boolean => {
    const { simulated: _, ...said } = { date, ...known, ...more };
    return put(said);
  };
  const degrees = show === 'ft-in' ? 'F' : 'C';
  return (
    <Section title={tell(AT_MUD.weather)}>
      <div className="grid grid-cols-3 gap-x-3">
        {(['low', 'high'] as const).map((key) => (
          <AmountField
            key={key}
            label={tell(key === 'low' ? AT_MUD.low : AT_MUD.high)}
            name={`weather-${key}`}
            value={String(known?.[key] ?? '')}
            reads={readTemperature}
            bare={degrees}
            above={-90}
            onChange={(value) => set({ [key]: value })}
          />
        ))}
        <AmountField
          label={tell(AT_MUD.wind)}
          name="weather-wind"
          value={String(known?.wind ?? '')}
          reads={readSpeed}
          bare={show === 'ft-in' ? 'mph' : 'km/h'}
          above={-1}
          onChange={(wind) => set({ wind })}
        />
      </div>
      <label className="flex min-h-7 items-center gap-2">
        <input
          type="checkbox"
          name="rain"
          checked={known?.rain !== undefined && known.rain !== false}
          onChange={(e) => set({ rain: e.currentTarget.checked })}
        />
        {tell(AT_MUD.rain)}
      </label>
      {date === today() && <ReadNow wall={wall} degrees={degrees} />}
      {known?.simulated && <p className="font-semibold text-caution">{tell(AT_MUD.simulatedWeather)}</p>}
      {demo && !known && (
        <button
          className="press-plain"
          onClick={() =>
            put(simulatedWeather(date, job.show === 'ft-in' ? 'high-desert' : 'mild', show === 'ft-in'))
          }
        >
          {tell(AT_MUD.practiseWeather)}
        </button>
      )}
    </Section>
  );
}

/** What the thermometer on site says: from then on clocks go by it, and not by what was foretold. */
function ReadNow({ wall, degrees }: { wall: string; degrees: string }): ReactNode {
  const tell = useTell();
  const id = useOpenJob((s) => s.id);
  const last = useRecord((s) =>
    s.entries.filter((e) => e.kind === 'weather' && e.happened.startsWith(today())).at(-1),
  );
  return (
    <AmountField
      label={tell(AT_MUD.readNow)}
      name="weather-now"
      value={last?.kind === 'weather' ? String(last.temperature ?? '') : ''}
      reads={readTemperature}
      bare={degrees}
      above={-90}
      onChange={(temperature) => {
        if (id === null) return false;
        const by = lastSigner();
        void logEntry(id, {
          kind: 'weather',
          wall,
          temperature,
          by: by === '' ? tell(AT_MUD.somebody) : by,
        });
        return true;
      }}
    />
  );
}
