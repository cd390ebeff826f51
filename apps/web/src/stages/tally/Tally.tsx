import type { PaperSize, Said } from '@even-tally/core';
import { AT_TALLY } from '@even-tally/words';
import { Printer } from 'lucide-react';
import type { ReactNode } from 'react';
import { Figures } from '../../bench/Figures';
import { choosePaperSize, usePaperSize } from '../../state/paperSize';
import { useTell } from '../../state/words';
import { Pick } from '../../ui/Pick';
import { AT_A_STAGE, ofSheet, TakeAway } from '../TakeAway';
import type { PanelProps } from '../panel';

/** Papers as they are named on their packets. */
const PAPERS: readonly (readonly [PaperSize | 'usual', Said])[] = [
  ['usual', AT_TALLY.asTheMeasure],
  ['a4', AT_TALLY.a4],
  ['a3', AT_TALLY.a3],
  ['letter', AT_TALLY.letter],
  ['tabloid', AT_TALLY.tabloid],
];

/** Quantities, each open to its working, and everything that can be taken away. */
export function Tally(props: PanelProps): ReactNode {
  const tell = useTell();
  const { view, show } = props;
  const paper = usePaperSize();
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
        title={tell(AT_TALLY.sheetSet)}
        which={ofSheet('set')}
        says={tell(AT_TALLY.whatASetIs)}
      >
        <div className="w-full">
          <Pick
            label={tell(AT_TALLY.paper)}
            value={paper ?? 'usual'}
            options={PAPERS}
            onChange={(size) => choosePaperSize(size === 'usual' ? null : size)}
          />
        </div>
      </TakeAway>
      <TakeAway
        {...props}
        title={tell(AT_TALLY.takeAway)}
        which={(line) => !ofSheet('set')(line) && !AT_A_STAGE.some((sheet) => ofSheet(sheet)(line))}
      >
        <button className="press-plain inline-flex items-center gap-2" onClick={() => window.print()}>
          <Printer size={15} aria-hidden="true" /> {tell(AT_TALLY.printTheSheet)}
        </button>
      </TakeAway>
    </>
  );
}
