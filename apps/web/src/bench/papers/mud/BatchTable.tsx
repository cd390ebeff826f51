import {
  countedMeasures,
  showMud,
  type BatchInDay,
  type MudDayView,
  type Pin,
  type Show,
} from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import { ChevronLeft, ChevronRight, Minus, Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { useTell } from '../../../state/words';
import { clockWords } from './clock';
import { pinsTo, type OnPins } from './pins';

/** What a wedge is pulled to on the drawing, as presses: a step smaller or larger, sooner or later. */
const twins = (b: BatchInDay) =>
  [
    {
      key: 'smaller',
      says: AT_MUD.smaller,
      to: b.smaller === null ? null : { made: b.smaller },
      icon: Minus,
    },
    { key: 'larger', says: AT_MUD.larger, to: b.larger === null ? null : { made: b.larger }, icon: Plus },
    { key: 'sooner', says: AT_MUD.sooner, to: { made: b.made, water: b.sooner }, icon: ChevronLeft },
    { key: 'later', says: AT_MUD.later, to: { made: b.made, water: b.later }, icon: ChevronRight },
  ] as const;

/** The day's batches, line by line: what is read out where the wedges cannot be seen. */
export function BatchTable({
  day,
  show,
  pins,
  onPins,
}: {
  day: MudDayView;
  show: Show;
  pins: readonly Pin[];
  onPins: OnPins;
}): ReactNode {
  const tell = useTell();
  const heads = [
    AT_MUD.headBatch,
    AT_MUD.headWater,
    AT_MUD.headFirst,
    AT_MUD.headLast,
    AT_MUD.headDead,
    AT_MUD.headPut,
    AT_MUD.headLeft,
  ];
  return (
    <div
      className="relative overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label={tell(AT_MUD.batchesOfTheDay)}
    >
      <table className="w-full text-left text-small" data-batches={day.batches.length}>
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
          {day.batches.map((b, i) => (
            <tr key={b.water} className="border-b border-rule align-baseline">
              <th scope="row" className="figures py-1 pr-4 font-semibold">
                <span className="flex items-center gap-1">
                  {i + 1}
                  {twins(b).map(({ key, says, to, icon: Icon }) => (
                    <button
                      key={key}
                      className="flex h-7 w-7 items-center justify-center text-chalk hover:bg-chalk-pale disabled:text-off-ink max-[699px]:h-11 max-[699px]:w-11"
                      aria-label={tell(says({ n: i + 1 }))}
                      disabled={to === null}
                      onClick={() => to && onPins(pinsTo(day, pins, i, to))}
                    >
                      <Icon size={14} aria-hidden="true" />
                    </button>
                  ))}
                </span>
              </th>
              {[b.water, b.first, b.last, b.expires].map((t, k) => (
                <td key={k} className="figures py-1 pr-4">
                  {clockWords(t)}
                </td>
              ))}
              <td className="min-w-28 py-1 pr-4 max-[699px]:min-w-56">
                {b.measures.map((m, k) => {
                  const of = { count: countedMeasures(m.count), of: m.name };
                  return (
                    <span key={m.of} className="mr-1 inline-block whitespace-nowrap">
                      {tell(
                        m.by === 'bag' ? AT_MUD.measured({ ...of, measure: m.measure }) : AT_MUD.counted(of),
                      )}
                      {k < b.measures.length - 1 && ','}
                    </span>
                  );
                })}
              </td>
              <td className={`figures py-1 ${b.left > 1e-9 ? 'font-semibold text-fault' : ''}`}>
                {b.left > 1e-9 ? showMud(b.left, show) : '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
