import { inFull, isArc, isRun, isTurn, stated, toMillimetres, type LineItem } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import type { PanelProps } from '../panel';

function Degrees({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange: (n: number) => void;
}): ReactNode {
  return (
    <label className="block text-small text-soft">
      {label}
      <input
        className="entry"
        type="number"
        step="any"
        min={-360}
        max={360}
        value={value}
        onChange={(e) => {
          const n = Number(e.currentTarget.value);
          if (Number.isFinite(n)) onChange(n);
        }}
      />
    </label>
  );
}

/** The line as it is said: runs, turns and curves, one after another. */
export function Turns({
  job,
  view,
  show,
  takeOut,
}: PanelProps & { takeOut: (item: number) => void }): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const line = inFull(job).walls[view.wall.index]?.line ?? [];
  const path = `/walls/${view.wall.index}/line`;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const set = (i: number, key: string) => (value: unknown) =>
    edit([{ op: 'replace', path: `${path}/${i}/${key}`, value }]);
  const runs = line.filter((i) => !isTurn(i)).length;
  const add = (item: LineItem): boolean => edit([{ op: 'add', path: `${path}/-`, value: item }]);
  // A run with a name of its own stays the same run when others come and go.
  const newRunId = (): string =>
    newId(
      'run-',
      line.flatMap((i) => (isTurn(i) ? [] : [i])),
    ).id;
  const side = show === 'mm' ? 2250 : "8'";
  return (
    <>
      <ol className="space-y-2">
        {line.map((item, i) => (
          <li key={i} className="grid grid-cols-[1fr_1fr_28px] items-end gap-x-2">
            {isRun(item) && (
              <LengthField
                label={item.name ?? tell(AT_SET_OUT.run)}
                counts="units"
                value={toMillimetres(stated(item.run))}
                {...measure}
                onChange={set(i, 'run')}
              />
            )}
            {isArc(item) && (
              <>
                <LengthField
                  label={tell(AT_SET_OUT.radiusOf({ curve: item.name ?? AT_SET_OUT.curve }))}
                  value={toMillimetres(stated(item.arc))}
                  {...measure}
                  onChange={set(i, 'arc')}
                />
                <Degrees label={tell(AT_SET_OUT.sweepsLeft)} value={item.sweep} onChange={set(i, 'sweep')} />
              </>
            )}
            {isTurn(item) && (
              <Degrees label={tell(AT_SET_OUT.turnLeftDegrees)} value={item.turn} onChange={set(i, 'turn')} />
            )}
            {!isArc(item) && <span />}
            {(isTurn(item) || runs > 1) && (
              <button
                className="mb-1 flex min-h-8 min-w-7 items-center justify-center text-soft hover:text-fault"
                aria-label={tell(
                  AT_SET_OUT.takeOut({
                    what: isTurn(item) ? AT_SET_OUT.theTurn : (item.name ?? AT_SET_OUT.thisRun),
                  }),
                )}
                onClick={() => takeOut(i)}
              >
                <Trash2 size={15} aria-hidden="true" />
              </button>
            )}
          </li>
        ))}
      </ol>
      <p className="flex flex-wrap gap-2">
        <button className="press-plain" onClick={() => add({ turn: 90 })}>
          {tell(AT_SET_OUT.addATurn)}
        </button>
        <button className="press-plain" onClick={() => add({ run: side, id: newRunId() })}>
          {tell(AT_SET_OUT.addARun)}
        </button>
        <button
          className="press-plain"
          onClick={() => add({ arc: show === 'mm' ? 4000 : "12'", sweep: 45, id: newRunId() })}
        >
          {tell(AT_SET_OUT.addACurve)}
        </button>
      </p>
    </>
  );
}
