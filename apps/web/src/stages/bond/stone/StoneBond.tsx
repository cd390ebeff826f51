import { AT_BOND, AT_STONE } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../../state/words';
import { ofSheet, TakeAway } from '../../TakeAway';
import { Holes } from '../Holes';
import { Openings } from '../Openings';
import { Tops } from '../Tops';
import { AshlarCourses } from './AshlarCourses';
import { Finish } from './Finish';
import { FitPart } from './FitPart';
import { GapPart } from './GapPart';
import { HeldTogether } from './HeldTogether';
import { MadeOf } from './MadeOf';
import { StonePart, type StoneProps } from './StonePart';

/** Bond, of a wall of stone: what it is of, what holds it together, what it is made of and ends in; openings, tops, and its papers. */
export function StoneBond(props: StoneProps): ReactNode {
  const tell = useTell();
  const { view, stone } = props;
  return (
    <>
      <StonePart {...props} />
      <HeldTogether {...props} />
      <AshlarCourses {...props} />
      <MadeOf {...props} />
      <Finish {...props} />
      <GapPart {...props} />
      <FitPart {...props} />
      <Holes {...props} />
      <Openings {...props} />
      <Tops {...props} />
      {stone.frames && (
        <TakeAway
          {...props}
          title={tell(AT_STONE.takeFrames)}
          which={ofSheet('frames')}
          says={tell(AT_STONE.takeFramesSays)}
        />
      )}
      <TakeAway
        {...props}
        title={tell(AT_STONE.takeSorting)}
        which={ofSheet('stones')}
        says={tell(AT_STONE.takeSortingSays)}
      />
      {stone.peaks && (
        <TakeAway
          {...props}
          title={tell(AT_STONE.takePeaks)}
          which={ofSheet('peaks')}
          says={tell(AT_STONE.takePeaksSays)}
        />
      )}
      {stone.kind === 'ashlar' && (
        <TakeAway
          {...props}
          title={tell(AT_STONE.takeCuts)}
          which={ofSheet('cut-stones')}
          says={tell(AT_STONE.takeCutsSays)}
        />
      )}
      {view.openings.some((o) => o.lintels.length > 0) && (
        <TakeAway
          {...props}
          title={tell(AT_BOND.takeLintels)}
          which={ofSheet('lintels')}
          says={tell(AT_BOND.takeLintelsSays)}
        />
      )}
    </>
  );
}
