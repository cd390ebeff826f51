import { AT_STEEL } from '@even-tally/words';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { stepCell } from '../../bench/SteelLayer';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { look, useViewing } from '../../state/view';
import { useTell } from '../../state/words';
import { Section } from '../../ui/Section';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const WHY = {
  end: AT_STEEL.atEnd,
  corner: AT_STEEL.itStandsInA,
  jamb: AT_STEEL.itStandsAtA,
  joint: AT_STEEL.besideJoint,
  spacing: AT_STEEL.spacingFalls,
  asked: AT_STEEL.byHand,
} as const;

/** A change by hand within this of the cell is about it, mm: as the plan reads it. */
const SAME = 30;

/** The continuous cell that was pressed: bar or none, filled or empty, and why. */
export function CellCard({ job, view }: PanelProps): ReactNode {
  const tell = useTell();
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
  const arrow = 'flex min-h-8 min-w-8 items-center justify-center border border-rule hover:bg-chalk-pale';
  return (
    <Section
      title={tell(AT_STEEL.thisCell)}
      aside={
        <span className="flex gap-1">
          <button
            className={arrow}
            aria-label={tell(AT_STEEL.theCellBefore)}
            onClick={() => look({ cell: stepCell(cells, at, -1) })}
          >
            <ArrowLeft size={15} aria-hidden="true" />
          </button>
          <button
            className={arrow}
            aria-label={tell(AT_STEEL.theNextCell)}
            onClick={() => look({ cell: stepCell(cells, at, 1) })}
          >
            <ArrowRight size={15} aria-hidden="true" />
          </button>
        </span>
      }
    >
      {!cell ? (
        <p className="text-soft">{tell(AT_STEEL.pressACellOn)}</p>
      ) : (
        <>
          <p>
            <Told
              said={AT_STEEL.cellSays({
                at: cell.at,
                clear: cell.to - cell.from,
                bottom: cell.bottom,
                top: cell.top,
              })}
            />{' '}
            {tell(
              cell.bar
                ? AT_STEEL.barWhy({ bar: cell.bar, why: cell.why ? WHY[cell.why] : '' })
                : AT_STEEL.noBar,
            )}{' '}
            {cell.filled ? tell(AT_STEEL.filled) : tell(AT_STEEL.leftEmpty)}
          </p>
          <p className="flex flex-wrap gap-2">
            {steel?.vertical && (
              <button className="press-plain" onClick={() => change('bar', cell.bar === null)}>
                {cell.bar === null ? tell(AT_STEEL.putABarIn) : tell(AT_STEEL.takeTheBarOut)}
              </button>
            )}
            <button className="press-plain" onClick={() => change('grout', !cell.filled)}>
              {cell.filled ? tell(AT_STEEL.leaveItEmpty) : tell(AT_STEEL.fillIt)}
            </button>
            {own && (
              <button
                className="press-plain"
                onClick={() => edit([{ op: 'remove', path: `${path}/${own.index}` }])}
              >
                {tell(AT_STEEL.asTheRuleHas)}
              </button>
            )}
          </p>
        </>
      )}
    </Section>
  );
}
