import type { Section } from '@even-tally/core';
import { useViewing } from '../../state/view';
import { useAsked } from '../../workers/useAsked';
import type { PaperProps } from './paper';

/** The section of the run that is up, as it stood when the hand last rested: through the opening or the unit that was chosen, else where it shows most. */
export function useSection({
  job,
  view,
  show,
  planner,
}: Pick<PaperProps, 'job' | 'view' | 'show' | 'planner'>): Section | null {
  const chosen = useViewing((s) => s.opening);
  const piece = useViewing((s) => s.piece);
  const opening = view.openings.find((o) => o.id === chosen && o.run === view.run);
  const at = opening ? (opening.from + opening.to) / 2 : piece;
  return useAsked(planner, 'section', { wall: view.wall.index, run: view.run, show, at }, job);
}
