import { shootSpots, simulatedLevel, type PouredSpot, type Stated } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { asRead } from './groundEdits';

const PRACTICE_INSTRUMENT = 1500;

/** The footing as it was poured: what the first bed comes to under each unit. */
export function Poured({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const path = `/walls/${view.wall.index}/poured`;
  const all = job.walls[view.wall.index]?.poured;
  const spots = (all ?? []).map((s, index) => ({ ...s, index })).filter((s) => s.run === view.run);
  const beds = view.survey.poured.find((p) => p.run === view.run)?.units ?? [];
  const bad = beds.filter((b) => b.verdict !== 'sound');
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const length = view.runs[view.run]?.length ?? 0;
  const put = (values: PouredSpot[]): boolean =>
    edit([{ op: all ? 'replace' : 'add', path, value: [...(all ?? []), ...values] }]);
  const shoot = (): void => {
    const level = simulatedLevel({
      instrument: PRACTICE_INSTRUMENT,
      ground: (at) => 4 * Math.sin(at / 900) - at / 2500,
      noise: 1,
      seed: view.run + 1,
    });
    const shot = shootSpots(level, PRACTICE_INSTRUMENT, 0, length, 1200);
    put(
      shot.map((s) => ({
        run: view.run,
        at: asRead(s.at, show),
        level: Math.round(s.level * 10) / 10,
        simulated: true as const,
      })),
    );
  };
  const along = (index: number) => (value: Stated) =>
    edit([{ op: 'replace', path: `${path}/${index}/at`, value }]);
  return (
    <Fold
      title={tell(AT_SET_OUT.asItWasPoured)}
      aside={
        beds.length === 0
          ? tell(AT_SET_OUT.notLevelledYet)
          : bad.length === 0
            ? tell(AT_SET_OUT.sound)
            : tell(AT_SET_OUT.toPutRight({ count: bad.length }))
      }
    >
      <p className="flex flex-wrap gap-2">
        <button
          className="press-plain inline-flex items-center gap-1"
          onClick={() => put([{ run: view.run, at: asRead(length / 2, show), level: 0 }])}
        >
          <Plus size={15} aria-hidden="true" /> {tell(AT_SET_OUT.spotLevel)}
        </button>
        <button className="press-plain" onClick={shoot}>
          {tell(AT_SET_OUT.practiseWithASimulated)}
        </button>
      </p>
      {spots.some((s) => s.simulated) && (
        <p className="bg-caution-pale px-2 py-1 font-semibold text-caution">
          {tell(AT_SET_OUT.simulatedLevelPracticeNot)}
        </p>
      )}
      {spots.map((s, i) => (
        <div key={s.index} className="grid grid-cols-[1fr_1fr_28px] items-end gap-x-2">
          <LengthField
            label={s.simulated ? tell(AT_SET_OUT.alongSimulated) : tell(AT_SET_OUT.alongTheRun)}
            value={view.poured[i]?.at ?? 0}
            {...measure}
            onChange={along(s.index)}
          />
          <p className="pb-6">
            <Told
              said={AT_SET_OUT.standsAt({
                way: (view.poured[i]?.level ?? 0) < 0 ? 'low' : 'high',
                by: Math.abs(view.poured[i]?.level ?? 0),
              })}
            />
          </p>
          <button
            className="mb-5 flex min-h-7 min-w-7 items-center justify-center text-soft hover:text-fault"
            aria-label={tell(AT_SET_OUT.takeOut({ what: AT_SET_OUT.spotNo({ n: i + 1 }) }))}
            onClick={() => edit([{ op: 'remove', path: `${path}/${s.index}` }])}
          >
            <Trash2 size={15} aria-hidden="true" />
          </button>
        </div>
      ))}
      {beds.length > 0 && (
        <table className="w-full text-small">
          <caption className="text-left font-bold">{tell(AT_SET_OUT.firstBedUnderEach)}</caption>
          <tbody>
            {beds.map((b, i) => (
              <tr
                key={b.from}
                className={`border-t border-rule ${b.verdict === 'sound' ? '' : 'font-semibold text-fault'}`}
              >
                <td>{i + 1}</td>
                <td className="figures text-right">
                  <Told said={AT_SET_OUT.fromTo({ from: b.left, to: b.right })} />
                </td>
                <td className="text-right">
                  {tell(
                    b.verdict === 'sound'
                      ? AT_SET_OUT.sound
                      : AT_SET_OUT.verdictBy({ verdict: b.verdict, by: b.by }),
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Fold>
  );
}
