import { Typeset } from '../../ui/Typeset';
import { Measure } from '../../ui/Measure';
import { sayMm } from '@even-tally/core';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { look, useViewing } from '../../state/view';
import { stepCell } from '../../bench/SteelLayer';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const WHY = {
  end: 'it stands at an end of the wall',
  corner: 'it stands in a corner',
  jamb: 'it stands at a jamb',
  joint: 'it stands beside a movement joint',
  spacing: 'the spacing falls here',
  asked: 'it was put here by hand',
} as const;

/** A change by hand within this of the cell is about it, mm: as the plan reads it. */
const SAME = 30;

/** The continuous cell that was pressed: bar or none, filled or empty, and why. */
export function CellCard({ job, view, show }: PanelProps): ReactNode {
  const { edit } = useJob();
  const { set } = useWallFields(job, view);
  const at = useViewing((s) => s.cell);
  const { cells, steel } = view.steel;
  if (!view.steel.hollow || cells.length === 0) return null;
  const cell = cells.find((c) => at && Math.abs(c.at - at.at) < 1 && Math.abs(c.bottom - at.bottom) < 1);
  const own = steel?.cells.find(
    (c) =>
      cell &&
      (c.place === null ? c.run === view.run && Math.abs(c.at - cell.at) < SAME : c.place === cell.place),
  );
  const path = `/walls/${view.wall.index}/steel/cells`;
  const change = (key: 'bar' | 'grout', value: boolean): void => {
    if (!cell) return;
    if (own) {
      set(`/steel/cells/${own.index}/${key}`, value);
      return;
    }
    const { id } = newId('K', steel?.cells);
    const entry = { id, place: cell.place, [key]: value };
    if (steel && job.walls[view.wall.index]?.steel?.cells)
      edit([{ op: 'add', path: `${path}/-`, value: entry }]);
    else set('/steel/cells', [entry]);
  };
  const say = (n: number): string => sayMm(n, show);
  const arrow = 'flex min-h-8 min-w-8 items-center justify-center border border-rule hover:bg-chalk-pale';
  return (
    <Section
      title="This cell"
      aside={
        <span className="flex gap-1">
          <button
            className={arrow}
            aria-label="The cell before"
            onClick={() => look({ cell: stepCell(cells, at, -1) })}
          >
            <ArrowLeft size={15} aria-hidden="true" />
          </button>
          <button
            className={arrow}
            aria-label="The next cell"
            onClick={() => look({ cell: stepCell(cells, at, 1) })}
          >
            <ArrowRight size={15} aria-hidden="true" />
          </button>
        </span>
      }
    >
      {!cell ? (
        <p className="text-soft">Press a cell on the drawing, or step along with the arrows.</p>
      ) : (
        <>
          <p>
            Its middle at{' '}
            <span className="figures font-semibold">
              <Typeset words={say(cell.at)} />
            </span>
            , <Measure mm={cell.to - cell.from} show={show} said /> clear from{' '}
            <Measure mm={cell.bottom} show={show} said /> up to <Measure mm={cell.top} show={show} said />.{' '}
            {cell.bar ? (
              <>
                Bar <b>{cell.bar}</b>: {cell.why ? WHY[cell.why] : ''}.
              </>
            ) : (
              'No bar.'
            )}{' '}
            {cell.filled ? 'Filled.' : 'Left empty.'}
          </p>
          <p className="flex flex-wrap gap-2">
            {steel?.vertical && (
              <button className="press-plain" onClick={() => change('bar', cell.bar === null)}>
                {cell.bar === null ? 'Put a bar in it' : 'Take the bar out'}
              </button>
            )}
            <button className="press-plain" onClick={() => change('grout', !cell.filled)}>
              {cell.filled ? 'Leave it empty' : 'Fill it'}
            </button>
            {own && (
              <button
                className="press-plain"
                onClick={() => edit([{ op: 'remove', path: `${path}/${own.index}` }])}
              >
                As the rule has it
              </button>
            )}
          </p>
        </>
      )}
    </Section>
  );
}
