import { countedMeasures, showMud, type MudDayView, type Show } from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import { Minus, Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { useTell } from '../../../state/words';
import { clockWords } from './clock';
import { pinsTo, type OnPins } from './pins';

/** The day's batches, line by line: what is read out where the wedges cannot be seen. */
export function BatchTable({
  day,
  show,
  onPins,
}: {
  day: MudDayView;
  show: Show;
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
                  {([-1, 1] as const).map((by) => (
                    <button
                      key={by}
                      className="flex h-7 w-7 items-center justify-center text-chalk hover:bg-chalk-pale disabled:text-off-ink max-[699px]:h-11 max-[699px]:w-11"
                      aria-label={tell((by < 0 ? AT_MUD.smaller : AT_MUD.larger)({ n: i + 1 }))}
                      disabled={by < 0 ? !b.canShrink : !b.canGrow}
                      onClick={() => onPins(pinsTo(day, i, { made: b.made + by * day.step }))}
                    >
                      {by < 0 ? (
                        <Minus size={14} aria-hidden="true" />
                      ) : (
                        <Plus size={14} aria-hidden="true" />
                      )}
                    </button>
                  ))}
                </span>
              </th>
              {[b.water, b.first, b.last, b.expires].map((t, k) => (
                <td key={k} className="figures py-1 pr-4">
                  {clockWords(t)}
                </td>
              ))}
              <td className="py-1 pr-4 whitespace-nowrap">
                {b.measures
                  .map((m) => tell(AT_MUD.counted({ count: countedMeasures(m.count), of: m.name })))
                  .join(', ')}
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
