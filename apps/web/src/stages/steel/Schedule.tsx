import { sayMass, proofOf, showMm, type CutList } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Section } from '../../ui/Section';
import { Told } from '../../ui/Told';
import { Typeset } from '../../ui/Typeset';
import { cutInWorker } from '../../workers/cutter';
import type { PanelProps } from '../panel';

interface Cutting {
  size: string;
  cut: CutList | null;
  part: number;
  state: 'going' | 'done' | 'stopped';
}

/** Bars as they are to be cut, by mark; and how to cut them from stock. */
export function Schedule({ view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const lines = view.steel.schedule;
  const [cutting, setCutting] = useState<Cutting | null>(null);
  const stop = useRef<() => void>(() => undefined);
  const sizes = [...new Set(lines.map((l) => l.size))];
  useEffect(() => () => stop.current(), [lines]);
  if (lines.length === 0) return null;
  const start = (size: string): void => {
    stop.current();
    setCutting({ size, cut: null, part: 0, state: 'going' });
    const wanted = lines
      .filter((l) => l.size === size)
      .map(({ mark, length, count }) => ({ mark, length, count }));
    stop.current = cutInWorker({ wanted, stock: view.steel.stock }, (answer) =>
      setCutting((was) => {
        if (!was || was.size !== size) return was;
        if (answer.kind === 'going') return { ...was, part: answer.part };
        return {
          ...was,
          cut: answer.cut,
          state: answer.done ? 'done' : 'going',
          part: answer.done ? 1 : was.part,
        };
      }),
    );
  };
  const say = (n: number): string => showMm(n, show);
  const mass = lines.reduce((s, l) => s + l.mass, 0);
  return (
    <Section
      title={tell(AT_STEEL.bars)}
      aside={<span className="figures text-small">{sayMass(mass, show)}</span>}
    >
      <table className="w-full text-small">
        <caption className="sr-only">{tell(AT_STEEL.barScheduleOfThe)}</caption>
        <thead>
          <tr className="border-b border-ink text-left">
            <th className="py-1 font-semibold">{tell(AT_STEEL.mark)}</th>
            <th className="font-semibold">{tell(AT_STEEL.size)}</th>
            <th className="text-right font-semibold">{tell(AT_STEEL.cutTo)}</th>
            <th className="text-right font-semibold">{tell(AT_STEEL.no)}</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((l) => (
            <tr key={l.mark} className="border-b border-rule">
              <td className="py-1 font-bold">{l.mark}</td>
              <td>{tell(AT_STEEL.barKind({ size: l.size, shape: l.shape }))}</td>
              <td className="figures text-right">
                <Typeset words={say(l.length)} />
              </td>
              <td className="figures text-right">{l.count}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="flex flex-wrap gap-2">
        {sizes.map((size) => (
          <button key={size} className="press-plain" onClick={() => start(size)}>
            <Typeset
              words={tell(
                AT_STEEL.cutFrom({
                  size,
                  stock: view.steel.stock.map((s) => AT_STEEL.lengthOf({ length: s })),
                }),
              )}
            />
          </button>
        ))}
      </p>
      {cutting && (
        <div aria-live="polite">
          {cutting.state === 'going' && (
            <p className="flex items-center gap-3 text-small">
              <progress
                className="grow"
                value={cutting.part}
                max={1}
                aria-label={tell(AT_STEEL.howFarTheCut)}
              />
              <button
                className="press-plain"
                onClick={() => {
                  stop.current();
                  setCutting({ ...cutting, state: 'stopped' });
                }}
              >
                {tell(AT_STEEL.stop)}
              </button>
            </p>
          )}
          {cutting.cut && (
            <>
              <p className="text-small font-semibold">
                {cutting.size}: {tell(proofOf(cutting.cut))}.{' '}
                {cutting.state === 'stopped' ? tell(AT_STEEL.stoppedThisIsThe) : ''}
              </p>
              <ul className="text-small">
                {cutting.cut.patterns.map((p, i) => (
                  <li key={i} className="flex justify-between gap-3 border-b border-rule py-1">
                    <span>
                      {p.times} × {p.pieces.map((x) => `${x.count} ${x.mark}`).join(' + ')}
                    </span>
                    <span className="figures text-soft">
                      <Typeset words={tell(AT_STEEL.leftOver({ length: p.left }))} />
                    </span>
                  </li>
                ))}
              </ul>
              {cutting.cut.reusable > 0 && (
                <p className="text-small text-soft">
                  <Told said={AT_STEEL.reusable({ length: cutting.cut.reusable })} />
                </p>
              )}
            </>
          )}
        </div>
      )}
    </Section>
  );
}
