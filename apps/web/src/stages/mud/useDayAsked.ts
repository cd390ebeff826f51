import { today } from '../../bench/papers/mud/clock';
import { useSession } from '../../state/session';
import { useViewing } from '../../state/view';

/** Which day is planned, and from which course on. Made-up weather counts in the demo yard alone. */
export function useDayAsked(): { date: string; course: number; practice: boolean } {
  const course = useViewing((s) => s.course);
  const date = useViewing((s) => s.day) ?? today();
  const practice = useSession().session?.yard?.demo === true;
  return { date, course, practice };
}
