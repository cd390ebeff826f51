import { Typeset } from '../../ui/Typeset';
import { Measure } from '../../ui/Measure';
import { sayMass, sayMm, sayProof, showMm, type CutList } from '@even-tally/core';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { cutInWorker } from '../../workers/cutter';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';

interface Cutting {
  size: string;
  cut: CutList | null;
  part: number;
  state: 'going' | 'done' | 'stopped';
}

/** Bars as they are to be cut, by mark; and how to cut them from stock. */
export function Schedule({ view, show }: PanelProps): ReactNode {
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
    <Section title="Bars" aside={<span className="figures text-small">{sayMass(mass, show)}</span>}>
      <table className="w-full text-small">
        <caption className="sr-only">Bar schedule of the whole wall</caption>
        <thead>
          <tr className="border-b border-ink text-left">
            <th className="py-1 font-semibold">Mark</th>
            <th className="font-semibold">Size</th>
            <th className="text-right font-semibold">Cut to</th>
            <th className="text-right font-semibold">No.</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((l) => (
            <tr key={l.mark} className="border-b border-rule">
              <td className="py-1 font-bold">{l.mark}</td>
              <td>
                {l.size}
                {l.shape === 'hooked' ? ', hooked' : l.shape === 'corner' ? ', bent square' : ''}
              </td>
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
            Cut {size} from {view.steel.stock.map((s) => sayMm(s, show)).join(', ')}
          </button>
        ))}
      </p>
      {cutting && (
        <div aria-live="polite">
          {cutting.state === 'going' && (
            <p className="flex items-center gap-3 text-small">
              <progress className="grow" value={cutting.part} max={1} aria-label="How far the cut list is" />
              <button
                className="press-plain"
                onClick={() => {
                  stop.current();
                  setCutting({ ...cutting, state: 'stopped' });
                }}
              >
                Stop
              </button>
            </p>
          )}
          {cutting.cut && (
            <>
              <p className="text-small font-semibold">
                {cutting.size}: {sayProof(cutting.cut)}.{' '}
                {cutting.state === 'stopped' ? 'Stopped; this is the best so far.' : ''}
              </p>
              <ul className="text-small">
                {cutting.cut.patterns.map((p, i) => (
                  <li key={i} className="flex justify-between gap-3 border-b border-rule py-1">
                    <span>
                      {p.times} × {p.pieces.map((x) => `${x.count} ${x.mark}`).join(' + ')}
                    </span>
                    <span className="figures text-soft">
                      <Typeset words={say(p.left)} /> left
                    </span>
                  </li>
                ))}
              </ul>
              {cutting.cut.reusable > 0 && (
                <p className="text-small text-soft">
                  Left over in pieces worth keeping: <Measure mm={cutting.cut.reusable} show={show} said />.
                </p>
              )}
            </>
          )}
        </div>
      )}
    </Section>
  );
}
