import { PAPER } from '@even-tally/words';
import type { ReactNode } from 'react';
import { look } from '../../state/view';
import { useTell } from '../../state/words';
import { Told } from '../../ui/Told';
import { useNarrow } from '../../ui/useNarrow';
import { Near } from '../Near';
import { Shapes } from '../Shapes';
import { PaperHead } from './PaperHead';
import type { PaperProps } from './paper';
import { ScenePaper, SceneSheet } from './ScenePaper';
import { useScenePaper } from './useScenePaper';
import { useSection } from './useSection';

const ROOM = { top: 90, side: 90, bottom: 50 };
const ROOM_NARROW = { top: 150, side: 70, bottom: 40 };

/** The run cut through, large: leaves, cavity, footing, ground, and steel and grout where the cut meets them. */
export function SectionPaper(props: PaperProps): ReactNode {
  const tell = useTell();
  const { job, view } = props;
  const section = useSection(props);
  const paper = useScenePaper(section?.scene.box ?? null, useNarrow(700) ? ROOM_NARROW : ROOM);
  const { at } = paper;
  const run = view.runs[view.run]?.name ?? '';
  return (
    <ScenePaper
      paper={paper}
      job={job}
      drawing={
        section &&
        at && (
          <SceneSheet at={at} role="img" says={tell(PAPER.sectionOf({ run, at: section.at }))} data-section>
            <Shapes shapes={section.scene.shapes} layout={at} />
          </SceneSheet>
        )
      }
    >
      <PaperHead
        title={tell(PAPER.section)}
        aside={section && <Told said={PAPER.sectionOf({ run, at: section.at })} />}
      >
        <button className="press-plain" onClick={() => look({ paper: null })}>
          {tell(PAPER.backToTheWall)}
        </button>
        <Near />
      </PaperHead>
    </ScenePaper>
  );
}
