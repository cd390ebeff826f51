import { AT_TALLY } from '@even-tally/words';
import { Printer } from 'lucide-react';
import type { ReactNode } from 'react';
import { Figures } from '../../bench/Figures';
import { useTell } from '../../state/words';
import { AT_A_STAGE, ofSheet, TakeAway } from '../TakeAway';
import type { PanelProps } from '../panel';

/** Quantities, each open to its working, and everything that can be taken away. */
export function Tally(props: PanelProps): ReactNode {
  const tell = useTell();
  const { view, show } = props;
  return (
    <>
      <Figures
        title={tell(AT_TALLY.tallyOf({ run: view.runs[view.run]?.name ?? '' }))}
        figures={view.runFigures}
        show={show}
        aside={tell(AT_TALLY.size({ length: view.runs[view.run]?.length ?? 0, height: view.wall.height }))}
      />
      <Figures
        title={view.runs.length > 1 ? tell(AT_TALLY.theWholeWall) : tell(AT_TALLY.toOrder)}
        figures={view.wallFigures}
        show={show}
      />
      <TakeAway
        {...props}
        title={tell(AT_TALLY.takeAway)}
        which={(line) => !AT_A_STAGE.some((sheet) => ofSheet(sheet)(line))}
      >
        <button className="press-plain inline-flex items-center gap-2" onClick={() => window.print()}>
          <Printer size={15} aria-hidden="true" /> {tell(AT_TALLY.printTheSheet)}
        </button>
      </TakeAway>
    </>
  );
}
