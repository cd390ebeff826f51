import { sayMm } from '@even-tally/core';
import { Printer } from 'lucide-react';
import type { ReactNode } from 'react';
import { Figures } from '../../bench/Figures';
import type { PanelProps } from '../panel';
import { AT_A_STAGE, ofSheet, TakeAway } from '../TakeAway';

/** Quantities, each open to its working, and everything that can be taken away. */
export function Tally(props: PanelProps): ReactNode {
  const { view, show } = props;
  return (
    <>
      <Figures
        title={`Tally, ${view.runs[view.run]?.name ?? ''}`}
        figures={view.runFigures}
        show={show}
        aside={`${sayMm(view.runs[view.run]?.length ?? 0, show)} × ${sayMm(view.wall.height, show)}`}
      />
      <Figures
        title={view.runs.length > 1 ? 'The whole wall' : 'To order'}
        figures={view.wallFigures}
        show={show}
      />
      <TakeAway
        {...props}
        title="Take away"
        which={(line) => !AT_A_STAGE.some((sheet) => ofSheet(sheet)(line))}
      >
        <button className="press-plain inline-flex items-center gap-2" onClick={() => window.print()}>
          <Printer size={15} aria-hidden="true" /> Print the sheet
        </button>
      </TakeAway>
    </>
  );
}
